import { asId, type ExchangeId, fail, ok, type Result, say } from '@/core/shared';
import { readTables } from '@/data/database';
import {
  type Answer,
  type Exchange,
  HOLDS_NOTHING,
  kennelPieces,
  kennelText,
  lacks,
  noting,
  readKennelFile,
  soundTables,
} from '@/data/files';
import { type Kennel, listExchanges, RECORD_TITLES } from '@/data/read';
import { holdingOf, noteExchange } from '@/data/write';
import type { FileSaid, Saved } from './file-tasks';

/**
 * The kennel as a file, read back before it is offered: a backup that cannot be read is none. With `since` it holds
 * what whoever has that file lacks. Fails with `since` where it is not kept any more what that file told.
 */
export async function saveWork(
  kennel: Kennel,
  {
    since,
    backup,
    answer,
  }: { readonly since: ExchangeId | null; readonly backup?: true; readonly answer?: Answer },
  report: (said: FileSaid) => void,
): Promise<Result<Saved>> {
  const base = since ? await holdingOf(kennel, since) : HOLDS_NOTHING;
  const from = since ? (await listExchanges(kennel)).files.find(({ id }) => id === since) : undefined;
  if (!base || (since && !from)) return fail('since', '', say('workers.file-save.not-kept'));
  const exchange: Exchange = {
    id: asId(crypto.randomUUID()),
    from: kennel.device,
    after: from ? { id: from.id, at: from.at } : null,
  };
  const known = noting(base);
  let [entries, records] = [0, 0];
  const pieces = await kennelPieces(kennel, new Date(kennel.now()).toISOString(), {
    exchange,
    ...(answer && { answer }),
    ...(since && { wants: (table, row) => lacks(base, table, row) }),
    note: (table, row) => {
      known.note(table, row);
      if (table === 'entries') entries += 1;
      else records += 1;
    },
    onPiece: (share) => report({ doing: say('workers.file-work.writing-the-file'), share }),
  });
  const file = new Blob(pieces, { type: 'application/json' });
  report({ doing: say('workers.file-work.reading-it-back'), share: null });
  const read = readKennelFile(await file.text());
  if (!read.ok) return since ? read : setAside(kennel);
  // Where nothing is new no file is handed on, and nothing can go on from it.
  if (since && entries + records === 0) return ok({ file, aside: [], entries, records });
  await noteExchange(
    kennel,
    { id: exchange.id, at: kennel.now(), way: 'saved' },
    backup ? null : known.holding(),
  );
  return ok({ file, aside: [], entries, records });
}

/** The file without what cannot be read back; nothing goes on from it, since it does not hold all. */
async function setAside(kennel: Kennel): Promise<Result<Saved>> {
  const { tables, aside } = soundTables(await readTables(kennel.database));
  const text = kennelText(tables, new Date(kennel.now()).toISOString(), { setAside: aside });
  const read = readKennelFile(text);
  if (!read.ok) return read;
  const file = new Blob([text], { type: 'application/json' });
  const records = Object.values(tables).reduce((sum, rows) => sum + rows.length, 0);
  return ok({
    file,
    entries: tables.entries.length,
    records: records - tables.entries.length,
    aside: aside.map(({ table, why }) =>
      say('workers.file-work.aside', { record: RECORD_TITLES[table], why }),
    ),
  });
}
