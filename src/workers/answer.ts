import { assessElement, studyElement } from '@/core/evidence';
import { comparePolicies } from '@/core/learner';
import { planWeeks } from '@/core/planning';
import { assessClass, entryChances, whatIf } from '@/core/readiness';
import { ok, type Result, type Steps } from '@/core/shared';
import { type KeptFits, keepFits } from './fits';
import type { Answers, Said, Task, Weighed } from './protocol';

/**
 * Does a task in steps; pure, so that it is the same in a worker and in a test. Fits that another task
 * has had are taken from `fits`, and change no figure.
 */
export function answer(task: Task, fits: KeptFits = keepFits()): Steps<Result<Answers[Task['kind']]>, Said> {
  switch (task.kind) {
    case 'assess-elements':
      return assessAll(task, fits);
    case 'study-element':
      return atOnce(() => studyElement(task.question, task.today, fits.weigh));
    case 'compare-policies':
      return comparePolicies(task.question);
    case 'assess-class':
      return assessClass(task.input, task.assumptions, task.seed, task.size, task.first, fits.fit, task.want);
    case 'what-if':
      return whatIf(task.input, task.assumptions, task.seed, task.element, fits.fit);
    case 'entry-chances':
      return entryChances(task.input, task.assumptions, task.seed, task.days, fits.fit);
    case 'plan-weeks':
      return planWeeks(task.question, fits.fit, task.first);
  }
}

function* assessAll(
  { questions, today }: Extract<Task, { kind: 'assess-elements' }>,
  { weigh }: KeptFits,
): Steps<Result<readonly Weighed[]>> {
  const found: Weighed[] = [];
  for (const question of questions) {
    found.push({ id: question.id, found: assessElement(question, today, weigh) });
    yield found.length / questions.length;
  }
  return ok(found);
}

// biome-ignore lint/correctness/useYield: short enough for one step
function* atOnce<T>(done: () => T): Steps<T, never> {
  return done();
}
