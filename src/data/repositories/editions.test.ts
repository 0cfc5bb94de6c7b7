import { describe, expect, it } from 'vitest';
import { compareBooks, type RuleBook } from '@/core/rulebooks';
import { must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { stateOf, TODAY } from '@/demo/sample-state.test-helper';
import { exportTables, type Kennel, moveToEdition, replaceTables, touchedBy, undoMove } from '.';

const tables = makeSampleKennel(TODAY, 2);
const state = stateOf(tables);
const named = (id: string): RuleBook => {
  const book = tables.ruleBooks.find((record) => record.id === id)?.book;
  if (!book) throw new Error(`the sample has no ${id}`);
  return book;
};
const [one, two] = [named('vellmoor-obedience-two'), named('vellmoor-obedience-two-e2')];
const dog = tables.dogs[0]?.id;
if (!dog) throw new Error('the sample has a dog');
let count = 0;
const kennel = async (): Promise<Kennel> => {
  const opened: Kennel = { name: 'sample', database: must(await openDatabase(`editions-${count++}`)) };
  must(await replaceTables(opened, tables));
  return opened;
};

describe('what another edition touches', () => {
  it('names breakdowns, ladders with another demand, and forecasts', () => {
    const touched = touchedBy(compareBooks(one, two), one, state.work, state.trials);
    expect(touched.breakdowns.map((breakdown) => breakdown.exercise)).toEqual(['square', 'hurdle']);
    expect(touched.elements.map((element) => element.title)).toEqual([
      'Run out straight',
      'Stop and lie down in the square',
      'Wait for the steward',
      'Come back to heel',
    ]);
    expect(touched.trials).toHaveLength(1);
  });

  it('is nothing for a book that the dog does not train by', () => {
    expect(touchedBy(compareBooks(two, one), two, state.work, state.trials)).toEqual({ breakdowns: [], elements: [], trials: [] });
  });
});

describe('moving a dog to another edition', () => {
  it('takes breakdowns, trials and demands over, keeps a demand of one’s own, and can be undone', async () => {
    const home = await kennel();
    const own = tables.elements.find((element) => element.id === 'sample-wait');
    if (!own) throw new Error('the sample waits');
    await home.database.elements.put({ ...own, axes: own.axes.map((axis) => (axis.key === 'distance' ? { ...axis, demand: 40 } : axis)) });
    const before = await exportTables(home);
    const moved = must(await moveToEdition(home, dog, one, two));
    const after = await exportTables(home);
    const demand = (id: string, axis: string) =>
      after.elements.find((element) => element.id === id)?.axes.find((candidate) => candidate.key === axis)?.demand;
    expect([demand('sample-stop-down', 'distance'), demand('sample-stop-down', 'latency'), demand('sample-wait', 'distance')]).toEqual([30, 2, 40]);
    expect(
      new Set([...after.breakdowns, ...after.trials].filter((record) => record.dogId === 'sample-dog-1').map((record) => record.ruleBookId)),
    ).toEqual(new Set([two.id]));
    expect(after.entries).toEqual(before.entries);
    await undoMove(home, moved);
    expect(await exportTables(home)).toEqual(before);
  });

  it('refuses an edition with an element that nothing trains, or with no exercise in common, and changes nothing', async () => {
    const home = await kennel();
    const before = await exportTables(home);
    const [square, ...rest] = two.exercises;
    if (!square) throw new Error('the class has a square');
    const more = {
      ...two,
      exercises: [
        { ...square, elements: [...square.elements, { ...square.elements[0], id: 'bow', title: 'Bow', text: 'x', demands: [] } as never] },
        ...rest,
      ],
    };
    expect(await moveToEdition(home, dog, one, more)).toMatchObject({ ok: false, code: 'incomplete', message: expect.stringContaining('“Bow”') });
    expect(await moveToEdition(home, dog, one, named('ravenholt-course'))).toMatchObject({ ok: false, code: 'incomplete' });
    expect(await exportTables(home)).toEqual(before);
  });
});
