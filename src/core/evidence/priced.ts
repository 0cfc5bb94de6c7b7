import { countsAsEvidence, type EvidenceRep } from '@/core/log';
import { type FaultRef, faultText } from '@/core/rulebooks';

export type FaultCount = { readonly fault: FaultRef | null; readonly count: number };

/** What reps say of the price of a run besides how often they are clean. Counts: those of bouts add up. */
export type Priced = {
  /** Counted reps that were not clean and named one fault, two, three … */
  readonly named: readonly number[];
  /** Counted reps that were missed and of which nothing was named. */
  readonly missed: number;
  /** Clean counted reps; faults that were noted in them; and those of which so many say nothing. */
  readonly clean: number;
  readonly noted: readonly FaultCount[];
  readonly unjudged: readonly FaultCount[];
  /** Reps without an extra cue, with one, with two …, whether the dog needed it or it slipped. */
  readonly cues: readonly number[];
};

/**
 * Counts what a judge would charge beside misses and flaws. Two clean reps, in one of which a slow
 * start was noted, and one flawed rep that was late and crooked → `{ named: [0, 1], clean: 2, noted:
 * [slow × 1], … }`.
 */
export function pricedOf(reps: readonly EvidenceRep[]): Priced {
  const counted = reps.filter(countsAsEvidence);
  const clean = counted.filter((rep) => rep.outcome === 'clean');
  const flawed = counted.filter((rep) => rep.outcome !== 'clean' && rep.faults.length > 0);
  return {
    named: tally(flawed.map((rep) => rep.faults.length - 1)),
    missed: counted.filter((rep) => rep.outcome === 'miss' && rep.faults.length === 0).length,
    clean: clean.length,
    noted: faultCounts(clean.flatMap((rep) => rep.faults)),
    unjudged: faultCounts(clean.flatMap((rep) => rep.noted ?? [])),
    cues: cueCounts(reps.filter(asksACue)),
  };
}

/** No rep: nothing counted. */
export const NOTHING_PRICED: Priced = {
  named: [],
  missed: 0,
  clean: 0,
  noted: [],
  unjudged: [],
  cues: [],
};

/** Two counts together, in whichever order. */
export function addPriced(a: Priced, b: Priced): Priced {
  return {
    named: addTallies(a.named, b.named),
    missed: a.missed + b.missed,
    clean: a.clean + b.clean,
    noted: addCounts(a.noted, b.noted),
    unjudged: addCounts(a.unjudged, b.unjudged),
    cues: addTallies(a.cues, b.cues),
  };
}

const addTallies = (a: readonly number[], b: readonly number[]): number[] =>
  Array.from({ length: Math.max(a.length, b.length) }, (_, i) => (a[i] ?? 0) + (b[i] ?? 0));

/** How often each number from 0 on stands in a list. */
function tally(numbers: readonly number[]): number[] {
  const counts: number[] = [];
  for (const one of numbers) {
    while (counts.length <= one) counts.push(0);
    counts[one] = (counts[one] ?? 0) + 1;
  }
  return counts;
}

/** How often each fault was named, sorted by its text. */
export function faultCounts(faults: readonly (FaultRef | null)[]): FaultCount[] {
  return addCounts(
    faults.map((fault) => ({ fault, count: 1 })),
    [],
  );
}

function addCounts(a: readonly FaultCount[], b: readonly FaultCount[]): FaultCount[] {
  const found = new Map<string, FaultCount>();
  for (const { fault, count } of [...a, ...b]) {
    const key = fault === null ? '' : faultText(fault);
    found.set(key, { fault, count: (found.get(key)?.count ?? 0) + count });
  }
  return [...found].sort(([one], [other]) => (one < other ? -1 : 1)).map(([, count]) => count);
}

/**
 * Whether its cues say something about a trial: warm-up, easy ones and probes are asked otherwise, and a
 * rep that the handler spoiled is counted with the handler's own faults.
 */
const asksACue = (rep: EvidenceRep): boolean =>
  rep.isVoid !== true &&
  rep.returned === undefined &&
  !(rep.cause === 'handler' && rep.outcome !== 'clean') &&
  (rep.purpose ?? 'training') !== 'warm-up' &&
  rep.purpose !== 'filler' &&
  rep.purpose !== 'probe';

const cueCounts = (reps: readonly EvidenceRep[]): number[] =>
  tally(reps.map(({ cues }) => (cues?.needed ?? 0) + (cues?.slip ?? 0)));
