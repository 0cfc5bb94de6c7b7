import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { fallingOff, type WatchedRep } from '.';

/** 'cccm' → reps; capitals had an extra cue noted, small letters a single cue. */
const reps = (text: string): WatchedRep[] =>
  [...text].map((one) => ({
    clean: one.toLowerCase() === 'c',
    extraCues: one === one.toLowerCase() ? 0 : 1,
    latency: null,
  }));
const silent = (text: string): WatchedRep[] => reps(text).map((rep) => ({ ...rep, extraCues: null }));
const known = (share: number) => ({ clean: 40 * share, total: 40 });

describe('falling off', () => {
  it('after seven single-cue bouts, two repeated-cue bouts alert by the second', () => {
    expect(fallingOff(reps('cccccccC'), known(0.9))).toBeNull();
    expect(fallingOff(reps('cccccccCC'), known(0.9))).toEqual({ by: 'extra cues', since: 7 });
  });

  it.each([
    ['all clean', 'cccccccccc', 0.9, null],
    ['one miss', 'ccccm', 0.9, null],
    ['four misses after eight clean', 'ccccccccmmmm', 0.9, { by: 'misses', since: 8 }],
    ['the same misses in a dog of 60 %', 'cmcmcmcmcm', 0.6, null],
    ['nothing yet', '', 0.9, null],
  ] as const)('%s', (_, text, share, expected) =>
    expect(fallingOff(silent(text), known(share))).toEqual(expected));

  it('answers that take ever longer', () => {
    const slow = (seconds: readonly number[]): WatchedRep[] =>
      seconds.map((latency) => ({ clean: true, extraCues: null, latency }));
    expect(fallingOff(slow([1, 1.1, 0.9, 1, 1, 1.1, 1]), known(0.9))).toBeNull();
    expect(fallingOff(slow([1, 1.1, 0.9, 1, 1.6, 1.8, 2]), known(0.9))).toEqual({
      by: 'slower answers',
      since: 4,
    });
  });

  it('two taps at once are no answer time, and raise no alarm', () => {
    const slow = (seconds: readonly number[]): WatchedRep[] =>
      seconds.map((latency) => ({ clean: true, extraCues: null, latency }));
    expect(fallingOff(slow([0, 1, 1.1, 0.9, 1, 1, 1.1]), known(0.9))).toBeNull();
    expect(fallingOff(slow([1, 1.1, 0.9, 1, 0, 1, 1.1, 0.02, 1]), known(0.9))).toBeNull();
  });

  it.each([0.7, 0.8, 0.9, 0.97])('at most 8 false alarms in 100 sessions of 20 reps for a dog of %d', (p) => {
    const random = seeded(p * 100);
    const alarms = Array.from({ length: 4000 }, () => {
      const session = Array.from(
        { length: 20 },
        (): WatchedRep => ({ clean: random.uniform() < p, extraCues: null, latency: null }),
      );
      return fallingOff(session, known(p)) !== null;
    }).filter(Boolean).length;
    expect(alarms / 4000).toBeLessThanOrEqual(0.08);
  });

  it('finds a fall to a third of the odds more often than it cries wolf, and not always', () => {
    const random = seeded(9);
    const found = Array.from({ length: 2000 }, () => {
      const session = Array.from(
        { length: 20 },
        (_, i): WatchedRep => ({
          clean: random.uniform() < (i < 8 ? 0.9 : 0.75),
          extraCues: null,
          latency: null,
        }),
      );
      return fallingOff(session, known(0.9)) !== null;
    }).filter(Boolean).length;
    expect(found / 2000).toBeGreaterThan(0.15);
    expect(found / 2000).toBeLessThan(0.6);
  });
});
