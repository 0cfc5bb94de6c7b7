import { type ChargedFault, type ChargedFor, type Judging, MADE_FAULTS } from '@/core/log';
import {
  BACKS_AWAY,
  bookForSize,
  type FaultRef,
  type FaultStep,
  faultSteps,
  ownFault,
  prepareRules,
  type RuleBook,
  type RuleExercise,
  sameFault,
  sizeOf,
} from '@/core/rulebooks';
import type { DogId, ElementId, Name } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type {
  Breakdown,
  Dog,
  ElementRecord,
  ForecastRecord,
  Kit,
  ResultRecord,
  RuleBookRecord,
  Trial,
} from '@/data/records';
import { isWhole } from './whole';

/**
 * What training of one dog is made of: its elements, and where each stands in an exercise of a rule
 * book.
 */
export type DogWork = {
  readonly elements: readonly ElementRecord[];
  readonly breakdowns: readonly Breakdown[];
  /** As they are for a dog of this height. */
  readonly ruleBooks: readonly RuleBookRecord[];
};

export async function workOf(kennel: Kennel, dog: DogId): Promise<DogWork> {
  const { database } = kennel;
  const [elements, breakdowns, records, who] = await Promise.all([
    database.of('elements').where('dogId').equals(dog).toArray(),
    database.of('breakdowns').where('dogId').equals(dog).toArray(),
    database.of('ruleBooks').toArray(),
    database.of('dogs').get(dog),
  ]);
  const kept = breakdowns.filter((one) => !one.putAway);
  const ruleBooks = records.map((record) => forDog(record, who?.height ?? null));
  return { elements, breakdowns: inRunningOrder(kept, ruleBooks), ruleBooks };
}

/** A rule book as it is for a dog of this height. */
const forDog = (record: RuleBookRecord, height: number | null): RuleBookRecord => ({
  ...record,
  book: bookForSize(record.book, sizeOf(record.book, height)),
});

/** Elements that are trained: not those that were split or merged into others. */
export function activeElements(work: Pick<DogWork, 'elements'>): ElementRecord[] {
  return work.elements.filter((element) => element.retired === null && !element.putAway);
}

function inRunningOrder(breakdowns: readonly Breakdown[], ruleBooks: readonly RuleBookRecord[]): Breakdown[] {
  const place = (breakdown: Breakdown): number =>
    ruleBooks
      .find((record) => record.id === breakdown.ruleBookId)
      ?.book.exercises.findIndex((exercise) => exercise.id === breakdown.exercise) ?? 0;
  return [...breakdowns].sort((a, b) => place(a) - place(b));
}

/** Dogs that are not put away, in the person's order. */
export async function listDogs(kennel: Kennel): Promise<Dog[]> {
  const dogs = await kennel.database.of('dogs').toArray();
  return dogs.filter((dog) => !dog.putAway).sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}

/** Dogs that are put away, by name. */
export async function dogsPutAway(kennel: Kennel): Promise<Dog[]> {
  const dogs = await kennel.database.of('dogs').toArray();
  return dogs.filter((dog) => dog.putAway).sort((a, b) => a.name.localeCompare(b.name));
}

/** The dog's trials that were not withdrawn, soonest first. */
export async function trialsOf(kennel: Kennel, dog: DogId): Promise<Trial[]> {
  const trials = await kennel.database.of('trials').where('dogId').equals(dog).toArray();
  return trials.filter((trial) => trial.status !== 'withdrawn').sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** All trials of a dog, those that were withdrawn too, soonest first. */
export async function allTrialsOf(kennel: Kennel, dog: DogId): Promise<Trial[]> {
  const trials = await kennel.database.of('trials').where('dogId').equals(dog).toArray();
  return trials.sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** The kit list, by name. */
export async function listKit(kennel: Kennel): Promise<Kit[]> {
  return (await kennel.database.of('kit').toArray()).sort((a, b) => a.title.localeCompare(b.title));
}

export function listRuleBooks(kennel: Kennel): Promise<RuleBookRecord[]> {
  return kennel.database.of('ruleBooks').toArray();
}

/** All forecasts and results of a dog, or of all dogs, oldest first. */
export async function keptForecasts(
  kennel: Kennel,
  dog: DogId | null,
): Promise<{ readonly forecasts: ForecastRecord[]; readonly results: ResultRecord[] }> {
  const [forecasts, results] = [kennel.database.of('forecasts'), kennel.database.of('results')];
  const [found, entered] = await Promise.all([
    dog === null ? forecasts.toArray() : forecasts.where('dogId').equals(dog).toArray(),
    dog === null ? results.toArray() : results.where('dogId').equals(dog).toArray(),
  ]);
  return {
    forecasts: found.sort((a, b) => a.at - b.at),
    results: entered.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)),
  };
}

/** What can be tapped when a rep of this element was not clean. */
export type NamedFault = Pick<FaultStep, 'ref' | 'label' | 'by' | 'miss' | 'charges'>;

/**
 * The faults of an element: those of the rule books that it serves, then its own. One that just one
 * exercise has is named with that exercise; one that several have is offered once, for all of them.
 */
export function namedFaults(element: ElementRecord, work: DogWork): NamedFault[] {
  if (isWhole(element) && element.form.kind === 'chain') return ofLinks(element.form.links, work);
  const priced = placesOf(element.id, work).flatMap(({ book, exercise, part }) => {
    const rules = prepareRules(book).exercises.find((one) => one.exercise === exercise.id);
    return rules
      ? faultSteps(rules).filter((step) => !step.gives && (step.part === part || step.part === null))
      : [];
  });
  const shared = (ref: FaultRef): boolean =>
    priced.some((other) => other.ref.key === ref.key && other.ref.exercise !== ref.exercise);
  const all: NamedFault[] = [
    ...priced.map(({ ref, label, by, miss, charges }) => ({
      ref: shared(ref) ? { ...ref, exercise: null } : ref,
      label,
      by,
      miss,
      charges,
    })),
    ...element.faults.map(({ key, label, by, miss }) => ({
      ref: ownFault(key),
      label,
      by,
      miss,
      charges: null,
    })),
  ];
  return all.filter((fault, i) => all.findIndex((other) => sameFault(other.ref, fault.ref)) === i);
}

/** The faults of every link of an exercise that is run whole. */
function ofLinks(links: readonly ElementId[], work: DogWork): NamedFault[] {
  const all = links.flatMap((id) => {
    const piece = work.elements.find((one) => one.id === id);
    return piece ? namedFaults(piece, work) : [];
  });
  return all.filter((fault, i) => all.findIndex((other) => sameFault(other.ref, fault.ref)) === i);
}

/** What a fault is called; null where the element knows it no longer. */
export const faultLabel = (faults: readonly NamedFault[], ref: FaultRef | null | undefined): Name | null =>
  ref === null || ref === undefined
    ? null
    : (faults.find((fault) => sameFault(fault.ref, ref))?.label ?? madeLabel(ref));

/** The program's own words for a fault that was made from an axis, since nobody names one. */
const madeLabel = ({ key }: FaultRef): Name | null =>
  [...Object.values(MADE_FAULTS), BACKS_AWAY].find((made) => made.key === key)?.label ?? null;

/** What a method calls the fault of each measure, by the word of its key. */
const BY_WORD: readonly (readonly [ChargedFor, RegExp])[] = [
  ['cues', /cue/],
  ['latency', /^(slow|late)$/],
  ['held', /^(broke|spat|dropped|off|paw-out|slack|vocal|grabbed|ended)$/],
  ['angle', /^crooked/],
  ['offset', /^(overrun|short|far)$/],
  ['count', /^(two-feet|paw-out|paw-off)$/],
];

/**
 * How reps of an element are judged by what was asked and measured: the rule book's fault for a measure
 * comes before the method's. `faults` are those of `namedFaults`, rule book first.
 */
export function judgingOf(element: ElementRecord, faults: readonly NamedFault[]): Judging {
  const charged = faults.flatMap(({ ref, charges, by }): ChargedFault[] => {
    if (charges) return [{ ref, ...charges }];
    const worded = by === 'handler' ? undefined : BY_WORD.find(([, word]) => word.test(ref.key));
    return worded ? [{ ref, for: worded[0], from: null, upTo: null }] : [];
  });
  return {
    axes: element.axes,
    measured: element.measured,
    oneCue:
      element.cues === 'one' ||
      (element.cues === 'by-rules' && faults.some(({ charges }) => charges?.for === 'cues')),
    charged,
    handlers: faults.flatMap(({ ref, by }) => (by === 'handler' ? [ref] : [])),
  };
}

/** Every exercise that an element serves. */
export function placesOf(
  element: ElementId,
  work: DogWork,
): {
  readonly book: RuleBook;
  readonly exercise: RuleExercise;
  readonly part: Breakdown['links'][number]['part'];
}[] {
  return work.breakdowns.flatMap((breakdown) => {
    const book = work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const exercise = book?.exercises.find((candidate) => candidate.id === breakdown.exercise);
    if (!book || !exercise) return [];
    return breakdown.links
      .filter((link) => link.element === element)
      .map((link) => ({ book, exercise, part: link.part }));
  });
}
