import { describe, expect, it } from 'vitest';
import { asId, type ElementId, must } from '@/core/shared';
import { NO_BREAK, wordsOf } from '@/words';
import {
  type Axis,
  axisFrom,
  buildLadder,
  checkLadder,
  findCircle,
  layers,
  METHODS,
  methodsIn,
  type Node,
  nextStartTry,
  openness,
  rescaleLadder,
  searchMethods,
  stepSize,
  type Tried,
} from '.';
import { HEIGHT as height, LATENCY as latency, testAxis } from './axis.test-helper';
import { readMethod } from './method-file';

const distance = testAxis();

describe('another dog', () => {
  it('starts the same ladder where it can, and keeps hand-set rungs in their place', () => {
    const plan = {
      axes: [distance],
      edits: [{ on: { [distance.key]: 10 }, axis: distance.key, value: 6 }],
      ladderRule: 'by-hand' as const,
      byHand: [5, 10, 20].map((value) => ({ criteria: { distance: value } as never, eases: [] })),
    };
    const copy = must(rescaleLadder(plan, { distance: 1.25 } as never));
    expect(copy.byHand.map((rung) => rung.criteria[distance.key])).toEqual([1.25, 5, 20]);
    expect([copy.axes[0]?.demand, copy.edits]).toEqual([20, []]);
    expect(rescaleLadder(plan, { distance: 30 } as never)).toMatchObject({ ok: false, code: 'direction' });
  });
});

describe('prerequisites', () => {
  const id = (text: string): ElementId => asId<ElementId>(text);
  const at = (value: number) => ({ [distance.key]: value });
  const node = (name: string, stands: number | null, ...needs: [string, number][]): Node => ({
    id: id(name),
    title: name,
    axes: [distance],
    stands: stands === null ? null : at(stands),
    shown: stands === null ? [] : [at(stands)],
    needs: needs.map(([element, value]) => ({ element: id(element), at: at(value) })),
  });
  const nodes = [
    node('hold', 20),
    node('release', 8, ['hold', 15]),
    node('deliver', null, ['release', 12], ['hold', 10]),
  ];

  it('say what is open, and what the rest waits for', () => {
    expect(nodes.map((one) => openness(one, nodes).open)).toEqual([true, true, false]);
    expect(
      openness(nodes[2] as Node, nodes).waits.map((one) => wordsOf(one).replaceAll(NO_BREAK, ' ')),
    ).toEqual(['first “release”: distance 12 m (now: 8 m)']);
    expect(layers(nodes)).toEqual([['hold'], ['release'], ['deliver']]);
  });
  it('moving by hand opens nothing that no rep supports', () => {
    const moved = (shown: number[]) =>
      openness(nodes[1] as Node, [{ ...(nodes[0] as Node), shown: shown.map(at) }]);
    expect(moved([12]).waits.map((one) => wordsOf(one).replaceAll(NO_BREAK, ' '))).toEqual([
      'first “hold”: a clean rep at distance 15 m (it stands there, none shows it yet)',
    ]);
    expect([moved([]).open, moved([12, 15]).open, moved([20]).open]).toEqual([false, true, true]);
    // What asks no more than the start of the other is open from the beginning.
    expect(openness(node('any', null, ['hold', 5]), [node('hold', null)]).open).toBe(true);
  });
  it('find a circle, and none where there is none', () => {
    expect(findCircle(nodes)).toBeNull();
    expect(findCircle([...nodes.slice(1), node('hold', null, ['deliver', 5])])).toEqual([
      'release',
      'hold',
      'deliver',
      'release',
    ]);
    expect(findCircle([node('a', null, ['a', 5])])).toEqual(['a', 'a']);
  });
});

describe('start finder', () => {
  /** A dog that is clean up to its limit, by the axis's own order. */
  const search = (
    axis: Axis,
    guess: number,
    can: (value: number) => boolean,
  ): { readonly start: number | null; readonly tries: number[] } => {
    const tried: Tried[] = [];
    for (;;) {
      const next = must(nextStartTry(axis, guess, tried));
      if (next.kind !== 'try')
        return { start: next.kind === 'found' ? next.value : null, tries: tried.map((one) => one.value) };
      tried.push({ value: next.value, clean: can(next.value) });
    }
  };
  it.each([
    ['a good guess', distance, 8, (v: number) => v <= 9],
    ['too bold a guess', distance, 8, (v: number) => v <= 5],
    ['a far better dog', distance, 4, (v: number) => v <= 19],
    ['shorter is harder', latency, 3, (v: number) => v >= 2.6],
    ['a height', { ...height, demand: 0.6 }, 0.2, (v: number) => v <= 0.35],
  ] as const)('%s: opens easy, brackets in at most five reps', (_, axis, guess, can) => {
    const { start, tries } = search(axis, guess, can);
    expect(tries.length).toBeLessThanOrEqual(5);
    expect(stepSize(axis, guess, tries[0] as number)).toBeLessThanOrEqual(0);
    expect(start !== null && can(start)).toBe(true);
  });
  it('gives no start where even the easiest fails, and refuses a guess at the demand', () => {
    expect(search(distance, 8, () => false)).toEqual({ start: null, tries: [4, 2] });
    expect(nextStartTry(distance, 20, [])).toMatchObject({ ok: false, code: 'guess' });
  });
});

describe('methods', () => {
  it('are one for each practice, each read from its file', () => {
    expect(METHODS.length).toBe(22);
    expect(new Set(METHODS.map((method) => method.id)).size).toBe(METHODS.length);
  });

  it.each(
    METHODS.map((method) => [method.id, method] as const),
  )('%s makes sound ladders from a person’s answers', (_, method) => {
    for (const element of method.elements) {
      const axes = element.axes.map((one) => {
        // A stand-in for what a person would say: easy on the easy side, within the values the
        // method gives.
        const less = one.axis.harder === 'less';
        const answer = {
          start: one.start ?? (less ? 8 : 1),
          demand: one.demand ?? (less ? 2 : 20),
          step: one.step ?? (one.axis.quantity === 'height' ? 5 : 1),
        };
        return must(axisFrom(one, answer));
      });
      const ladder = buildLadder({ axes });
      expect(checkLadder(ladder).map((problem) => problem.message)).toEqual([]);
      expect(ladder.rungs.length).toBeGreaterThan(1);
    }
  });

  it('ask for what the practice does not say', () => {
    const hold = METHODS.find((method) => method.id === 'formal-hold')?.elements[0]?.axes[0];
    if (!hold) throw new Error('hold');
    expect(axisFrom(hold, { start: null, demand: 20, step: null })).toMatchObject({
      ok: false,
      code: 'start',
    });
    expect(axisFrom(hold, { start: 20, demand: 20, step: 0 })).toMatchObject({ ok: false, code: 'axis' });
  });

  it.each([
    ['a noted fault that is none', { noted: ['nothing'] }, 'noted'],
    ['a needed element that does not come before', { needs: [{ element: 'later', share: 1 }] }, 'needs'],
    [
      'a unit that does not fit',
      { axes: [{ key: 'a', title: 'A', quantity: 'distance', unit: 'm', start: '5 s' }] },
      'unit',
    ],
    [
      'a share on heights',
      { axes: [{ key: 'a', title: 'A', quantity: 'height', unit: 'cm', step: '25 %' }] },
      'step',
    ],
    ['no axis', { axes: [] }, 'shape'],
  ])('refuse a file with %s', (_, change, code) => {
    const element = {
      key: 'one',
      title: 'One',
      teaches: 'x',
      axes: [{ key: 'a', title: 'A', quantity: 'distance', unit: 'm' }],
      ...change,
    };
    const file = {
      id: 'x',
      title: 'X',
      also: [],
      teaches: 'x',
      advice: ['x'],
      trouble: [{ seen: 'x', remedy: 'y' }],
      elements: [element],
      kit: [],
      schools: [],
    };
    expect(readMethod(file)).toMatchObject({ ok: false, code });
  });

  it('are found by any of their words', () => {
    expect(searchMethods('bumper').map((method) => method.id)).toEqual(['memory-retrieve']);
    expect(searchMethods('creeping DISTANCE').map((method) => method.id)).toContain(
      'positions-at-a-distance',
    );
    expect(searchMethods('').length).toBe(METHODS.length);
    expect(searchMethods('zebra')).toEqual([]);
    expect(searchMethods('smell').map((method) => method.id)).toContain('scent-discrimination');
    const american = JSON.stringify(
      methodsIn({ fetched: 'bumper', lying: 'lie' }).map(({ also: _also, ...method }) => method),
    );
    expect(american).toContain('bumper');
    expect(american).not.toMatch(/"[^"]*\bdumm(y|ies)\b[^"]*"/i);
    expect(methodsIn({ fetched: 'dummy', lying: 'down' })).toBe(METHODS);
  });
});
