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
const key = v.pipe(v.string(), v.trim(), v.minLength(1));
const often = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50));

/** What happens when something has been reached: the exercise scores nothing, or the run is over. */
const acting = v.picklist(['zero', 'end-run']);
export type Acting = v.InferOutput<typeof acting>;

/** A limit that acts: past `over` (in the cost's own unit) it is no longer a matter of points. */
const acts = v.strictObject({ over: limit, does: acting });
/** Other limits for other sizes of dog, by the id of the size. */
const bySize = v.optional(v.record(key, limit));

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
    bySize,
    usual: points,
    cap: v.optional(points),
    acts: v.optional(acts),
  }),
  v.strictObject({
    kind: v.literal('per-metre'),
    points,
    beyond: limit,
    bySize,
    usual: points,
    cap: v.optional(points),
    acts: v.optional(acts),
  }),
  v.strictObject({
    kind: v.literal('band'),
    quantity: v.picklist(['angle', 'offset', 'distance', 'latency', 'duration']),
    unit: v.string(),
    bands: v.pipe(
      v.array(v.strictObject({ over: limit, points })),
      v.minLength(1, schemaSays('rulebooks.fault-schema.needs-at-least-one-band')),
    ),
    acts: v.optional(acts),
  }),
  /** Left to the judge: a low, a usual and a high price. */
  v.strictObject({ kind: v.literal('discretion'), low: points, usual: points, high: points }),
] as const;

const zero = v.strictObject({ kind: v.literal('zero') });
const endRun = v.strictObject({ kind: v.literal('end-run') });
const major = v.strictObject({ kind: v.literal('major') });
const attempt = v.strictObject({ kind: v.literal('attempt') });
const cue = v.strictObject({ kind: v.literal('cue') });
/** Points on top, above the maximum too; what a judge gives, not what a dog loses. */
const bonus = v.strictObject({ kind: v.literal('bonus'), points, cap: v.optional(points) });

/** The kinds that families choose from. */
export const deductiveCost = v.variant('kind', [...priced, zero, endRun]);
export const pointsCost = v.variant('kind', [...priced, zero, endRun, bonus]);
export const retrieveCost = v.variant('kind', [...priced, zero, endRun, bonus, major]);
export const checklistCost = v.variant('kind', [attempt, cue, zero, endRun]);
export type Cost = v.InferOutput<typeof retrieveCost> | v.InferOutput<typeof checklistCost>;

/** A rating that is given whether the run passes or not: “insufficient” stands below the line. */
export const alsoBelow = v.optional(v.boolean());

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
  /** True where the part is tried again after it: a hurdle that was refused. */
  again: v.optional(v.boolean()),
  /** So many times it is only a warning. */
  warnings: v.optional(often),
  /** The so-manieth in one exercise zeroes it or ends the run, whatever it costs besides. */
  nth: v.optional(v.strictObject({ at: v.pipe(often, v.minValue(2)), does: acting })),
  /** Counted together over the whole run, by the id of one of the book’s `across`. */
  across: v.optional(key),
};

export type Fault = {
  readonly id: FaultKey;
  readonly title: string;
  readonly part: PartKey | null;
  readonly by: 'dog' | 'handler';
  readonly miss: boolean;
  readonly stops: boolean;
  readonly again?: boolean | undefined;
  readonly warnings?: number | undefined;
  readonly nth?: { readonly at: number; readonly does: Acting } | undefined;
  readonly across?: string | undefined;
  readonly cost: Cost;
};
