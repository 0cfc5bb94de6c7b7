import { type SizeKey, say } from '@/core/shared';
import { familyOf, type Rules } from './families';
import {
  type Condition,
  cellTotal,
  type FamilyRules,
  type PreparedAcross,
  type PreparedExercise,
  type PreparedRules,
} from './families/family';
import { NO_CAP } from './families/prepare-faults';
import type { RuleBook } from './schema';
import { bookForSize } from './sizes';
import type { Structures } from './structures';

/** Of a rule book, what its scores depend on. */
export type ScoredBook = Pick<RuleBook, 'rules' | 'exercises'> &
  Pick<Structures, 'sizes' | 'phases' | 'across' | 'runs' | 'drawn'>;

/**
 * Rules made ready to score many sheets: costs in whole units, faults by place, limits as they are
 * for a dog of this size (the book’s own where none is said). The book must have passed
 * `readRuleBook`; 20 points in steps of half a point → a maximum of 40 units.
 */
export function prepareRules(book: ScoredBook, size: SizeKey | null = null): PreparedRules {
  const { rules, exercises, phases = [], across = [], runs, drawn = [] } = bookForSize(book, size);
  const family = familyOf(rules);
  const prepared = family.prepare(rules, exercises);
  const places = across.map((one) => one.id);
  const scored = prepared.exercises.map((exercise) => ({
    ...exercise,
    faults: exercise.faults.map((one) => ({
      ...one,
      across: one.fault.across === undefined ? -1 : places.indexOf(one.fault.across),
    })),
  }));
  const least = [...ownMinima(rules, exercises, prepared), ...phaseMinima(phases, prepared)];
  return {
    ...prepared,
    exercises: scored,
    word: family.word(rules),
    across: across.map((one) => preparedAcross(one, prepared.pointsPerUnit)),
    runs: runs ?? ONE_RUN,
    days: scored.map(({ exercise }) => (exercises.find((one) => one.id === exercise)?.day ?? 1) - 1),
    drawsOrder: drawn.includes('order'),
    tries: scored.map((exercise, e) => triesOf(exercise, rules.exercises[e], across)),
    conditions: [...prepared.conditions, ...least.map((one) => one.condition)],
    judge: least.length === 0 ? prepared.judge : withMinima(prepared, least),
  };
}

/** How often a part is tried that may be tried again and whose refusals nothing counts: declared. */
const USUAL_TRIES = 3;

/** How often the whole exercise may be tried, and each of its parts where a fault has it tried again. */
function triesOf(
  { faults }: PreparedExercise,
  scored: Rules['exercises'][number] | undefined,
  across: NonNullable<Structures['across']>,
): PreparedRules['tries'][number] {
  const again = faults.filter((one) => one.fault.again);
  const limits = again.map(({ nth, across: counted }) => nth?.at ?? across[counted]?.nth?.at ?? USUAL_TRIES);
  return {
    whole: scored && 'attempts' in scored ? scored.attempts : 1,
    part: again.length === 0 ? 1 : Math.max(...limits),
  };
}

const ONE_RUN: PreparedRules['runs'] = { count: 1, counts: 'best' };

type Least = { readonly condition: Condition; readonly cells: readonly number[]; readonly units: number };

function ownMinima(rules: Rules, outline: ScoredBook['exercises'], prepared: FamilyRules): Least[] {
  const family = familyOf(rules);
  return rules.exercises.flatMap((exercise, e): Least[] => {
    const scored = prepared.exercises[e];
    if (!scored || !('atLeast' in exercise) || exercise.atLeast === undefined) return [];
    const title = outline.find((one) => one.id === exercise.exercise)?.title ?? exercise.exercise;
    const { atLeast } = exercise;
    return [
      {
        condition: {
          code: 'minimum',
          exercise: exercise.exercise,
          message: say('rulebooks.prepare.own-minimum', { atLeast, title }),
        },
        cells: cellsOf(prepared, [e]),
        // Rounded up, so that a share of a unit is never forgiven; noise of some 1e-12 is no share.
        units: Math.ceil((atLeast / family.full(rules, e)) * cellTotal(scored) - 1e-9),
      },
    ];
  });
}

const phaseMinima = (phases: NonNullable<Structures['phases']>, prepared: FamilyRules): Least[] =>
  phases.map(({ title, exercises, atLeast }) => ({
    condition: { code: 'phase', exercise: null, message: say('rulebooks.prepare.phase', { atLeast, title }) },
    cells: cellsOf(
      prepared,
      exercises.map((id) => prepared.exercises.findIndex((one) => one.exercise === id)),
    ),
    units: Math.ceil(atLeast / prepared.pointsPerUnit - 1e-9),
  }));

/** The places of the cells of some exercises among those of the whole class. */
function cellsOf({ exercises }: FamilyRules, places: readonly number[]): number[] {
  let first = 0;
  return exercises.flatMap(({ cells }, e) => {
    const from = first;
    first += cells.length;
    return places.includes(e) ? cells.map((_, c) => from + c) : [];
  });
}

function withMinima(prepared: FamilyRules, least: readonly Least[]): PreparedRules['judge'] {
  const first = prepared.conditions.length;
  return (kept, ended, majors) => {
    const failed = [...prepared.judge(kept, ended, majors)];
    for (const [i, { cells, units }] of least.entries()) {
      let sum = 0;
      for (const cell of cells) sum += kept[cell] as number;
      if (sum < units) failed.push(first + i);
    }
    return failed;
  };
}

const preparedAcross = (
  { cap, warnings, nth }: NonNullable<Structures['across']>[number],
  pointsPerUnit: number,
): PreparedAcross => ({
  cap: cap === undefined ? NO_CAP : Math.round(cap / pointsPerUnit),
  warnings: warnings ?? 0,
  nth: nth ?? null,
});
