import type { Criteria } from '@/core/breakdown';
import {
  type Beliefs,
  drawPosterior,
  type ElementEvidence,
  EVIDENCE,
  type Fit,
  fitElement,
  groundsOf,
  type Interval,
  predictorOf,
  type Summary,
  summarise,
  swingAt,
  type Target,
  targetAt,
} from '@/core/evidence';
import { faultSteps, prepareRules, type ScoredBook } from '@/core/rulebooks';
import {
  type Day,
  type ElementId,
  type ExerciseKey,
  fail,
  ok,
  type PartKey,
  type Result,
  type Steps,
  say,
  seeded,
  seedFromText,
} from '@/core/shared';
import { mean, meanLogistic } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { type Forecast, forecastOf, type Help, helpRanking, passOf } from './forecast';
import { type MeasuredFault, measuredFaults } from './measured';
import { type OutlookPoint, outlookOf, sessionsPerWeek } from './outlook';
import type { TrialElement } from './posterior';
import { type Rehearsals, rehearsalsOf } from './rehearsals';
import { simulateTrials } from './simulate';
import { FULL_SIZE, type SimulationSize, type TrialClass } from './trial-class';
import { type Unproven, unprovenOf } from './unproven';

/**
 * A class, who trains each link of it, and the reps: all that a forecast depends on, besides
 * assumptions and seed.
 */
export type ClassEvidence = {
  /** The rule book as it is for a dog of this size. */
  readonly book: ScoredBook;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly parts: readonly {
      readonly part: PartKey;
      readonly element: ElementId;
      readonly demands: Criteria;
    }[];
  }[];
  readonly elements: readonly ElementEvidence[];
  readonly today: Day;
  /**
   * When the trial is, and when entries close; null where there is none, and then there is no
   * outlook.
   */
  readonly trialDay: Day | null;
  readonly closes: Day | null;
  /** Minutes of a usual session on each element, where the log shows them. */
  readonly minutes: readonly (readonly [ElementId, number])[];
};

export type Readiness = {
  readonly forecast: Forecast;
  readonly help: readonly Help[];
  readonly outlook: readonly OutlookPoint[];
  /** Sessions a week that the outlook counts on, by element. */
  readonly perWeek: readonly (readonly [ElementId, number])[];
  readonly rehearsals: Rehearsals;
  /** Faults that clean reps never judged: what the trial charges for them is not known. */
  readonly unproven: readonly Unproven[];
  /** How many counted reps each element's figure rests on. */
  readonly grounds: readonly {
    readonly element: ElementId;
    readonly counted: number;
    readonly sessions: number;
    readonly away: number;
    readonly cold: number;
    readonly lastDay: Day | null;
  }[];
};

/** What is said on the way: the share done, 0 to 1, or a coarse forecast before the fine one is begun. */
export type Told = number | { readonly first: Forecast };

/** How an element is fitted; a caller that keeps fits gives its own. */
type FitWith = typeof fitElement;

/** Enough for a first look: its Monte Carlo error is about 4 %. */
const FIRST_SIZE: SimulationSize = { groups: 40, runs: 20 };

/**
 * From reps to a forecast: fits every element, simulates the class, ranks what would help and looks
 * ahead to the trial. Same input, assumptions and seed give the same bytes on one engine, with or
 * without the coarse `first` look. Fails with `incomplete` when the breakdowns do not cover the class,
 * and as the fit does.
 */
export function* assessClass(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize = FULL_SIZE,
  first = false,
  fit: FitWith = fitElement,
): Steps<Result<Readiness>, Told> {
  const beliefs = { away: assumptions.place, cold: assumptions.cold };
  const labels = prepareRules(input.book).exercises.map(faultSteps);
  if (first) {
    // With the usual swing alone: a third of the fitting.
    const coarse = yield* share(fitClass(input, beliefs, fit, [EVIDENCE.swing.middle]), 0, 0.05);
    if (!coarse.ok) return coarse;
    const quick = drawn(coarse.value, FIRST_SIZE.groups);
    yield { first: forecastOf(quick, simulateTrials(quick, assumptions, seed, FIRST_SIZE), labels) };
  }
  const fitted = yield* share(fitClass(input, beliefs, fit), 0.05, 0.2);
  if (!fitted.ok) return fitted;
  const trial = drawn(fitted.value, size.groups);
  yield 0.25;
  const runs = simulateTrials(trial, assumptions, seed, size);
  yield 0.3;
  const used = input.elements.filter(({ id }) => fitted.value.fits.has(id));
  const perWeek = sessionsPerWeek(used, assumptions, input.today);
  const outlook =
    input.trialDay === null
      ? []
      : yield* share(
          outlookOf(trial, assumptions, seed, input.today, input.trialDay, input.closes, perWeek),
          0.3,
          0.1,
        );
  const help = yield* share(helpRanking(trial, runs, assumptions, seed, new Map(input.minutes)), 0.4, 0.6);
  return ok({
    forecast: forecastOf(trial, runs, labels),
    help,
    outlook,
    perWeek: [...perWeek],
    rehearsals: rehearsalsOf(used),
    unproven: unprovenIn(fitted.value),
    grounds: [...fitted.value.fits].map(([element, { summary }]) => {
      const { counted, sessions, awayReps, coldReps, lastDay } = groundsOf(summary);
      return { element, counted, sessions, away: awayReps, cold: coldReps, lastDay };
    }),
  });
}

/** The steps of a part as a share of the whole; null pauses without saying more. */
function* share<T>(steps: Steps<T, number | null>, from: number, width: number): Steps<T, number> {
  let done = 0;
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    done = next.value ?? done;
    yield from + width * done;
  }
}

/** Logits by which one element is moved in "what if", evenly from one end to the other. */
const WHAT_IF = [-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2, 2.5, 3] as const;
const WHAT_IF_SIZE: SimulationSize = { groups: 400, runs: 10 };

/** What the chance of passing would be with one element worse or better, at each of `WHAT_IF`. */
export type WhatIf = {
  readonly element: ElementId;
  readonly points: readonly { readonly lift: number; readonly clean: number; readonly pass: Interval }[];
};

/**
 * The chance of passing for each of `WHAT_IF` on one element, all else as it is and with the same
 * random numbers, so that the curve never goes down by luck. `clean` is the element's chance at the
 * trial, cold and away. Fails as `assessClass` does, and with `incomplete` for an element that the
 * class does not use.
 */
export function* whatIf(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  element: ElementId,
  fit: FitWith = fitElement,
): Steps<Result<WhatIf>> {
  const beliefs = { away: assumptions.place, cold: assumptions.cold };
  const fitted = yield* share(fitClass(input, beliefs, fit), 0, 0.3);
  if (!fitted.ok) return fitted;
  const trial = drawn(fitted.value, WHAT_IF_SIZE.groups);
  const elements = trial.exercises.flatMap((exercise) => exercise.elements);
  const [one] = elements.filter(({ id }) => id === element);
  if (!one) return fail('incomplete', element, say('readiness.assess.this-class-does-not-use-that'));
  const points: WhatIf['points'][number][] = [];
  for (const [i, lift] of WHAT_IF.entries()) {
    const lifts = elements.map(({ id }) => (id === element ? lift : 0));
    const pass = passOf(
      simulateTrials(trial, { ...assumptions, ceiling: 0.999 }, seed, WHAT_IF_SIZE, { lift: lifts }),
    );
    points.push({ lift, clean: trialChance(one, lift), pass });
    yield 0.3 + (0.7 * (i + 1)) / WHAT_IF.length;
  }
  return ok({ element, points });
}

/**
 * The chance of a clean rep at the trial with so many logits more, averaged over draws and swings.
 */
function trialChance({ posterior, target }: TrialElement, lift: number): number {
  const chances = Array.from({ length: posterior.count }, (_, i) =>
    meanLogistic(predictorOf(posterior, i, target, 1, 1) + lift, swingAt(posterior, i) ** 2),
  );
  return mean(chances);
}

type FittedClass = {
  readonly rules: TrialClass['rules'];
  readonly fits: ReadonlyMap<ElementId, { readonly fit: Fit; readonly summary: Summary }>;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly parts: readonly {
      readonly part: PartKey;
      readonly element: ElementId;
      readonly target: Target;
      readonly times: number;
      readonly measured: readonly MeasuredFault[];
    }[];
  }[];
};

/** Fits every element once and lays the rule book's demands on its axes. */
function* fitClass(
  input: ClassEvidence,
  beliefs: Beliefs,
  fitWith: FitWith,
  swings?: readonly number[],
): Steps<Result<FittedClass>> {
  const fits = new Map<ElementId, { fit: Fit; summary: Summary }>();
  const exercises: FittedClass['exercises'][number][] = [];
  const rules = prepareRules(input.book);
  for (const [e, rule] of rules.exercises.entries()) {
    const exercise = input.exercises[e];
    if (exercise?.exercise !== rule.exercise)
      return fail(
        'incomplete',
        `exercises[${e}]`,
        say('readiness.assess.the-exercise-is-not-broken-down', { exercise: rule.exercise }),
      );
    const parts: FittedClass['exercises'][number]['parts'][number][] = [];
    for (const { part, element, demands } of exercise.parts) {
      const evidence = input.elements.find((candidate) => candidate.id === element);
      if (!evidence)
        return fail(
          'incomplete',
          `exercises[${e}].${part}`,
          say('readiness.assess.nothing-trains-the-element', { part }),
        );
      const asked = Object.fromEntries(
        evidence.axes.map((axis) => [axis.key, demands[axis.key] ?? axis.demand]),
      );
      const target = targetAt(evidence.axes, asked, 'either');
      if (!target.ok) return target;
      if (!fits.has(element)) {
        const summary = summarise(evidence.bouts, input.today);
        if (!summary.ok) return summary;
        const fit = fitWith(evidence.axes, summary.value, input.today, beliefs, swings);
        if (!fit.ok) return fit;
        fits.set(element, { fit: fit.value, summary: summary.value });
        yield fits.size / Math.max(1, input.elements.length);
      }
      // A coarse look goes by the faults that were named.
      const measured = swings ? [] : measuredFaults(rule, part, evidence.bouts);
      const times = input.book.exercises[e]?.parts.find((one) => one.id === part)?.times ?? 1;
      parts.push({ part, element, times, target: target.value, measured });
    }
    exercises.push({ exercise: rule.exercise, parts });
  }
  return ok({ rules, fits, exercises });
}

function unprovenIn({ rules, fits, exercises }: FittedClass): Unproven[] {
  const all = new Map(rules.exercises.map((one) => [one.exercise, faultSteps(one)] as const));
  return exercises.flatMap(({ exercise, parts }) =>
    parts.flatMap(({ part, element }) => {
      const found = fits.get(element);
      const place = { exercise, part, element };
      return (found && unprovenOf(place, found.summary, all.get(exercise) ?? [], all)) ?? [];
    }),
  );
}

/** Three proposals for each draw that is kept. */
const PROPOSALS_PER_DRAW = 3;

function drawn({ rules, fits, exercises }: FittedClass, draws: number): TrialClass {
  const posteriors = new Map(
    [...fits].map(
      ([id, { fit }]) =>
        [id, drawPosterior(fit, seeded(seedFromText(id)), draws, PROPOSALS_PER_DRAW * draws)] as const,
    ),
  );
  return {
    rules,
    exercises: exercises.map(({ exercise, parts }) => ({
      exercise,
      elements: parts.flatMap(({ part, element, times, target, measured }): TrialElement[] => {
        const [posterior, found] = [posteriors.get(element), fits.get(element)];
        return posterior && found
          ? [{ id: element, part, times, posterior, target, measured, summary: found.summary }]
          : [];
      }),
    })),
  };
}
