import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS, type TrialClass } from '@/core/readiness';
import { posteriorOf } from '@/core/readiness/posterior.test-helper';
import { prepareRules } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type Day, type ElementId, must, type TrialId } from '@/core/shared';
import type { TrialModel } from './plan-models';
import type { PlanTitle } from './plan-question';
import { weighedForTitles } from './title-weights';

/** The one-part items of a trick title, each as likely clean as `level` says (logits). */
const book = bookNamed('thistlemere-trick-title');
const rules = prepareRules(book);
const NOTHING_LOGGED = {
  cells: {},
  firsts: {},
  faults: {},
  handlerFaults: {},
  counted: 0,
  notCounted: 0,
  priced: { named: [], missed: 0, clean: 0, noted: [], unjudged: [], cues: [] },
} as const;
const modelOf = (level: number): TrialClass => ({
  rules,
  exercises: book.exercises.map((exercise) => ({
    exercise: exercise.id,
    elements: exercise.parts.map((part) => ({
      id: asId<ElementId>(`${exercise.id}-${part.id}`),
      part: part.id,
      times: part.times ?? 1,
      posterior: posteriorOf([[0, 0, level, 0, 0.4]]),
      target: { columns: [], either: [] },
      summary: NOTHING_LOGGED,
      measured: [],
    })),
  })),
});

const title = (judges: readonly string[], change: Partial<PlanTitle> = {}): PlanTitle => ({
  key: 'a title',
  title: 'A title',
  rule: { passes: 2, judges: 2, months: null },
  legs: [{ day: '2026-01-01' as Day, judges: ['a'] }],
  by: null,
  later: [],
  judges,
  ...change,
});
const trial = (id: string, on: number, of: PlanTitle | undefined, level = 3): TrialModel => ({
  index: on,
  on,
  model: modelOf(level),
  aim: {
    kind: 'trial',
    trial: asId<TrialId>(id),
    day: `2026-06-${String(on).padStart(2, '0')}` as Day,
    weight: 2,
    input: {} as never,
    assumptions: DEFAULT_ASSUMPTIONS,
    seed: 5,
    ...(of ? { title: of } : {}),
  },
});
const weights = (trials: readonly TrialModel[]) =>
  must(weighedForTitles(trials, 40)).map(({ aim }) => aim.weight);

describe('entries for a title in the weeks', () => {
  it('weigh by what a pass there adds: nothing under the judge who has passed it, all under another', () => {
    const [same, other, plain] = weights([
      trial('same', 5, title(['a'])),
      trial('other', 12, title(['b'])),
      trial('plain', 20, undefined),
    ]);
    // Another judge is needed: a pass there is the title, and it weighs as the dog does.
    expect(same).toBe(0);
    expect(other).toBeCloseTo(2, 6);
    expect(plain).toBe(2);
  });

  it('two that either would do weigh less each, the more the surer the other is', () => {
    const both = weights([trial('x', 5, title(['b'])), trial('y', 12, title(['c']))]);
    for (const one of both) {
      expect(one).toBeGreaterThan(0);
      expect(one).toBeLessThan(2);
    }
    const surer = weights([trial('x', 5, title(['b'])), trial('y', 12, title(['c']), 6)]);
    expect(surer[0]).toBeLessThan(both[0] as number);
  });

  it('entries after the weeks count: where two more are needed, the one within the weeks is not in vain', () => {
    const needs = { rule: { passes: 3, judges: 2, months: null } };
    expect(weights([trial('x', 5, title(['b'], needs))])).toEqual([2]);
    const [with_] = weights([
      trial('x', 5, title(['b'], { ...needs, later: [{ day: '2026-09-01' as Day, judges: ['c'] }] })),
    ]);
    expect(with_).toBeGreaterThan(0);
    expect(with_).toBeLessThan(2);
  });

  it('more entries than can be weighed leave a plan: the rest keep their own weight', () => {
    const many = Array.from({ length: 10 }, (_, i) => trial(`t${i}`, i + 1, title([`j${i}`]), 1.5));
    const found = weights(many);
    expect(found.slice(8)).toEqual([2, 2]);
    expect(found.slice(0, 8).every((one) => one > 0 && one < 2)).toBe(true);
  });

  it('a title that none of them brings nearer leaves them as they are', () => {
    expect(weights([trial('x', 5, title(['a'], { by: '2026-01-02' as Day }))])).toEqual([2]);
  });
});
