import * as v from 'valibot';
import { type AxisKey, asId, fail, fromBase, must, type Result, toBase } from '@/core/shared';
import { type Axis, axisScale, isRatioAxis, type Scale, stepSize } from './axis';

/** One cell that a person set by hand: rung is counted from 0. */
export const cellEditSchema = v.strictObject({
  rung: v.pipe(v.number(), v.integer(), v.minValue(0)),
  axis: v.pipe(v.string(), v.transform(asId<AxisKey>)),
  value: v.pipe(v.number(), v.finite()),
});
export type CellEdit = v.InferOutput<typeof cellEditSchema>;

/** The criterion vector of a rep or rung: a value in base units for every axis. */
export type Criteria = Readonly<Record<AxisKey, number>>;

export type Rung = {
  readonly criteria: Criteria;
  /** The axis that this rung raises by plan; null on the first rung and where an eased axis only returns. */
  readonly raises: AxisKey | null;
  /** Axes that this rung eases by plan; such easing breaks no check. */
  readonly eases: readonly AxisKey[];
};
export type Ladder = { readonly axes: readonly Axis[]; readonly rungs: readonly Rung[] };

/**
 * Builds a ladder by the rule *one axis at a time*: axes climb in their order; when one goes up, the axes it names ease by
 * one step for that rung (only those that have climbed) and return one per rung to the values already met. Hand-set cells
 * are laid over it. Axes with a broken scale stay at their start; `checkLadder` says why.
 */
export function buildLadder(axes: readonly Axis[], edits: readonly CellEdit[] = []): Ladder {
  const series = new Map(axes.map((axis) => [axis.key, axisSeries(axis)]));
  const place = new Map(axes.map((axis) => [axis.key, 0]));
  const snapshot = (): Criteria => Object.fromEntries(axes.map((axis) => [axis.key, series.get(axis.key)?.[place.get(axis.key) ?? 0] ?? axis.start]));
  const rungs: Rung[] = [{ criteria: snapshot(), raises: null, eases: [] }];
  for (const axis of axes) {
    const steps = (series.get(axis.key)?.length ?? 1) - 1;
    for (let step = 1; step <= steps; step++) {
      const eased = axis.eases.filter((key) => (place.get(key) ?? 0) > 0);
      place.set(axis.key, step);
      for (const key of eased) place.set(key, (place.get(key) ?? 0) - 1);
      rungs.push({ criteria: snapshot(), raises: axis.key, eases: eased });
      for (const key of eased) {
        place.set(key, (place.get(key) ?? 0) + 1);
        rungs.push({ criteria: snapshot(), raises: null, eases: [] });
      }
    }
  }
  return {
    axes,
    rungs: rungs.map((rung, i) =>
      withEdits(
        rung,
        edits.filter((edit) => edit.rung === i),
      ),
    ),
  };
}

function withEdits(rung: Rung, edits: readonly CellEdit[]): Rung {
  if (edits.length === 0) return rung;
  return { ...rung, criteria: { ...rung.criteria, ...Object.fromEntries(edits.map((edit) => [edit.axis, edit.value])) } };
}

/** The axis's own values from start to demand, both included, in steps that aim at `step`. */
export function axisSeries(axis: Axis): number[] {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held) return [axis.start];
  const whole = stepSize(axis, axis.start, axis.demand);
  const count = isRatioAxis(axis) ? Math.log1p(whole) / Math.log1p(axis.step) : whole / axis.step;
  // A hair under a whole number of steps is a whole number: 5 → 20 m by doubling is two steps, not three.
  const steps = Math.max(1, Math.ceil(count - 1e-9));
  return roundedSeries(axis, scale.value, steps);
}

/** Most rungs an axis may have: a longer ladder is a step typed too small, and is refused by `checkLadder`. */
export const MAX_STEPS = 60;

function roundedSeries(axis: Axis, scale: Scale, steps: number): number[] {
  const count = Math.min(steps, MAX_STEPS);
  const exact = Array.from({ length: count + 1 }, (_, i) => (i === 0 ? axis.start : i === count ? axis.demand : scale.value(i / count)));
  const round = exact.map((value, i) => (i === 0 || i === count ? value : friendly(axis, value)));
  const strict = round.every((value, i) => i === 0 || stepSize(axis, round[i - 1] as number, value) > 0);
  return strict ? round : exact;
}

// A rung is paced out or read off a watch: two figures in the person's unit are what anyone can set.
function friendly(axis: Axis, base: number): number {
  const shown = must(fromBase(axis.quantity, base, axis.unit));
  const rounded = shown >= 20 ? Math.round(shown) : shown >= 5 ? Math.round(shown * 2) / 2 : Number(shown.toPrecision(2));
  return must(toBase(axis.quantity, rounded, axis.unit));
}

/** Difficulty of a criterion vector on each axis, in the order of the axes. Fails as `axisScale` does, and with `value` for one that has no ratio. */
export function difficulties(axes: readonly Axis[], criteria: Criteria): Result<number[]> {
  const found: number[] = [];
  for (const axis of axes) {
    const scale = axisScale(axis);
    if (!scale.ok) return scale;
    const value = criteria[axis.key] ?? axis.start;
    const difficulty = scale.value.difficulty(value);
    if (!Number.isFinite(difficulty))
      return fail('value', axis.key, `${axis.title}: ${value} has no place on this axis; a ${axis.quantity} by ratio must be more than 0.`);
    found.push(difficulty);
  }
  return { ok: true, value: found };
}

/** What the hardest exercise asks, as a criterion vector. */
export function demandOf(axes: readonly Axis[]): Criteria {
  return Object.fromEntries(axes.map((axis) => [axis.key, axis.demand]));
}
