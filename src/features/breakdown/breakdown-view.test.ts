import { describe, expect, it } from 'vitest';
import type { Axis, CellEdit } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { assessElement } from '@/core/evidence';
import { asId, asLevel, type BreakdownId, type ExerciseKey, must, type PartKey } from '@/core/shared';
import { type Breakdown, elementQuestions } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { chanceInWords, exerciseViews, ownElements, retiredElements } from './breakdown-view';
import { fieldText, readCell, valueAt, withCell, withField } from './ladder-edit';

const state = sampleState();
const assessed = elementQuestions(state.work, state.reps, state.stands).map((question) =>
  must(assessElement(question, TODAY)),
);

describe('exercises as chains', () => {
  const views = exerciseViews(state, assessed);

  it('stand in running order with what each link can cost', () => {
    expect(views.map((view) => [view.title, view.links.length])).toEqual([
      ['Send-away to the square', 5],
      ['Retrieve over the hurdle', 6],
    ]);
    expect(views[0]?.links.map((link) => [link.stake, link.weight])).toEqual([
      ['3', 0.075],
      ['40', 1],
      ['22', 0.55],
      ['10', 0.25],
      ['14', 0.35],
    ]);
  });

  it('have a rod for each axis, with where the dog is and what is demanded', () => {
    const rods = views[0]?.links[2]?.rods ?? [];
    expect(rods.map((rod) => rod.sentence.split('.')[0])).toEqual([
      'Distance from you: start 3\u00a0m, now 20\u00a0m, demanded 25\u00a0m',
      'Time to lie down: start 4\u00a0s, now 3',
    ]);
    expect(rods[0]?.rungs.every((at) => at >= 0 && at <= 1)).toBe(true);
    expect(rods[0]?.reach && rods[0].reach.low < rods[0].reach.high).toBe(true);
  });

  it('say nothing of strength before it is known', () => {
    expect(exerciseViews(state, null)[0]?.links[0]).toMatchObject({ chance: null, strength: null });
    expect(ownElements(state, assessed)).toEqual([]);
    expect(ownElements({ ...state, work: { ...state.work, breakdowns: [] } }, assessed)).toHaveLength(11);
  });

  it('tell thin evidence from a figure', () => {
    const one = assessed[0];
    if (!one) throw new Error('assessed');
    const told = (counted: number, low: number, high: number): string =>
      chanceInWords({
        ...one,
        grounds: { ...one.grounds, counted },
        estimate: { ...one.estimate, clean: { low, mid: 0.6, high } },
      });
    expect(told(0, 0.1, 0.9)).toBe('No rep yet: nothing is known.');
    expect(told(1, 0.5, 0.7)).toBe('1 rep: anything from 50 to 70 in 100 clean at the demand.');
    expect(told(80, 0.2, 0.9)).toContain('anything from 20 to 90');
    expect(told(80, 0.5, 0.7)).toBe('60 in 100 clean at the demand (50–70, from 80 reps).');
  });
});

describe('own exercises', () => {
  const [first, second] = state.work.elements;
  if (!first || !second) throw new Error('the sample has elements');
  const own: Breakdown = {
    id: asId<BreakdownId>('b'),
    dogId: first.dogId,
    ruleBookId: null,
    exercise: asId<ExerciseKey>('own'),
    own: { title: 'Mine', goal: '' },
    links: [{ part: asId<PartKey>('p'), element: first.id }],
    putAway: false,
    changed: first.changed,
  };
  const [axis] = second.axes;
  if (!axis) throw new Error('it has an axis');
  const waiting = { ...first, needs: [{ element: second.id, at: { [axis.key]: 999 } }] };
  const gone = { ...second, retired: { how: 'split' as const, into: [first.id] } };

  it('have links of one weight without a price, and say what waits', () => {
    const [view] = exerciseViews(
      { ...state, work: { ...state.work, breakdowns: [own], elements: [waiting, second] } },
      assessed,
    );
    expect(view).toMatchObject({ title: 'Mine', aside: 'your own', own: { id: 'b' } });
    expect(view?.links[0]).toMatchObject({
      stake: null,
      weight: 0.5,
      waits: [expect.stringMatching(new RegExp(`not before “${second.title}” is at .*999`))],
    });
  });

  it('split and joined elements are kept apart, for their reps', () => {
    const changed = { ...state, work: { ...state.work, breakdowns: [], elements: [first, gone] } };
    expect(ownElements(changed, assessed).map((view) => view.id)).toEqual([first.id]);
    expect(retiredElements(changed).map((element) => element.id)).toEqual([gone.id]);
  });
});

describe('lists, sides and marks that are moved', () => {
  const list = testAxis({
    key: 'l',
    title: 'Help',
    quantity: 'level',
    unit: '',
    levels: ['all', 'some', 'none'].map((name, place) => ({ id: asLevel(place), name, anchor: '' })),
    start: 0,
    demand: 2,
    step: 1,
    limit: 1,
  });
  const sides = testAxis({
    key: 's',
    title: 'Angle',
    quantity: 'angle',
    unit: '°',
    harder: 'both',
    start: 0,
    demand: 60,
    step: 15,
    limit: 20,
  });
  it('are typed and read in their own words', () => {
    expect([
      fieldText(list, 'start'),
      fieldText(list, 'demand'),
      fieldText(sides, 'demand'),
      fieldText(sides, 'limit'),
    ]).toEqual(['all', 'none', '60°', '20°']);
    expect(must(withField(list, 'demand', 'some')).demand).toBe(1);
    expect(withField(list, 'demand', 'plenty')).toMatchObject({ ok: false, code: 'level' });
    expect([must(readCell(sides, '30° left')), must(readCell(sides, '15\u00a0° right'))]).toEqual([-30, 15]);
  });
  it('give a value that can be paced out', () => {
    const axis = testAxis();
    expect([valueAt(axis, 0), valueAt(axis, 0.5), valueAt(axis, 1.2)]).toEqual([5, 10, 26]);
    expect([valueAt({ ...axis, start: 20 }, 0.5), valueAt({ ...axis, start: 0 }, 0.5)]).toEqual([null, null]);
  });
});

describe('typing in a ladder', () => {
  const axis = testAxis({ key: 'd', unit: 'yd', start: 4.572, demand: 45.72 });
  const height: Axis = { ...axis, quantity: 'height', unit: 'cm', start: 0.15, demand: 0.4, step: 0.05 };

  it.each([
    [axis, 'start', '5 yd'],
    [axis, 'demand', '50 yd'],
    [axis, 'step', '25 %'],
    [height, 'step', '5 cm'],
  ] as const)('shows and reads back %#', (one, field, text) => {
    expect(fieldText(one, field)).toBe(text);
    expect(must(withField(one, field, text))).toEqual(one);
  });

  it.each([
    ['start', 'far', 'number'],
    ['demand', '20 s', 'unit'],
    ['demand', '5–10 yd', 'range'],
    ['step', '0 %', 'step'],
    ['step', 'a bit', 'step'],
  ] as const)('refuses %s “%s”', (field, text, code) =>
    expect(withField(axis, field, text)).toMatchObject({ ok: false, code }));

  it('sets, replaces and clears a cell', () => {
    const on = { [axis.key]: 9 };
    const cell = (edits: CellEdit[], text: string) =>
      withCell({ axes: [axis], edits }, axis, { planned: on }, text);
    const set = must(cell([], '10'));
    expect(set).toEqual([{ on, axis: 'd', value: 9.144 }]);
    expect(must(cell(set, '20 m'))).toEqual([{ on, axis: 'd', value: 20 }]);
    expect(must(cell(set, ' '))).toEqual([]);
    expect(cell(set, '0')).toMatchObject({ ok: false, code: 'cell' });
  });
});
