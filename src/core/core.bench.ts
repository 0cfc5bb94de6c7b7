import { readFileSync } from 'node:fs';
import { bench, describe } from 'vitest';
import { buildLadder, difficulties } from './breakdown';
import { testAxis } from './breakdown/axis.test-helper';
import { coach, DEFAULT_PACE, startCoaching, USUAL_RULES } from './coaching';
import { drawPosterior, fitElement, summarise } from './evidence';
import { boutsOf } from './evidence/evidence.test-helper';
import type { EvidenceRep } from './log';
import { type PlanQuestion, planWeeks } from './planning';
import { aDay, aDog, aPiece, NONE } from './planning/plan.test-helper';
import { classModel, DEFAULT_ASSUMPTIONS, FULL_SIZE, simulateTrials, type TrialClass } from './readiness';
import { prepareRules, type Rules, readRuleBook, scoreSheet } from './rulebooks';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DogId,
  type ElementId,
  type EntryId,
  type ExerciseKey,
  type FaultKey,
  must,
  type PartKey,
  printOf,
  seeded,
  type TrialId,
} from './shared';
import { finish } from './shared/steps';
import { cholesky, logistic, solveCholesky } from './statistics';

/**
 * Ratios within one run are what counts: each group's first row is the yardstick of computation.md,
 * "Speed to reach".
 */

const today = '2026-06-30' as Day;
const slow = { time: 1500, warmupTime: 300 };

describe('20,000 trials of 8 exercises × 5 elements (bound: 12 × the generator)', () => {
  const exercises = Array.from({ length: 8 }, (_, e) => asId<ExerciseKey>(`e${e}`));
  const parts = Array.from({ length: 5 }, (_, k) => asId<PartKey>(`k${k}`));
  const fault = (part: PartKey, miss: boolean) =>
    ({
      id: asId<FaultKey>(`${part}-${miss}`),
      title: part,
      part,
      by: 'dog',
      miss,
      stops: false,
      cost: { kind: 'each', points: miss ? 6 : 1 },
    }) as const;
  const rules: Rules = {
    family: 'points-off',
    smallestPoint: 0.5,
    awards: [],
    pass: [{ kind: 'total', atLeast: 220 }],
    exercises: exercises.map((exercise) => ({
      exercise,
      maximum: 40,
      faults: parts.flatMap((part) => [fault(part, true), fault(part, false)]),
    })),
  };
  const summary = must(summarise([], today));
  const posterior = drawPosterior(must(fitElement([testAxis()], summary, today)), seeded(1));
  const target = { columns: [1], either: [] };
  const input: TrialClass = {
    rules: prepareRules({ rules, exercises: [] }),
    exercises: exercises.map((exercise) => ({
      exercise,
      elements: parts.map((part) => ({
        id: asId<ElementId>(part),
        part,
        posterior,
        target,
        times: 1,
        measured: [],
        summary,
      })),
    })),
  };
  // A day, the own day of each of five elements, and four numbers a go.
  const draws = 20_000 * (2 + 2 * 5 + 4 * 40);

  bench(
    'yardstick: an inlined generator fills a Float64Array with as many draws',
    () => fillInline(draws),
    slow,
  );
  const retrieves: Rules = {
    family: 'retrieves',
    smallestPoint: 1,
    maximum: 20,
    majorLeaves: 8,
    majorsAllowed: 1,
    letters: [],
    pass: { atLeast: 110 },
    awards: [],
    exercises: exercises.map((exercise) => ({
      exercise,
      faults: parts.flatMap((part) => [fault(part, true), fault(part, false)]),
    })),
  };
  const other: TrialClass = { ...input, rules: prepareRules({ rules: retrieves, exercises: [] }) };
  bench(
    'simulateTrials, points off (bound 12)',
    () => void simulateTrials(input, DEFAULT_ASSUMPTIONS, 1, FULL_SIZE),
    slow,
  );
  bench(
    'simulateTrials, retrieves (bound 15)',
    () => void simulateTrials(other, DEFAULT_ASSUMPTIONS, 1, FULL_SIZE),
    slow,
  );
});

function fillInline(count: number): void {
  const out = new Float64Array(count);
  let [a, b, c, d] = [1, 2, 3, 4];
  for (let i = 0; i < count; i++) {
    const t = (((a + b) | 0) + d) | 0;
    d = (d + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    out[i] = ((t >>> 0) + 0.5) / 4294967296;
  }
}

describe('fit of 5,000 reps in 100 sessions (bound: 20 × a flat Newton fit)', () => {
  const axis = testAxis();
  const random = seeded(1);
  const reps = Array.from({ length: 5000 }, (_, i): EvidenceRep => {
    const distance = 5 + random.integer(16);
    const clean = random.uniform() < logistic(2 - 2 * Math.log(distance / 5));
    return {
      id: asId<EntryId>(String(i)),
      bout: asId<BoutId>(String(i % 100)),
      day: addDays(today, -(i % 100)),
      at: i,
      away: false,
      outcome: clean ? 'clean' : 'miss',
      faults: [],
      cause: 'dog',
      aided: false,
      criteria: { [axis.key]: distance },
    };
  });
  const x = reps.map((rep) => must(difficulties([axis], rep.criteria))[0] ?? 0);
  const y = reps.map((rep) => (rep.outcome === 'clean' ? 1 : 0));
  const bouts = boutsOf(reps);
  const summary = must(summarise(bouts, today));

  const fitted = must(fitElement([axis], summary, today));
  // As many iterations as the three marginal modes take together.
  bench(
    `yardstick: flat fixed-effects Newton, ${fitted.iterations} iterations over every rep`,
    () => void flatNewton(x, y, fitted.iterations),
    slow,
  );
  bench('fitElement on the summary (bound 20)', () => void fitElement([axis], summary, today), slow);
  bench(
    'summarise and fitElement',
    () => void fitElement([axis], must(summarise(bouts, today)), today),
    slow,
  );
  bench('drawPosterior: 3,000 proposals, 1,500 draws', () => void drawPosterior(fitted, seeded(1)), slow);
});

function flatNewton(x: readonly number[], y: readonly number[], iterations: number): number[] {
  let beta = [0, 0];
  for (let iteration = 0; iteration < iterations; iteration++) {
    let [g0, g1, h00, h01, h11] = [0, 0, 1e-6, 0, 1e-6];
    for (let i = 0; i < x.length; i++) {
      const xi = x[i] as number;
      const p = logistic((beta[0] as number) + (beta[1] as number) * xi);
      const w = p * (1 - p);
      g0 += (y[i] as number) - p;
      g1 += ((y[i] as number) - p) * xi;
      h00 += w;
      h01 += w * xi;
      h11 += w * xi * xi;
    }
    const step = solveCholesky(
      cholesky([
        [h00, h01],
        [h01, h11],
      ]) ?? [],
      [g0, g1],
    );
    beta = beta.map((value, i) => value + (step[i] as number));
  }
  return beta;
}

describe('one score sheet, one policy step (bound: 50 µs each; shown against JSON.parse of the rule book)', () => {
  const text = readFileSync('src/demo/rule-books/brackwater-working-test.json', 'utf8');
  const read = readRuleBook(text);
  if (!read.ok) throw new Error('the sample rule book does not read');
  const rules = prepareRules(read.value);
  const sheet = rules.exercises.map((exercise) => ({
    exercise: exercise.exercise,
    marks: exercise.faults.slice(0, 6).map(({ fault }) => ({ fault: fault.id, amount: 2 })),
  }));
  const policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };
  const state = coach(policy, startCoaching(policy, { rung: 2, top: 8 }), {
    kind: 'rep',
    id: 'a',
    outcome: 'clean',
    counts: true,
  }).state;

  bench('yardstick: JSON.parse of the rule book', () => void JSON.parse(text));
  bench('scoreSheet', () => void scoreSheet(rules, sheet));
  bench('coach', () => void coach(policy, state, { kind: 'rep', id: 'b', outcome: 'miss', counts: true }));
  bench('readRuleBook', () => void readRuleBook(text));
});

describe('weeks planned: 3 dogs × 30 elements × 8 weeks (bound: first answer 1 s, full 10 s)', () => {
  const question = threeDogs();
  const fits = keepFits();
  const all = must(finish(planWeeks(question, fits, true)));
  if (all.bouts.length < 100) throw new Error('eight weeks hold more');
  const first = (): void => {
    for (const told of planWeeks(question, fits, true)) if (typeof told !== 'number') return;
  };
  const [trial] = question.dogs[0]?.aims ?? [];
  const model =
    trial?.kind === 'trial' ? must(finish(classModel(trial.input, trial.assumptions, 200, fits))) : null;
  bench(
    'yardstick: 20,000 trials of one of the classes',
    () => void (model && simulateTrials(model, DEFAULT_ASSUMPTIONS, 1, FULL_SIZE)),
    slow,
  );
  bench('the first answer, fits at hand', first, { time: 2000, iterations: 2, warmupIterations: 1 });
  bench('the whole plan, fits at hand', () => void finish(planWeeks(question, fits, true)), {
    time: 2000,
    iterations: 2,
    warmupIterations: 0,
  });
});

/** Fits that were asked once, as a worker keeps them. */
function keepFits(): typeof fitElement {
  const known = new Map<string, ReturnType<typeof fitElement>>();
  return (...asked) => {
    const print = printOf(asked);
    const found = known.get(print) ?? fitElement(...asked);
    known.set(print, found);
    return found;
  };
}

/** Three dogs of thirty elements each in a class of ten exercises, twelve sessions on every element. */
function threeDogs(): PlanQuestion {
  const axis = testAxis();
  const random = seeded(3);
  const names = ['a', 'b', 'c'].map((one) => asId<DogId>(one));
  const ids = (dog: DogId): ElementId[] =>
    Array.from({ length: 30 }, (_, i) => asId<ElementId>(`${dog}-${i}`));
  const evidence = (id: ElementId) => ({
    id,
    axes: [axis],
    bouts: boutsOf(
      Array.from({ length: 120 }, (_, i): EvidenceRep => {
        const session = Math.floor(i / 10);
        const distance = 6 + session;
        return {
          id: asId<EntryId>(`${id}-${i}`),
          bout: asId<BoutId>(`${id}-${session}`),
          day: addDays(today, -3 * (12 - session)),
          at: i,
          away: session % 4 === 0,
          outcome: random.uniform() < logistic(2.2 - 1.4 * Math.log(distance / 5)) ? 'clean' : 'miss',
          faults: [],
          cause: 'dog',
          aided: false,
          criteria: { [axis.key]: distance },
        };
      }),
    ),
  });
  const exercises = Array.from({ length: 10 }, (_, e) => asId<ExerciseKey>(`e${e}`));
  const book = (dog: DogId) => ({
    exercises: exercises.map((exercise, e) => ({
      id: exercise,
      title: exercise,
      parts: ids(dog)
        .slice(3 * e, 3 * e + 3)
        .map((id) => ({ id: asId<PartKey>(id), title: id, demands: [] })),
    })),
    rules: {
      family: 'points-off',
      smallestPoint: 0.5,
      awards: [],
      pass: [{ kind: 'total', atLeast: 70 }],
      exercises: exercises.map((exercise, e) => ({
        exercise,
        maximum: 10,
        faults: ids(dog)
          .slice(3 * e, 3 * e + 3)
          .map((id) => ({
            id: asId<FaultKey>(`f-${id}`),
            title: id,
            part: asId<PartKey>(id),
            by: 'dog',
            miss: true,
            stops: false,
            cost: { kind: 'each', points: 4 },
          })),
      })),
    } as Rules,
  });
  const ladder = buildLadder({ axes: [axis] });
  return {
    frame: {
      today,
      days: Array.from({ length: 56 }, (_, d) => ({
        ...aDay(d, { minutes: d % 7 < 5 ? 60 : 0, strange: d % 7 === 4 }),
        day: addDays(today, d),
      })),
      dogs: names.map((id) => aDog({ id, from: today, daysAWeek: 6, trialDays: [addDays(today, 56)] })),
      pieces: names.flatMap((dog) =>
        ids(dog).map((id) => ({
          ...aPiece(id, { dog, minutes: 8, worked: [addDays(today, -3)] }),
          rungs: ladder.rungs.map(({ criteria }) => ({ criteria, perGo: NONE })),
          stands: Math.floor(ladder.rungs.length / 2),
        })),
      ),
    },
    dogs: names.map((dog) => ({
      dog,
      elements: [],
      aims: [
        {
          kind: 'trial' as const,
          trial: asId<TrialId>(`t-${dog}`),
          day: addDays(today, 56),
          weight: 1,
          assumptions: DEFAULT_ASSUMPTIONS,
          seed: 1,
          input: {
            book: book(dog) as never,
            exercises: exercises.map((exercise, e) => ({
              exercise,
              parts: ids(dog)
                .slice(3 * e, 3 * e + 3)
                .map((id) => ({ part: asId<PartKey>(id), element: id, demands: {} })),
            })),
            elements: ids(dog).map(evidence),
            today,
            trialDay: null,
            closes: null,
            minutes: [],
          },
        },
      ],
    })),
    pinned: [],
  };
}
