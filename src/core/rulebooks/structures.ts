import * as v from 'valibot';
import { asId, type ExerciseKey, type SizeKey } from '@/core/shared';
import { points, text } from './families/fault-schema';

const count = (least: number, most: number) =>
  v.pipe(v.number(), v.integer(), v.minValue(least), v.maxValue(most));
const exerciseId = v.pipe(text, v.transform(asId<ExerciseKey>));
const acting = v.picklist(['zero', 'end-run']);
const height = v.strictObject({ value: points, unit: v.string() });

/**
 * What rule books of any family can have besides exercises and costs. Every key may be left out, and
 * then there is no such thing; `checkStructures` says what a family cannot do with it.
 */
export const structureEntries = {
  /** Classes of height, the lowest first; `under` is where the next begins, null for the highest. */
  sizes: v.optional(
    v.array(
      v.strictObject({
        id: v.pipe(text, v.transform(asId<SizeKey>)),
        title: text,
        under: v.nullable(height),
      }),
    ),
  ),
  /** Groups of exercises with a least number of points of their own. */
  phases: v.optional(
    v.array(
      v.strictObject({
        title: text,
        exercises: v.pipe(v.array(exerciseId), v.minLength(1)),
        atLeast: points,
      }),
    ),
  ),
  /** Faults that are counted over the whole run: a cap on their points, warnings first, the n-th acts. */
  across: v.optional(
    v.array(
      v.strictObject({
        id: text,
        title: text,
        cap: v.optional(points),
        warnings: v.optional(count(1, 50)),
        nth: v.optional(v.strictObject({ at: count(2, 50), does: acting })),
      }),
    ),
  ),
  /** The class is run several times: the best run counts, or every one has to pass. */
  runs: v.optional(v.strictObject({ count: count(2, 5), counts: v.picklist(['best', 'every']) })),
  /** What is drawn on the day. */
  drawn: v.optional(v.array(v.picklist(['order', 'sides', 'variants']))),
  /** Equal scores are told apart by these, the first first. */
  ties: v.optional(
    v.array(
      v.variant('by', [
        v.strictObject({ by: v.literal('exercise'), exercise: exerciseId }),
        v.strictObject({ by: v.literal('phase'), phase: text }),
        v.strictObject({ by: v.literal('faults') }),
        v.strictObject({ by: v.literal('time') }),
        v.strictObject({ by: v.literal('run-off') }),
        v.strictObject({ by: v.literal('draw') }),
      ]),
    ),
  ),
  /** Of a row of classes, each harder than the one before: the name of the row, and this one’s place in it, from 1. */
  series: v.optional(v.strictObject({ of: text, place: count(1, 50) })),
  /** Who may enter. */
  entry: v.optional(
    v.strictObject({
      months: v.optional(count(1, 240)),
      tallest: v.optional(height),
      smallest: v.optional(height),
      before: v.optional(v.array(text)),
    }),
  ),
  /** A title that several passes earn: under so many judges, within so many months, with what was held before. */
  earns: v.optional(
    v.strictObject({
      title: text,
      passes: count(1, 50),
      judges: count(1, 50),
      months: v.optional(count(1, 240)),
      before: v.optional(v.array(text)),
    }),
  ),
};
const structures = v.strictObject(structureEntries);
export type Structures = v.InferOutput<typeof structures>;
export type Across = NonNullable<Structures['across']>[number];
