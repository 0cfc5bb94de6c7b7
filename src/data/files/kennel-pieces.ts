import type { Kennel } from '@/data/kennel';
import { CURRENT_VERSION } from '@/data/migrations';
import { TABLE_NAMES, type TableName } from '@/data/records';
import { type Answer, type Exchange, KENNEL_FORMAT } from './kennel-file';

/** Records read and written at once. */
const PIECE = 5_000;

type Row = { readonly id: string };

/** What is left out of a file, and who is told of each row that is in it. */
export type PieceWish = {
  readonly exchange?: Exchange;
  readonly answer?: Answer;
  readonly wants?: (table: TableName, row: Row) => boolean;
  readonly note?: (table: TableName, row: Row) => void;
  /** Told the share done. */
  readonly onPiece?: (share: number) => void;
};

/**
 * The kennel file in pieces of text, so that a big kennel is never one string
 * (docs/formats/kennel-file.md). Read in one transaction, each log in its order; how many rows
 * each table has comes last, since that is known last.
 */
export async function kennelPieces(
  { database }: Kennel,
  savedAt: string,
  { exchange, answer, wants = () => true, note, onPiece }: PieceWish = {},
): Promise<string[]> {
  const tables = TABLE_NAMES.map((name) => database.table(name));
  return database.transaction('r', tables, async () => {
    const numbers = await Promise.all(tables.map((table) => table.count()));
    const counts: Partial<Record<TableName, number>> = {};
    const all = numbers.reduce((sum, one) => sum + one, 0);
    const head = {
      format: KENNEL_FORMAT,
      version: CURRENT_VERSION,
      savedAt,
      ...(exchange && { exchange }),
      ...(answer && { answer }),
    };
    const pieces = [`${JSON.stringify(head).slice(0, -1)},"tables":{`];
    let written = 0;
    for (const [i, name] of TABLE_NAMES.entries()) {
      pieces.push(`${i === 0 ? '' : ','}\n"${name}":[`);
      let first = true;
      counts[name] = 0;
      for await (const page of pagesOf(database, name)) {
        const rows = page.filter((row) => wants(name, row));
        for (const row of rows) note?.(name, row);
        counts[name] += rows.length;
        pieces.push(
          rows
            .map((row) => JSON.stringify(row))
            .reduce((text, row) => {
              const joined = `${text}${first ? '' : ','}\n${row}`;
              first = false;
              return joined;
            }, ''),
        );
        written += page.length;
        onPiece?.(all === 0 ? 1 : written / all);
      }
      pieces.push(']');
    }
    pieces.push(`},"counts":${JSON.stringify(counts)}}\n`);
    return pieces;
  });
}

/** A table a page at a time: entries in the order of their logs, others by id. */
async function* pagesOf(database: Kennel['database'], name: TableName): AsyncGenerator<readonly Row[]> {
  if (name !== 'entries') {
    for (let last = ''; ; ) {
      const rows: Row[] = await database.table(name).where('id').above(last).limit(PIECE).toArray();
      if (rows.length > 0) yield rows;
      if (rows.length < PIECE) return;
      last = rows.at(-1)?.id ?? '';
    }
  }
  // Two devices may have used one place in a log: a page begins where the last one ended, without what
  // that had already.
  let [from, had]: [[string, number], ReadonlySet<string>] = [['', 0], new Set()];
  for (;;) {
    const found = await database
      .of('entries')
      .where('[boutId+seq]')
      .between(from, ['\uffff', Number.POSITIVE_INFINITY])
      .limit(PIECE)
      .toArray();
    const rows = found.filter((row) => !had.has(row.id));
    if (rows.length > 0) yield rows;
    if (found.length < PIECE) return;
    const end = found.at(-1);
    if (!end) return;
    from = [end.boutId, end.seq];
    had = new Set(
      found.filter((row) => row.boutId === end.boutId && row.seq === end.seq).map((row) => row.id),
    );
  }
}
