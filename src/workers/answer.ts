import { type Assessed, assessElement, studyElement } from '@/core/evidence';
import { comparePolicies } from '@/core/learner';
import { assessClass, type Hooks, whatIf } from '@/core/readiness';
import { ok, type Result } from '@/core/shared';
import type { Answers, Task } from './protocol';

/** Does a task; pure, so that it is the same in a worker and in a test. */
export function answer(
  task: Task,
  onProgress: (share: number) => void,
  onFirst?: Hooks['onFirst'],
): Result<Answers[Task['kind']]> {
  switch (task.kind) {
    case 'assess-elements':
      return assessAll(task.questions, task.today);
    case 'study-element':
      return studyElement(task.question, task.today);
    case 'compare-policies':
      return comparePolicies(task.question, onProgress);
    case 'assess-class':
      return assessClass(task.input, task.assumptions, task.seed, task.size, {
        onProgress,
        ...(onFirst ? { onFirst } : {}),
      });
    case 'what-if':
      return whatIf(task.input, task.assumptions, task.seed, task.element, onProgress);
  }
}

function assessAll(
  questions: Extract<Task, { kind: 'assess-elements' }>['questions'],
  today: Extract<Task, { kind: 'assess-elements' }>['today'],
): Result<Assessed[]> {
  const found: Assessed[] = [];
  for (const question of questions) {
    const assessed = assessElement(question, today);
    if (!assessed.ok) return assessed;
    found.push(assessed.value);
  }
  return ok(found);
}
