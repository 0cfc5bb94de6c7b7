import type { Change, RuleBook } from '@/core/rulebooks';
import type { Breakdown, ElementRecord, Trial } from '@/data/records';
import type { DogWork } from './work';

/**
 * What of a dog's work stands on a rule book, and what the changes of another edition touch of it.
 */
export type Touched = {
  readonly breakdowns: readonly Breakdown[];
  readonly elements: readonly ElementRecord[];
  readonly trials: readonly Trial[];
};

export function touchedBy(
  changes: readonly Change[],
  book: RuleBook,
  work: DogWork,
  trials: readonly Trial[],
): Touched {
  const whole = changes.some((change) => change.exercise === null);
  const breakdowns = work.breakdowns.filter(
    (breakdown) =>
      breakdown.ruleBookId === book.id && changes.some((change) => change.exercise === breakdown.exercise),
  );
  const elements = work.elements.filter((element) =>
    work.breakdowns.some(
      (breakdown) =>
        breakdown.ruleBookId === book.id &&
        breakdown.links.some(
          (link) =>
            link.element === element.id &&
            changes.some(
              (change) =>
                change.area === 'demand' &&
                change.exercise === breakdown.exercise &&
                change.part === link.part,
            ),
        ),
    ),
  );
  const aimed = trials.filter((trial) => trial.ruleBookId === book.id);
  return { breakdowns, elements, trials: whole || breakdowns.length > 0 ? aimed : [] };
}
