import { describe, expect, it } from 'vitest';
import { USUAL_SCHEDULE, USUAL_TEMPERAMENT } from '@/core/learner';
import { fail, must, ok } from '@/core/shared';
import { classEvidence, elementQuestions, studyQuestion } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { answer } from './answer';
import type { Task } from './protocol';

const state = sampleState();
const [trial] = state.trials;
if (!trial) throw new Error('the sample has a trial');
const elements: Task = {
  kind: 'assess-elements',
  questions: elementQuestions(state.work, state.reps, state.stands),
  today: TODAY,
};
const size = { groups: 40, runs: 20 };
const classTask = {
  kind: 'assess-class' as const,
  input: must(classEvidence(trial, state.work, state.reps, TODAY)),
  assumptions: trial.assumptions,
  seed: trial.seed,
  size,
};

const [first] = state.work.elements;
if (!first) throw new Error('the sample has an element');
const policies: Task = {
  kind: 'compare-policies',
  question: {
    evidence: { id: first.id, axes: first.axes, reps: state.reps.get(first.id) ?? [] },
    plan: { axes: first.axes },
    policies: [first.policy],
    temperament: USUAL_TEMPERAMENT,
    schedule: USUAL_SCHEDULE,
    today: TODAY,
    runs: 20,
    seed: 1,
  },
};

const study: Task = { kind: 'study-element', question: must(studyOf(first)), today: TODAY };
const what: Task = {
  kind: 'what-if',
  input: classTask.input,
  assumptions: trial.assumptions,
  seed: 1,
  element: first.id,
};

function studyOf(element: typeof first) {
  const question = element && studyQuestion(element, state.work, state.reps, state.stands);
  return question ? ok(question) : fail('none', '', 'no element');
}

describe('what the worker does', () => {
  it('survives the trip to a worker and back: tasks and answers are plain data', () => {
    for (const task of [elements, classTask, policies, study, what]) {
      expect(structuredClone(task)).toEqual(task);
      const found = must(answer(structuredClone(task), () => undefined));
      expect(structuredClone(found)).toEqual(found);
    }
  });

  it('answers every question and tells a progress that rises to 1', () => {
    const shares: number[] = [];
    expect(must(answer(elements, () => undefined))).toHaveLength(11);
    must(answer(classTask, (share) => shares.push(share)));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
  });

  it('tells a first, coarse forecast only where somebody listens', () => {
    const seen: unknown[] = [];
    const plain = must(answer(classTask, () => undefined));
    const heard = must(
      answer(
        classTask,
        () => undefined,
        (forecast) => seen.push(forecast),
      ),
    );
    expect(seen).toHaveLength(1);
    expect(heard).toEqual(plain);
  });

  it('reads the rule book’s bands of angle for an element that has them, and the eye’s own elsewhere', () => {
    const bands = (id: string) => {
      const element = state.work.elements.find((one) => one.id === id);
      return element && studyQuestion(element, state.work, state.reps, state.stands)?.bands;
    };
    expect([bands('sample-present'), bands('sample-give')]).toEqual([
      [10, 30],
      [5, 15],
    ]);
  });

  it('gives an expected failure back as a value', () => {
    expect(answer({ ...elements, today: '2026-01-01' as typeof TODAY }, () => undefined)).toMatchObject({
      ok: false,
      code: 'future',
    });
  });
});
