import type { RuleBook } from '@/core/rulebooks';
import type { Day, MarkId, Result, RunId } from '@/core/shared';
import { type PracticeRun, shownIn } from '@/core/trials';
import { type Kennel, newId } from '@/data/kennel';
import type { MarkRecord, New, Run } from '@/data/records';
import { transact, type Undo } from './transact';

/**
 * A written-out run to be judged: a sheet of its own, on which what is not shown is done already. Its rule book
 * comes along where it is not here, put away, so that it stands among no books to train for.
 */
export function startPractice(
  kennel: Kennel,
  run: PracticeRun,
  book: RuleBook,
  day: Day,
): Promise<Result<Undo<Run>>> {
  return transact(kennel, ['runs', 'marks', 'practices', 'ruleBooks'], async (write) => {
    if (!(await write.get('ruleBooks', book.id)))
      await write.put('ruleBooks', { id: book.id, book, addedAt: kennel.now(), putAway: true });
    const id = newId<RunId>();
    const made = await write.put('runs', {
      id,
      meeting: null,
      starter: null,
      trial: null,
      dogId: null,
      name: run.dog,
      number: null,
      book: book.id,
      kind: 'practice',
      turn: 0,
      size: null,
      day,
      judges: [],
      putAway: false,
    });
    await write.put('practices', { id, script: run.id });
    const shown = shownIn(run);
    const others = book.exercises.filter((one) => !shown.includes(one.id));
    for (const [seq, exercise] of others.entries())
      await write.put('marks', {
        id: newId<MarkId>(),
        runId: id,
        judge: null,
        seq,
        by: kennel.device,
        at: kennel.now(),
        of: null,
        reason: '',
        kind: 'state',
        exercise: exercise.id,
        is: 'done',
      } as New<MarkRecord>);
    return made;
  });
}
