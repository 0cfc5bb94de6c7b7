import { beforeEach, describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { DEFAULT_PACE, USUAL_RULES } from '@/core/coaching';
import { type Entry, type Judged, plainRep, type Seen } from '@/core/log';
import { sameFault } from '@/core/rulebooks';
import { asId, asLevel, type DeviceId, type EntryId, type ExerciseKey, type FaultKey } from '@/core/shared';
import type { DatedBout } from '@/data/read';
import { elementOf } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { stateOf, TODAY } from '@/demo/sample-state.test-helper';
import { shownKey, USUAL_KEYS, useHand, withKey, withNewKeys } from './hand-store';
import { judgementFor, timedJudgement } from './judgements';
import { latencyOf, markerOf, usePad } from './pad-store';
import { onlyMiss, padView } from './pad-view';
import { readPaper } from './paper';
import { TIMINGS } from './rep-words';
import { missingOf } from './use-device';

const tables = makeSampleKennel(TODAY, 2);
const { work } = stateOf(tables);
const element = work.elements.find((candidate) => candidate.id === 'sample-stop-down');
const first = tables.bouts.find((bout) => elementOf(bout) === 'sample-stop-down');
if (!element || !first) throw new Error('the sample trains the stop');
const ladder = buildLadder(element);
const open: DatedBout = {
  ...first,
  day: TODAY,
  helpers: '',
  temperature: null,
  start: ladder.rungs[2]?.criteria ?? {},
  endedAt: null,
};
const facts = {};
let seq = 0;
type Change = { readonly seen?: Partial<Seen>; readonly judged?: Partial<Judged> };
const rep = ({ seen, judged }: Change = {}): Entry => {
  const plain = plainRep(open.start, { outcome: 'clean', ...judged });
  return {
    kind: 'rep',
    id: asId<EntryId>(`r${seq}`),
    boutId: open.id,
    dogId: element.dogId,
    seq: seq++,
    by: asId<DeviceId>('test'),
    at: seq,
    timed: true,
    ...plain,
    seen: { ...plain.seen, ...seen },
  };
};
const slowDown = {
  exercise: asId<ExerciseKey>('square'),
  key: asId<FaultKey>('slow-down'),
  step: null,
};
const tap = (value: number) => ({ value, how: 'tap' as const });

describe('the pad', () => {
  it('asks what the rung asks', () => {
    const view = padView(element, work, open, [], facts);
    expect(view.asked.map((asked) => asked.value)).toEqual(['4.5\u00a0m', 'at most 4\u00a0s']);
    expect([view.rung, view.tally, view.last, view.advice]).toEqual([2, 'No reps yet', null, []]);
  });

  it('stands between two rungs where today’s ladder asks none of its values, and moves nobody', () => {
    const [distance] = element.axes;
    if (!distance) throw new Error('the stop has a distance');
    const start = { ...open.start, [distance.key]: 5.6 };
    const view = padView(element, work, { ...open, start }, [], facts);
    expect(view.asked[0]?.value).toBe('5.6\u00a0m');
    expect(view.place).toContain('between 4 and 5 of 16');
    expect([view.easier, view.harder]).toEqual([ladder.rungs[3]?.criteria, ladder.rungs[4]?.criteria]);
  });

  it('names the faults of the rule book for this element, the handler’s too, and what a miss is', () => {
    const view = padView(element, work, open, [], facts);
    expect(view.flaws.map((fault) => fault.label)).toEqual([
      'Slow to lie down',
      'Lies over the tape',
      'Extra cue',
      'Help by hand or body',
      "Handler acts before the steward's word",
    ]);
    expect(onlyMiss(view)).toMatchObject({ ref: { exercise: 'square', key: 'no-stop', step: null } });
    expect(onlyMiss({ misses: [...view.misses, ...view.misses] })).toBe('choose');
    expect(onlyMiss({ misses: [] })).toBeNull();
  });

  it('tells the last rep in words and counts what stands', () => {
    const view = padView(
      element,
      work,
      open,
      [
        rep({ seen: { measured: { latency: tap(1.24) } } }),
        rep({
          seen: { measured: { latency: tap(2.6) } },
          judged: { outcome: 'flawed', faults: [slowDown], cause: 'apparatus', aids: ['unsaid'] },
        }),
      ],
      facts,
    );
    expect(view.lastInWords).toBe(
      'flawed: Slow to lie down, 2.6 s, the kit’s, helped, does not count: it was the kit’s doing',
    );
    expect([view.tally, view.marks.map((mark) => [mark.shape, mark.notDog, mark.aided])]).toEqual([
      '2 reps; 1 counts, 1 clean',
      [
        ['clean', false, false],
        ['flawed', true, true],
      ],
    ]);
  });

  it('puts a handler’s fault down to the handler', () => {
    const [slow, , cue] = padView(element, work, open, [], facts).flaws;
    expect([
      judgementFor('flawed', slow ?? null).cause,
      judgementFor('flawed', cue ?? null).cause,
      judgementFor('clean', null).faults,
    ]).toEqual(['dog', 'handler', []]);
  });
});

describe('other ways to log a rep', () => {
  const variant = (change: Partial<typeof element>) =>
    padView({ ...element, ...change }, work, open, [rep()], facts);
  it('by when the answer came, with the stage and its clock', () => {
    const view = variant({ policy: { rule: USUAL_RULES['cue-transfer'], pace: DEFAULT_PACE } });
    expect(view.by).toEqual({ kind: 'timed', stage: 'A', gap: 2, wait: 20, paid: true });
    expect(
      TIMINGS.map((timing) => [
        timing,
        timedJudgement(timing).outcome,
        timedJudgement(timing).aids.length > 0,
      ]),
    ).toEqual([
      ['in-gap', 'clean', false],
      ['unprompted', 'clean', false],
      ['prompted', 'clean', true],
      ['before-word', 'flawed', false],
      ['reminded', 'clean', true],
      ['none', 'miss', false],
    ]);
  });

  it('by grade, from the element’s own list or a plain one', () => {
    const policy = { rule: USUAL_RULES.distribution, pace: DEFAULT_PACE };
    expect(variant({ policy }).by).toMatchObject({ kind: 'graded', grades: { length: 3 }, asked: 2 });
    const list = testAxis({
      key: 'g',
      quantity: 'level',
      unit: '',
      levels: ['looks', 'touches'].map((name, place) => ({ id: asLevel(place), name, anchor: '' })),
      start: 0,
      demand: 1,
      step: 1,
      limit: 1,
    });
    expect(variant({ policy, axes: [list] }).by).toMatchObject({
      kind: 'graded',
      grades: [{ name: 'looks' }, { name: 'touches' }],
      asked: 0,
    });
    expect(variant({}).by).toEqual({ kind: 'outcome' });
  });

  it('by the link that broke, by legs, by articles, by what lies there', () => {
    const [first, second] = work.elements;
    if (!first || !second) throw new Error('elements');
    expect(variant({ form: { kind: 'chain', links: [first.id, second.id] } }).by).toMatchObject({
      kind: 'chain',
      links: [{ title: first.title }, { title: second.title }],
    });
    const chain = { ...element, form: { kind: 'chain' as const, links: [first.id, second.id] } };
    const broken = padView(
      chain,
      work,
      open,
      [rep({ seen: { run: { kind: 'chain', links: [], brokeAt: 1 } }, judged: { outcome: 'miss' } })],
      facts,
    );
    expect(broken.lastInWords).toBe(`miss, broke at ${second.title}`);
    expect(variant({ form: { kind: 'continuous', legs: ['slow', 'fast'] } }).by).toEqual({
      kind: 'legs',
      legs: ['slow', 'fast'],
    });
    expect(
      variant({
        articles: { count: 8, shape: 'circle', laid: 'hidden', nearer: false, names: [], aidedAgain: false },
      }).by,
    ).toEqual({ kind: 'articles' });
    expect([variant({ work: ['laid'] }).lying, variant({}).lying]).toEqual([-1, null]);
  });

  it('notes a fault that does not count on this rung, and the rep stays clean', () => {
    const from = ladder.rungs[5]?.criteria ?? {};
    const view = variant({ countsFrom: [{ fault: slowDown, from }] });
    const slow = view.flaws.find((fault) => sameFault(fault.ref, slowDown)) ?? null;
    expect(view.noted).toEqual([slowDown]);
    expect(judgementFor('flawed', slow, view.noted)).toMatchObject({ outcome: 'clean', faults: [slowDown] });
    expect(judgementFor('flawed', slow, [])).toMatchObject({ outcome: 'flawed' });
  });

  it('says what a device does not grant, and nothing where it grants all', () => {
    expect(missingOf({ offline: true, durable: true, awake: true, vibrates: true })).toEqual([]);
    expect(missingOf({ offline: null, durable: null, awake: true, vibrates: true })).toEqual([]);
    expect(missingOf({ offline: false, durable: false, awake: false, vibrates: false })).toHaveLength(4);
  });
});

describe('paper', () => {
  it.each([
    ['c c f m', ['clean', 'clean', 'flawed', 'miss']],
    ['CC/F,m', ['clean', 'clean', 'flawed', 'miss']],
  ])('%s', (text, outcomes) => expect(readPaper(text)).toEqual({ ok: true, value: outcomes }));
  it.each([
    ['', 'empty'],
    ['c x', 'letter'],
    ['c'.repeat(201), 'many'],
  ])('refuses %s', (text, code) => expect(readPaper(text)).toMatchObject({ ok: false, code }));
});

describe('keys of one’s own', () => {
  it('change places with what they did before, and leave the pad its own', () => {
    const remote = withKey(USUAL_KEYS, 'clean', 'PageDown');
    expect(remote).toMatchObject({ clean: 'PageDown', flawed: 'f' });
    expect(withKey(USUAL_KEYS, 'clean', 'M')).toMatchObject({ clean: 'm', miss: 'c' });
    for (const key of ['Escape', '3', '?', 'Tab']) expect(withKey(USUAL_KEYS, 'clean', key)).toBeNull();
    expect([shownKey(' '), shownKey('c'), shownKey('PageDown')]).toEqual(['Space', 'C', 'Page Down']);
    expect(new Set(Object.values(USUAL_KEYS)).size).toBe(Object.keys(USUAL_KEYS).length);
  });
});

describe('a device that kept its hands before', () => {
  it('keeps its own keys and has the usual one for what is new; nothing that sounds is on by itself', () => {
    const now = withNewKeys({ keys: { clean: 'PageDown' }, leftHanded: true }, useHand.getState());
    expect([now.keys.clean, now.keys.mark, now.leftHanded]).toEqual(['PageDown', USUAL_KEYS.mark, true]);
    expect([now.earpiece, now.sounds, now.speech, now.oneButton]).toEqual([false, false, false, false]);
    expect(withNewKeys(undefined, useHand.getState()).keys).toEqual(USUAL_KEYS);
  });
});

describe('stamps', () => {
  beforeEach(() => usePad.getState().clear());
  it.each<[number[], number | null]>([
    [[], null],
    [[1000], null],
    [[1000, 2234], 1.23],
    [[1000, 2000, 5000], 1],
    [[1000, 2000, 5000, 6000], null],
    [[1000, 2000, 5000, 6000, 6500], 0.5],
  ])('%j → %s s', (stamps, latency) => {
    for (const at of stamps) usePad.getState().stamp(at);
    expect(latencyOf(usePad.getState())).toBe(latency);
  });

  it('the marker counts from the cue, with a response or without; a hold has its own clock', () => {
    const { stamp, mark, holding, clear } = usePad.getState();
    for (const at of [1000, 2200, 2600]) stamp(at);
    expect([latencyOf(usePad.getState()), markerOf(usePad.getState())]).toEqual([1.2, 1.6]);
    clear();
    stamp(1000);
    mark(1750);
    expect([latencyOf(usePad.getState()), markerOf(usePad.getState())]).toEqual([null, 0.75]);
    for (const at of [100, 4600]) holding(at);
    expect(usePad.getState().hold).toEqual({ from: 100, to: 4600 });
    holding(9000);
    expect(usePad.getState().hold).toEqual({ from: 9000, to: null });
  });
});
