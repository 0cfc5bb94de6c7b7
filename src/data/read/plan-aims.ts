import type { PlanAim, PlanTitle } from '@/core/planning';
import { classesAround } from '@/core/rulebooks';
import { asId, type Day, type RuleBookId, type TrialId } from '@/core/shared';
import type { Trial } from '@/data/records';
import { classEvidence } from './class-evidence';
import { type DogTitle, judgesOf } from './titles';
import type { DogWork } from './work';

/** The title that a trial is an entry for, where the weeks are planned for one. */
export function titleOfEntry(
  titles: readonly DogTitle[],
  mine: readonly Trial[],
  { id }: Trial,
): { readonly title?: PlanTitle } {
  for (const { title, rule, passes, trials, aim, book } of titles) {
    const entry = trials.find(({ trial }) => trial.id === id);
    if (entry)
      return {
        title: {
          key: `${book.id} ${title}`,
          title,
          rule,
          legs: passes.map(({ day, judges }) => ({ day, judges })),
          judges: judgesOf(entry),
          by: aim?.by ?? null,
          later: trials
            .filter(({ trial }) => !mine.some((one) => one.id === trial.id))
            .map((one) => ({ day: one.trial.day, judges: judgesOf(one) })),
        },
      };
  }
  return {};
}

/**
 * Other classes that are wholly broken down: what could be entered in place of a trial, on its day. Where the
 * class stands in a row, those that come before it; else any.
 */
export function insteadOf(
  trial: Trial,
  work: DogWork,
  evidence: Parameters<typeof classEvidence>[2],
  today: Day,
): PlanAim[] {
  const books = work.ruleBooks.map(({ book }) => book);
  const mine = books.find(({ id }) => id === trial.ruleBookId);
  const before = mine?.series ? classesAround(mine, books).below : books;
  return before.flatMap(({ id }): PlanAim[] => {
    if (id === trial.ruleBookId || !work.breakdowns.some((one) => one.ruleBookId === id)) return [];
    const input = classEvidence({ ...trial, ruleBookId: id }, work, evidence, today);
    if (!input.ok) return [];
    const { day, assumptions, seed } = trial;
    const other = asId<TrialId>(`${INSTEAD}${id}`);
    return [
      {
        kind: 'trial',
        trial: other,
        day,
        weight: 0,
        input: { ...input.value, trialDay: null, closes: null },
        assumptions,
        seed,
      },
    ];
  });
}
const INSTEAD = 'instead-';
/** The rule book of a class that is only looked at in place of a trial; null for a trial. */
export const insteadBook = (trial: TrialId): RuleBookId | null =>
  trial.startsWith(INSTEAD) ? asId<RuleBookId>(trial.slice(INSTEAD.length)) : null;
