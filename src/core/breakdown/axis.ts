import * as v from 'valibot';
import {
  type AxisKey,
  asId,
  asLevel,
  type Failure,
  fail,
  findUnit,
  ok,
  parseOne,
  type Quantity,
  type Result,
  type Sentence,
  say,
  schemaSays,
} from '@/core/shared';

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
 * One criterion axis of an element. Values are in base units (m, s, °). `step` and `limit` are
 * ratios on ratio axes (0.25 = a quarter harder) and base units on even ones; `step` is what the
 * ladder aims at, `limit` what it may not exceed.
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

/**
 * A monotone map between values (base units) and difficulty: 0 at the start, 1 at the demand,
 * beyond 1 past it.
 */
export type Scale = {
  readonly held: boolean;
  readonly difficulty: (value: number) => number;
  readonly value: (difficulty: number) => number;
};

/**
 * The axis's difficulty scale. Held axes (start = demand) have difficulty 0 everywhere. Fails with
 * `zero-scale` (a ratio axis touches 0 without a zero scale), `negative` or `direction` (the start
 * lies beyond the demand). Example: distance 5 → 20 m, `difficulty(10)` → 0.5.
 */
export function axisScale(axis: Axis): Result<Scale> {
  const { start, demand, harder, title } = axis;
  const misplaced = levelProblem(axis);
  if (misplaced !== null) return fail('level', axis.key, misplaced);
  if (harder === 'both') return bothSides(axis);
  if (start === demand) return ok({ held: true, difficulty: () => 0, value: () => start });
  if (axis.levels !== null) return listScale(axis, axis.levels);
  if (demand > start !== (harder === 'more')) return tooHard(axis);
  if (!isRatioAxis(axis))
    return ok(
      between(
        axis,
        (x) => x,
        (t) => t,
      ),
    );
  if (Math.min(start, demand) < 0)
    return fail(
      'negative',
      axis.key,
      say('breakdown.axis.a-cannot-be-below-0', { title, quantity: axis.quantity }),
    );
  if (axis.zeroScale !== null) {
    const zero = axis.zeroScale;
    return ok(
      between(
        axis,
        (x) => Math.log1p(x / zero),
        (t) => zero * Math.expm1(t),
      ),
    );
  }
  if (Math.min(start, demand) === 0)
    return fail('zero-scale', axis.key, say('breakdown.axis.the-way-from-0-has-no-ratio-say', { title }));
  return ok(between(axis, Math.log, Math.exp));
}

/** The place of a step on its list, from 0; −1 for a step that is not on it. */
export const levelPlace = (levels: NonNullable<Axis['levels']>, id: number): number =>
  levels.findIndex((level) => level.id === id);

/** A list climbs place by place; between two steps the nearer one is meant. */
function listScale(axis: Axis, levels: NonNullable<Axis['levels']>): Result<Scale> {
  const last = levels.length - 1;
  if (levelPlace(levels, axis.demand) < levelPlace(levels, axis.start)) return tooHard(axis);
  const placeOf = (id: number): number => {
    const place = levelPlace(levels, id);
    return place < 0 ? Number.NaN : place;
  };
  const idAt = (place: number): number =>
    levels[Math.min(last, Math.max(0, Math.round(place)))]?.id ?? axis.start;
  return ok(between(axis, placeOf, idAt));
}

const tooHard = ({ key, title }: Axis): Failure =>
  fail('direction', key, say('breakdown.axis.the-start-is-already-harder-than', { title }));

/**
 * A signed axis is as hard as it is far from 0, on either side. Its values come back on the right;
 * the ladder lays them on both.
 */
function bothSides(axis: Axis): Result<Scale> {
  if (axis.start < 0 || axis.demand < 0)
    return fail(
      'negative',
      axis.key,
      say('breakdown.axis.say-how-far-to-each-side-both', { title: axis.title }),
    );
  const scale = axisScale({ ...axis, harder: 'more' });
  if (!scale.ok) return scale;
  const { difficulty } = scale.value;
  return ok({ ...scale.value, difficulty: (value) => difficulty(Math.abs(value)) });
}

function levelProblem({ levels, start, demand, title }: Axis): Sentence | null {
  if (levels === null) return null;
  const fits = (id: number): boolean => levelPlace(levels, id) >= 0;
  return fits(start) && fits(demand)
    ? null
    : say('breakdown.axis.start-and-demand-must-be-steps-of', { title, levelsCount: levels.length });
}

function between(axis: Axis, forward: (x: number) => number, back: (t: number) => number): Scale {
  const low = forward(axis.start);
  const span = forward(axis.demand) - low;
  return {
    held: false,
    difficulty: (value) => (forward(value) - low) / span,
    value: (difficulty) => back(low + difficulty * span),
  };
}

/**
 * The value at the end of the proof margin, in base units: a demand of 20 m with margin 0.2 is
 * proved at 24 m, one of 2 s at 1.67 s. A list ends with its last step.
 */
export function proofValue(axis: Pick<Axis, 'demand' | 'margin' | 'harder' | 'levels'>): number {
  if (axis.levels !== null) return axis.demand;
  return axis.harder === 'less' ? axis.demand / (1 + axis.margin) : axis.demand * (1 + axis.margin);
}

/**
 * How big a step is, as the axis counts it: a ratio − 1 on ratio axes (20 → 25 m is 0.25; 2 → 1.6
 * s, harder downwards, is
 * 0.25 too), an amount in base units on even ones. Positive means harder.
 */
export function stepSize(axis: Axis, from: number, to: number): number {
  if (axis.harder === 'both') return stepSize({ ...axis, harder: 'more' }, Math.abs(from), Math.abs(to));
  if (axis.levels !== null) return levelPlace(axis.levels, to) - levelPlace(axis.levels, from);
  const sign = axis.harder === 'more' ? 1 : -1;
  if (!isRatioAxis(axis)) return (to - from) * sign;
  const zero = axis.zeroScale ?? 0;
  const ratio = (to + zero) / (from + zero);
  return sign > 0 ? ratio - 1 : 1 / ratio - 1;
}

const levelNamed = (name: string | undefined): Sentence =>
  name === undefined ? say('breakdown.axis.a-step-that-is-gone') : say('shared.name', { name });

/** A value of this axis as it is read: "20 m", "30° left", or the name of a step. */
export function writeValue(
  axis: Pick<Axis, 'quantity' | 'unit' | 'levels' | 'harder'>,
  base: number,
): Sentence {
  if (axis.levels !== null) return levelNamed(axis.levels.find((level) => level.id === base)?.name);
  const { quantity, unit } = axis;
  const amount = { quantity, base: axis.harder === 'both' ? Math.abs(base) : base, unit };
  return axis.harder !== 'both' || base === 0
    ? say('shared.amount', { amount })
    : say('breakdown.axis.to-a-side', { amount, right: base > 0 });
}

/**
 * Reads a value of this axis: a quantity, a quantity with a side, or the name or number (from 1) of
 * a step. Fails as `parseOne` does, and with `level` for a step that is not on the list.
 * `parseValue(angle, '30° left')` → −30.
 */
export function parseValue(
  axis: Pick<Axis, 'title' | 'quantity' | 'unit' | 'levels' | 'harder'>,
  text: string,
): Result<number> {
  if (axis.levels !== null) {
    const wanted = text.trim().toLowerCase();
    const place = axis.levels.findIndex(
      (level, i) => level.name.toLowerCase() === wanted || String(i + 1) === wanted,
    );
    const names = axis.levels.map((level, i) => `${i + 1} ${level.name}`).join(', ');
    return place >= 0
      ? ok(axis.levels[place]?.id as number)
      : fail(
          'level',
          '',
          say('breakdown.axis.is-not-a-step-of-these-are', {
            text: text.trim(),
            title: axis.title.toLowerCase(),
            names,
          }),
        );
  }
  const side = axis.harder === 'both' ? /^(.*?)\s*(left|right|l|r)$/i.exec(text.trim()) : null;
  const amount = parseOne(side?.[1] ?? text, axis.quantity, axis.unit);
  if (!amount.ok || !side) return amount;
  return ok(/^l/i.test(side[2] ?? '') ? -Math.abs(amount.value) : Math.abs(amount.value));
}

/**
 * What a rung asks on one axis, in words: `askedOf(latency, 2)` → "at most 2 s" where less is
 * harder, else the value alone.
 */
export function askedOf(axis: Axis, value: number): Sentence {
  return axis.harder === 'less'
    ? say('breakdown.axis.at-most', { writeValue: writeValue(axis, value) })
    : writeValue(axis, value);
}

/** The same with the axis's name: "Distance to you 15 m". */
export function axisInWords(axis: Axis, value: number): Sentence {
  return say('breakdown.axis.in-words', { title: axis.title, asked: askedOf(axis, value) });
}
