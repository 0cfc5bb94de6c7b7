import * as v from 'valibot';
import { type FaultRef, faultRefSchema } from '@/core/rulebooks';
import { type AxisKey, asId, fail, fromBase, must, type Result, say, toBase } from '@/core/shared';
import { type Axis, axisScale, isRatioAxis, levelPlace, type Scale, stepSize } from './axis';
import { type Criteria, placeOn, sameCriteria } from './place';

export const criteriaSchema = v.pipe(
  v.record(v.string(), v.pipe(v.number(), v.finite())),
  v.transform((values) => values as Criteria),
);

/**
 * One value that a person set by hand. It lies over the rungs whose planned values are `on`; where
 * today's ladder has none, it waits (`waitingEdits`).
 */
export const cellEditSchema = v.strictObject({
  on: criteriaSchema,
  axis: v.pipe(v.string(), v.transform(asId<AxisKey>)),
  value: v.pipe(v.number(), v.finite()),
});
export type CellEdit = v.InferOutput<typeof cellEditSchema>;

export type Rung = {
  readonly criteria: Criteria;
  /** What the rule plans here, before anything was set by hand. */
  readonly planned: Criteria;
  /**
   * The axis that this rung raises by plan; null on the first rung and where an eased axis only
   * returns.
   */
  readonly raises: AxisKey | null;
  /** Axes that this rung eases by plan; such easing breaks no check. */
  readonly eases: readonly AxisKey[];
  /**
   * Faults that are noted on this rung and do not spoil a clean rep: running in is let pass early,
   * crookedness before speed.
   */
  readonly noted: readonly FaultRef[];
};
export type Ladder = { readonly axes: readonly Axis[]; readonly rungs: readonly Rung[] };

/** A rung that a person set down: its values, and which axes it eases on purpose. */
export const handRungSchema = v.strictObject({
  criteria: criteriaSchema,
  eases: v.array(v.pipe(v.string(), v.transform(asId<AxisKey>))),
});
export type HandRung = v.InferOutput<typeof handRungSchema>;

export const LADDER_RULES = ['one-axis', 'round-robin', 'by-hand'] as const;
export type LadderRule = (typeof LADDER_RULES)[number];

/** From which criteria on a fault spoils a rep; faults that are not listed always do. */
export const countsFromSchema = v.strictObject({ fault: faultRefSchema, from: criteriaSchema });
export type CountsFrom = v.InferOutput<typeof countsFromSchema>;

/** All that a ladder is built from. It is never stored built. */
export type LadderPlan = {
  readonly axes: readonly Axis[];
  readonly edits?: readonly CellEdit[];
  readonly ladderRule?: LadderRule;
  readonly byHand?: readonly HandRung[];
  readonly countsFrom?: readonly CountsFrom[];
  /** Where the person never lowers what was met, no rung eases anything. */
  readonly policy?: { readonly pace: { readonly ratchet: 'back' | 'keep' } };
};

/**
 * Builds a ladder by its rule. *One axis at a time* (default): axes climb in their order; when one
 * goes up, the axes it names ease by one step for that rung (only those that have climbed) and
 * return one per rung to the values already met. *Round robin*: the axes take a step each in turn.
 * *By hand*: the rungs that were set down. Hand-set cells are laid over it. Axes with a broken
 * scale stay at their start; `checkLadder` says why.
 */
export function buildLadder({
  axes,
  edits = [],
  ladderRule = 'one-axis',
  byHand = [],
  countsFrom = [],
  policy,
}: LadderPlan): Ladder {
  const easing = policy?.pace.ratchet === 'keep' ? axes.map((axis) => ({ ...axis, eases: [] })) : axes;
  // A ladder has a rung at least, the start: where nothing is climbed it is the only one.
  const laid = plannedRungs(easing, ladderRule, byHand);
  const planned = laid.length > 0 ? laid : [startRung(axes)];
  const rungs = planned.map((rung): Rung => {
    const cells = edits.filter((edit) => sameCriteria(axes, edit.on, rung.criteria));
    return {
      ...rung,
      planned: rung.criteria,
      noted: [],
      criteria: { ...rung.criteria, ...Object.fromEntries(cells.map((edit) => [edit.axis, edit.value])) },
    };
  });
  const starts = countsFrom.map(({ fault, from }) => ({ fault, at: placeOn({ axes, rungs }, from).rung }));
  const noted = (i: number): FaultRef[] => starts.filter(({ at }) => at > i).map(({ fault }) => fault);
  return { axes, rungs: rungs.map((rung, i) => ({ ...rung, noted: noted(i) })) };
}

/** Values set by hand that lie on no rung of today's ladder. */
export function waitingEdits({ edits = [], ...plan }: LadderPlan): CellEdit[] {
  const { axes, rungs } = buildLadder(plan);
  return edits.filter((edit) => !rungs.some((rung) => sameCriteria(axes, edit.on, rung.planned)));
}

type Planned = Omit<Rung, 'noted' | 'planned'>;

const startRung = (axes: readonly Axis[]): Planned => ({
  criteria: Object.fromEntries(axes.map((axis) => [axis.key, axis.start])),
  raises: null,
  eases: [],
});

function plannedRungs(axes: readonly Axis[], rule: LadderRule, byHand: readonly HandRung[]): Planned[] {
  switch (rule) {
    case 'one-axis':
      return oneAxisAtATime(axes);
    case 'round-robin':
      return roundRobin(axes);
    case 'by-hand':
      return byHand.map((rung, i) => ({ ...rung, raises: raisedBy(axes, byHand[i - 1], rung) }));
  }
}

function raisedBy(axes: readonly Axis[], below: HandRung | undefined, rung: HandRung): AxisKey | null {
  if (!below) return null;
  const up = axes.find(
    (axis) =>
      stepSize(axis, below.criteria[axis.key] ?? axis.start, rung.criteria[axis.key] ?? axis.start) > 1e-9,
  );
  return up?.key ?? null;
}

/** Where each axis stands in its own series while a ladder is being laid. */
function climber(axes: readonly Axis[]) {
  const series = new Map(axes.map((axis) => [axis.key, axisSeries(axis)]));
  const place = new Map(axes.map((axis) => [axis.key, 0]));
  return {
    steps: (key: AxisKey): number => (series.get(key)?.length ?? 1) - 1,
    at: (key: AxisKey): number => place.get(key) ?? 0,
    put: (key: AxisKey, to: number): void => void place.set(key, to),
    criteria: (): Criteria =>
      Object.fromEntries(
        axes.map((axis) => [axis.key, series.get(axis.key)?.[place.get(axis.key) ?? 0] ?? axis.start]),
      ),
    /**
     * The nearest place below that is easier: on a signed axis the other side at the same width is
     * not.
     */
    easier: (axis: Axis): number => {
      const list = series.get(axis.key) ?? [];
      const now = place.get(axis.key) ?? 0;
      return list.findLastIndex((value, i) => i < now && stepSize(axis, value, list[now] as number) > 1e-9);
    },
  };
}

function oneAxisAtATime(axes: readonly Axis[]): Planned[] {
  const climb = climber(axes);
  const rungs: Planned[] = [{ criteria: climb.criteria(), raises: null, eases: [] }];
  for (const axis of axes) {
    for (let step = 1; step <= climb.steps(axis.key); step++) {
      const eased = axes
        .filter((other) => axis.eases.includes(other.key) && climb.easier(other) >= 0)
        .map((other) => ({ other, back: climb.at(other.key) }));
      climb.put(axis.key, step);
      for (const { other } of eased) climb.put(other.key, climb.easier(other));
      rungs.push({
        criteria: climb.criteria(),
        raises: axis.key,
        eases: eased.map(({ other }) => other.key),
      });
      for (const { other, back } of eased) {
        climb.put(other.key, back);
        rungs.push({ criteria: climb.criteria(), raises: null, eases: [] });
      }
    }
  }
  return rungs;
}

function roundRobin(axes: readonly Axis[]): Planned[] {
  const climb = climber(axes);
  const rungs: Planned[] = [{ criteria: climb.criteria(), raises: null, eases: [] }];
  const longest = Math.max(...axes.map((axis) => climb.steps(axis.key)));
  for (let round = 1; round <= longest; round++) {
    for (const axis of axes) {
      if (round > climb.steps(axis.key)) continue;
      climb.put(axis.key, round);
      rungs.push({ criteria: climb.criteria(), raises: axis.key, eases: [] });
    }
  }
  return rungs;
}

/** The axis's own values from start to demand, both included, in steps that aim at `step`. */
export function axisSeries(axis: Axis): number[] {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held)
    return axis.harder === 'both' && axis.start > 0 ? [axis.start, -axis.start] : [axis.start];
  if (axis.harder === 'both')
    return axisSeries({ ...axis, harder: 'more' }).flatMap((value) => (value === 0 ? [0] : [value, -value]));
  if (axis.levels !== null) return listSeries(axis, axis.levels);
  const whole = stepSize(axis, axis.start, axis.demand);
  const count = isRatioAxis(axis) ? Math.log1p(whole) / Math.log1p(axis.step) : whole / axis.step;
  // A hair under a whole number of steps is a whole number: 5 → 20 m by doubling is two steps, not
  // three.
  const steps = Math.max(1, Math.ceil(count - 1e-9));
  return roundedSeries(axis, scale.value, steps);
}

/** The ids of a list's steps from start to demand, as many places apart as the step says. */
function listSeries(axis: Axis, levels: NonNullable<Axis['levels']>): number[] {
  const low = levelPlace(levels, axis.start);
  const span = levelPlace(levels, axis.demand) - low;
  const steps = Math.max(1, Math.ceil(span / axis.step - 1e-9));
  const places = Array.from({ length: steps + 1 }, (_, i) => Math.round(low + (i / steps) * span));
  return [...new Set(places)].map((place) => levels[place]?.id as number);
}

/**
 * Most rungs an axis may have: a longer ladder is a step typed too small, and is refused by
 * `checkLadder`.
 */
export const MAX_STEPS = 60;

function roundedSeries(axis: Axis, scale: Scale, steps: number): number[] {
  const count = Math.min(steps, MAX_STEPS);
  const exact = Array.from({ length: count + 1 }, (_, i) =>
    i === 0 ? axis.start : i === count ? axis.demand : scale.value(i / count),
  );
  const round = exact.map((value, i) => (i === 0 || i === count ? value : friendly(axis, value)));
  if (WHOLE.has(axis.quantity)) return [...new Set(round)];
  const strict = round.every((value, i) => i === 0 || stepSize(axis, round[i - 1] as number, value) > 0);
  return strict ? round : exact;
}

/** There is no half jump and no step between two steps of a list. */
const WHOLE: ReadonlySet<Axis['quantity']> = new Set(['count', 'level'] as const);

/**
 * A value that can be paced out or read off a watch: about two figures in the person's unit are
 * what anyone can set.
 */
export function friendly(axis: Pick<Axis, 'quantity' | 'unit'>, base: number): number {
  if (WHOLE.has(axis.quantity)) return Math.round(base);
  const shown = must(fromBase(axis.quantity, base, axis.unit));
  const rounded =
    shown >= 20 ? Math.round(shown) : shown >= 5 ? Math.round(shown * 2) / 2 : Number(shown.toPrecision(2));
  return must(toBase(axis.quantity, rounded, axis.unit));
}

/**
 * Difficulty of a criterion vector on each axis, in the order of the axes. Fails as `axisScale`
 * does, and with `value` for one that has no ratio.
 */
export function difficulties(axes: readonly Axis[], criteria: Criteria): Result<number[]> {
  const found: number[] = [];
  for (const axis of axes) {
    const scale = axisScale(axis);
    if (!scale.ok) return scale;
    const value = criteria[axis.key] ?? axis.start;
    const difficulty = scale.value.difficulty(value);
    if (!Number.isFinite(difficulty))
      return fail(
        'value',
        axis.key,
        say('breakdown.ladder.has-no-place-on-this-axis-a-by', {
          title: axis.title,
          value,
          quantity: axis.quantity,
        }),
      );
    found.push(difficulty);
  }
  return { ok: true, value: found };
}

/** What the hardest exercise asks, as a criterion vector. */
export function demandOf(axes: readonly Axis[]): Criteria {
  return Object.fromEntries(axes.map((axis) => [axis.key, axis.demand]));
}
