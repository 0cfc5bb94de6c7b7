import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Demand } from '@/core/rulebooks';
import { type AxisKey, asId } from '@/core/shared';
import { testAxis } from './axis.test-helper';
import { joinDemands, raisedBy, withRaised } from './demands';

const demand = (
  axis: string,
  title: string,
  quantity: Demand['quantity'],
  value: number,
  unit: string,
): Demand => ({
  axis: asId<AxisKey>(axis),
  title,
  quantity,
  harder: quantity === 'latency' || quantity === 'offset' || quantity === 'angle' ? 'less' : 'more',
  value,
  unit,
});
const far = testAxis({
  key: 'far',
  title: 'How far',
  quantity: 'distance',
  unit: 'm',
  harder: 'more',
  start: 1,
  demand: 5,
});
const lane = testAxis({
  key: 'lane',
  title: 'Width of the lane',
  quantity: 'offset',
  unit: 'm',
  harder: 'less',
  start: 4,
  demand: 2,
});

describe('demands joined to what an element measures', () => {
  it('by what they measure, whatever their name', () => {
    const joined = joinDemands(
      [
        demand('distance-2', 'Distance to the square', 'distance', 50, 'm'),
        demand('w', 'Lane', 'offset', 150, 'cm'),
      ],
      [far, lane],
    );
    expect(joined).toEqual({ criteria: { far: 50, lane: 1.5 }, unmeasured: [] });
  });

  it('by their own name first, and only where that measures the same', () => {
    const other = { ...far, key: asId<AxisKey>('distance') };
    const asked = [demand('distance', 'Far', 'distance', 50, 'm')];
    expect(joinDemands(asked, [far, other]).criteria).toEqual({ distance: 50 });
    const angle = { ...lane, key: asId<AxisKey>('distance'), quantity: 'angle' as const };
    expect(joinDemands(asked, [angle, far]).criteria).toEqual({ far: 50 });
  });

  it('of two that measure it, by a word of the title; else by none, and says so', () => {
    const away = { ...far, key: asId<AxisKey>('away'), title: 'Distance from you' };
    const square = [demand('d', 'Distance to the square', 'distance', 20, 'm')];
    expect(joinDemands(square, [far, away]).criteria).toEqual({ away: 20 });
    const nameless = [demand('d', 'Reach', 'distance', 20, 'm')];
    expect(joinDemands(nameless, [far, away])).toEqual({ criteria: {}, unmeasured: nameless });
  });

  it('never puts two demands on one axis, and loses none', () => {
    const quantities = ['distance', 'duration', 'latency', 'angle', 'offset', 'height'] as const;
    const units = {
      distance: 'm',
      duration: 's',
      latency: 's',
      angle: '°',
      offset: 'm',
      height: 'cm',
    } as const;
    const anyQuantity = fc.constantFrom(...quantities);
    const demands = fc.uniqueArray(
      fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), anyQuantity, fc.integer({ min: 1, max: 90 })),
      { selector: ([key]) => key, maxLength: 4 },
    );
    const axes = fc.uniqueArray(fc.tuple(fc.constantFrom('a', 'b', 'x', 'y'), anyQuantity), {
      selector: ([key]) => key,
      maxLength: 4,
    });
    fc.assert(
      fc.property(demands, axes, (asked, has) => {
        const all = asked.map(([key, quantity, value]) => demand(key, key, quantity, value, units[quantity]));
        const climbed = has.map(([key, quantity]) => ({
          ...far,
          key: asId<AxisKey>(key),
          title: key,
          quantity,
          harder: 'both' as const,
        }));
        const { criteria, unmeasured } = joinDemands(all, climbed);
        expect(Object.keys(criteria).length + unmeasured.length).toBe(all.length);
        for (const [key, value] of Object.entries(criteria)) {
          const axis = climbed.find((one) => one.key === key);
          const from = all
            .filter((one) => one.quantity === axis?.quantity)
            .map((one) => (one.unit === 'cm' ? one.value / 100 : one.value));
          expect(from).toContain(value);
        }
      }),
    );
  });
});

describe('a goal that is nearer than what is asked', () => {
  it('goes on to it: 5 m to 50 m, and less where less is harder; what is further already stays', () => {
    const asked = [demand('d', 'Distance', 'distance', 50, 'm'), demand('w', 'Lane', 'offset', 1, 'm')];
    expect(raisedBy(asked, [far, lane]).map(({ from, to }) => [from, to])).toEqual([
      [5, 50],
      [2, 1],
    ]);
    const goals = withRaised([far, lane], asked).map((axis) => axis.demand);
    expect(goals).toEqual([50, 1]);
    const near = [demand('d', 'Distance', 'distance', 3, 'm'), demand('w', 'Lane', 'offset', 3, 'm')];
    const axes = [far, lane];
    expect(withRaised(axes, near)).toBe(axes);
  });
});
