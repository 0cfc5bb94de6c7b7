import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { asId, type Day, type DogId, must, type RuleBookId } from '@/core/shared';
import { openDatabase } from '@/data/database';
import type { Kennel } from './kennel';
import { addResult, addTrial, changeTrial, keepForecast, keptForecasts, putTrial, removeResult, restoreResult } from './trials';

const DOG = asId<DogId>('d');
let count = 0;
const open = async (): Promise<Kennel> => ({ name: 'own', database: must(await openDatabase(`trials-${count++}`)) });

it('keeps each forecast once, never changed, and holds a result against the last one before it', async () => {
  const kennel = await open();
  const trial = await addTrial(kennel, {
    dogId: DOG,
    ruleBookId: asId<RuleBookId>('b'),
    title: 'Club trial',
    day: '2026-07-20' as Day,
    entryCloses: null,
    seed: 1,
    assumptions: DEFAULT_ASSUMPTIONS,
  });
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
  ] as const)
    await keepForecast(kennel, forecast(day, print, mid));
  const kept = await keptForecasts(kennel, DOG);
  expect(kept.forecasts.map((one) => one.print)).toEqual(['a', 'b', 'c']);

  // Assumptions tried and taken back: what was given last holds again.
  await keepForecast(kennel, { ...forecast('2026-07-19', 'b', 0.6), at: Date.parse('2026-07-19') });
  expect((await keptForecasts(kennel, DOG)).forecasts.map((one) => one.print)).toEqual(['a', 'b', 'c', 'b']);

  const mock = must(
    await addResult(
      kennel,
      { dogId: DOG, trialId: trial.id, kind: 'mock', day: '2026-07-12' as Day, passed: true, points: 74, note: '' },
      '2026-07-19' as Day,
    ),
  );
  expect(mock.forecastId).toBe(kept.forecasts[1]?.id);
  const early = must(
    await addResult(
      kennel,
      { dogId: DOG, trialId: trial.id, kind: 'mock', day: '2026-06-01' as Day, passed: false, points: null, note: '' },
      '2026-07-19' as Day,
    ),
  );
  expect(early.forecastId).toBeNull();
  expect(
    await addResult(
      kennel,
      { dogId: DOG, trialId: trial.id, kind: 'trial', day: '2026-07-20' as Day, passed: true, points: null, note: '' },
      '2026-07-19' as Day,
    ),
  ).toMatchObject({ ok: false, code: 'day' });

  const gone = await removeResult(kennel, early.id);
  expect((await keptForecasts(kennel, null)).results).toHaveLength(1);
  if (gone) await restoreResult(kennel, gone);
  expect((await keptForecasts(kennel, null)).results.map((one) => one.day)).toEqual(['2026-06-01', '2026-07-12']);

  const before = await changeTrial(kennel, trial.id, { assumptions: { ...DEFAULT_ASSUMPTIONS, nervesSd: 1 } });
  expect((await kennel.database.trials.get(trial.id))?.assumptions.nervesSd).toBe(1);
  if (before) await putTrial(kennel, before);
  expect(await kennel.database.trials.get(trial.id)).toEqual(trial);
  expect(await changeTrial(kennel, asId('nobody'), { title: 'x' })).toBeNull();
});
