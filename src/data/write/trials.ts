import {
  type Day,
  type ForecastId,
  type Result,
  type ResultId,
  type RunId,
  say,
  type TrialId,
} from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { type ForecastRecord, type New, PLAIN_TRIAL, type ResultRecord, type Trial } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

type Known = Pick<Trial, 'dogId' | 'ruleBookId' | 'title' | 'day' | 'entryCloses' | 'seed' | 'assumptions'>;

/** A trial that a dog is meant for. */
export function addTrial(kennel: Kennel, trial: Known): Promise<Result<Undo<Trial>>> {
  return transact(kennel, ['trials'], (write) =>
    write.put('trials', { ...PLAIN_TRIAL, ...trial, id: newId<TrialId>() }),
  );
}

type Change = Partial<Omit<Trial, 'id' | 'dogId' | 'changed'>>;

/** Changes a trial; by a function of what is stored where only a part of something changes. */
export function changeTrial(
  kennel: Kennel,
  id: TrialId,
  change: Change | ((stored: Trial) => Change),
): Promise<Result<Undo<Trial>>> {
  return transact(kennel, ['trials'], async (write) => {
    const stored =
      (await write.get('trials', id)) ??
      refuse('gone', id, say('data.trials.this-trial-is-not-there-any-more'));
    return write.put('trials', { ...stored, ...(typeof change === 'function' ? change(stored) : change) });
  });
}

/**
 * Withdraws a dog from a trial, or enters it again: a forecast and what came of it stay. Fails with `gone`.
 */
export const withdrawTrial = (
  kennel: Kennel,
  id: TrialId,
  withdrawn: boolean,
): Promise<Result<Undo<Trial>>> => changeTrial(kennel, id, { status: withdrawn ? 'withdrawn' : 'thinking' });

/**
 * Keeps a forecast as it was given; it is never changed. Nothing is added where the last one of this
 * trial has the same print; an earlier one that holds again is given again.
 */
export function keepForecast(
  kennel: Kennel,
  forecast: New<Omit<ForecastRecord, 'id'>>,
): Promise<Result<Undo>> {
  return transact(kennel, ['forecasts'], async (write) => {
    const given = (await write.ofDog('forecasts', forecast.dogId))
      .filter((one) => one.trialId === forecast.trialId)
      .sort((a, b) => a.at - b.at);
    if (given.at(-1)?.print !== forecast.print)
      await write.put('forecasts', { ...forecast, id: newId<ForecastId>() });
  });
}

/**
 * Enters how a trial or a mock went, held against the last forecast that was given before that day
 * was over; with the run whose sheets it was taken from. Fails with `day` for a day to come.
 */
export function addResult(
  kennel: Kennel,
  result: New<Omit<ResultRecord, 'id' | 'forecastId' | 'run'>>,
  today: Day,
  run: RunId | null = null,
): Promise<Result<Undo<ResultRecord>>> {
  return transact(kennel, ['forecasts', 'results'], async (write) => {
    if (result.day > today) refuse('day', 'day', say('data.trials.a-result-cannot-be-from-a-day-to'));
    const given = (await write.ofDog('forecasts', result.dogId)).filter(
      (one) => one.trialId === result.trialId && one.day <= result.day,
    );
    const last = given.sort((a, b) => b.at - a.at)[0] ?? null;
    return write.put('results', {
      ...result,
      id: newId<ResultId>(),
      forecastId: last?.id ?? null,
      run,
    });
  });
}

export function removeResult(kennel: Kennel, id: ResultId): Promise<Result<Undo>> {
  return transact(kennel, ['results'], (write) => write.remove('results', id));
}
