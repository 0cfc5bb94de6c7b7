import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { normalBelow } from '@/core/statistics';
import { beyondOffsets, type Deviation, precisionOf } from '.';
import { lastingOf, survivalOf } from './holding';
import { quicknessOf } from './latency';
import { byEye } from './precision';

/** All in one session of today. */
const once = <T>(values: readonly T[]) => [{ weight: 1, values }];
/** So many in each session. */
const apart = <T>(values: readonly T[], each: number) =>
  Array.from({ length: Math.ceil(values.length / each) }, (_, k) => ({
    weight: 1,
    values: values.slice(k * each, (k + 1) * each),
  }));

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
      apart(
        full.map((seconds) => held(seconds)),
        20,
      ),
      15,
    );
    expect(Math.abs((found?.lasts.mid ?? 0) - truth)).toBeLessThan(0.04);
    const cut = lastingOf(
      apart(
        full.map((seconds) => (seconds > 8 ? held(8, 'handler') : held(seconds))),
        20,
      ),
      15,
    );
    expect(cut && cut.lasts.low < truth && truth < cut.lasts.high).toBe(true);
  });

  it('is wide with one hold, and asks for a demand above 0', () => {
    const one = lastingOf(once([held(3)]), 30);
    expect((one?.lasts.high ?? 0) - (one?.lasts.low ?? 1)).toBeGreaterThan(0.15);
    expect(lastingOf([], 0)).toBeNull();
  });
});

describe('latency', () => {
  it('recovers a known middle, with late answers censored', () => {
    const random = seeded(8);
    const all = Array.from({ length: 300 }, () => Math.exp(Math.log(1.5) + 0.5 * random.normal()));
    const times = all.map((seconds) => (seconds > 2 ? { seconds: 2, came: false } : { seconds, came: true }));
    const found = quicknessOf(apart(times, 15), 2);
    expect(Math.abs((found?.median.mid ?? 0) - 1.5)).toBeLessThan(0.1);
    expect(Math.abs((found?.within.mid ?? 0) - normalBelow(Math.log(2 / 1.5) / 0.5))).toBeLessThan(0.05);
    expect(found?.late).toBe(all.filter((seconds) => seconds > 2).length);
  });

  it('weighs late answers and a session’s sway as a finer sum by hand does', () => {
    const logs = [Math.log(0.8), Math.log(1.6)];
    const limit = Math.log(2);
    let [sum, all] = [0, 0];
    for (let mu = -2.4; mu <= 4; mu += 0.08) {
      for (let logSd = Math.log(0.35) - 1.5; logSd <= Math.log(0.35) + 1.5; logSd += 0.1) {
        for (let logSway = Math.log(0.15) - 2.1; logSway <= Math.log(0.15) + 2.1; logSway += 0.2) {
          const [sd, sway] = [Math.exp(logSd), Math.exp(logSway)];
          let likelihood = 0;
          for (let z = -5; z <= 5; z += 0.2) {
            const at = mu + sway * z;
            const exact = logs.reduce((log, one) => log - 0.5 * ((one - at) / sd) ** 2 - logSd, 0);
            likelihood += Math.exp(-0.5 * z * z + exact) * (1 - normalBelow((limit - at) / sd));
          }
          const prior =
            ((mu - Math.log(2)) / 1.2) ** 2 +
            ((logSd - Math.log(0.35)) / 0.5) ** 2 +
            ((logSway - Math.log(0.15)) / 0.7) ** 2;
          const weight = likelihood * Math.exp(-0.5 * prior);
          sum += weight * normalBelow((limit - mu) / Math.hypot(sd, sway));
          all += weight;
        }
      }
    }
    const times = [
      { seconds: 0.8, came: true },
      { seconds: 1.6, came: true },
      { seconds: 2, came: false },
    ];
    expect(Math.abs((quicknessOf(once(times), 2)?.within.mid ?? 0) - sum / all)).toBeLessThan(0.01);
  });

  it('knows a session from a rep: forty times of one day say less than forty of eight', () => {
    const random = seeded(4);
    const times = Array.from({ length: 40 }, () => ({
      seconds: Math.exp(0.4 + 0.2 * random.normal()),
      came: true,
    }));
    const width = (found: ReturnType<typeof quicknessOf>) =>
      Math.log((found?.median.high ?? 0) / (found?.median.low ?? 1));
    expect(width(quicknessOf(once(times), 3))).toBeGreaterThan(1.5 * width(quicknessOf(apart(times, 5), 3)));
  });

  it('metres off its place: near ones only as near, far ones by how far', () => {
    const metres = apart([0, 0.4, 0.6, 0.5, 0.7, 0.3, 0.5, 0.45, 0.9, 0.02, 0.5, 0.6, 0.4, 0.5, 0.8, 0.5], 4);
    const [near = 0, middle = 0, far = 1] = beyondOffsets(metres, [0, 0.5, 5]) ?? [];
    // Two of sixteen lay on their place: a limit of 0 is not passed by every rep.
    expect([near > 0.8, near < 0.99, middle > 0.3, middle < 0.65, far < 0.02]).toEqual(
      Array.from({ length: 5 }, () => true),
    );
    expect(beyondOffsets([], [1])).toBeNull();
  });

  it('says nothing without a time, and widely with one', () => {
    expect(quicknessOf([], 2)).toBeNull();
    const one = quicknessOf(once([{ seconds: 1, came: true }]), 2);
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
    const measured = precisionOf(apart(exact(...values), 20), [5, 15]);
    const seen = precisionOf(
      apart(
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
        20,
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
    expect(precisionOf(once(exact(-14, 13, -11, 12, 0, -13, 14, 9, -9, 1)), [5])?.train).toBe('spread');
    expect(
      precisionOf(once(exact(...Array.from({ length: 40 }, (_, i) => (i % 3) - 1))), [10])?.train,
    ).toBeNull();
    expect(precisionOf([], [5])).toBeNull();
  });
});
