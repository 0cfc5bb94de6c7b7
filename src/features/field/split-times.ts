import { quantile } from '@/core/statistics';
import { writeDigits } from '@/words';
import type { PadView } from './pad-view';

export type SplitRow = { readonly key: string; readonly title: string; readonly times: readonly string[] };

/**
 * Seconds of each link of the whole runs of a bout, the median of those in which the link was done: all of
 * them first, then by each side that was said (two or more). A link that broke has no time.
 */
export function splitRows({ by, reps, chips }: Pick<PadView, 'by' | 'reps' | 'chips'>): {
  readonly sides: readonly string[];
  readonly rows: readonly SplitRow[];
} {
  if (by.kind !== 'whole') return { sides: [], rows: [] };
  const side = chips.find((row) => /side/i.test(row.key))?.key;
  const runs = reps.flatMap((rep) => {
    const { run } = rep.seen;
    if (run?.kind !== 'chain' || !run.splits || rep.judged.void) return [];
    const ends = run.splits;
    return [
      {
        side: (side && rep.asked.chips[side]) || '',
        seconds: ends.map((end, i) => end - (ends[i - 1] ?? 0)),
      },
    ];
  });
  if (runs.length === 0) return { sides: [], rows: [] };
  const said = [...new Set(runs.map((run) => run.side))].filter((one) => one !== '').sort();
  const sides = ['', ...(said.length > 1 ? said : [])];
  const rows = by.links.map(({ title }, place) => ({
    key: `${place} ${title}`,
    title,
    times: sides.map((of) =>
      middle(runs.filter((run) => of === '' || run.side === of).flatMap((run) => run.seconds[place] ?? [])),
    ),
  }));
  return { sides, rows };
}

const middle = (seconds: readonly number[]): string =>
  seconds.length === 0
    ? '–'
    : writeDigits(
        quantile(
          [...seconds].sort((a, b) => a - b),
          0.5,
        ),
        1,
      );
