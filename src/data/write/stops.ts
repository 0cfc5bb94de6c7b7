import { type BoutId, type EntryId, type Result, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Stop } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/** Says after which rep a bout should have ended. Fails with `gone` where that rep is not in its log. */
export function markStop(kennel: Kennel, bout: BoutId, after: EntryId): Promise<Result<Undo<Stop>>> {
  return transact(kennel, ['stops', 'bouts', 'entries'], async (write) => {
    const stored = await write.get('bouts', bout);
    if (!stored || !(await write.log(bout)).some((one) => one.id === after))
      return refuse('gone', bout, say('data.bouts.this-bout-is-not-in-the-log-any'));
    return write.put('stops', { id: bout, dogId: stored.dogId, after });
  });
}

export const unmarkStop = (kennel: Kennel, bout: BoutId): Promise<Result<Undo>> =>
  transact(kennel, ['stops'], (write) => write.remove('stops', bout));
