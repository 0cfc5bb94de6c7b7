import { type Failure, fail, ok, type Result, say } from '@/core/shared';
import { checkFaults, checkMultiple, repeated } from './checks';
import { type Family, failing, pointsOf } from './family';
import { gridOf, type Panel, panelsOf, topOf, type WeightedMarks } from './mark-panels';
import { bestAward, prepareFault, sum } from './prepare-faults';

/**
 * Weighted marks: a mark for each exercise (or each category of it) times its coefficient, the mean
 * over the judges that count. With 2 judges, 8 and 8.5 at coefficient 3 are (16 + 17) · 3 = 99 units
 * of a quarter point = 24.75.
 */
export const weightedMarks: Family<WeightedMarks> = {
  id: 'weighted-marks',
  title: say('rulebooks.weighted-marks.weighted-marks'),
  word: () => 'mark',
  full: topOf,
  cannot: [],
  check: (rules, outline) => {
    const top = topOf(rules);
    const ids = panelsOf(rules).map((panel) => panel.id);
    return [
      ...checkFaults(rules.exercises, outline, { smallest: rules.smallestMark, maximum: () => top }),
      ...checkMultiple(top, rules.smallestMark, 'smallestMark'),
      ...(rules.pass.eachMark === null
        ? []
        : [
            ...checkMultiple(rules.pass.eachMark, rules.smallestMark, 'pass.eachMark'),
            ...checkMark(rules.pass.eachMark, top, 'pass.eachMark'),
          ]),
      ...panelsOf(rules).flatMap((panel, i) => [
        ...(panel.counted < 1
          ? [
              fail(
                'judges',
                panel.id === '' ? 'dropExtremes' : `categories[${i}].judges`,
                say('rulebooks.weighted-marks.dropping-the-highest-and-the'),
              ),
            ]
          : []),
        ...(panel.atLeast === null ? [] : checkMark(panel.atLeast, top, `categories[${i}].atLeast`)),
      ]),
      ...repeated(ids).map((id) =>
        fail('duplicate', 'categories', say('rulebooks.weighted-marks.two-categories', { id })),
      ),
      ...rules.exercises.flatMap((exercise, e) => checkCategories(exercise, ids, `exercises[${e}]`)),
    ];
  },
  prepare: (rules, outline) => {
    const panels = panelsOf(rules);
    const { pointsPerUnit, step } = gridOf(rules, panels);
    const marks = 1 / rules.smallestMark;
    const inPanel = (value: number, panel: Panel, e: number): number =>
      Math.round(value * marks) * panel.counted * step(panel, e);
    const cells = rules.exercises.flatMap((_, e) => panels.map((panel) => ({ e, panel })));
    const maxima = cells.map(({ e, panel }) => inPanel(topOf(rules), panel, e));
    const maximum = sum(maxima);
    const first = (e: number): number => e * panels.length;
    const least = cells.map(({ e, panel }) => inPanel(rules.pass.eachMark ?? 0, panel, e));
    const floors = panels.flatMap((panel, p) => (panel.atLeast === null ? [] : [{ p, panel }]));
    const title = (id: string): string => outline.find((known) => known.id === id)?.title ?? id;
    const sumOf = (of: ArrayLike<number>, from: number): number => sum(of, from, from + panels.length);
    return {
      pointsPerUnit,
      line: Math.ceil((rules.pass.percent * maximum) / 100),
      exercises: rules.exercises.map((exercise, e) => ({
        exercise: exercise.exercise,
        cells: panels.map((panel, p) => ({
          key: panel.id,
          title: panel.title,
          maximum: maxima[first(e) + p] as number,
        })),
        // A price in marks is what every judge takes off.
        faults: exercise.faults.map((fault) => {
          const cell = Math.max(
            0,
            panels.findIndex((panel) => panel.id === (fault.category ?? '')),
          );
          const panel = panels[cell] as Panel;
          return prepareFault(fault, { cell, unit: marks * panel.counted * step(panel, e) });
        }),
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
        ...floors.map(({ panel }) => ({
          code: 'category',
          exercise: null,
          message: say('rulebooks.weighted-marks.a-mean-under-in', {
            atLeast: panel.atLeast,
            title: panel.title.toLowerCase(),
          }),
        })),
        ...(rules.zeroIsOut
          ? [{ code: 'zero', exercise: null, message: say('rulebooks.weighted-marks.a-zero-by-all') }]
          : []),
      ],
      judge: (kept, ended) =>
        failing([
          ended,
          sum(kept) * 100 < rules.pass.percent * maximum,
          ...rules.exercises.map((_, e) => sumOf(kept, first(e)) < sumOf(least, first(e))),
          // A mean over the run, compared as a sum: each exercise weighs as much as another.
          ...floors.map(({ p, panel }) => {
            let share = 0;
            for (let e = 0; e < rules.exercises.length; e++)
              share += (kept[first(e) + p] as number) / (maxima[first(e) + p] as number);
            return share * topOf(rules) < (panel.atLeast as number) * rules.exercises.length - 1e-9;
          }),
          ...(rules.zeroIsOut ? [cells.some((_, c) => kept[c] === 0)] : []),
        ]),
      award: (kept, passed) =>
        bestAward(
          rules.awards,
          passed,
          (award) => award.percent,
          (award) => sum(kept) * 100 >= award.percent * maximum,
        ),
      given: (e, given) => {
        let from = 0;
        const units: number[] = [];
        const asked = panels.reduce((all, panel) => all + panel.judges, 0);
        if (given.length !== asked)
          return fail(
            'given',
            '',
            say('rulebooks.weighted-marks.there-are-judges-and-marks', {
              judges: asked,
              marksCount: given.length,
            }),
          );
        for (const panel of panels) {
          const taken = meanOf(rules, given.slice(from, from + panel.judges));
          if (!taken.ok) return taken;
          units.push(taken.value * step(panel, e));
          from += panel.judges;
        }
        return ok(units);
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
    ...panelsOf(rules).flatMap(({ atLeast, title }) =>
      atLeast === null
        ? []
        : [say('rulebooks.weighted-marks.a-mean-of-or-more-in', { atLeast, title: title.toLowerCase() })],
    ),
    ...(rules.zeroIsOut ? [say('rulebooks.weighted-marks.no-zero-by-all')] : []),
  ],
  awards: (rules) =>
    rules.awards.map((award) => ({
      title: award.title,
      alsoBelow: award.alsoBelow,
      asks: say('rulebooks.weighted-marks.from', { percent: award.percent }),
    })),
  say: (prepared, units) => say('rulebooks.weighted-marks.points', { pointsOf: pointsOf(prepared, units) }),
};

/** Marks of one panel → the sum, in smallest steps, of those that count. */
function meanOf(rules: WeightedMarks, given: readonly number[]): Result<number> {
  const TOP = topOf(rules);
  const wrong = given.find(
    (one) => !(one >= 0 && one <= TOP) || checkMultiple(one, rules.smallestMark, '').length > 0,
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
  const sorted = given.map((one) => Math.round(one / rules.smallestMark)).sort((a, b) => a - b);
  return ok(sum(rules.dropExtremes ? sorted.slice(1, -1) : sorted));
}

const checkMark = (value: number, top: number, path: string): Failure[] =>
  value <= top
    ? []
    : [fail('impossible-pass', path, say('rulebooks.weighted-marks.above-top', { value, top }))];

function checkCategories(
  exercise: WeightedMarks['exercises'][number],
  ids: readonly string[],
  path: string,
): Failure[] {
  return exercise.faults.flatMap(({ category, title }, f) =>
    ids.includes(category ?? '')
      ? []
      : [
          fail(
            'unknown-category',
            `${path}.faults[${f}].category`,
            category === undefined
              ? say('rulebooks.weighted-marks.says-no-category', { title })
              : say('rulebooks.weighted-marks.no-such-category', { category }),
          ),
        ],
  );
}
