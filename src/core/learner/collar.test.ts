import { describe, expect, it } from 'vitest';
import {
  besideLine,
  distance,
  inPieces,
  laidTrack,
  layByTwo,
  type Point,
  placeAround,
  pointAt,
  type State,
  smoothed,
  type Timed,
  trackGo,
  turned,
  turnTaken,
} from '@/core/geometry';
import { seeded } from '@/core/shared';
import { receiverFixes, simulatedRun } from './collar';

const FROM = { x: 0, y: 0 };

/** A run of a dog, its collar's fixes turned and shifted as the earth lies, and laid again by start and goal. */
function laidRun(seed: number) {
  const random = seeded(seed);
  const goal = pointAt(FROM, 360 * random.uniform(), 40 + 80 * random.uniform());
  const cast = random.uniform() < 0.5;
  const turn = [-90, 90, 45, -45][random.integer(4)] as number;
  const errors = {
    line: 8 * (2 * random.uniform() - 1),
    speed: 4 + 4 * random.uniform(),
    hesitates: cast ? [] : [{ after: 0.3 + 0.3 * random.uniform(), seconds: 4 }],
    casts: cast ? [{ after: 0.6, turn, runs: 40 }] : [],
  };
  const run = simulatedRun(FROM, goal, errors);
  const away = 360 * random.uniform();
  const moved = receiverFixes(run.truth, random).map(({ t, x, y }) => {
    const on = turned({ x, y }, away);
    return { t, x: on.x + 500, y: on.y - 300 };
  });
  const states = inPieces(moved).pieces.flatMap((piece) => smoothed(piece));
  const lies = layByTwo(
    [placeAround(states, 3) as Point, placeAround(states, run.there + 1.5) as Point],
    [FROM, goal],
  );
  const laid = lies ? laidTrack(states, lies.lies) : [];
  return { run, goal, errors, laid, lies };
}

/** The mean distance beside the line on the way out, as it truly was. */
function trueBeside(truth: readonly Timed[], goal: Point, there: number): number {
  const out = truth.filter(({ t, x, y }) => t <= there && Math.hypot(x, y) > 3);
  return out.reduce((sum, one) => sum + Math.abs(besideLine(FROM, goal, one).side), 0) / out.length;
}

describe('a simulated collar, laid by two points', () => {
  it('tells the mean deviation within a metre, and a cast within 10°, in nine of ten', () => {
    let [beside, all, turns, casts] = [0, 0, 0, 0];
    for (let seed = 1; seed <= 150; seed++) {
      const { run, goal, laid } = laidRun(seed);
      const go = trackGo(laid, FROM, goal);
      expect(go, `${seed}`).not.toBeNull();
      all++;
      if (go && Math.abs(go.beside - trueBeside(run.truth, goal, run.there)) <= 1) beside++;
      for (const { at, turn } of run.casts) {
        casts++;
        const taken = turnTaken(laid, at);
        if (taken !== null && Math.abs(taken - turn) <= 10) turns++;
      }
    }
    expect(beside / all).toBeGreaterThanOrEqual(0.9);
    expect(casts).toBeGreaterThan(50);
    expect(turns / casts).toBeGreaterThanOrEqual(0.9);
  });

  it('finds where it hesitated, when it was there, how fast it was', () => {
    let [found, plain, near] = [0, 0, 0];
    for (let seed = 200; seed < 260; seed++) {
      const { run, goal, errors, laid } = laidRun(seed);
      const go = trackGo(laid, FROM, goal);
      if (errors.casts.length > 0 || !go) continue;
      plain++;
      if (go.slow.some((one) => Math.abs(one.seconds - 4) <= 2)) found++;
      if (go.there !== null && Math.abs(go.there - run.there) <= 2) near++;
    }
    expect(found / plain).toBeGreaterThan(0.85);
    expect(near / plain).toBeGreaterThan(0.85);
  });

  it('turned, shifted or given every second fix only, measures the same within its error', () => {
    for (let seed = 300; seed < 330; seed++) {
      const { goal, laid } = laidRun(seed);
      const go = trackGo(laid, FROM, goal);
      const turn = (of: Point): Point => {
        const on = turned(of, 77);
        return { x: on.x + 10, y: on.y - 5 };
      };
      const other = laidTrack(laid, { turn: 77, x: 10, y: -5 });
      const again = trackGo(other, turn(FROM), turn(goal));
      for (const key of ['beside', 'largest', 'furthest', 'way', 'nearest'] as const)
        expect(again?.[key]).toBeCloseTo(go?.[key] as number, 6);
      const thin = smoothed(laid.filter((_, i) => i % 2 === 0));
      const less = trackGo(thin, FROM, goal);
      expect(less?.error).toBeCloseTo(Math.SQRT2, 6);
      expect(Math.abs((less?.beside ?? 0) - (go?.beside ?? 0))).toBeLessThan(less?.error ?? 0);
      expect(Math.abs((less?.furthest ?? 0) - (go?.furthest ?? 0))).toBeLessThan(4);
    }
  });
});

describe('what a collar tells wrong', () => {
  const still = (seconds: number, seed: number): Timed[] =>
    receiverFixes(
      Array.from({ length: seconds * 10 }, (_, i) => ({ t: i / 10, x: 0, y: 0 })),
      seeded(seed),
    );

  it('a still collar has run nowhere', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const states = smoothed(still(120, seed), 0.5);
      expect(trackGo(states, FROM, { x: 50, y: 0 })?.way ?? 0).toBeLessThan(30);
      expect(trackGo(states, FROM, { x: 50, y: 0 })?.there ?? null).toBeNull();
    }
  });

  it('spikes are left out and counted, gaps part it, doubles and a clock set back change nothing', () => {
    const line = (from: number, to: number): Timed[] =>
      Array.from({ length: to - from }, (_, i) => ({ t: from + i, x: 3 * (from + i), y: 0 }));
    const spiked = line(0, 30).with(10, { t: 10, x: 900, y: 900 });
    const found = inPieces(spiked);
    expect([found.spikes, found.gaps, found.pieces[0]?.length]).toEqual([1, 0, 29]);
    const gap = inPieces([...line(0, 20), ...line(60, 80)]);
    expect([gap.gaps, gap.pieces.map((piece) => piece.length)]).toEqual([1, [20, 20]]);
    const double = inPieces([...line(0, 10), { t: 9, x: 27, y: 0 }, { t: 4, x: 12, y: 0 }, ...line(10, 20)]);
    expect(double.pieces[0]).toEqual(line(0, 20));
    // Put into a car and let out elsewhere: several far ones in a row are no spikes.
    const carried = inPieces([...line(0, 10), ...line(10, 30).map((one) => ({ ...one, y: 5_000 }))]);
    expect(carried.pieces.map((piece) => piece.length)).toEqual([10, 16]);
    expect(inPieces([])).toEqual({ pieces: [], spikes: 0, gaps: 0 });
  });

  it('a dog that never left has no go, and one that stopped short was never there', () => {
    const states = (places: readonly (readonly [number, number])[]): State[] =>
      places.map(([t, x]) => ({ t, x, y: 0, vx: 5, vy: 0 }));
    expect(
      trackGo(
        states([
          [0, 0],
          [1, 1],
          [2, 0],
        ]),
        FROM,
        { x: 50, y: 0 },
      ),
    ).toBeNull();
    const short = trackGo(
      states([
        [0, 0],
        [1, 5],
        [2, 20],
        [3, 30],
        [4, 15],
        [5, 0],
      ]),
      FROM,
      { x: 50, y: 0 },
    );
    expect([short?.there, short?.furthest, short?.nearest, short?.back]).toEqual([null, 30, 20, 5]);
    expect(
      turnTaken(
        states([
          [0, 0],
          [1, 5],
        ]),
        1,
      ),
    ).toBeNull();
    expect(distance(FROM, { x: 0, y: 0 })).toBe(0);
  });
});
