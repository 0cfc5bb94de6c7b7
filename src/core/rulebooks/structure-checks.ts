import { type Failure, fail, findUnit, say } from '@/core/shared';
import { familyOf } from './families';
import { checkMultiple, repeated } from './families/checks';
import type { Structure } from './families/family';
import type { Cost, Fault } from './families/fault-schema';
import type { RuleBook } from './schema';

/**
 * What is wrong with the structures that rule books have in common: ids that are not there, names that
 * clash, and what the way of scoring has no place for, each with its path in the file.
 */
export function checkStructures(book: RuleBook): Failure[] {
  return [
    ...checkCannot(book),
    ...checkSizes(book),
    ...checkPhases(book),
    ...checkAcross(book),
    ...checkRest(book),
    ...book.rules.exercises.flatMap((exercise, e) =>
      exercise.faults.flatMap((fault, f) => checkFault(book, fault, `rules.exercises[${e}].faults[${f}]`)),
    ),
  ];
}

/** Structures that a book uses and its family cannot score, each where it is written. */
function checkCannot(book: RuleBook): Failure[] {
  const family = familyOf(book.rules);
  const used: (readonly [Structure, string])[] = [
    ...(book.phases ? [['phases', 'phases'] as const] : []),
    ...(book.across ? [['across', 'across'] as const] : []),
    ...(book.across ?? []).flatMap((one, i) =>
      one.cap === undefined ? [] : [['cap', `across[${i}].cap`] as const],
    ),
    ...book.rules.exercises.flatMap((exercise, e) => [
      ...('atLeast' in exercise && exercise.atLeast !== undefined
        ? [['atLeast', `rules.exercises[${e}].atLeast`] as const]
        : []),
      ...exercise.faults.flatMap((fault, f) =>
        (['warnings', 'nth'] as const).flatMap((key) =>
          fault[key] === undefined ? [] : [[key, `rules.exercises[${e}].faults[${f}].${key}`] as const],
        ),
      ),
    ]),
  ];
  return used
    .filter(([structure]) => family.cannot.includes(structure))
    .map(([structure, path]) =>
      fail('family', path, say('rulebooks.structures.cannot', { structure, family: family.title })),
    );
}

function checkSizes(book: RuleBook): Failure[] {
  const { sizes = [] } = book;
  const ids = sizes.map((one) => one.id as string);
  const wrong = (found: Readonly<Record<string, number>> | undefined, path: string): Failure[] =>
    Object.keys(found ?? {}).flatMap((id) =>
      ids.includes(id)
        ? []
        : [fail('unknown-size', `${path}.${id}`, say('rulebooks.structures.no-such-size', { id }))],
    );
  return [
    ...repeated(ids).map((id) => fail('duplicate', 'sizes', say('rulebooks.structures.two-sizes', { id }))),
    ...sizes.flatMap((size, i) => {
      const last = i === sizes.length - 1;
      if ((size.under === null) !== last)
        return [fail('sizes', `sizes[${i}].under`, say('rulebooks.structures.sizes-end', { last }))];
      const unit = size.under && findUnit('height', size.under.unit);
      if (unit && !unit.ok) return [fail(unit.code, `sizes[${i}].under.unit`, unit.message)];
      const before = sizes[i - 1]?.under;
      return size.under && before && before.unit === size.under.unit && before.value >= size.under.value
        ? [fail('sizes', `sizes[${i}].under`, say('rulebooks.structures.sizes-rise'))]
        : [];
    }),
    ...book.exercises.flatMap((exercise, e) =>
      exercise.parts.flatMap((part, p) =>
        part.demands.flatMap((demand, d) =>
          wrong(demand.bySize, `exercises[${e}].parts[${p}].demands[${d}].bySize`),
        ),
      ),
    ),
    ...book.rules.exercises.flatMap((exercise, e) =>
      exercise.faults.flatMap(({ cost }, f) =>
        wrong('bySize' in cost ? cost.bySize : undefined, `rules.exercises[${e}].faults[${f}].cost.bySize`),
      ),
    ),
  ];
}

const knownExercise = (book: RuleBook, id: string, path: string): Failure[] =>
  book.exercises.some((one) => one.id === id)
    ? []
    : [
        fail(
          'unknown-exercise',
          path,
          say('rulebooks.checks.there-is-no-exercise-in-this-rule', { exercise: id }),
        ),
      ];

const checkPhases = (book: RuleBook): Failure[] =>
  (book.phases ?? []).flatMap((phase, i) => [
    ...phase.exercises.flatMap((id, e) => knownExercise(book, id, `phases[${i}].exercises[${e}]`)),
    ...repeated(phase.exercises).map((id) =>
      fail('duplicate', `phases[${i}].exercises`, say('rulebooks.structures.twice-in-phase', { id })),
    ),
  ]);

function checkAcross(book: RuleBook): Failure[] {
  const { across = [] } = book;
  const named = book.rules.exercises.flatMap((exercise) => exercise.faults.map((fault) => fault.across));
  const step = smallestOf(book);
  return [
    ...repeated(across.map((one) => one.id)).map((id) =>
      fail('duplicate', 'across', say('rulebooks.structures.two-across', { id })),
    ),
    ...across.flatMap((one, i) => [
      ...(one.cap === undefined ? [] : checkMultiple(one.cap, step, `across[${i}].cap`)),
      ...(one.cap === undefined && one.warnings === undefined && one.nth === undefined
        ? [fail('across', `across[${i}]`, say('rulebooks.structures.across-does-nothing', { id: one.id }))]
        : []),
      ...(named.includes(one.id)
        ? []
        : [fail('across', `across[${i}].id`, say('rulebooks.structures.across-unused', { id: one.id }))]),
      ...checkOrder(one.warnings, one.nth, `across[${i}]`),
    ]),
  ];
}

/** The n-th time acts at once: while it would still be a warning it never could. */
const checkOrder = (warnings: number | undefined, nth: Fault['nth'], path: string): Failure[] =>
  warnings !== undefined && nth !== undefined && nth.at <= warnings
    ? [fail('nth', `${path}.nth.at`, say('rulebooks.structures.nth-is-a-warning', { at: nth.at, warnings }))]
    : [];

function checkFault(book: RuleBook, fault: Fault, path: string): Failure[] {
  const { across, warnings, nth, cost } = fault;
  const known = (book.across ?? []).find((one) => one.id === across);
  return [
    ...(across !== undefined && !known
      ? [fail('unknown-across', `${path}.across`, say('rulebooks.structures.no-such-across', { across }))]
      : []),
    ...(warnings !== undefined && known?.warnings !== undefined
      ? [fail('warnings', `${path}.warnings`, say('rulebooks.structures.warned-twice', { id: known.id }))]
      : []),
    ...((warnings !== undefined || known?.warnings !== undefined) && !isWarnable(cost)
      ? [
          fail(
            'warnings',
            `${path}.warnings`,
            say('rulebooks.structures.not-warnable', { title: fault.title }),
          ),
        ]
      : []),
    ...checkOrder(warnings, nth, path),
    ...(cost.kind === 'bonus' && (fault.miss || fault.stops || fault.again || nth)
      ? [fail('bonus', path, say('rulebooks.structures.bonus-is-no-fault', { title: fault.title }))]
      : []),
  ];
}

/** Measured or discretionary prices differ from mark to mark: which of them was the warning would matter. */
const isWarnable = ({ kind }: Cost): boolean =>
  kind !== 'per-second' &&
  kind !== 'per-metre' &&
  kind !== 'band' &&
  kind !== 'discretion' &&
  kind !== 'bonus';

function checkRest(book: RuleBook): Failure[] {
  const heights = (['tallest', 'smallest'] as const).flatMap((key) => {
    const found = book.entry?.[key];
    const unit = found && findUnit('height', found.unit);
    return unit && !unit.ok ? [fail(unit.code, `entry.${key}.unit`, unit.message)] : [];
  });
  const drawn = (what: 'order' | 'sides' | 'variants'): boolean => book.drawn?.includes(what) ?? false;
  const varied = book.exercises.some((exercise) => (exercise.variants ?? []).length > 0);
  return [
    ...heights,
    ...(book.ties ?? []).flatMap((tie, i) => {
      if (tie.by === 'exercise') return knownExercise(book, tie.exercise, `ties[${i}].exercise`);
      if (tie.by !== 'phase' || book.phases?.some((phase) => phase.title === tie.phase)) return [];
      return [
        fail(
          'unknown-phase',
          `ties[${i}].phase`,
          say('rulebooks.structures.no-such-phase', { phase: tie.phase }),
        ),
      ];
    }),
    ...(drawn('variants') && !varied
      ? [fail('variants', 'drawn', say('rulebooks.structures.no-variants'))]
      : []),
    ...(book.earns && book.earns.judges > book.earns.passes
      ? [
          fail(
            'earns',
            'earns.judges',
            say('rulebooks.structures.more-judges', {
              judges: book.earns.judges,
              passes: book.earns.passes,
            }),
          ),
        ]
      : []),
  ];
}

function smallestOf({ rules }: RuleBook): number {
  if ('smallestPoint' in rules) return rules.smallestPoint;
  if ('smallestMark' in rules) return rules.smallestMark;
  if ('smallestFault' in rules) return rules.smallestFault;
  return rules.family === 'measured' ? rules.smallest : 1;
}
