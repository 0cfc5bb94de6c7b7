import * as v from 'valibot';
import { type Failure, fail, ok, say } from '@/core/shared';
import { checkFaults, checkMultiple, checkReachable, isOneMark } from './checks';
import { type Family, failing, pointsOf } from './family';
import { alsoBelow, exerciseKey, faultEntries, points, retrieveCost, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

const least = v.pipe(v.number(), v.finite(), v.minValue(0));

export const retrievesSchema = v.strictObject({
  family: v.literal('retrieves'),
  smallestPoint: points,
  /** What a faultless retrieve earns, usually 20. */
  maximum: points,
  /** The most that a retrieve with a major fault earns, and how many of them a run may have. */
  majorLeaves: least,
  majorsAllowed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(50)),
  /**
   * Where retrieves are marked by letter: the points that each stands for, best first; empty where
   * they are not.
   */
  letters: v.array(v.strictObject({ letter: text, points: least })),
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      /** The least that this retrieve must earn. */
      atLeast: v.optional(points),
      faults: v.array(v.strictObject({ ...faultEntries, cost: retrieveCost })),
    }),
  ),
  pass: v.strictObject({ atLeast: points }),
  awards: v.array(v.strictObject({ title: text, atLeast: least, alsoBelow })),
});
export type Retrieves = v.InferOutput<typeof retrievesSchema>;

function checkLetters(rules: Retrieves): Failure[] {
  return rules.letters.flatMap((letter, i) => {
    const before = rules.letters[i - 1];
    return [
      ...checkMultiple(letter.points, rules.smallestPoint, `letters[${i}].points`),
      ...(letter.points > rules.maximum
        ? [
            fail(
              'letter',
              `letters[${i}].points`,
              say('rulebooks.retrieves.stands-for-more-than-a-faultless', { letter: letter.letter }),
            ),
          ]
        : []),
      ...(before && before.points <= letter.points
        ? [
            fail(
              'letter',
              `letters[${i}].points`,
              say('rulebooks.retrieves.must-stand-for-less-than-before-it', {
                letter: letter.letter,
                letter2: before.letter,
              }),
            ),
          ]
        : []),
    ];
  });
}

/**
 * Retrieves: each is marked from its maximum down, a major fault leaves at most a stated rest, and
 * the first eliminating fault (`end-run`) puts the dog out. Example: maximum 20, a slow pick-up at
 * 2 and a major fault that leaves 8 → 8.
 */
export const retrieves: Family<Retrieves> = {
  id: 'retrieves',
  title: say('rulebooks.retrieves.retrieves'),
  word: () => 'point',
  full: (rules) => rules.maximum,
  cannot: [],
  check: (rules, outline) => [
    ...checkFaults(rules.exercises, outline, { smallest: rules.smallestPoint, maximum: () => rules.maximum }),
    ...checkMultiple(rules.maximum, rules.smallestPoint, 'maximum'),
    ...checkMultiple(rules.majorLeaves, rules.smallestPoint, 'majorLeaves'),
    ...(rules.majorLeaves >= rules.maximum
      ? [fail('major', 'majorLeaves', say('rulebooks.retrieves.a-major-fault-must-leave-less-than'))]
      : []),
    ...checkMultiple(rules.pass.atLeast, rules.smallestPoint, 'pass.atLeast'),
    ...checkReachable(rules.pass.atLeast, rules.maximum * rules.exercises.length, 'pass.atLeast', 'points'),
    ...rules.awards.flatMap((award, i) =>
      checkMultiple(award.atLeast, rules.smallestPoint, `awards[${i}].atLeast`),
    ),
    ...checkLetters(rules),
  ],
  prepare: (rules) => {
    const unit = 1 / rules.smallestPoint;
    const units = (value: number): number => Math.round(value * unit);
    const line = units(rules.pass.atLeast);
    const setting = { unit, majorLeaves: units(rules.majorLeaves) };
    return {
      pointsPerUnit: rules.smallestPoint,
      line,
      exercises: rules.exercises.map((exercise) => ({
        exercise: exercise.exercise,
        cells: oneCell(units(rules.maximum)),
        faults: exercise.faults.map((fault) => prepareFault(fault, setting)),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.retrieves.an-eliminating-fault') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.retrieves.fewer-than-points-in-all', { atLeast: rules.pass.atLeast }),
        },
        {
          code: 'majors',
          exercise: null,
          message: say('rulebooks.retrieves.more-than-major-fault', { majorsAllowed: rules.majorsAllowed }),
        },
      ],
      judge: (kept, ended, majors) => failing([ended, sum(kept) < line, majors > rules.majorsAllowed]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => award.atLeast,
          (award) => sum(kept) >= units(award.atLeast),
        ),
      given: (_, marks) => {
        return isOneMark(marks, rules.maximum, rules.smallestPoint)
          ? ok(marks.map(units))
          : fail(
              'given',
              '',
              say('rulebooks.retrieves.a-retrieve-has-one-mark-from-0-to', {
                maximum: rules.maximum,
                smallestPoint: rules.smallestPoint,
              }),
            );
      },
    };
  },
  passing: (rules) => [
    say('rulebooks.retrieves.at-least-of-points', {
      atLeast: rules.pass.atLeast,
      maximum: rules.maximum * rules.exercises.length,
    }),
    say('rulebooks.retrieves.no-eliminating-fault'),
    rules.majorsAllowed === 0
      ? say('rulebooks.retrieves.no-major-fault')
      : say('rulebooks.retrieves.at-most-major-fault', {
          majorsAllowed: rules.majorsAllowed,
          majorLeaves: rules.majorLeaves,
        }),
  ],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.retrieves.from', { atLeast: award.atLeast }),
    })),
  say: (prepared, units) => say('rulebooks.retrieves.points', { pointsOf: pointsOf(prepared, units) }),
};
