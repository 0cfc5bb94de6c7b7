import { type Axis, buildLadder, type Criteria, describeRung, type Ladder } from '@/core/breakdown';
import type { Advice } from '@/core/coaching';
import { type RodData, rodOf } from '@/core/evidence';
import { writeAmount } from '@/core/shared';
import {
  type DogWork,
  type ElementRecord,
  type Entry,
  type Judgement,
  type NamedFault,
  namedFaults,
  replay,
  type Session,
  type StandingRep,
  standingReps,
  standingRung,
} from '@/data/repositories';
import { type RepMark, repMark } from '@/ui';

/** All that the pad shows, from the log alone: a reload in the middle of a set shows the same. */
export type PadView = {
  readonly ladder: Ladder;
  readonly rung: number;
  readonly criteria: Criteria;
  readonly place: string;
  readonly asked: readonly { readonly title: string; readonly value: string }[];
  readonly marks: readonly RepMark[];
  readonly tally: string;
  readonly rods: readonly RodData[];
  readonly advice: readonly Advice[];
  readonly last: StandingRep | null;
  readonly lastInWords: string | null;
  readonly flaws: readonly NamedFault[];
  readonly misses: readonly NamedFault[];
};

export function padView(element: ElementRecord, work: DogWork, session: Session, entries: readonly Entry[]): PadView {
  const ladder = buildLadder(element.axes, element.edits);
  const top = ladder.rungs.length - 1;
  const rung = Math.min(standingRung(session, entries), top);
  const criteria = ladder.rungs[rung]?.criteria ?? {};
  const faults = namedFaults(element, work);
  const reps = standingReps(entries);
  const last = reps.at(-1) ?? null;
  const label = (rep: StandingRep): string | null => faults.find((fault) => fault.key === rep.option)?.label ?? null;
  return {
    ladder,
    rung,
    criteria,
    place: `Rung ${describeRung(ladder, rung)}`,
    asked: element.axes.map((axis) => ({ title: axis.title, value: askedOf(axis, criteria) })),
    marks: reps.map((rep) => repMark(rep, label(rep))),
    tally: tallyOf(reps),
    rods: element.axes.flatMap((axis) => rodOf(axis, ladder, rung, null) ?? []),
    advice: replay(element.policy, session, top, entries).advice,
    last,
    lastInWords: last ? repInWords(last, label(last)) : null,
    flaws: faults.filter((fault) => !fault.miss),
    misses: faults.filter((fault) => fault.miss),
  };
}

function askedOf(axis: Axis, criteria: Criteria): string {
  const value = writeAmount(axis.quantity, criteria[axis.key] ?? axis.start, axis.unit);
  return axis.harder === 'less' ? `at most ${value}` : value;
}

function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return 'No reps yet';
  const clean = reps.filter((rep) => rep.outcome === 'clean').length;
  return `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}, ${clean} clean`;
}

function repInWords(rep: StandingRep, fault: string | null): string {
  const parts = [
    fault ? `${rep.outcome}: ${fault}` : rep.outcome,
    rep.latency === null ? '' : `${rep.latency.toFixed(1)} s`,
    rep.cause === 'dog' ? '' : CAUSE_WORDS[rep.cause],
    rep.aided ? 'aided' : '',
  ];
  return parts.filter(Boolean).join(', ');
}

const CAUSE_WORDS: Readonly<Record<Judgement['cause'], string>> = {
  dog: 'the dog’s',
  handler: 'the handler’s',
  apparatus: 'the kit’s',
  environment: 'the place’s',
};

/** What is stored when an outcome is tapped. A fault of the handler's is the handler's: it does not count against the dog. */
export function judgementFor(outcome: Judgement['outcome'], fault: NamedFault | null): Judgement {
  return { outcome, option: fault?.key ?? null, cause: fault?.by === 'handler' ? 'handler' : 'dog', aided: false };
}

/** A miss needs a choice only where several faults of the rule book mean "not done". */
export function onlyMiss(view: Pick<PadView, 'misses'>): NamedFault | null | 'choose' {
  if (view.misses.length > 1) return 'choose';
  return view.misses[0] ?? null;
}
