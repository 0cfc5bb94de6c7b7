import type { PreparedRules, RuleBook, Score } from '@/core/rulebooks';
import type { SizeKey } from '@/core/shared';

/** One dog of a class as it is placed: the score that counts, and seconds where a watch has run. */
export type ToPlace = {
  readonly key: string;
  readonly size: SizeKey | null;
  readonly rules: PreparedRules;
  readonly score: Score;
  readonly seconds: number | null;
};

type Tie = NonNullable<RuleBook['ties']>[number];

export type Placing = {
  readonly key: string;
  readonly size: SizeKey | null;
  /** Within its class of size; null where it did not pass. Dogs that nothing tells apart share one. */
  readonly place: number | null;
  /** What set it off from the dog after it that has as many points; null where points did. */
  readonly toldBy: Tie | null;
  /** With others on its place: a run-off or a draw decides, where the book says so. */
  readonly shares: 'run-off' | 'draw' | 'place' | null;
};

/**
 * Places the dogs of a class that passed, each class of size by itself, in the order of the book: by points,
 * then by each of the book’s tie-breaks. A run-off and a draw are not run here: who stands before one shares
 * the place until it is decided. Dogs that did not pass have none. The order in which they come does not matter.
 * 80, 76 and 76 points, no tie-break → 1, 2, 2.
 */
export function placings(book: RuleBook, dogs: readonly ToPlace[]): Placing[] {
  const sizes: (SizeKey | null)[] = book.sizes ? [...book.sizes.map(({ id }) => id), null] : [null];
  return sizes.flatMap((size) => {
    const here = dogs.filter((dog) => (book.sizes ? dog.size : null) === size);
    const passed = here.filter(({ score }) => score.passed);
    const keyOf = new Map(passed.map((dog) => [dog.key, ranks(book, dog)]));
    const sorted = passed.toSorted(
      (a, b) => order(keyOf.get(a.key), keyOf.get(b.key)).by || (a.key < b.key ? -1 : 1),
    );
    const placed: Placing[] = [];
    for (const [i, dog] of sorted.entries()) {
      const [before, after] = [sorted[i - 1], sorted[i + 1]];
      const same = (one: ToPlace | undefined): boolean =>
        one !== undefined && order(keyOf.get(one.key), keyOf.get(dog.key)).by === 0;
      const told = after && !same(after) ? order(keyOf.get(dog.key), keyOf.get(after.key)).at : 0;
      placed.push({
        key: dog.key,
        size,
        place: same(before) ? (placed.at(-1)?.place ?? i + 1) : i + 1,
        toldBy: told > 0 ? (breaks(book)[told - 1] ?? null) : null,
        shares: same(before) || same(after) ? (decider(book) ?? 'place') : null,
      });
    }
    return [
      ...placed,
      ...here
        .filter(({ score }) => !score.passed)
        .map(({ key }): Placing => ({ key, size, place: null, toldBy: null, shares: null })),
    ];
  });
}

/** Tie-breaks that a sheet can tell; what comes after a run-off or a draw is never asked. */
function breaks({ ties = [] }: RuleBook): Tie[] {
  const end = ties.findIndex(({ by }) => by === 'run-off' || by === 'draw');
  return end < 0 ? ties : ties.slice(0, end);
}

const decider = ({ ties = [] }: RuleBook): 'run-off' | 'draw' | null => {
  const found = ties.find(({ by }) => by === 'run-off' || by === 'draw')?.by;
  return found === 'run-off' || found === 'draw' ? found : null;
};

/** Points and what tells equal ones apart, each more is better. */
function ranks(book: RuleBook, dog: ToPlace): number[] {
  return [dog.score.units, ...breaks(book).map((tie) => rank(book, tie, dog))];
}

function rank(book: RuleBook, tie: Tie, { score, rules, seconds }: ToPlace): number {
  const units = (wanted: (exercise: string) => boolean): number =>
    score.exercises.filter((one) => wanted(one.exercise)).reduce((sum, one) => sum + one.units, 0);
  switch (tie.by) {
    case 'exercise':
      return units((exercise) => exercise === tie.exercise);
    case 'phase': {
      const phase = book.phases?.find(({ title }) => title === tie.phase)?.exercises ?? [];
      return units((exercise) => phase.some((one) => one === exercise));
    }
    case 'faults':
      return -faultUnits(rules, score);
    case 'time':
      return seconds === null ? Number.NEGATIVE_INFINITY : -seconds;
    default:
      return 0;
  }
}

/** What faults took, time left out: which exercises charge nothing but seconds is known by their faults. */
function faultUnits(rules: PreparedRules, score: Score): number {
  return score.exercises.reduce((sum, one) => {
    const faults = rules.exercises.find((each) => each.exercise === one.exercise)?.faults ?? [];
    const onlyTime = faults.length > 0 && faults.every(({ fault }) => fault.cost.kind === 'per-second');
    return onlyTime ? sum : sum + (one.maximum - one.units);
  }, 0);
}

/** Which of two comes first, and at which of the ranks they differ. */
function order(
  a: readonly number[] = [],
  b: readonly number[] = [],
): { readonly by: number; readonly at: number } {
  const at = a.findIndex((one, i) => one !== b[i]);
  return at < 0 ? { by: 0, at } : { by: (b[at] ?? 0) > (a[at] ?? 0) ? 1 : -1, at };
}
