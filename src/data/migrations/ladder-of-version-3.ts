/**
 * The ladder builder as it was in data version 3, frozen: version 3 stored rungs by number, and what
 * a number meant then must never change. Nothing here may import the living builder or be mended.
 */
type Axis = {
  readonly key: string;
  readonly quantity: string;
  readonly unit: string;
  readonly harder: 'more' | 'less' | 'both';
  readonly levels: readonly unknown[] | null;
  readonly start: number;
  readonly demand: number;
  readonly step: number;
  readonly zeroScale: number | null;
  readonly eases: readonly string[];
};
type Values = Readonly<Record<string, number>>;
type HandRung = { readonly criteria: Values };
type Plan = {
  readonly axes: readonly Axis[];
  readonly edits: readonly { readonly rung: number; readonly axis: string; readonly value: number }[];
  readonly ladderRule: string;
  readonly byHand: readonly HandRung[];
};
/** What the rule planned on each rung, and what stood there with hand-set values over it. */
export type OldRung = { readonly planned: Values; readonly criteria: Values };

const RATIO = new Set(['distance', 'duration', 'latency', 'offset', 'area', 'volume', 'mass', 'rate']);
const WHOLE = new Set(['count', 'level']);
const MAX_STEPS = 60;
const PER_BASE: Readonly<Record<string, number>> = {
  m: 1,
  yd: 0.9144,
  ft: 0.3048,
  paces: 0.75,
  cm: 0.01,
  in: 0.0254,
  s: 1,
  min: 60,
  '°': 1,
  L: 1,
  'US gal': 3.785411784,
  'm²': 1,
  'cm²': 0.0001,
  '': 1,
  '/min': 1,
  kg: 1,
  g: 0.001,
  lb: 0.45359237,
};

/** The rungs of version 3, in order; empty where the axes are not sound. */
export function rungsOfVersion3({ axes, edits, ladderRule, byHand }: Plan): OldRung[] {
  const planned = plannedRungs(axes, ladderRule, byHand);
  return planned.map((values, i) => ({
    planned: values,
    criteria: {
      ...values,
      ...Object.fromEntries(edits.filter((edit) => edit.rung === i).map((edit) => [edit.axis, edit.value])),
    },
  }));
}

function plannedRungs(axes: readonly Axis[], rule: string, byHand: readonly HandRung[]): Values[] {
  if (rule === 'by-hand') return byHand.map((rung) => rung.criteria);
  return rule === 'round-robin' ? roundRobin(axes) : oneAxisAtATime(axes);
}

function climber(axes: readonly Axis[]) {
  const series = new Map(axes.map((axis) => [axis.key, axisSeries(axis)]));
  const place = new Map(axes.map((axis) => [axis.key, 0]));
  return {
    steps: (key: string): number => (series.get(key)?.length ?? 1) - 1,
    at: (key: string): number => place.get(key) ?? 0,
    put: (key: string, to: number): void => void place.set(key, to),
    criteria: (): Values =>
      Object.fromEntries(
        axes.map((axis) => [axis.key, series.get(axis.key)?.[place.get(axis.key) ?? 0] ?? axis.start]),
      ),
    easier: (axis: Axis): number => {
      const list = series.get(axis.key) ?? [];
      const now = place.get(axis.key) ?? 0;
      return list.findLastIndex((value, i) => i < now && stepSize(axis, value, list[now] as number) > 1e-9);
    },
  };
}

function oneAxisAtATime(axes: readonly Axis[]): Values[] {
  const climb = climber(axes);
  const rungs = [climb.criteria()];
  for (const axis of axes) {
    for (let step = 1; step <= climb.steps(axis.key); step++) {
      const eased = axes
        .filter((other) => axis.eases.includes(other.key) && climb.easier(other) >= 0)
        .map((other) => ({ other, back: climb.at(other.key) }));
      climb.put(axis.key, step);
      for (const { other } of eased) climb.put(other.key, climb.easier(other));
      rungs.push(climb.criteria());
      for (const { other, back } of eased) {
        climb.put(other.key, back);
        rungs.push(climb.criteria());
      }
    }
  }
  return rungs;
}

function roundRobin(axes: readonly Axis[]): Values[] {
  const climb = climber(axes);
  const rungs = [climb.criteria()];
  const longest = Math.max(...axes.map((axis) => climb.steps(axis.key)));
  for (let round = 1; round <= longest; round++) {
    for (const axis of axes) {
      if (round > climb.steps(axis.key)) continue;
      climb.put(axis.key, round);
      rungs.push(climb.criteria());
    }
  }
  return rungs;
}

function axisSeries(axis: Axis): number[] {
  const value = scaleOf(axis);
  if (value === null)
    return axis.harder === 'both' && axis.start > 0 ? [axis.start, -axis.start] : [axis.start];
  if (axis.harder === 'both')
    return axisSeries({ ...axis, harder: 'more' }).flatMap((one) => (one === 0 ? [0] : [one, -one]));
  const whole = stepSize(axis, axis.start, axis.demand);
  const count = RATIO.has(axis.quantity) ? Math.log1p(whole) / Math.log1p(axis.step) : whole / axis.step;
  return roundedSeries(axis, value, Math.max(1, Math.ceil(count - 1e-9)));
}

/** The way from a difficulty to a value; null where the axis is held or not sound. */
function scaleOf(axis: Axis): ((difficulty: number) => number) | null {
  const { start, demand, harder, levels, zeroScale } = axis;
  const onList = (value: number): boolean =>
    levels === null || (Number.isInteger(value) && value >= 0 && value < levels.length);
  if (!onList(start) || !onList(demand)) return null;
  if (harder === 'both') return start < 0 || demand < 0 ? null : scaleOf({ ...axis, harder: 'more' });
  if (start === demand || demand > start !== (harder === 'more')) return null;
  const between = (forward: (x: number) => number, back: (t: number) => number) => {
    const low = forward(start);
    const span = forward(demand) - low;
    return (difficulty: number): number => back(low + difficulty * span);
  };
  if (!RATIO.has(axis.quantity))
    return between(
      (x) => x,
      (t) => t,
    );
  if (Math.min(start, demand) < 0) return null;
  if (zeroScale !== null)
    return between(
      (x) => Math.log1p(x / zeroScale),
      (t) => zeroScale * Math.expm1(t),
    );
  return Math.min(start, demand) === 0 ? null : between(Math.log, Math.exp);
}

function roundedSeries(axis: Axis, value: (difficulty: number) => number, steps: number): number[] {
  const count = Math.min(steps, MAX_STEPS);
  const exact = Array.from({ length: count + 1 }, (_, i) =>
    i === 0 ? axis.start : i === count ? axis.demand : value(i / count),
  );
  const round = exact.map((one, i) => (i === 0 || i === count ? one : friendly(axis, one)));
  if (WHOLE.has(axis.quantity)) return [...new Set(round)];
  const strict = round.every((one, i) => i === 0 || stepSize(axis, round[i - 1] as number, one) > 0);
  return strict ? round : exact;
}

const tidyShown = (value: number): number => Number(value.toPrecision(12));

function friendly(axis: Axis, base: number): number {
  if (WHOLE.has(axis.quantity)) return Math.round(base);
  const perBase = PER_BASE[axis.unit] ?? 1;
  const shown = tidyShown(tidyShown(base / perBase));
  const rounded =
    shown >= 20 ? Math.round(shown) : shown >= 5 ? Math.round(shown * 2) / 2 : Number(shown.toPrecision(2));
  return Number((rounded * perBase).toPrecision(15));
}

function stepSize(axis: Axis, from: number, to: number): number {
  if (axis.harder === 'both') return stepSize({ ...axis, harder: 'more' }, Math.abs(from), Math.abs(to));
  const sign = axis.harder === 'more' ? 1 : -1;
  if (!RATIO.has(axis.quantity)) return (to - from) * sign;
  const zero = axis.zeroScale ?? 0;
  const ratio = (to + zero) / (from + zero);
  return sign > 0 ? ratio - 1 : 1 / ratio - 1;
}
