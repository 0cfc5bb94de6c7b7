import { askedOf, buildLadder, type Criteria, describeRung, type Ladder } from '@/core/breakdown';
import { type Advice, type Stage, type Timing, transferOf } from '@/core/coaching';
import { type RodData, rodOf } from '@/core/evidence';
import {
  type CoachFacts,
  type DogWork,
  type ElementRecord,
  type Entry,
  type Judgement,
  lyingOut,
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
  /** Faults that do not spoil a rep on this rung: they are noted, and the rep stays clean. */
  readonly noted: readonly string[];
  /** Where a new cue takes over from an old prompt: the stage and its clock; reps are judged by when the answer came. Null elsewhere. */
  readonly transfer: { readonly stage: Stage; readonly gap: number; readonly wait: number } | null;
  /** The steps of the response scale, worst first, where the policy goes by grades. */
  readonly grades: readonly string[];
  /** Seconds of a hold or stay that this rung asks, for its clock; null where none is timed. */
  readonly hold: number | null;
  /** Whether calmness is told as kit is put on, worn and taken off. */
  readonly worn: boolean;
  /** Whether crookedness can be said of it. */
  readonly angled: boolean;
  /** The links of a chain, for the one that broke. */
  readonly links: readonly string[];
  readonly legs: readonly string[];
  /** Whether a run is logged by first touch and pick among numbered articles. */
  readonly articles: boolean;
  /** How many things lie out, where the dog is never sent for nothing; null elsewhere. */
  readonly lying: number | null;
  readonly repCount: number;
  readonly reps: readonly StandingRep[];
};

export function padView(element: ElementRecord, work: DogWork, session: Session, entries: readonly Entry[], facts: CoachFacts): PadView {
  const ladder = buildLadder(element);
  const top = ladder.rungs.length - 1;
  const rung = Math.min(standingRung(session, entries), top);
  const criteria = ladder.rungs[rung]?.criteria ?? {};
  const faults = namedFaults(element, work);
  const reps = standingReps(entries);
  const last = reps.at(-1) ?? null;
  const step = replay(element.policy, session, facts, entries);
  const transfer = transferOf(element.policy.rule.kind, step.state.inner);
  const label = (rep: StandingRep): string | null => faults.find((fault) => fault.key === rep.option)?.label ?? null;
  return {
    ladder,
    rung,
    criteria,
    place: `Rung ${describeRung(ladder, rung)}`,
    asked: element.axes.map((axis) => ({ title: axis.title, value: askedOf(axis, criteria[axis.key] ?? axis.start) })),
    marks: reps.map((rep) => repMark(rep, label(rep))),
    tally: tallyOf(reps),
    rods: element.axes.flatMap((axis) => rodOf(axis, ladder, rung, null) ?? []),
    advice: step.advice,
    last,
    lastInWords: last ? repInWords(last, label(last), linksOf(element, work)) : null,
    flaws: faults.filter((fault) => !fault.miss),
    misses: faults.filter((fault) => fault.miss),
    noted: ladder.rungs[rung]?.noted ?? [],
    transfer:
      transfer && element.policy.rule.kind === 'cue-transfer'
        ? { stage: transfer.stage, gap: element.policy.rule.gap, wait: element.policy.rule.wait }
        : null,
    grades: element.policy.rule.kind === 'distribution' ? gradesOf(element) : [],
    hold: element.form.kind === 'piece' ? holdOf(element, criteria) : null,
    worn: element.work.includes('worn-kit') || element.conditions.some((condition) => /worn/i.test(condition.title)),
    angled: element.axes.some((axis) => axis.quantity === 'angle'),
    links: linksOf(element, work),
    legs: element.form.kind === 'continuous' ? element.form.legs : [],
    lying: element.work.includes('laid') ? lyingOut(entries) : null,
    articles: element.articles !== null,
    repCount: reps.length,
    reps,
  };
}

/** A time that is harder the longer it is must be held; one that is harder the shorter it is is a latency, and has its stamps. */
function holdOf(element: ElementRecord, criteria: Criteria): number | null {
  const axis = element.axes.find((one) => one.quantity === 'duration' && one.harder === 'more' && one.role === 'criterion');
  return axis ? (criteria[axis.key] ?? axis.start) : null;
}

/** The element's own list where it has one, and a plain scale of three where it has not. */
function gradesOf(element: ElementRecord): readonly string[] {
  const list = element.axes.find((axis) => axis.levels !== null && axis.role === 'criterion');
  return list?.levels?.map((level) => level.name) ?? ['nothing of it', 'part of it', 'all of it'];
}

function linksOf(element: ElementRecord, work: DogWork): readonly string[] {
  const { form } = element;
  return form.kind === 'chain' ? form.links.map((id) => work.elements.find((one) => one.id === id)?.title ?? 'a link that is gone') : [];
}

function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return 'No reps yet';
  const clean = reps.filter((rep) => rep.outcome === 'clean').length;
  return `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}, ${clean} clean`;
}

function repInWords(rep: StandingRep, fault: string | null, links: readonly string[]): string {
  const parts = [
    fault ? `${rep.outcome}${rep.outcome === 'clean' ? ', noted' : ''}: ${fault}` : rep.outcome,
    rep.timing === null ? '' : TIMING_WORDS[rep.timing],
    rep.latency === null ? '' : `${rep.latency.toFixed(1)} s`,
    rep.marker === null ? '' : `marked at ${rep.marker.toFixed(1)} s`,
    rep.details.held === undefined ? '' : `held ${rep.details.held.toFixed(1)} s`,
    rep.cause === 'dog' ? '' : CAUSE_WORDS[rep.cause],
    rep.aided ? 'aided' : '',
    rep.details.brokeAt === undefined ? '' : `broke at ${links[rep.details.brokeAt] ?? 'a link that is gone'}`,
  ];
  return parts.filter(Boolean).join(', ');
}

const CAUSE_WORDS: Readonly<Record<Judgement['cause'], string>> = {
  dog: 'the dog’s',
  handler: 'the handler’s',
  apparatus: 'the kit’s',
  environment: 'the place’s',
};

/** In the order in which the pad shows them. */
export const TIMINGS: readonly Timing[] = ['in-gap', 'unprompted', 'prompted', 'before-word', 'reminded', 'none'];

export const TIMING_WORDS: Readonly<Record<Timing, string>> = {
  'before-word': 'before the word',
  'in-gap': 'in the gap',
  unprompted: 'to the new cue alone',
  prompted: 'after the prompt',
  reminded: 'after a reminder',
  none: 'no answer',
};

/** What is stored when an outcome is tapped. A fault of the handler's is the handler's: it does not count against the dog. */
export function judgementFor(outcome: Judgement['outcome'], fault: NamedFault | null, noted: readonly string[] = []): Judgement {
  // A fault that does not count on this rung is written down, and the rep stays clean.
  if (fault && outcome === 'flawed' && noted.includes(fault.key)) return { outcome: 'clean', option: fault.key, cause: 'dog', aided: false };
  return { outcome, option: fault?.key ?? null, cause: fault?.by === 'handler' ? 'handler' : 'dog', aided: false };
}

/**
 * A rep by when the answer came. After the prompt or a reminder it is done with help: the policy goes on by it, and it proves nothing of the new cue.
 * Before the word is anticipation, which the new cue has not brought about either.
 */
export function timedJudgement(timing: Timing): Judgement {
  const outcome = timing === 'none' ? 'miss' : timing === 'before-word' ? 'flawed' : 'clean';
  return { outcome, option: null, cause: 'dog', aided: timing === 'prompted' || timing === 'reminded' };
}

/** Clean, flawed or miss say it all; not where a rep is judged by its timing, a grade, a pick or legs. */
export function judgedByOutcome(view: Pick<PadView, 'transfer' | 'grades' | 'articles' | 'legs'>): boolean {
  return view.transfer === null && view.grades.length === 0 && !view.articles && view.legs.length === 0;
}

/** A miss needs a choice only where several faults of the rule book mean "not done". */
export function onlyMiss(view: Pick<PadView, 'misses'>): NamedFault | null | 'choose' {
  if (view.misses.length > 1) return 'choose';
  return view.misses[0] ?? null;
}
