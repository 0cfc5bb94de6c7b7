import * as v from 'valibot';
import { type AxisKey, asId, asLevel, findUnit, type Quantity, schemaSays } from '@/core/shared';

const positive = v.pipe(
  v.number(),
  v.finite(),
  v.gtValue(0, schemaSays('breakdown.axis.must-be-more-than-0')),
);
const finite = v.pipe(v.number(), v.finite());

/** What an axis can be measured in. */
export const AXIS_QUANTITIES = [
  'distance',
  'duration',
  'latency',
  'angle',
  'offset',
  'height',
  'area',
  'volume',
  'mass',
  'rate',
  'count',
  'level',
] as const satisfies readonly Quantity[];

/**
 * One criterion axis of an element. Values are in base units (m, s, °), shown and rounded in `unit`, the one
 * that was typed. `step` and `limit` are shares where shares are climbed (0.25 = a quarter harder) and base
 * units elsewhere; `step` is the most that a step of the ladder is, `limit` what one set by hand may not
 * exceed.
 */
export const axisSchema = v.pipe(
  v.strictObject({
    key: v.pipe(v.string(), v.minLength(1), v.transform(asId<AxisKey>)),
    title: v.pipe(v.string(), v.trim(), v.minLength(1)),
    quantity: v.picklist(AXIS_QUANTITIES),
    unit: v.string(),
    /**
     * `both`: a signed axis, easy at 0 and harder to either side (+ is to the dog's right); start
     * and demand are how far to each.
     */
    harder: v.picklist(['more', 'less', 'both']),
    /**
     * Help (prompt, lead, visible food) and pay are axes too; the field shows them as what a rung
     * allows.
     */
    role: v.picklist(['criterion', 'help', 'pay']),
    /**
     * The steps of an ordered list from the easiest on, each with words that two people would judge
     * alike; null for numbers.
     */
    levels: v.nullable(
      v.pipe(
        v.array(
          v.strictObject({
            id: v.pipe(v.number(), v.integer(), v.minValue(0), v.transform(asLevel)),
            name: v.pipe(v.string(), v.trim(), v.minLength(1)),
            anchor: v.string(),
          }),
        ),
        v.minLength(2, schemaSays('breakdown.axis.an-ordered-list-needs-two-steps')),
        v.check(
          (levels) => new Set(levels.map((one) => one.id)).size === levels.length,
          schemaSays('breakdown.axis.two-steps-share-an-id'),
        ),
      ),
    ),
    start: finite,
    demand: finite,
    step: positive,
    limit: positive,
    /**
     * The value that counts as "one start" where the start is 0 on a ratio axis: log(1 + x /
     * zeroScale). Null elsewhere.
     */
    zeroScale: v.nullable(positive),
    /**
     * How far beyond the demand proof goes, as a share of it: 0.2 = 120 % of a distance, the demand
     * / 1.2 of a time to be short.
     */
    margin: v.pipe(v.number(), v.minValue(0), v.maxValue(2)),
    /** Up to two axes that ease for the rung on which this one is raised. */
    eases: v.pipe(
      v.array(v.pipe(v.string(), v.transform(asId<AxisKey>))),
      v.maxLength(2, schemaSays('breakdown.axis.at-most-two-axes-ease-at-once')),
    ),
    /**
     * A value this dog must not go beyond, and who says so (the vet, the rules); null where nobody
     * does.
     */
    safety: v.nullable(
      v.strictObject({
        value: finite,
        source: v.pipe(
          v.string(),
          v.trim(),
          v.minLength(1, schemaSays('breakdown.axis.say-who-set-the-limit')),
        ),
      }),
    ),
    /** Steps of one amount ("+5 yd") where shares are usual: `step` and `limit` are base units then. */
    equal: v.exactOptional(v.boolean()),
    /** The sizes that the person owns (tubs, hurdles), in base units: they are the rungs. Empty for none. */
    sizes: v.exactOptional(v.array(finite)),
    /** What this axis is never eased below while another one is raised. */
    floor: v.exactOptional(finite),
    /** An offset that is measured in each rep (how far from the place), not set up (a gap, a lane). */
    measured: v.exactOptional(v.boolean()),
  }),
  v.check(
    (axis) => findUnit(axis.quantity, axis.unit).ok,
    schemaSays('breakdown.axis.the-unit-is-not-one-of-the'),
  ),
  v.check(
    (axis) => axis.levels === null || (axis.quantity === 'level' && axis.harder === 'more'),
    schemaSays('breakdown.axis.an-ordered-list-is-a-level-listed'),
  ),
  v.check(
    (axis) => axis.harder !== 'both' || axis.quantity === 'angle' || axis.quantity === 'offset',
    schemaSays('breakdown.axis.only-an-angle-or-an-offset-has-two'),
  ),
);

export type Axis = v.InferOutput<typeof axisSchema>;

/**
 * Ratio axes climb by equal ratios (lengths and times: 20 → 25 m is as much as 4 → 5 m), even axes
 * by equal amounts.
 */
const RATIO: Readonly<Record<Axis['quantity'], boolean>> & Partial<Record<Quantity, boolean>> = {
  distance: true,
  duration: true,
  latency: true,
  offset: true,
  area: true,
  volume: true,
  mass: true,
  rate: true,
  angle: false,
  height: false,
  count: false,
  level: false,
};

/**
 * Whether steps along this axis are shares of a value (metres, seconds), not equal amounts
 * (levels, counts, degrees). Distance → true; levels → false.
 */
export function isRatioAxis(axis: Pick<Axis, 'quantity'>): boolean {
  return RATIO[axis.quantity];
}

/** Whether `step` and `limit` of this axis are shares ("+25 %"), not amounts ("+5 yd", one more). */
export const climbsByShares = (axis: Pick<Axis, 'quantity' | 'equal'>): boolean =>
  isRatioAxis(axis) && axis.equal !== true;

/** The place of a step on its list, from 0; −1 for a step that is not on it. */
export const levelPlace = (levels: NonNullable<Axis['levels']>, id: number): number =>
  levels.findIndex((level) => level.id === id);
