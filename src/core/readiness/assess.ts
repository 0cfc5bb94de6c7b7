import type { Criteria } from '@/core/breakdown';
import { type Beliefs, type ElementEvidence, groundsOf, type Summary, targetAt, weighElement } from '@/core/evidence';
import { faultOptions, prepareRules, type RuleBook } from '@/core/rulebooks';
import { type Day, type ElementId, type ElementKey, type ExerciseKey, fail, ok, type Result } from '@/core/shared';
import type { Assumptions } from './assumptions';
import { type Forecast, forecastOf, type Help, helpRanking } from './forecast';
import type { TrialElement } from './posterior';
import { FULL_SIZE, type SimulationSize, simulateTrials, type TrialClass } from './simulate';

/** A class, who trains each link of it, and the reps: all that a forecast depends on, besides assumptions and seed. */
export type ClassEvidence = {
  readonly book: Pick<RuleBook, 'rules' | 'exercises'>;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly parts: readonly { readonly part: ElementKey; readonly element: ElementId; readonly demands: Criteria }[];
  }[];
  readonly elements: readonly ElementEvidence[];
  readonly today: Day;
};

export type Readiness = {
  readonly forecast: Forecast;
  readonly help: readonly Help[];
  /** How many counted reps each element's figure rests on. */
  readonly grounds: readonly {
    readonly element: ElementId;
    readonly counted: number;
    readonly sessions: number;
    readonly away: number;
    readonly cold: number;
  }[];
};

export type Progress = (share: number) => void;

/**
 * From reps to a forecast: fits every element, simulates the class and ranks what would help. Same input, assumptions and seed give
 * the same bytes on one engine. `onProgress` rises from 0 to 1. Fails with `incomplete` when the breakdowns do not cover the
 * class, and as the fit does.
 */
export function assessClass(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize = FULL_SIZE,
  onProgress?: Progress,
): Result<Readiness> {
  const prepared = prepareClass(input, { away: assumptions.place, cold: assumptions.cold });
  if (!prepared.ok) return prepared;
  const { trial, summaries } = prepared.value;
  const runs = simulateTrials(trial, assumptions, seed, size, {}, (share) => onProgress?.(share * 0.2));
  const labels = trial.rules.exercises.map(faultOptions);
  return ok({
    forecast: forecastOf(trial, runs, labels),
    help: helpRanking(trial, runs, assumptions, seed, (share) => onProgress?.(0.2 + share * 0.8)),
    grounds: [...summaries].map(([element, summary]) => {
      const { counted, sessions, awayReps, coldReps } = groundsOf(summary);
      return { element, counted, sessions, away: awayReps, cold: coldReps };
    }),
  });
}

/** Fits every element and lays the rule book's demands on its axes. */
function prepareClass(
  input: ClassEvidence,
  beliefs: Beliefs,
): Result<{ readonly trial: TrialClass; readonly summaries: ReadonlyMap<ElementId, Summary> }> {
  const summaries = new Map<ElementId, Summary>();
  const exercises: TrialClass['exercises'][number][] = [];
  const rules = prepareRules(input.book.rules, input.book.exercises);
  for (const [e, rule] of rules.exercises.entries()) {
    const exercise = input.exercises[e];
    if (exercise?.exercise !== rule.exercise) return fail('incomplete', `exercises[${e}]`, `The exercise “${rule.exercise}” is not broken down yet.`);
    const elements: TrialElement[] = [];
    for (const part of exercise.parts) {
      const evidence = input.elements.find((candidate) => candidate.id === part.element);
      if (!evidence) return fail('incomplete', `exercises[${e}].${part.part}`, `Nothing trains the element “${part.part}”.`);
      const element = prepareElement(evidence, part, input.today, beliefs);
      if (!element.ok) return element;
      summaries.set(part.element, element.value.summary);
      elements.push(element.value);
    }
    exercises.push({ exercise: rule.exercise, elements });
  }
  return ok({ trial: { rules, exercises }, summaries });
}

function prepareElement(
  evidence: ElementEvidence,
  part: { readonly part: ElementKey; readonly demands: Criteria },
  today: Day,
  beliefs: Beliefs,
): Result<TrialElement> {
  const weighed = weighElement(evidence, today, beliefs);
  if (!weighed.ok) return weighed;
  const asked = Object.fromEntries(evidence.axes.map((axis) => [axis.key, part.demands[axis.key] ?? axis.demand]));
  const target = targetAt(evidence.axes, asked, 'either');
  return target.ok ? ok({ id: evidence.id, part: part.part, target: target.value, ...weighed.value }) : target;
}
