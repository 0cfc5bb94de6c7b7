import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { wordsOf } from '@/words';
import { companionsIn, holesOf, type LiveEvent, quotaLines, sceneHere, tallyOf } from '.';

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

describe('what fits here', () => {
  const plain = (said: Parameters<typeof wordsOf>[0]): string => wordsOf(said).replaceAll('\u00a0', ' ');
  const holes = holesOf(SEASON, { blind: 40 });

  it('a mark within what was trained, no blind beyond it, steadiness always', () => {
    const offers = sceneHere({ distance: 50, cover: null }, { mark: 60, blind: 40 }, [], 'm');
    expect(offers.map(({ what, fits }) => [what, fits])).toEqual([
      ['mark', true],
      ['blind', false],
      ['stay', true],
    ]);
    expect(plain(offers[1]?.why)).toBe('50 m, trained to 40 m: too far today. Go nearer.');
  });

  it('what lies in a hole is for home, however well it was trained', () => {
    const offer = sceneHere(
      { distance: 70, cover: null },
      { blind: 90 },
      [{ ...(holes[0] as (typeof holes)[number]), where: { beyond: 60, wind: null, cover: null } }],
      'm',
    );
    expect(offer[1]).toMatchObject({ what: 'blind', fits: false });
    expect(plain(offer[1]?.why)).toBe('2 of 7 such went right: build it at home.');
  });

  it('without a distance it asks for one, and of what was never trained it says so', () => {
    const [mark, blind] = sceneHere({ distance: null, cover: 'thick' }, { mark: 30 }, [], 'yd');
    expect(plain(mark?.why)).toBe('Say how far it is.');
    expect(plain(blind?.why)).toBe('Not trained by the log: short and easy, or not yet.');
  });
});

describe('quotas in time', () => {
  const plain = (said: Parameters<typeof wordsOf>[0]): string => wordsOf(said);
  const lines = (birds: number, more: Partial<Parameters<typeof quotaLines>[1]> = {}) =>
    quotaLines(
      { birds: 4, companions: 2, days: 1 },
      { events: several(birds, () => event('mark', 'right')), companions: null, daysThisWeek: 1, ...more },
    ).map(plain);

  it('says how many, the last one before it, enough, and too many', () => {
    expect([0, 3, 4, 5].map((n) => lines(n)[0])).toEqual([
      '0 of 4 birds.',
      '3 of 4 birds: one more, an easy one, then it is enough.',
      '4 birds were to be enough: stop while it is good.',
      '5 birds, 4 were to be enough. Stop now.',
    ]);
  });

  it('companions and days of the week only where they are too many', () => {
    expect(lines(0, { companions: 3 })).toContain(
      '3 companions, 2 were to be the most: the others stay back.',
    );
    expect(lines(0, { companions: 2 })).toHaveLength(1);
    expect(lines(0, { daysThisWeek: 2 })).toContain('Live day 2 of this week, 1 were to be the most.');
    expect(
      quotaLines(
        { birds: null, companions: null, days: null },
        { events: [], companions: 9, daysThisWeek: 7 },
      ),
    ).toEqual([]);
  });

  it('counts companions by their names', () => {
    expect([
      companionsIn(''),
      companionsIn('Ada'),
      companionsIn('Ada, Bo and Cleo'),
      companionsIn('Ada & Bo'),
    ]).toEqual([null, 1, 3, 2]);
  });
});

/**
 * Three invented seasons of one dog. In the first (48 events) marks in thick cover go wrong whatever their distance;
 * over the summer that is trained; in the second (60) it is met again and holds, and long blinds across the wind are
 * the new hole; in the third (41) nothing goes wrong twice in one way.
 */
describe('three seasons of one dog', () => {
  const covers = ['open', 'light', 'thick'] as const;
  const winds = ['into', 'across', 'with'] as const;
  const pick = <T>(list: readonly T[], i: number): T => list[i % list.length] as T;
  const marks = (n: number, endIn: (cover: (typeof covers)[number], i: number) => LiveEvent['end']) =>
    several(n, (i) => {
      const cover = pick(covers, i);
      return event('mark', endIn(cover, i), { cover, distance: 20 + ((7 * i) % 40) });
    });
  const blinds = (
    n: number,
    endAt: (metres: number, wind: (typeof winds)[number], i: number) => LiveEvent['end'],
  ) =>
    several(n, (i) => {
      const [wind, distance] = [pick(winds, i), 15 + ((11 * i) % 75)];
      return event('blind', endAt(distance, wind, i), { wind, distance });
    });

  it('the first: thick cover, by itself and not by distance', () => {
    const season = [
      ...marks(30, (cover, i) => (cover === 'thick' && i % 5 !== 2 ? 'lost' : 'right')),
      ...blinds(12, () => 'right'),
      ...several(6, () => event('delivery', 'right')),
    ];
    expect(season).toHaveLength(48);
    // Ten marks fell in thick cover: the numbers 2 and 17 were right, the other eight lost.
    expect(holesOf(season)).toMatchObject([
      {
        what: 'mark',
        where: { beyond: null, wind: null, cover: 'thick' },
        n: 10,
        right: 2,
        cost: 8,
        thin: false,
      },
    ]);
  });

  it('the second: what was filled is met again and holds; a new hole, by distance and wind', () => {
    const season = [
      ...marks(24, () => 'right'),
      ...blinds(36, (metres, wind) => (metres > 50 && wind === 'across' ? 'fault' : 'right')),
    ];
    expect(season).toHaveLength(60);
    const across = season.filter(
      (one) => one.what === 'blind' && one.wind === 'across' && (one.distance ?? 0) > 50,
    );
    expect(holesOf(season, { blind: 50 })).toMatchObject([
      {
        what: 'blind',
        where: { beyond: 50, wind: 'across', cover: null },
        n: across.length,
        right: 0,
        cost: across.length / 2,
      },
    ]);
    expect(across.length).toBeGreaterThan(4);
  });

  it('the third: single losses in different ways are no hole', () => {
    const season = [
      ...marks(20, (_, i) => (i === 4 ? 'lost' : 'right')),
      ...blinds(15, (_, __, i) => (i === 9 ? 'fault' : 'right')),
      ...several(6, (i) => event('stay', i === 0 ? 'fault' : 'right')),
    ];
    expect(season).toHaveLength(41);
    expect(holesOf(season, { blind: 60 })).toEqual([]);
  });
});
