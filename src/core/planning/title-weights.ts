import { MOST_ENTRIES, simulateTrials, type TitleEntry, titleWeights } from '@/core/readiness';
import { daysBetween, mixSeed, ok, type Result } from '@/core/shared';
import type { TrialModel } from './plan-models';
import type { PlanTitle } from './plan-question';

/** A hundred draws, ten trials of each: how the entries of a title stand to each other, not what each is. */
const RUNS = 10;

/**
 * Entries for a title weighed by what a pass there is worth for it, in place of a pass for itself. The chance of a
 * title is not a sum of chances; where the plan stands it grows by ∂P(title)/∂p for each of them, which is how
 * much likelier it is where that entry is passed than where it is not. One under a judge who has passed the dog
 * already, where another is needed, weighs nothing. Other trials stay as they are. Fails as `titleWeights` does.
 */
export function weighedForTitles(trials: readonly TrialModel[], draws: number): Result<TrialModel[]> {
  const titles = new Map<string, PlanTitle>();
  for (const { aim } of trials) if (aim.title) titles.set(aim.title.key, aim.title);
  const weights = new Map<TrialModel, number>();
  for (const title of titles.values()) {
    const mine = trials.filter(({ aim }) => aim.title?.key === title.key);
    const [first] = mine;
    if (!first) continue;
    const ahead = mine.map(({ aim, on }) => ({ day: aim.day, judges: aim.title?.judges ?? [], on }));
    const later = title.later.map((one) => ({ ...one, on: first.on + daysBetween(first.aim.day, one.day) }));
    // Those beyond what can be weighed keep the weight of a trial for itself.
    const entries = [...ahead, ...later].slice(0, MOST_ENTRIES).map(({ day, judges, on }, i): TitleEntry => {
      // One class, one model: what differs is the day.
      const { aim, model } = mine[i] ?? first;
      const size = { groups: draws, runs: RUNS };
      const dice = mixSeed(aim.seed, i + 1);
      const found = simulateTrials(model, aim.assumptions, aim.seed, size, { days: on }, dice);
      return {
        key: `${i}`,
        day,
        judges,
        cost: 0,
        chances: Array.from(found.passesByGroup, (passes) => passes / RUNS),
      };
    });
    const found = titleWeights(title.rule, title.legs, entries, title.by);
    if (!found.ok) return found;
    // A title that is sure, or that none of them can bring nearer, says nothing of how to train.
    if (found.value.every((one) => one === 0)) continue;
    for (const [i, weight] of found.value.entries()) {
      const trial = mine[i];
      if (trial) weights.set(trial, trial.aim.weight * weight);
    }
  }
  return ok(
    trials.map((trial) => {
      const weight = weights.get(trial);
      return weight === undefined ? trial : { ...trial, aim: { ...trial.aim, weight } };
    }),
  );
}
