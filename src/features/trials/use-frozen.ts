import { useEffect } from 'react';
import { FULL_SIZE, floorOf, type Readiness } from '@/core/readiness';
import { prepareRules, type RuleBook } from '@/core/rulebooks';
import type { Day } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type Kennel, type Run, runForecastOf, runOutlook } from '@/data/read';
import { keepRunForecast } from '@/data/write';
import { ask } from '@/workers/client';
import type { RunState } from './run-state';
import { sheetsOf } from './run-state';

/**
 * What is thought of a run is worked out and kept when its sheet is opened, before it can be known how it
 * went; of one that is typed in from paper by what the log held before that day. Nothing is said of it until
 * the sheet is closed.
 */
export function useFrozen(state: RunState): void {
  const { kennel, today } = useKennel();
  const { run, book } = state;
  const open = !sheetsOf(state).allClosed && (run.kind === 'mock' || run.kind === 'trial');
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for a run, whatever is written on its sheet
  useEffect(() => {
    if (!open || run.dogId === null) return;
    const stop = new AbortController();
    void freeze(kennel, run, book, today, stop.signal);
    return () => stop.abort();
  }, [run.id, open]);
}

async function freeze(
  kennel: Kennel,
  run: Run,
  book: RuleBook,
  today: Day,
  signal: AbortSignal,
): Promise<void> {
  if (run.dogId === null || (await runForecastOf(kennel, run.id))) return;
  const outlook = await runOutlook(kennel, run, 'before', today);
  if (!outlook?.ok || floorOf(outlook.value.input)) return;
  const { input, assumptions, seed } = outlook.value;
  const found = await ask(
    { kind: 'assess-class', input, assumptions, seed, size: FULL_SIZE, first: false, want: 'forecast' },
    { signal },
  );
  // Without it there is nothing to hold the run against, which is then said.
  if (!found.ok || signal.aborted) return;
  const { grounds, forecast } = found.value;
  const rules = prepareRules(book, run.size);
  await keepRunForecast(kennel, {
    id: run.id,
    dogId: run.dogId,
    // As of the run, by whichever device: two that work it out apart from the same log keep the same.
    at: run.changed.at,
    pass: forecast.pass,
    points: forecast.expectedUnits * rules.pointsPerUnit,
    lost: lostByExercise(found.value, rules.pointsPerUnit),
    reps: grounds.reduce((sum, one) => sum + one.counted, 0),
    lastDay: grounds.reduce<Day | null>(
      (last, one) => (one.lastDay !== null && (last === null || one.lastDay > last) ? one.lastDay : last),
      null,
    ),
    edition: `${book.id}, ${book.edition}`,
    seed,
    assumptions,
  });
}

/** What each exercise is expected to lose, by dog and handler. */
function lostByExercise({ forecast }: Readiness, pointsPerUnit: number) {
  return forecast.handlerLosses.map(({ exercise, units }) => ({
    exercise,
    points:
      pointsPerUnit *
      forecast.losses.filter((one) => one.exercise === exercise).reduce((sum, one) => sum + one.units, units),
  }));
}
