import { describe, expect, it } from 'vitest';
import { buildLadder, demandOf } from '@/core/breakdown';
import { linkReps } from '@/core/log';
import {
  asId,
  type BreakdownId,
  type DeviceId,
  type DogId,
  type ElementId,
  type PartKey,
} from '@/core/shared';
import { type DogWork, wholeId } from '@/data/read';
import { wholeOf } from '@/data/read/whole';
import { fromMethod, Play } from './play.test-helper';
import { repInWords } from './rep-words';
import { splitRows } from './split-times';

const DOG = asId<DogId>('dog');
const wait = fromMethod('wait-come-finish', 'wait', { delay: ['1 s', '10 s'] });
const come = fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] });
const around = fromMethod('around', 'spin');
const elements = [wait, come, { ...around, title: 'Finish' }];

/** An own exercise of three links, as it is stored. */
const work: DogWork = {
  elements,
  ruleBooks: [],
  breakdowns: [
    {
      id: asId<BreakdownId>('recall'),
      dogId: DOG,
      ruleBookId: null,
      exercise: asId('own-recall'),
      own: { title: 'The recall', goal: '' },
      links: elements.map((one, i) => ({ part: asId<PartKey>(`p${i}`), element: one.id })),
      putAway: false,
      changed: { at: 0, by: asId<DeviceId>('test'), seen: {} },
    },
  ],
};
const [exercise] = work.breakdowns;
if (!exercise) throw new Error('an exercise');
const whole = wholeOf(exercise, work);
/** The third step of it. */
const there = buildLadder(come).rungs[2]?.criteria ?? {};
const stands = new Map([[come.id, there]]);
const run = () => new Play(whole, { work, stands });
const broke = (one: Play, at: number) => one.tap({ tap: 'whole', brokeAt: at });
/** Clean and counted reps of one link, from all that was run. */
const of = (one: Play, id: ElementId) => {
  const bouts = one.evidence.get(id) ?? [];
  return [
    bouts.reduce((sum, bout) => sum + bout.counted, 0),
    bouts.flatMap((bout) => bout.cells).reduce((sum, cell) => sum + cell.clean, 0),
  ];
};

describe('an exercise run whole', () => {
  it('asks nothing of its own: no distance is made up for it', () => {
    const { view } = run();
    expect([view.asked, view.rods, view.place]).toEqual([[], [], 'from end to end']);
    expect(view.by).toMatchObject({
      kind: 'whole',
      links: [{ title: wait.title }, { title: come.title, criteria: there }, { title: 'Finish' }],
    });
    expect(whole.id).toBe(wholeId(exercise.id));
  });

  it('clean from end to end is a clean rep of every link at what the dog does now', () => {
    const one = run().presses(2, 3.5, 1).tap({ tap: 'whole', brokeAt: null });
    expect(elements.map((link) => of(one, link.id))).toEqual([
      [1, 1],
      [1, 1],
      [1, 1],
    ]);
    expect(one.evidence.get(come.id)?.[0]?.cells[0]?.criteria).toEqual(there);
    expect(one.view.tally).toBe('1 rep, 1 clean');
  });

  it('as the trial asks: each link at its own demand', () => {
    const one = run().chip('values', 'trial').tap({ tap: 'clean' });
    expect(one.evidence.get(come.id)?.[0]?.cells[0]?.criteria).toEqual(demandOf(come.axes));
    expect(one.evidence.get(come.id)?.[0]?.cells[0]?.conditions).toEqual({});
  });

  it('breaks at link 2: the first held, the second failed, the third was not reached', () => {
    const one = broke(run().presses(2), 1);
    expect(elements.map((link) => of(one, link.id))).toEqual([
      [1, 1],
      [1, 0],
      [0, 0],
    ]);
    expect(one.says).toBe(
      `hold: It broke at link 2 of 3, ${come.title}; the links before it held. Once from there, or that piece alone.`,
    );
    expect(one.view.lastInWords).toContain(`broke at ${come.title}`);
  });

  it('breaks twice at one link: that piece alone, and enough of the whole, with the reason', () => {
    const one = broke(broke(run(), 2), 2);
    expect(one.says).toMatch(/^help: It broke twice at link 3 of 3, Finish: train that piece alone/);
    expect(one.says).toMatch(/end: 2 whole runs; 2 in an outing is our own figure.*ahead of you/);
  });

  it('is rationed when it holds too', () => {
    const one = run().tap({ tap: 'clean' });
    expect(one.says).toMatch(/^hold: It held from end to end/);
    expect(one.tap({ tap: 'clean' }).says).toMatch(/^end: 2 whole runs/);
  });

  it('a run that is taken back says nothing of any link', () => {
    const one = broke(run(), 0).undo();
    expect(elements.map((link) => of(one, link.id))).toEqual([
      [0, 0],
      [0, 0],
      [0, 0],
    ]);
    expect(one.says).toMatch(/^hold: Run it once as it is judged/);
  });

  it('where it was the handler, no link of it counts; where it was helped, no clean one does', () => {
    const yours = broke(run(), 1).tap({ tap: 'cause', cause: 'handler' });
    expect(elements.map((link) => of(yours, link.id)[0])).toEqual([1, 0, 0]);
    const helped = run().tap({ tap: 'clean' }).tap({ tap: 'aid', aid: 'lead' });
    expect(elements.map((link) => of(helped, link.id)[0])).toEqual([0, 0, 0]);
    expect(helped.says).toMatch(/^hold: It came to the end, but not clean and without help/);
  });

  it('came to the end with a fault: which link had it is not known, so it proves none, and all were done', () => {
    const one = run().tap({ tap: 'clean' }).tap({ tap: 'otherwise', as: 'flawed' });
    expect(elements.map((link) => of(one, link.id)[0])).toEqual([0, 0, 0]);
    expect(one.says).toMatch(/^hold: It came to the end, but not clean/);
    const links = one.kept.filter((row) => row.link);
    expect(links.map((row) => row.effort.map((each) => each.reps))).toEqual([[1], [1], [1]]);
  });

  it('leaves every link standing where it stood', () => {
    const one = run().chip('values', 'trial').tap({ tap: 'clean' });
    const links = one.kept.filter((row) => row.link);
    expect(links.map((row) => row.element)).toEqual(elements.map((link) => link.id));
    expect(one.kept.filter((row) => !row.link)).toMatchObject([{ element: null, reps: 1 }]);
  });

  it('a piece that stands in it twice has a rep for each time', () => {
    const [first, ...rest] = exercise.links;
    if (!first) throw new Error('a link');
    const doubled = { ...exercise, links: [first, ...rest, { ...first, part: asId<PartKey>('again') }] };
    const twice = { ...work, breakdowns: [doubled] };
    const one = new Play(wholeOf(doubled, twice), { work: twice }).tap({ tap: 'clean' });
    expect(linkReps(one.view.reps).get(wait.id)).toHaveLength(2);
    expect(of(one, wait.id)).toEqual([2, 2]);
  });
});

describe('the time of each link', () => {
  it('is the middle of the runs in which it was done, all of them and by side', () => {
    const sided = { ...whole, conditions: [{ title: 'Side', options: ['left', 'right'] }] };
    const one = new Play(sided, { work });
    one.chip('Side', 'left').presses(2, 3, 1).tap({ tap: 'whole', brokeAt: null });
    one.chip('Side', 'right').presses(4, 5).tap({ tap: 'whole', brokeAt: 2 });
    one.chip('Side', 'left').presses(3, 3, 2).tap({ tap: 'whole', brokeAt: null });
    const { sides, rows } = splitRows(one.view);
    expect(sides).toEqual(['', 'left', 'right']);
    expect(rows.map((row) => row.times)).toEqual([
      ['3.0', '2.5', '4.0'],
      ['3.0', '3.0', '5.0'],
      ['1.5', '1.5', '–'],
    ]);
  });

  it('is not there where nobody pressed, and a void run has none', () => {
    expect(splitRows(run().tap({ tap: 'clean' }).view).rows).toEqual([]);
    const one = run().presses(1, 1, 1).tap({ tap: 'whole', brokeAt: null });
    one.tap({ tap: 'say', change: { judged: { void: true } } });
    expect(splitRows(one.view).rows).toEqual([]);
  });

  it('a pad of another kind logs no whole run', () => {
    const one = new Play(come).tap({ tap: 'whole', brokeAt: null });
    expect(one.refused).toMatch(/not judged in that way/);
    expect(one.view.reps).toEqual([]);
  });

  it('a run in words says where it broke', () => {
    const one = broke(run(), 0);
    const [rep] = one.view.reps;
    if (!rep || one.view.by.kind !== 'whole') throw new Error('a run');
    expect(repInWords(rep, null, one.view.by.links)).toBe(`miss, broke at ${wait.title}`);
  });
});
