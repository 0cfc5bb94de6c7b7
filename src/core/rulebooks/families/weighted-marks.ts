import * as v from 'valibot';
import { fail, ok, say, schemaSays } from '@/core/shared';
import { checkFaults, checkMultiple } from './checks';
import { type Family, failing, pointsOf } from './family';
import { deductiveCost, exerciseKey, faultEntries, percent, points, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

const TOP = 10;

export const weightedMarksSchema = v.strictObject({
  family: v.literal('weighted-marks'),
  /** The smallest step of a mark, usually 0.5. Marks run from 0 to 10. */
  smallestMark: points,
  judges: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(9)),
  /** With three judges or more: the highest and the lowest mark of each exercise do not count. */
  dropExtremes: v.boolean(),
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      coefficient: v.pipe(
        v.number(),
        v.integer(schemaSays('rulebooks.weighted-marks.must-be-a-whole-number')),
        v.minValue(1, schemaSays('rulebooks.weighted-marks.must-be-1-or-more')),
        v.maxValue(20),
      ),
      faults: v.array(v.strictObject({ ...faultEntries, cost: deductiveCost })),
    }),
  ),
  pass: v.strictObject({ percent, eachMark: v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(TOP))) }),
  awards: v.array(v.strictObject({ title: text, percent })),
});
export type WeightedMarks = v.InferOutput<typeof weightedMarksSchema>;

const counted = (rules: WeightedMarks): number => (rules.dropExtremes ? rules.judges - 2 : rules.judges);

/**
 * Weighted marks: a mark of 0–10 for each exercise times its coefficient, the mean over the judges
 * that count. A unit is the smallest step of one judge's mark, so that means stay whole numbers:
 * with 2 judges, 8 and 8.5 at coefficient 3 are (16 + 17) · 3 = 99 units of a quarter point =
 * 24.75.
 */
export const weightedMarks: Family<WeightedMarks> = {
  id: 'weighted-marks',
  title: say('rulebooks.weighted-marks.weighted-marks'),
  word: 'mark',
  check: (rules, outline) => [
    ...checkFaults(rules.exercises, outline, { smallest: rules.smallestMark, maximum: () => TOP }),
    ...checkMultiple(TOP, rules.smallestMark, 'smallestMark'),
    ...(rules.pass.eachMark === null
      ? []
      : checkMultiple(rules.pass.eachMark, rules.smallestMark, 'pass.eachMark')),
    ...(counted(rules) < 1
      ? [fail('judges', 'dropExtremes', say('rulebooks.weighted-marks.dropping-the-highest-and-the'))]
      : []),
  ],
  prepare: (rules, outline) => {
    const judges = counted(rules);
    const step = 1 / rules.smallestMark;
    const top = Math.round(TOP * step) * judges;
    const maxima = rules.exercises.map((exercise) => top * exercise.coefficient);
    const maximum = sum(maxima);
    const least = rules.exercises.map(
      (exercise) => Math.round((rules.pass.eachMark ?? 0) * step) * judges * exercise.coefficient,
    );
    const title = (id: string): string => outline.find((known) => known.id === id)?.title ?? id;
    return {
      pointsPerUnit: rules.smallestMark / judges,
      line: Math.ceil((rules.pass.percent * maximum) / 100),
      exercises: rules.exercises.map((exercise, e) => ({
        exercise: exercise.exercise,
        cells: oneCell(maxima[e] ?? 0),
        // A price in marks is what every judge takes off.
        faults: exercise.faults.map((fault) =>
          prepareFault(fault, { unit: step * judges * exercise.coefficient }),
        ),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.weighted-marks.the-run-is-ended') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.weighted-marks.under-in-all', { percent: rules.pass.percent }),
        },
        ...rules.exercises.map(({ exercise }) => ({
          code: 'mark',
          exercise,
          message: say('rulebooks.weighted-marks.a-mark-under-in', {
            eachMark: rules.pass.eachMark ?? 0,
            title: title(exercise).toLowerCase(),
          }),
        })),
      ],
      judge: (kept, ended) =>
        failing([
          ended,
          sum(kept) * 100 < rules.pass.percent * maximum,
          ...least.map((mark, e) => (kept[e] as number) < mark),
        ]),
      award: (kept) =>
        bestAward(
          rules.awards,
          (award) => award.percent,
          (award) => sum(kept) * 100 >= award.percent * maximum,
        ),
      given: (e, marks) => {
        if (marks.length !== rules.judges)
          return fail(
            'given',
            '',
            say('rulebooks.weighted-marks.there-are-judges-and-marks', {
              judges: rules.judges,
              marksCount: marks.length,
            }),
          );
        const wrong = marks.find(
          (mark) => !(mark >= 0 && mark <= TOP) || checkMultiple(mark, rules.smallestMark, '').length > 0,
        );
        if (wrong !== undefined)
          return fail(
            'given',
            '',
            say('rulebooks.weighted-marks.is-not-a-mark-0-to-in-steps-of', {
              wrong,
              TOP,
              smallestMark: rules.smallestMark,
            }),
          );
        const sorted = marks.map((mark) => Math.round(mark * step)).sort((a, b) => a - b);
        const counting = rules.dropExtremes ? sorted.slice(1, -1) : sorted;
        return ok([sum(counting) * (rules.exercises[e]?.coefficient ?? 1)]);
      },
    };
  },
  passing: (rules) => [
    say('rulebooks.weighted-marks.at-least-of-all-marks-times', { percent: rules.pass.percent }),
    ...(rules.pass.eachMark === null
      ? []
      : [
          say('rulebooks.weighted-marks.a-mark-of-or-more-in-each-exercise', {
            eachMark: rules.pass.eachMark,
          }),
        ]),
  ],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      asks: say('rulebooks.weighted-marks.from', { percent: award.percent }),
    })),
  say: (prepared, units) => say('rulebooks.weighted-marks.points', { pointsOf: pointsOf(prepared, units) }),
};
