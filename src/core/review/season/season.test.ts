import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { holesOf, type LiveEvent, tallyOf } from '.';

const event = (what: LiveEvent['what'], end: LiveEvent['end'], more: Partial<LiveEvent> = {}): LiveEvent => ({
  what,
  end,
  distance: null,
  wind: null,
  cover: null,
  ...more,
});
const several = (n: number, make: (i: number) => LiveEvent): LiveEvent[] =>
  Array.from({ length: n }, (_, i) => make(i));

/** Blinds: seven past 60 m into the wind, two of them right; twenty-three others, of which one was lost. */
const SEASON: readonly LiveEvent[] = [
  ...several(7, (i) =>
    event('blind', i === 3 || i === 6 ? 'right' : 'lost', { distance: 65 + i, wind: 'into' }),
  ),
  ...several(11, (i) =>
    event('blind', i === 0 ? 'lost' : 'right', { distance: 20 + 4 * i, wind: i % 2 ? 'into' : 'with' }),
  ),
  ...several(12, (i) => event('blind', 'right', { distance: 62 + i, wind: 'with' })),
  ...several(20, (i) => event('mark', i < 3 ? 'fault' : 'right', { distance: 30 + i })),
  ...several(9, () => event('delivery', 'right')),
];

describe('the holes of a season', () => {
  it('finds where it goes wrong, by distance and wind together, and ranks by what it cost', () => {
    const [first, second, ...more] = holesOf(SEASON, { blind: 40 });
    expect(first).toMatchObject({
      what: 'blind',
      where: { beyond: 60, wind: 'into', cover: null },
      n: 7,
      right: 2,
      thin: false,
      cost: 5,
      goal: 70,
    });
    // Beta(3, 6): a tenth below .166, nine tenths below .527 (tables of the incomplete beta function).
    expect(first?.low).toBeCloseTo(0.147, 2);
    expect(first?.high).toBeCloseTo(0.539, 2);
    expect(second).toMatchObject({ what: 'mark', n: 20, right: 17, cost: 1.5 });
    expect(more).toEqual([]);
  });

  it('a single loss is no hole, and two of three are said as thin', () => {
    expect(holesOf([event('blind', 'lost'), event('blind', 'right')])).toEqual([]);
    expect(holesOf([event('stay', 'lost'), event('stay', 'fault'), event('stay', 'right')])).toEqual([
      expect.objectContaining({ what: 'stay', n: 3, right: 1, thin: true, cost: 1.5, goal: null }),
    ]);
    expect(holesOf([])).toEqual([]);
  });

  it('names no condition where none tells: chance splits of steady dogs are left alone', () => {
    const random = seeded(7);
    const winds = ['into', 'across', 'with'] as const;
    let named = 0;
    for (let season = 0; season < 300; season++) {
      const events = several(40, () =>
        event('blind', random.uniform() < 0.7 ? 'right' : 'lost', {
          distance: Math.round(20 + random.uniform() * 60),
          wind: winds[random.integer(3)] as (typeof winds)[number],
        }),
      );
      if (holesOf(events).some(({ where }) => where.beyond !== null || where.wind !== null)) named++;
    }
    expect(named / 300).toBeLessThan(0.08);
  });

  it('counts what was right of each kind', () => {
    expect(tallyOf(SEASON)).toEqual([
      { what: 'mark', n: 20, right: 17 },
      { what: 'blind', n: 30, right: 24 },
      { what: 'delivery', n: 9, right: 9 },
    ]);
  });
});
