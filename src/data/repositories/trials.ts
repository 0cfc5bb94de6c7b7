import { type Day, type DogId, type ForecastId, fail, ok, type Result, type ResultId, type TrialId } from '@/core/shared';
import type { ForecastRecord, ResultRecord, Trial } from '@/data/records';
import { type Kennel, newId } from './kennel';

/** A trial that a dog is meant for. */
export async function addTrial(kennel: Kennel, trial: Omit<Trial, 'id'>): Promise<Trial> {
  const record: Trial = { ...trial, id: newId<TrialId>() };
  await kennel.database.trials.add(record);
  return record;
}

type Change = Partial<Pick<Trial, 'title' | 'day' | 'entryCloses' | 'assumptions'>>;

/** Changes a trial and gives back what it was, for undo; by a function of what is stored where only a part of something changes. */
export async function changeTrial(kennel: Kennel, id: TrialId, change: Change | ((stored: Trial) => Change)): Promise<Trial | null> {
  return kennel.database.transaction('rw', kennel.database.trials, async () => {
    const before = await kennel.database.trials.get(id);
    if (!before) return null;
    await kennel.database.trials.put({ ...before, ...(typeof change === 'function' ? change(before) : change) });
    return before;
  });
}

export async function putTrial(kennel: Kennel, trial: Trial): Promise<void> {
  await kennel.database.trials.put(trial);
}

/** All forecasts and results of a dog, or of all dogs, oldest first. */
export async function keptForecasts(
  kennel: Kennel,
  dog: DogId | null,
): Promise<{ readonly forecasts: ForecastRecord[]; readonly results: ResultRecord[] }> {
  const { forecasts, results } = kennel.database;
  const [found, entered] = await Promise.all([
    dog === null ? forecasts.toArray() : forecasts.where('dogId').equals(dog).toArray(),
    dog === null ? results.toArray() : results.where('dogId').equals(dog).toArray(),
  ]);
  return { forecasts: found.sort((a, b) => a.at - b.at), results: entered.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)) };
}

/** Keeps a forecast as it was given; it is never changed. Nothing is added where the last one of this trial has the same print; an earlier one that holds again is given again. */
export async function keepForecast(kennel: Kennel, forecast: Omit<ForecastRecord, 'id'>): Promise<void> {
  const { forecasts } = kennel.database;
  await kennel.database.transaction('rw', forecasts, async () => {
    const given = await forecasts.where('trialId').equals(forecast.trialId).sortBy('at');
    if (given.at(-1)?.print !== forecast.print) await forecasts.add({ ...forecast, id: newId<ForecastId>() });
  });
}

/**
 * Enters how a trial or a mock went, held against the last forecast that was given before that day was over. Fails with `day` for a day to come.
 */
export async function addResult(kennel: Kennel, result: Omit<ResultRecord, 'id' | 'forecastId'>, today: Day): Promise<Result<ResultRecord>> {
  if (result.day > today) return fail('day', 'day', 'A result cannot be from a day to come.');
  const { forecasts, results } = kennel.database;
  return kennel.database.transaction('rw', forecasts, results, async () => {
    const given = (await forecasts.where('trialId').equals(result.trialId).toArray()).filter((one) => one.day <= result.day);
    const last = given.sort((a, b) => b.at - a.at)[0] ?? null;
    const record: ResultRecord = { ...result, id: newId<ResultId>(), forecastId: last?.id ?? null };
    await results.add(record);
    return ok(record);
  });
}

export async function removeResult(kennel: Kennel, id: ResultId): Promise<ResultRecord | null> {
  const before = await kennel.database.results.get(id);
  await kennel.database.results.delete(id);
  return before ?? null;
}

export async function restoreResult(kennel: Kennel, result: ResultRecord): Promise<void> {
  await kennel.database.results.put(result);
}
