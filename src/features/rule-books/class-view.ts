import { ageInMonths } from '@/core/planning';
import {
  bookForSize,
  cellTotal,
  type Demand,
  describeCost,
  doubtsOf,
  type Fault,
  familyOf,
  faultRulesInWords,
  partStakes,
  pointsOf,
  prepareRules,
  type RuleBook,
  type RuleExercise,
  sizeOf,
  stakesOfClass,
  structuresInWords,
} from '@/core/rulebooks';
import { type Day, must, type PartKey, say, toBase } from '@/core/shared';
import { wordsOf, writeNumber } from '@/words';
import { tell } from './words';

export type FaultLine = {
  readonly key: string;
  readonly title: string;
  readonly cost: string;
  /** What it does besides: a warning first, the third ends the run, tried again. */
  readonly more: string;
  readonly handler: boolean;
};
export type PartLines = {
  readonly key: PartKey;
  readonly title: string;
  readonly text: string;
  /** How often it is asked, where that is more than once. */
  readonly times: string | null;
  readonly demands: string;
  readonly stake: string;
  readonly weight: number;
  readonly faults: readonly FaultLine[];
};
export type ExerciseView = {
  readonly exercise: RuleExercise;
  readonly maximum: string;
  /** The day of a class of several, an own least number, ways in which it can be set. */
  readonly besides: readonly string[];
  readonly parts: readonly PartLines[];
  readonly anywhere: readonly FaultLine[];
};

/**
 * A class as a person reads it: every exercise with its parts, what each is asked, and what each
 * fault costs.
 */
export function classView(book: RuleBook): ExerciseView[] {
  const rules = prepareRules(book);
  const { word } = rules;
  const counted = (units: number): string =>
    wordsOf(say('rulebooks.cost.points', { count: pointsOf(rules, units), word }));
  return book.exercises.flatMap((exercise) => {
    const scored = rules.exercises.find((candidate) => candidate.exercise === exercise.id);
    if (!scored) return [];
    const maximum = cellTotal(scored);
    const line = (fault: Fault): FaultLine => ({
      key: fault.id,
      title: fault.title,
      cost: wordsOf(describeCost(fault.cost, word)),
      more: faultRulesInWords(book, fault).map(wordsOf).join('; '),
      handler: fault.by === 'handler',
    });
    const parts = exercise.parts.map((part): PartLines => {
      const stake = partStakes(scored, part.id);
      return {
        key: part.id,
        title: part.title,
        text: part.text,
        times: (part.times ?? 1) > 1 ? tell('class-view.times', { times: part.times ?? 1 }) : null,
        demands: part.demands.map((demand) => demandInWords(book, demand)).join(', '),
        stake: counted(stake),
        weight: stake / maximum,
        faults: scored.faults.filter(({ fault }) => fault.part === part.id).map(({ fault }) => line(fault)),
      };
    });
    return [
      {
        exercise,
        maximum: counted(maximum),
        besides: besidesOf(book, exercise),
        parts,
        anywhere: scored.faults.filter(({ fault }) => fault.part === null).map(({ fault }) => line(fault)),
      },
    ];
  });
}

function demandInWords(book: RuleBook, { title, value, unit, bySize = {} }: Demand): string {
  const written = (of: number): string => `${writeNumber(of)}${unit === '°' ? '' : ' '}${unit}`.trim();
  const sized = (book.sizes ?? []).flatMap(({ id, title: size }) => {
    const own = bySize[id];
    return own === undefined || own === value ? [] : [`${size} ${written(own)}`];
  });
  return `${title.toLowerCase()} ${written(value)}${sized.length > 0 ? ` (${sized.join(', ')})` : ''}`;
}

function besidesOf(book: RuleBook, exercise: RuleExercise): string[] {
  const scored = book.rules.exercises.find((one) => one.exercise === exercise.id);
  const least = scored && 'atLeast' in scored ? scored.atLeast : undefined;
  return [
    ...(exercise.day === undefined ? [] : [tell('class-view.on-day', { day: exercise.day })]),
    ...(least === undefined ? [] : [tell('class-view.at-least', { least })]),
    ...(exercise.variants ?? []).map(({ title, text }) => tell('class-view.variant', { title, text })),
  ];
}

/** What the class has besides exercises and the line, and what a careful reader would ask about. */
export const besidesInWords = (book: RuleBook): string[] => structuresInWords(book).map(wordsOf);
export const doubtsInWords = (book: RuleBook): string[] =>
  doubtsOf(book).map((doubt) => wordsOf(doubt.message));

/** The book as it is for this dog, and which of its sizes that is; null where it has none, or no height is known. */
export function forDog(
  book: RuleBook,
  height: number | null,
): { readonly book: RuleBook; readonly size: string | null } {
  const size = sizeOf(book, height);
  const title = book.sizes?.find((one) => one.id === size)?.title ?? null;
  return { book: bookForSize(book, size), size: title };
}

/** What stands against entering this dog today, as far as is written down of it. */
export function mayNotEnter(
  { entry }: RuleBook,
  dog: { readonly name: string; readonly born: Day | null; readonly height: number | null },
  today: Day,
): string[] {
  const { months, smallest, tallest } = entry ?? {};
  const age = dog.born === null ? null : ageInMonths(dog.born, today);
  const metres = (height: { readonly value: number; readonly unit: string }): number =>
    must(toBase('height', height.value, height.unit));
  const tooLow = smallest && dog.height !== null && dog.height < metres(smallest);
  const tooHigh = tallest && dog.height !== null && dog.height > metres(tallest);
  return [
    ...(months !== undefined && age !== null && age < months
      ? [tell('class-view.too-young', { name: dog.name, age, months })]
      : []),
    ...(tooLow ? [tell('class-view.too-low', { name: dog.name, ...smallest })] : []),
    ...(tooHigh ? [tell('class-view.too-high', { name: dog.name, ...tallest })] : []),
  ];
}

export type StakeLine = {
  readonly key: string;
  readonly title: string;
  readonly words: string;
  readonly bar: number;
};

/**
 * Where the stakes are: what each part can cost over the whole class, a part that serves
 * several exercises added up.
 */
export function stakeLines(book: RuleBook): StakeLine[] {
  const rules = prepareRules(book);
  const { word } = rules;
  const stakes = stakesOfClass(rules, book.exercises);
  const most = stakes[0]?.units ?? 1;
  return stakes.map((stake) => {
    const count = pointsOf(rules, stake.units);
    const points = say('rulebooks.cost.points', { count, word });
    const words =
      stake.exercises > 1
        ? tell('class-view.in-exercises', { points, exercises: stake.exercises })
        : wordsOf(points);
    return { key: `${stake.part} ${stake.title}`, title: stake.title, words, bar: stake.units / most };
  });
}

/** What passing asks, as sentences. */
export function passInWords(book: RuleBook): string[] {
  return familyOf(book.rules).passing(book.rules, book.exercises).map(wordsOf);
}
