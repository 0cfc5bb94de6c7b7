import type { Load } from '@/core/planning';
import type { RuleBook } from '@/core/rulebooks';

/** A number that was set for a dog, and what a class asks beyond it. */
export type Beyond = {
  readonly of: Load;
  readonly most: number;
  readonly asked: number;
  readonly source: string;
};

/** How many jumps a class asks: each part with a height, as often as it is asked. Two hurdles and back → 4. */
export const jumpsIn = ({ exercises }: Pick<RuleBook, 'exercises'>): number =>
  exercises
    .flatMap(({ parts }) => parts)
    .filter(({ demands }) => demands.some((demand) => demand.quantity === 'height'))
    .reduce((sum, { times = 1 }) => sum + times, 0);

/**
 * The limits that a run of a class would break: numbers of a day, as the vet or the person set them. A dog of
 * 3 jumps a day in a class of 4 → one. A class says nothing of turns, upright holds and metres: those are
 * not judged here.
 */
export function beyondLimits(
  book: Pick<RuleBook, 'exercises'>,
  limits: readonly {
    readonly of: Load;
    readonly per: 'day' | 'week';
    readonly most: number;
    readonly source: string;
  }[],
): Beyond[] {
  const asked = jumpsIn(book);
  return limits.flatMap(({ of, most, source }) =>
    of === 'jumps' && asked > most ? [{ of, most, asked, source }] : [],
  );
}
