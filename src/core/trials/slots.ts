import type { RuleBook } from '@/core/rulebooks';
import { type ExerciseKey, type Name, say, unreachable } from '@/core/shared';

/** One number that a judge can give outright for an exercise. */
export type GivenSlot = {
  readonly key: string;
  /** What it is of, where an exercise has several. */
  readonly title: Name | null;
  readonly most: number;
  readonly step: number;
  /** What counts while nothing is given: of tries that are still to come. */
  readonly none: number;
  /** Letters (or zones) that stand for a number, best first. */
  readonly letters: readonly { readonly letter: string; readonly points: number }[];
  /** Nothing but those numbers and 0 can be given. */
  readonly only: boolean;
};

const whole = (most: number, step: number, letters: GivenSlot['letters'] = []): GivenSlot[] => [
  { key: 'whole', title: null, most, step, none: 0, letters, only: false },
];

/**
 * The numbers that one judge can give for an exercise, in the order in which scoring wants them: one for
 * the whole, one for each ability or panel, one for each try. An exercise of 40 points in halves →
 * [{ key: 'whole', most: 40, step: 0.5 }]. Empty for an exercise that the book does not know.
 */
export function slotsOf({ rules }: Pick<RuleBook, 'rules'>, exercise: ExerciseKey): GivenSlot[] {
  const is = (one: { readonly exercise: ExerciseKey }): boolean => one.exercise === exercise;
  switch (rules.family) {
    case 'points-off':
      return rules.exercises.filter(is).flatMap((one) => whole(one.maximum, rules.smallestPoint));
    case 'weighted-marks': {
      const [most, step] = [rules.top ?? 10, rules.smallestMark];
      const panels = rules.categories?.map(({ id, title }) => ({
        key: id,
        title,
        most,
        step,
        none: 0,
        letters: [],
        only: false,
      }));
      return rules.exercises.filter(is).flatMap(() => panels ?? whole(most, step));
    }
    case 'abilities':
      return rules.exercises.filter(is).flatMap(({ judges }) =>
        judges.map((id) => ({
          key: id,
          title: rules.abilities.find((one) => one.id === id)?.title ?? id,
          most: 10,
          step: rules.smallestMark,
          none: 0,
          letters: [],
          only: false,
        })),
      );
    case 'retrieves':
      return rules.exercises
        .filter(is)
        .flatMap(() => whole(rules.maximum, rules.smallestPoint, rules.letters));
    case 'measured':
      return rules.exercises.filter(is).flatMap(({ tries, most, zones = [] }) =>
        Array.from({ length: tries }, (_, i) => ({
          key: `try-${i + 1}`,
          title: say('trials.slots.try', { n: i + 1 }),
          most,
          step: rules.smallest,
          none: rules.measure === 'seconds' ? most : 0,
          letters: zones.map(({ title, points }) => ({ letter: title, points })),
          only: zones.length > 0,
        })),
      );
    case 'checklist':
      return rules.exercises.filter(is).flatMap(() => whole(1, 1));
    case 'time-and-faults':
      return rules.exercises.filter(is).flatMap(({ most }) => whole(most, rules.smallestFault));
    default:
      return unreachable(rules);
  }
}
