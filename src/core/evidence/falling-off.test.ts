import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { type Before, fallingOff, type WatchedRep } from '.';

/** 'cccm' → reps; capitals had an extra cue noted, small letters a single cue. */
const reps = (text: string): WatchedRep[] =>
  [...text].map((one) => ({
    clean: one.toLowerCase() === 'c',
    extraCues: one === one.toLowerCase() ? 0 : 1,
    latency: null,
  }));
const silent = (text: string): WatchedRep[] => reps(text).map((rep) => ({ ...rep, extraCues: null }));
const known = (share: number, change: Partial<Before> = {}): Before => ({
  clean: 40 * share,
  total: 40,
  cues: { reps: 0, extra: 0 },
  times: [],
  ...change,
});
const SINGLE = { cues: { reps: 40, extra: 0 } };
const slow = (seconds: readonly number[]): WatchedRep[] =>
  seconds.map((latency) => ({ clean: true, extraCues: null, latency }));
/** Four sessions around a second. */
const AROUND_ONE = {
  times: Array.from({ length: 4 }, () => [1, 1.1, 0.9, 1, 0.8, 1.2].map((one) => Math.log(one))),
};

describe('falling off', () => {
  it('after seven single-cue bouts, two repeated-cue bouts alert by the second', () => {
    expect(fallingOff(reps('cC'), known(0.9, SINGLE))).toBeNull();
    expect(fallingOff(reps('cCC'), known(0.9, SINGLE))).toEqual({ by: 'extra cues', since: 1 });
  });

  it('counts cues by their number, and against this dog: one that needs them raises none', () => {
    const twice = (text: string) =>
      reps(text).map((rep) => ({ ...rep, extraCues: (rep.extraCues ?? 0) * 2 }));
    expect(fallingOff(reps('ccC'), known(0.9, SINGLE))).toBeNull();
    expect(fallingOff(twice('ccC'), known(0.9, SINGLE))).toEqual({ by: 'extra cues', since: 2 });
    expect(fallingOff(reps('cCCcC'), known(0.9, { cues: { reps: 40, extra: 24 } }))).toBeNull();
    expect(fallingOff(reps('CCCCCC'), known(0.9))).toBeNull();
  });

  it.each([
    ['all clean', 'cccccccccc', 0.9, null],
    ['one miss', 'ccccm', 0.9, null],
    ['four misses after eight clean', 'ccccccccmmmm', 0.9, { by: 'misses', since: 8 }],
    ['the same misses in a dog of 60 %', 'cmcmcmcmcm', 0.6, null],
    ['nothing yet', '', 0.9, null],
  ] as const)('%s', (_, text, share, expected) =>
    expect(fallingOff(silent(text), known(share))).toEqual(expected));

  it('answers that take ever longer than this dog’s, not than today’s first', () => {
    expect(fallingOff(slow([1, 1.1, 0.9, 1, 1, 1.1, 1]), known(0.9, AROUND_ONE))).toBeNull();
    expect(fallingOff(slow([1, 1.1, 0.9, 2, 2.2, 2.4]), known(0.9, AROUND_ONE))).toEqual({
      by: 'slower answers',
      since: 3,
    });
    expect(fallingOff(slow([2.5, 2.5, 2.5]), known(0.9, AROUND_ONE))).toEqual({
      by: 'slower answers',
      since: 0,
    });
    expect(fallingOff(slow([1, 1, 1, 1, 3, 3, 3]), known(0.9))).toBeNull();
  });

  it('two taps at once are no answer time, and raise no alarm', () => {
    expect(fallingOff(slow([0, 1, 1.1, 0.9, 1, 1, 1.1]), known(0.9, AROUND_ONE))).toBeNull();
    expect(fallingOff(slow([1, 1.1, 0.9, 1, 0, 1, 1.1, 0.02, 1]), known(0.9, AROUND_ONE))).toBeNull();
  });

  it.each([0.02, 0.1, 0.2, 0.4])('cues: at most 8 in 100 for a dog that needs %d a rep', (rate) => {
    const random = seeded(rate * 1000);
    const drawn = (): number => {
      let [n, chance, upTo] = [0, Math.exp(-rate), Math.exp(-rate)];
      for (const wanted = random.uniform(); wanted > upTo && n < 20; upTo += chance) chance *= rate / ++n;
      return n;
    };
    const alarms = Array.from({ length: 3000 }, () => {
      const extra = Array.from({ length: 40 }, drawn).reduce((a, b) => a + b, 0);
      const session = Array.from(
        { length: 20 },
        (): WatchedRep => ({ clean: true, extraCues: drawn(), latency: null }),
      );
      return fallingOff(session, known(0.9, { cues: { reps: 40, extra } })) !== null;
    }).filter(Boolean).length;
    expect(alarms / 3000).toBeLessThanOrEqual(0.08);
  });

  it.each([
    [0.3, 0],
    [0.3, 0.2],
    [0.2, 0.2],
  ])('answers: at most 8 in 100 with a spread of %d and a sway of %d', (sd, sway) => {
    const random = seeded(100 * (sd + 2 * sway));
    const session = (n: number, more = 0): number[] => {
      const own = sway * random.normal();
      return Array.from({ length: n }, (_, i) => own + sd * random.normal() + (i < 8 ? 0 : more));
    };
    const alarms = (more: number): number =>
      Array.from({ length: 3000 }, () => {
        const times = Array.from({ length: 6 }, () => session(8));
        return fallingOff(slow(session(20, more).map(Math.exp)), known(0.9, { times })) !== null;
      }).filter(Boolean).length / 3000;
    expect(alarms(0)).toBeLessThanOrEqual(0.08);
    expect(alarms(Math.log(2))).toBeGreaterThan(0.6);
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
