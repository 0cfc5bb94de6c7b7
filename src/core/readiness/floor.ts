import type { ElementId } from '@/core/shared';
import type { ClassEvidence } from './class-evidence';

/** Why there is no number yet: pieces without a counted rep, and how many reps there are in all. */
export type Floor = { readonly untouched: readonly ElementId[]; readonly counted: number };

/** Fewer counted reps in a whole class say nothing of it. */
export const FEWEST = 10;

/**
 * What a class is short of before anything is said of passing it: null where every piece has a counted rep
 * and the class has ten. A class of four pieces, one never tried, 80 reps → that piece, 80.
 */
export function floorOf({
  exercises,
  elements,
}: Pick<ClassEvidence, 'exercises' | 'elements'>): Floor | null {
  const used = new Set(exercises.flatMap((exercise) => exercise.parts.map((part) => part.element)));
  // A class that is not broken down at all is refused elsewhere.
  if (used.size === 0) return null;
  const counts = elements
    .filter(({ id }) => used.has(id))
    .map(({ id, bouts }) => ({ id, counted: bouts.reduce((sum, bout) => sum + bout.counted, 0) }));
  const untouched = counts.flatMap(({ id, counted }) => (counted === 0 ? [id] : []));
  const counted = counts.reduce((sum, one) => sum + one.counted, 0);
  return untouched.length === 0 && counted >= FEWEST ? null : { untouched, counted };
}
