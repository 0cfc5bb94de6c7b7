import { type FaultOption, faultOptions, prepareRules, type RuleBook, type RuleExercise } from '@/core/rulebooks';
import type { DogId, ElementId } from '@/core/shared';
import type { Breakdown, ElementRecord, RuleBookRecord, Session } from '@/data/records';
import { standingRung } from './fold';
import type { Kennel } from './kennel';
import { sessionEntries } from './log';

/** What training of one dog is made of: its elements, and where each stands in an exercise of a rule book. */
export type DogWork = {
  readonly elements: readonly ElementRecord[];
  readonly breakdowns: readonly Breakdown[];
  readonly ruleBooks: readonly RuleBookRecord[];
};

export async function workOf(kennel: Kennel, dog: DogId): Promise<DogWork> {
  const { database } = kennel;
  const [elements, breakdowns, ruleBooks] = await Promise.all([
    database.elements.where('dogId').equals(dog).toArray(),
    database.breakdowns.where('dogId').equals(dog).toArray(),
    database.ruleBooks.toArray(),
  ]);
  return { elements, breakdowns: inRunningOrder(breakdowns, ruleBooks), ruleBooks };
}

/** Elements that are trained: not those that were split or merged into others. */
export function activeElements(work: Pick<DogWork, 'elements'>): ElementRecord[] {
  return work.elements.filter((element) => element.retired === null);
}

function inRunningOrder(breakdowns: readonly Breakdown[], ruleBooks: readonly RuleBookRecord[]): Breakdown[] {
  const place = (breakdown: Breakdown): number =>
    ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book.exercises.findIndex((exercise) => exercise.id === breakdown.exercise) ?? 0;
  return [...breakdowns].sort((a, b) => place(a) - place(b));
}

type Change = Partial<Omit<ElementRecord, 'id' | 'dogId'>>;

/**
 * Saves what was changed of an element, and gives back what was there, for undo. A change of a part of something goes by a function of what is stored: the page may not
 * have seen the last change yet.
 */
export async function changeElement(
  kennel: Kennel,
  id: ElementId,
  change: Change | ((stored: ElementRecord) => Change),
): Promise<ElementRecord | null> {
  return kennel.database.transaction('rw', kennel.database.elements, async () => {
    const before = await kennel.database.elements.get(id);
    if (!before) return null;
    await kennel.database.elements.put({ ...before, ...(typeof change === 'function' ? change(before) : change) });
    return before;
  });
}

/** Puts elements and breakdowns as they were, and takes away those that were made: the undo of splitting, merging and breaking down. */
export type Before = {
  readonly elements: readonly ElementRecord[];
  readonly breakdowns: readonly Breakdown[];
  readonly made: { readonly elements: readonly ElementId[]; readonly breakdowns: readonly Breakdown['id'][] };
};

export async function putBack(kennel: Kennel, before: Before): Promise<void> {
  const { database } = kennel;
  await database.transaction('rw', database.elements, database.breakdowns, async () => {
    await database.elements.bulkDelete([...before.made.elements]);
    await database.breakdowns.bulkDelete([...before.made.breakdowns]);
    await database.elements.bulkPut([...before.elements]);
    await database.breakdowns.bulkPut([...before.breakdowns]);
  });
}

/** The session of an element that is still open, and otherwise its last one; null before the first. */
export async function lastSession(kennel: Kennel, element: ElementId): Promise<Session | null> {
  const sessions = await kennel.database.sessions.where('elementId').equals(element).toArray();
  const open = sessions.find((session) => session.endedAt === null);
  return open ?? sessions.reduce<Session | null>((last, session) => (last && last.startedAt >= session.startedAt ? last : session), null);
}

/** The rung on which the dog stands: where its last session left it; the first before any. */
export async function rungOf(kennel: Kennel, element: ElementId): Promise<number> {
  const session = await lastSession(kennel, element);
  return session ? standingRung(session, await sessionEntries(kennel, session.id)) : 0;
}

/** What can be tapped when a rep of this element was not clean. */
export type NamedFault = Pick<FaultOption, 'key' | 'label' | 'by' | 'miss'>;

export function namedFaults(element: ElementRecord, work: DogWork): NamedFault[] {
  const fromRules = placesOf(element.id, work).flatMap(({ book, exercise, part }) => {
    const rules = prepareRules(book.rules, book.exercises).exercises.find((candidate) => candidate.exercise === exercise.id);
    return rules ? faultOptions(rules).filter((option) => option.element === part || option.element === null) : [];
  });
  const all: NamedFault[] = [...fromRules, ...element.faults];
  return all.filter((option, i) => all.findIndex((other) => other.key === option.key) === i);
}

/** Every exercise that an element serves. */
export function placesOf(
  element: ElementId,
  work: DogWork,
): { readonly book: RuleBook; readonly exercise: RuleExercise; readonly part: Breakdown['links'][number]['part'] }[] {
  return work.breakdowns.flatMap((breakdown) => {
    const book = work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const exercise = book?.exercises.find((candidate) => candidate.id === breakdown.exercise);
    if (!book || !exercise) return [];
    return breakdown.links.filter((link) => link.element === element).map((link) => ({ book, exercise, part: link.part }));
  });
}
