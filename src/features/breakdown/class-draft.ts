import type { RuleBook, RuleExercise, RulePart } from '@/core/rulebooks';
import type { BreakdownId, ElementId } from '@/core/shared';
import { activeElements, type DogWork } from '@/data/read';
import { type LinkDraft, linkFromPart, linkToExisting } from './exercise-draft';

/** One exercise of a class in the making. `trained` of a link: by an element of the dog, or by an earlier link. */
export type ExerciseDraft = {
  readonly exercise: RuleExercise;
  readonly links: readonly LinkDraft[];
  /** Where it is broken down already and the book has got new parts: these go onto that. */
  readonly onto?: BreakdownId | undefined;
};

/**
 * All exercises of a class that are not broken down for the dog yet, link by link. A piece that is called as
 * an element which the dog has, or as an earlier piece of the class with the same demands, is trained once
 * for all of them: it asks nothing again.
 */
export function classDraft(book: RuleBook, work: DogWork, newId: () => ElementId): ExerciseDraft[] {
  const mine = activeElements(work);
  const begun = new Map<string, LinkDraft>();
  return opened(book, work).map(({ exercise, parts, onto }) => ({
    exercise,
    onto,
    links: parts.map((part): LinkDraft => {
      const has = mine.find((one) => one.title.toLowerCase() === part.title.toLowerCase());
      if (has) return linkToExisting(has, newId(), part.id, part.demands);
      const key = keyOf(part);
      const before = begun.get(key);
      if (before) return linkToExisting({ id: before.id, title: before.title }, newId(), part.id);
      const link = linkFromPart(part, newId());
      begun.set(key, link);
      return link;
    }),
  }));
}

type Opened = Pick<ExerciseDraft, 'exercise' | 'onto'> & { readonly parts: readonly RulePart[] };

/** Exercises that are not broken down yet, and new parts of those that are. */
function opened(book: RuleBook, work: DogWork): Opened[] {
  return book.exercises.flatMap((exercise): Opened[] => {
    const done = work.breakdowns.find((one) => one.ruleBookId === book.id && one.exercise === exercise.id);
    if (!done) return [{ exercise, parts: exercise.parts }];
    const parts = exercise.parts.filter((part) => !done.links.some((link) => link.part === part.id));
    return parts.length === 0 ? [] : [{ exercise, parts, onto: done.id }];
  });
}

const keyOf = ({ title, demands }: RulePart): string => JSON.stringify([title.toLowerCase(), demands]);

/** The links of which something is asked, in their order. */
export const askedLinks = (drafts: readonly ExerciseDraft[]): LinkDraft[] =>
  drafts.flatMap((draft) => draft.links.filter((link) => link.existing === null));

/**
 * The class without one exercise, which is left for later. A piece that it began for others is begun by the
 * next exercise that asks it, with what was typed for it.
 */
export function without(drafts: readonly ExerciseDraft[], left: ExerciseDraft): ExerciseDraft[] {
  const owed = new Map(left.links.filter((link) => link.existing === null).map((link) => [link.id, link]));
  return drafts
    .filter((draft) => draft !== left)
    .map((draft) => ({
      ...draft,
      links: draft.links.map((link) => {
        const begun = link.existing === null ? undefined : owed.get(link.existing);
        if (!begun) return link;
        owed.delete(begun.id);
        return { ...begun, part: link.part };
      }),
    }));
}
