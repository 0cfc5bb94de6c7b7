import type { ExchangeId } from '@/core/shared';
import type { Holding } from '@/data/files/holding';
import type { Kennel } from '@/data/kennel';
import { type ExchangedFile, listExchanges } from '@/data/read/exchanges';

/** Of so many files is kept what they told: more than one other device can go on from its own. */
const KEPT = 8;
/** The names of so many are kept, so that what goes on from them is taken. */
const NAMED = 400;

const keyOf = (id: ExchangeId): string => `holding:${id}`;

/** What a file told whoever has it; null where that is not kept any more. */
export async function holdingOf({ database }: Kennel, id: ExchangeId): Promise<Holding | null> {
  return ((await database.meta.get(keyOf(id)))?.value as Holding | undefined) ?? null;
}

/**
 * Remembers a file that was saved or brought in, with what whoever has it holds; null where nothing goes on from it by
 * itself (a backup), but what does is taken.
 */
export async function noteExchange(
  kennel: Kennel,
  file: ExchangedFile,
  holding: Holding | null,
): Promise<void> {
  const { meta } = kennel.database;
  await kennel.database.transaction('rw', meta, async () => {
    const { files, held } = await listExchanges(kennel);
    const others = files.filter(({ id }) => id !== file.id);
    const next = holding ? [file, ...others] : others;
    await meta.put({
      key: 'exchanges',
      value: {
        files: next.slice(0, KEPT),
        held: [file.id, ...held.filter((id) => id !== file.id)].slice(0, NAMED),
      },
    });
    if (holding) await meta.put({ key: keyOf(file.id), value: holding });
    await meta.bulkDelete(next.slice(KEPT).map(({ id }) => keyOf(id)));
  });
}

/**
 * Forgets files from the newest down to this one: what it told was taken back, and what was saved since had it in it.
 * Null: all of them, where another kennel took the place of this one.
 */
export async function forgetExchanges(kennel: Kennel, downTo: ExchangeId | null): Promise<void> {
  const { meta } = kennel.database;
  await kennel.database.transaction('rw', meta, async () => {
    const { files, held } = await listExchanges(kennel);
    const last = downTo === null ? held.length - 1 : held.indexOf(downTo);
    const forgotten = new Set(held.slice(0, last + 1));
    await meta.put({
      key: 'exchanges',
      value: {
        files: files.filter(({ id }) => !forgotten.has(id)),
        held: held.slice(last + 1),
      },
    });
    await meta.bulkDelete([...forgotten].map(keyOf));
  });
}
