import type { Method } from '@/core/breakdown';
import { AXIS_KINDS } from '@/core/breakdown';
import type { RuleBook, RuleExercise } from '@/core/rulebooks';
import { type AxisKey, asId } from '@/core/shared';
import { activeElements, type Breakdown, type DogWork, exerciseTitle, inUse } from '@/data/read';
import { wordsOf } from '@/words';
import { type BeforeDraft, beforesOf } from './befores';
import {
  freshKey,
  type LinkDraft,
  linkByHand,
  linkFromPart,
  linksFromMethod,
  linkToExisting,
} from './exercise-draft';
import { tell } from './words';

/** What an exercise can be begun from. */
export type Source =
  | { readonly kind: 'hand'; readonly id: string; readonly title: string }
  | {
      readonly kind: 'rule-book';
      readonly id: string;
      readonly title: string;
      readonly book: RuleBook;
      readonly exercise: RuleExercise;
    }
  | { readonly kind: 'method'; readonly id: string; readonly title: string; readonly method: Method }
  | { readonly kind: 'like'; readonly id: string; readonly title: string; readonly breakdown: Breakdown };
export type SourceGroup = { readonly title: string; readonly sources: readonly Source[] };

/** Exercises of a rule book that the dog has not broken down yet. */
const notYet = (book: RuleBook, work: DogWork): RuleExercise[] =>
  book.exercises.filter(
    (exercise) => !work.breakdowns.some((one) => one.ruleBookId === book.id && one.exercise === exercise.id),
  );

/**
 * Rule-book exercises that are not broken down yet, the methods, and the dog's own exercises;
 * groups without any are left out.
 */
export function sourceGroups(work: DogWork, methods: readonly Method[]): SourceGroup[] {
  const books = inUse(work.ruleBooks).map(
    ({ book }): SourceGroup => ({
      title: `${book.title}, ${book.edition}`,
      sources: notYet(book, work).map((exercise) => ({
        kind: 'rule-book',
        id: `book:${book.id}:${exercise.id}`,
        title: exercise.title,
        book,
        exercise,
      })),
    }),
  );
  const like = work.breakdowns.map(
    (breakdown): Source => ({
      kind: 'like',
      id: `like:${breakdown.id}`,
      title: exerciseTitle(breakdown, work),
      breakdown,
    }),
  );
  const all: SourceGroup[] = [
    {
      title: tell('exercise-sources.methods'),
      sources: methods.map((method) => ({
        kind: 'method',
        id: `method:${method.id}`,
        title: method.title,
        method,
      })),
    },
    ...books,
    { title: tell('exercise-sources.the-same-pieces-as'), sources: like },
  ];
  return all.filter((group) => group.sources.length > 0);
}

export function startingLinks(source: Source, work: DogWork): LinkDraft[] {
  switch (source.kind) {
    case 'hand':
      return [
        linkByHand(freshKey(), AXIS_KINDS[0].make(asId<AxisKey>('distance'), wordsOf(AXIS_KINDS[0].title))),
      ];
    case 'rule-book':
      return source.exercise.parts.map((part) => linkFromPart(part, freshKey()));
    case 'method':
      return linksFromMethod(source.method, freshKey, activeElements(work));
    case 'like':
      return source.breakdown.links.flatMap((link) => {
        const element = work.elements.find((one) => one.id === link.element);
        return element ? [linkToExisting(element, freshKey())] : [];
      });
  }
}

/** What a source builds on from elsewhere: only a method says so. */
export const startingBefores = (source: Source, work: DogWork): BeforeDraft[] =>
  source.kind === 'method' ? beforesOf(source.method, freshKey, activeElements(work)) : [];
