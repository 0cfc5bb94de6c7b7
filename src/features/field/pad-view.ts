import {
  askedOf,
  buildLadder,
  type Criteria,
  completed,
  describePlace,
  type Ladder,
  measuredAs,
  placeOn,
} from '@/core/breakdown';
import { type Advice, type ColdProbe, type SeenSign, transferOf } from '@/core/coaching';
import { type FaultCount, type RodData, rodOf } from '@/core/evidence';
import { type CoachFacts, type Entry, foldLog, type Judging, replay, type StandingRep } from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import type { ElementId, EntryId } from '@/core/shared';
import {
  type DatedBout,
  type DogWork,
  type ElementRecord,
  isWhole,
  judgingOf,
  type NamedFault,
  namedFaults,
} from '@/data/read';
import { type RepMark, standingMark } from '@/ui';
import { wordsOf } from '@/words';
import { type ChipRow, chipRows, valuesRow } from './chips';
import { type JudgedBy, judgedBy, linksOf, wholeLines } from './judged-by';
import { byFrequency, faultsInWords, lastSaid } from './pad-words';
import { probeOf, withProbe } from './probe-view';
import { type Proposal, proposalOf } from './proposal';
import { repInWords, tallyOf } from './rep-words';
import { tell } from './words';

/** What the log of this bout does not say. */
export type Besides = {
  /** Chosen for the next rep, and not in the log yet. */
  readonly chips: Readonly<Record<string, string>>;
  /** The dog's own words. */
  readonly words: readonly string[];
  /** How often each fault was seen in the bouts before. */
  readonly seen: readonly FaultCount[];
  /** Where the dog stands on each link of an exercise that is run whole. */
  readonly stands?: ReadonlyMap<ElementId, Criteria>;
};
const NOTHING_ELSE: Besides = { chips: {}, words: [], seen: [] };

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
  /** By what a rep is judged, and what the pad needs for it. */
  readonly by: JudgedBy;
  /** Seconds of a hold or stay that this rung asks, for its clock; null where none is timed. */
  readonly hold: number | null;
  /** Whether calmness is told as kit is put on, worn and taken off. */
  readonly worn: boolean;
  /** Whether crookedness can be said of it. */
  readonly angled: boolean;
  /** How many things lie out, where the dog is never sent for nothing; null elsewhere. */
  readonly lying: number | null;
  /** Which of the set-out lie there. */
  readonly lyingThings: readonly string[];
  readonly repCount: number;
  readonly reps: readonly StandingRep[];
};

export function padView(
  element: ElementRecord,
  work: DogWork,
  bout: DatedBout,
  entries: readonly Entry[],
  facts: CoachFacts,
  { chips, words, seen, stands: standing }: Besides = NOTHING_ELSE,
): PadView {
  const ladder = buildLadder(element);
  const {
    reps,
    stands,
    lying,
    lyingThings,
    signs,
    off,
    probe: probed,
    undone,
  } = foldLog(bout.start, entries);
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
  const hold = element.form.kind === 'piece' ? holdOf(element, criteria) : null;
  const said = { ...lastSaid(element, last, hasMoved(entries, undone)), ...chips };
  const by = judgedBy(element, criteria, work, transfer, { stands: standing, said });
  return {
    ladder,
    rung,
    criteria,
    // Between two rungs the lower one is the easier.
    easier: ladder.rungs[place.kind === 'between' ? rung : rung - 1]?.criteria ?? null,
    harder: ladder.rungs[place.kind === 'below' ? rung : rung + 1]?.criteria ?? null,
    place: isWhole(element)
      ? tell('pad-view.from-end-to-end')
      : tell('pad-view.rung', { describePlace: describePlace(ladder, criteria) }),
    asked: element.axes.map((axis) => ({
      key: axis.key,
      title: axis.title,
      value: wordsOf(askedOf(axis, criteria[axis.key] ?? axis.start)),
    })),
    marks: reps.map((rep) => standingMark(rep, label(rep))),
    tally: tallyOf(reps),
    rods: element.axes.flatMap((axis) => rodOf(axis, ladder, criteria, null) ?? []),
    advice:
      by.kind === 'whole'
        ? wholeLines(step.advice, reps, by.links)
        : probe
          ? withProbe(probe, step.advice, ladder)
          : step.advice,
    last,
    lastInWords: last ? repInWords(last, label(last), linksOf(element, work)) : null,
    proposal: last && proposalOf(last, judging, faults, element),
    flaws: byFrequency(
      faults.filter((fault) => !fault.miss),
      seen,
    ),
    misses: byFrequency(
      faults.filter((fault) => fault.miss),
      seen,
    ),
    noted: ladder.rungs[rung]?.noted ?? [],
    judging,
    chips: [
      ...(by.kind === 'whole' ? [valuesRow(said)] : []),
      ...chipRows(element, bout, criteria, hold !== null, said, words, {
        bout: bout.id,
        reps: reps.length,
        last: last?.asked.chips ?? {},
        tapped: chips,
      }),
    ],
    began: { away: bout.away, conditions: bout.conditions },
    signs: signs.flatMap(({ id, sign, over }) => (over === null ? [{ id, sign }] : [])),
    probe,
    off,
    by,
    hold,
    worn: isWorn(element),
    angled: isAngled(element),
    lying: element.work.includes('laid') ? lying : null,
    lyingThings,
    repCount: reps.length,
    reps,
  };
}

/** Whether the step was changed since the last rep. */
function hasMoved(entries: readonly Entry[], undone: ReadonlySet<EntryId>): boolean {
  const last = entries.findLast(({ id, kind }) => !undone.has(id) && (kind === 'rep' || kind === 'move'));
  return last?.kind === 'move';
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

/**
 * Clean, flawed or miss say it all; not where a rep is judged by its timing, a grade, a pick or
 * legs, nor in a game, which is tallied. A send says its drive with the same keys.
 */
export const judgedByOutcome = ({ by }: Pick<PadView, 'by'>): boolean =>
  by.kind === 'outcome' || by.kind === 'drive' || by.kind === 'scene' || by.kind === 'chain';

/** A miss needs a choice only where several faults of the rule book mean "not done". */
export function onlyMiss(view: Pick<PadView, 'misses'>): NamedFault | null | 'choose' {
  if (view.misses.length > 1) return 'choose';
  return view.misses[0] ?? null;
}
