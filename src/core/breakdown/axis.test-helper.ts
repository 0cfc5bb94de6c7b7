import { type AxisKey, asId } from '@/core/shared';
import type { Axis } from './axis';

/** An axis for tests: 5 to 20 m by quarters, unless changed. */
export function testAxis(change: Partial<Omit<Axis, 'key'>> & { readonly key?: string } = {}): Axis {
  const { key = 'distance', ...rest } = change;
  return {
    key: asId<AxisKey>(key),
    title: 'Distance',
    quantity: 'distance',
    unit: 'm',
    harder: 'more',
    role: 'criterion',
    levels: null,
    start: 5,
    demand: 20,
    step: 0.25,
    limit: 0.4,
    zeroScale: null,
    margin: 0.2,
    eases: [],
    safety: null,
    ...rest,
  };
}

/** Two more: 4 to 2 s, harder with less; and 0.1 to 0.4 m by tenths. */
export const LATENCY = testAxis({
  key: 'latency',
  title: 'Latency',
  quantity: 'latency',
  unit: 's',
  harder: 'less',
  start: 4,
  demand: 2,
});
export const HEIGHT = testAxis({
  key: 'height',
  title: 'Height',
  quantity: 'height',
  unit: 'cm',
  start: 0.1,
  demand: 0.4,
  step: 0.1,
  limit: 0.15,
});
