import { EVIDENCE, fitElement, groundsOf, type Interval, swingAt } from '@/core/evidence';
import { faultSteps, prepareRules } from '@/core/rulebooks';
import { type Day, type ElementId, fail, ok, type Result, type Steps, say } from '@/core/shared';
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import { drawn, type FittedClass, type FitWith, fitClass } from './fit-class';
import { floorOf } from './floor';
import { type Forecast, forecastOf, passOf } from './forecast';
import { type Help, helpRanking } from './help';
import { type OutlookPoint, outlookOf, sessionsPerWeek } from './outlook';
import { type Proof, proofsOf } from './proof';
import { type Rehearsals, rehearsalsOf } from './rehearsals';
import type { LearnedDay } from './run-days';
import { share } from './share';
import { simulateTrials } from './simulate';
import { FULL_SIZE, type SimulationSize, type TrialClass } from './trial-class';
import { type Unproven, unprovenOf } from './unproven';

export type Readiness = {
  readonly forecast: Forecast;
  readonly help: readonly Help[];
  readonly outlook: readonly OutlookPoint[];
  /** Sessions a week that the outlook counts on, by element. */
  readonly perWeek: readonly (readonly [ElementId, number])[];
  readonly rehearsals: Rehearsals;
  /** What one rehearsal rep of each element would tell, the most valuable first. */
  readonly proofs: readonly Proof[];
  /**
   * The chance of passing if the worst fifth of the outings had never been logged; null where only the
   * forecast was asked for.
   */
  readonly ifSelected: Interval | null;
  /** Faults that clean reps never judged: what the trial charges for them is not known. */
  readonly unproven: readonly Unproven[];
  /** What the runs have taught of its trial days, which stands in for what is assumed; null before any. */
  readonly learned: LearnedDay | null;
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

/** Enough for a first look: its Monte Carlo error is about 4 %. */
const FIRST_SIZE: SimulationSize = { groups: 40, runs: 20 };

/**
 * From reps to a forecast: fits every element, simulates the class, ranks what would help and looks
 * ahead to the trial. Same input, assumptions and seed give the same bytes on one engine, with or
 * without the coarse `first` look. `want` "forecast" leaves out what would help, the outlook and proofs.
 * Fails with `too-little` where `floorOf` says so, `incomplete` when the breakdowns do not cover the
 * class, and as the fit does.
 */
export function* assessClass(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize = FULL_SIZE,
  first = false,
  fit: FitWith = fitElement,
  want: 'all' | 'forecast' = 'all',
): Steps<Result<Readiness>, Told> {
  const floor = floorOf(input);
  if (floor)
    return fail(
      'too-little',
      floor.untouched[0] ?? '',
      say('readiness.assess.too-little', { untouched: floor.untouched.length, counted: floor.counted }),
    );
  const labels = prepareRules(input.book).exercises.map(faultSteps);
  if (first) {
    // With the usual swing alone: a third of the fitting.
    const coarse = yield* share(fitClass(input, assumptions, fit, [EVIDENCE.swing.middle]), 0, 0.05);
    if (!coarse.ok) return coarse;
    const quick = drawn(coarse.value, FIRST_SIZE.groups);
    yield { first: forecastOf(quick, simulateTrials(quick, assumptions, seed, FIRST_SIZE), labels) };
  }
  const fitted = yield* share(fitClass(input, assumptions, fit), 0.05, 0.2);
  if (!fitted.ok) return fitted;
  const trial = drawn(fitted.value, size.groups);
  yield 0.25;
  const runs = simulateTrials(trial, assumptions, seed, size);
  yield 0.3;
  const used = input.elements.filter(({ id }) => fitted.value.fits.has(id));
  const perWeek = sessionsPerWeek(used, assumptions, input.today);
  const outlook =
    input.trialDay === null || want === 'forecast'
      ? []
      : yield* share(
          outlookOf(trial, assumptions, seed, input.today, input.trialDay, input.closes, perWeek, size),
          0.3,
          0.2,
        );
  const help =
    want === 'forecast'
      ? []
      : yield* share(helpRanking(trial, runs, assumptions, seed, new Map(input.minutes)), 0.5, 0.5);
  return ok({
    forecast: forecastOf(trial, runs, labels),
    help,
    outlook,
    perWeek: [...perWeek],
    rehearsals: rehearsalsOf(used),
    proofs: want === 'forecast' ? [] : proofsOf(trial, runs, assumptions, seed),
    ifSelected:
      want === 'forecast'
        ? null
        : passOf(simulateTrials(trial, assumptions, seed, size, { lift: unlogged(trial) })),
    unproven: unprovenIn(fitted.value),
    learned: fitted.value.learned,
    grounds: [...fitted.value.fits].map(([element, { summary }]) => {
      const { counted, sessions, awayReps, coldReps, lastDay } = groundsOf(summary);
      return { element, counted, sessions, away: awayReps, cold: coldReps, lastDay };
    }),
  });
}

/**
 * Of outings that swing by τ the best four fifths lie .35 τ over all of them (the mean of a normal cut off
 * at its lowest fifth): what every element would be worse if the rest had not been logged.
 */
const SELECTED = 0.35;

const unlogged = ({ exercises }: TrialClass): number[] =>
  exercises.flatMap(({ elements }) =>
    elements.map(({ posterior }) => {
      let swing = 0;
      for (let i = 0; i < posterior.count; i++) swing += swingAt(posterior, i) / posterior.count;
      return -SELECTED * swing;
    }),
  );

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
