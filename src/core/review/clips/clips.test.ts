import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineGround, type Point, planeGround } from '@/core/geometry';
import { type Camera, seenBy } from '@/core/geometry/picture/camera.test-helper';
import { plainRep, type StandingRep } from '@/core/log';
import { asId, type ClipMarkId, type EntryId, must, seeded } from '@/core/shared';
import {
  alignClip,
  type ClipMark,
  type ClipMarkKind,
  goesOf,
  joinGoes,
  measuresOf,
  type Stamp,
  stampsOfGoes,
  stampsOfRep,
} from '.';

const CAMERA: Camera = { at: [0, -14, 3.5], towards: { x: 0, y: 3 }, focal: 1000, width: 1280, height: 720 };
const px = (x: number, y: number) => seenBy(CAMERA, { x, y }) as [number, number];
const GROUND = must(
  planeGround(
    (
      [
        [-4, -2],
        [4, -2],
        [4, 8],
        [-4, 8],
      ] as const
    ).map(([x, y]) => ({ px: px(x, y), place: { x, y } })),
    1280,
  ),
);
const FRAME = () => 0.04;

let count = 0;
function mark(what: ClipMarkKind, at: number, more: Partial<ClipMark> = {}): ClipMark {
  count += 1;
  return { id: asId<ClipMarkId>(`m${count}`), at, what, px: [], says: null, rep: null, ...more };
}
const place = (at: number, of: string, { x, y }: Point): ClipMark =>
  mark('place', at, { says: of, px: [px(x, y)] });
const valued = (marks: readonly ClipMark[], kind: string, ground = true, go = 0) =>
  measuresOf(goesOf(marks)[go] as never, FRAME, ground ? GROUND : null, 1280).find(
    (one) => one.kind === kind,
  );

describe('marks as goes', () => {
  it('begins a go at each cue and lets it end at the next', () => {
    const goes = goesOf([
      mark('response', 12.2),
      mark('cue', 10),
      mark('response', 1),
      mark('cue', 2),
      mark('response', 3.24),
      mark('response', 5),
      mark('marker', 3.4),
    ]);
    expect(goes.map(({ at, until }) => [at, until])).toEqual([
      [{ cue: 2, response: 3.24, marker: 3.4 }, 10],
      [{ cue: 10, response: 12.2 }, null],
    ]);
  });

  it('keeps a goal and a handler from go to go until they are said again', () => {
    const goes = goesOf([
      place(0, 'goal', { x: 0, y: 5 }),
      mark('cue', 1),
      mark('cue', 5),
      place(6, 'goal', { x: 1, y: 5 }),
      mark('cue', 9),
    ]);
    expect(goes.map(({ goal }) => goal?.at)).toEqual([0, 6, 6]);
    expect(goes.map(({ places }) => places.length)).toEqual([0, 0, 0]);
  });

  it('has none without a cue, and says the last judgement of each', () => {
    expect(goesOf([mark('response', 1), mark('marker', 2)])).toEqual([]);
    const [go] = goesOf([
      mark('cue', 1),
      mark('judged', 2, { says: 'clean' }),
      mark('judged', 3, { says: 'flawed' }),
      mark('grade', 3, { says: '4' }),
    ]);
    expect([go?.judged, go?.grade]).toEqual(['flawed', '4']);
  });
});

describe('what a go is measured for', () => {
  it('tells times to the frame of each end', () => {
    const marks = [
      mark('cue', 2),
      mark('movement', 2.4),
      mark('response', 3.24),
      mark('marker', 3.6),
      mark('release', 8.24),
      mark('reward', 4.6),
    ];
    const found = measuresOf(goesOf(marks)[0] as never, FRAME, null, 1280);
    expect(found.map(({ kind, value, error }) => [kind, Number(value.toFixed(3)), error])).toEqual([
      ['movement', 0.4, 0.04],
      ['latency', 1.24, 0.04],
      ['marker', 1.6, 0.04],
      ['late', 0.36, 0.04],
      ['reward', 1, 0.04],
      ['held', 5, 0.04],
    ]);
  });

  it('tells no time that would run backwards, and nothing on the ground without one', () => {
    const marks = [
      mark('cue', 2),
      mark('response', 3),
      mark('marker', 2.5),
      place(2, 'dog', { x: 0, y: 0 }),
      place(3, 'dog', { x: 0, y: 4 }),
    ];
    expect(valued(marks, 'late')).toBeUndefined();
    expect(valued(marks, 'path', false)).toBeUndefined();
    expect(valued(marks, 'path')?.value).toBeCloseTo(4, 6);
  });

  it('tells where it lay down, how far it crept, how far it needed to stop', () => {
    const marks = [
      place(0, 'handler', { x: 0, y: -1 }),
      place(0, 'goal', { x: 0, y: 4 }),
      mark('cue', 2),
      place(2.04, 'dog', { x: 0, y: 2 }),
      mark('response', 3),
      place(3, 'dog', { x: 0, y: 4.6 }),
      mark('release', 9),
      place(8.9, 'dog', { x: 0, y: 4.2 }),
    ];
    // Straight from the cue to the answer the way says it; round a bend both are told.
    expect(valued(marks, 'stopped')).toBeUndefined();
    expect(valued(marks, 'path')?.value).toBeCloseTo(2.6, 6);
    const bend = [...marks, place(2.5, 'dog', { x: 3, y: 3 })];
    expect(valued(bend, 'stopped')?.value).toBeCloseTo(2.6, 6);
    expect(valued(marks, 'offset')?.value).toBeCloseTo(0.6, 6);
    expect(valued(marks, 'crept')?.value).toBeCloseTo(0.4, 6);
    expect(valued(marks, 'away')?.value).toBeCloseTo(5.6, 6);
    for (const kind of ['path', 'offset', 'crept', 'away'])
      expect(valued(marks, kind)?.error).toBeGreaterThan(0.01);
  });

  it('tells the way, how fast, how straight, the line to the goal and how it came in', () => {
    // Out along a bend of 20° in its middle, the last 2.5 m at 2 m/s.
    const marks = [
      place(0, 'goal', { x: 0, y: 6 }),
      mark('cue', 1),
      place(1, 'dog', { x: 0, y: 0 }),
      place(1.5, 'dog', { x: Math.tan((20 * Math.PI) / 180) * 3.5, y: 3.5 }),
      place(2.75, 'dog', { x: 0, y: 6 }),
    ];
    const way = Math.hypot(1.2739, 3.5) + Math.hypot(1.2739, 2.5);
    expect(valued(marks, 'path')?.value).toBeCloseTo(way, 3);
    expect(valued(marks, 'speed')?.value).toBeCloseTo(way / 1.75, 3);
    expect(valued(marks, 'arrival')?.value).toBeCloseTo(Math.hypot(1.2739, 2.5) / 1.25, 3);
    expect(valued(marks, 'straight')?.value).toBeCloseTo(20, 6);
    const level = marks.with(3, place(1.5, 'dog', { x: 0, y: 3.5 }));
    expect(valued(level, 'straight')?.value).toBeCloseTo(0, 4);
    expect(valued(level, 'straight')?.error).toBeGreaterThan(0.3);
    expect(valued(marks, 'line')?.value).toBeCloseTo(0, 6);
    const right = marks.with(4, place(2.75, 'dog', { x: 1, y: 6 }));
    expect(valued(right, 'line')?.value).toBeCloseTo((Math.atan2(1, 6) * 180) / Math.PI, 6);
  });

  it('tells a front on the ground and a body line in the picture', () => {
    const marks = [
      mark('cue', 1),
      mark('angle', 2, { says: 'front', px: [px(0, 1), px(0.2, 0.2), px(0, -1)] }),
      mark('angle', 2, {
        says: 'body',
        px: [
          [100, 100],
          [200, 110],
          [300, 100],
        ],
      }),
    ];
    const crooked = valued(marks, 'front');
    // It looks towards the camera: what lies right in the picture is the dog's left.
    expect(crooked?.value).toBeCloseTo(-(Math.atan2(0.2, 0.8) * 180) / Math.PI, 6);
    expect(valued(marks, 'body', false)?.value).toBeCloseTo(180 - 2 * 5.7106, 3);
    expect(valued(marks, 'body', false)?.error).toBeLessThan(6);
    expect(valued(marks, 'front', false)).toBeUndefined();
  });

  it('measures along a line only lengths, and not what lies beside it', () => {
    const line = must(
      lineGround(
        [
          { px: [100, 500], along: 0 },
          { px: [500, 500], along: 4 },
          { px: [900, 500], along: 8 },
        ],
        1280,
      ),
    );
    const at = (time: number, x: number, y = 500): ClipMark =>
      mark('place', time, { says: 'dog', px: [[x, y]] });
    const go = goesOf([mark('cue', 1), at(1, 100), at(2, 400), at(3, 800)])[0] as never;
    const found = measuresOf(go, FRAME, line, 1280);
    expect(found.find(({ kind }) => kind === 'path')?.value).toBeCloseTo(7, 6);
    expect(found.some(({ kind }) => kind === 'straight' || kind === 'line')).toBe(false);
    const beside = goesOf([mark('cue', 1), at(1, 100), at(2, 400, 100)])[0] as never;
    expect(measuresOf(beside, FRAME, line, 1280)).toEqual([]);
  });

  it('never gives a number that is none, whatever is marked where', () => {
    const anywhere = fc.record({
      what: fc.constantFrom<ClipMarkKind>('cue', 'response', 'release', 'place', 'angle', 'marker'),
      at: fc.double({ min: 0, max: 20, noNaN: true }),
      says: fc.constantFrom('dog', 'goal', 'handler', 'body', 'front'),
      px: fc.array(
        fc.tuple(
          fc.double({ min: -50, max: 1400, noNaN: true }),
          fc.double({ min: -50, max: 800, noNaN: true }),
        ),
        { maxLength: 3 },
      ),
    });
    fc.assert(
      fc.property(fc.array(anywhere, { maxLength: 14 }), (list) => {
        const marks = list.map(({ what, at, says, px }) => mark(what, at, { says, px }));
        for (const go of goesOf(marks))
          for (const { value, error } of measuresOf(go, FRAME, GROUND, 1280)) {
            expect(Number.isFinite(value)).toBe(true);
            expect(error).toBeGreaterThanOrEqual(0);
          }
      }),
      { numRuns: 300 },
    );
  });
});

describe('a clip laid beside the log', () => {
  const random = seeded(7);
  /** A lesson of so many goes, as a log and as a clip that begins 40 s later; a share of each is missing. */
  function lesson(goes: number, missing: number, kinds: readonly Stamp['kind'][]) {
    const times: number[] = [];
    for (let i = 0; i < goes; i++) times.push((times.at(-1) ?? 0) + 8 + 14 * random.uniform());
    const jitter = (size: number): number => size * (2 * random.uniform() - 1);
    const side = (offset: number, size: number, late: number): Stamp[] =>
      times.flatMap((at) =>
        kinds.flatMap((kind, i) =>
          random.uniform() < missing
            ? []
            : [{ kind, at: at + 1.3 * i - offset + jitter(size) + (kind === 'logged' ? late : 0) }],
        ),
      );
    return { clip: side(1040, 0.02, 0), log: side(0, 0.1, 0) };
  }

  it('finds the place with a third of the stamps missing on either side', () => {
    let right = 0;
    for (let turn = 0; turn < 200; turn++) {
      const { clip, log } = lesson(12, 1 / 3, ['cue', 'response', 'marker']);
      const found = alignClip(clip, log);
      if (found && !found.unsure && Math.abs(found.offset - 1040) < 0.15) right++;
    }
    expect(right).toBe(200);
  });

  it('finds it from taps alone, to about a second', () => {
    let right = 0;
    for (let turn = 0; turn < 200; turn++) {
      const { clip, log } = lesson(15, 1 / 3, ['logged']);
      const found = alignClip(clip, log);
      if (found && found.by === 'taps' && Math.abs(found.offset - 1040) < 0.5) right++;
    }
    expect(right).toBeGreaterThan(190);
  });

  it('says that it is unsure where another place matches as many', () => {
    const even = (from: number): Stamp[] => [0, 10, 20, 30].map((at) => ({ kind: 'cue', at: from + at }));
    expect(alignClip(even(0).slice(0, 3), even(500))?.unsure).toBe(true);
    expect(alignClip(even(0), even(500))).toMatchObject({ offset: 500, matched: 4, of: 4, unsure: false });
  });

  it('finds nothing in two stamps, in none, or in stamps of other kinds', () => {
    const two: Stamp[] = [
      { kind: 'cue', at: 1 },
      { kind: 'cue', at: 9 },
    ];
    expect(alignClip(two, two)).toBeNull();
    expect(alignClip([], two)).toBeNull();
    const cues = [1, 9, 15].map((at): Stamp => ({ kind: 'cue', at }));
    const marks = [1, 9, 15].map((at): Stamp => ({ kind: 'marker', at }));
    expect(alignClip(cues, marks)).toBeNull();
  });

  const rep = (id: string, at: number, more: Partial<StandingRep> = {}): StandingRep => ({
    ...plainRep({}, { outcome: 'clean' }),
    id: asId<EntryId>(id),
    at: at * 1000,
    timed: true,
    corrected: false,
    rested: false,
    ...more,
  });
  const stamped = (id: string, at: number): StandingRep => {
    const plain = rep(id, at);
    return {
      ...plain,
      seen: {
        ...plain.seen,
        sinceCue: 3,
        measured: { latency: { value: 1.2, how: 'tap' }, marker: { value: 1.5, how: 'typed' } },
      },
    };
  };

  it('takes the stamps of a rep from how long ago its cue was, and none where it was entered afterwards', () => {
    expect(stampsOfRep(stamped('a', 100))).toEqual([
      { kind: 'cue', at: 97 },
      { kind: 'response', at: 98.2 },
      { kind: 'logged', at: 100 },
    ]);
    expect(stampsOfRep({ ...stamped('a', 100), timed: false })).toEqual([]);
  });

  it('joins each go with its rep, none twice, and leaves what was joined by hand', () => {
    const goes = goesOf([
      mark('cue', 10),
      mark('response', 11),
      mark('cue', 30),
      mark('marker', 31),
      mark('cue', 50),
      mark('cue', 70, { rep: asId<EntryId>('d') }),
    ]);
    const reps = [stamped('a', 1013), rep('b', 1033), rep('c', 1034), stamped('d', 1073)];
    expect(joinGoes(goes, reps, 1000)).toEqual(['a', 'b', null, 'd']);
    expect(
      stampsOfGoes(goes)
        .filter(({ kind }) => kind === 'logged')
        .map(({ at }) => at),
    ).toEqual([11, 31, 50, 70]);
  });
});
