import { type Failure, fail, say } from '@/core/shared';
import { familyOf } from './families';
import { dearest } from './families/cost';
import { rulesTotal } from './families/family';
import type { Cost } from './families/fault-schema';
import { prepareRules } from './prepare';
import type { RuleBook } from './schema';

/**
 * What a sound book says and a secretary would ask about: a price above what there is to lose, an
 * award below the pass line or above the maximum, texts that only say the title again. Such a book is
 * read and scored as it is written. Each doubt has its path. “12 points off a maximum of 10” → code
 * `price`.
 */
export function doubtsOf(book: RuleBook): Failure[] {
  return [...priceDoubts(book), ...awardDoubts(book), ...textDoubts(book)];
}

function priceDoubts({ rules, exercises }: RuleBook): Failure[] {
  const family = familyOf(rules);
  const word = family.word(rules);
  return rules.exercises.flatMap((exercise, e) => {
    const maximum = family.full(rules, e);
    const title = exercises.find((one) => one.id === exercise.exercise)?.title ?? exercise.exercise;
    return exercise.faults.flatMap(({ cost, title: fault }, f) => {
      const most = dearest(cost);
      return most > maximum
        ? [
            fail(
              'price',
              `rules.exercises[${e}].faults[${f}].cost`,
              say('rulebooks.doubts.price', {
                fault,
                title,
                most: say('rulebooks.cost.points', { count: most, word }),
                maximum,
              }),
            ),
          ]
        : [];
    });
  });
}

type Line = { readonly title: string; readonly at: number; readonly alsoBelow?: boolean | undefined };

function awardDoubts(book: RuleBook): Failure[] {
  const { awards, line, most } = linesOf(book);
  return awards.flatMap(({ title, at, alsoBelow }, i): Failure[] => {
    const path = `rules.awards[${i}]`;
    if (at > most) return [fail('award', path, say('rulebooks.doubts.unreachable', { title, at, most }))];
    return line !== null && at < line && !alsoBelow
      ? [fail('award', path, say('rulebooks.doubts.below-the-line', { title, at, line }))]
      : [];
  });
}

/** Awards, the pass line and the most that can be reached, in the measure in which awards are written. */
function linesOf(book: RuleBook): {
  readonly awards: readonly Line[];
  readonly line: number | null;
  readonly most: number;
} {
  const { rules } = book;
  const prepared = prepareRules(book);
  const points = (units: number): number => units * prepared.pointsPerUnit;
  const most = points(rulesTotal(prepared));
  const line = prepared.line === null ? null : points(prepared.line);
  switch (rules.family) {
    case 'points-off':
    case 'retrieves':
      return {
        awards: rules.awards.map((one) => ({ ...one, at: one.atLeast })),
        line,
        most: most + bonusOf(book),
      };
    case 'weighted-marks':
      return {
        awards: rules.awards.map((one) => ({ ...one, at: one.percent })),
        line: rules.pass.percent,
        most: 100,
      };
    case 'abilities':
      return {
        awards: rules.awards.map((one) => ({ ...one, at: one.atLeast })),
        line: rules.overall,
        most: 10,
      };
    case 'measured':
      return rules.measure === 'seconds'
        ? { awards: [], line: null, most }
        : { awards: rules.awards.map((one) => ({ ...one, at: one.line })), line: rules.pass.line, most };
    default:
      return { awards: [], line: null, most };
  }
}

const bonusOf = ({ rules }: RuleBook): number =>
  rules.exercises
    .flatMap((exercise): readonly { readonly cost: Cost }[] => exercise.faults)
    .reduce((sum, { cost }) => sum + (cost.kind === 'bonus' ? (cost.cap ?? cost.points) : 0), 0);

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

const textDoubts = (book: RuleBook): Failure[] =>
  book.exercises.flatMap((exercise, e) => [
    ...sayAgain(exercise, `exercises[${e}]`),
    ...exercise.parts.flatMap((part, p) => sayAgain(part, `exercises[${e}].parts[${p}]`)),
  ]);

const sayAgain = (
  { title, text }: { readonly title: string; readonly text: string },
  path: string,
): Failure[] =>
  plain(title) === plain(text) ? [fail('text', `${path}.text`, say('rulebooks.doubts.text', { title }))] : [];
