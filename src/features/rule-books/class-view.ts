import {
  cellTotal,
  describeCost,
  elementStakes,
  type Fault,
  familyOf,
  prepareRules,
  type RuleBook,
  type RuleExercise,
  stakesOfClass,
  writePoints,
} from '@/core/rulebooks';
import type { ElementKey } from '@/core/shared';

export type FaultLine = { readonly key: string; readonly title: string; readonly cost: string; readonly handler: boolean };
export type ElementLines = {
  readonly key: ElementKey;
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
  readonly elements: readonly ElementLines[];
  readonly anywhere: readonly FaultLine[];
};

/** A class as a person reads it: every exercise with its elements, what each is asked, and what each fault costs. */
export function classView(book: RuleBook): ExerciseView[] {
  const rules = prepareRules(book.rules, book.exercises);
  const { word } = familyOf(book.rules);
  const counted = (units: number): string => `${writePoints(rules, units)} ${units * rules.pointsPerUnit === 1 ? word : `${word}s`}`;
  return book.exercises.flatMap((exercise) => {
    const scored = rules.exercises.find((candidate) => candidate.exercise === exercise.id);
    if (!scored) return [];
    const maximum = cellTotal(scored);
    const line = ({ id, title, cost, by }: Fault): FaultLine => ({ key: id, title, cost: describeCost(cost, word), handler: by === 'handler' });
    const elements = exercise.elements.map((element): ElementLines => {
      const stake = elementStakes(scored, element.id);
      return {
        key: element.id,
        title: element.title,
        text: element.text,
        demands: element.demands
          .map((demand) => `${demand.title.toLowerCase()} ${demand.value}${demand.unit === '°' ? '' : ' '}${demand.unit}`)
          .join(', '),
        stake: counted(stake),
        weight: stake / maximum,
        faults: scored.faults.filter(({ fault }) => fault.element === element.id).map(({ fault }) => line(fault)),
      };
    });
    return [
      {
        exercise,
        maximum: counted(maximum),
        elements,
        anywhere: scored.faults.filter(({ fault }) => fault.element === null).map(({ fault }) => line(fault)),
      },
    ];
  });
}

export type StakeLine = { readonly key: string; readonly title: string; readonly words: string; readonly bar: number };

/** Where the stakes are: what each element can cost over the whole class, an element that serves several exercises added up. */
export function stakeLines(book: RuleBook): StakeLine[] {
  const rules = prepareRules(book.rules, book.exercises);
  const { word } = familyOf(book.rules);
  const stakes = stakesOfClass(rules, book.exercises);
  const most = stakes[0]?.units ?? 1;
  return stakes.map((stake) => {
    const counted = writePoints(rules, stake.units);
    const words = `${counted} ${counted === '1' ? word : `${word}s`}${stake.exercises > 1 ? ` in ${stake.exercises} exercises` : ''}`;
    return { key: stake.element, title: stake.title, words, bar: stake.units / most };
  });
}

/** What passing asks, as sentences. */
export function passInWords(book: RuleBook): string[] {
  return familyOf(book.rules).passing(book.rules, book.exercises);
}
