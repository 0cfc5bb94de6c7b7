import * as v from 'valibot';
import { type Failure, fail, ok, type Result, say, unreachable } from '@/core/shared';
import { checkFaults, checkMultiple, checkReachable } from './checks';
import { type Family, failing, pointsOf, rulesTotal } from './family';
import { alsoBelow, exerciseKey, faultEntries, points, pointsCost, text } from './fault-schema';
import { bestAward, oneCell, prepareFault, sum } from './prepare-faults';

const least = v.pipe(v.number(), v.finite(), v.minValue(0));

export const measuredSchema = v.strictObject({
  family: v.literal('measured'),
  /** Metres, points of zones, or seconds, of which fewer are better. */
  measure: v.picklist(['metres', 'zones', 'seconds']),
  /** The smallest step: 0.1 m, one point, 0.01 s. */
  smallest: points,
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      /** How often it is measured, and whether they are added up or the best one counts. */
      tries: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
      counts: v.picklist(['all', 'best']),
      /** The most that one try counts: the furthest, the best zone; of seconds the limit. */
      most: points,
      zones: v.optional(v.array(v.strictObject({ title: text, points: least }))),
      faults: v.array(v.strictObject({ ...faultEntries, cost: pointsCost })),
    }),
  ),
  /** At least so much in all; of seconds at most. */
  pass: v.strictObject({ line: points }),
  awards: v.array(v.strictObject({ title: text, line: points, alsoBelow })),
});
export type Measured = v.InferOutput<typeof measuredSchema>;
type Scored = Measured['exercises'][number];

const isTime = (rules: Measured): boolean => rules.measure === 'seconds';
/** How many tries add up. */
const counting = ({ tries, counts }: Scored): number => (counts === 'all' ? tries : 1);
const fullOf = (exercise: Scored | undefined): number => (exercise ? counting(exercise) * exercise.most : 0);

/**
 * Measured scores: metres, catches by zone, or seconds to a hundredth, of one try or several. Units
 * are smallest steps of what was reached; of time, of what was left of the limit, so that more is
 * better here too. Example: catches of 5, 0 and 3 points added → 8; 23.45 s of 30 s → 655 units.
 */
export const measured: Family<Measured> = {
  id: 'measured',
  title: say('rulebooks.measured.measured'),
  word: (rules) => {
    switch (rules.measure) {
      case 'metres':
        return 'metre';
      case 'seconds':
        return 'second';
      case 'zones':
        return 'point';
      default:
        return unreachable(rules.measure);
    }
  },
  full: (rules, e) => fullOf(rules.exercises[e]),
  cannot: ['phases', 'atLeast'],
  check: (rules, outline) => {
    const all = sum(rules.exercises.map(fullOf));
    return [
      ...checkFaults(rules.exercises, outline, {
        smallest: rules.smallest,
        maximum: (i) => fullOf(rules.exercises[i]),
      }),
      ...rules.exercises.flatMap((exercise, i) => checkTries(rules, exercise, `exercises[${i}]`)),
      ...checkMultiple(rules.pass.line, rules.smallest, 'pass.line'),
      ...(isTime(rules) ? [] : checkReachable(rules.pass.line, all, 'pass.line', 'points')),
      ...rules.awards.flatMap((award, i) => checkMultiple(award.line, rules.smallest, `awards[${i}].line`)),
    ];
  },
  prepare: (rules) => {
    const unit = 1 / rules.smallest;
    const units = (value: number): number => Math.round(value * unit);
    const most = rules.exercises.map((exercise) => units(fullOf(exercise)));
    const reached = (value: number): number => (isTime(rules) ? sum(most) - units(value) : units(value));
    return {
      pointsPerUnit: rules.smallest,
      line: reached(rules.pass.line),
      exercises: rules.exercises.map((exercise, e) => ({
        exercise: exercise.exercise,
        cells: oneCell(most[e] ?? 0),
        faults: exercise.faults.map((fault) => prepareFault(fault, { unit })),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.measured.the-run-is-ended') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.measured.misses', { line: rules.pass.line, measure: rules.measure }),
        },
      ],
      judge: (kept, ended) => failing([ended, sum(kept) < reached(rules.pass.line)]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => reached(award.line),
          (award) => sum(kept) >= reached(award.line),
        ),
      given: (e, values) => takenOf(rules, rules.exercises[e], values, units),
    };
  },
  passing: (rules) => [say('rulebooks.measured.reaches', { line: rules.pass.line, measure: rules.measure })],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.measured.from', { line: award.line, measure: rules.measure }),
    })),
  say: (prepared, units) =>
    say('rulebooks.cost.points', {
      count: pointsOf(prepared, prepared.word === 'second' ? rulesTotal(prepared) - units : units),
      word: prepared.word,
    }),
};

function takenOf(
  rules: Measured,
  exercise: Scored | undefined,
  values: readonly number[],
  units: (value: number) => number,
): Result<readonly number[]> {
  if (!exercise) return ok([0]);
  const { tries, most, zones } = exercise;
  if (values.length !== tries)
    return fail('given', '', say('rulebooks.measured.so-many-tries', { tries, count: values.length }));
  const wrong = values.find(
    (value) =>
      !(value >= 0 && value <= most) ||
      checkMultiple(value, rules.smallest, '').length > 0 ||
      (zones !== undefined && value !== 0 && !zones.some((zone) => zone.points === value)),
  );
  if (wrong !== undefined)
    return fail(
      'given',
      '',
      say('rulebooks.measured.no-such-value', { wrong, most, smallest: rules.smallest }),
    );
  const counted = values.map((value) => (isTime(rules) ? units(most) - units(value) : units(value)));
  return ok([exercise.counts === 'all' ? sum(counted) : Math.max(...counted)]);
}

function checkTries(rules: Measured, exercise: Scored, path: string): Failure[] {
  const best = Math.max(0, ...(exercise.zones ?? []).map((zone) => zone.points));
  return [
    ...checkMultiple(exercise.most, rules.smallest, `${path}.most`),
    ...((rules.measure === 'zones') === (exercise.zones !== undefined)
      ? []
      : [fail('zones', `${path}.zones`, say('rulebooks.measured.zones', { measure: rules.measure }))]),
    ...(exercise.zones && best !== exercise.most
      ? [fail('zones', `${path}.most`, say('rulebooks.measured.best-zone', { best, most: exercise.most }))]
      : []),
  ];
}
