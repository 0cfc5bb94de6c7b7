import type { RuleBook, RuleExercise, RulePart } from '@/core/rulebooks';
import type { ElementId } from '@/core/shared';
import { activeElements, type DogWork } from '@/data/read';
import { type LinkDraft, linkFromPart, linkToExisting } from './exercise-draft';
import { isDemanded, notYet } from './exercise-sources';

/** One exercise of a class in the making. `trained` of a link: by an element of the dog, or by an earlier link. */
export type ExerciseDraft = { readonly exercise: RuleExercise; readonly links: readonly LinkDraft[] };

/**
 * All exercises of a class that are not broken down for the dog yet, link by link. A piece that is called as
 * an element which the dog has, or as an earlier piece of the class with the same demands, is trained once
 * for all of them: it asks nothing again.
 */
export function classDraft(book: RuleBook, work: DogWork, newId: () => ElementId): ExerciseDraft[] {
  const open = notYet(book, work).filter(isDemanded);
  const mine = activeElements(work);
  const begun = new Map<string, LinkDraft>();
  return open.map((exercise) => ({
    exercise,
    links: exercise.parts.map((part): LinkDraft => {
      const has = mine.find((one) => one.title.toLowerCase() === part.title.toLowerCase());
      if (has) return linkToExisting(has, newId(), part.id);
      const key = keyOf(part);
      const before = begun.get(key);
      if (before) return linkToExisting({ id: before.id, title: before.title }, newId(), part.id);
      const link = linkFromPart(part, newId());
      begun.set(key, link);
      return link;
    }),
  }));
}

/** Exercises that are not broken down and cannot be: the rule book does not say what a piece of them asks. */
export const withoutDemands = (book: RuleBook, work: DogWork): RuleExercise[] =>
  notYet(book, work).filter((exercise) => !isDemanded(exercise));

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
