import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type Day, type ElementId, must, seeded } from '@/core/shared';
import { normalBelow } from '@/core/statistics';
import { coverOf, type Deviation, precisionOf, studyElement } from '.';
import { AXIS, at, boutsOf, many, rep, TODAY } from './evidence.test-helper';
import { habitsOf } from './habits';
import { lastingOf, survivalOf } from './holding';
import { quicknessOf } from './latency';
import { byEye } from './precision';
import { coldTries, retentionOf } from './retention';
import { wallOf } from './wall';

describe('holding', () => {
  const held = (seconds: number, endedBy: 'dog' | 'handler' = 'dog') => ({ seconds, endedBy });

  it('survives as worked by hand, holds that the handler ended counted while they lasted', () => {
    expect(survivalOf([held(2), held(3, 'handler'), held(5)])).toEqual([
      { at: 0, share: 1, atRisk: 3 },
      { at: 2, share: expect.closeTo(2 / 3, 12) as number, atRisk: 3 },
      { at: 5, share: 0, atRisk: 1 },
    ]);
    expect(survivalOf([held(4, 'handler')])).toEqual([{ at: 0, share: 1, atRisk: 1 }]);
  });

  it('recovers a known dog, and is not fooled by the handler ending early', () => {
    const random = seeded(3);
    const [scale, shape] = [20, 1.5];
    const full = Array.from({ length: 400 }, () => scale * (-Math.log(random.uniform())) ** (1 / shape));
    const truth = Math.exp(-((15 / scale) ** shape));
    const found = lastingOf(
      full.map((seconds) => held(seconds)),
      15,
    );
    expect(Math.abs((found?.lasts.mid ?? 0) - truth)).toBeLessThan(0.04);
    const cut = lastingOf(
      full.map((seconds) => (seconds > 8 ? held(8, 'handler') : held(seconds))),
      15,
    );
    expect(cut && cut.lasts.low < truth && truth < cut.lasts.high).toBe(true);
  });

  it('is wide with one hold, and asks for a demand above 0', () => {
    const one = lastingOf([held(3)], 30);
    expect((one?.lasts.high ?? 0) - (one?.lasts.low ?? 1)).toBeGreaterThan(0.15);
    expect(lastingOf([], 0)).toBeNull();
  });
});

describe('latency', () => {
  it('recovers a known middle, with late answers censored', () => {
    const random = seeded(8);
    const all = Array.from({ length: 300 }, () => Math.exp(Math.log(1.5) + 0.5 * random.normal()));
    const times = all.map((seconds) => (seconds > 2 ? { seconds: 2, came: false } : { seconds, came: true }));
    const found = quicknessOf(times, 2);
    expect(Math.abs((found?.median.mid ?? 0) - 1.5)).toBeLessThan(0.1);
    expect(Math.abs((found?.within.mid ?? 0) - normalBelow(Math.log(2 / 1.5) / 0.5))).toBeLessThan(0.05);
    expect(found?.late).toBe(all.filter((seconds) => seconds > 2).length);
  });

  it('weighs late answers as a finer sum by hand does', () => {
    const times = [
      { seconds: 0.8, came: true },
      { seconds: 1.6, came: true },
      { seconds: 2, came: false },
    ];
    let [sum, all] = [0, 0];
    for (let mu = -2; mu <= 3; mu += 0.01) {
      for (let logSd = Math.log(0.35) - 1.6; logSd <= Math.log(0.35) + 1.6; logSd += 0.01) {
        const sd = Math.exp(logSd);
        const z = times.map((one) => (Math.log(one.seconds) - mu) / sd);
        const likelihood = Math.exp(-0.5 * ((z[0] ?? 0) ** 2 + (z[1] ?? 0) ** 2)) / sd ** 2;
        const weight =
          likelihood * (1 - normalBelow(z[2] ?? 0)) * Math.exp(-0.5 * ((logSd - Math.log(0.35)) / 0.5) ** 2);
        sum += weight * normalBelow((Math.log(2) - mu) / sd);
        all += weight;
      }
    }
    expect(quicknessOf(times, 2)?.within.mid).toBeCloseTo(sum / all, 1.7);
  });

  it('says nothing without a time, and widely with one', () => {
    expect(quicknessOf([], 2)).toBeNull();
    const one = quicknessOf([{ seconds: 1, came: true }], 2);
    expect((one?.within.high ?? 0) - (one?.within.low ?? 1)).toBeGreaterThan(0.1);
  });
});

describe('precision', () => {
  const exact = (...values: number[]): Deviation[] => values.map((value) => ({ from: value, to: value }));

  it('the normal agrees with its table', () => {
    expect([normalBelow(1.959964), normalBelow(-3), normalBelow(5)].map((p) => Number(p.toFixed(6)))).toEqual(
      [0.975, 0.00135, 1],
    );
  });

  it('finds bias and spread from what was measured and from what was only seen', () => {
    const random = seeded(5);
    const values = Array.from({ length: 200 }, () => -9 + 6 * random.normal());
    const measured = precisionOf(exact(...values), [5, 15]);
    const seen = precisionOf(
      values.map((value) =>
        byEye(
          Math.abs(value) <= 5
            ? 'straight'
            : value < -15
              ? 'badly-left'
              : value > 15
                ? 'badly-right'
                : value < 0
                  ? 'slightly-left'
                  : 'slightly-right',
        ),
      ),
      [5, 15],
    );
    for (const found of [measured, seen]) {
      expect(Math.abs((found?.bias.mid ?? 0) + 9)).toBeLessThan(1.5);
      expect(Math.abs((found?.spread.mid ?? 0) - 6)).toBeLessThan(1.5);
      expect(found?.train).toBe('bias');
    }
    expect((seen?.spread.high ?? 0) - (seen?.spread.low ?? 0)).toBeGreaterThan(
      (measured?.spread.high ?? 0) - (measured?.spread.low ?? 0),
    );
  });

  it('names the spread where the middle is straight, and neither where all is well', () => {
    expect(precisionOf(exact(-14, 13, -11, 12, 0, -13, 14, 9, -9, 1), [5])?.train).toBe('spread');
    expect(precisionOf(exact(...Array.from({ length: 40 }, (_, i) => (i % 3) - 1)), [10])?.train).toBeNull();
    expect(precisionOf([], [5])).toBeNull();
  });
});

describe('coverage and habits', () => {
  it('pools small cells towards the rest, and names what was never trained', () => {
    const reps = [
      ...many(20, { conditions: { Surface: 'grass' } }),
      ...many(2, { conditions: { Surface: 'sand' }, outcome: 'miss' }),
    ];
    const [place, , surface] = coverOf(boutsOf(reps), [
      { title: 'Surface', options: ['grass', 'sand', 'gravel'] },
    ]);
    expect(place?.never).toEqual(['away']);
    expect(surface?.cells.map((cell) => cell.reps)).toEqual([20, 2, 0]);
    expect(surface?.cells[1]?.rate).toBeCloseTo((0 + (4 * 20) / 22) / 6, 9);
    expect(surface?.never).toEqual(['gravel']);
  });

  it('counts breaks by what the handler did, the dog’s own only', () => {
    const habits = habitsOf(
      boutsOf([
        rep({ did: 'stood' }),
        rep({ did: 'came-back', outcome: 'flawed' }),
        rep({ did: 'came-back' }),
        rep({ did: 'came-back', outcome: 'flawed', cause: 'handler' }),
      ]),
    );
    expect(habits.breaks).toEqual([
      { did: 'came-back', rate: { of: 2, count: 1 } },
      { did: 'stood', rate: { of: 1, count: 0 } },
    ]);
  });

  it('counts what comes too early, again, and from the handler', () => {
    const habits = habitsOf(
      boutsOf([
        rep({ timing: 'before-word', outcome: 'flawed' }),
        rep({ timing: 'unprompted', cues: { needed: 0, slip: 0 }, landed: 'ahead' }),
        rep({ timing: 'unprompted', cues: { needed: 2, slip: 0 }, latency: 2, outcome: 'flawed' }),
        rep({ cause: 'handler', outcome: 'miss' }),
      ]),
    );
    expect(habits).toMatchObject({
      anticipated: { of: 3, count: 1 },
      cues: { needed: { of: 2, count: 1 }, slip: { of: 2, count: 0 }, meant: { of: 2, count: 0 } },
      handlers: { of: 4, count: 1 },
      landings: [{ landed: 'ahead', next: { of: 1, count: 0 }, latency: 2 }],
    });
  });
});

describe('retention', () => {
  const days = (gaps: readonly number[], clean: (i: number) => boolean): EvidenceRep[] => {
    let day = '2026-01-01' as Day;
    return gaps.flatMap((gap, i) => {
      day = addDays(day, gap);
      return [rep({ day, at: i * 10, outcome: clean(i) ? 'clean' : 'miss' }), rep({ day, at: i * 10 + 1 })];
    });
  };

  const daysOf = (...args: Parameters<typeof days>) => boutsOf(days(...args));

  it('sees the first rep of each day, and how long it had rested', () => {
    expect(coldTries(daysOf([0, 3, 7], (i) => i !== 2)).map(({ gap, clean }) => [gap, clean])).toEqual([
      [3, true],
      [7, false],
    ]);
    expect(
      retentionOf(
        daysOf([0, 3], () => true),
        TODAY,
      ),
    ).toBeNull();
  });

  it('keeps longer after spaced success than after crammed, and is due sooner after misses', () => {
    const spaced = retentionOf(
      daysOf([0, 3, 7, 14, 28], () => true),
      '2026-03-01' as Day,
    );
    const crammed = retentionOf(
      daysOf([0, 1, 1, 1, 1], () => true),
      '2026-03-01' as Day,
    );
    const missed = retentionOf(
      daysOf([0, 3, 7, 14, 28], (i) => i < 2),
      '2026-03-01' as Day,
    );
    expect(spaced?.halfLife).toBeGreaterThan((crammed?.halfLife ?? 0) * 2);
    expect(missed?.halfLife).toBeLessThan((spaced?.halfLife ?? 0) / 2);
    expect((spaced?.due ?? '') > (missed?.due ?? '')).toBe(true);
  });
});

describe('wall, and everything of one element', () => {
  const id = asId<ElementId>('e');
  const sessions = (n: number, each: (s: number) => EvidenceRep[]): EvidenceRep[] =>
    Array.from({ length: n }, (_, s) =>
      each(s).map((one) => ({
        ...one,
        day: addDays(TODAY, 2 * (s - n)),
        bout: asId<BoutId>(`s${s + 10}`),
      })),
    ).flat();
  const stuck = sessions(16, () => [...many(8, {}, 8), ...many(4, { outcome: 'miss' }, 14)]);
  const rising = sessions(16, (s) => many(12, {}, 5 + s));

  it('is seen where nothing has risen for six sessions, and not in one that climbs or is young', () => {
    expect(must(wallOf(id, [AXIS], boutsOf(stuck), at(8), TODAY))).toMatchObject({
      sessions: 6,
      axis: AXIS.key,
    });
    expect(must(wallOf(id, [AXIS], boutsOf(rising), at(18), TODAY))).toBeNull();
    expect(must(wallOf(id, [AXIS], boutsOf(stuck.slice(0, 60)), at(8), TODAY))).toBeNull();
  });

  it('is null wherever nothing was logged, and finite everywhere', () => {
    const question = {
      id,
      axes: [AXIS, testAxis({ key: 'stay', quantity: 'duration', unit: 's', demand: 30 })],
      bouts: boutsOf(stuck),
      at: at(20),
      here: at(8),
      conditions: [],
      bands: [5, 15],
    };
    const bare = must(studyElement(question, TODAY));
    expect([bare.holding, bare.latency, bare.precision]).toEqual([null, null, null]);
    const told = stuck.map((one, i) => ({
      ...one,
      held: 3 + (i % 7),
      latency: one.outcome === 'miss' ? null : 1.2,
      crooked: i % 2 ? ('straight' as const) : ('slightly-left' as const),
    }));
    const full = must(studyElement({ ...question, bouts: boutsOf(told) }, TODAY));
    expect(full.holding?.holds).toBe(192);
    expect([full.latency?.timed, full.latency?.late, full.precision?.judged]).toEqual([128, 0, 192]);
    const waited = told.map((one, i) => (i < 5 ? { ...one, latency: null, timing: 'none' as const } : one));
    expect(must(studyElement({ ...question, bouts: boutsOf(waited) }, TODAY)).latency?.late).toBe(5);
    expect(JSON.stringify(full)).not.toMatch(/NaN|null,"high"/);
  });
});
