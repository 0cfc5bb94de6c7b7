import type { ExchangeId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';

/** A file that was saved or brought in here, from which the next one can go on. */
export type ExchangedFile = {
  readonly id: ExchangeId;
  /** When it was saved, by the clock of whoever saved it. */
  readonly at: number;
  readonly way: 'saved' | 'brought';
};
export type Exchanges = {
  /** The newest first; of each is kept what it told (`holding:<id>` in `meta`). */
  readonly files: readonly ExchangedFile[];
  /** All that the files saved and brought in here told is here still. */
  readonly held: readonly ExchangeId[];
};
const NO_EXCHANGES: Exchanges = { files: [], held: [] };

/** With whom this kennel was exchanged, in files. */
export async function listExchanges({ database }: Pick<Kennel, 'database'>): Promise<Exchanges> {
  return ((await database.meta.get('exchanges'))?.value as Exchanges | undefined) ?? NO_EXCHANGES;
}
