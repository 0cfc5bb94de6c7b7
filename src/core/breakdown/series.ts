import { fromBase, must, toBase } from '@/core/shared';
import { type Axis, climbsByShares, levelPlace } from './axis';
import { axisScale, type Scale, stepSize, stepTaken } from './scale';

/**
 * Most rungs an axis may have: a longer ladder is a step typed too small, and is refused by
 * `checkLadder`.
 */
export const MAX_STEPS = 60;

/** A hair under a whole number of steps is a whole number: 5 → 20 m by doubling is two steps, not three. */
const HAIR = 1e-9;

/**
 * The axis's own values from start to demand, both included: the sizes that are owned; the places of a list;
 * steps of one amount; or shares, in round figures of the axis's unit. No step is more than `step`. 5 to
 * 20 m by at most 50 % → 5, 7, 10, 15, 20. An axis that is held, or whose scale is broken, has its start.
 */
export function axisSeries(axis: Axis): number[] {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held)
    return axis.harder === 'both' && axis.start > 0 ? [axis.start, -axis.start] : [axis.start];
  if (axis.harder === 'both')
    return axisSeries({ ...axis, harder: 'more' }).flatMap((value) => (value === 0 ? [0] : [value, -value]));
  if (axis.levels !== null) return listSeries(axis, axis.levels);
  if (axis.sizes && axis.sizes.length > 0) return ownedSeries(axis, axis.sizes);
  return climbsByShares(axis) ? shareSeries(axis, scale.value) : equalSeries(axis);
}

/** The ids of a list's steps from start to demand, as many places apart as the step says. */
function listSeries(axis: Axis, levels: NonNullable<Axis['levels']>): number[] {
  const low = levelPlace(levels, axis.start);
  const span = levelPlace(levels, axis.demand) - low;
  const steps = Math.max(1, Math.ceil(span / axis.step - HAIR));
  const places = Array.from({ length: steps + 1 }, (_, i) => Math.round(low + (i / steps) * span));
  return [...new Set(places)].map((place) => levels[place]?.id as number);
}

/** The owned sizes between start and demand; the demand is the last even where nobody has it yet. */
function ownedSeries(axis: Axis, sizes: readonly number[]): number[] {
  const between = sizes.filter((size) => harder(axis, axis.start, size) && harder(axis, size, axis.demand));
  return [axis.start, ...between.sort((a, b) => stepSize(axis, b, a)), axis.demand];
}

/** Whether `to` asks more than `from`. */
const harder = (axis: Axis, from: number, to: number): boolean => stepSize(axis, from, to) > HAIR;

/** "+5 yd" each, the last one what is left; counted in the unit that was typed, so that they stay round. */
function equalSeries(axis: Axis): number[] {
  const shown = (base: number): number => must(fromBase(axis.quantity, base, axis.unit));
  const sign = axis.harder === 'less' ? -1 : 1;
  const whole = stepTaken(axis, axis.start, axis.demand);
  const count = Math.min(MAX_STEPS, Math.max(1, Math.ceil(whole / axis.step - HAIR)));
  const step = shown(axis.step);
  const values = Array.from({ length: count }, (_, i) =>
    i === 0 ? axis.start : must(toBase(axis.quantity, shown(axis.start) + sign * step * i, axis.unit)),
  );
  // There is no half jump: a step of one and a half is one, then two.
  const laid = axis.quantity === 'count' ? [...new Set(values.map(Math.round))] : values;
  return [...laid.filter((value) => harder(axis, value, axis.demand)), axis.demand];
}

/** The gap of round figures as a share of the step there, coarsest first. */
const GRIDS = [1, 0.5, 0.25, 0.1] as const;
/** What round figures may cost in steps, as a share of the fewest: one of five, and one at least. */
const ROUND_COSTS = 0.2;

/**
 * Equal shares would be 5, 6.6, 8.7 m …: nobody paces that out. So the way is laid over round figures in as
 * few steps as they allow, and the coarsest figures are taken that cost hardly more steps than the exact shares
 * do.
 */
function shareSeries(axis: Axis, scale: Scale): number[] {
  const exact = Math.log1p(stepSize(axis, axis.start, axis.demand)) / Math.log1p(axis.step);
  const steps = Math.max(1, Math.ceil(exact - HAIR));
  if (steps >= MAX_STEPS) return Array.from({ length: MAX_STEPS + 1 }, (_, i) => scale.value(i / MAX_STEPS));
  const most = steps + Math.max(1, Math.round(steps * ROUND_COSTS));
  for (const coarse of GRIDS) {
    const way = fewestSteps(axis, roundFigures(axis, coarse));
    if (way && way.length - 1 <= most) return way;
  }
  return Array.from({ length: steps + 1 }, (_, i) =>
    i === 0 ? axis.start : i === steps ? axis.demand : scale.value(i / steps),
  );
}

/** Figures between start and demand of which neighbours lie about a step times `coarse` apart: 10, 12, 14 … */
function roundFigures(axis: Axis, coarse: number): number[] {
  const zero = axis.zeroScale ?? 0;
  const [low, high] = [Math.min(axis.start, axis.demand), Math.max(axis.start, axis.demand)];
  const shown = (base: number): number => must(fromBase(axis.quantity, base, axis.unit));
  const figures: number[] = [];
  for (let at = low; at < high - HAIR; ) {
    const gap = niceBelow(shown((at + zero) * axis.step * coarse));
    const next = must(toBase(axis.quantity, nextMultiple(shown(at), gap), axis.unit));
    // A gap that is lost in the last digits leads nowhere: then there are no round figures.
    if (!(next > at) || figures.length > MOST_FIGURES) return [];
    if (next < high - HAIR) figures.push(next);
    at = next;
  }
  return figures;
}

/** More than a ladder of `MAX_STEPS` steps can have at the finest grid. */
const MOST_FIGURES = 2_000;

/** The largest of 1, 2, 5, 10, 20, 50 … (and .5, .2, .1 …) that is not more than `most`. */
function niceBelow(most: number): number {
  const power = 10 ** Math.floor(Math.log10(most) + HAIR);
  return [5, 2, 1].map((one) => one * power).find((one) => one <= most * (1 + HAIR)) ?? power;
}

const nextMultiple = (after: number, gap: number): number =>
  Number(((Math.floor(after / gap + HAIR) + 1) * gap).toPrecision(12));

/**
 * The way from start to demand over these figures with the fewest steps none of which is more than the
 * axis's step; among those the most even one. Null where there is none.
 */
function fewestSteps(axis: Axis, figures: readonly number[]): number[] | null {
  const places = [axis.start, ...[...figures].sort((a, b) => stepSize(axis, b, a)), axis.demand];
  type Way = { readonly steps: number; readonly uneven: number; readonly from: number };
  const ways: (Way | null)[] = [{ steps: 0, uneven: 0, from: -1 }];
  for (let to = 1; to < places.length; to++) {
    let best: Way | null = null;
    for (let from = to - 1; from >= 0; from--) {
      const size = stepSize(axis, places[from] as number, places[to] as number);
      if (size > axis.step + HAIR) break;
      const way = ways[from];
      if (!way) continue;
      const here = { steps: way.steps + 1, uneven: way.uneven + Math.log1p(size) ** 2, from };
      if (!best || here.steps < best.steps || (here.steps === best.steps && here.uneven < best.uneven))
        best = here;
    }
    ways.push(best);
  }
  if (!ways.at(-1)) return null;
  const way: number[] = [];
  for (let at = places.length - 1; at >= 0; at = ways[at]?.from ?? -1) way.unshift(places[at] as number);
  return way;
}

/**
 * A value that can be paced out or read off a watch: about two figures in the person's unit are
 * what anyone can set.
 */
export function friendly(axis: Pick<Axis, 'quantity' | 'unit'>, base: number): number {
  if (axis.quantity === 'count' || axis.quantity === 'level') return Math.round(base);
  const shown = must(fromBase(axis.quantity, base, axis.unit));
  const rounded =
    shown >= 20 ? Math.round(shown) : shown >= 5 ? Math.round(shown * 2) / 2 : Number(shown.toPrecision(2));
  return must(toBase(axis.quantity, rounded, axis.unit));
}
