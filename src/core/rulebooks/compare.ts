import type { ExerciseKey, PartKey } from '@/core/shared';
import { familyOf, prepareRules } from './families';
import { describeCost } from './families/cost';
import { cellTotal, type PreparedExercise, type PreparedRules, writePoints } from './families/family';
import type { Fault } from './families/fault-schema';
import type { RuleBook, RuleExercise, RulePart } from './schema';

/** One difference between two editions, in words with its numbers, and where it bites. */
export type Change = {
  readonly kind: 'added' | 'removed' | 'changed';
  readonly area: 'exercise' | 'part' | 'demand' | 'fault' | 'pass' | 'award' | 'text';
  readonly exercise: ExerciseKey | null;
  readonly part: PartKey | null;
  readonly words: string;
};

type Where = Pick<Change, 'exercise' | 'part'>;
const NOWHERE: Where = { exercise: null, part: null };

/**
 * What changed from one edition to another, exercise by exercise, in the running order of the newer
 * one; what only the older one has comes last. Exercises, parts and faults are the same when
 * their ids are. Two equal books have no changes.
 */
export function compareBooks(before: RuleBook, after: RuleBook): Change[] {
  const [old, now] = [sideOf(before), sideOf(after)];
  return [
    ...(before.rules.family === after.rules.family
      ? []
      : [
          changed(
            'pass',
            NOWHERE,
            `scored by ${old.family.title.toLowerCase()} → ${now.family.title.toLowerCase()}`,
          ),
        ]),
    ...lists(
      old.family.passing(before.rules, before.exercises),
      now.family.passing(after.rules, after.exercises),
      'pass',
      'to pass: ',
    ),
    ...lists(awardsOf(old), awardsOf(now), 'award', 'award: '),
    ...after.exercises.flatMap((exercise) => {
      const known = before.exercises.find((one) => one.id === exercise.id);
      return known
        ? compareExercise(known, exercise, old, now)
        : [added('exercise', at(exercise.id), `exercise “${exercise.title}”`)];
    }),
    ...before.exercises
      .filter((one) => !after.exercises.some((exercise) => exercise.id === one.id))
      .map((one) => removed('exercise', at(one.id), `exercise “${one.title}”`)),
    ...compareOrder(before, after),
  ];
}

type Side = {
  readonly book: RuleBook;
  readonly rules: PreparedRules;
  readonly family: ReturnType<typeof familyOf>;
};
const sideOf = (book: RuleBook): Side => ({
  book,
  rules: prepareRules(book.rules, book.exercises),
  family: familyOf(book.rules),
});
const awardsOf = ({ book, family }: Side): string[] =>
  family.awards(book.rules).map((award) => `${award.title} ${award.asks}`);

function compareExercise(before: RuleExercise, after: RuleExercise, old: Side, now: Side): Change[] {
  const [scoredBefore, scoredAfter] = [scoredOf(old, before.id), scoredOf(now, after.id)];
  const maxima = [
    writePoints(old.rules, cellTotal(scoredBefore)),
    writePoints(now.rules, cellTotal(scoredAfter)),
  ] as const;
  const name = after.title;
  return [
    ...(before.title === after.title
      ? []
      : [changed('text', at(after.id), `“${before.title}” is now called “${after.title}”`)]),
    ...(before.text === after.text
      ? []
      : [changed('text', at(after.id), `${name}, description: “${before.text}” → “${after.text}”`)]),
    ...(maxima[0] === maxima[1]
      ? []
      : [changed('exercise', at(after.id), `${name}: maximum ${maxima[0]} → ${maxima[1]}`)]),
    ...after.parts.flatMap((part) => {
      const known = before.parts.find((one) => one.id === part.id);
      return known
        ? comparePart(after, known, part)
        : [added('part', at(after.id, part.id), `${name}: part “${part.title}”`)];
    }),
    ...before.parts
      .filter((one) => !after.parts.some((part) => part.id === one.id))
      .map((one) => removed('part', at(after.id, one.id), `${name}: part “${one.title}”`)),
    ...compareFaults(after, scoredBefore, scoredAfter, old.family.word, now.family.word),
  ];
}

function comparePart(exercise: RuleExercise, before: RulePart, after: RulePart): Change[] {
  const where = at(exercise.id, after.id);
  const name = `${exercise.title}, ${after.title.toLowerCase()}`;
  return [
    ...(before.title === after.title
      ? []
      : [changed('text', where, `${name}: was called “${before.title}”`)]),
    ...after.demands.flatMap((demand) => {
      const known = before.demands.find((one) => one.axis === demand.axis);
      const [was, is] = [
        known ? `${known.value} ${known.unit}`.trim() : null,
        `${demand.value} ${demand.unit}`.trim(),
      ];
      if (was === null) return [added('demand', where, `${name}: ${demand.title.toLowerCase()} ${is}`)];
      return was === is && known?.harder === demand.harder
        ? []
        : [changed('demand', where, `${name}: ${demand.title.toLowerCase()} ${was} → ${is}`)];
    }),
    ...before.demands
      .filter((one) => !after.demands.some((demand) => demand.axis === one.axis))
      .map((one) => removed('demand', where, `${name}: ${one.title.toLowerCase()}`)),
  ];
}

function compareFaults(
  exercise: RuleExercise,
  before: PreparedExercise,
  after: PreparedExercise,
  wordBefore: string,
  wordAfter: string,
): Change[] {
  const say = (fault: Fault, word: string): string =>
    `${describeCost(fault.cost, word)}${fault.stops ? ', stops the exercise' : ''}`;
  const where = (fault: Fault): Where => at(exercise.id, fault.part);
  const name = (fault: Fault): string => `${exercise.title}: “${fault.title}”`;
  return [
    ...after.faults.flatMap(({ fault }) => {
      const known = before.faults.find((one) => one.fault.id === fault.id)?.fault;
      if (!known) return [added('fault', where(fault), `${name(fault)}, ${say(fault, wordAfter)}`)];
      const [was, is] = [say(known, wordBefore), say(fault, wordAfter)];
      return [
        ...(was === is ? [] : [changed('fault', where(fault), `${name(fault)}: ${was} → ${is}`)]),
        ...(known.title === fault.title
          ? []
          : [changed('text', where(fault), `${exercise.title}: “${known.title}” is now “${fault.title}”`)]),
        ...(known.part === fault.part
          ? []
          : [changed('fault', where(fault), `${name(fault)} belongs to another part`)]),
      ];
    }),
    ...before.faults
      .filter(({ fault }) => !after.faults.some((one) => one.fault.id === fault.id))
      .map(({ fault }) => removed('fault', where(fault), `${name(fault)}, ${say(fault, wordBefore)}`)),
  ];
}

function compareOrder(before: RuleBook, after: RuleBook): Change[] {
  const shared = (book: RuleBook, other: RuleBook): string =>
    book.exercises
      .filter((one) => other.exercises.some((exercise) => exercise.id === one.id))
      .map((one) => one.id)
      .join();
  return shared(before, after) === shared(after, before)
    ? []
    : [
        changed(
          'exercise',
          NOWHERE,
          `running order: ${after.exercises.map((exercise) => exercise.title).join(', ')}`,
        ),
      ];
}

function lists(
  before: readonly string[],
  after: readonly string[],
  area: Change['area'],
  head: string,
): Change[] {
  return [
    ...after.filter((line) => !before.includes(line)).map((line) => added(area, NOWHERE, head + line)),
    ...before.filter((line) => !after.includes(line)).map((line) => removed(area, NOWHERE, head + line)),
  ];
}

const scoredOf = (side: Side, id: ExerciseKey): PreparedExercise =>
  side.rules.exercises.find((one) => one.exercise === id) ?? { exercise: id, cells: [], faults: [] };
const at = (exercise: ExerciseKey, part: PartKey | null = null): Where => ({ exercise, part });
const added = (area: Change['area'], where: Where, words: string): Change => ({
  kind: 'added',
  area,
  ...where,
  words,
});
const removed = (area: Change['area'], where: Where, words: string): Change => ({
  kind: 'removed',
  area,
  ...where,
  words,
});
const changed = (area: Change['area'], where: Where, words: string): Change => ({
  kind: 'changed',
  area,
  ...where,
  words,
});
