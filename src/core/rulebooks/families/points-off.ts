import * as v from 'valibot';
import { fail, say, schemaSays } from '@/core/shared';
import { checkFaults, checkMultiple, checkReachable } from './checks';
import { type Family, failing, pointsOf } from './family';
import { deductiveCost, exerciseKey, faultEntries, percent, points, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

export const pointsOffSchema = v.strictObject({
  family: v.literal('points-off'),
  /** The smallest step of the score, e.g. 0.5. Every number of points is a whole multiple of it. */
  smallestPoint: points,
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      maximum: points,
      faults: v.array(v.strictObject({ ...faultEntries, cost: deductiveCost })),
    }),
  ),
  pass: v.pipe(
    v.array(
      v.variant('kind', [
        v.strictObject({ kind: v.literal('total'), atLeast: points }),
        v.strictObject({ kind: v.literal('share-of-each'), percent }),
      ]),
    ),
    v.minLength(1, schemaSays('rulebooks.points-off.needs-at-least-one-condition')),
  ),
  awards: v.array(v.strictObject({ title: text, atLeast: points })),
});
export type PointsOff = v.InferOutput<typeof pointsOffSchema>;

const total = (rules: PointsOff): number =>
  rules.exercises.reduce((all, exercise) => all + exercise.maximum, 0);

/**
 * Points off: each exercise starts at its maximum and never falls below 0; passing asks a total, a
 * share of each exercise, or both. Example: maximum 40, two faults at 2.5 each → 35.
 */
export const pointsOff: Family<PointsOff> = {
  id: 'points-off',
  title: say('rulebooks.points-off.points-off'),
  word: 'point',
  check: (rules, outline) => [
    ...checkFaults(rules.exercises, outline, {
      smallest: rules.smallestPoint,
      maximum: (i) => rules.exercises[i]?.maximum ?? 0,
    }),
    ...rules.exercises.flatMap((exercise, i) =>
      checkMultiple(exercise.maximum, rules.smallestPoint, `exercises[${i}].maximum`),
    ),
    ...rules.pass.flatMap((condition, i) =>
      condition.kind === 'total'
        ? [
            ...checkMultiple(condition.atLeast, rules.smallestPoint, `pass[${i}].atLeast`),
            ...checkReachable(condition.atLeast, total(rules), `pass[${i}].atLeast`, 'points'),
          ]
        : [],
    ),
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
    const share = rules.pass.reduce(
      (most, condition) => (condition.kind === 'share-of-each' ? Math.max(most, condition.percent) : most),
      0,
    );
    const titles = rules.exercises.map(
      (exercise) => outline.find((known) => known.id === exercise.exercise)?.title ?? exercise.exercise,
    );
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
          message: say('rulebooks.points-off.under-in', { share, e: titles[e]?.toLowerCase() }),
        })),
      ],
      // Cross-multiplied, so that no share is ever rounded.
      judge: (kept, ended) =>
        failing([
          ended,
          sum(kept) < (line ?? 0),
          ...maxima.map((maximum, e) => (kept[e] as number) * 100 < share * maximum),
        ]),
      award: (kept) =>
        bestAward(
          rules.awards,
          (award) => award.atLeast,
          (award) => sum(kept) >= units(award.atLeast),
        ),
      given: () => fail('given', '', say('rulebooks.points-off.points-off-knows-no-marks-that-are')),
    };
  },
  passing: (rules) =>
    rules.pass.map((condition) =>
      condition.kind === 'total'
        ? say('rulebooks.points-off.at-least-of-points', { atLeast: condition.atLeast, total: total(rules) })
        : say('rulebooks.points-off.at-least-of-the-points-of-each', { percent: condition.percent }),
    ),
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      asks: say('rulebooks.points-off.from', { atLeast: award.atLeast }),
    })),
  say: (prepared, units) => say('rulebooks.points-off.points', { pointsOf: pointsOf(prepared, units) }),
};
