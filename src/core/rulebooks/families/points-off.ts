import * as v from 'valibot';
import { type Failure, fail, ok, type Sentence, say, schemaSays } from '@/core/shared';
import { checkFaults, checkMultiple, checkReachable, isOneMark } from './checks';
import { type Family, failing, type Outline, pointsOf } from './family';
import { alsoBelow, exerciseKey, faultEntries, percent, points, pointsCost, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

const least = v.pipe(v.number(), v.finite(), v.minValue(0));
const few = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(99));

export const pointsOffSchema = v.strictObject({
  family: v.literal('points-off'),
  /** The smallest step of the score, e.g. 0.5. Every number of points is a whole multiple of it. */
  smallestPoint: points,
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      maximum: points,
      /** The least that this exercise must keep. */
      atLeast: v.optional(points),
      faults: v.array(v.strictObject({ ...faultEntries, cost: pointsCost })),
    }),
  ),
  pass: v.pipe(
    v.array(
      v.variant('kind', [
        v.strictObject({ kind: v.literal('total'), atLeast: points }),
        /** All exercises keep a share, but for so many that may fail. */
        v.strictObject({ kind: v.literal('share-of-each'), percent, except: v.optional(few) }),
        /** So many of these exercises (of all, where none is named) keep a share. */
        v.strictObject({
          kind: v.literal('share-of-some'),
          percent,
          atLeast: few,
          of: v.optional(v.pipe(v.array(exerciseKey), v.minLength(1))),
        }),
      ]),
    ),
    v.minLength(1, schemaSays('rulebooks.points-off.needs-at-least-one-condition')),
  ),
  awards: v.array(v.strictObject({ title: text, atLeast: least, alsoBelow })),
});
export type PointsOff = v.InferOutput<typeof pointsOffSchema>;

const total = (rules: PointsOff): number =>
  rules.exercises.reduce((all, exercise) => all + exercise.maximum, 0);

type Share = { readonly places: readonly number[]; readonly percent: number; readonly mayFail: number };

/** Shares of exercises that passing asks, each with how many of its exercises may miss theirs. */
function sharesOf(rules: PointsOff): Share[] {
  const all = rules.exercises.map((_, e) => e);
  return rules.pass.flatMap((condition): Share[] => {
    if (condition.kind === 'total') return [];
    if (condition.kind === 'share-of-each')
      return [{ places: all, percent: condition.percent, mayFail: condition.except ?? 0 }];
    const places = placesOf(rules, condition.of);
    return [{ places, percent: condition.percent, mayFail: places.length - condition.atLeast }];
  });
}

const placesOf = (rules: PointsOff, of: readonly string[] | undefined): number[] =>
  rules.exercises.flatMap(({ exercise }, e) => (of === undefined || of.includes(exercise) ? [e] : []));

const titlesOf = (ids: readonly string[], outline: Outline): Sentence =>
  say('rulebooks.points-off.named', {
    titles: { list: ids.map((id) => outline.find((one) => one.id === id)?.title ?? id), between: ', ' },
  });

/** Shares that no exercise may miss are named by exercise, the others as one condition. */
const isStrict = ({ mayFail }: Share): boolean => mayFail === 0;

/**
 * Points off: each exercise starts at its maximum and never falls below 0; passing asks a total,
 * shares of exercises (of all, of all but some, of some), or both. Example: maximum 40, two faults at
 * 2.5 each → 35.
 */
export const pointsOff: Family<PointsOff> = {
  id: 'points-off',
  title: say('rulebooks.points-off.points-off'),
  word: () => 'point',
  full: (rules, e) => rules.exercises[e]?.maximum ?? 0,
  cannot: [],
  check: (rules, outline) => [
    ...checkFaults(rules.exercises, outline, {
      smallest: rules.smallestPoint,
      maximum: (i) => rules.exercises[i]?.maximum ?? 0,
    }),
    ...rules.exercises.flatMap((exercise, i) =>
      checkMultiple(exercise.maximum, rules.smallestPoint, `exercises[${i}].maximum`),
    ),
    ...rules.pass.flatMap((condition, i) => checkCondition(rules, condition, `pass[${i}]`)),
    ...rules.awards.flatMap((award, i) =>
      checkMultiple(award.atLeast, rules.smallestPoint, `awards[${i}].atLeast`),
    ),
  ],
  prepare: (rules, outline) => {
    const unit = 1 / rules.smallestPoint;
    const units = (value: number): number => Math.round(value * unit);
    const maxima = rules.exercises.map((exercise) => units(exercise.maximum));
    const lines = rules.pass.flatMap((condition) =>
      condition.kind === 'total' ? [units(condition.atLeast)] : [],
    );
    const line = lines.length > 0 ? Math.max(...lines) : null;
    const shares = sharesOf(rules);
    const strict = rules.exercises.map((_, e) =>
      Math.max(
        0,
        ...shares.filter((one) => isStrict(one) && one.places.includes(e)).map((one) => one.percent),
      ),
    );
    const loose = shares.filter((one) => !isStrict(one));
    const titles = rules.exercises.map(
      (exercise) => outline.find((known) => known.id === exercise.exercise)?.title ?? exercise.exercise,
    );
    // Cross-multiplied, so that no share is ever rounded.
    const under = (kept: ArrayLike<number>, e: number, percent: number): boolean =>
      (kept[e] as number) * 100 < percent * (maxima[e] as number);
    return {
      pointsPerUnit: rules.smallestPoint,
      line,
      exercises: rules.exercises.map((exercise, e) => ({
        exercise: exercise.exercise,
        cells: oneCell(maxima[e] ?? 0),
        faults: exercise.faults.map((fault) => prepareFault(fault, { unit })),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.points-off.the-run-is-ended') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.points-off.fewer-than-points-in-all', {
            line: (line ?? 0) * rules.smallestPoint,
          }),
        },
        ...rules.exercises.map((exercise, e) => ({
          code: 'share',
          exercise: exercise.exercise,
          message: say('rulebooks.points-off.under-in', { share: strict[e], e: titles[e]?.toLowerCase() }),
        })),
        ...loose.map(({ places, percent, mayFail }) => ({
          code: 'shares',
          exercise: null,
          message: say('rulebooks.points-off.too-many-under', { percent, mayFail, of: places.length }),
        })),
      ],
      judge: (kept, ended) =>
        failing([
          ended,
          sum(kept) < (line ?? 0),
          ...maxima.map((_, e) => under(kept, e, strict[e] as number)),
          ...loose.map(
            ({ places, percent, mayFail }) => places.filter((e) => under(kept, e, percent)).length > mayFail,
          ),
        ]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => award.atLeast,
          (award) => sum(kept) >= units(award.atLeast),
        ),
      given: (e, marks) => {
        const maximum = rules.exercises[e]?.maximum ?? 0;
        return isOneMark(marks, maximum, rules.smallestPoint)
          ? ok(marks.map(units))
          : fail(
              'given',
              '',
              say('rulebooks.points-off.an-exercise-has-one-number', {
                maximum,
                smallestPoint: rules.smallestPoint,
              }),
            );
      },
    };
  },
  passing: (rules, outline) =>
    rules.pass.map((condition) => {
      if (condition.kind === 'total')
        return say('rulebooks.points-off.at-least-of-points', {
          atLeast: condition.atLeast,
          total: total(rules),
        });
      if (condition.kind === 'share-of-each')
        return condition.except === undefined
          ? say('rulebooks.points-off.at-least-of-the-points-of-each', { percent: condition.percent })
          : say('rulebooks.points-off.of-each-but', { percent: condition.percent, except: condition.except });
      return say('rulebooks.points-off.of-some', {
        percent: condition.percent,
        atLeast: condition.atLeast,
        of: placesOf(rules, condition.of).length,
        named: condition.of ? titlesOf(condition.of, outline) : null,
      });
    }),
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.points-off.from', { atLeast: award.atLeast }),
    })),
  say: (prepared, units) => say('rulebooks.points-off.points', { pointsOf: pointsOf(prepared, units) }),
};

function checkCondition(rules: PointsOff, condition: PointsOff['pass'][number], path: string): Failure[] {
  if (condition.kind === 'total')
    return [
      ...checkMultiple(condition.atLeast, rules.smallestPoint, `${path}.atLeast`),
      ...checkReachable(condition.atLeast, total(rules), `${path}.atLeast`, 'points'),
    ];
  if (condition.kind === 'share-of-each')
    return (condition.except ?? 0) < rules.exercises.length
      ? []
      : [fail('pass', `${path}.except`, say('rulebooks.points-off.all-may-fail'))];
  const known = rules.exercises.map((one) => one.exercise);
  const of = placesOf(rules, condition.of).length;
  return [
    ...(condition.of ?? []).flatMap((id, i) =>
      known.includes(id)
        ? []
        : [
            fail(
              'unknown-exercise',
              `${path}.of[${i}]`,
              say('rulebooks.checks.there-is-no-exercise-in-this-rule', { exercise: id }),
            ),
          ],
    ),
    ...(condition.atLeast <= of
      ? []
      : [
          fail(
            'impossible-pass',
            `${path}.atLeast`,
            say('rulebooks.points-off.more-than-there-are', { atLeast: condition.atLeast, of }),
          ),
        ]),
  ];
}
