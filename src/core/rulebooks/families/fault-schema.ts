import * as v from 'valibot';
import { asId, type ExerciseKey, type FaultKey, type PartKey, schemaSays } from '@/core/shared';

export const text = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, schemaSays('rulebooks.fault-schema.must-not-be-empty')),
);
export const points = v.pipe(
  v.number(),
  v.finite(),
  v.gtValue(0, schemaSays('rulebooks.fault-schema.must-be-more-than-0')),
);
export const percent = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100));
export const exerciseKey = v.pipe(text, v.transform(asId<ExerciseKey>));
const limit = v.pipe(v.number(), v.finite(), v.minValue(0));

/**
 * What a fault costs, in the family's own measure (points, marks, faults). `usual` is what a judge
 * sees when the fault happens and nothing was measured; `cap` is the most that the fault costs
 * within one exercise.
 */
const priced = [
  v.strictObject({ kind: v.literal('each'), points, cap: v.optional(points) }),
  v.strictObject({ kind: v.literal('per-extra-cue'), points, usual: points, cap: v.optional(points) }),
  v.strictObject({
    kind: v.literal('per-second'),
    points,
    beyond: limit,
    usual: points,
    cap: v.optional(points),
  }),
  v.strictObject({
    kind: v.literal('per-metre'),
    points,
    beyond: limit,
    usual: points,
    cap: v.optional(points),
  }),
  v.strictObject({
    kind: v.literal('band'),
    quantity: v.picklist(['angle', 'offset', 'distance', 'latency', 'duration']),
    unit: v.string(),
    bands: v.pipe(
      v.array(v.strictObject({ over: limit, points })),
      v.minLength(1, schemaSays('rulebooks.fault-schema.needs-at-least-one-band')),
    ),
  }),
  /** Left to the judge: a low, a usual and a high price. */
  v.strictObject({ kind: v.literal('discretion'), low: points, usual: points, high: points }),
] as const;

const zero = v.strictObject({ kind: v.literal('zero') });
const endRun = v.strictObject({ kind: v.literal('end-run') });
const major = v.strictObject({ kind: v.literal('major') });
const attempt = v.strictObject({ kind: v.literal('attempt') });
const cue = v.strictObject({ kind: v.literal('cue') });

/** The kinds that families choose from. */
export const deductiveCost = v.variant('kind', [...priced, zero, endRun]);
export const retrieveCost = v.variant('kind', [...priced, zero, endRun, major]);
export const checklistCost = v.variant('kind', [attempt, cue, zero, endRun]);
export type Cost = v.InferOutput<typeof retrieveCost> | v.InferOutput<typeof checklistCost>;

/** What every fault has, whatever it costs. */
export const faultEntries = {
  id: v.pipe(text, v.transform(asId<FaultKey>)),
  title: text,
  /** The part it belongs to, or null when it can happen anywhere in the exercise. */
  part: v.nullable(v.pipe(text, v.transform(asId<PartKey>))),
  by: v.picklist(['dog', 'handler']),
  /** True when this is what the judge writes if the dog does not do the part at all. */
  miss: v.boolean(),
  /** True when the rest of the exercise cannot be done after it. Zero and end-run imply it. */
  stops: v.boolean(),
};

export type Fault = {
  readonly id: FaultKey;
  readonly title: string;
  readonly part: PartKey | null;
  readonly by: 'dog' | 'handler';
  readonly miss: boolean;
  readonly stops: boolean;
  readonly cost: Cost;
};
