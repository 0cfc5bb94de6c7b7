import {
  askedOf,
  buildLadder,
  type Criteria,
  completed,
  describePlace,
  gradeAxis,
  type Ladder,
  levelPlace,
  measuredAs,
  placeOn,
  writeValue,
} from '@/core/breakdown';
import {
  type Advice,
  type ColdProbe,
  coldProbe,
  PROBE_REPS,
  type SeenSign,
  type Stage,
  type Timing,
  transferOf,
} from '@/core/coaching';
import { type RodData, rodOf } from '@/core/evidence';
import {
  type Aid,
  type Cause,
  type CoachFacts,
  type Entry,
  foldLog,
  type Handled,
  type Judging,
  missedOf,
  repCounts,
  replay,
  type StandingRep,
} from '@/core/log';
import { type FaultRef, sameFault } from '@/core/rulebooks';
import { asLevel, type ElementId, type LevelId, NO_BREAK } from '@/core/shared';
import {
  type DatedBout,
  type DogWork,
  type ElementRecord,
  faultLabel,
  judgingOf,
  type NamedFault,
  namedFaults,
} from '@/data/read';
import { type RepMark, standingMark } from '@/ui';
import { type ChipRow, chipRows } from './chips';

/** What is chosen on the pad for the next rep and not in the log yet, and the dog's own words. */
export type Chosen = {
  readonly chips: Readonly<Record<string, string>>;
  readonly words: readonly string[];
};
const NOTHING_CHOSEN: Chosen = { chips: {}, words: [] };

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
  /** What was measured of the last rep and speaks against what was called; null where nothing does. */
  readonly proposal: Proposal | null;
  readonly flaws: readonly NamedFault[];
  readonly misses: readonly NamedFault[];
  /** Faults that do not spoil a rep on this rung: they are noted, and the rep stays clean. */
  readonly noted: readonly FaultRef[];
  /** How what was asked and measured judges a rep. */
  readonly judging: Judging;
  /** What changes from rep to rep, the rows of the element first. */
  readonly chips: readonly ChipRow[];
  /** How the bout began, over which chips lie. */
  readonly began: Pick<DatedBout, 'away' | 'conditions'>;
  /** Signs of the body that nobody has dismissed. */
  readonly signs: readonly SeenSign[];
  /** A look at what survived a gap, under way or just found; null elsewhere. */
  readonly probe: ColdProbe | null;
  /** Whether it is off on business of its own just now. */
  readonly off: boolean;
  /** Whether a send is judged by its drive. */
  readonly byDrive: boolean;
  /**
   * Where a new cue takes over from an old prompt: the stage and its clock, and whether the next prompted
   * answer is paid; reps are judged by when the answer came. Null elsewhere.
   */
  readonly transfer: {
    readonly stage: Stage;
    readonly gap: number;
    readonly wait: number;
    readonly paid: boolean;
  } | null;
  /** The steps of the response scale, worst first, where the policy goes by grades. */
  readonly grades: readonly Grade[];
  /** The place on that scale that this rung asks, from 0. */
  readonly gradeAsked: number;
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

/** What the measures make of the last rep, in words, and what one tap can say instead. */
export type Proposal = {
  readonly words: string;
  readonly otherwise: readonly { readonly as: 'clean' | 'flawed' | 'ended-by-you'; readonly words: string }[];
};

export function padView(
  element: ElementRecord,
  work: DogWork,
  bout: DatedBout,
  entries: readonly Entry[],
  facts: CoachFacts,
  chosen: Chosen = NOTHING_CHOSEN,
): PadView {
  const ladder = buildLadder(element);
  const { reps, stands, lying, signs, off, probe: probed } = foldLog(bout.start, entries);
  const probe =
    probed &&
    coldProbe(
      placeOn(ladder, bout.start).rung,
      probed.map((rep) => asProbed(rep, ladder)),
    );
  const probing = probe?.kind === 'asking' ? ladder.rungs[probe.rung]?.criteria : undefined;
  const criteria = completed(element.axes, probing ?? stands);
  const place = placeOn(ladder, criteria);
  const { rung } = place;
  const faults = namedFaults(element, work);
  const judging = judgingOf(element, faults);
  const last = reps.at(-1) ?? null;
  const step = replay({ policy: element.policy, ladder, start: bout.start, facts }, entries);
  const transfer = transferOf(element.policy.rule.kind, step.state.inner);
  const label = (rep: StandingRep): string | null => faultsInWords(rep, faults);
  const links = linksOf(element, work);
  const hold = element.form.kind === 'piece' ? holdOf(element, criteria) : null;
  const grades = element.policy.rule.kind === 'distribution' ? gradesOf(element) : [];
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
    advice: probe ? withProbe(probe, step.advice, ladder) : step.advice,
    last,
    lastInWords: last ? repInWords(last, label(last), links) : null,
    proposal: last && proposalOf(last, judging, faults, element),
    flaws: byFrequency(
      faults.filter((fault) => !fault.miss),
      reps,
    ),
    misses: faults.filter((fault) => fault.miss),
    noted: ladder.rungs[rung]?.noted ?? [],
    judging,
    chips: chipRows(
      element,
      bout,
      criteria,
      hold !== null,
      { ...last?.asked.chips, ...chosen.chips },
      chosen.words,
    ),
    began: { away: bout.away, conditions: bout.conditions },
    signs: signs.flatMap(({ id, sign, over }) => (over === null ? [{ id, sign }] : [])),
    probe,
    off,
    byDrive: element.policy.rule.kind === 'stretch',
    transfer:
      transfer && element.policy.rule.kind === 'cue-transfer'
        ? {
            stage: transfer.stage,
            gap: element.policy.rule.gap,
            wait: element.policy.rule.wait,
            paid: transfer.paid,
          }
        : null,
    grades,
    gradeAsked: gradeAskedOf(element, criteria, grades),
    hold,
    worn: isWorn(element),
    angled: isAngled(element),
    links,
    legs: element.form.kind === 'continuous' ? element.form.legs : [],
    lying: element.work.includes('laid') ? lying : null,
    articles: element.articles !== null,
    repCount: reps.length,
    reps,
  };
}

const asProbed = (rep: StandingRep, ladder: Ladder) => ({
  rung: placeOn(ladder, rep.asked.criteria).rung,
  clean: rep.judged.outcome === 'clean' && rep.judged.aids.length === 0,
});

/** While what survived is being looked at, that is the rule; signs of the body keep their own line. */
function withProbe(probe: ColdProbe, advice: readonly Advice[], ladder: Ladder): readonly Advice[] {
  const signs = advice.filter((one) => one.sign !== undefined);
  return [...signs, probeAdvice(probe, ladder)];
}

function probeAdvice(probe: ColdProbe, ladder: Ladder): Advice {
  if (probe.kind === 'asking')
    return {
      kind: 'probe',
      reason: `What is left? Rep ${probe.done + 1} of at most ${PROBE_REPS}, here: ${describePlace(ladder, ladder.rungs[probe.rung]?.criteria ?? {})}. It teaches nothing; no help, one cue.`,
    };
  const of = `${probe.clean} of ${probe.reps} clean after the gap`;
  if (probe.survived === null)
    return {
      kind: 'drop-back',
      to: 0,
      reason: `${of}: nothing that counts on is left, so begin at the start again.`,
    };
  return {
    kind: 'drop-back',
    to: probe.survived,
    reason: `${of}: what is left reaches to step ${probe.survived + 1}, so begin there.`,
  };
}

/** The dog's most frequent faults of this bout come first; the others keep the order of the rule book. */
function byFrequency(faults: readonly NamedFault[], reps: readonly StandingRep[]): NamedFault[] {
  const times = (fault: NamedFault): number =>
    reps.filter(({ judged }) => judged.faults.some((one) => sameFault(one, fault.ref))).length;
  return [...faults].sort((a, b) => times(b) - times(a));
}

function faultsInWords({ judged }: StandingRep, faults: readonly NamedFault[]): string | null {
  const names = judged.faults.flatMap((fault) => faultLabel(faults, fault) ?? []);
  return names.length === 0 ? null : names.join(' and ');
}

/** What was measured past what was asked, and what one tap makes of it. */
function proposalOf(
  rep: StandingRep,
  judging: Judging,
  faults: readonly NamedFault[],
  element: ElementRecord,
): Proposal | null {
  const { judged, seen, asked } = rep;
  if (judged.proposed === null) return null;
  const missed = missedOf(judging, asked.criteria, seen);
  const words = missed.map(({ what, value, asked: limit, fault }) => {
    const name = faultLabel(faults, fault)?.toLowerCase() ?? 'past what is asked';
    if (what === 'cues') return `${value} cues, ${limit} allowed: ${name}`;
    const axis = element.axes.find((one) => measuredAs(one) === what);
    return `${axis && (what === 'angle' || what === 'offset') ? writeValue(axis, Math.abs(value)) : measuredInWords(what, value)}, asked ${axis ? askedOf(axis, limit) : limit}: ${name}`;
  });
  const held = missed.some(({ what }) => what === 'held');
  const choices: Proposal['otherwise'] =
    judged.outcome === 'flawed'
      ? [
          { as: 'clean', words: 'Clean all the same' },
          ...(held ? [{ as: 'ended-by-you' as const, words: 'I ended it' }] : []),
        ]
      : [{ as: 'flawed', words: 'Flawed' }];
  return { words: `${words.join('; ')}.`, otherwise: choices };
}

const measuredInWords = (what: string, value: number): string =>
  what === 'angle'
    ? `${Number(Math.abs(value).toPrecision(3))}°`
    : what === 'offset'
      ? `${Number((Math.abs(value) * 100).toPrecision(3))}${NO_BREAK}cm`
      : `${value.toFixed(1)}${NO_BREAK}s`;

function gradeAskedOf(element: ElementRecord, criteria: Criteria, grades: readonly Grade[]): number {
  const list = gradeAxis(element.axes);
  if (!list?.levels) return grades.length - 1;
  return Math.max(0, levelPlace(list.levels, criteria[list.key] ?? list.start));
}

/**
 * A time that is harder the longer it is must be held; one that is harder the shorter it is is a
 * latency, and has its stamps.
 */
export function holdOf(element: ElementRecord, criteria: Criteria): number | null {
  const axis = element.axes.find((one) => measuredAs(one) === 'held');
  return axis ? (criteria[axis.key] ?? axis.start) : null;
}

export const isWorn = (element: ElementRecord): boolean =>
  element.work.includes('worn-kit') || element.conditions.some((condition) => /worn/i.test(condition.title));
export const isAngled = (element: ElementRecord): boolean =>
  element.axes.some((axis) => axis.quantity === 'angle');

export type Grade = { readonly id: LevelId; readonly name: string };
export type Link = { readonly id: ElementId; readonly title: string };

/** The element's own list where it has one, and a plain scale of three where it has not. */
function gradesOf(element: ElementRecord): readonly Grade[] {
  const list = gradeAxis(element.axes);
  const plain = ['nothing of it', 'part of it', 'all of it'];
  return list?.levels ?? plain.map((name, place) => ({ id: asLevel(place), name }));
}

function linksOf(element: ElementRecord, work: DogWork): readonly Link[] {
  const { form } = element;
  const title = (id: ElementId): string =>
    work.elements.find((one) => one.id === id)?.title ?? 'a link that is gone';
  return form.kind === 'chain' ? form.links.map((id) => ({ id, title: title(id) })) : [];
}

/** How many were done and how many of those say something: "8 reps; 1 counts, clean". */
export function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return 'No reps yet';
  const counted = reps.filter(repCounts);
  const clean = counted.filter((rep) => rep.judged.outcome === 'clean' && isAlone(rep)).length;
  const all = `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}`;
  if (counted.length === reps.length) return `${all}, ${clean} clean`;
  if (counted.length === 0) return `${all}; none counts`;
  return `${all}; ${counted.length} ${counted.length === 1 ? 'counts' : 'count'}, ${clean} clean`;
}

/** Where a new cue takes over, only an answer to it alone is one. */
const isAlone = ({ seen }: StandingRep): boolean =>
  seen.timing === null || seen.timing === 'in-gap' || seen.timing === 'unprompted';

/** Why a rep says nothing of the dog; null where it does. */
export function whyNotCounted(rep: StandingRep): string | null {
  if (repCounts(rep)) return null;
  const { judged, seen, purpose, asked } = rep;
  if (judged.void) return 'it was void';
  if (judged.outcome === 'none') return seen.endedBy === 'handler' ? 'you ended it' : 'it is neither';
  if (seen.run?.kind === 'articles' && seen.run.known) return 'you knew the layout';
  if (seen.run?.kind === 'articles' && seen.run.seen) return 'the dog saw them laid';
  if (asked.call?.kind === 'return') return 'a return counts for the wait';
  if (purpose !== 'training') return PURPOSE_REASONS[purpose];
  if (judged.cause !== 'dog') return `it was ${CAUSE_WORDS[judged.cause]} doing`;
  if ((seen.cues?.slip ?? 0) > 0) return 'a cue slipped from you';
  if (seen.timing === 'before-word') return 'nothing was asked yet';
  return 'it was helped';
}

const PURPOSE_REASONS: Readonly<Record<Exclude<StandingRep['purpose'], 'training'>, string>> = {
  'warm-up': 'it was warm-up',
  filler: 'it was an easy one',
  probe: 'it was a silent test',
  rehearsal: 'it was a rehearsal',
};

const secondsInWords = (before: string, seconds: number | undefined): string =>
  seconds === undefined ? '' : `${before}${seconds.toFixed(1)} s`;

function repInWords(rep: StandingRep, fault: string | null, links: readonly Link[]): string {
  const { seen, judged } = rep;
  const { outcome, cause, aids } = judged;
  const said = outcome === 'none' ? (seen.endedBy === 'handler' ? 'ended by you' : 'neither') : outcome;
  const broke = seen.run?.kind === 'chain' ? seen.run.brokeAt : null;
  const why = whyNotCounted(rep);
  const parts = [
    fault ? `${said}${outcome === 'clean' ? ', noted' : ''}: ${fault}` : said,
    seen.timing === null ? '' : TIMING_WORDS[seen.timing],
    secondsInWords('', seen.measured.latency?.value),
    secondsInWords('marked at ', seen.measured.marker?.value),
    secondsInWords('held ', seen.measured.held?.value),
    seen.measured.angle ? measuredInWords('angle', seen.measured.angle.value) : '',
    runInWords(rep),
    cuesInWords(seen.cues),
    seen.instead === undefined ? '' : `did “${seen.instead}” instead`,
    cause === 'dog' ? '' : CAUSE_WORDS[cause],
    aids.length > 0 && seen.timing === null ? `helped${aidsInWords(aids)}` : '',
    broke === null ? '' : `broke at ${links[broke]?.title ?? 'a link that is gone'}`,
    why === null ? '' : `does not count: ${why}`,
  ];
  return parts.filter(Boolean).join(', ');
}

export const AID_WORDS: Readonly<Record<Exclude<Aid, 'unsaid'>, string>> = {
  hand: 'hand',
  lead: 'lead',
  food: 'food shown',
  nearer: 'nearer',
  line: 'a line to follow',
  voice: 'voice',
  person: 'a second person',
  guide: 'platform, poles, wall',
};

const aidsInWords = (aids: readonly Aid[]): string => {
  const named = aids.flatMap((aid) => (aid === 'unsaid' ? [] : [AID_WORDS[aid]]));
  return named.length === 0 ? '' : ` (${named.join(', ')})`;
};

export const HANDLED_WORDS: Readonly<Record<Handled, string>> = {
  nothing: 'nothing',
  'error-word': 'error word',
  again: 'again at once',
  'put-back': 'put it back',
  easier: 'made it easier',
  pause: 'a pause',
  'moved-and-back': 'moved it and back',
  'touch-or-lead': 'touch or lead',
};

function cuesInWords(cues: StandingRep['seen']['cues']): string {
  if (!cues) return '';
  const parts = [
    cues.needed > 0 ? `${cues.needed} more ${cues.needed === 1 ? 'cue' : 'cues'} needed` : '',
    cues.slip > 0 ? `${cues.slip} slipped from you` : '',
    (cues.meant ?? 0) > 0 ? `${cues.meant} meant` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

/** A run out or back has its time and, where a distance was asked, its speed. */
function runInWords({ seen, asked }: StandingRep): string {
  const metres = Object.entries(asked.criteria).find(([key]) => /distance|^run$/.test(key))?.[1];
  return (['out', 'back'] as const)
    .flatMap((way) => {
      const time = seen.measured[way]?.value;
      if (time === undefined) return [];
      const speed = metres && time > 0 ? ` (${(metres / time).toFixed(1)}${NO_BREAK}m/s)` : '';
      return [`${way} in ${time.toFixed(1)}${NO_BREAK}s${speed}`];
    })
    .join(', ');
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

/**
 * Clean, flawed or miss say it all; not where a rep is judged by its timing, a grade, a pick or
 * legs. A send says its drive with the same keys.
 */
export function judgedByOutcome(view: Pick<PadView, 'transfer' | 'grades' | 'articles' | 'legs'>): boolean {
  return view.transfer === null && view.grades.length === 0 && !view.articles && view.legs.length === 0;
}

/** A miss needs a choice only where several faults of the rule book mean "not done". */
export function onlyMiss(view: Pick<PadView, 'misses'>): NamedFault | null | 'choose' {
  if (view.misses.length > 1) return 'choose';
  return view.misses[0] ?? null;
}
