import { describe, expect, it } from 'vitest';
import { AXIS_KINDS, buildLadder, listAxis, METHODS, readNewAxis } from '@/core/breakdown';
import { type AxisKey, asId, type DogId, type ElementId, must } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import type { LinkPlan } from '@/data/write';
import { sampleState } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import { type LinkDraft, linkByHand, linksFromMethod, moved, readLinks } from './exercise-draft';
import { sourceGroups, startingLinks } from './exercise-sources';

const DOG = asId<DogId>('d');
const { work } = sampleState();
let count = 0;
const newId = (): ElementId => asId<ElementId>(`new-${count++}`);
const fill = (link: LinkDraft, start: string, demand: string, step = ''): LinkDraft => ({
  ...link,
  axes: link.axes.map((axis) =>
    axis.spec.axis.levels
      ? axis
      : { ...axis, start: axis.start || start, demand: axis.demand || demand, step: axis.step || step },
  ),
});
const element = (plan: LinkPlan | undefined): ElementRecord => plan?.element as ElementRecord;

describe('from a method', () => {
  const hold = METHODS.find((method) => method.id === 'formal-hold');
  if (!hold) throw new Error('there is a method for the hold');

  it('becomes elements with faults, kit, policy and prerequisites among themselves', () => {
    const { plans, problems } = readLinks(
      linksFromMethod(hold, newId).map((link) => fill(link, '1 s', '20 s')),
      DOG,
    );
    expect(problems).toEqual({});
    const [still, object, moving] = plans.map(element);
    expect(still).toMatchObject({
      title: 'Hold, still and light',
      dogId: 'd',
      axes: [{ start: 1, demand: 20, step: 0.5 }],
      method: { element: 'still' },
      kit: ['thin dowel'],
    });
    expect(still?.faults.map((fault) => fault.key)).toContain('mouthed');
    // 40 % of nine steps of the hold, 60 % of three steps of the object.
    const at = (of: typeof still, rung: number) => buildLadder(of ?? { axes: [] }).rungs[rung]?.criteria;
    expect(object?.needs).toEqual([{ element: still?.id, at: at(still, 4) }]);
    expect(moving?.needs.map((need) => need.at)).toEqual([at(still, 6), at(object, 2)]);
  });

  it('says what is missing by field, all at once', () => {
    const [first, ...rest] = linksFromMethod(hold, newId);
    const { problems } = readLinks([{ ...(first as LinkDraft), title: ' ' }, ...rest], DOG);
    expect(Object.keys(problems)).toEqual([
      `${first?.id}.title`,
      `${first?.id}.time.start`,
      `${first?.id}.time.demand`,
    ]);
  });
});

describe('from elsewhere', () => {
  const groups = sourceGroups(work, METHODS);

  it('offers methods, rule-book exercises that are still whole, and what the dog has', () => {
    expect(groups[0]?.sources).toHaveLength(METHODS.length);
    const titles = groups.flatMap((group) => group.sources.map((source) => source.id));
    expect(titles.filter((id) => id.startsWith('book:vellmoor-obedience-two:'))).toEqual([]);
    expect(titles.some((id) => id.startsWith('book:vellmoor-obedience-three:'))).toBe(true);
    expect(groups.at(-1)?.sources.map((source) => source.title)).toEqual([
      'Send-away to the square',
      'Retrieve over the hurdle',
    ]);
  });

  it('a rule book’s exercise asks for starts and has its demands', () => {
    const source = groups.flatMap((group) => group.sources).find((one) => one.kind === 'rule-book');
    if (!source) throw new Error('a rule book');
    const links = startingLinks(source, work);
    expect(
      links.every(
        (link) => link.part !== null && link.axes.every((axis) => axis.start === '' && axis.demand !== ''),
      ),
    ).toBe(true);
  });

  it('the same pieces as another exercise are shared, not copied', () => {
    const like = groups.at(-1)?.sources[0];
    const { plans } = readLinks(like ? startingLinks(like, work) : [], DOG);
    expect(plans.map((plan) => plan.element)).toEqual(work.breakdowns[0]?.links.map((link) => link.element));
  });

  it.each([
    ['a start beyond the demand', '50 m', '20 m', '25 %', 'start', 'already harder'],
    ['a step of zero', '5 m', '20 m', '0 %', 'step', 'more than 0'],
    ['a unit that does not fit', '5 s', '20 m', '25 %', 'start', 'not a unit of distance'],
    ['no number', '5 m', 'far', '25 %', 'demand', 'not a distance'],
  ])('by hand: %s is refused where it was typed', (_, start, demand, step, field, words) => {
    const link = linkByHand(newId(), AXIS_KINDS[0].make(asId<AxisKey>('distance'), 'Distance'));
    const draft = { ...link, title: 'X', axes: link.axes.map((axis) => ({ ...axis, start, demand, step })) };
    expect(readLinks([draft], DOG).problems).toEqual({
      [`${link.id}.distance.${field}`]: expect.stringContaining(words),
    });
  });
});

describe('criteria by hand', () => {
  it.each(
    AXIS_KINDS.map((kind) => [kind.id, kind] as const),
  )('%s is a sound axis from three answers', (_, kind) => {
    const spec = kind.make(asId<AxisKey>('k'), wordsOf(kind.title));
    const [easy, hard] = spec.axis.harder === 'less' ? ['8', '2'] : ['2', '8'];
    expect(
      must(readNewAxis(spec, { title: '', start: easy, demand: hard, step: spec.step === null ? '2' : '' }))
        .title,
    ).toBe(wordsOf(kind.title));
  });

  it('lists are read from words, and need two different steps', () => {
    expect(listAxis('k', 'Help', 'whole hand, half, none', 'help')).toMatchObject({
      start: 0,
      demand: 2,
      axis: { role: 'help' },
    });
    expect([listAxis('k', 'Help', 'one', 'help'), listAxis('k', 'Help', 'a, A', 'help')]).toEqual([
      null,
      null,
    ]);
  });
});

it('moves an item, and nothing past the ends', () => {
  expect([moved(['a', 'b', 'c'], 0, 1), moved(['a', 'b', 'c'], 2, 1), moved(['a'], 0, 1)]).toEqual([
    ['b', 'a', 'c'],
    ['a', 'c', 'b'],
    ['a'],
  ]);
});
