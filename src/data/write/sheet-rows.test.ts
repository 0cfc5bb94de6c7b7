import { describe, expect, it } from 'vitest';
import { AXIS_KINDS, listAxis } from '@/core/breakdown';
import { type AxisKey, asId, type Day, must } from '@/core/shared';
import { guessMapping, openSheet, readKennelFile, readRows } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { emptyKennel, exportTables } from '@/data/kennel.test-helper';
import { type NewAxes, takeBack, takeSheetRows } from '.';

const TODAY = '2026-06-30' as Day;
const noon = (day: Day): number => Date.parse(`${day}T12:00:00Z`);
const kindOf = (id: string) => {
  const kind = AXIS_KINDS.find((one) => one.id === id);
  if (!kind) throw new Error(id);
  return kind.make(asId<AxisKey>(id), id);
};
const none = listAxis('help', 'Help', 'much, some, none', 'help');
if (!none) throw new Error('a list has steps');
const AXES: NewAxes = {
  distance: kindOf('distance'),
  duration: kindOf('time'),
  height: kindOf('height'),
  none,
};

const SHEET = [
  'Date,Dog,Exercise,Distance (yd),Reps,Clean,Notes',
  '1.3.2026,Wren,Recall,20,5,4,windy',
  '1.3.2026,Wren,Sit,,3,3,',
  '2.3.2026,Wren,Recall,25,5,5,',
  '2.3.2026,Merle,recall,10,2,1,',
].join('\n');
const rowsOf = (text: string) => {
  const sheet = must(openSheet(text));
  const usual = { days: 'day-month-year', decimal: '.', unit: 'm', dog: '' } as const;
  return readRows(sheet, guessMapping(sheet, usual), TODAY).rows;
};

describe('rows of a sheet taken into the log', () => {
  it('make dogs, ladders, sessions and goes that stand, and a kennel that is read back', async () => {
    const kennel = await emptyKennel();
    const { made } = must(await takeSheetRows(kennel, rowsOf(SHEET), AXES, noon));
    expect(made).toEqual({
      bouts: 4,
      reps: 15,
      dogs: ['Wren', 'Merle'],
      elements: ['Recall', 'Sit', 'recall'],
      known: 0,
    });
    const tables = await exportTables(kennel);
    // Ids are drawn, and records come by their ids.
    expect(tables.outings.map(({ day, dogs }) => [day, dogs.length]).sort()).toEqual([
      ['2026-03-01', 1],
      ['2026-03-02', 2],
    ]);
    const recall = tables.elements.find((one) => one.title === 'Recall');
    expect(recall?.axes).toMatchObject([{ quantity: 'distance', unit: 'yd', start: 18.288, demand: 22.86 }]);
    const sit = tables.elements.find((one) => one.title === 'Sit');
    expect(sit?.axes).toMatchObject([{ role: 'help' }]);
    expect(tables.entries.filter((one) => one.kind === 'note')).toMatchObject([
      { text: 'windy', timed: false },
    ]);
    expect(readKennelFile(writeKennelFile(tables, 'x'))).toMatchObject({ ok: true });
    // What the evidence is folded from is kept beside it, as after a lesson.
    const kept = await kennel.database.kept.toArray();
    expect(kept.reduce((sum, one) => sum + one.reps, 0)).toBe(15);
  });

  it('the same sheet, longer, brings what is new; two rows that say the same are two', async () => {
    const kennel = await emptyKennel();
    const twice = `${SHEET}\n3.3.2026,Wren,Recall,25,2,2,\n3.3.2026,Wren,Recall,25,2,2,`;
    must(await takeSheetRows(kennel, rowsOf(SHEET), AXES, noon));
    expect(must(await takeSheetRows(kennel, rowsOf(twice), AXES, noon)).made).toMatchObject({
      known: 4,
      bouts: 1,
      reps: 4,
      dogs: [],
      elements: [],
    });
    expect(must(await takeSheetRows(kennel, rowsOf(twice), AXES, noon)).made).toMatchObject({
      known: 6,
      reps: 0,
    });
  });

  it('is taken back as if it had never been, and can come again; what was logged since stays', async () => {
    const kennel = await emptyKennel();
    const before = await exportTables(kennel);
    const undo = must(await takeSheetRows(kennel, rowsOf(SHEET), AXES, noon));
    must(await takeBack(kennel, undo));
    expect(await exportTables(kennel)).toEqual(before);
    expect(await kennel.database.kept.toArray()).toEqual([]);
    expect(must(await takeSheetRows(kennel, rowsOf(SHEET), AXES, noon)).made).toMatchObject({ reps: 15 });
  });

  it('lays what was asked onto the ladder that is there, and notes what has no place on it', async () => {
    const kennel = await emptyKennel();
    must(await takeSheetRows(kennel, rowsOf(SHEET), AXES, noon));
    const later =
      'Date,Dog,Exercise,Distance,Result\n5.3.2026,Wren,Sit,30 m,ok\n5.3.2026,Wren,Recall,30 m,ok';
    const { made } = must(await takeSheetRows(kennel, rowsOf(later), AXES, noon));
    expect(made).toMatchObject({ bouts: 2, elements: [] });
    const { entries, elements } = await exportTables(kennel);
    const key = elements.find((one) => one.title === 'Recall')?.axes[0]?.key ?? '';
    const last = entries.filter((one) => one.at > noon('2026-03-04' as Day));
    expect(
      last
        .filter((one) => one.kind === 'rep')
        .map((one) => one.asked.criteria[key as AxisKey] ?? null)
        .sort(),
    ).toEqual([30, null].sort());
    expect(last.filter((one) => one.kind === 'note')).toMatchObject([{ text: 'Distance: 30 m' }]);
  });

  it('lays a latency onto the go it was of, and onto none of several', async () => {
    const kennel = await emptyKennel();
    const text = 'Date,Dog,Exercise,Result,Latency\n1.3.2026,Wren,Sit,ok,1.5\n2.3.2026,Wren,Sit,2/2,1.8';
    must(await takeSheetRows(kennel, rowsOf(text), AXES, noon));
    const { entries } = await exportTables(kennel);
    const measured = entries.flatMap((one) => (one.kind === 'rep' ? [one.seen.measured] : []));
    expect(measured).toContainEqual({ latency: { value: 1.5, how: 'typed' } });
    expect(measured.filter((one) => Object.keys(one).length > 0)).toHaveLength(1);
    expect(entries.filter((one) => one.kind === 'note')).toMatchObject([{ text: 'Latency: 1.8' }]);
  });
});
