import {
  type Beliefs,
  drawPosterior,
  type Fit,
  type fitElement,
  type Summary,
  summarise,
  type Target,
  targetAt,
} from '@/core/evidence';
import { prepareRules } from '@/core/rulebooks';
import {
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
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import { type MeasuredFault, measuredFaults } from './measured';
import type { TrialElement } from './posterior';
import { type LearnedDay, type RunsTaught, runsTaught } from './run-days';
import { share } from './share';
import type { TrialClass } from './trial-class';

/** How an element is fitted; a caller that keeps fits gives its own. */
export type FitWith = typeof fitElement;

export type FittedClass = {
  /** What the runs have taught of its trial days; null before any. */
  readonly learned: LearnedDay | null;
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

const NOTHING_TAUGHT: { readonly beliefsOf: RunsTaught['beliefsOf']; readonly all: LearnedDay | null } = {
  beliefsOf: new Map(),
  all: null,
};

/**
 * Fits every element once and lays the rule book's demands on its axes. What a strange place does, and how
 * nerves spread, is what the runs have taught of it, where there were any.
 */
export function* fitClass(
  input: ClassEvidence,
  assumptions: Assumptions,
  fitWith: FitWith,
  swings?: readonly number[],
): Steps<Result<FittedClass>> {
  const beliefs: Beliefs = { away: assumptions.place, cold: assumptions.cold };
  // A coarse look goes by what is assumed.
  const taught = swings ? null : yield* share(runsTaught(input, assumptions, beliefs, fitWith), 0, 0.5);
  if (taught && !taught.ok) return taught;
  const done = taught ? 0.5 : 0;
  const { beliefsOf, all: learned } = taught?.value ?? NOTHING_TAUGHT;
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
        const fit = fitWith(
          evidence.axes,
          summary.value,
          input.today,
          beliefsOf.get(element) ?? beliefs,
          swings,
        );
        if (!fit.ok) return fit;
        fits.set(element, { fit: fit.value, summary: summary.value });
        yield done + ((1 - done) * fits.size) / Math.max(1, input.elements.length);
      }
      // A coarse look goes by the faults that were named.
      const measured = swings ? [] : measuredFaults(rule, part, evidence.bouts, input.today);
      const times = input.book.exercises[e]?.parts.find((one) => one.id === part)?.times ?? 1;
      parts.push({ part, element, times, target: target.value, measured });
    }
    exercises.push({ exercise: rule.exercise, parts });
  }
  return ok({ rules, fits, exercises, learned: learned && learned.runs > 0 ? learned : null });
}

/** Three proposals for each draw that is kept. */
const PROPOSALS_PER_DRAW = 3;

/** Draws of every element of a fitted class, so many of each. */
export function drawn({ rules, fits, exercises, learned }: FittedClass, draws: number): TrialClass {
  const posteriors = new Map(
    [...fits].map(
      ([id, { fit }]) =>
        [id, drawPosterior(fit, seeded(seedFromText(id)), draws, PROPOSALS_PER_DRAW * draws)] as const,
    ),
  );
  return {
    rules,
    ...(learned ? { nerves: learned.nerves } : {}),
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
