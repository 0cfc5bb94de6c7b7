import { sameCriteria } from '@/core/breakdown';
import { tallyAt } from '@/core/evidence';
import { asEvidence, countsAsEvidence, type Folded, type StandingRep } from '@/core/log';
import { type Hindsight, hindsightOf } from '@/core/review';
import type { Day } from '@/core/shared';
import { quantile } from '@/core/statistics';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { type DatedBout, logged, withDays } from './bouts';
import { keptOn } from './evidence';

/** What a bout looks like from afterwards. */
export type LookBack = {
  readonly hindsight: Hindsight;
  /** The counted reps that it was told from, in their order. */
  readonly counted: readonly StandingRep[];
  /** The same step in this bout and the last time before that it was asked; null where it never was. */
  readonly beside: { readonly now: AtStep; readonly before: AtStep } | null;
};
type AtStep = {
  readonly day: DatedBout['day'];
  readonly reps: number;
  readonly clean: number;
  /** The middle of its times to answer in that bout, seconds; null where none was taken. */
  readonly answer: number | null;
};

/** Looks back at a bout of an element, by what was known before it began. */
export async function lookBack(
  kennel: Kennel,
  element: ElementRecord,
  bout: DatedBout,
  { reps }: Pick<Folded, 'reps'>,
): Promise<LookBack> {
  const before = (await keptOn(kennel, element.id, bout.startedAt)).filter((one) => one.id !== bout.id);
  const said = asEvidence(bout, reps);
  const counted = said.filter(countsAsEvidence);
  const ids = new Set(counted.map((one) => one.id));
  const hindsight = hindsightOf(
    counted.map(({ outcome, criteria }) => ({
      clean: outcome === 'clean',
      known: tallyAt(before, element.axes, criteria),
    })),
  );
  const own = await kennel.database.kept.get(bout.id);
  return {
    hindsight,
    counted: reps.filter((one) => ids.has(one.id)),
    beside: own ? besideOf(own, before, element) : null,
  };
}

/** The step that was asked most, and the last bout before in which it was asked. */
function besideOf(
  own: KeptEvidence,
  before: readonly KeptEvidence[],
  { axes }: ElementRecord,
): LookBack['beside'] {
  const [most] = [...own.cells].sort((a, b) => b.clean + b.notClean - (a.clean + a.notClean));
  if (!most) return null;
  const last = before.findLast((one) =>
    one.cells.some((cell) => sameCriteria(axes, cell.criteria, most.criteria)),
  );
  const at = (one: KeptEvidence): AtStep => ({
    day: one.day,
    ...tallyAt([one], axes, most.criteria),
    answer: one.times.length === 0 ? null : quantile(one.times, 0.5),
  });
  return last ? { now: at(own), before: at(last) } : null;
}

/** A person’s mark beside what the counts say of the same bout; `said` is null where they tell nothing. */
export type MarkBeside = {
  readonly day: Day;
  readonly title: string;
  readonly own: number;
  readonly said: number | null;
};

/** So many of the newest marks are looked at. */
const MARKS = 20;

/** The newest marks, oldest first, each beside the look back at its bout; by the numbers of its reps. */
export async function marksBeside(kennel: Kennel): Promise<MarkBeside[]> {
  const { database } = kennel;
  const stops = await database.of('stops').toArray();
  const bouts = await database.of('bouts').bulkGet(stops.map((one) => one.id));
  const newest = bouts
    .flatMap((bout) => (bout && bout.on.kind === 'element' ? [bout] : []))
    .sort((a, b) => b.startedAt - a.startedAt)
    .slice(0, MARKS)
    .reverse();
  const found = await Promise.all(
    newest.map(async (bout): Promise<MarkBeside[]> => {
      const element = await database.of('elements').get(bout.on.kind === 'element' ? bout.on.element : '');
      const [dated] = await withDays(kennel, [bout]);
      const stop = stops.find((one) => one.id === bout.id);
      if (!element || !dated || !stop) return [];
      const { folded } = await logged(kennel, dated);
      const own = 1 + folded.reps.findIndex((one) => one.id === stop.after);
      if (own === 0) return [];
      const { hindsight, counted } = await lookBack(kennel, element, dated, folded);
      const last = hindsight.kind === 'point' ? counted[hindsight.after - 1] : undefined;
      const said = last ? 1 + folded.reps.findIndex((one) => one.id === last.id) : null;
      return [{ day: dated.day, title: element.title, own, said }];
    }),
  );
  return found.flat();
}
