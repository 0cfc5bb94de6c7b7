import { buildLadder, type Criteria, completed, demandOf, joinDemands } from '@/core/breakdown';
import { type BoutEvidence, EYE, type Question, type StudyQuestion } from '@/core/evidence';
import type { ClassEvidence } from '@/core/readiness';
import { prepareRules, type RuleBook } from '@/core/rulebooks';
import { type Day, type ElementId, fail, ok, type Result, say } from '@/core/shared';
import { quantile } from '@/core/statistics';
import type { Kennel } from '@/data/kennel';
import type { Dog, ElementRecord, Trial } from '@/data/records';
import { evidenceByElement, keptOfDog, type StandsByElement } from './evidence';
import { boutsByRun } from './run-bouts';
import { activeElements, type DogWork, listDogs, placesOf, trialsOf, workOf } from './work';

/**
 * One question for each element: how sure at its demand, and how far it reaches from the rung on
 * which the dog stands.
 */
export function elementQuestions(work: DogWork, evidence: Said, stands: StandsByElement): Question[] {
  return activeElements(work).map((element) => elementQuestion(element, evidence, stands));
}

/** The same for one element. */
export function elementQuestion(element: ElementRecord, evidence: Said, stands: StandsByElement): Question {
  return {
    id: element.id,
    axes: element.axes,
    bouts: (evidence.get(element.id) ?? []).map(asCounted),
    at: demandOf(element.axes),
    here: hereOf(element, stands.get(element.id) ?? null),
  };
}

type Said = ReadonlyMap<ElementId, readonly BoutEvidence[]>;

/**
 * Of what is kept only what the core asks for goes to the worker, and nothing that changes beside it:
 * the same question has the same print.
 */
const asAsked = (one: BoutEvidence): BoutEvidence => ({
  print: one.print,
  bout: one.bout,
  day: one.day,
  begun: one.begun,
  reps: one.reps,
  counted: one.counted,
  cells: one.cells,
  first: one.first,
  faults: one.faults,
  handlerFaults: one.handlerFaults,
  paid: one.paid,
  unpaid: one.unpaid,
  rehearsed: one.rehearsed,
  times: one.times,
  waited: one.waited,
  holds: one.holds,
  turns: one.turns,
  offsets: one.offsets,
  priced: one.priced,
  pairs: one.pairs,
  probes: one.probes,
  timings: one.timings,
  habits: one.habits,
  minutes: one.minutes,
});

/**
 * What a chance and a reach are worked out from: the counts. Times, holds, turns and habits stay behind,
 * which is half of what would cross to the worker; the print is that of the whole bout.
 */
const asCounted = (one: BoutEvidence): BoutEvidence => ({
  ...asAsked(one),
  times: [],
  holds: [],
  turns: [],
  offsets: [],
  pairs: [],
  habits: NO_HABITS,
});
const NO_HABITS: BoutEvidence['habits'] = {
  timed: 0,
  early: 0,
  cued: 0,
  cues: { needed: 0, slip: 0, meant: 0 },
  handlers: 0,
  landings: [],
  breaks: [],
  handled: [],
  instead: [],
  drive: { of: 0, count: 0 },
  calm: [],
  pay: [],
  jackpots: 0,
  unasked: 0,
};

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
  evidence: Said,
  stands: StandsByElement,
): StudyQuestion {
  return {
    ...elementQuestion(element, evidence, stands),
    bouts: (evidence.get(element.id) ?? []).map(asAsked),
    conditions: element.conditions,
    bands: bandsOf(element, work),
  };
}

function bandsOf(element: ElementRecord, work: DogWork): number[] {
  const ends = placesOf(element.id, work).flatMap(({ book, exercise, part }) => {
    const scored = prepareRules(book).exercises.find((one) => one.exercise === exercise.id);
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
  /** The next trial that it is meant for in this class, whose seed and assumptions then hold. */
  readonly trial: Trial | null;
  /** Names of its elements by their ids. */
  readonly titles: ReadonlyMap<string, string>;
};

/** Every dog of the kennel in every class that is wholly broken down for it. */
export async function classesOfDogs(kennel: Kennel, today: Day): Promise<ClassOfDog[]> {
  const found: ClassOfDog[] = [];
  for (const dog of await listDogs(kennel)) {
    const [work, kept, trials] = await Promise.all([
      workOf(kennel, dog.id),
      keptOfDog(kennel, dog.id),
      trialsOf(kennel, dog.id),
    ]);
    const evidence = evidenceByElement(
      kept.filter((bout) => bout.day <= today),
      work.elements,
    );
    for (const { book } of work.ruleBooks) {
      if (!work.breakdowns.some((breakdown) => breakdown.ruleBookId === book.id)) continue;
      const input = classEvidence(
        { ruleBookId: book.id, day: today, entryCloses: null },
        work,
        evidence,
        today,
      );
      const titles = new Map(work.elements.map((element) => [element.id as string, element.title]));
      const trial = trials.find((one) => one.ruleBookId === book.id && one.day >= today) ?? null;
      if (input.ok) found.push({ dog, book, input: { ...input.value, trialDay: null }, trial, titles });
    }
  }
  return found;
}

/** Of a rule book what its scores depend on: the rest does not cross to the worker. */
const scoredPart = ({ rules, exercises, phases, across, runs, drawn }: RuleBook): ClassEvidence['book'] => ({
  rules,
  exercises,
  ...(phases && { phases }),
  ...(across && { across }),
  ...(runs && { runs }),
  ...(drawn && { drawn }),
});

/** The middle length of a session, minutes; null where none tells. */
function minutesOf(bouts: readonly BoutEvidence[]): number | null {
  const lengths = bouts.flatMap((one) => one.minutes ?? []);
  return lengths.length === 0 ? null : quantile(lengths, 0.5);
}

/**
 * All that a trial's forecast depends on. Fails with `incomplete` when the rule book or a breakdown
 * is missing.
 */
export function classEvidence(
  trial: Pick<Trial, 'ruleBookId' | 'day' | 'entryCloses'>,
  work: DogWork,
  evidence: Said,
  today: Day,
): Result<ClassEvidence> {
  const book = work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  if (!book)
    return fail(
      'incomplete',
      'ruleBookId',
      say('data.class-evidence.the-rule-book-of-this-trial-is-not', { ruleBookId: trial.ruleBookId }),
    );
  const exercises: ClassEvidence['exercises'][number][] = [];
  for (const exercise of book.exercises) {
    const breakdown = work.breakdowns.find(
      (candidate) => candidate.ruleBookId === book.id && candidate.exercise === exercise.id,
    );
    if (!breakdown)
      return fail(
        'incomplete',
        exercise.id,
        say('data.class-evidence.is-not-broken-down-for-this-dog', { title: exercise.title }),
      );
    const parts = exercise.parts.flatMap((part) => {
      // A part that was split is trained by several elements; each of them has to hold at the
      // trial.
      const links = breakdown.links.filter((candidate) => candidate.part === part.id);
      return links.map((link) => {
        const axes = work.elements.find((one) => one.id === link.element)?.axes ?? [];
        return { part: part.id, element: link.element, demands: joinDemands(part.demands, axes).criteria };
      });
    });
    if (exercise.parts.some((part) => !parts.some((found) => found.part === part.id)))
      return fail(
        'incomplete',
        exercise.id,
        say('data.class-evidence.some-links-of-have-no-element-yet', { title: exercise.title }),
      );
    exercises.push({ exercise: exercise.id, parts });
  }
  const elements = work.elements.map((element) => ({
    id: element.id,
    axes: element.axes,
    bouts: (evidence.get(element.id) ?? []).map(asAsked),
  }));
  const used = new Set(exercises.flatMap((exercise) => exercise.parts.map((part) => part.element)));
  return ok({
    book: scoredPart(book),
    exercises,
    elements: elements.filter((element) => used.has(element.id)),
    runs: boutsByRun(elements.filter((element) => used.has(element.id))),
    today,
    trialDay: trial.day >= today ? trial.day : null,
    closes: trial.entryCloses,
    minutes: elements.flatMap((element) => {
      const minutes = minutesOf(element.bouts);
      return minutes === null ? [] : [[element.id, minutes] as const];
    }),
  });
}
