import { describe, expect, it } from 'vitest';
import { must, type Random, seeded } from '@/core/shared';
import { distance, type Point } from '../plane';
import { distanceIn, leaveOneOut, lineGround, measuredIn, pixelBy, planeGround } from '.';
import { type Camera, placesSeen, seenBy, someCamera } from './camera.test-helper';
import type { KnownPoint, Pixel } from './homography';
import { nineInTen, placeUnder } from './picture-ground';

const CAMERA: Camera = { at: [0, -12, 3], towards: { x: 0, y: 3 }, focal: 1100, width: 1280, height: 720 };
const seen = (place: Point, camera = CAMERA): Pixel => seenBy(camera, place) as Pixel;
const known = (places: readonly Point[], camera = CAMERA): KnownPoint[] =>
  places.map((place) => ({ px: seen(place, camera), place }));
const SQUARE = [
  { x: -3, y: 0 },
  { x: 3, y: 0 },
  { x: 3, y: 6 },
  { x: -3, y: 6 },
];

describe('a ground from known points', () => {
  it('finds every place of a square of poles again, and the way back into the picture', () => {
    const ground = must(planeGround(known(SQUARE), 1280));
    for (const place of [
      { x: 0, y: 3 },
      { x: -2.5, y: 8 },
      { x: 4, y: 1 },
    ]) {
      const found = placeUnder(ground, seen(place)) as Point;
      expect(distance(found, place)).toBeLessThan(1e-6);
      const px = ground.plane && pixelBy(ground.plane, place);
      expect(Math.hypot((px?.[0] ?? 0) - seen(place)[0], (px?.[1] ?? 0) - seen(place)[1])).toBeLessThan(1e-6);
    }
  });

  it('is right from straight above: 100 px are 10 m', () => {
    const above: KnownPoint[] = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ].map(([x, y]) => ({
      px: [100 + 10 * (x as number), 500 - 10 * (y as number)],
      place: { x: x as number, y: y as number },
    }));
    const ground = must(planeGround(above, 1280));
    expect(distanceIn(ground, [100, 500], [200, 500])?.value).toBeCloseTo(10, 9);
  });

  it('has no place at the horizon and above it', () => {
    const ground = must(planeGround(known(SQUARE), 1280));
    expect(placeUnder(ground, [640, 0])).toBeNull();
    expect(distanceIn(ground, [640, 0], seen({ x: 0, y: 3 }))).toBeNull();
  });

  it.each([
    ['three points', SQUARE.slice(0, 3), 'few-points'],
    ['none', [], 'few-points'],
    ['four in a row', [0, 1, 2, 3].map((x) => ({ x, y: 2 })), 'on-a-line'],
    [
      'three of four in a row',
      [
        { x: -3, y: 0 },
        { x: 0, y: 0 },
        { x: 3, y: 0 },
        { x: 0, y: 6 },
      ],
      'on-a-line',
    ],
    ['one place twice', [SQUARE[0], SQUARE[0], SQUARE[1], SQUARE[2]] as Point[], 'on-a-line'],
    ['five in a row', [0, 1, 2, 3, 4].map((x) => ({ x: x - 2, y: x })), 'on-a-line'],
  ])('refuses %s in words', (_, places, code) => {
    const found = planeGround(known(places), 1280);
    expect(found.ok ? 'ok' : found.code).toBe(code);
    expect(found.ok ? '' : found.message.say).toBe(`clips.ground.${code}`);
  });

  it('takes points typed as in a mirror as the camera sees them', () => {
    const typed = known([...SQUARE, { x: 0, y: 3 }]).map(({ px, place }) => ({
      px,
      place: { x: -place.x, y: place.y },
    }));
    const ground = must(planeGround(typed, 1280));
    expect(placeUnder(ground, seen({ x: 2, y: 1 }))?.x).toBeCloseTo(2, 6);
    expect(leaveOneOut(typed, 1280)?.typical).toBeLessThan(1e-6);
  });

  it('refuses points that were exchanged', () => {
    const [a, b, c, d] = known(SQUARE) as [KnownPoint, KnownPoint, KnownPoint, KnownPoint];
    const crossed = [a, { ...b, place: c.place }, { ...c, place: b.place }, d];
    const found = planeGround(crossed, 1280);
    expect(found.ok ? 'ok' : found.code).toBe('mixed-up');
  });

  it('shows the point that was typed wrong by finding each from the rest', () => {
    const points = known([...SQUARE, { x: 0, y: 3 }, { x: -1, y: 5 }]);
    expect(leaveOneOut(points, 1280)?.typical).toBeLessThan(1e-6);
    const wrong = points.with(4, { ...(points[4] as KnownPoint), place: { x: 0.8, y: 3 } });
    expect(leaveOneOut(wrong, 1280)?.worst).toBe(4);
    // Where they fit as a hand fits, none is blamed, however far away they lie.
    const random = seeded(3);
    const hand = points.map(({ px: [x, y], place }) => ({
      px: [x + random.normal(), y + random.normal()] as const,
      place,
    }));
    expect(leaveOneOut(hand, 1280)?.worst).toBeNull();
    expect(leaveOneOut(points.slice(0, 4), 1280)).toBeNull();
  });
});

describe('the stated error', () => {
  /** How often the truth lies within the stated error of a distance, over random cameras, points and noise. */
  function covered(count: number, seeds: number, pixels: number): number {
    let [hits, all] = [0, 0];
    for (let seed = 1; seed <= seeds; seed++) {
      const random: Random = seeded(seed);
      const camera = someCamera(random.uniform);
      const places = placesSeen(camera, random.uniform, count + 2);
      const points = places.slice(0, count).map((place) => {
        const [x, y] = seen(place, camera);
        const taped = { x: place.x + 0.02 * random.normal(), y: place.y + 0.02 * random.normal() };
        return { px: [x + pixels * random.normal(), y + pixels * random.normal()] as const, place: taped };
      });
      const ground = planeGround(points, 1280);
      if (!ground.ok) continue;
      const [p, q] = places.slice(count) as [Point, Point];
      const pointed = [p, q].map((place): Pixel => {
        const [x, y] = seen(place, camera);
        return [x + pixels * random.normal(), y + pixels * random.normal()];
      });
      const found = distanceIn(ground.value, pointed[0] as Pixel, pointed[1] as Pixel);
      if (!found) continue;
      all++;
      if (Math.abs(found.value - distance(p, q)) <= found.error) hits++;
    }
    expect(all).toBeGreaterThan(seeds * 0.7);
    return hits / all;
  }

  it('covers the truth in nine of ten random set-ups with a hand as stated, with four points and with more', () => {
    for (const count of [4, 5, 6, 8]) {
      const share = covered(count, 400, 2);
      expect(share, `${count} points`).toBeGreaterThan(0.87);
      expect(share, `${count} points`).toBeLessThan(0.975);
    }
  });

  it('widens where the points themselves say that the hand was worse', () => {
    const loose = covered(8, 300, 5);
    expect(loose).toBeGreaterThan(0.75);
    // With four points nothing says so: then the stated hand is all there is.
    expect(covered(4, 300, 5)).toBeLessThan(loose);
  });

  it('grows away from the points', () => {
    const ground = must(planeGround(known(SQUARE), 1280));
    const inside = distanceIn(ground, seen({ x: 0, y: 2 }), seen({ x: 1, y: 2 }))?.error ?? 0;
    const beyond = distanceIn(ground, seen({ x: 0, y: 20 }), seen({ x: 1, y: 20 }))?.error ?? 0;
    expect(beyond).toBeGreaterThan(2 * inside);
  });
});

describe('two poles or a tape', () => {
  const along = (x: number): Point => ({ x, y: 2 });

  it('is exact along a tape with three marks, whichever way it runs', () => {
    const slanted = (s: number): Point => ({ x: -3 + s * 0.8, y: s * 0.6 });
    const marks = [0, 4, 8].map((s) => ({ px: seen(slanted(s)), along: s }));
    const ground = must(lineGround(marks, 1280));
    expect(ground.kind).toBe('line');
    expect(distanceIn(ground, seen(slanted(1)), seen(slanted(7)))?.value).toBeCloseTo(6, 6);
  });

  it('states with two poles what perspective may do to the middle', () => {
    for (const turn of [0, 5, 10, 15]) {
      const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
      const slanted = (s: number): Point => ({ x: s * cos, y: 3 + s * sin });
      const marks = [-4, 4].map((s) => ({ px: seen(slanted(s)), along: s + 4 }));
      const ground = must(lineGround(marks, 1280));
      const found = distanceIn(ground, seen(slanted(-4)), seen(slanted(0)));
      expect(Math.abs((found?.value ?? 0) - 4), `${turn} degrees`).toBeLessThan(found?.error ?? 0);
    }
  });

  it('measures nothing beside its line', () => {
    const ground = must(
      lineGround(
        [
          { px: seen(along(-3)), along: 0 },
          { px: seen(along(3)), along: 6 },
        ],
        1280,
      ),
    );
    expect(placeUnder(ground, seen({ x: 0, y: -3 }))).toBeNull();
    expect(placeUnder(ground, seen(along(1)))?.x).toBeCloseTo(4, 1);
  });

  it.each([
    ['one pole', [{ px: [10, 10] as const, along: 0 }], 'few-points'],
    [
      'one place twice',
      [
        { px: [10, 10] as const, along: 0 },
        { px: [10, 10] as const, along: 3 },
      ],
      'same-place',
    ],
    [
      'no length',
      [
        { px: [10, 10] as const, along: 2 },
        { px: [90, 10] as const, along: 2 },
      ],
      'same-place',
    ],
    ['marks out of order', [0, 4, 2].map((s, i) => ({ px: [100 * i, 10] as const, along: s })), 'mixed-up'],
  ])('refuses %s in words', (_, marks, code) => {
    const found = lineGround(marks, 1280);
    expect(found.ok ? 'ok' : found.code).toBe(code);
  });
});

describe('anything computed from places', () => {
  it('takes the t of few degrees of freedom from tables', () => {
    // Student's t at 0.95 of 8, 12 and 30 degrees of freedom.
    for (const [freedom, t] of [
      [8, 1.86],
      [12, 1.782],
      [30, 1.697],
    ] as const)
      expect(Math.abs(nineInTen(freedom) - t)).toBeLessThan(0.003);
  });

  it('has no value where a place has none', () => {
    const ground = must(planeGround(known(SQUARE), 1280));
    expect(measuredIn(ground, [seen({ x: 0, y: 3 })], () => null)).toBeNull();
  });
});
