import { type Entry, inOrder, lastAmendments, type Said } from '@/core/log';
import {
  asId,
  type BoutId,
  type ClipId,
  type Day,
  type DeviceId,
  type EntryId,
  type Failure,
  fail,
  ok,
  printOf,
  type Result,
  type RunId,
  type Sentence,
  say,
} from '@/core/shared';
import { type Kennel, newId, reasonOf } from '@/data/kennel';
import type {
  Bout,
  Changed,
  ClipMarkRecord,
  KeptName,
  MarkRecord,
  New,
  Outing,
  Slot,
  TableName,
  Tables,
} from '@/data/records';

import { checkRecord, readyToCheck } from '@/data/records/check';
import { FOLDED_FROM, keepEvidence, outdatedBy } from './keep-evidence';

/** One record before and after a write; null where there was or is none. */
export type RowChange = {
  readonly table: TableName;
  readonly id: string;
  readonly before: Readonly<Record<string, unknown>> | null;
  readonly after: Readonly<Record<string, unknown>> | null;
};

/**
 * What a write did, by difference, which is all that taking it back needs: records that were changed,
 * and entries that were appended to a log. `made` is what the command was asked to make.
 */
export type Undo<T = unknown> = {
  readonly made: T;
  readonly rows: readonly RowChange[];
  readonly entries: readonly {
    readonly boutId: BoutId;
    readonly dogId: Entry['dogId'];
    readonly id: EntryId;
  }[];
  /**
   * Of what came by a file: it goes as if it had never been there, with no tombstone and no new version, so that the
   * same file brings it again.
   */
  readonly asItWas?: true;
  /** How it is taken back where that is kept elsewhere (in the worker that brought a file in). */
  readonly back?: () => Promise<Result<unknown>>;
};

type RowOf<N extends TableName> = Tables[N][number];

/** What a command works with: every put and removal is stamped and remembered. */
export type Write = {
  readonly get: <N extends KeptName>(table: N, id: string) => Promise<RowOf<N> | null>;
  /** All records of a dog. */
  readonly ofDog: <N extends 'breakdowns' | 'elements' | 'bouts' | 'trials' | 'forecasts' | 'results'>(
    table: N,
    dog: string,
  ) => Promise<RowOf<N>[]>;
  /** All bouts of an element or an outing, and all outings of a day: by an index, whatever the history. */
  readonly boutsBy: (
    by: 'on.element' | 'on.breakdown' | 'outingId' | 'setOut',
    id: string,
  ) => Promise<Bout[]>;
  readonly outingsOn: (day: Day) => Promise<Outing[]>;
  readonly slotsOn: (day: Day) => Promise<Slot[]>;
  /** The marks of a clip. */
  readonly marksOfClip: (clip: ClipId) => Promise<ClipMarkRecord[]>;
  /** What stands on the sheets of a run, in the order of seq. */
  readonly marksOf: (run: RunId) => Promise<MarkRecord[]>;
  readonly all: <N extends KeptName>(table: N) => Promise<RowOf<N>[]>;
  readonly put: <N extends KeptName>(
    table: N,
    row: New<RowOf<N> & { changed: Changed }>,
    born?: Born,
  ) => Promise<RowOf<N>>;
  readonly remove: (table: KeptName, id: string) => Promise<void>;
  /** Appends to the log of a bout, after all that this device has seen of it. */
  readonly append: (bout: Pick<Bout, 'id' | 'dogId'>, said: Said, when?: When) => Promise<Entry>;
  readonly log: (bout: BoutId) => Promise<Entry[]>;
  /** Replaces rows as they are, unstamped: for files and for taking back. */
  readonly raw: (changes: readonly RowChange[], onPiece?: (rows: number) => void) => Promise<void>;
};

/**
 * Of a record that any device makes alike from what all of them have: two that make it apart must find nothing
 * to decide. No clock and no device is in its stamp; where they made it otherwise the prints differ, and it is
 * decided as ever.
 */
export type Born = { readonly from: 'run'; readonly at: number };

const bornOf = (row: unknown, { from, at }: Born): Changed => ({
  at,
  by: asId<DeviceId>(from),
  seen: { [`${from}-${printOf(row)}`]: 1 },
});

/** Rows added at once: after each piece it can be said how far it is. */
const PIECE = 2_000;

/**
 * When something happened, and whether that was timed or only keeps an order. `id`: of what is the same thing
 * on whatever device it is written; a new one where nothing is said.
 */
export type When = { readonly at: number; readonly timed: boolean; readonly id?: EntryId };

/** Ends a command with a failure and writes nothing. */
class Refused extends Error {
  constructor(readonly failure: Failure) {
    super(failure.message.say);
  }
}
export const refuse = (code: string, path: string, message: Sentence): never => {
  throw new Refused(fail(code, path, message));
};

/**
 * Runs a command in one transaction over the tables it names. When the promise settles it is on the
 * disk, whole or not at all; it never rejects. Fails with `write` where the browser could not store
 * it, and as the command refuses.
 */
export async function transact<T>(
  kennel: Kennel,
  tables: readonly TableName[],
  command: (write: Write) => Promise<T>,
): Promise<Result<Undo<T>>> {
  const { database } = kennel;
  const folds = FOLDED_FROM.some((name) => tables.includes(name));
  const names = [
    ...new Set<TableName>([
      ...tables,
      ...(folds ? FOLDED_FROM : []),
      ...(tables.length === 1 && tables[0] === 'entries' ? [] : ['gone' as const]),
    ]),
  ];
  const rows: RowChange[] = [];
  const entries: Undo['entries'][number][] = [];
  try {
    await readyToCheck(names);
    const made = await database.transaction(
      'rw',
      [...names.map((name) => database.table(name)), ...(folds ? [database.kept, database.keptLogs] : [])],
      // An async function, by which Dexie knows that native promises are awaited inside.
      async () => {
        const done = await command(writing(kennel, rows, entries));
        if (folds) await keepEvidence(database, await outdatedBy(database, rows, entries));
        return done;
      },
    );
    return ok({ made, rows, entries });
  } catch (error) {
    if (error instanceof Refused) return error.failure;
    return fail(
      'write',
      names.join(', '),
      say('data.transact.nothing-was-stored-try-again-if-it', { reasonOf: reasonOf(error) }),
    );
  }
}

/** What could not be read back is refused before it is written: no backup fails for it later. */
export function mustBeSound(table: TableName, row: unknown): void {
  const wrong = checkRecord(table, row);
  if (wrong)
    throw new Refused({ ...wrong, message: say('data.transact.nothing-was-stored', { why: wrong.message }) });
}

function writing(kennel: Kennel, rows: RowChange[], entries: Undo['entries'][number][]): Write {
  const { database } = kennel;
  const ownId = (table: TableName, id: string): string => `${table}/${id}`;
  const raw: Write['raw'] = async (changes, onPiece) => {
    for (const name of new Set(changes.map((change) => change.table))) {
      const ofTable = changes.filter((change) => change.table === name);
      // What is new is added: putting it would look for what it replaces.
      const news = ofTable.flatMap(({ before, after }) => (after && !before ? [after] : []));
      for (let from = 0; from < news.length; from += PIECE) {
        const piece = news.slice(from, from + PIECE);
        await database.table(name).bulkAdd(piece);
        onPiece?.(piece.length);
      }
      await database
        .table(name)
        .bulkPut(ofTable.flatMap(({ before, after }) => (after && before ? [after] : [])));
      await database.table(name).bulkDelete(ofTable.flatMap(({ after, id }) => (after ? [] : [id])));
    }
    for (const change of changes) rows.push(change);
  };
  const set = async (table: TableName, id: string, after: object | null): Promise<void> => {
    const before = ((await database.table(table).get(id)) as RowChange['before'] | undefined) ?? null;
    await raw([{ table, id, before, after: after as RowChange['after'] }]);
  };
  const boutRange = (bout: BoutId) =>
    database.of('entries').where('[boutId+seq]').between([bout, 0], [bout, Number.POSITIVE_INFINITY]);
  return {
    get: async (table, id) => (await database.of(table).get(id)) ?? null,
    ofDog: (table, dog) => database.of(table).where('dogId').equals(dog).toArray(),
    boutsBy: (by, id) => database.of('bouts').where(by).equals(id).toArray(),
    outingsOn: (day) => database.of('outings').where('day').equals(day).toArray(),
    slotsOn: (day) => database.of('slots').where('day').equals(day).toArray(),
    marksOf: (run) =>
      database.of('marks').where('[runId+seq]').between([run, 0], [run, Number.POSITIVE_INFINITY]).toArray(),
    marksOfClip: (clip) => database.of('clipMarks').where('clipId').equals(clip).toArray(),
    all: (table) => database.of(table).toArray(),
    put: async (table, row, born) => {
      const id = row.id as string;
      const gone = await database.of('gone').get(ownId(table, id));
      const before = (await database.of(table).get(id)) as { changed: Changed } | undefined;
      const known = before?.changed ?? gone?.changed ?? null;
      const changed = born && !known ? bornOf(row, born) : stamped(kennel, known);
      const next = { ...row, changed };
      mustBeSound(table, next);
      await set(table, id, next);
      if (gone) await set('gone', gone.id, null);
      return next as never;
    },
    remove: async (table, id) => {
      const before = (await database.of(table).get(id)) as { changed: Changed } | undefined;
      if (!before) return;
      await set(table, id, null);
      await set('gone', ownId(table, id), { id: ownId(table, id), changed: stamped(kennel, before.changed) });
    },
    append: async ({ id: boutId, dogId }, said, when) => {
      const last = await boutRange(boutId).last();
      const known: Said =
        said.kind === 'amend'
          ? { ...said, after: lastAmendments(inOrder(await boutRange(boutId).toArray()), said.of) }
          : said;
      const entry: Entry = {
        ...known,
        id: when?.id ?? newId<EntryId>(),
        boutId,
        dogId,
        seq: last ? last.seq + 1 : 0,
        by: kennel.device,
        at: when?.at ?? kennel.now(),
        timed: when?.timed ?? true,
      };
      mustBeSound('entries', entry);
      // Another tab may have put another kennel in the place of this one meanwhile.
      if (!(await database.of('bouts').get(boutId)))
        refuse('gone', boutId, say('data.transact.this-session-is-not-in-the-kennel'));
      await database.of('entries').add(entry);
      entries.push({ boutId, dogId, id: entry.id });
      return entry;
    },
    log: async (bout) => inOrder(await boutRange(bout).toArray()),
    raw,
  };
}

/** The next version of a record on this device: it has seen all that the one before had. */
export function stamped({ device, now }: Pick<Kennel, 'device' | 'now'>, before: Changed | null): Changed {
  return { at: now(), by: device, seen: { ...before?.seen, [device]: (before?.seen[device] ?? 0) + 1 } };
}
