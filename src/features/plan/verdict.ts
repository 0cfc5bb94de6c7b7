import type { WeeksPlan } from '@/core/planning';
import type { ElementId } from '@/core/shared';
import { insteadBook, type PlanMatch, type Planning, pieceOf } from '@/data/read';
import { writeDay, writeShare, writeWeekday } from '@/words';
import { titlesOf } from './plan-view';
import { passWords } from './plan-words';
import { tell } from './words';

type Verdict = { readonly title: string; readonly grounds: string };

/** What the plan comes to, trial by trial: the first is the page’s title, with its grounds under it. */
export function verdicts(planning: Planning, plan: WeeksPlan): Verdict[] {
  const name = (id: string): string => planning.dogs.find((one) => one.id === id)?.name ?? '';
  return plan.trials.flatMap(({ trial: id, planned, without }) => {
    const trial = planning.trials.find((one) => one.id === id);
    if (!trial) return [];
    const words = {
      name: name(trial.dogId),
      title: trial.title,
      day: writeWeekday(trial.day),
      ...passWords(planned),
      without: writeShare(without.mid),
    };
    return [{ title: tell('verdict.passes', words), grounds: tell('verdict.grounds', words) }];
  });
}

/** The titles that the weeks are planned for, and what that means for their entries. */
export function titleLines({ question }: Pick<Planning, 'question'>): string[] {
  const titles = question.dogs.flatMap(({ aims }) =>
    aims.flatMap((aim) => (aim.kind === 'trial' && aim.title ? [aim.title.title] : [])),
  );
  return [...new Set(titles)].map((title) =>
    tell('verdict.for-a-title', { title, n: titles.filter((one) => one === title).length }),
  );
}

/** What is not ready in time, with the day on which it could be, and what to enter instead. */
export function lateInWords(planning: Planning, plan: WeeksPlan): string[] {
  const titles = titlesOf(planning);
  const lines = plan.late.map(({ piece, dog, chance, ready, because }) =>
    tell('verdict.late', {
      title: titles.get(piece) ?? '',
      name: planning.dogs.find((one) => one.id === dog)?.name ?? '',
      tenths: Math.round(chance * 10),
      because,
      ready: ready === null ? '' : writeDay(ready),
      known: ready === null ? 'no' : 'yes',
    }),
  );
  return [...lines, ...insteadInWords(planning, plan)];
}

/** The same in one line: how many, and which. */
export function lateSummary(planning: Planning, plan: WeeksPlan): string {
  const titles = titlesOf(planning);
  return tell('verdict.late-summary', {
    count: plan.late.length,
    titles: plan.late.map((one) => titles.get(one.piece) ?? '').join(', '),
  });
}

/**
 * What to enter instead, where a dog would not go: the best other class of that day that it would go for; else
 * the day on which the last of its pieces could be ready.
 */
function insteadInWords(planning: Planning, plan: WeeksPlan): string[] {
  return planning.trials.flatMap((trial) => {
    const own = plan.trials.find((one) => one.trial === trial.id)?.planned.mid ?? 1;
    const { goFrom } = trial.assumptions;
    if (own >= goFrom) return [];
    const aims = planning.question.dogs.find((one) => one.dog === trial.dogId)?.aims ?? [];
    const [best] = plan.trials
      .filter((one) => aims.some((aim) => aim.kind === 'trial' && aim.trial === one.trial))
      .flatMap((one) => {
        const book = insteadBook(one.trial);
        const title = planning.works.get(trial.dogId)?.ruleBooks.find(({ id }) => id === book)?.book.title;
        return title && one.planned.mid >= goFrom ? [{ title, share: one.planned.mid }] : [];
      })
      .sort((a, b) => b.share - a.share);
    if (best) return [tell('verdict.instead', { title: best.title, share: writeShare(best.share) })];
    const later = plan.late
      .flatMap((one) => (one.dog === trial.dogId && one.ready ? [one.ready] : []))
      .sort()
      .at(-1);
    return later ? [tell('verdict.later', { title: trial.title, day: writeDay(later) })] : [];
  });
}

/** So many changes are said one by one. */
const SAID = 6;

/** What a new plan changes, in lines. */
export function changeInWords(
  { added, removed, moved, changed }: PlanMatch,
  titles: ReadonlyMap<ElementId, string>,
): string[] {
  const title = (slot: Parameters<typeof pieceOf>[0]): string => titles.get(pieceOf(slot)) ?? '';
  const lines = [
    ...moved.map(({ row, from }) =>
      tell('verdict.moved', { title: title(row), from: writeWeekday(from), to: writeWeekday(row.day) }),
    ),
    ...added.map((row) => tell('verdict.added', { title: title(row), day: writeWeekday(row.day) })),
    ...removed.map((row) => tell('verdict.removed', { title: title(row), day: writeWeekday(row.day) })),
    ...(changed.length > 0 ? [tell('verdict.changed', { count: changed.length })] : []),
  ];
  return lines.length <= SAID
    ? lines
    : [...lines.slice(0, SAID - 1), tell('verdict.and-more', { count: lines.length - SAID + 1 })];
}
