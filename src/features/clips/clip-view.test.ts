import { beforeEach, describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type Judging, plainRep, type StandingRep } from '@/core/log';
import { type ClipMark, type ClipMeasure, goesOf } from '@/core/review';
import { type AxisKey, asId, type ClipMarkId, type EntryId } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import { reading, takeLocale } from '@/words';
import { alignedInWords, layBeside, layByHand } from './beside-log';
import {
  clockOf,
  correctionsOf,
  groundOf,
  judgedTwice,
  lateCorrection,
  measureInWords,
  tableOf,
  valueInWords,
} from './clip-view';
import { frameAt, framesOf, lengthAt, middleOf, rateOf, timeOf } from './frames';
import { type Draft, draftOf, emptyDraft, nextPoint, readDraft } from './ground-draft';
import { inLines } from './still';
import { boutOfFile } from './use-clip-log';

beforeEach(() => takeLocale(['en-GB']));
const plain = (text: string): string => text.replaceAll(/\s/g, ' ');

describe('frames', () => {
  // 29.97 a second in whole milliseconds, uneven as phones write them.
  const at = Float64Array.from(
    { length: 300 },
    (_, i) => (Math.round((i * 1001) / 30) + (i % 3 === 2 ? 6 : 0)) / 1000,
  );
  const frames = framesOf(at, 10);

  it('are found again by their own time, by any time within them, and by whole milliseconds', () => {
    for (let i = 0; i < at.length; i++) {
      const time = timeOf(frames, i);
      expect(frameAt(frames, time)).toBe(i);
      expect(frameAt(frames, Math.round(time * 1000) / 1000)).toBe(i);
      expect(frameAt(frames, middleOf(frames, i))).toBe(i);
      expect(middleOf(frames, i)).toBeGreaterThan(time);
    }
    expect(rateOf(frames)).toBeCloseTo(29.97, 1);
    expect(lengthAt(frames, timeOf(frames, 2))).toBeCloseTo(0.027, 3);
    expect([frameAt(frames, -5), frameAt(frames, 99)]).toEqual([0, 299]);
  });

  it('are guessed where the file says none, and that is known', () => {
    const guessed = framesOf(new Float64Array(), 2);
    expect([guessed.exact, guessed.at.length, timeOf(guessed, 30)]).toEqual([false, 60, 1]);
    expect(framesOf(new Float64Array(), 0).at.length).toBe(2);
  });
});

describe('measures in words', () => {
  const measure = (kind: ClipMeasure['kind'], value: number, error: number): ClipMeasure => ({
    kind,
    value,
    error,
  });

  it('carry their unit and their error, yards as yards', () => {
    expect(plain(measureInWords(measure('latency', 1.2412, 0.04), 'm'))).toBe('answered after 1.24 s ± 0.04');
    expect(plain(valueInWords(measure('path', 9.144, 0.4572), 'yd'))).toBe('10.00 yd ± 0.50');
    expect(plain(valueInWords(measure('speed', 4.572, 0.1), 'yd'))).toBe('5.0 yd/s ± 0.1');
    expect(plain(valueInWords(measure('front', -11.6, 3.2), 'm'))).toBe('−12° ± 3');
    expect([clockOf(3.044), clockOf(63.5), clockOf(72.049)].map(plain)).toEqual([
      '3.04 s',
      '1:03.50',
      '1:12.05',
    ]);
  });

  it('stand in the table in SI units, a go a row, empty where nothing was measured', () => {
    const go = goesOf([{ id: asId<ClipMarkId>('c'), at: 2, what: 'cue', px: [], says: null, rep: null }]);
    const rows = tableOf(
      { name: 'a.mp4' },
      [{ go: go[0] as never, measures: [measure('latency', 1.23456, 0.04)] }],
      ['latency', 'path'],
    );
    expect(rows).toEqual([
      {
        clip: 'a.mp4',
        go: 1,
        'cue (s)': 2,
        judged: '',
        'latency (s)': 1.2346,
        'latency (s) ±': 0.04,
        'path (m)': '',
        'path (m) ±': '',
      },
    ]);
  });

  it('fill the lines under a still as they fit', () => {
    const fit = (text: string): number => text.length;
    expect(inLines(['go 1', 'after 1 s', 'x'.repeat(40), 'end'], fit, 20)).toEqual([
      'go 1 · after 1 s',
      'x'.repeat(40),
      'end',
    ]);
    expect(inLines([], fit, 20)).toEqual([]);
  });
});

const KEY = asId<AxisKey>('answer');
const AXIS = testAxis({
  key: KEY,
  quantity: 'latency',
  unit: 's',
  harder: 'less',
  start: 1.8,
  demand: 1,
  proof: 0.9,
} as never);
const JUDGING: Judging = { axes: [AXIS], measured: 'decides', oneCue: false, charged: [], handlers: [] };
const rep = (
  id: string,
  latency: number | null,
  outcome: 'clean' | 'flawed' | 'miss' = 'clean',
): StandingRep => {
  const said = plainRep({ [KEY]: 1.8 }, { outcome });
  return {
    ...said,
    seen: { ...said.seen, measured: latency === null ? {} : { latency: { value: latency, how: 'tap' } } },
    id: asId<EntryId>(id),
    at: 0,
    timed: true,
    corrected: false,
    rested: false,
  };
};
let count = 0;
const mark = (what: ClipMark['what'], at: number, more: Partial<ClipMark> = {}): ClipMark => ({
  id: asId<ClipMarkId>(`m${++count}`),
  at,
  what,
  px: [],
  says: null,
  rep: null,
  ...more,
});
const joined = (at: number, id: string, more: readonly ClipMark[] = []) => [
  mark('cue', at, { rep: asId<EntryId>(id) }),
  ...more,
];

describe('a clip against the log', () => {
  const goes = goesOf([...joined(1, 'a'), ...joined(10, 'b'), mark('cue', 20)]);
  const measured = (values: readonly (number | null)[]) =>
    goes.map((go, i) => ({
      go,
      measures:
        values[i] == null ? [] : [{ kind: 'latency' as const, value: values[i] as number, error: 0.04 }],
    }));

  it('corrects what it measured, and says what becomes of the rep', () => {
    const found = correctionsOf(measured([1.9, 1.2, 3]), [rep('a', 1.1), rep('b', 1.1)], JUDGING);
    expect(found.map(({ go, becomes }) => [go, becomes])).toEqual([
      [0, 'flawed'],
      [1, null],
    ]);
    expect(found[0]?.change.seen?.measured?.latency).toEqual({ value: 1.9, how: 'clip' });
    expect(found[0]?.measured[0]?.was?.value).toBe(1.1);
    // A frame and a half over what is asked says nothing yet.
    expect(correctionsOf(measured([1.84, null, null]), [rep('a', null)], JUDGING)[0]?.becomes).toBeNull();
  });

  it('has nothing to correct where the log has it already, or where no rep is joined', () => {
    const [one] = correctionsOf(measured([1.9, null, null]), [rep('a', 1.1)], JUDGING);
    const amended = { ...rep('a', 1.1), seen: { ...rep('a', 1.1).seen, ...one?.change.seen } } as StandingRep;
    expect(correctionsOf(measured([1.9, null, null]), [amended], JUDGING)).toEqual([]);
    expect(correctionsOf(measured([null, null, 2]), [rep('a', 1.1)], JUDGING)).toEqual([]);
    expect(correctionsOf(measured([1.9, 1.2, 3]), [], JUDGING)).toEqual([]);
  });

  it('makes a slow one clean again where the clip shows that it was not slow', () => {
    const slow = rep('a', 2.4);
    const judged = {
      ...slow.judged,
      outcome: 'flawed',
      proposed: { outcome: 'flawed', faults: [] },
    } as const;
    expect(correctionsOf(measured([1.5, null, null]), [{ ...slow, judged }], JUDGING)[0]?.becomes).toBe(
      'clean',
    );
  });

  it('sets judged live beside judged now', () => {
    const late = goesOf([
      ...joined(1, 'a', [mark('judged', 2, { says: 'flawed' })]),
      ...joined(10, 'b', [mark('judged', 11, { says: 'flawed' })]),
      ...joined(20, 'c', [mark('judged', 21, { says: 'clean' })]),
      ...joined(30, 'd'),
    ]);
    const reps = [rep('a', null), rep('b', null), rep('c', null), rep('d', null)];
    expect(judgedTwice(late, reps)).toEqual({
      same: 1,
      of: 3,
      apart: [{ live: 'clean', late: 'flawed', count: 2 }],
    });
    expect(judgedTwice(late, [])).toEqual({ same: 0, of: 0, apart: [] });
  });

  it('judges a rep by the grade that was seen: what is asked or more is clean', () => {
    const levels = [1, 2, 3].map((id) => ({ id, name: `g${id}`, anchor: '' }));
    const element = {
      policy: { rule: { kind: 'distribution' } },
      axes: [{ ...AXIS, key: KEY, levels, role: 'criterion', start: 2 }],
    } as unknown as ElementRecord;
    const graded = (grade: string) => goesOf(joined(1, 'a', [mark('grade', 2, { says: grade })]))[0] as never;
    const asked = { ...rep('a', null), asked: { ...rep('a', null).asked, criteria: { [KEY]: 2 } } };
    const outcome = (grade: string) => {
      const found = lateCorrection(graded(grade), asked, element);
      return found.ok ? [found.value.judged?.outcome, found.value.seen?.grade] : found.code;
    };
    expect(['1', '2', '3', '9'].map(outcome)).toEqual([['miss', 1], ['clean', 2], ['clean', 3], 'grade']);
    const none = { policy: { rule: { kind: 'staircase' } }, axes: [AXIS] } as unknown as ElementRecord;
    const plainGo = goesOf(joined(1, 'a'))[0] as never;
    expect(lateCorrection(plainGo, asked, none)).toMatchObject({ ok: false, code: 'not-judged' });
  });

  it('joins nothing where two places fit as well, and says so', () => {
    const even = goesOf([0, 10, 20].map((at) => mark('cue', at)));
    const reps = [0, 10, 20, 30].map((at) => ({
      ...rep(`r${at}`, null),
      at: (1_000 + at) * 1000,
      seen: { ...rep('x', null).seen, sinceCue: 0 },
    }));
    const laid = layBeside(even, reps);
    expect(laid?.joins.map((one) => one.rep)).toEqual([null, null, null]);
    expect(alignedInWords((laid as never as { aligned: never }).aligned)).toContain(
      'another place fits as well',
    );
    const uneven = goesOf([0, 10, 23].map((at) => mark('cue', at)));
    const found = layBeside(
      uneven,
      [0, 10, 23].map((at) => ({
        ...(reps[0] as never as StandingRep),
        id: asId<EntryId>(`u${at}`),
        at: (1_000 + at) * 1000,
      })),
    );
    expect(found?.joins.map((one) => one.rep)).toEqual(['u0', 'u10', 'u23']);
    expect(alignedInWords((found as never as { aligned: never }).aligned)).toBe('3 of 3 stamps match.');
    expect(layBeside([], reps)).toBeNull();
    // One that is joined by hand lays the clip, and the others follow.
    const byHand = layByHand(even, reps, null, 1, reps[2] ?? null);
    expect([byHand.offset, byHand.joins.map((one) => one.rep)]).toEqual([1_010_000, ['r10', 'r20', 'r30']]);
    // Where it lies already, and where a rep has no time, only that go is joined; joined with none, it is taken off.
    expect(layByHand(even, reps, 5_000, 1, reps[2] ?? null)).toMatchObject({
      offset: 5_000,
      joins: [{ rep: 'r20' }],
    });
    const untimed = { ...(reps[2] as StandingRep), timed: false };
    expect(layByHand(even, reps, null, 1, untimed)).toMatchObject({ offset: null, joins: [{ rep: 'r20' }] });
    expect(layByHand(even, reps, null, 1, null)).toMatchObject({ offset: null, joins: [{ rep: null }] });
  });

  it('guesses the bout that was worked while the file was written', () => {
    const bout = (id: string, startedAt: number, endedAt: number | null) => ({
      id,
      title: id,
      day: '2026-06-15' as never,
      startedAt,
      endedAt,
      reps: 3,
    });
    const file = { lastModified: 1_000_000 } as File;
    const bouts = [
      bout('before', 0, 900_000),
      bout('during', 930_000, 990_000),
      bout('after', 1_000_001, null),
    ];
    expect(boutOfFile(file, 60, bouts)?.id).toBe('during');
    expect(boutOfFile(file, 5, [bout('before', 0, 900_000)])).toBeNull();
  });
});

describe('a ground as it is written', () => {
  const tapped = (draft: Draft): Draft => ({
    ...draft,
    points: draft.points.map((one, i) => ({
      ...one,
      px: [
        [100, 600],
        [1100, 600],
        [800, 300],
        [400, 300],
      ][i] as never,
    })),
  });
  const read = (draft: Draft) => readDraft(draft, 1280, reading());

  it('says one thing after the other that is missing', () => {
    const empty = emptyDraft('rectangle');
    expect(nextPoint(empty)).toBe(0);
    expect(read(empty)).toMatchObject({ ok: false, code: 'empty', path: 'width' });
    expect(read({ ...empty, width: '4', depth: 'x' })).toMatchObject({ ok: false, path: 'depth' });
    expect(read({ ...empty, width: '4', depth: '8' })).toMatchObject({
      ok: false,
      code: 'no-pixel',
      path: '0',
    });
    const whole = read(tapped({ ...empty, width: '4', depth: '8' }));
    expect(whole.ok && whole.value.ground).toMatchObject({
      kind: 'points',
      points: [{ x: 0, y: 0 }, { x: 4 }, { x: 4, y: 8 }, { y: 8 }],
    });
  });

  it('reads yards, and what is saved comes back as a draft', () => {
    const draft = tapped({ ...emptyDraft('rectangle'), width: '10 yd', depth: '20 yd' });
    const found = read(draft);
    const ground = found.ok ? found.value.ground : null;
    expect(ground).toMatchObject({ points: [{}, { x: 9.144 }, { x: 9.144, y: 18.288 }, {}] });
    const again = read(draftOf({ ground: ground as never }) as Draft);
    expect(again.ok && again.value.ground).toEqual(ground);
    expect(draftOf({ ground: { kind: 'none' } })).toBeNull();
  });

  it('reads points to the left of the first one, and nearer', () => {
    const draft: Draft = {
      ...emptyDraft('points'),
      points: [
        ['-2', '0'],
        ['2 m', '0'],
        ['1', '−1 yd'],
        ['-1,5', '8'],
      ].map(([x = '', y = ''], i) => ({
        px: [
          [100, 600],
          [1100, 600],
          [800, 300],
          [400, 300],
        ][i] as never,
        x,
        y,
      })),
    };
    expect(
      read({
        ...draft,
        points: draft.points.with(3, { ...(draft.points[3] as never as Draft['points'][number]), x: '-' }),
      }),
    ).toMatchObject({ ok: false, path: 'x3' });
    const typed = {
      ...draft,
      points: draft.points
        .with(2, { ...(draft.points[2] as never as Draft['points'][number]), y: '7' })
        .with(3, { ...(draft.points[3] as never as Draft['points'][number]), x: '-1.5' }),
    };
    const found = read(typed);
    expect(found.ok && found.value.ground).toMatchObject({
      points: [{ x: -2 }, { x: 2 }, { x: 1, y: 7 }, { x: -1.5 }],
    });
  });

  it('refuses what is no ground in words, a rectangle without width among it', () => {
    expect(read(tapped({ ...emptyDraft('rectangle'), width: '0', depth: '8' }))).toMatchObject({
      ok: false,
      code: 'on-a-line',
    });
    const line = {
      ...emptyDraft('line'),
      points: [
        { px: [0, 0], x: '0', y: '' },
        { px: [500, 0], x: '0', y: '' },
      ],
    } as Draft;
    expect(read(line)).toMatchObject({ ok: false, code: 'same-place' });
    const tape = { ...line, points: line.points.map((one, i) => ({ ...one, x: `${i * 5}` })) };
    expect(read(tape)).toMatchObject({ ok: true, value: { ground: { kind: 'line' }, leftOut: null } });
    expect(draftOf({ ground: { kind: 'line', marks: [{ px: [0, 0], along: 2 }] } })?.points).toEqual([
      { px: [0, 0], x: '2 m', y: '' },
    ]);
  });

  it('of a clip that holds none, or one that cannot be, is said', () => {
    expect(groundOf({ ground: { kind: 'none' }, picture: { width: 1280, height: 720 } })).toEqual({
      ok: true,
      value: null,
    });
    const wrong = groundOf({ ground: { kind: 'points', points: [] }, picture: { width: 1280, height: 720 } });
    expect(wrong).toMatchObject({ ok: false, code: 'few-points' });
  });
});
