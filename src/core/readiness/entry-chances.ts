import { fitElement } from '@/core/evidence';
import { type Day, daysBetween, mixSeed, ok, type Result, type Steps } from '@/core/shared';
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import { drawn, type FitWith, fitClass } from './fit-class';
import { sessionsPerWeek } from './outlook';
import { share } from './share';
import { simulateTrials } from './simulate';
import type { SimulationSize } from './trial-class';

/** Draws of the dog, and trials of each at each entry: an entry’s chance in one draw is known to about .08. */
const SIZE: SimulationSize = { groups: 400, runs: 40 };

/**
 * The chance of passing at each of several entries of one class, draw by draw: the same draws of the dog at
 * every entry, so that its own talent is common to all, and other dice, so that luck is not. Up to each day it
 * gains and forgets as in the outlook. Lists of 400 numbers, one for each day. Fails as `assessClass` does.
 */
export function* entryChances(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  days: readonly Day[],
  fit: FitWith = fitElement,
): Steps<Result<readonly (readonly number[])[]>> {
  const fitted = yield* share(fitClass(input, assumptions, fit), 0, 0.4);
  if (!fitted.ok) return fitted;
  const trial = drawn(fitted.value, SIZE.groups);
  const perWeek = sessionsPerWeek(input.elements, assumptions, input.today);
  const weekly = trial.exercises
    .flatMap((exercise) => exercise.elements)
    .map((element) => perWeek.get(element.id) ?? 0);
  const found: number[][] = [];
  for (const [i, day] of days.entries()) {
    const away = Math.max(0, daysBetween(input.today, day));
    const change = { sessionsOf: weekly.map((one) => (one * away) / 7), days: away, perWeek: weekly };
    const runs = simulateTrials(trial, assumptions, seed, SIZE, change, mixSeed(seed, i + 1));
    found.push(Array.from(runs.passesByGroup, (passes) => passes / SIZE.runs));
    yield 0.4 + (0.6 * (i + 1)) / days.length;
  }
  return ok(found);
}
