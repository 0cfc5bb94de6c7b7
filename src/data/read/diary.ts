import { buildLadder, placeOn } from '@/core/breakdown';
import { loadsDone } from '@/core/planning';
import type { PeriodBout } from '@/core/review';
import type { Day, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Breakdown, Dog, ElementRecord, Outing, RuleBookRecord } from '@/data/records';
import type { KeptEvidence, KeptLog } from '@/data/records/kept-evidence';
import { NO_LOADS } from './other-work';
import { addressOf, exerciseTitle } from './whole';

/** A bout as the diary has it: whose, on what, what is kept of it, and what was written. */
export type DiaryBout = {
  readonly bout: Bout;
  readonly outing: Outing;
  readonly dog: Pick<Dog, 'id' | 'name'>;
  readonly address: ElementId;
  readonly title: string;
  /** Null for an exercise that was run whole. */
  readonly element: ElementRecord | null;
  readonly kept: KeptEvidence;
  readonly log: KeptLog | null;
  /** The rep after which somebody thinks that it should have ended. */
  readonly stop: string | null;
};

/** Every bout of these days, all dogs, the newest day first and in a day as they were worked; no entry is read. */
export async function diaryOf(kennel: Kennel, from: Day, to: Day): Promise<DiaryBout[]> {
  const { database } = kennel;
  const outings = await database.of('outings').where('day').between(from, to, true, true).toArray();
  if (outings.length === 0) return [];
  const byOuting = new Map(outings.map((one) => [one.id, one]));
  const bouts = await database
    .of('bouts')
    .where('outingId')
    .anyOf([...byOuting.keys()])
    .toArray();
  const ids = bouts.map((one) => one.id);
  const [kept, logs, stops, dogs, elements, breakdowns, ruleBooks] = await Promise.all([
    database.kept.bulkGet(ids),
    database.keptLogs.bulkGet(ids),
    database.of('stops').bulkGet(ids),
    database.of('dogs').toArray(),
    database.of('elements').bulkGet([...new Set(bouts.map(addressOf))]),
    database.of('breakdowns').toArray(),
    database.of('ruleBooks').toArray(),
  ]);
  const names = new Map(dogs.map((one) => [one.id, one]));
  const byId = new Map(elements.flatMap((one) => (one ? [[one.id, one] as const] : [])));
  return bouts
    .flatMap((bout, i): DiaryBout[] => {
      const [outing, dog, row] = [byOuting.get(bout.outingId), names.get(bout.dogId), kept[i]];
      if (!outing || !dog || !row) return [];
      const address = addressOf(bout);
      const element = byId.get(address) ?? null;
      const title = element?.title ?? wholeTitle(bout, breakdowns, ruleBooks);
      return [
        {
          bout,
          outing,
          dog,
          address,
          title,
          element,
          kept: row,
          log: logs[i] ?? null,
          stop: stops[i]?.after ?? null,
        },
      ];
    })
    .sort(
      (a, b) =>
        (a.outing.day > b.outing.day ? -1 : a.outing.day < b.outing.day ? 1 : 0) ||
        a.bout.startedAt - b.bout.startedAt,
    );
}

function wholeTitle(
  { on }: Bout,
  breakdowns: readonly Breakdown[],
  ruleBooks: readonly RuleBookRecord[],
): string {
  const found = on.kind === 'exercise' && breakdowns.find((one) => one.id === on.breakdown);
  return found ? exerciseTitle(found, { ruleBooks }) : '';
}

/** Bouts of the diary as a period adds them up, oldest first. */
export const inPeriod = (bouts: readonly DiaryBout[]): PeriodBout[] =>
  [...bouts]
    .sort((a, b) => a.bout.startedAt - b.bout.startedAt)
    .map(({ address, element, kept }): PeriodBout => {
      const ladder = element && buildLadder(element);
      const cells = kept.cells;
      return {
        piece: address,
        minutes: kept.minutes,
        reps: kept.reps,
        clean: cells.reduce((sum, cell) => sum + cell.clean, 0),
        counted: kept.counted,
        from: ladder ? placeOn(ladder, kept.start).rung : null,
        to: ladder ? placeOn(ladder, kept.stands).rung : null,
        loads: element ? loadsDone(element, kept.effort) : NO_LOADS,
      };
    });

/** All days on which anything was done, newest first. */
export async function diaryDays(kennel: Kennel): Promise<Day[]> {
  const days = await kennel.database.of('outings').orderBy('day').uniqueKeys();
  return (days as Day[]).reverse();
}
