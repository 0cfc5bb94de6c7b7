import { type Result, type SignalId, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { New, Signal } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/** A word or signal as somebody writes it down; with an id it is one that is changed. */
export type SignalSaid = Omit<New<Signal>, 'id'> & { readonly id: SignalId | null };

/** Keeps a word or signal, or changes it. Fails with `empty` where no word is written. */
export function putSignal(kennel: Kennel, said: SignalSaid): Promise<Result<Undo<Signal>>> {
  return transact(kennel, ['signals'], async (write) => {
    const word = said.word.trim();
    if (word === '') refuse('empty', 'word', say('data.signals.write-the-word'));
    return write.put('signals', {
      ...said,
      word,
      means: said.means.trim(),
      id: said.id ?? newId<SignalId>(),
    });
  });
}

export function removeSignal(kennel: Kennel, id: SignalId): Promise<Result<Undo>> {
  return transact(kennel, ['signals'], (write) => write.remove('signals', id));
}
