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
