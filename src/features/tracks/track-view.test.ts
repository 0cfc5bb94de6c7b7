import { beforeEach, describe, expect, it } from 'vitest';
import { lengthsBy } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { laidTrack, type State } from '@/core/geometry';
import { type Judging, plainRep, type StandingRep } from '@/core/log';
import { type AxisKey, asId, type EntryId, must } from '@/core/shared';
import type { MeasuredTrackGo, RunOfDog } from '@/data/read';
import { takeLocale } from '@/words';
import { goesOf, isFarOff, layable, layStart, layTwo, noGoInWords, usualPairs } from './laying';
import { linesInWords } from './lines-in-words';
import { boxOf } from './track-box';
import { atItsDistance, trackCorrection } from './track-correction';
import { goInWords } from './track-view';

beforeEach(() => takeLocale(['en-GB']));
const plain = (text: string): string => text.replaceAll(/\s/g, ' ');
const METRES = lengthsBy({ unit: 'm', whose: null }, [], null);
const thing = (key: string, kind: 'dog' | 'blind', x: number, y: number, order: number | null = null) =>
  ({ key, kind, x, y, turn: 0, order, label: '', wide: null, long: null }) as const;
const THINGS = [
  thing('dog-1', 'dog', 10, 10),
  thing('blind-1', 'blind', 10, 50, 1),
  thing('blind-2', 'blind', 70, 10, 2),
];

/** Out to 60 m and back at 6 m/s, 100 m away from the drawing and turned by 90°: to the east is up. */
const out = (t: number): number =>
  t < 5 ? 0 : t < 15 ? 6 * (t - 5) : t < 18 ? 60 : Math.max(0, 60 - 6 * (t - 18));
const STATES: State[] = Array.from({ length: 36 }, (_, t) => ({
  t,
  x: 100,
  y: -out(t),
  vx: 0,
  vy: 0,
}));

describe('a track on a set-out', () => {
  it('is laid by the dog and what lies as far from it as it ran', () => {
    expect(layable(THINGS).map(({ key }) => key)).toEqual(['dog-1', 'blind-1', 'blind-2']);
    const pairs = usualPairs(STATES, THINGS);
    expect(pairs.map(({ key }) => key)).toEqual(['dog-1', 'blind-2']);
    const lies = must(layTwo(STATES, THINGS, pairs));
    expect(lies.off).toBeLessThan(4);
    const goes = goesOf(STATES, lies, THINGS);
    expect(goes.map(({ goal }) => goal)).toEqual(['blind-2']);
    // Laid anew, what was said of a go stays with it.
    const said = goes.map((one) => ({ ...one, rep: asId<EntryId>('r'), casts: [{ at: 9, turn: 90 }] }));
    expect(goesOf(STATES, lies, THINGS, said)).toEqual(said);
    expect(
      goesOf(STATES, lies, THINGS, [
        { ...(said[0] as never as (typeof said)[number]), from: 400, to: 430 },
      ])[0]?.rep,
    ).toBeNull();
    const laid = laidTrack(STATES, lies);
    expect(laid[16]?.x).toBeGreaterThan(66);
    expect(Math.abs((laid[16]?.y ?? 0) - 10)).toBeLessThan(0.5);
  });

  it('says why it has no go: not laid, drawn too near for a receiver, or never away', () => {
    const near = [thing('dog-1', 'dog', 10, 10), thing('blind-1', 'blind', 10, 19.1, 1)];
    const lies = { turn: 0, x: 0, y: 0, by: 'start', off: null } as const;
    expect(noGoInWords(null, near, METRES)).toBe('Lay it on the set-out: its goes follow.');
    expect(plain(noGoInWords(lies, near, METRES))).toBe(
      'What it is sent for lies 9.1 m away, and a receiver strays by some metres: a go is told only where it leads ' +
        'further than 12 m. Tap these reps on the pad, and run a longer step with the receiver.',
    );
    expect(plain(noGoInWords(lies, THINGS, METRES))).toBe(
      'Nothing led further than 12 m away from the dog’s place: look where it lies.',
    );
  });

  it('is laid by its start with north as it is, and says what is missing', () => {
    const lies = must(layStart(STATES, { things: THINGS, north: 0 }, { t: 1, key: 'dog-1' }));
    const laid = laidTrack(STATES, lies);
    expect([Math.round(laid[1]?.x ?? 0), Math.round(laid[1]?.y ?? 0)]).toEqual([10, 10]);
    expect(Math.round(laid[16]?.y ?? 0)).toBe(-50);
    // A drawing whose north is to the right: what ran south runs left.
    const turned = laidTrack(
      STATES,
      must(layStart(STATES, { things: THINGS, north: 90 }, { t: 1, key: 'dog-1' })),
    );
    expect(Math.round(turned[16]?.x ?? 0)).toBe(-50);
    expect(layStart(STATES, { things: [], north: 0 }, { t: 1, key: 'dog-1' })).toMatchObject({
      code: 'no-dog',
    });
    expect(layStart(STATES, { things: THINGS, north: 0 }, { t: 900, key: 'dog-1' })).toMatchObject({
      code: 'no-fix',
    });
    const one = { t: 1, key: 'dog-1' };
    expect(layTwo(STATES, THINGS, [one, { t: 16, key: 'dog-1' }])).toMatchObject({ code: 'one-place' });
    expect(layTwo(STATES, THINGS, [one, { t: 900, key: 'blind-1' }])).toMatchObject({ code: 'no-fix' });
    expect(layTwo(STATES, THINGS, [one, { t: 5, key: '' }])).toMatchObject({ code: 'no-dog' });
    expect(goesOf(STATES, lies, [])).toEqual([]);
    expect([isFarOff(4, 20), isFarOff(9, 20)]).toEqual([false, true]);
  });

  it('widens the drawing to what was run', () => {
    expect(
      boxOf({ x: 0, y: 0, wide: 10, high: 10 }, [
        { x: -5, y: 3 },
        { x: 12, y: 40 },
      ]),
    ).toEqual({ x: -9, y: -1, wide: 25, high: 45 });
    expect(boxOf({ x: 0, y: 0, wide: 10, high: 10 }, [])).toEqual({ x: 0, y: 0, wide: 10, high: 10 });
  });
});

const MEASURED: NonNullable<MeasuredTrackGo['measured']> = {
  left: 5,
  there: 15,
  back: 27,
  nearest: 0.4,
  meant: 40,
  furthest: 41,
  way: 42.3,
  out: 10,
  home: 12,
  speedOut: 4.2,
  speedBack: 3.4,
  beside: 1.2,
  largest: -2.6,
  line: -3.2,
  error: 1,
  slow: [{ at: 9, seconds: 4, stopped: false, place: { x: 10, y: 30 } }],
};
const measuredGo = (change: Partial<MeasuredTrackGo> = {}): MeasuredTrackGo => ({
  go: { from: 0, to: 30, goal: 'blind-1', rep: null, casts: [] },
  goal: THINGS[1] ?? null,
  states: [],
  measured: MEASURED,
  ran: 44.2,
  casts: [],
  ...change,
});

describe('a go in words', () => {
  it('says how it went out and back, its line, where it stood, what it took of a cast', () => {
    const casts = [
      { at: 75, turn: -90, taken: -84 },
      { at: 80, turn: 180, taken: null },
    ];
    expect(goInWords(measuredGo({ casts }), METRES).map(plain)).toEqual([
      'Out 44.2 m (drawn 40 m) in 10 s, 4.2 m/s.',
      'Back in 12 s, 3.4 m/s.',
      'Beside its line 1.2 m on average (± 1 m), at most 2.6 m to the left.',
      'Its line: 3° to the left.',
      'Hesitated for 4 s, 20 m from its goal.',
      'Cast at 1:15: left over; it took 84° left, 6° off.',
      'Cast at 1:20: back; it did not run on both sides of it.',
    ]);
  });

  it('says what cannot be told', () => {
    expect(goInWords(measuredGo({ goal: null, measured: null }), METRES)).toEqual([
      'Say to what it was sent.',
    ]);
    expect(goInWords(measuredGo({ measured: null }), METRES)).toEqual(['It never left.']);
    const short = { ...MEASURED, there: null, out: null, home: null, speedBack: null, line: null, slow: [] };
    expect(goInWords(measuredGo({ measured: short, ran: null }), METRES).map(plain)[0]).toBe(
      'It never came there: 0.4 m away at its nearest, 41 m out at most.',
    );
  });
});

describe('a go and its rep', () => {
  const KEY = asId<AxisKey>('distance');
  const AXIS = testAxis({ key: KEY } as never);
  const JUDGING: Judging = { axes: [AXIS], measured: 'decides', oneCue: false, charged: [], handlers: [] };
  const rep = {
    ...plainRep({ [KEY]: 40 }, { outcome: 'clean' }),
    id: asId<EntryId>('r'),
    at: 0,
    timed: true,
    corrected: false,
    rested: false,
  } as StandingRep;

  it('gives the rep its measures, and its distance where that was another', () => {
    const found = trackCorrection(measuredGo(), rep, JUDGING, AXIS);
    expect(found?.change.seen?.measured).toMatchObject({
      path: { value: 42.3, how: 'track' },
      line: { value: -3.2, how: 'track' },
      out: { value: 10, how: 'track' },
      speed: { value: 4.2, how: 'track' },
    });
    expect(found?.distance).toEqual({ asked: 40, was: 44.2 });
    expect(found && atItsDistance(found, rep, AXIS).asked).toEqual({ criteria: { [KEY]: 44.2 } });
    const near = trackCorrection(measuredGo({ ran: 41.5 }), rep, JUDGING, AXIS);
    expect(near?.distance).toBeNull();
    expect(near && atItsDistance(near, rep, AXIS).asked).toBeUndefined();
  });

  it('has nothing to give twice, nor where nothing was measured', () => {
    const change = trackCorrection(measuredGo({ ran: null }), rep, JUDGING, AXIS)?.change;
    const amended = { ...rep, seen: { ...rep.seen, ...change?.seen } } as StandingRep;
    expect(trackCorrection(measuredGo({ ran: null }), amended, JUDGING, AXIS)).toBeNull();
    // The measures are in it, its distance is not.
    expect(trackCorrection(measuredGo(), amended, JUDGING, AXIS)).toMatchObject({
      isNew: false,
      distance: { was: 44.2 },
    });
    expect(trackCorrection(measuredGo({ measured: null }), rep, JUDGING, AXIS)).toBeNull();
    expect(trackCorrection(measuredGo(), rep, JUDGING, null)?.distance).toBeNull();
  });
});

describe('the lines of a dog', () => {
  const run = (line: number, from: number | null): RunOfDog => ({
    day: 0,
    line,
    wind: from === null ? null : { from, bearing: 0 },
  });

  it('are no figure under five runs, and then one at 50 yd, by wind where that is known', () => {
    expect(linesInWords([], 5)).toEqual(['No run is measured yet: lay a track on its set-out.']);
    expect(linesInWords([run(2, null)], 5)[0]).toContain('too few for a figure: 5 tell');
    const lines = linesInWords([...Array(5).fill(run(6, 90)), ...Array(5).fill(run(2, 0))], 5);
    expect(lines).toEqual([
      'By 10 runs its line ends 3.9 yd (3.6 m) beside at 50 yd, typically. Set-outs reckon with it.',
      'Earlier 5.2 yd, lately 1.7 yd.',
      'Across the wind (5 runs) 5.2 yd.',
      'Into or with the wind (5 runs) 1.7 yd.',
    ]);
  });
});
