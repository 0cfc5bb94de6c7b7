import { describe, expect, it } from 'vitest';
import { USUAL_SCHEDULE, USUAL_TEMPERAMENT } from '@/core/learner';
import { must } from '@/core/shared';
import { classEvidence, elementQuestions } from '@/data/repositories';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { answer } from './answer';
import type { Task } from './protocol';

const state = sampleState();
const [trial] = state.trials;
if (!trial) throw new Error('the sample has a trial');
const elements: Task = { kind: 'assess-elements', questions: elementQuestions(state.work, state.reps, state.rungs), today: TODAY };
const size = { groups: 40, runs: 20 };
const classTask: Task = {
  kind: 'assess-class',
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

describe('what the worker does', () => {
  it('survives the trip to a worker and back: tasks and answers are plain data', () => {
    for (const task of [elements, classTask, policies]) {
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

  it('gives an expected failure back as a value', () => {
    expect(answer({ ...elements, today: '2026-01-01' as typeof TODAY }, () => undefined)).toMatchObject({ ok: false, code: 'future' });
  });
});
