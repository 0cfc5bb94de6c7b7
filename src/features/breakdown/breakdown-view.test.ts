import { describe, expect, it } from 'vitest';
import { assessElement, chanceInWords } from '@/core/evidence';
import { asId, type BreakdownId, type ExerciseKey, must, type PartKey, say } from '@/core/shared';
import { type Breakdown, elementQuestions } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import { exerciseViews, ownElements, retiredElements } from './breakdown-view';

const state = sampleState();
const weighed = elementQuestions(state.work, state.evidence, state.stands).map((question) => ({
  id: question.id,
  found: assessElement(question, TODAY),
}));

describe('exercises as chains', () => {
  const views = exerciseViews(state, weighed);

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
    expect(rods.map((rod) => wordsOf(rod.sentence).split('.')[0])).toEqual([
      'Distance from you: start 3\u00a0m, now 13\u00a0m, demanded 25\u00a0m',
      'Time to lie down: start 4\u00a0s, now 4\u00a0s, demanded 2\u00a0s',
    ]);
    expect(rods[0]?.rungs.every((at) => at >= 0 && at <= 1)).toBe(true);
    expect(rods[0]?.reach && rods[0].reach.low < rods[0].reach.high).toBe(true);
  });

  it('say nothing of strength before it is known', () => {
    expect(exerciseViews(state, null)[0]?.links[0]).toMatchObject({ chance: null, strength: null });
    expect(ownElements(state, weighed)).toEqual([]);
    expect(ownElements({ ...state, work: { ...state.work, breakdowns: [] } }, weighed)).toHaveLength(11);
  });

  it('tell thin evidence from a figure', () => {
    const one = weighed[0] && must(weighed[0].found);
    if (!one) throw new Error('weighed');
    const told = (counted: number, low: number, high: number): string =>
      wordsOf(
        chanceInWords({
          ...one,
          grounds: { ...one.grounds, counted },
          estimate: { ...one.estimate, clean: { low, mid: 0.6, high } },
        }),
      );
    expect(told(0, 0.1, 0.9)).toBe('No rep yet: nothing is known.');
    expect(told(1, 0.5, 0.7)).toBe('1 rep, too few for a figure, so log more of it.');
    expect(told(80, 0.2, 0.9)).toContain('not enough yet for one figure');
    expect(told(80, 0.5, 0.7)).toBe(
      'Would do it 6 times in 10 as it is asked in the end (between 5 and 7 in 10, from 80 reps).',
    );
  });
});

it('an element that cannot be weighed says why, and the others stay', () => {
  const [broken, ...others] = weighed;
  const why = {
    ok: false,
    code: 'axis',
    path: '',
    message: say('shared.name', { name: 'The start is beyond the demand.' }),
  } as const;
  const found = exerciseViews(state, [{ id: broken?.id ?? asId(''), found: why }, ...others]).flatMap(
    (view) => view.links,
  );
  const wrong = found.filter((link) => link.id === broken?.id);
  expect(wrong.map((link) => [link.chance, link.strength])).toEqual(
    wrong.map(() => ['Cannot be weighed. The start is beyond the demand.', null]),
  );
  expect(found.filter((link) => link.strength !== null).length).toBeGreaterThan(8);
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
      weighed,
    );
    expect(view).toMatchObject({ title: 'Mine', aside: 'your own', own: { id: 'b' } });
    expect(view?.links[0]).toMatchObject({
      stake: null,
      weight: 0.5,
      waits: [expect.stringMatching(new RegExp(`first “${second.title}”: .*999`))],
    });
  });

  it('split and joined elements are kept apart, for their reps', () => {
    const changed = { ...state, work: { ...state.work, breakdowns: [], elements: [first, gone] } };
    expect(ownElements(changed, weighed).map((view) => view.id)).toEqual([first.id]);
    expect(retiredElements(changed).map((element) => element.id)).toEqual([gone.id]);
  });
});
