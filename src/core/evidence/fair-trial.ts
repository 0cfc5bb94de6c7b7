import { countsAsEvidence, type EvidenceRep } from '@/core/log';

/** Blocks of two of one fair trial: in how many only the one was clean, only the other, or both went alike. */
export type Pairs = {
  readonly trial: string;
  readonly options: readonly [string, string];
  readonly first: number;
  readonly second: number;
  readonly alike: number;
};

/** So strong must the evidence be: looked at after every pair, it is wrong at most one time in twenty. */
const SETTLED = 20;

export type FairVerdict = Pairs & {
  /** How many times likelier what happened is if the two differ. */
  readonly evidence: number;
  readonly better: string | null;
};

/**
 * The tossed blocks of a bout: two reps one after the other, at like criteria, one of each option, both of
 * which count. Ball and food, tossed, clean and missed → `{ first: 1, second: 0, alike: 0 }`.
 */
export function pairsOf(sorted: readonly EvidenceRep[]): Pairs[] {
  const trials = [...new Set(sorted.flatMap((rep) => Object.keys(rep.tosses ?? {})))].sort();
  return trials.flatMap((trial) => {
    const mine = sorted.filter((rep) => rep.tosses?.[trial] !== undefined);
    const found = new Map<string, Pairs>();
    for (let i = 0; i + 1 < mine.length; i++) {
      const [one, other] = [mine[i] as EvidenceRep, mine[i + 1] as EvidenceRep];
      if (!isBlock(one, other, trial)) continue;
      i += 1;
      if (!countsAsEvidence(one) || !countsAsEvidence(other)) continue;
      const [a, b] = [one, other].sort((x, y) =>
        (x.tosses?.[trial] as string) < (y.tosses?.[trial] as string) ? -1 : 1,
      ) as [EvidenceRep, EvidenceRep];
      const options = [a.tosses?.[trial] as string, b.tosses?.[trial] as string] as const;
      const key = JSON.stringify(options);
      const known = found.get(key) ?? { trial, options, first: 0, second: 0, alike: 0 };
      const [isA, isB] = [a.outcome === 'clean', b.outcome === 'clean'];
      found.set(key, {
        ...known,
        first: known.first + (isA && !isB ? 1 : 0),
        second: known.second + (isB && !isA ? 1 : 0),
        alike: known.alike + (isA === isB ? 1 : 0),
      });
    }
    return [...found.values()];
  });
}

const isBlock = (one: EvidenceRep, other: EvidenceRep, trial: string): boolean =>
  one.tosses?.[trial] !== other.tosses?.[trial] &&
  JSON.stringify(Object.entries(one.criteria).sort()) ===
    JSON.stringify(Object.entries(other.criteria).sort());

/**
 * What a fair trial has shown so far: of the pairs that differ, a to b, E = 2ⁿ ∫ pᵃ (1 − p)ᵇ dp = 2ⁿ a! b! /
 * (n + 1)!, a mixture that under no difference is a fair game, so that it ever reaches 20 in at most one trial
 * of twenty, whenever and however often one looks (Ville 1939; Robbins 1970). Eight to none → 28.4, settled.
 */
export function fairVerdicts(bouts: readonly { readonly pairs: readonly Pairs[] }[]): FairVerdict[] {
  const sums = new Map<string, Pairs>();
  for (const pair of bouts.flatMap((one) => one.pairs)) {
    const key = JSON.stringify([pair.trial, pair.options]);
    const known = sums.get(key) ?? { ...pair, first: 0, second: 0, alike: 0 };
    sums.set(key, {
      ...known,
      first: known.first + pair.first,
      second: known.second + pair.second,
      alike: known.alike + pair.alike,
    });
  }
  return [...sums.values()].map((pairs) => {
    const { first, second, options } = pairs;
    const evidence = mixture(first, second);
    const better = evidence < SETTLED ? null : first > second ? options[0] : options[1];
    return { ...pairs, evidence, better };
  });
}

function mixture(a: number, b: number): number {
  let log = (a + b) * Math.LN2;
  // a! b! / (a + b + 1)! as a product, without factorials.
  for (let k = 1; k <= b; k++) log += Math.log(k) - Math.log(a + k);
  return Math.exp(log - Math.log(a + b + 1));
}
