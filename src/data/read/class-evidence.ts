import { buildLadder, type Criteria, completed, demandCriteria, demandOf } from '@/core/breakdown';
import { EYE, type Question, type StudyQuestion } from '@/core/evidence';
import type { EvidenceRep } from '@/core/log';
import type { ClassEvidence } from '@/core/readiness';
import { prepareRules, type RuleBook } from '@/core/rulebooks';
import { type Day, type ElementId, fail, ok, type Result } from '@/core/shared';
import { quantile } from '@/core/statistics';
import type { Kennel } from '@/data/kennel';
import type { Dog, ElementRecord, Trial } from '@/data/records';
import { repsOfDog } from './reps';
import { type DogWork, listDogs, placesOf, workOf } from './work';

export type RepsByElement = ReadonlyMap<ElementId, readonly EvidenceRep[]>;
export type StandsByElement = ReadonlyMap<ElementId, Criteria>;

/**
 * One question for each element: how sure at its demand, and how far it reaches from the rung on
 * which the dog stands.
 */
export function elementQuestions(work: DogWork, reps: RepsByElement, stands: StandsByElement): Question[] {
  return work.elements.map((element) => {
    return {
      id: element.id,
      axes: element.axes,
      reps: reps.get(element.id) ?? [],
      at: demandOf(element.axes),
      here: hereOf(element, stands.get(element.id) ?? null),
    };
  });
}

/** Where the dog stands, or its ladder begins; every axis named. */
function hereOf(element: ElementRecord, stands: Criteria | null): Criteria {
  const first = buildLadder(element).rungs[0]?.criteria;
  return completed(element.axes, stands ?? first ?? demandOf(element.axes));
}

/**
 * The same for one element, with what its page needs besides: conditions, and the ends of the rule
 * book's bands of angle.
 */
export function studyQuestion(
  element: ElementRecord,
  work: DogWork,
  reps: RepsByElement,
  stands: StandsByElement,
): StudyQuestion | null {
  const [question] = elementQuestions(
    { ...work, elements: work.elements.filter((one) => one.id === element.id) },
    reps,
    stands,
  );
  return question ? { ...question, conditions: element.conditions, bands: bandsOf(element, work) } : null;
}

function bandsOf(element: ElementRecord, work: DogWork): number[] {
  const ends = placesOf(element.id, work).flatMap(({ book, exercise, part }) => {
    const scored = prepareRules(book.rules, book.exercises).exercises.find(
      (one) => one.exercise === exercise.id,
    );
    return (scored?.faults ?? []).flatMap(({ fault }) =>
      fault.part === part && fault.cost.kind === 'band' && fault.cost.quantity === 'angle'
        ? fault.cost.bands.map((band) => band.over)
        : [],
    );
  });
  return ends.length > 0 ? [...new Set(ends)].sort((a, b) => a - b) : [EYE.straight, EYE.badly];
}

/** One dog in one class that is wholly broken down for it. */
export type ClassOfDog = {
  readonly dog: Dog;
  readonly book: RuleBook;
  readonly input: ClassEvidence;
  /** Names of its elements by their ids. */
  readonly titles: ReadonlyMap<string, string>;
};

/** Every dog of the kennel in every class that is wholly broken down for it. */
export async function classesOfDogs(kennel: Kennel, today: Day): Promise<ClassOfDog[]> {
  const found: ClassOfDog[] = [];
  for (const dog of await listDogs(kennel)) {
    const [work, reps] = await Promise.all([workOf(kennel, dog.id), repsOfDog(kennel, dog.id)]);
    for (const { book } of work.ruleBooks) {
      if (!work.breakdowns.some((breakdown) => breakdown.ruleBookId === book.id)) continue;
      const input = classEvidence({ ruleBookId: book.id, day: today, entryCloses: null }, work, reps, today);
      const titles = new Map(work.elements.map((element) => [element.id as string, element.title]));
      if (input.ok) found.push({ dog, book, input: { ...input.value, trialDay: null }, titles });
    }
  }
  return found;
}

/**
 * The middle length of a session, from its first rep to its last and one rep's time more; null
 * without two reps in any.
 */
function minutesOf(reps: readonly EvidenceRep[]): number | null {
  const bouts = new Map<string, number[]>();
  // Reps typed from paper keep an order, not an hour: a bout that has one tells no minutes.
  const untimed = new Set(reps.filter((rep) => rep.timed === false).map((rep) => rep.bout));
  for (const rep of reps)
    if (!untimed.has(rep.bout)) bouts.set(rep.bout, [...(bouts.get(rep.bout) ?? []), rep.at]);
  const lengths = [...bouts.values()].flatMap((at) => {
    const span = (Math.max(...at) - Math.min(...at)) / 60_000;
    return at.length > 1 && span > 0 ? [(span * at.length) / (at.length - 1)] : [];
  });
  return lengths.length === 0 ? null : quantile(lengths, 0.5);
}

/**
 * All that a trial's forecast depends on. Fails with `incomplete` when the rule book or a breakdown
 * is missing.
 */
export function classEvidence(
  trial: Pick<Trial, 'ruleBookId' | 'day' | 'entryCloses'>,
  work: DogWork,
  reps: RepsByElement,
  today: Day,
): Result<ClassEvidence> {
  const book = work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  if (!book)
    return fail(
      'incomplete',
      'ruleBookId',
      `The rule book “${trial.ruleBookId}” of this trial is not here. Read it in under Rule books.`,
    );
  const exercises: ClassEvidence['exercises'][number][] = [];
  for (const exercise of book.exercises) {
    const breakdown = work.breakdowns.find(
      (candidate) => candidate.ruleBookId === book.id && candidate.exercise === exercise.id,
    );
    if (!breakdown)
      return fail('incomplete', exercise.id, `“${exercise.title}” is not broken down for this dog yet.`);
    const parts = exercise.parts.flatMap((part) => {
      // A part that was split is trained by several elements; each of them has to hold at the
      // trial.
      const links = breakdown.links.filter((candidate) => candidate.part === part.id);
      return links.map((link) => ({ part: part.id, element: link.element, demands: demandCriteria(part) }));
    });
    if (exercise.parts.some((part) => !parts.some((found) => found.part === part.id)))
      return fail('incomplete', exercise.id, `Some links of “${exercise.title}” have no element yet.`);
    exercises.push({ exercise: exercise.id, parts });
  }
  const elements = work.elements.map((element) => ({
    id: element.id,
    axes: element.axes,
    reps: reps.get(element.id) ?? [],
  }));
  const used = new Set(exercises.flatMap((exercise) => exercise.parts.map((part) => part.element)));
  return ok({
    book: { rules: book.rules, exercises: book.exercises },
    exercises,
    elements: elements.filter((element) => used.has(element.id)),
    today,
    trialDay: trial.day >= today ? trial.day : null,
    closes: trial.entryCloses,
    minutes: elements.flatMap((element) => {
      const minutes = minutesOf(element.reps);
      return minutes === null ? [] : [[element.id, minutes] as const];
    }),
  });
}
