import { describe, expect, it } from 'vitest';
import { type Day, must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { ensureSample, exportTables, type Kennel, listRuleBooks, putRuleBook, recordRep, renewSample, restoreRuleBook, startSession } from '.';

const [monday, tuesday] = ['2026-06-29', '2026-06-30'] as [Day, Day];
let count = 0;
const empty = async (): Promise<Kennel> => ({ name: 'sample', database: must(await openDatabase(`sample-${count++}`)) });
const lastDay = async (kennel: Kennel): Promise<string | undefined> =>
  (await exportTables(kennel)).sessions
    .map((session) => session.day)
    .sort()
    .at(-1);

describe('the sample kennel', () => {
  it('is made once a day and follows the calendar', async () => {
    const kennel = await empty();
    let made = 0;
    const make = (day: Day) => () => {
      made++;
      return makeSampleKennel(day, 2);
    };
    await ensureSample(kennel, monday, make(monday));
    await ensureSample(kennel, monday, make(monday));
    expect([made, await lastDay(kennel)]).toEqual([1, '2026-06-28']);
    await ensureSample(kennel, tuesday, make(tuesday));
    expect([made, await lastDay(kennel)]).toEqual([2, '2026-06-29']);
  });

  it('is left alone once somebody has practised in it, until it is made new', async () => {
    const kennel = await empty();
    await ensureSample(kennel, monday, () => makeSampleKennel(monday, 2));
    const [element] = (await exportTables(kennel)).elements;
    if (!element) throw new Error('the sample has elements');
    const session = await startSession(kennel, element, { now: 1, day: monday, away: false, rung: 0 });
    must(
      await recordRep(kennel, session, { at: 2, outcome: 'clean', option: null, cause: 'dog', aided: false, rung: 0, criteria: {}, latency: null }),
    );
    await ensureSample(kennel, tuesday, () => makeSampleKennel(tuesday, 2));
    expect(await lastDay(kennel)).toBe(monday);
    await renewSample(kennel, tuesday, makeSampleKennel(tuesday, 2));
    expect([await lastDay(kennel), (await exportTables(kennel)).entries.length]).toEqual([monday, makeSampleKennel(tuesday, 2).entries.length]);
  });
});

it('a rule book that is replaced comes back by undo, and a new one goes', async () => {
  const kennel = await empty();
  const [first, second] = makeSampleKennel(monday, 2).ruleBooks.map((record) => record.book);
  if (!first || !second) throw new Error('the sample has rule books');
  expect(await putRuleBook(kennel, first, 1)).toBeNull();
  const before = await putRuleBook(kennel, { ...first, title: 'Other' }, 2);
  expect(before?.book.title).toBe(first.title);
  await restoreRuleBook(kennel, first.id, before);
  expect((await listRuleBooks(kennel)).map((record) => record.book.title)).toEqual([first.title]);
  await putRuleBook(kennel, second, 3);
  await restoreRuleBook(kennel, second.id, null);
  expect(await listRuleBooks(kennel)).toHaveLength(1);
});
