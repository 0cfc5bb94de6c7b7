import * as v from 'valibot';
import { fail, ok, say, schemaSays } from '@/core/shared';
import { checkFaults, checkMultiple, repeated } from './checks';
import { type Family, failing, pointsOf } from './family';
import { alsoBelow, deductiveCost, exerciseKey, faultEntries, points, text } from './fault-schema';
import { bestAward, prepareFault, sum } from './prepare-faults';

const TOP = 10;
const mark = v.pipe(v.number(), v.minValue(0), v.maxValue(TOP));

export const abilitiesSchema = v.strictObject({
  family: v.literal('abilities'),
  smallestMark: points,
  /** What is judged in every series, each with the least mean over the series. */
  abilities: v.pipe(
    v.array(v.strictObject({ id: text, title: text, atLeast: mark })),
    v.minLength(1, schemaSays('rulebooks.abilities.needs-at-least-one-ability')),
  ),
  /** The least mean over all abilities and series. */
  overall: mark,
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      /** Which abilities this series judges. */
      judges: v.pipe(
        v.array(text),
        v.minLength(1, schemaSays('rulebooks.abilities.a-series-judges-at-least-one')),
      ),
      faults: v.array(v.strictObject({ ...faultEntries, ability: text, cost: deductiveCost })),
    }),
  ),
  awards: v.array(v.strictObject({ title: text, atLeast: mark, alsoBelow })),
});
export type Abilities = v.InferOutput<typeof abilitiesSchema>;

/**
 * Abilities: in each series each judged ability has a mark of 0–10. Passing asks a mean for every
 * ability and one over all; an automatic fail ends the run. Means are compared as sums, times the
 * number of marks, so nothing is rounded: 5 and 6 against a mean of 5.5 is 22 ≥ 22 half marks.
 */
export const abilities: Family<Abilities> = {
  id: 'abilities',
  title: say('rulebooks.abilities.abilities'),
  word: () => 'mark',
  full: () => TOP,
  cannot: ['phases', 'atLeast', 'cap'],
  check: (rules, outline) => {
    const known = rules.abilities.map((ability) => ability.id);
    const unjudged = rules.abilities.filter(
      (ability) => !rules.exercises.some((series) => series.judges.includes(ability.id)),
    );
    return [
      ...checkFaults(rules.exercises, outline, { smallest: rules.smallestMark, maximum: () => TOP }),
      ...checkMultiple(TOP, rules.smallestMark, 'smallestMark'),
      ...rules.abilities.flatMap((ability, i) =>
        checkMultiple(ability.atLeast, rules.smallestMark, `abilities[${i}].atLeast`),
      ),
      ...checkMultiple(rules.overall, rules.smallestMark, 'overall'),
      ...repeated(known).map((id) =>
        fail('duplicate', 'abilities', say('rulebooks.abilities.two-abilities-are-called-rename', { id })),
      ),
      ...unjudged.map((ability) =>
        fail(
          'unjudged',
          'abilities',
          say('rulebooks.abilities.no-series-judges-nobody-could', { id: ability.id }),
        ),
      ),
      ...rules.exercises.flatMap((series, e) => [
        ...series.judges.flatMap((id, j) =>
          known.includes(id)
            ? []
            : [
                fail(
                  'unknown-ability',
                  `exercises[${e}].judges[${j}]`,
                  say('rulebooks.abilities.there-is-no-ability-these-are', {
                    id,
                    known: { list: known, between: ', ' },
                  }),
                ),
              ],
        ),
        ...repeated(series.judges).map((id) =>
          fail(
            'duplicate',
            `exercises[${e}].judges`,
            say('rulebooks.abilities.is-judged-twice-in-one-series', { id }),
          ),
        ),
        ...series.faults.flatMap((fault, f) =>
          series.judges.includes(fault.ability)
            ? []
            : [
                fail(
                  'unknown-ability',
                  `exercises[${e}].faults[${f}].ability`,
                  say('rulebooks.abilities.this-series-does-not-judge-it', {
                    ability: fault.ability,
                    judges: { list: series.judges, between: ', ' },
                  }),
                ),
              ],
        ),
      ]),
    ];
  },
  prepare: (rules) => {
    const step = 1 / rules.smallestMark;
    const top = Math.round(TOP * step);
    const cells = rules.exercises.flatMap((series) => series.judges);
    const needs = rules.abilities.map((ability) => {
      const places = cells.flatMap((id, cell) => (id === ability.id ? [cell] : []));
      return { places, least: Math.round(ability.atLeast * step) * places.length };
    });
    const overall = Math.round(rules.overall * step) * cells.length;
    return {
      pointsPerUnit: rules.smallestMark,
      line: overall,
      exercises: rules.exercises.map((series) => ({
        exercise: series.exercise,
        cells: series.judges.map((id) => ({
          key: id,
          title: rules.abilities.find((ability) => ability.id === id)?.title ?? id,
          maximum: top,
        })),
        faults: series.faults.map((fault) =>
          prepareFault(fault, { unit: step, cell: series.judges.indexOf(fault.ability) }),
        ),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.abilities.an-automatic-fail') },
        {
          code: 'total',
          exercise: null,
          message: say('rulebooks.abilities.a-mean-under-over-all', { overall: rules.overall }),
        },
        ...rules.abilities.map((ability) => ({
          code: 'ability',
          exercise: null,
          message: say('rulebooks.abilities.a-mean-under-in', {
            atLeast: ability.atLeast,
            title: ability.title.toLowerCase(),
          }),
        })),
      ],
      judge: (kept, ended) =>
        failing([
          ended,
          sum(kept) < overall,
          ...needs.map(
            ({ places, least }) =>
              places.reduce((reached, place) => reached + (kept[place] as number), 0) < least,
          ),
        ]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => award.atLeast,
          (award) => sum(kept) >= Math.round(award.atLeast * step) * cells.length,
        ),
      given: (e, marks) => {
        const judged = rules.exercises[e]?.judges.length ?? 0;
        if (marks.length !== judged)
          return fail(
            'given',
            '',
            say('rulebooks.abilities.this-series-judges-abilities-there', {
              judged,
              marksCount: marks.length,
            }),
          );
        const wrong = marks.find(
          (one) => !(one >= 0 && one <= TOP) || checkMultiple(one, rules.smallestMark, '').length > 0,
        );
        return wrong === undefined
          ? ok(marks.map((one) => Math.round(one * step)))
          : fail(
              'given',
              '',
              say('rulebooks.abilities.is-not-a-mark-0-to-in-steps-of', {
                wrong,
                TOP,
                smallestMark: rules.smallestMark,
              }),
            );
      },
    };
  },
  passing: (rules) => [
    say('rulebooks.abilities.a-mean-of-or-more-over-all-marks', { overall: rules.overall }),
    ...rules.abilities
      .filter((ability) => ability.atLeast > 0)
      .map((ability) =>
        say('rulebooks.abilities.a-mean-of-or-more-in', {
          atLeast: ability.atLeast,
          title: ability.title.toLowerCase(),
        }),
      ),
    say('rulebooks.abilities.no-automatic-fail'),
  ],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.abilities.mean-from', { atLeast: award.atLeast }),
    })),
  say: (prepared, units) => say('rulebooks.abilities.marks-in-all', { pointsOf: pointsOf(prepared, units) }),
};
