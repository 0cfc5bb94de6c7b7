import {
  cellTotal,
  describeCost,
  type Fault,
  familyOf,
  partStakes,
  pointsOf,
  prepareRules,
  type RuleBook,
  type RuleExercise,
  stakesOfClass,
} from '@/core/rulebooks';
import { type PartKey, say } from '@/core/shared';
import { wordsOf } from '@/words';
import { tell } from './words';

export type FaultLine = {
  readonly key: string;
  readonly title: string;
  readonly cost: string;
  readonly handler: boolean;
};
export type PartLines = {
  readonly key: PartKey;
  readonly title: string;
  readonly text: string;
  readonly demands: string;
  readonly stake: string;
  readonly weight: number;
  readonly faults: readonly FaultLine[];
};
export type ExerciseView = {
  readonly exercise: RuleExercise;
  readonly maximum: string;
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
    const line = ({ id, title, cost, by }: Fault): FaultLine => ({
      key: id,
      title,
      cost: wordsOf(describeCost(cost, word)),
      handler: by === 'handler',
    });
    const parts = exercise.parts.map((part): PartLines => {
      const stake = partStakes(scored, part.id);
      return {
        key: part.id,
        title: part.title,
        text: part.text,
        demands: part.demands
          .map(
            (demand) =>
              `${demand.title.toLowerCase()} ${demand.value}${demand.unit === '°' ? '' : ' '}${demand.unit}`,
          )
          .join(', '),
        stake: counted(stake),
        weight: stake / maximum,
        faults: scored.faults.filter(({ fault }) => fault.part === part.id).map(({ fault }) => line(fault)),
      };
    });
    return [
      {
        exercise,
        maximum: counted(maximum),
        parts,
        anywhere: scored.faults.filter(({ fault }) => fault.part === null).map(({ fault }) => line(fault)),
      },
    ];
  });
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
