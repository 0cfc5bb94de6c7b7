import { describe, expect, it } from 'vitest';
import { lossAfter, summarise } from '@/core/evidence';
import { prepareRules } from '@/core/rulebooks';
import {
  asId,
  type Day,
  type ElementId,
  type ExerciseKey,
  type FaultKey,
  must,
  type PartKey,
  seeded,
} from '@/core/shared';
import { DEFAULT_ASSUMPTIONS, type TrialClass, type TrialElement } from '.';
import { posteriorOf } from './posterior.test-helper';
import { preparedTrials, simulateTrials } from './simulate';

const summary = must(summarise([], '2026-06-15' as Day));
const random = seeded(5);
const exercises = [0, 1, 2].map((e) => asId<ExerciseKey>(`e${e}`));
const names = ['a', 'b', 'c', 'd'];
const element = (name: string): TrialElement => ({
  id: asId<ElementId>(name),
  part: asId<PartKey>(name),
  posterior: {
    ...posteriorOf(
      Array.from({ length: 20 }, () => [-0.4, -0.2, 1 + random.normal(), 0.1, 0.4 + random.uniform()]),
    ),
    idle: 4,
  },
  target: { columns: [], either: [] },
  times: name === 'a' ? 2 : 1,
  measured: [],
  summary,
});
const fault = (name: string) => ({
  id: asId<FaultKey>(`f-${name}`),
  title: name,
  part: asId<PartKey>(name),
  by: 'dog' as const,
  miss: true,
  stops: name === 'b',
  cost: { kind: 'each' as const, points: 3 },
});
const input: TrialClass = {
  rules: prepareRules({
    rules: {
      family: 'points-off',
      smallestPoint: 0.5,
      awards: [],
      pass: [{ kind: 'total', atLeast: 20 }],
      exercises: exercises.map((exercise) => ({ exercise, maximum: 10, faults: names.map(fault) })),
    },
    exercises: [],
  }),
  exercises: exercises.map((exercise) => ({ exercise, elements: names.map(element) })),
};
const size = { groups: 20, runs: 15 };
const CHANGES = [
  {},
  { lift: Array.from({ length: 12 }, (_, k) => (k % 3 === 0 ? 1 : 0)) },
  {
    sessionsOf: Array.from({ length: 12 }, (_, k) => k / 2),
    gapOf: Array.from({ length: 12 }, (_, k) => k),
    days: 20,
  },
];

describe('trials that are asked again and again', () => {
  it('give what one asked by itself gives, to the last bit, whatever was asked before', () => {
    const run = preparedTrials(input, DEFAULT_ASSUMPTIONS, 7, size);
    for (const change of [...CHANGES, ...CHANGES].reverse())
      expect(run(change)).toEqual(simulateTrials(input, DEFAULT_ASSUMPTIONS, 7, size, change));
  });

  it('leave an answer alone that was given before', () => {
    const run = preparedTrials(input, DEFAULT_ASSUMPTIONS, 7, size);
    const first = run(CHANGES[0]);
    const kept = structuredClone(first);
    run(CHANGES[1]);
    expect(first).toEqual(kept);
  });
});

describe('a gap that a plan says', () => {
  const share = (change: Parameters<ReturnType<typeof preparedTrials>>[0]): number => {
    const { passesByGroup } = simulateTrials(
      input,
      DEFAULT_ASSUMPTIONS,
      3,
      { groups: 20, runs: 200 },
      change,
    );
    return passesByGroup.reduce((sum, one) => sum + one, 0) / 4000;
  };

  it('takes the place of the one that a number of sessions a week makes', () => {
    const everyWeek = { days: 21, perWeek: new Array(12).fill(1) };
    const sevenDays = { days: 21, perWeek: new Array(12).fill(1), gapOf: new Array(12).fill(7) };
    expect(share(sevenDays)).toBe(share(everyWeek));
  });

  it('costs what the draws say that it costs: the same as a lift by so much less', () => {
    const forgets: TrialClass = {
      ...input,
      exercises: input.exercises.map(({ exercise, elements }) => ({
        exercise,
        elements: elements.map((one) => {
          const draws = Float64Array.from(one.posterior.draws);
          for (let i = 0; i < one.posterior.count; i++) draws[i * one.posterior.width + 9] = 1.2;
          return { ...one, posterior: { ...one.posterior, draws } };
        }),
      })),
    };
    const [first] = forgets.exercises[0]?.elements ?? [];
    if (!first) throw new Error('it has elements');
    const loss = lossAfter(first.posterior, 0, 30) - lossAfter(first.posterior, 0, 4);
    const calm = { ...DEFAULT_ASSUMPTIONS, nervesSd: 0 };
    const gap = simulateTrials(forgets, calm, 3, size, { days: 1e-12, gapOf: new Array(12).fill(30) });
    const lift = simulateTrials(forgets, calm, 3, size, { lift: new Array(12).fill(-loss) });
    expect(gap.passesByGroup).toEqual(lift.passesByGroup);
  });
});
