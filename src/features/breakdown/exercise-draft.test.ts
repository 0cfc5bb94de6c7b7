import { describe, expect, it } from 'vitest';
import {
  AXIS_KINDS,
  buildLadder,
  listAxis,
  METHODS,
  readNewAxis,
  SCHOOLS,
  type SchoolKey,
  type Setting,
} from '@/core/breakdown';
import { type AxisKey, asId, type DeviceId, type DogId, type ElementId, must } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import type { LinkPlan } from '@/data/write';
import { sampleState } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import { furtherAxis, ownList } from './axis-draft';
import { beforesOf } from './befores';
import {
  answered as answeredBefore,
  type LinkDraft,
  linkByHand,
  linksFromMethod,
  moved,
  outlookOf,
  readLinks,
} from './exercise-draft';
import { sourceGroups, startingLinks } from './exercise-sources';
import { firstSides, onRoute, type Sides, settingsOf, takesHold } from './sides';

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
const CHANGED = { at: 0, by: asId<DeviceId>('test'), seen: {} };
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

  it('what was typed for the first piece before is not asked again', () => {
    const [first, second] = answeredBefore(linksFromMethod(hold, newId), '2 s', '20 s');
    expect(first?.axes[0]).toMatchObject({ start: '2 s', demand: '20 s' });
    expect(second?.axes[0]).toMatchObject({ start: linksFromMethod(hold, newId)[1]?.axes[0]?.start });
    expect(answeredBefore([], '2 s', '20 s')).toEqual([]);
  });

  it('a piece that the dog trains by this method already is shared, not made twice', () => {
    const mine = element(
      readLinks(
        linksFromMethod(hold, newId).map((link) => fill(link, '1 s', '20 s')),
        DOG,
      ).plans[1],
    );
    const links = linksFromMethod(hold, newId, [{ ...mine, changed: CHANGED }]);
    expect(links.map(({ existing }) => existing)).toEqual([null, mine.id, null]);
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

describe('what a method builds on, and where schools differ', () => {
  const methodOf = (id: string) => {
    const found = METHODS.find((method) => method.id === id);
    if (!found) throw new Error(`no ${id}`);
    return found;
  };
  const answered = (id: string, elements: readonly ElementRecord[] = []) =>
    linksFromMethod(methodOf(id), newId, elements).map((link) => ({
      ...link,
      axes: link.axes.map((axis) => {
        const [easy, hard] = axis.spec.axis.harder === 'less' ? ['8', '2'] : ['2', '8'];
        return { ...axis, start: axis.start || easy, demand: axis.demand || hard, step: axis.step || '1' };
      }),
    }));
  const made = (id: string, elements: readonly ElementRecord[], settings: readonly Setting[] = []) => {
    const befores = beforesOf(methodOf(id), newId, elements);
    return { befores, ...readLinks(answered(id, elements), DOG, { befores, settings, elements }) };
  };
  const kept = (record: unknown): ElementRecord => ({ ...(record as ElementRecord), changed: CHANGED });

  it('comes along where the dog has it not, and is shared where it has', () => {
    const first = made('positions-at-a-distance', []);
    expect(first.problems).toEqual({});
    expect(first.besides.map((one) => one.title)).toEqual([
      'Sit on the word',
      'Down on the word',
      'Stay',
      'Comes when called',
    ]);
    const [position] = first.plans.map(element);
    const [sit, down, stay] = first.besides;
    expect(position?.needs.map((need) => need.element)).toEqual([sit?.id, down?.id, stay?.id]);
    expect(position?.needs[0]?.at).toEqual({ help: 3, place: 2 });
    const mine = first.besides.map(kept);
    const second = made('wait-come-finish', mine);
    expect(second.befores.map((one) => one.by)).toEqual([sit?.id]);
    expect(second.besides).toEqual([]);
    expect(second.plans.map(element)[0]?.needs.map((need) => need.element)).toEqual([sit?.id]);
    // What is a piece of the method itself is shared too: its recall is the one that the dog has.
    expect(second.plans[1]?.element).toBe(first.besides[3]?.id);
  });

  it('left out, nothing waits for it', () => {
    const befores = beforesOf(methodOf('wait-come-finish'), newId, []).map((one) => ({
      ...one,
      by: 'none' as const,
    }));
    const read = readLinks(answered('wait-come-finish'), DOG, { befores, settings: [], elements: [] });
    expect([read.besides, element(read.plans[0]).needs]).toEqual([[], []]);
  });

  it.each(
    (Object.keys(SCHOOLS) as SchoolKey[]).flatMap((key) =>
      SCHOOLS[key].sides.map((_, i) => [key, i] as const),
    ),
  )('%s, side %i writes what it says and leaves the rest', (key, side) => {
    const settings = settingsOf({ [key]: side });
    const method = METHODS.find((one) => one.schools.includes(key)) ?? METHODS[0];
    const links = onRoute(answered(method?.id ?? ''), settings);
    const plain = readLinks(links, DOG).plans.map(element);
    const chosen = readLinks(links, DOG, { befores: [], settings, elements: [] }).plans.map(element);
    for (const [i, one] of chosen.entries()) {
      const was = plain[i] as ElementRecord;
      for (const setting of settings) {
        if (setting.kind === 'ratchet') expect(one.policy.pace.ratchet).toBe(setting.to);
        if (setting.kind === 'cues') expect(one.cues).toBe(setting.to);
        if (setting.kind === 'no-fault')
          expect(one.faults).toEqual(was.faults.filter((fault) => !setting.faults.includes(fault.key)));
        if (setting.kind === 'pay-thins-out') expect(one.axes.at(-1)?.role).toBe('pay');
        if (setting.kind === 'noted-till-the-demand') {
          const { rungs } = buildLadder(one);
          const noted = one.faults.filter((fault) => setting.faults.includes(fault.key));
          expect(rungs.at(-1)?.noted).toEqual([]);
          if (rungs.length > 1) expect(rungs[0]?.noted).toHaveLength(noted.length);
        }
        if (setting.kind === 'rule' && setting.to === 'run') {
          expect(one.policy.rule.kind).not.toBe('distribution');
          // What was shaped is shown now, and the help fades.
          if (was.policy.rule.kind === 'distribution') expect(one.axes.at(-1)?.role).toBe('help');
        }
      }
      if (settings.length === 0) expect({ ...one, id: '' }).toEqual({ ...was, id: '' });
    }
    if (settings.some((one) => one.kind === 'route'))
      expect(links.length).toBeLessThan(answered(method?.id ?? '').length);
  });

  it('of two routes the first is taken until another is, and running in counts only for who wants it to', () => {
    const muzzle = methodOf('worn-kit');
    expect(firstSides(muzzle)).toEqual({ 'kit-route': 0 });
    const routes = (sides: Sides) =>
      onRoute(linksFromMethod(muzzle, newId), settingsOf(sides)).flatMap(
        ({ from }) => from?.element.route ?? [],
      );
    expect([routes(firstSides(muzzle)), routes({ 'kit-route': 1 }), routes({})]).toEqual([
      ['hand'],
      ['inside'],
      ['hand', 'inside'],
    ]);
    expect([firstSides(methodOf('stays')), firstSides(null)]).toEqual([{}, {}]);
    const noted = (sides: Sides) => {
      const besides = { befores: [], settings: settingsOf(sides), elements: [] };
      const [memory] = readLinks(answered('memory-retrieve'), DOG, besides).plans.map(element);
      return memory?.countsFrom.map(({ fault }) => fault.key as string);
    };
    expect([noted({}), noted({ drive: 0 }), noted({ drive: 1 })]).toEqual([['ran-in'], [], ['ran-in']]);
  });

  it('a side says that it sets something only where it does', () => {
    const sets = (method: string, key: SchoolKey, side: number): boolean[] =>
      SCHOOLS[key].sides[side]?.sets.map((setting) => takesHold(methodOf(method), setting)) ?? [];
    expect(sets('reward-behind', 'unasked', 0)).toEqual([true]);
    expect(sets('props', 'showing', 1)).toEqual([true]);
    expect(sets('field-season', 'drive', 1)).toEqual([true]);
    // No piece of these has such a fault, or is shaped.
    expect(sets('toy-game', 'drive', 1)).toEqual([false]);
    expect(sets('props', 'cue-time', 0)).toEqual([false]);
    expect(sets('upright', 'showing', 1)).toEqual([false]);
    expect(sets('stays', 'floor', 0)).toEqual([true]);
  });

  it('says how long the way will be before it is made, and what is held on it', () => {
    const [link] = answered('formal-hold');
    if (!link) throw new Error('a link');
    const [axis] = link.axes;
    const typed = (start: string, demand: string) => ({
      ...link,
      axes: axis ? [{ ...axis, start, demand }] : [],
    });
    expect(outlookOf(typed('2 s', '20 s'))).toMatchObject({ steps: 8, reps: 40, held: [] });
    expect(outlookOf(typed('20 s', '20 s'))).toMatchObject({ steps: 1, reps: 5, held: [{ key: 'time' }] });
    expect(outlookOf(typed('', '20 s'))).toBeNull();
  });

  it('a ready list, a list of one’s own, and a measured criterion can be added to any link', () => {
    const [link] = answered('formal-hold');
    if (!link) throw new Error('a link');
    const more = [...link.axes];
    for (const kind of ['help', 'distracts', 'own-criterion']) more.push(furtherAxis(kind, more));
    const read = (axes: LinkDraft['axes']) => readLinks([{ ...link, axes }], DOG);
    expect(Object.keys(read(more).problems)).toContain(`${link.id}.own-criterion.list`);
    const whole = more.map((axis) =>
      axis.list
        ? ownList(axis.spec.axis.key, 'Where it lies', 'near, far, unseen', axis.list.kind)
        : axis.spec.axis.key === 'distracts'
          ? { ...axis, start: '20 m', demand: '2 m' }
          : axis,
    );
    const { plans, problems } = read(whole);
    expect(problems).toEqual({});
    expect(element(plans[0]).axes.map((one) => [one.key, one.role, one.levels?.length ?? 0])).toEqual([
      ['time', 'criterion', 0],
      ['help', 'help', 4],
      ['distracts', 'criterion', 0],
      ['own-criterion', 'criterion', 3],
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
