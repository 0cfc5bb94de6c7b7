import { type ExerciseKey, type Failure, fail, findUnit, say } from '@/core/shared';
import type { Outline } from './family';
import type { Cost, Fault } from './fault-schema';

type Scored = readonly { readonly exercise: ExerciseKey; readonly faults: readonly Fault[] }[];
export type CheckSetting = {
  /** The smallest step of a price; every price is a whole multiple of it. */
  readonly smallest: number;
  /** The most that an exercise can lose, for caps. */
  readonly maximum: (index: number) => number;
};

/** What can be wrong with the faults of any family, all at once; paths are relative to `rules`. */
export function checkFaults(exercises: Scored, outline: Outline, setting: CheckSetting): Failure[] {
  return [
    ...checkList(exercises, outline),
    ...exercises.flatMap((exercise, i) => checkExercise(exercise, outline, setting, i)),
  ];
}

function checkList(exercises: Scored, outline: Outline): Failure[] {
  const scored = exercises.map((exercise) => exercise.exercise);
  const missing = outline.filter((exercise) => !scored.includes(exercise.id));
  const disordered =
    missing.length === 0 &&
    outline.length === scored.length &&
    outline.some((exercise, i) => exercise.id !== scored[i]);
  return [
    ...missing.map((exercise) =>
      fail(
        'unscored',
        'exercises',
        say('rulebooks.checks.exercise-has-no-faults-and-no', { id: exercise.id }),
      ),
    ),
    ...repeated(scored).map((id) =>
      fail('duplicate', 'exercises', say('rulebooks.checks.exercise-is-scored-twice-keep-one', { id })),
    ),
    ...(disordered
      ? [fail('order', 'exercises', say('rulebooks.checks.the-rules-list-the-exercises-in'))]
      : []),
  ];
}

function checkExercise(
  exercise: Scored[number],
  outline: Outline,
  setting: CheckSetting,
  index: number,
): Failure[] {
  const path = `exercises[${index}]`;
  const known = outline.find((other) => other.id === exercise.exercise);
  if (!known)
    return [
      fail(
        'unknown-exercise',
        `${path}.exercise`,
        say('rulebooks.checks.there-is-no-exercise-in-this-rule', { exercise: exercise.exercise }),
      ),
    ];
  const unmissed = known.parts.filter(
    (part) => !exercise.faults.some((fault) => fault.miss && fault.by === 'dog' && fault.part === part.id),
  );
  return [
    ...repeated(exercise.faults.map((fault) => fault.id)).map((id) =>
      fail('duplicate', `${path}.faults`, say('rulebooks.checks.two-faults-are-called-rename-one', { id })),
    ),
    ...unmissed.map((part) =>
      fail(
        'no-miss',
        `${path}.faults`,
        say('rulebooks.checks.nothing-says-what-is-charged-when', { id: part.id }),
      ),
    ),
    ...exercise.faults.flatMap((fault, i) => [
      ...checkOwner(fault, known.parts, `${path}.faults[${i}]`),
      ...checkCost(fault.cost, setting, setting.maximum(index), `${path}.faults[${i}].cost`),
    ]),
  ];
}

function checkOwner(fault: Fault, parts: Outline[number]['parts'], path: string): Failure[] {
  if (fault.part === null)
    return fault.by === 'dog'
      ? [
          fail(
            'unowned',
            `${path}.part`,
            say('rulebooks.checks.a-fault-of-the-dog-belongs-to-a', { id: fault.id }),
          ),
        ]
      : [];
  if (parts.some((part) => part.id === fault.part)) return [];
  const ids = parts.map((part) => part.id).join(', ');
  return [
    fail(
      'unknown-part',
      `${path}.part`,
      say('rulebooks.checks.is-not-a-part-of-this-exercise', { part: fault.part, ids }),
    ),
  ];
}

function checkCost(cost: Cost, setting: CheckSetting, maximum: number, path: string): Failure[] {
  switch (cost.kind) {
    case 'zero':
    case 'end-run':
    case 'major':
    case 'attempt':
    case 'cue':
      return [];
    case 'band':
      return checkBands(cost, setting, path);
    case 'bonus':
      return [
        ...checkMultiple(cost.points, setting.smallest, `${path}.points`),
        ...(cost.cap === undefined ? [] : checkMultiple(cost.cap, setting.smallest, `${path}.cap`)),
      ];
    case 'discretion':
      return [
        ...(['low', 'usual', 'high'] as const).flatMap((key) =>
          checkMultiple(cost[key], setting.smallest, `${path}.${key}`),
        ),
        ...(cost.low <= cost.usual && cost.usual <= cost.high
          ? []
          : [fail('discretion', path, say('rulebooks.checks.the-low-price-must-not-be-above'))]),
      ];
    default:
      return [
        ...checkMultiple(cost.points, setting.smallest, `${path}.points`),
        ...checkCap(cost, setting, maximum, path),
        ...('acts' in cost && cost.acts && cost.acts.over < cost.beyond
          ? [fail('acts', `${path}.acts.over`, say('rulebooks.checks.acts-before-it-costs', cost.acts))]
          : []),
      ];
  }
}

function checkCap(
  cost: { readonly points: number; readonly cap?: number | undefined },
  setting: CheckSetting,
  maximum: number,
  path: string,
): Failure[] {
  const { cap, points } = cost;
  if (cap === undefined) return [];
  return [
    ...checkMultiple(cap, setting.smallest, `${path}.cap`),
    ...(cap < points
      ? [
          fail(
            'cap',
            `${path}.cap`,
            say('rulebooks.checks.the-cap-is-below-the-price-of-one', { cap, points }),
          ),
        ]
      : []),
    ...(cap > maximum
      ? [fail('cap', `${path}.cap`, say('rulebooks.checks.the-cap-is-above-the-exercises', { cap, maximum }))]
      : []),
  ];
}

function checkBands(cost: Extract<Cost, { kind: 'band' }>, setting: CheckSetting, path: string): Failure[] {
  const unit = findUnit(cost.quantity, cost.unit);
  const overlapping = cost.bands.flatMap((band, i) => {
    const before = cost.bands[i - 1];
    const rises = !before || (band.over > before.over && band.points > before.points);
    return rises
      ? []
      : [fail('bands', `${path}.bands[${i}]`, say('rulebooks.checks.bands-must-rise-in-both-the-limit'))];
  });
  return [
    ...(unit.ok ? [] : [fail(unit.code, `${path}.unit`, unit.message)]),
    ...cost.bands.flatMap((band, i) =>
      checkMultiple(band.points, setting.smallest, `${path}.bands[${i}].points`),
    ),
    ...overlapping,
  ];
}

/** Whether a number is a whole multiple of the smallest step; exact integers depend on it. */
export function checkMultiple(value: number, smallest: number, path: string): Failure[] {
  const steps = value / smallest;
  if (Math.abs(steps - Math.round(steps)) < 1e-9) return [];
  return [
    fail('multiple', path, say('rulebooks.checks.is-not-a-whole-number-of-steps-of', { value, smallest })),
  ];
}

/** Whether what judges gave outright is one number, from 0 to the maximum, in whole steps. */
export const isOneMark = (marks: readonly number[], maximum: number, smallest: number): boolean =>
  marks.length === 1 &&
  marks.every((mark) => mark >= 0 && mark <= maximum && checkMultiple(mark, smallest, '').length === 0);

/** A line that nobody can reach. */
export function checkReachable(line: number, maximum: number, path: string, word: string): Failure[] {
  return line > maximum
    ? [
        fail(
          'impossible-pass',
          path,
          say('rulebooks.checks.the-pass-line-is-above-the-maximum', { line, maximum, word }),
        ),
      ]
    : [];
}

/** What stands in a list more than once, each once. `repeated([1, 2, 1, 1])` → [1]. */
export function repeated<T>(items: readonly T[]): T[] {
  return [...new Set(items.filter((item, i) => items.indexOf(item) !== i))];
}
