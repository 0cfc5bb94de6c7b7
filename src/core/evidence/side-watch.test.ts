import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { addDays, asId, type BoutId, type Random, seeded } from '@/core/shared';
import { AXIS, boutsOf, rep, TODAY } from './evidence.test-helper';
import { sideWatch } from './side-watch';

const CAST = testAxis({ key: 'cast', quantity: 'angle', unit: '°', harder: 'both', start: 0, demand: 60 });
/** Sessions every other day up to today, each with six measured deviations around what it is asked for. */
const fronts = (n: number, middle: (s: number) => number, random: Random, sway = 2) =>
  boutsOf(
    Array.from({ length: n }, (_, s) => {
      const own = sway * random.normal();
      return Array.from({ length: 6 }, () =>
        rep({
          day: addDays(TODAY, 2 * (s - n + 1)),
          bout: asId<BoutId>(`f${s + 100}`),
          measured: middle(s) + own + 5 * random.normal(),
        }),
      );
    }).flat(),
  );
/** Four casts to each side, clean so often. */
const casts = (n: number, left: (s: number) => number, random: Random) =>
  boutsOf(
    Array.from({ length: n }, (_, s) =>
      [-60, 60].flatMap((angle) =>
        Array.from({ length: 5 }, () =>
          rep({
            day: addDays(TODAY, 2 * (s - n + 1)),
            bout: asId<BoutId>(`c${s + 100}`),
            outcome: random.uniform() < (angle < 0 ? left(s) : 0.85) ? 'clean' : 'miss',
            criteria: { [CAST.key]: angle },
          }),
        ),
      ),
    ).flat(),
  );

describe('a side is watched', () => {
  it('a front that moved to the left and stayed there is said, with its day', () => {
    const found = sideWatch(
      fronts(30, (s) => (s < 20 ? 0 : -11), seeded(1)),
      [AXIS],
      TODAY,
    );
    expect(found).toMatchObject({ what: 'front', towards: 'left' });
    expect(found?.since && found.since >= addDays(TODAY, -26)).toBe(true);
    expect(
      sideWatch(
        fronts(30, (s) => (s < 20 ? 0 : 11), seeded(1)),
        [AXIS],
        TODAY,
      )?.towards,
    ).toBe('right');
  });

  it('casts that go wrong on one side only are said; on both alike they are not', () => {
    const worse = casts(30, (s) => (s < 18 ? 0.85 : 0.15), seeded(2));
    expect(sideWatch(worse, [CAST], TODAY)).toMatchObject({ what: 'sides', towards: 'left' });
    expect(
      sideWatch(
        casts(30, () => 0.85, seeded(2)),
        [CAST],
        TODAY,
      ),
    ).toBeNull();
  });

  it('a dog that always was crooked, a single bad day, and few sessions say nothing', () => {
    expect(
      sideWatch(
        fronts(30, () => -12, seeded(3)),
        [AXIS],
        TODAY,
      ),
    ).toBeNull();
    expect(
      sideWatch(
        fronts(30, (s) => (s === 25 ? -30 : 0), seeded(3)),
        [AXIS],
        TODAY,
      ),
    ).toBeNull();
    expect(
      sideWatch(
        fronts(7, (s) => (s < 4 ? 0 : -12), seeded(3)),
        [AXIS],
        TODAY,
      ),
    ).toBeNull();
    expect(sideWatch([], [AXIS], TODAY)).toBeNull();
  });

  it('is said once: what it changed to is its usual six weeks later', () => {
    const changed = fronts(30, (s) => (s < 20 ? 0 : -11), seeded(1));
    expect(sideWatch(changed, [AXIS], addDays(TODAY, 60))).toBeNull();
  });

  it('at most one false alarm in a year of six watched elements, three sessions a week', () => {
    const random = seeded(11);
    const years = 6;
    let alarms = 0;
    for (let element = 0; element < 6 * years; element++) {
      const bouts = fronts(156, () => 4, random, 3);
      let last = '';
      // As somebody who looks after every session would.
      for (let s = 8; s <= bouts.length; s += 4) {
        const upTo = bouts.slice(0, s);
        const day = upTo.at(-1)?.day ?? TODAY;
        const found = sideWatch(upTo, [AXIS], day);
        if (found && found.since !== last) alarms += 1;
        if (found) last = found.since;
      }
    }
    expect(alarms / years).toBeLessThanOrEqual(1);
  });
});
