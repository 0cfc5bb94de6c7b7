import * as v from 'valibot';
import { schemaSays } from '@/core/shared';
import { alsoBelow, deductiveCost, exerciseKey, faultEntries, percent, points, text } from './fault-schema';

const judges = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(9));
/** Weights go by halves: 1, 1.5, 2 … */
const coefficient = v.pipe(
  v.number(),
  v.multipleOf(0.5, schemaSays('rulebooks.weighted-marks.must-go-by-halves')),
  v.minValue(0.5, schemaSays('rulebooks.weighted-marks.must-be-a-half-or-more')),
  v.maxValue(20),
);
const share = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(100));
const mark = v.pipe(v.number(), v.minValue(0), v.maxValue(100));

export const weightedMarksSchema = v.strictObject({
  family: v.literal('weighted-marks'),
  /** The smallest step of a mark, usually 0.5, and the best mark, 10 where nothing is said. */
  smallestMark: points,
  top: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100))),
  judges,
  /** With three judges or more: the highest and the lowest mark of each exercise do not count. */
  dropExtremes: v.boolean(),
  /**
   * What is marked apart in every exercise, each by a panel of its own, with the least mean over the
   * run; one panel marks the whole where there is none.
   */
  categories: v.optional(
    v.pipe(
      v.array(v.strictObject({ id: text, title: text, coefficient, judges, atLeast: v.optional(mark) })),
      v.minLength(1),
    ),
  ),
  /** A 0 from every judge of an exercise (or category of it) is out. */
  zeroIsOut: v.optional(v.boolean()),
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      coefficient,
      /** The least mark of this exercise. */
      atLeast: v.optional(mark),
      /** Where there are categories each fault says of which. */
      faults: v.array(v.strictObject({ ...faultEntries, category: v.optional(text), cost: deductiveCost })),
    }),
  ),
  pass: v.strictObject({ percent, eachMark: v.nullable(mark) }),
  awards: v.array(v.strictObject({ title: text, percent: share, alsoBelow })),
});
export type WeightedMarks = v.InferOutput<typeof weightedMarksSchema>;

/** What one panel marks: the whole exercise (id ''), or a category of it. */
export type Panel = {
  readonly id: string;
  readonly title: string;
  readonly weight: number;
  readonly judges: number;
  /** Judges whose marks count. */
  readonly counted: number;
  readonly atLeast: number | null;
};

export function panelsOf(rules: WeightedMarks): Panel[] {
  const counted = (judging: number): number => (rules.dropExtremes ? judging - 2 : judging);
  if (rules.categories === undefined) {
    const panel = { id: '', title: '', weight: 1, judges: rules.judges, atLeast: null };
    return [{ ...panel, counted: counted(rules.judges) }];
  }
  return rules.categories.map(({ id, title, coefficient: weight, judges: judging, atLeast = null }) => ({
    id,
    title,
    weight,
    judges: judging,
    counted: counted(judging),
    atLeast,
  }));
}

export const topOf = (rules: WeightedMarks): number => rules.top ?? 10;
const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
const commonMultiple = (values: readonly number[]): number =>
  values.reduce((all, one) => (all * one) / divisor(all, one), 1);

/**
 * How many units one step of a judge’s mark is, by panel and exercise, and how many a step of the
 * score is. A step of the score is a step of a mark over the counting judges (over the least common
 * multiple of all panels’) and over 2 or 4 where weights are halves, so that all stays whole.
 */
export function gridOf(rules: WeightedMarks, panels: readonly Panel[]) {
  const judging = commonMultiple(panels.map((panel) => Math.max(1, panel.counted)));
  const weights = rules.exercises.flatMap((exercise) =>
    panels.map((panel) => exercise.coefficient * panel.weight),
  );
  const parts = [1, 2, 4].find((part) => weights.every((weight) => Number.isInteger(weight * part))) ?? 4;
  return {
    pointsPerUnit: rules.smallestMark / (judging * parts),
    /** Units of one judge’s smallest step. */
    step: (panel: Panel, e: number): number =>
      ((rules.exercises[e]?.coefficient ?? 1) * panel.weight * parts * judging) / Math.max(1, panel.counted),
  };
}
