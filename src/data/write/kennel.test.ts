import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { asId, type Day, must, type RuleBookId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { DOG, emptyKennel, exportTables, kennelWithDog } from '@/data/kennel.test-helper';
import { keptForecasts, listDogs, listRuleBooks } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import {
  addKit,
  addResult,
  addTrial,
  changeDog,
  changeTrial,
  ensureSample,
  keepForecast,
  putRuleBook,
  record,
  removeKit,
  removeResult,
  renewSample,
  startBout,
  takeBack,
} from '.';
import { sound } from './sound.test-helper';

describe('dogs, kit, rule books', () => {
  it('a dog is changed and changed back; kit has no doubles, and comes back with its own id', async () => {
    const kennel = await kennelWithDog();
    const changed = must(await changeDog(kennel, DOG, { vet: [{ about: 'jumps', said: 'ten' }] }));
    must(await takeBack(kennel, changed));
    expect((await listDogs(kennel))[0]?.vet).toEqual([]);
    expect(await changeDog(kennel, asId('ghost'), {})).toMatchObject({ ok: false, code: 'gone' });
    const dummies = must(await addKit(kennel, ' dummies ')).made;
    expect(await addKit(kennel, 'Dummies')).toMatchObject({ ok: false, code: 'twice' });
    expect(await addKit(kennel, '  ')).toMatchObject({ ok: false, code: 'empty' });
    const removed = must(await removeKit(kennel, dummies.id));
    expect(await kennel.database.of('gone').toArray()).toMatchObject([{ id: `kit/${dummies.id}` }]);
    must(await takeBack(kennel, removed));
    expect([
      await kennel.database.of('kit').toArray(),
      await kennel.database.of('gone').count(),
    ]).toMatchObject([[{ id: dummies.id, title: 'dummies' }], 0]);
  });

  it('a rule book that is replaced comes back by undo, and a new one goes', async () => {
    const kennel = await emptyKennel();
    const [first, second] = makeSampleKennel('2026-06-29' as Day, 2).ruleBooks.map((one) => one.book);
    if (!first || !second) throw new Error('the sample has rule books');
    expect(must(await putRuleBook(kennel, first, 1)).made).toEqual({ replaced: false });
    const replaced = must(await putRuleBook(kennel, { ...first, title: 'Other' }, 2));
    expect(replaced.made).toEqual({ replaced: true });
    must(await takeBack(kennel, replaced));
    expect((await listRuleBooks(kennel)).map((one) => one.book.title)).toEqual([first.title]);
    must(await takeBack(kennel, must(await putRuleBook(kennel, second, 3))));
    expect(await listRuleBooks(kennel)).toHaveLength(1);
  });
});

describe('trials', () => {
  it('keep each forecast once, never changed, and hold a result against the last one before it', async () => {
    const kennel = await kennelWithDog();
    const trial = must(
      await addTrial(kennel, {
        dogId: DOG,
        ruleBookId: asId<RuleBookId>('b'),
        title: 'Club trial',
        day: '2026-07-20' as Day,
        entryCloses: null,
        seed: 1,
        assumptions: DEFAULT_ASSUMPTIONS,
      }),
    ).made;
    const forecast = (day: string, print: string, mid: number) => ({
      dogId: DOG,
      trialId: trial.id,
      at: Date.parse(day),
      day: day as Day,
      forDay: trial.day,
      pass: { low: mid - 0.1, mid, high: mid + 0.1 },
      points: 70,
      reps: 100,
      sessions: 12,
      lastDay: null,
      edition: 'b, 1',
      seed: 1,
      assumptions: DEFAULT_ASSUMPTIONS,
      print,
    });
    for (const [day, print, mid] of [
      ['2026-07-01', 'a', 0.5],
      ['2026-07-01', 'a', 0.5],
      ['2026-07-10', 'b', 0.6],
      ['2026-07-18', 'c', 0.7],
      // Assumptions tried and taken back: what was given last but one holds again.
      ['2026-07-19', 'b', 0.6],
    ] as const)
      must(await keepForecast(kennel, forecast(day, print, mid)));
    const kept = await keptForecasts(kennel, DOG);
    expect(kept.forecasts.map((one) => one.print)).toEqual(['a', 'b', 'c', 'b']);
    const result = (day: string, kind: 'mock' | 'trial') =>
      addResult(
        kennel,
        { dogId: DOG, trialId: trial.id, kind, day: day as Day, passed: true, points: null, note: '' },
        '2026-07-19' as Day,
      );
    expect(must(await result('2026-07-12', 'mock')).made.forecastId).toBe(kept.forecasts[1]?.id);
    const early = must(await result('2026-06-01', 'mock')).made;
    expect(early.forecastId).toBeNull();
    expect(await result('2026-07-20', 'trial')).toMatchObject({ ok: false, code: 'day' });
    const removed = must(await removeResult(kennel, early.id));
    expect((await keptForecasts(kennel, null)).results).toHaveLength(1);
    must(await takeBack(kennel, removed));
    expect((await keptForecasts(kennel, null)).results.map((one) => one.day)).toEqual([
      '2026-06-01',
      '2026-07-12',
    ]);
    const changed = must(
      await changeTrial(kennel, trial.id, { assumptions: { ...DEFAULT_ASSUMPTIONS, nervesSd: 1 } }),
    );
    must(await takeBack(kennel, changed));
    expect((await kennel.database.of('trials').get(trial.id))?.assumptions).toEqual(DEFAULT_ASSUMPTIONS);
    expect(await changeTrial(kennel, asId('nobody'), { title: 'x' })).toMatchObject({
      ok: false,
      code: 'gone',
    });
  });
});

describe('the sample kennel', () => {
  const [monday, tuesday] = ['2026-06-29', '2026-06-30'] as [Day, Day];
  const lastDay = async (kennel: Kennel) =>
    (await exportTables(kennel)).outings
      .map((one) => one.day)
      .sort()
      .at(-1);

  it('is made once a day, follows the calendar, and is left alone once somebody has practised in it', async () => {
    const kennel = await emptyKennel();
    let made = 0;
    const make = (day: Day) => () => {
      made++;
      return makeSampleKennel(day, 2);
    };
    must(await ensureSample(kennel, monday, make(monday)));
    must(await ensureSample(kennel, monday, make(monday)));
    expect([made, await lastDay(kennel)]).toEqual([1, '2026-06-28']);
    const [sample] = (await exportTables(kennel)).elements;
    if (!sample) throw new Error('the sample has elements');
    const bout = must(await startBout(kennel, sample, { day: monday, away: false, start: {} })).made;
    must(await record(kennel, bout, { kind: 'note', text: 'Mine.' }));
    must(await ensureSample(kennel, tuesday, make(tuesday)));
    expect([made, await lastDay(kennel)]).toEqual([1, monday]);
    const renewed = must(await renewSample(kennel, tuesday, makeSampleKennel(tuesday, 2)));
    expect((await exportTables(kennel)).entries).toHaveLength(makeSampleKennel(tuesday, 2).entries.length);
    must(await takeBack(kennel, renewed));
    expect((await exportTables(kennel)).entries.some((entry) => entry.kind === 'note')).toBe(true);
    await sound(kennel);
  });
});
