import { type Sentence, say } from '@/core/shared';
import { added, at, type Change, changed, lists, NOWHERE, removed } from './changes';
import { compareExercise, compareOrder } from './compare-exercise';
import { otherDifferences } from './compare-rest';
import type { RuleBook } from './schema';
import { type Side, sideOf } from './sides';
import { structuresInWords } from './structure-words';

/**
 * What changed from one edition to another, exercise by exercise, in the running order of the newer
 * one; what only the older one has comes last. Exercises, parts and faults are the same when
 * their ids are. Two equal books have no changes.
 */
export function compareBooks(before: RuleBook, after: RuleBook): Change[] {
  const [old, now] = [sideOf(before), sideOf(after)];
  return [
    ...(before.rules.family === after.rules.family
      ? []
      : [
          changed(
            'pass',
            NOWHERE,
            say('rulebooks.compare.scored-by', {
              title: old.family.title,
              title2: now.family.title,
            }),
          ),
        ]),
    ...lists(
      old.family.passing(before.rules, before.exercises),
      now.family.passing(after.rules, after.exercises),
      'pass',
      (line) => say('rulebooks.compare.to-pass-line', { line }),
    ),
    ...lists(awardsOf(old), awardsOf(now), 'award', (line) => say('rulebooks.compare.award-line', { line })),
    ...lists(structuresInWords(before), structuresInWords(after), 'class', (line) =>
      say('rulebooks.compare.class-line', { line }),
    ),
    ...after.exercises.flatMap((exercise) => {
      const known = before.exercises.find((one) => one.id === exercise.id);
      return known
        ? compareExercise(known, exercise, old, now)
        : [added('exercise', at(exercise.id), say('rulebooks.compare.exercise', { title: exercise.title }))];
    }),
    ...before.exercises
      .filter((one) => !after.exercises.some((exercise) => exercise.id === one.id))
      .map((one) => removed('exercise', at(one.id), say('rulebooks.compare.exercise', { title: one.title }))),
    ...compareOrder(before, after),
    ...otherDifferences(before, after),
  ];
}
const awardsOf = ({ book, family }: Side): Sentence[] =>
  family
    .awards(book.rules)
    .map(({ title, asks, alsoBelow = false }) =>
      say('rulebooks.compare.award-asks', { title, asks, alsoBelow }),
    );
