import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { Posterior } from '@/core/evidence';
import { summarise } from '@/core/evidence';
import type { PlanFrame, PlannedBout, PlanPiece } from '@/core/planning';
import { aDay, aDog, aPiece, NONE, TODAY } from '@/core/planning/plan.test-helper';
import type { PlanModels } from '@/core/planning/plan-models';
import { DEFAULT_ASSUMPTIONS, simulateTrials, type TrialClass } from '@/core/readiness';
import { prepareRules, type Rules } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type DogId,
  daysBetween,
  type ElementId,
  type ExerciseKey,
  type FaultKey,
  must,
  type PartKey,
  type Random,
  seeded,
  type TrialId,
} from '@/core/shared';
import { logistic, logit, shrinkage } from '@/core/statistics';

/** computation.md, §7, “To beat”: twelve pieces, 26 days, 11 of them with three lessons. */
export const AHEAD = 26;
const TRAINED = [1, 3, 5, 8, 10, 12, 15, 17, 19, 22, 24];
const LESSON = 10;
const RUNGS = 8;
const MISTAKEN = 0.45;

/** The truth of one piece of one dog, logits. */
export type Truth = {
  readonly id: ElementId;
  readonly level: number;
  readonly slope: number;
  readonly gain: number;
  readonly loss: number;
  readonly lasting: number;
  readonly swing: number;
  readonly stake: number;
};

/** A dog drawn for the study: level at the demand, in a strange place, cold and unpaid −1.1 besides. */
export function truthOf(name: string, random: Random): Truth[] {
  return Array.from({ length: 12 }, (_, i) => ({
    id: asId<ElementId>(`${name}-${i}`),
    level: 1.9 + 1.1 * random.normal(),
    slope: 2 + 1.5 * random.uniform(),
    gain: Math.max(0.01, 0.1 + 0.06 * random.normal()),
    loss: Math.abs(0.8 * random.normal()),
    lasting: Math.exp(Math.log(30) + 0.8 * random.normal()),
    swing: 0.5,
    stake: [2, 4, 8, 12][i % 4] as number,
  }));
}

const AT_TRIAL = -1.1;
/** About what a session adds on the whole, where every one adds the same. */
const ALIKE = 0.7;
const rungShare = (rung: number): number => rung / (RUNGS - 1);

/** What is believed of it: the level off by .45, learning by a factor, and as spread as that. */
export type Belief = Truth & { readonly spread: number };
export const beliefOf = (truth: readonly Truth[], random: Random, learning: number): Belief[] =>
  truth.map((one) => ({
    ...one,
    level: one.level + MISTAKEN * random.normal(),
    gain: one.gain * learning,
    spread: MISTAKEN,
  }));

const axis = testAxis();
const summary = must(summarise([], TODAY));

/** Draws in the order of the evidence model: shifts, level, gain, tiring, forgetting, slope, swing. */
function posteriorOf(one: Belief, count: number, random: Random): Posterior {
  const rows = Array.from({ length: count }, () => [
    ...[0, 0, 0, 0, 0],
    one.level + one.spread * random.normal() + AT_TRIAL,
    one.gain * Math.exp(one.spread > 0 ? 0.4 * random.normal() - 0.08 : 0),
    ...[0, 0, one.loss, Math.log(one.lasting)],
    Math.log(one.slope),
    one.swing,
  ]);
  const width = rows[0]?.length ?? 0;
  return { width, count, draws: Float64Array.from(rows.flat()), effective: count, proposed: count, idle: 3 };
}

function classOf(pieces: readonly Belief[], count: number, seed: number): TrialClass {
  const exercises = Array.from({ length: 4 }, (_, e) => asId<ExerciseKey>(`e${e}`));
  const of = (e: number): Belief[] => pieces.slice(3 * e, 3 * e + 3);
  const rules: Rules = {
    family: 'points-off',
    smallestPoint: 1,
    awards: [],
    pass: [{ kind: 'total', atLeast: 70 }],
    exercises: exercises.map((exercise, e) => ({
      exercise,
      maximum: 25,
      faults: of(e).map(({ id, stake }) => ({
        id: asId<FaultKey>(`fault-${id}`),
        title: id,
        part: asId<PartKey>(id),
        by: 'dog',
        miss: true,
        stops: stake === 12,
        cost: { kind: 'each', points: stake },
      })),
    })),
  };
  return {
    rules: prepareRules({ rules, exercises: [] }),
    exercises: exercises.map((exercise, e) => ({
      exercise,
      elements: of(e).map((one, k) => ({
        id: one.id,
        part: asId<PartKey>(one.id),
        posterior: posteriorOf(one, count, seeded(seed + 31 * e + k)),
        // The level is that at the demand: no slope is added.
        target: { columns: [0], either: [] },
        times: 1,
        measured: [],
        summary,
      })),
    })),
  };
}

const QUIET = { ...DEFAULT_ASSUMPTIONS, handlerRate: 0, ceiling: 0.97 };

const dogId = (name: string): DogId => asId<DogId>(name);

/** The frame of one dog, or of several that share the handler’s three lessons. */
export function frameOf(names: readonly string[], beliefs: readonly (readonly Belief[])[]): PlanFrame {
  return {
    today: TODAY,
    days: Array.from({ length: AHEAD }, (_, d) => aDay(d, { minutes: TRAINED.includes(d) ? 3 * LESSON : 0 })),
    dogs: names.map((name) => aDog({ id: dogId(name), warmUp: 0, trialDays: [addDays(TODAY, AHEAD)] })),
    pieces: names.flatMap((name, n) =>
      (beliefs[n] ?? []).map(
        (one): PlanPiece => ({
          ...aPiece(one.id, {
            dog: dogId(name),
            stands: standsOf(one),
            minutes: LESSON,
            goes: 8,
            setSize: 4,
          }),
          rungs: Array.from({ length: RUNGS }, (_, rung) => ({
            criteria: { [axis.key]: rung },
            perGo: NONE,
          })),
        }),
      ),
    ),
  };
}

/** Where such a dog stands: the hardest step on which it is clean four times in five. */
const standsOf = (one: Truth): number =>
  Math.max(
    0,
    Array.from({ length: RUNGS }, (_, rung) => rung).findLastIndex((rung) => homeChance(one, rung, 0) >= 0.8),
  );

const homeEta = (one: Truth, rung: number): number => one.level + one.slope * (1 - rungShare(rung));
const homeChance = (one: Truth, rung: number, more: number): number =>
  logistic((homeEta(one, rung) + more) * shrinkage(one.swing ** 2));

/** Beliefs as the planner takes them. */
export function modelsFrom(
  frame: PlanFrame,
  beliefs: readonly (readonly Belief[])[],
  seed: number,
): PlanModels {
  const draws = 200;
  const growths = new Map();
  const trials = beliefs.map((pieces, index) => {
    const model = classOf(pieces, draws, seed + 1000 * index);
    for (const [i, one] of pieces.entries()) {
      const { posterior } = model.exercises[Math.floor(i / 3)]?.elements[i % 3] as { posterior: Posterior };
      const at = (place: number): Float64Array =>
        Float64Array.from(
          { length: draws },
          (_, d) => posterior.draws[d * posterior.width + place] as number,
        );
      const mean = (values: Float64Array): number => values.reduce((a, b) => a + b, 0) / draws;
      const [gain, loss, rate] = [at(6), at(9), at(10).map((log) => Math.exp(-log))];
      const forgotten = loss.map((f, d) => f * -Math.expm1(-3 * (rate[d] as number)));
      const eta = at(5).map((level, d) => level - (forgotten[d] as number));
      growths.set(one.id, {
        piece: frame.pieces.find((piece) => piece.id === one.id),
        idle: 3,
        middles: {
          home: Array.from({ length: RUNGS }, (_, rung) => homeEta(one, rung) - mean(forgotten)),
          trial: mean(eta),
          gain: mean(gain),
          loss: mean(loss),
          rate: mean(rate),
          shrink: shrinkage(one.swing ** 2),
        },
        aims: [
          {
            aim: index,
            on: AHEAD,
            eta,
            gain,
            loss,
            rate,
            shrink: new Float64Array(draws).fill(
              shrinkage(one.swing ** 2 + QUIET.nervesSd ** 2 + 0.005 * AHEAD),
            ),
            ceiling: logit(QUIET.ceiling),
            rehearsed: true,
          },
        ],
      });
    }
    return {
      index,
      model,
      on: AHEAD,
      aim: {
        kind: 'trial' as const,
        trial: asId<TrialId>(`t${index}`),
        day: addDays(TODAY, AHEAD),
        weight: 1,
        input: undefined as never,
        assumptions: QUIET,
        seed: seed + index,
      },
    };
  });
  return { growths, trials, due: new Map(), said: beliefs.map(() => null) };
}

/** The chance of passing that a dog truly has after what was done of a plan. */
export function trulyPasses(
  truth: readonly Truth[],
  done: readonly PlannedBout[],
  seed: number,
  alike: boolean,
): number {
  const certain = truth.map((one) => ({ ...one, spread: 0 }));
  const model = classOf(certain, 1, seed);
  const outcome = truth.map((one) => learned(one, done, alike));
  const runs = simulateTrials(
    model,
    QUIET,
    seed,
    { groups: 1, runs: 4000 },
    {
      sessionsOf: outcome.map(({ total }) => total),
      gapOf: outcome.map(({ last }) => AHEAD - last),
      days: 1e-9,
    },
  );
  return (runs.passesByGroup[0] as number) / 4000;
}

/**
 * What the dog learns of it: written down once more, by its true chance on the step that was asked. `alike`: a
 * dog for which the planner’s rule of learning is wrong, that learns as much on every step and every time.
 */
function learned(one: Truth, done: readonly PlannedBout[], alike: boolean): { total: number; last: number } {
  let [total, last] = [0, -3];
  const days: number[] = [];
  const own = done.filter((bout) => bout.piece === one.id).sort((a, b) => (a.day < b.day ? -1 : 1));
  for (const bout of own) {
    const day = daysBetween(TODAY, bout.day);
    const forgot = (gap: number): number => one.loss * (1 - Math.exp(-gap / one.lasting));
    const more = one.gain * total - forgot(day - last);
    const clean =
      bout.purpose === 'rehearse'
        ? logistic((one.level + AT_TRIAL + more) * shrinkage(one.swing ** 2))
        : homeChance(one, bout.rung, more);
    const again = days.filter((before) => day - before < 7).length;
    total += alike ? ALIKE : 0.85 ** again * Math.exp(-(((clean - 0.85) / 0.25) ** 2));
    days.push(day);
    last = day;
  }
  return { total, last };
}
