import { describe, expect, it } from 'vitest';
import { must, type Random, seeded } from '@/core/shared';
import { firstOfEach, isOwnClick, learnClick, openListener, type Sound } from '.';
import {
  add,
  type Clicker,
  clickOf,
  noise,
  over,
  someClicker,
  whistle,
  wind,
  word,
} from './sounds.test-helper';

const RATE = 48_000;
const SECONDS = 40;

function heardIn(sound: Float32Array, piece = 1_024, rate = RATE): Sound[] {
  const listener = openListener(rate);
  const heard: Sound[] = [];
  for (let i = 0; i < sound.length; i += piece) heard.push(...listener.hear(sound.subarray(i, i + piece)));
  return [...heard, ...listener.end()];
}
const sizeOf = (sound: Float32Array): number =>
  Math.sqrt(sound.reduce((sum, one) => sum + one * one, 0) / sound.length);

type Around = 'noise' | 'wind' | 'both';
function around(kind: Around, random: Random): Float32Array {
  if (kind === 'wind') return wind(SECONDS, RATE, 0.02, random);
  const sound = noise(SECONDS, RATE, 0.01, random);
  if (kind === 'both') add(sound, wind(SECONDS, RATE, 0.01, random), 0, RATE);
  return sound;
}

/** Times every two to three seconds that keep clear of the whistles (2.7 s) and words (4.9 s) of every seven. */
function clickTimes(random: Random): number[] {
  const times: number[] = [];
  for (let at = 1.5; at < SECONDS - 2; at += 2 + random.uniform()) {
    const [tone, voice] = [(at - 2.7 + 70) % 7, (at - 4.9 + 70) % 7];
    if ([tone, voice].every((one) => one > 0.5 && one < 6.9)) times.push(at);
  }
  return times;
}
const WHISTLES = [2.7, 9.7, 16.7, 23.7, 30.7];
const WORDS = [4.9, 11.9, 18.9, 25.9, 32.9];

describe('candidates in a recording', () => {
  const at = (list: readonly Sound[], kind: Sound['kind']): number[] =>
    list.filter((one) => one.kind === kind).map((one) => one.at);
  const near = (list: readonly number[], time: number, within: number): boolean =>
    list.some((one) => Math.abs(one - time) < within);

  it.each([
    'noise',
    'wind',
    'both',
  ] as const)('finds clicks 10 dB over %s, with at most one false a minute between words and whistles', (kind) => {
    let [found, all, wrong] = [0, 0, 0];
    for (let seed = 1; seed <= 3; seed++) {
      const random = seeded(seed);
      const sound = around(kind, random);
      const [size, times, clicker] = [sizeOf(sound), clickTimes(random), someClicker(random)];
      for (const time of times) add(sound, clickOf(clicker, RATE, random), time, RATE, over(10, size));
      for (const time of WHISTLES) add(sound, whistle(2_500, 0.3, RATE), time, RATE, 0.2);
      for (const time of WORDS) add(sound, word(140, 0.35, RATE), time, RATE, 0.1);
      const heard = heardIn(sound);
      const clicks = at(heard, 'click');
      all += times.length;
      found += times.filter((time) => near(clicks, time, 0.004)).length;
      wrong += clicks.filter((click) => !near(times, click, 0.03)).length;
      for (const time of WHISTLES) expect(near(at(heard, 'whistle'), time, 0.03)).toBe(true);
      expect(at(heard, 'whistle').length).toBe(WHISTLES.length);
      if (kind === 'noise') for (const time of WORDS) expect(near(at(heard, 'word'), time, 0.15)).toBe(true);
    }
    expect(found / all).toBeGreaterThanOrEqual(0.95);
    expect(wrong / ((3 * SECONDS) / 60)).toBeLessThanOrEqual(1);
  });

  it('hears the same whatever the pieces, and at the rates that phones use', () => {
    const random = seeded(5);
    const sound = noise(6, RATE, 0.01, random);
    const clicker = someClicker(random);
    for (const time of [1, 2.5, 4]) add(sound, clickOf(clicker, RATE, random), time, RATE, 0.1);
    const whole = heardIn(sound, sound.length);
    for (const piece of [128, 999, 4_096]) expect(heardIn(sound, piece)).toEqual(whole);
    for (const rate of [16_000, 44_100]) {
      const other = noise(4, rate, 0.01, random);
      add(other, clickOf(clicker, rate, random), 2, rate, 0.2);
      expect(near(at(heardIn(other, 512, rate), 'click'), 2, 0.004), `${rate}`).toBe(true);
    }
  });

  it('hears nothing in silence, in nothing, and in a switch at the beginning', () => {
    expect(heardIn(new Float32Array(RATE))).toEqual([]);
    expect(heardIn(new Float32Array(0))).toEqual([]);
    const random = seeded(6);
    const sound = noise(1, RATE, 0.001, random);
    add(sound, clickOf(someClicker(random), RATE, random), 0.005, RATE, 0.5);
    expect(heardIn(sound)).toEqual([]);
  });
});

describe('one’s own click', () => {
  /** Ten clicks in a quiet room, pressed and let go, as somebody clicks them to be learned. */
  function lesson(clicker: Clicker, random: Random, count = 10): Sound[] {
    const sound = noise(2 * count + 2, RATE, 0.002, random);
    for (let i = 0; i < count; i++) {
      add(sound, clickOf(clicker, RATE, random), 1 + 2 * i, RATE, 0.07 + 0.06 * random.uniform());
      add(sound, clickOf(clicker, RATE, random), 1.12 + 2 * i, RATE, 0.06);
    }
    return firstOfEach(heardIn(sound).filter(({ kind }) => kind === 'click'));
  }

  it.each([
    'noise',
    'wind',
    'both',
  ] as const)('is told live from foreign clicks over %s: 95 in 100 found, at most one false a minute', (kind) => {
    let [found, all, wrong] = [0, 0, 0];
    for (let seed = 11; seed <= 13; seed++) {
      const random = seeded(seed);
      const clicker = someClicker(random);
      const foreign = [someClicker(random), someClicker(random)] as const;
      const own = must(learnClick(lesson(clicker, random), RATE));
      const sound = around(kind, random);
      const size = sizeOf(sound);
      const times = clickTimes(random);
      for (const [i, time] of times.entries()) {
        const gain = over(10 + 10 * random.uniform(), size);
        add(sound, clickOf(clicker, RATE, random), time, RATE, gain);
        add(sound, clickOf(clicker, RATE, random), time + 0.12, RATE, 0.6 * gain);
        add(sound, clickOf(foreign[i % 2] as Clicker, RATE, random), time + 0.9, RATE, over(15, size));
      }
      const heard = firstOfEach(heardIn(sound, 128).filter((one) => isOwnClick(own, one)));
      const isOne = (one: Sound): boolean => times.some((time) => Math.abs(one.at - time) < 0.15);
      all += times.length;
      found += heard.filter(isOne).length;
      wrong += heard.filter((one) => !isOne(one)).length;
    }
    expect(found / all).toBeGreaterThanOrEqual(0.95);
    expect(wrong / ((3 * SECONDS) / 60)).toBeLessThanOrEqual(1);
  });

  it('is not learned from nine, nor from clicks of several clickers', () => {
    const random = seeded(20);
    const clicker = someClicker(random);
    const few = learnClick(lesson(clicker, random, 9), RATE);
    expect(few).toMatchObject({ ok: false, code: 'few', message: { with: { heard: 9, wanted: 10 } } });
    const dull: Clicker = [{ hertz: 1_700, decay: 0.002, share: 1 }];
    const bright: Clicker = [{ hertz: 6_500, decay: 0.001, share: 1 }];
    const mixed = [...lesson(dull, random, 6), ...lesson(bright, random, 6)];
    expect(learnClick(mixed, RATE)).toMatchObject({ ok: false, code: 'unlike' });
  });

  it('is none at another rate of samples', () => {
    const random = seeded(21);
    const clicks = lesson(someClicker(random), random);
    const own = must(learnClick(clicks, RATE));
    expect(clicks.every((one) => isOwnClick(own, one))).toBe(true);
    expect(isOwnClick({ ...own, shape: own.shape.slice(1) }, clicks[0] as Sound)).toBe(false);
  });

  it('takes press and let-go as one', () => {
    expect(
      firstOfEach([{ at: 1 }, { at: 1.12 }, { at: 1.39 }, { at: 1.41 }, { at: 3 }]).map(({ at }) => at),
    ).toEqual([1, 1.41, 3]);
  });
});
