import { bookForSize, type RuleBook, sizeOf } from '@/core/rulebooks';
import { type DogId, type Result, type Sentence, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Breakdown } from '@/data/records';
import { redemanded } from './redemand';
import { refuse, transact, type Undo } from './transact';

/**
 * Moves a dog's breakdowns and trials from one edition to another, in one transaction. A ladder's
 * demand follows where it was the old edition's; a demand that the person set otherwise stays.
 * Exercises that the new edition dropped keep their breakdown under the old one. Fails with
 * `incomplete` when an exercise has a new part that nothing trains yet, or when none is shared;
 * nothing is changed then.
 */
export function moveToEdition(
  kennel: Kennel,
  dog: DogId,
  from: RuleBook,
  to: RuleBook,
): Promise<Result<Undo>> {
  return transact(kennel, ['dogs', 'breakdowns', 'elements', 'trials'], async (write) => {
    const height = (await write.get('dogs', dog))?.height ?? null;
    const [old, now] = [from, to].map((book) => bookForSize(book, sizeOf(book, height))) as [
      RuleBook,
      RuleBook,
    ];
    const breakdowns = (await write.ofDog('breakdowns', dog)).filter(
      (one) => one.ruleBookId === from.id && to.exercises.some((exercise) => exercise.id === one.exercise),
    );
    const gap = findGap(breakdowns, from, to);
    if (gap !== null) refuse('incomplete', to.id, gap);
    for (const breakdown of breakdowns) await write.put('breakdowns', { ...breakdown, ruleBookId: to.id });
    for (const element of await write.ofDog('elements', dog)) {
      const changed = redemanded(element, breakdowns, old, now);
      if (changed !== element) await write.put('elements', changed);
    }
    for (const trial of await write.ofDog('trials', dog))
      if (trial.ruleBookId === from.id) await write.put('trials', { ...trial, ruleBookId: to.id });
  });
}

function findGap(breakdowns: readonly Breakdown[], from: RuleBook, to: RuleBook): Sentence | null {
  if (breakdowns.length === 0)
    return say('data.editions.has-none-of-the-exercises-that-are', {
      title: to.title,
      edition: to.edition,
      title2: from.title,
      edition2: from.edition,
    });
  for (const breakdown of breakdowns) {
    const exercise = to.exercises.find((candidate) => candidate.id === breakdown.exercise);
    const missing = exercise?.parts.find((part) => !breakdown.links.some((link) => link.part === part.id));
    if (missing && exercise)
      return say('data.editions.has-a-new-part-that-nothing-trains', {
        title: exercise.title,
        title2: missing.title,
      });
  }
  return null;
}
