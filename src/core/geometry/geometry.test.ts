import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { normalBelow } from '@/core/statistics';
import {
  anchorFor,
  angleAt,
  bearing,
  besideLine,
  chanceOfMeeting,
  corridorWidth,
  coveredBy,
  distance,
  entersAfter,
  isInside,
  lateralError,
  type Point,
  type Polygon,
  pacesIn,
  pathLength,
  pointAt,
  scentWedge,
  toEarth,
  toPlane,
  touches,
  turnBetween,
  turned,
  wedgeOutline,
  wholeTurn,
} from '.';

const YARD = 0.9144;
const O = { x: 0, y: 0 };
const point = fc.record({
  x: fc.double({ min: -500, max: 500, noNaN: true }),
  y: fc.double({ min: -500, max: 500, noNaN: true }),
});
const degrees = fc.double({ min: -720, max: 720, noNaN: true });

describe('distances, bearings and angles', () => {
  it.each([
    [{ x: 0, y: 10 }, 10, 0],
    [{ x: 10, y: 0 }, 10, 90],
    [{ x: 0, y: -7 }, 7, 180],
    [{ x: -3, y: 0 }, 3, 270],
    [{ x: 30, y: 40 }, 50, 36.869_897_645_844],
    [{ x: -1, y: 1 }, Math.SQRT2, 315],
  ])('to %j: %d m on %d°', (to, metres, on) => {
    expect(distance(O, to)).toBeCloseTo(metres, 10);
    expect(bearing(O, to)).toBeCloseTo(on, 9);
  });

  it('has no bearing to the same place', () => {
    expect(bearing({ x: 3, y: 4 }, { x: 3, y: 4 })).toBeNull();
    expect(angleAt(O, O, { x: 1, y: 0 })).toBeNull();
  });

  it('turns the shorter way, right positive', () => {
    expect(turnBetween(350, 20)).toBe(30);
    expect(turnBetween(20, 350)).toBe(-30);
    expect(turnBetween(0, 180)).toBe(180);
    expect(wholeTurn(-1e-17)).toBe(0);
    expect(angleAt(O, { x: 0, y: 10 }, { x: 10, y: 10 })).toBeCloseTo(45, 10);
  });

  it('is 4.4 yd beside at 50 yd with 5° off, as the trade counts it', () => {
    expect(lateralError(50 * YARD, 5) / YARD).toBeCloseTo(4.357_787, 5);
    expect(corridorWidth(50 * YARD, 5) / YARD).toBeCloseTo(8.715_574, 5);
  });

  it('lateral error is where a line that is off really ends: r·sin', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        degrees,
        (r, off, on) => {
          const ends = pointAt(O, on + off, r);
          expect(besideLine(O, pointAt(O, on, r), ends).side).toBeCloseTo(lateralError(r, off), 6);
        },
      ),
    );
  });

  it('turning and shifting a drawing changes no distance and no angle', () => {
    fc.assert(
      fc.property(point, point, point, point, degrees, (a, b, at, shift, by) => {
        fc.pre(distance(a, at) > 0.1 && distance(b, at) > 0.1);
        const moved = (one: Point): Point => {
          const round = turned(one, by, { x: 17, y: -4 });
          return { x: round.x + shift.x, y: round.y + shift.y };
        };
        expect(distance(moved(a), moved(b))).toBeCloseTo(distance(a, b), 6);
        const [before, after] = [
          angleAt(at, a, b) as number,
          angleAt(moved(at), moved(a), moved(b)) as number,
        ];
        expect(Math.abs(turnBetween(before, after))).toBeLessThan(1e-4);
        expect(pathLength([moved(a), moved(at), moved(b)])).toBeCloseTo(pathLength([a, at, b]), 6);
        expect(besideLine(moved(a), moved(at), moved(b)).away).toBeCloseTo(besideLine(a, at, b).away, 6);
      }),
    );
  });

  it('goes out and finds itself back by bearing and distance', () => {
    fc.assert(
      fc.property(point, point, (a, b) => {
        fc.pre(distance(a, b) > 0.01);
        const there = pointAt(a, bearing(a, b) as number, distance(a, b));
        expect(distance(there, b)).toBeLessThan(1e-6);
      }),
    );
  });

  it('turns clockwise', () => {
    const quarter = turned({ x: 0, y: 10 }, 90);
    expect(quarter.x).toBeCloseTo(10, 12);
    expect(quarter.y).toBeCloseTo(0, 12);
  });

  it('knows on which side of a line something lies, and how far from its ends', () => {
    expect(besideLine(O, { x: 0, y: 40 }, { x: 3, y: 20 })).toEqual({ along: 20, side: 3, away: 3 });
    expect(besideLine(O, { x: 0, y: 40 }, { x: 3, y: 44 })).toEqual({ along: 44, side: 3, away: 5 });
    expect(besideLine(O, O, { x: 3, y: 4 })).toEqual({ along: 0, side: 0, away: 5 });
  });

  it('counts whole paces of one’s own length', () => {
    expect(pacesIn(30, 0.8)).toBe(38);
    expect(pacesIn(30, 0.75)).toBe(40);
  });
});

describe('shapes', () => {
  const square: Polygon = [
    { x: -5, y: 20 },
    { x: 5, y: 20 },
    { x: 5, y: 30 },
    { x: -5, y: 30 },
  ];

  it('enters a square where its edge is met, at once from inside, never beside it', () => {
    expect(entersAfter(O, 0, [square])).toBeCloseTo(20, 9);
    expect(entersAfter({ x: 0, y: 25 }, 123, [square])).toBe(0);
    expect(entersAfter(O, 90, [square])).toBe(Number.POSITIVE_INFINITY);
    expect(touches(O, { x: 0, y: 19.9 }, [square])).toBe(false);
    expect(touches(O, { x: 0, y: 20.1 }, [square])).toBe(true);
    expect(touches({ x: 0, y: 25 }, { x: 0, y: 25 }, [square])).toBe(true);
  });

  it('a road drawn as a line covers its width, and closes at its corners', () => {
    const road = coveredBy({
      points: [
        { x: -50, y: 10 },
        { x: 0, y: 10 },
        { x: 0, y: 60 },
      ],
      closed: false,
      wide: 6,
    });
    const on = (x: number, y: number): boolean => road.some((one) => isInside(one, { x, y }));
    expect([on(-20, 12.9), on(-20, 13.1), on(2.9, 40), on(3.1, 40), on(2.5, 7.5), on(4, 10)]).toEqual([
      true,
      false,
      true,
      false,
      true,
      false,
    ]);
  });

  it('a line of one place, and an outline of two, cover nothing', () => {
    expect(coveredBy({ points: [O], closed: false, wide: 5 })).toEqual([]);
    expect(coveredBy({ points: [O, { x: 1, y: 1 }], closed: true, wide: 5 })).toEqual([]);
    expect(coveredBy({ points: [O, O], closed: false, wide: 5 })).toEqual([]);
  });
});

describe('scent', () => {
  it('lies downwind, narrower and longer in a steady wind', () => {
    const breeze = scentWedge({ from: 270, speed: 3 });
    expect(breeze?.toward).toBe(90);
    expect(breeze?.halfAngle).toBeCloseTo(12.407, 3);
    expect(breeze?.length).toBeCloseTo(20, 10);
    const light = scentWedge({ from: 0, speed: 1 });
    expect(light?.halfAngle).toBeCloseTo(23.749, 3);
    expect(light?.length).toBeCloseTo(20 * Math.sqrt(0.0264 / 0.044), 10);
    expect(scentWedge({ from: 0, speed: 8 })?.halfAngle).toBeCloseTo(9.09, 2);
  });

  it('has no direction when it is calm', () => {
    expect(scentWedge({ from: 10, speed: 0.4 })).toBeNull();
  });

  it('is drawn from its source, all of it within its length', () => {
    const wedge = scentWedge({ from: 200, speed: 4 });
    if (!wedge) throw new Error('there is wind');
    const [source, ...far] = wedgeOutline({ x: 5, y: 6 }, wedge);
    expect(source).toEqual({ x: 5, y: 6 });
    for (const place of far) expect(distance({ x: 5, y: 6 }, place)).toBeCloseTo(wedge.length, 9);
  });
});

describe('the chance of getting onto a road', () => {
  const acrossAll: Polygon = [
    { x: -5000, y: 60 },
    { x: 5000, y: 60 },
    { x: 5000, y: 66 },
    { x: -5000, y: 66 },
  ];

  it('is by reach alone where the road lies across the whole field', () => {
    const chance = chanceOfMeeting(O, { x: 0, y: 40 }, { line: 0, reach: 0.25 }, [acrossAll]);
    expect(chance).toBeCloseTo(1 - normalBelow(Math.log(1.5) / 0.25), 10);
    expect(chance).toBeCloseTo(0.0524, 3);
  });

  it('is by line alone where reach is sure: a road along the line 10 m beside it', () => {
    const beside: Polygon = [
      { x: 10, y: -200 },
      { x: 16, y: -200 },
      { x: 16, y: 400 },
      { x: 10, y: 400 },
    ];
    // Met within 50 m where the dog is off by more than asin(10/50) = 11.54° to the right.
    const chance = chanceOfMeeting(O, { x: 0, y: 50 }, { line: 6, reach: 0 }, [beside]);
    expect(chance).toBeCloseTo(1 - normalBelow(11.537 / 6), 2);
  });

  it('is sure or out of the question without any spread', () => {
    const sure = { line: 0, reach: 0 };
    expect(chanceOfMeeting(O, { x: 0, y: 80 }, sure, [acrossAll])).toBe(1);
    expect(chanceOfMeeting(O, { x: 0, y: 40 }, sure, [acrossAll])).toBe(0);
    expect(chanceOfMeeting(O, O, sure, [acrossAll])).toBeNull();
    expect(chanceOfMeeting(O, { x: 0, y: 40 }, { line: 6, reach: 0.25 }, [])).toBe(0);
  });

  it('agrees with 2,000 dogs sent, on random grounds', () => {
    const random = seeded(20);
    for (let ground = 0; ground < 12; ground++) {
      const road = coveredBy({
        points: [0, 1, 2].map(() => ({ x: random.uniform() * 160 - 80, y: 20 + random.uniform() * 80 })),
        closed: ground % 3 === 0,
        wide: 5,
      });
      const to = { x: random.uniform() * 40 - 20, y: 30 + random.uniform() * 40 };
      const spread = { line: 2 + random.uniform() * 10, reach: 0.05 + random.uniform() * 0.4 };
      let met = 0;
      const dogs = 2_000;
      for (let dog = 0; dog < dogs; dog++) {
        const on = (bearing(O, to) as number) + spread.line * random.normal();
        const ends = pointAt(O, on, distance(O, to) * Math.exp(spread.reach * random.normal()));
        // An oracle of its own: the way is walked in small steps.
        const steps = Array.from({ length: 401 }, (_, s) => ({
          x: (ends.x * s) / 400,
          y: (ends.y * s) / 400,
        }));
        if (steps.some((step) => road.some((one) => isInside(one, step)))) met++;
      }
      const share = met / dogs;
      const chance = chanceOfMeeting(O, to, spread, road) as number;
      const error = Math.sqrt(Math.max(share * (1 - share), 0.002) / dogs);
      expect(Math.abs(chance - share)).toBeLessThan(4.5 * error + 0.004);
    }
  });
});

describe('on the earth', () => {
  it('a hundred metres up are a hundred metres north where north is up', () => {
    const there = toEarth({ lat: 50, lon: 10 }, 0, { x: 0, y: 100 });
    expect(there.lat).toBeCloseTo(50.000_899_32, 7);
    expect(there.lon).toBeCloseTo(10, 10);
    const right = toEarth({ lat: 50, lon: 10 }, 0, { x: 100, y: 0 });
    expect(right.lon).toBeCloseTo(10.001_399_1, 6);
  });

  it('north a quarter turn to the right makes up the west', () => {
    const there = toEarth({ lat: 50, lon: 10 }, 90, { x: 0, y: 100 });
    expect(there.lat).toBeCloseTo(50, 9);
    expect(there.lon).toBeLessThan(10);
  });

  it('comes back to the drawing, over the date line too, and an anchor puts a place where it is', () => {
    fc.assert(
      fc.property(
        point,
        degrees,
        fc.double({ min: -65, max: 65, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (place, north, lat, lon) => {
          const anchor = { lat, lon };
          const back = toPlane(anchor, north, toEarth(anchor, north, place));
          expect(distance(back, place)).toBeLessThan(1e-5);
          const put = toEarth(anchorFor(place, north, anchor), north, place);
          expect(put.lat).toBeCloseTo(lat, 8);
          expect(put.lon).toBeCloseTo(lon, 8);
        },
      ),
    );
  });

  it('is within 0.2 m of the great circle at 1 km', () => {
    for (const on of [0, 30, 60, 90, 135, 200, 300]) {
      const anchor = { lat: 58, lon: 12 };
      const there = toEarth(anchor, 0, pointAt(O, on, 1000));
      // Haversine, which knows no plane.
      const rad = Math.PI / 180;
      const a =
        Math.sin(((there.lat - anchor.lat) * rad) / 2) ** 2 +
        Math.cos(anchor.lat * rad) *
          Math.cos(there.lat * rad) *
          Math.sin(((there.lon - anchor.lon) * rad) / 2) ** 2;
      expect(Math.abs(2 * 6_371_008.8 * Math.asin(Math.sqrt(a)) - 1000)).toBeLessThan(0.2);
    }
  });
});
