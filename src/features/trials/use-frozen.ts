import { useEffect } from 'react';
import { FULL_SIZE, floorOf, type Readiness } from '@/core/readiness';
import { prepareRules, type RuleBook } from '@/core/rulebooks';
import type { Day } from '@/core/shared';
import { useKennel } from '@/data/live';
import { classBefore, type Kennel, type Run, runForecastOf } from '@/data/read';
import { keepRunForecast } from '@/data/write';
import { ask } from '@/workers/client';
import { type RunState, sheetsOf } from './run-state';

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
    // It goes on when the page is left or the sheet is closed: what it rests on was there before.
    void freeze(kennel, run, book, today);
  }, [run.id, open]);
}

async function freeze(kennel: Kennel, run: Run, book: RuleBook, today: Day): Promise<void> {
  const { dogId } = run;
  if (dogId === null || (await runForecastOf(kennel, run.id))) return;
  const outlook = await classBefore(kennel, { ...run, dogId }, today);
  if (!outlook.ok || floorOf(outlook.value.input)) return;
  const { input, assumptions, seed } = outlook.value;
  const found = await ask({
    kind: 'assess-class',
    input,
    assumptions,
    seed,
    size: FULL_SIZE,
    first: false,
    want: 'forecast',
  });
  // Without it there is nothing to hold the run against, which is then said.
  if (!found.ok) return;
  const { grounds, forecast } = found.value;
  const rules = prepareRules(book, run.size);
  await keepRunForecast(kennel, {
    id: run.id,
    dogId,
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
