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
} from '@/core/breakdown';
import { type Advice, type ColdProbe, type SeenSign, type Stage, transferOf } from '@/core/coaching';
import { type RodData, rodOf } from '@/core/evidence';
import { type CoachFacts, type Entry, foldLog, type Judging, replay, type StandingRep } from '@/core/log';
import { type FaultRef, sameFault } from '@/core/rulebooks';
import { asLevel, type ElementId, type LevelId } from '@/core/shared';
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
import { probeOf, withProbe } from './probe-view';
import { type Proposal, proposalOf } from './proposal';
import { repInWords, tallyOf } from './rep-words';

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
  const probe = probed && probeOf(probed, placeOn(ladder, bout.start).rung, ladder);
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
    ...gradingOf(element, criteria),
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

/** The scale that an element is graded by, and the place on it that these criteria ask. */
export function gradingOf(
  element: ElementRecord,
  criteria: Criteria,
): Pick<PadView, 'grades' | 'gradeAsked'> {
  const grades = element.policy.rule.kind === 'distribution' ? gradesOf(element) : [];
  return { grades, gradeAsked: gradeAskedOf(element, criteria, grades) };
}

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
