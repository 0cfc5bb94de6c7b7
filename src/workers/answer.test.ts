import { describe, expect, it, vi } from 'vitest';
import { USUAL_SCHEDULE, USUAL_TEMPERAMENT } from '@/core/learner';
import { must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { classEvidence, elementQuestions, studyQuestion } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { answer } from './answer';
import { type KeptFits, keepFits } from './fits';
import type { Said, Task, Weighed } from './protocol';

const state = sampleState();
const [trial] = state.trials;
if (!trial) throw new Error('the sample has a trial');
const elements = {
  kind: 'assess-elements' as const,
  questions: elementQuestions(state.work, state.evidence, state.stands),
  today: TODAY,
};
const size = { groups: 40, runs: 20 };
const classTask = {
  kind: 'assess-class' as const,
  input: must(classEvidence(trial, state.work, state.evidence, TODAY)),
  assumptions: trial.assumptions,
  seed: trial.seed,
  size,
  first: false,
  want: 'all' as const,
};

const [first] = state.work.elements;
if (!first) throw new Error('the sample has an element');
const policies: Task = {
  kind: 'compare-policies',
  question: {
    evidence: { id: first.id, axes: first.axes, bouts: state.evidence.get(first.id) ?? [] },
    plan: { axes: first.axes },
    policies: [first.policy],
    temperament: USUAL_TEMPERAMENT,
    schedule: USUAL_SCHEDULE,
    today: TODAY,
    runs: 20,
    seed: 1,
  },
};

const study: Task = { kind: 'study-element', question: studyOf(first), today: TODAY };
const what: Task = {
  kind: 'what-if',
  input: classTask.input,
  assumptions: trial.assumptions,
  seed: 1,
  element: first.id,
};

function studyOf(element: NonNullable<typeof first>) {
  return studyQuestion(element, state.work, state.evidence, state.stands);
}

const done = (task: Task, fits?: KeptFits) => must(finish(answer(task, fits)));

describe('what the worker does', () => {
  it('survives the trip to a worker and back: tasks and answers are plain data', () => {
    for (const task of [elements, classTask, policies, study, what]) {
      expect(structuredClone(task)).toEqual(task);
      const found = done(structuredClone(task));
      expect(structuredClone(found)).toEqual(found);
    }
  });

  it('answers every question and tells a progress that rises to 1', () => {
    const shares: number[] = [];
    expect(done(elements)).toHaveLength(11);
    finish(answer(classTask), (said) => typeof said === 'number' && shares.push(said));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
    expect(shares.length).toBeGreaterThan(20);
  });

  it('tells a first, coarse forecast only where it is asked for, and the same fine one', () => {
    const seen: Said[] = [];
    const heard = must(finish(answer({ ...classTask, first: true }), (said) => seen.push(said)));
    expect(seen.filter((said) => typeof said !== 'number')).toHaveLength(1);
    expect(heard).toEqual(done(classTask));
  });

  it('takes fits that another task has had, and says the same to the last digit', () => {
    const fits = keepFits();
    const asked = { ...elements, questions: elements.questions.slice(0, 2) };
    for (const task of [asked, study, classTask, what])
      expect(JSON.stringify(done(task, fits))).toBe(JSON.stringify(done(task)));
    const spy = vi.fn(fits.weigh);
    done(asked, { ...fits, weigh: spy });
    expect(spy).toHaveBeenCalledTimes(2);
  });

  it('lets each element answer for itself: one that cannot be weighed takes none along', () => {
    const [one, ...others] = elements.questions;
    const bouts = one?.bouts.map((bout, i) =>
      i > 0 ? bout : { ...bout, day: '2027-01-01' as typeof TODAY },
    );
    if (!one || !bouts) throw new Error('the sample has an element');
    const broken = { ...one, bouts };
    const found = done({ ...elements, questions: [broken, ...others] }) as readonly Weighed[];
    expect(found.map((weighed) => weighed.found.ok)).toEqual([false, ...others.map(() => true)]);
    expect(found[0]).toMatchObject({
      id: one.id,
      found: { code: expect.any(String), message: expect.saying(/\w{5}/) },
    });
  });

  it('reads the rule book’s bands of angle for an element that has them, and the eye’s own elsewhere', () => {
    const bands = (id: string) => {
      const element = state.work.elements.find((one) => one.id === id);
      return element && studyQuestion(element, state.work, state.evidence, state.stands)?.bands;
    };
    expect([bands('sample-present'), bands('sample-give')]).toEqual([
      [10, 30],
      [5, 15],
    ]);
  });

  it('gives an expected failure back as a value', () => {
    const early = { ...classTask, input: { ...classTask.input, today: '2026-01-01' as typeof TODAY } };
    expect(finish(answer(early))).toMatchObject({ ok: false, code: 'future' });
  });
});
