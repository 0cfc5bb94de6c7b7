import { type Axis, type Criteria, sameCriteria } from '@/core/breakdown';
import type { Timing } from '@/core/coaching';
import { type Cause, countsAsEvidence, type EvidenceRep } from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import { type BoutId, type Day, printOf } from '@/core/shared';
import { type BoutCells, cellsOf, inKeyOrder } from './bout-cells';
import { type Pairs, pairsOf } from './fair-trial';
import { type Clean, cleanOf, type HabitCounts, habitCounts } from './habit-counts';
import { byEye, type Deviation } from './precision';
import { type FaultCount, faultCounts, type Priced, pricedOf } from './priced';

/**
 * Raised whenever the meaning of a rep changes, so that what was kept under an older one is made anew
 * from the log.
 */
export const MEANING = 6;

/** One rep as a history draws it; `on` is a place in `asked`. */
export type KeptMark = {
  readonly id: string;
  readonly outcome: EvidenceRep['outcome'];
  readonly cause: Cause;
  readonly aided: boolean;
  readonly fault: FaultRef | null;
  readonly on: number;
};

/**
 * All that one bout says as evidence, exactly: nothing that is asked of an element needs its reps
 * again. Bouts of any number add up (`summarise`, `habitsOf` …), each in its own order.
 */
export type BoutEvidence = BoutCells & {
  /** A print of all the rest: bouts are told apart by it wherever much is asked of many. */
  readonly print: string;
  readonly bout: BoutId;
  readonly day: Day;
  /** When its first rep was, for the order within a day; 0 without one. */
  readonly begun: number;
  /** All that stand, and those of them that count. */
  readonly reps: number;
  readonly counted: number;
  /** Faults of counted reps that were not clean; one that names several counts once for each. */
  readonly faults: readonly FaultCount[];
  /** Reps spoiled by the handler, by the fault named first, out of all reps. */
  readonly handlerFaults: readonly FaultCount[];
  /** Counted reps that were said to be paid, and said not to be. */
  readonly paid: Clean;
  readonly unpaid: Clean;
  readonly rehearsed: number;
  /** Seconds to the answer of counted reps, and how many were waited for in vain. */
  readonly times: readonly number[];
  readonly waited: number;
  readonly holds: readonly { readonly seconds: number; readonly endedBy: 'dog' | 'handler' }[];
  readonly turns: readonly Deviation[];
  /** Metres off the place or line of counted reps, where measured. */
  readonly offsets: readonly number[];
  readonly priced: Priced;
  /** Blocks of two of fair trials, both halves counted, by their trial. */
  readonly pairs: readonly Pairs[];
  /** Silent tests after a gap, and other probes: shown apart, never averaged with training. */
  readonly probes: Clean;
  /** Answers by when they came, where a new cue takes over from an old prompt. */
  readonly timings: Readonly<Partial<Record<Timing, number>>>;
  readonly habits: HabitCounts;
  /** Its length, from its first rep to its last and one rep's time more; null where nothing tells. */
  readonly minutes: number | null;
};

/** The reps of a bout as a history draws them, with the different criteria that were asked, in order. */
export type DrawnBout = { readonly asked: readonly Criteria[]; readonly marks: readonly KeptMark[] };

/**
 * What the standing reps of one bout say, in the order in which they were done; pure counting. One
 * clean rep of 2 s → `{ reps: 1, counted: 1, cells: [{ clean: 1, notClean: 0, … }], times: [2], … }`.
 */
export function weighBout(
  { id, day }: { readonly id: BoutId; readonly day: Day },
  reps: readonly EvidenceRep[],
): BoutEvidence {
  const sorted = inTime(reps);
  const counted = sorted.filter(countsAsEvidence);
  const said = {
    bout: id,
    day,
    begun: sorted[0]?.at ?? 0,
    reps: sorted.length,
    counted: counted.length,
    ...cellsOf(sorted, counted),
    faults: faultCounts(counted.flatMap((rep) => (rep.outcome === 'clean' ? [] : rep.faults))),
    handlerFaults: faultCounts(
      sorted.flatMap((rep) =>
        rep.cause === 'handler' && rep.outcome !== 'clean' ? [rep.faults[0] ?? null] : [],
      ),
    ),
    paid: cleanOf(counted.filter((rep) => rep.pay !== undefined && rep.pay !== 'none')),
    unpaid: cleanOf(counted.filter((rep) => rep.pay === 'none')),
    rehearsed: counted.filter((rep) => rep.purpose === 'rehearsal').length,
    times: counted.flatMap((rep) => (typeof rep.latency === 'number' ? [rep.latency] : [])),
    // A plain miss is no late answer: refusals belong to the chance of a clean rep, and counted here too
    // they would be counted twice.
    waited: counted.filter((rep) => rep.timing === 'none' && typeof rep.latency !== 'number').length,
    // One that the handler ended early is neither clean nor not, and lasted so long at least.
    holds: sorted.flatMap((rep) => {
      if (rep.held === undefined) return [];
      if (rep.endedBy === 'handler' && rep.isVoid)
        return [{ seconds: rep.held, endedBy: 'handler' as const }];
      if (!countsAsEvidence(rep)) return [];
      const ended = rep.outcome === 'clean' || rep.endedBy === 'handler' ? 'handler' : 'dog';
      return [{ seconds: rep.held, endedBy: ended as 'handler' | 'dog' }];
    }),
    turns: counted.flatMap(deviationOf),
    offsets: counted.flatMap((rep) => (rep.offset === undefined ? [] : [Math.abs(rep.offset)])),
    priced: pricedOf(sorted),
    pairs: pairsOf(sorted),
    probes: cleanOf(sorted.filter((rep) => rep.purpose === 'probe' && rep.isVoid !== true)),
    timings: timingsOf(sorted),
    habits: habitCounts(sorted, counted),
    minutes: minutesOf(sorted),
  };
  return { print: printOf(said), ...said };
}

/** Standing reps as a history draws them. One clean rep → `{ asked: [its criteria], marks: [{ on: 0, … }] }`. */
export function drawBout(reps: readonly EvidenceRep[]): DrawnBout {
  const asked = new Map<string, { readonly place: number; readonly criteria: Criteria }>();
  const marks = inTime(reps).map(({ id, outcome, cause, aided, faults, criteria }): KeptMark => {
    const key = JSON.stringify(inKeyOrder(criteria));
    const on = asked.get(key)?.place ?? asked.size;
    asked.set(key, { place: on, criteria });
    return { id, outcome, cause, aided, fault: faults[0] ?? null, on };
  });
  return { asked: [...asked.values()].map((one) => one.criteria), marks };
}

const inTime = (reps: readonly EvidenceRep[]): EvidenceRep[] =>
  [...reps].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));

/**
 * Counted reps at one set of criteria, over all bouts and conditions; axes that were not asked then
 * count at their start. Two clean and one flawed rep at 5 m → `{ reps: 3, clean: 2 }`.
 */
export function tallyAt(
  bouts: readonly Pick<BoutEvidence, 'cells'>[],
  axes: readonly Axis[],
  criteria: Criteria,
): Clean {
  const cells = bouts
    .flatMap((one) => one.cells)
    .filter((cell) => sameCriteria(axes, cell.criteria, criteria));
  const clean = cells.reduce((sum, cell) => sum + cell.clean, 0);
  return { reps: clean + cells.reduce((sum, cell) => sum + cell.notClean, 0), clean };
}

/** How far a rep deviated, degrees: as measured, else by eye, else nothing (an empty list). */
function deviationOf(rep: EvidenceRep): Deviation[] {
  if (rep.measured !== undefined) return [{ from: rep.measured, to: rep.measured }];
  return rep.crooked === undefined ? [] : [byEye(rep.crooked)];
}

function timingsOf(sorted: readonly EvidenceRep[]): BoutEvidence['timings'] {
  const found: Partial<Record<Timing, number>> = {};
  for (const { timing } of sorted) if (timing) found[timing] = (found[timing] ?? 0) + 1;
  return found;
}

/** Reps typed from paper keep an order, not an hour: a bout that has one tells no minutes. */
function minutesOf(sorted: readonly EvidenceRep[]): number | null {
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last || sorted.some((rep) => rep.timed === false)) return null;
  const span = (last.at - first.at) / 60_000;
  return sorted.length > 1 && span > 0 ? (span * sorted.length) / (sorted.length - 1) : null;
}
