import type { Axis } from '@/core/breakdown';
import { WORD_CHIP } from '@/core/log';
import type { BoutEvidence } from './bout-evidence';

/** How far one word of a mix is answered: the farthest value with most of its reps clean. */
export type WordReach = {
  readonly word: string;
  /** On the axis that was asked about, in base units. */
  readonly value: number;
  readonly reps: number;
  readonly clean: number;
};

/** So many clean reps at a value, and that share of them, before a word is said to reach it. */
const LEAST = 2;
const SHARE = 0.8;

/**
 * What each word of a mix reaches by itself, by its counted reps at each value of the axis: "drop" five
 * of six at 8 m and "sit" two of two at 2 m → drop 8, sit 2. Words that reach no value are left out.
 */
export function wordReach(
  bouts: readonly Pick<BoutEvidence, 'cells'>[],
  axis: Pick<Axis, 'key' | 'start'>,
): WordReach[] {
  const found = new Map<string, Map<number, { reps: number; clean: number }>>();
  for (const { criteria, conditions, clean, notClean } of bouts.flatMap((one) => one.cells)) {
    const word = conditions[WORD_CHIP];
    if (word === undefined) continue;
    const values = found.get(word) ?? new Map();
    const value = criteria[axis.key] ?? axis.start;
    const sum = values.get(value) ?? { reps: 0, clean: 0 };
    values.set(value, { reps: sum.reps + clean + notClean, clean: sum.clean + clean });
    found.set(word, values);
  }
  return [...found].sort().flatMap(([word, values]) => {
    const reached = [...values].filter(([, { reps, clean }]) => clean >= LEAST && clean / reps >= SHARE);
    const farthest = reached.sort(([a], [b]) => b - a)[0];
    return farthest ? [{ word, value: farthest[0], ...farthest[1] }] : [];
  });
}
