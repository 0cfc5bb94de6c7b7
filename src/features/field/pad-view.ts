import {
  askedOf,
  buildLadder,
  type Criteria,
  completed,
  describePlace,
  type Ladder,
  placeOn,
} from '@/core/breakdown';
import { type Advice, type Stage, type Timing, transferOf } from '@/core/coaching';
import { type RodData, rodOf } from '@/core/evidence';
import {
  type Cause,
  type CoachFacts,
  type Entry,
  foldLog,
  type Judged,
  replay,
  type StandingRep,
} from '@/core/log';
import { type FaultRef, sameFault } from '@/core/rulebooks';
import { asLevel, type ElementId, type LevelId } from '@/core/shared';
import {
  type DatedBout,
  type DogWork,
  type ElementRecord,
  faultLabel,
  type NamedFault,
  namedFaults,
} from '@/data/read';
import { type RepMark, standingMark } from '@/ui';

/** All that the pad shows, from the log alone: a reload in the middle of a set shows the same. */
export type PadView = {
  readonly ladder: Ladder;
  /** The rung on which the dog stands, or the highest below it, from 0. */
  readonly rung: number;
  /** What is asked: where the dog stands, every axis named. */
  readonly criteria: Criteria;
  /** The rungs next to it, for going there by hand; null where there is none. */
  readonly easier: Criteria | null;
  readonly harder: Criteria | null;
  readonly place: string;
  readonly asked: readonly { readonly key: string; readonly title: string; readonly value: string }[];
  readonly marks: readonly RepMark[];
  readonly tally: string;
  readonly rods: readonly RodData[];
  readonly advice: readonly Advice[];
  readonly last: StandingRep | null;
  readonly lastInWords: string | null;
  readonly flaws: readonly NamedFault[];
  readonly misses: readonly NamedFault[];
  /** Faults that do not spoil a rep on this rung: they are noted, and the rep stays clean. */
  readonly noted: readonly FaultRef[];
  /**
   * Where a new cue takes over from an old prompt: the stage and its clock; reps are judged by when
   * the answer came. Null elsewhere.
   */
  readonly transfer: { readonly stage: Stage; readonly gap: number; readonly wait: number } | null;
  /** The steps of the response scale, worst first, where the policy goes by grades. */
  readonly grades: readonly Grade[];
  /** Seconds of a hold or stay that this rung asks, for its clock; null where none is timed. */
  readonly hold: number | null;
  /** Whether calmness is told as kit is put on, worn and taken off. */
  readonly worn: boolean;
  /** Whether crookedness can be said of it. */
  readonly angled: boolean;
  /** The links of a chain, for the one that broke. */
  readonly links: readonly Link[];
  readonly legs: readonly string[];
  /** Whether a run is logged by first touch and pick among numbered articles. */
  readonly articles: boolean;
  /** How many things lie out, where the dog is never sent for nothing; null elsewhere. */
  readonly lying: number | null;
  readonly repCount: number;
  readonly reps: readonly StandingRep[];
};

export function padView(
  element: ElementRecord,
  work: DogWork,
  bout: DatedBout,
  entries: readonly Entry[],
  facts: CoachFacts,
): PadView {
  const ladder = buildLadder(element);
  const { reps, stands, lying } = foldLog(bout.start, entries);
  const criteria = completed(element.axes, stands);
  const place = placeOn(ladder, criteria);
  const { rung } = place;
  const faults = namedFaults(element, work);
  const last = reps.at(-1) ?? null;
  const step = replay({ policy: element.policy, ladder, start: bout.start, facts }, entries);
  const transfer = transferOf(element.policy.rule.kind, step.state.inner);
  const label = (rep: StandingRep): string | null => faultLabel(faults, rep.judged.faults[0]);
  const links = linksOf(element, work);
  return {
    ladder,
    rung,
    criteria,
    // Between two rungs the lower one is the easier.
    easier: ladder.rungs[place.kind === 'between' ? rung : rung - 1]?.criteria ?? null,
    harder: ladder.rungs[place.kind === 'below' ? rung : rung + 1]?.criteria ?? null,
    place: `Rung ${describePlace(ladder, criteria)}`,
    asked: element.axes.map((axis) => ({
      key: axis.key,
      title: axis.title,
      value: askedOf(axis, criteria[axis.key] ?? axis.start),
    })),
    marks: reps.map((rep) => standingMark(rep, label(rep))),
    tally: tallyOf(reps),
    rods: element.axes.flatMap((axis) => rodOf(axis, ladder, criteria, null) ?? []),
    advice: step.advice,
    last,
    lastInWords: last ? repInWords(last, label(last), links) : null,
    flaws: faults.filter((fault) => !fault.miss),
    misses: faults.filter((fault) => fault.miss),
    noted: ladder.rungs[rung]?.noted ?? [],
    transfer:
      transfer && element.policy.rule.kind === 'cue-transfer'
        ? { stage: transfer.stage, gap: element.policy.rule.gap, wait: element.policy.rule.wait }
        : null,
    grades: element.policy.rule.kind === 'distribution' ? gradesOf(element) : [],
    hold: element.form.kind === 'piece' ? holdOf(element, criteria) : null,
    worn:
      element.work.includes('worn-kit') ||
      element.conditions.some((condition) => /worn/i.test(condition.title)),
    angled: element.axes.some((axis) => axis.quantity === 'angle'),
    links,
    legs: element.form.kind === 'continuous' ? element.form.legs : [],
    lying: element.work.includes('laid') ? lying : null,
    articles: element.articles !== null,
    repCount: reps.length,
    reps,
  };
}

/**
 * A time that is harder the longer it is must be held; one that is harder the shorter it is is a
 * latency, and has its stamps.
 */
function holdOf(element: ElementRecord, criteria: Criteria): number | null {
  const axis = element.axes.find(
    (one) => one.quantity === 'duration' && one.harder === 'more' && one.role === 'criterion',
  );
  return axis ? (criteria[axis.key] ?? axis.start) : null;
}

export type Grade = { readonly id: LevelId; readonly name: string };
export type Link = { readonly id: ElementId; readonly title: string };

/** The element's own list where it has one, and a plain scale of three where it has not. */
function gradesOf(element: ElementRecord): readonly Grade[] {
  const list = element.axes.find((axis) => axis.levels !== null && axis.role === 'criterion');
  const plain = ['nothing of it', 'part of it', 'all of it'];
  return list?.levels ?? plain.map((name, place) => ({ id: asLevel(place), name }));
}

function linksOf(element: ElementRecord, work: DogWork): readonly Link[] {
  const { form } = element;
  const title = (id: ElementId): string =>
    work.elements.find((one) => one.id === id)?.title ?? 'a link that is gone';
  return form.kind === 'chain' ? form.links.map((id) => ({ id, title: title(id) })) : [];
}

export function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return 'No reps yet';
  const clean = reps.filter((rep) => rep.judged.outcome === 'clean').length;
  return `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}, ${clean} clean`;
}

const secondsInWords = (before: string, seconds: number | undefined): string =>
  seconds === undefined ? '' : `${before}${seconds.toFixed(1)} s`;

function repInWords({ seen, judged }: StandingRep, fault: string | null, links: readonly Link[]): string {
  const { outcome, cause, aids } = judged;
  const said = outcome === 'none' ? 'neither' : outcome;
  const broke = seen.run?.kind === 'chain' ? seen.run.brokeAt : null;
  const parts = [
    fault ? `${said}${outcome === 'clean' ? ', noted' : ''}: ${fault}` : said,
    seen.timing === null ? '' : TIMING_WORDS[seen.timing],
    secondsInWords('', seen.measured.latency?.value),
    secondsInWords('marked at ', seen.measured.marker?.value),
    secondsInWords('held ', seen.measured.held?.value),
    cause === 'dog' ? '' : CAUSE_WORDS[cause],
    aids.length > 0 ? 'aided' : '',
    broke === null ? '' : `broke at ${links[broke]?.title ?? 'a link that is gone'}`,
  ];
  return parts.filter(Boolean).join(', ');
}

const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  dog: 'the dog’s',
  handler: 'the handler’s',
  apparatus: 'the kit’s',
  environment: 'the place’s',
};

/** In the order in which the pad shows them. */
export const TIMINGS: readonly Timing[] = [
  'in-gap',
  'unprompted',
  'prompted',
  'before-word',
  'reminded',
  'none',
];

export const TIMING_WORDS: Readonly<Record<Timing, string>> = {
  'before-word': 'before the word',
  'in-gap': 'in the gap',
  unprompted: 'to the new cue alone',
  prompted: 'after the prompt',
  reminded: 'after a reminder',
  none: 'no answer',
};

const JUDGED: Omit<Judged, 'outcome'> = { faults: [], cause: 'dog', aids: [], void: false, proposed: null };

/**
 * What is stored when an outcome is tapped. A fault of the handler's is the handler's: it does not
 * count against the dog.
 */
export function judgementFor(
  outcome: Judged['outcome'],
  fault: NamedFault | null,
  noted: readonly FaultRef[] = [],
): Judged {
  const faults = fault ? [fault.ref] : [];
  // A fault that does not count on this rung is written down, and the rep stays clean.
  if (fault && outcome === 'flawed' && noted.some((one) => sameFault(one, fault.ref)))
    return { ...JUDGED, outcome: 'clean', faults };
  return { ...JUDGED, outcome, faults, cause: fault?.by === 'handler' ? 'handler' : 'dog' };
}

/**
 * A rep by when the answer came. After the prompt or a reminder it is done with help: the policy
 * goes on by it, and it proves nothing of the new cue. Before the word is anticipation, which the
 * new cue has not brought about either.
 */
export function timedJudgement(timing: Timing): Judged {
  const outcome = timing === 'none' ? 'miss' : timing === 'before-word' ? 'flawed' : 'clean';
  const helped = timing === 'prompted' || timing === 'reminded';
  return { ...JUDGED, outcome, aids: helped ? ['unsaid'] : [] };
}

/**
 * Clean, flawed or miss say it all; not where a rep is judged by its timing, a grade, a pick or
 * legs.
 */
export function judgedByOutcome(view: Pick<PadView, 'transfer' | 'grades' | 'articles' | 'legs'>): boolean {
  return view.transfer === null && view.grades.length === 0 && !view.articles && view.legs.length === 0;
}

/** A miss needs a choice only where several faults of the rule book mean "not done". */
export function onlyMiss(view: Pick<PadView, 'misses'>): NamedFault | null | 'choose' {
  if (view.misses.length > 1) return 'choose';
  return view.misses[0] ?? null;
}
