import { type Sentence, say } from '@/core/shared';
import type { BoutCell } from './bout-cells';
import type { BoutEvidence } from './bout-evidence';

/**
 * One cell of the coverage table: reps under one option of one condition, and their clean rate
 * pooled towards that of all.
 */
export type CoverCell = {
  readonly option: string | Sentence;
  readonly reps: number;
  readonly clean: number;
  readonly rate: number | null;
};
export type CoverRow = {
  readonly condition: string | Sentence;
  readonly cells: readonly CoverCell[];
  readonly never: readonly (string | Sentence)[];
};

/**
 * A cell's own rate counts for what its reps outweigh: so many imagined reps at the element's rate
 * are added.
 */
const POOL = 4;

/**
 * Under which conditions an element has been trained: home and away, and each of its own
 * conditions. Pooled rates by empirical Bayes with a fixed weight of 4 reps (Efron & Morris 1975);
 * a cell without reps has none, and is named.
 */
export function coverOf(
  bouts: readonly BoutEvidence[],
  conditions: readonly { readonly title: string; readonly options: readonly string[] }[],
): CoverRow[] {
  const cells = bouts.flatMap((one) => one.cells);
  const sum = (wanted: (cell: BoutCell) => boolean): { reps: number; clean: number } => {
    let [reps, clean] = [0, 0];
    for (const cell of cells) {
      if (!wanted(cell)) continue;
      reps += cell.clean + cell.notClean;
      clean += cell.clean;
    }
    return { reps, clean };
  };
  const all = sum(() => true);
  const overall = all.reps === 0 ? 0 : all.clean / all.reps;
  const cell = (option: string | Sentence, { reps, clean }: { reps: number; clean: number }): CoverCell => ({
    option,
    reps,
    clean,
    rate: reps === 0 ? null : (clean + POOL * overall) / (reps + POOL),
  });
  const paid = (which: 'paid' | 'unpaid') => ({
    reps: bouts.reduce((total, one) => total + one[which].reps, 0),
    clean: bouts.reduce((total, one) => total + one[which].clean, 0),
  });
  const row = (condition: string | Sentence, of: readonly CoverCell[]): CoverRow => ({
    condition,
    cells: of,
    never: of.filter((one) => one.reps === 0).map((one) => one.option),
  });
  return [
    row(say('evidence.cover.place'), [
      cell(
        say('evidence.cover.usual'),
        sum((one) => !one.away),
      ),
      cell(
        say('evidence.cover.away'),
        sum((one) => one.away),
      ),
    ]),
    row(say('evidence.cover.pay'), [
      cell(say('evidence.cover.paid'), paid('paid')),
      cell(say('evidence.cover.not-paid'), paid('unpaid')),
    ]),
    ...[...conditions, ...chipsOf(cells, conditions)].map(({ title, options }) =>
      row(
        title,
        options.map((option) =>
          cell(
            option,
            sum((one) => one.conditions[title] === option),
          ),
        ),
      ),
    ),
  ];
}

/** What was said of reps besides the element's own conditions (the word, who handled it), as it came. */
function chipsOf(
  cells: readonly BoutCell[],
  known: readonly { readonly title: string }[],
): { readonly title: string; readonly options: readonly string[] }[] {
  const found = new Map<string, Set<string>>();
  for (const { conditions } of cells)
    for (const [title, option] of Object.entries(conditions)) {
      if (known.some((one) => one.title === title)) continue;
      found.set(title, (found.get(title) ?? new Set()).add(option));
    }
  return [...found].sort().map(([title, options]) => ({ title, options: [...options].sort() }));
}
