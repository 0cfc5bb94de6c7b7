import type { BodySign } from '@/core/coaching';
import { type Entry, foldLog, type Judged, plainRep, type RepSaid, type Said } from '@/core/log';
import { type Result, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

type InBout = Pick<Bout, 'id' | 'dogId' | 'start'>;

/**
 * Appends one entry to the log of a bout. When the promise settles it is on the disk. Its cost does
 * not grow with the history: the next place in the bout is read from the end of an index.
 */
export function record(kennel: Kennel, bout: InBout, said: Said): Promise<Result<Undo<Entry>>> {
  return transact(kennel, ['entries'], (write) => write.append(bout, said));
}

/** One thing of a set that is entered afterwards: a rep as it was judged, or a sign that was seen. */
export type SetItem =
  | { readonly kind: 'rep'; readonly judged: Partial<Judged> & Pick<Judged, 'outcome'> }
  | { readonly kind: 'sign'; readonly sign: BodySign };

/** A set entered afterwards, in order, all of it or nothing; its times only keep the order. */
export function recordSet(
  kennel: Kennel,
  bout: InBout,
  asked: RepSaid['asked'],
  items: readonly SetItem[],
): Promise<Result<Undo>> {
  return transact(kennel, ['entries'], async (write) => {
    const at = kennel.now();
    for (const [i, item] of items.entries()) {
      const said: Said =
        item.kind === 'sign' ? item : { kind: 'rep', ...plainRep(asked.criteria, item.judged), asked };
      await write.append(bout, said, { at: at + i, timed: false });
    }
  });
}

/**
 * Takes the last thing back that still stands, by an entry that names it. It is found in the same
 * transaction: two quick ones take back two things. Fails with `nothing` when there is none.
 */
export function recordUndo(kennel: Kennel, bout: InBout): Promise<Result<Undo>> {
  return transact(kennel, ['entries'], async (write) => {
    const target = foldLog(bout.start, await write.log(bout.id)).undoTarget;
    if (!target) return refuse('nothing', '', say('data.log.there-is-nothing-to-take-back-in'));
    return write.append(bout, { kind: 'undo', of: target.id });
  });
}
