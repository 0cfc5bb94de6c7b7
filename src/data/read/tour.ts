import type { Kennel } from '@/data/kennel';
import { boutLog } from './bouts';

/** What was done since an instant, as far as somebody who looks round is shown it. */
export type TourFacts = {
  readonly begun: boolean;
  readonly reps: number;
  readonly undone: boolean;
  readonly ended: boolean;
};

/** What was done in a kennel since an instant (epoch milliseconds). */
export async function tourFacts(kennel: Kennel, since: number): Promise<TourFacts> {
  const outings = await kennel.database.of('outings').toArray();
  const ids = outings.filter((one) => one.startedAt >= since).map(({ id }) => id);
  const bouts = await kennel.database.of('bouts').where('outingId').anyOf(ids).toArray();
  const entries = (await Promise.all(bouts.map(({ id }) => boutLog(kennel, id)))).flat();
  return {
    begun: bouts.length > 0,
    reps: entries.filter(({ kind }) => kind === 'rep').length,
    undone: entries.some(({ kind }) => kind === 'undo'),
    ended: bouts.some(({ endedAt }) => endedAt !== null),
  };
}
