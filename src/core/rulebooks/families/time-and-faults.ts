import * as v from 'valibot';
import { fail, ok, say } from '@/core/shared';
import { checkFaults, checkMultiple } from './checks';
import { type Family, failing, pointsOf, rulesTotal } from './family';
import { alsoBelow, deductiveCost, exerciseKey, faultEntries, points, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

const least = v.pipe(v.number(), v.finite(), v.minValue(0));

export const timeAndFaultsSchema = v.strictObject({
  family: v.literal('time-and-faults'),
  /** The smallest step of a fault, e.g. 0.25. */
  smallestFault: points,
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      /** The most faults that this obstacle, or the clock, can cost. */
      most: points,
      faults: v.array(v.strictObject({ ...faultEntries, cost: deductiveCost })),
    }),
  ),
  /** A run passes with at most so many faults. */
  pass: v.strictObject({ atMost: least }),
  awards: v.array(v.strictObject({ title: text, atMost: least, alsoBelow })),
});
export type TimeAndFaults = v.InferOutput<typeof timeAndFaultsSchema>;

/**
 * Time and faults: obstacles cost faults, the clock is an exercise of its own whose faults count
 * per started second over the standard time, and its limit ends the run. Units are faults that were
 * not made, so that more is better here too: `say` turns them back. Example: two obstacle faults at
 * 5 and 2.3 s over time at 1 a second → 13 faults.
 */
export const timeAndFaults: Family<TimeAndFaults> = {
  id: 'time-and-faults',
  title: say('rulebooks.time-and-faults.time-and-faults'),
  word: () => 'fault',
  full: (rules, e) => rules.exercises[e]?.most ?? 0,
  cannot: ['phases', 'atLeast'],
  check: (rules, outline) => [
    ...checkFaults(rules.exercises, outline, {
      smallest: rules.smallestFault,
      maximum: (i) => rules.exercises[i]?.most ?? 0,
    }),
    ...rules.exercises.flatMap((exercise, i) =>
      checkMultiple(exercise.most, rules.smallestFault, `exercises[${i}].most`),
    ),
    ...checkMultiple(rules.pass.atMost, rules.smallestFault, 'pass.atMost'),
    ...rules.awards.flatMap((award, i) => [
      ...checkMultiple(award.atMost, rules.smallestFault, `awards[${i}].atMost`),
      ...(award.atMost > rules.pass.atMost && !award.alsoBelow
        ? [
            fail(
              'award',
              `awards[${i}].atMost`,
              say('rulebooks.time-and-faults.allows-more-faults-than-passing', { title: award.title }),
            ),
          ]
        : []),
    ]),
  ],
  prepare: (rules) => {
    const unit = 1 / rules.smallestFault;
    const units = (value: number): number => Math.round(value * unit);
    const most = rules.exercises.map((exercise) => units(exercise.most));
    const total = sum(most);
    return {
      pointsPerUnit: rules.smallestFault,
      line: total - units(rules.pass.atMost),
      exercises: rules.exercises.map((exercise, e) => ({
        exercise: exercise.exercise,
        cells: oneCell(most[e] ?? 0),
        faults: exercise.faults.map((fault) => prepareFault(fault, { unit })),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.time-and-faults.the-run-is-ended') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.time-and-faults.more-than-faults', { atMost: rules.pass.atMost }),
        },
      ],
      judge: (kept, ended) => failing([ended, total - sum(kept) > units(rules.pass.atMost)]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => -award.atMost,
          (award) => total - sum(kept) <= units(award.atMost),
        ),
      // One number: the faults of the exercise, time faults among them.
      given: (e, marks) => {
        const [faults] = marks;
        const fits =
          marks.length === 1 && faults !== undefined && faults >= 0 && faults <= (most[e] ?? 0) / unit;
        return fits && checkMultiple(faults, rules.smallestFault, '').length === 0
          ? ok([(most[e] ?? 0) - units(faults)])
          : fail(
              'given',
              '',
              say('rulebooks.time-and-faults.one-number-of-faults', {
                most: (most[e] ?? 0) / unit,
                smallest: rules.smallestFault,
              }),
            );
      },
    };
  },
  passing: (rules) => [
    say('rulebooks.time-and-faults.at-most-faults-time-faults', { atMost: rules.pass.atMost }),
    say('rulebooks.time-and-faults.within-the-time-limit'),
  ],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.time-and-faults.at-most-faults', { atMost: award.atMost }),
    })),
  say: (prepared, units) => {
    const count = pointsOf(prepared, rulesTotal(prepared) - units);
    return say('rulebooks.cost.points', { count, word: 'fault' });
  },
};
