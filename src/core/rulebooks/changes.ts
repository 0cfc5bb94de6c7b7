import type { ExerciseKey, PartKey, Sentence } from '@/core/shared';

/** One difference between two editions, in words with its numbers, and where it bites. */
export type Change = {
  readonly kind: 'added' | 'removed' | 'changed';
  readonly area: 'exercise' | 'part' | 'demand' | 'fault' | 'pass' | 'award' | 'class' | 'text';
  readonly exercise: ExerciseKey | null;
  readonly part: PartKey | null;
  readonly words: Sentence;
};

export type Where = Pick<Change, 'exercise' | 'part'>;
export const NOWHERE: Where = { exercise: null, part: null };

export function lists(
  before: readonly Sentence[],
  after: readonly Sentence[],
  area: Change['area'],
  of: (line: Sentence) => Sentence,
): Change[] {
  const has = (list: readonly Sentence[], line: Sentence): boolean => list.some((one) => same(one, line));
  return [
    ...after.filter((line) => !has(before, line)).map((line) => added(area, NOWHERE, of(line))),
    ...before.filter((line) => !has(after, line)).map((line) => removed(area, NOWHERE, of(line))),
  ];
}

/** Two sentences say the same where they are the same message with the same values. */
export const same = (a: Sentence, b: Sentence): boolean => JSON.stringify(a) === JSON.stringify(b);
export const at = (exercise: ExerciseKey, part: PartKey | null = null): Where => ({ exercise, part });
export const added = (area: Change['area'], where: Where, words: Sentence): Change => ({
  kind: 'added',
  area,
  ...where,
  words,
});
export const removed = (area: Change['area'], where: Where, words: Sentence): Change => ({
  kind: 'removed',
  area,
  ...where,
  words,
});
export const changed = (area: Change['area'], where: Where, words: Sentence): Change => ({
  kind: 'changed',
  area,
  ...where,
  words,
});
