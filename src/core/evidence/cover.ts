import { countsAsEvidence, type EvidenceRep } from '@/core/log';

/**
 * One cell of the coverage table: reps under one option of one condition, and their clean rate
 * pooled towards that of all.
 */
export type CoverCell = {
  readonly option: string;
  readonly reps: number;
  readonly clean: number;
  readonly rate: number | null;
};
export type CoverRow = {
  readonly condition: string;
  readonly cells: readonly CoverCell[];
  readonly never: readonly string[];
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
  reps: readonly EvidenceRep[],
  conditions: readonly { readonly title: string; readonly options: readonly string[] }[],
): CoverRow[] {
  const counted = reps.filter(countsAsEvidence);
  const overall =
    counted.length === 0 ? 0 : counted.filter((rep) => rep.outcome === 'clean').length / counted.length;
  const cell = (option: string, wanted: (rep: EvidenceRep) => boolean): CoverCell => {
    const found = counted.filter(wanted);
    const clean = found.filter((rep) => rep.outcome === 'clean').length;
    return {
      option,
      reps: found.length,
      clean,
      rate: found.length === 0 ? null : (clean + POOL * overall) / (found.length + POOL),
    };
  };
  const row = (condition: string, cells: readonly CoverCell[]): CoverRow => ({
    condition,
    cells,
    never: cells.filter((one) => one.reps === 0).map((one) => one.option),
  });
  return [
    row('Place', [cell('usual', (rep) => !rep.away), cell('away', (rep) => rep.away)]),
    row('Pay', [
      cell('paid', (rep) => rep.pay !== undefined && rep.pay !== 'none'),
      cell('not paid', (rep) => rep.pay === 'none'),
    ]),
    ...conditions.map(({ title, options }) =>
      row(
        title,
        options.map((option) => cell(option, (rep) => rep.conditions?.[title] === option)),
      ),
    ),
  ];
}
