import { foldLog, inOrder } from '@/core/log';
import { type Day, type ExchangeId, type Failure, fail, ok, type Result, say } from '@/core/shared';
import { readTables } from '@/data/database';
import {
  type Exchange,
  type GpxRead,
  HOLDS_NOTHING,
  type KennelFile,
  noting,
  readGpx,
  readKennelFile,
  sheetTable,
  tableText,
} from '@/data/files';
import { openKennel } from '@/data/kennel';
import { countsOf, type Kennel, type KennelName, listExchanges, type Tables } from '@/data/read';
import {
  addTables,
  forgetExchanges,
  holdingOf,
  noteExchange,
  replaceTables,
  takeBack,
  takeSheetRows,
  type Undo,
} from '@/data/write';
import { answerIn, answerWork, openPacket, packetWork, pupilLine, pupilName } from './file-coach';
import { saveWork } from './file-save';
import { sheetWork } from './file-sheet';
import type { Brought, FileAnswers, FileSaid, FileTask } from './file-tasks';

type Open = (name: KennelName, now: () => number) => Promise<Result<Kennel>>;

/**
 * Does the work on whole kennels: the file that was looked at stays here until it is brought in, and
 * what was brought in until it is taken back, so that no kennel crosses to the page. Fails as reading,
 * merging and writing do, and with `nothing` where no file was looked at or nothing brought in.
 */
export function fileWork(open: Open = openKennel) {
  const sheet = sheetWork();
  let looked: KennelFile | null = null;
  let brought: { readonly undo: Undo; readonly exchange: ExchangeId | null } | null = null;

  const withKennel = async <T>(
    { kennel, now }: { readonly kennel: KennelName; readonly now: number },
    work: (kennel: Kennel) => Promise<Result<T>>,
  ): Promise<Result<T>> => {
    const opened = await open(kennel, () => now);
    if (!opened.ok) return opened;
    try {
      return await work(opened.value);
    } finally {
      opened.value.database.close();
    }
  };

  const look = async (file: Blob, report: (said: FileSaid) => void): Promise<Result<FileAnswers['look']>> => {
    report({ doing: say('workers.file-work.reading-the-file'), share: null });
    const foreign = await encodingOf(file);
    if (foreign) return foreign;
    const text = await file.text();
    report({ doing: say('workers.file-work.checking-every-record'), share: null });
    const read = readKennelFile(text);
    looked = read.ok ? read.value : null;
    if (!read.ok) return read;
    const { savedAt, tables, exchange } = read.value;
    return ok({
      savedAt,
      counts: countsOf(tables, standingReps(tables)),
      after: exchange?.after?.at ?? null,
      packet: read.value.packet,
      answer: read.value.answer,
    });
  };

  const bring = async (
    kennel: Kennel,
    how: 'add' | 'replace',
    report: (said: FileSaid) => void,
  ): Promise<Result<Brought>> => {
    if (!looked) return nothingLooked();
    if (looked.packet || looked.answer)
      return fail('packet', '', say('workers.file-coach.not-for-this-kennel'));
    const doing =
      how === 'add'
        ? say('workers.file-work.bringing-both-together')
        : say('workers.file-work.putting-it-in-the-place-of-what-is');
    report({ doing, share: null });
    const { tables, exchange } = looked;
    const onProgress = (share: number): void => report({ doing, share });
    if (how === 'replace') {
      if (exchange?.after) return fail('part', '', say('workers.file-work.part-of-a-kennel'));
      const replaced = await replaceTables(kennel, tables, onProgress);
      if (!replaced.ok) return replaced;
      await forgetExchanges(kennel, null);
      [brought, looked] = [{ undo: replaced.value, exchange: null }, null];
      return ok(null);
    }
    const missing = await missingBefore(kennel, exchange);
    if (missing) return missing;
    const added = await addTables(kennel, tables, onProgress);
    if (!added.ok) return added;
    await noteBrought(kennel, looked);
    // The merged kennel itself is not kept: taking back needs the differences only.
    const { added: came, changed, apart } = added.value.made;
    [brought, looked] = [{ undo: { ...added.value, made: null }, exchange: exchange?.id ?? null }, null];
    return ok({ bouts: came.bouts, entries: came.entries, changed, apart: apart.length });
  };

  const back = async (kennel: Kennel): Promise<Result<null>> => {
    if (!brought) return fail('nothing', '', say('workers.file-work.there-is-nothing-to-take-back-any'));
    const taken = await takeBack(kennel, brought.undo);
    if (!taken.ok) return taken;
    if (brought.exchange) await forgetExchanges(kennel, brought.exchange);
    brought = null;
    return ok(null);
  };

  return async (
    task: FileTask,
    report: (said: FileSaid) => void,
  ): Promise<Result<FileAnswers[FileTask['kind']]>> => {
    switch (task.kind) {
      case 'save':
        return withKennel(task, (kennel) => saveWork(kennel, task, report));
      case 'look':
        return look(task.file, report);
      case 'table':
        return withKennel(task, async (kennel) => {
          report({ doing: say('workers.file-work.writing-the-table'), share: null });
          const table = sheetTable(task.table, await readTables(kennel.database));
          const file = new Blob([`\uFEFF${tableText(table, task.style)}`], { type: 'text/csv' });
          return ok({ file, rows: table.rows.length });
        });
      case 'packet':
        return withKennel(task, (kennel) => packetWork(kennel, task));
      case 'open-packet': {
        const file = looked;
        if (!file?.exchange) return nothingLooked();
        return withKennel({ kennel: pupilName(file.exchange), now: task.now }, (kennel) =>
          openPacket(kennel, file),
        );
      }
      case 'pupil-lines': {
        const lines = [];
        for (const kennel of task.kennels) {
          const line = await withKennel({ kennel, now: task.now }, (one) => pupilLine(one, task.today));
          if (line.ok) lines.push(line.value);
        }
        return ok(lines);
      }
      case 'answer':
        return withKennel(task, (kennel) => answerWork(kennel, { by: task.by }, report));
      case 'take-answer': {
        const file = looked;
        if (!file) return nothingLooked();
        return withKennel(task, async (kennel) => {
          const taken = await answerIn(kennel, file);
          if (!taken.ok) return taken;
          [brought, looked] = [{ undo: { ...taken.value, made: null }, exchange: null }, null];
          return ok(taken.value.made);
        });
      }
      case 'open-sheet':
        return sheet.open(task.file, task.usual);
      case 'read-sheet':
        return sheet.read(task.mapping, task.today);
      case 'bring-sheet':
        return withKennel(task, async (kennel) => {
          const rows = sheet.rows(task.mapping, task.today);
          if (!rows.ok) return rows;
          const doing = say('workers.file-work.writing-the-log');
          const taken = await takeSheetRows(kennel, rows.value, task.axes, noonOf, (share) =>
            report({ doing, share }),
          );
          if (!taken.ok) return taken;
          brought = { undo: { ...taken.value, made: null }, exchange: null };
          return ok(taken.value.made);
        });
      case 'read-track':
        return readTrack(task.file);
      case 'bring':
        return withKennel(task, (kennel) => bring(kennel, task.how, report));
      case 'take-back':
        return withKennel(task, back);
    }
  };
}

const nothingLooked = () => fail('nothing', '', say('workers.file-work.choose-the-file-again-it-is-no'));

/** Where no hour was kept: noon of the person's own day. */
const noonOf = (day: Day): number => Date.parse(`${day}T12:00:00`);

async function readTrack(file: Blob): Promise<Result<GpxRead>> {
  return (await encodingOf(file)) ?? readGpx(await file.text());
}

/** A file that goes on from one which is not here would leave a gap that nobody sees. */
async function missingBefore(kennel: Kennel, exchange: Exchange | null): Promise<Failure | null> {
  if (!exchange?.after) return null;
  const { held } = await listExchanges(kennel);
  return held.includes(exchange.after.id)
    ? null
    : fail('missing', '', say('workers.file-work.goes-on-from', { at: { instant: exchange.after.at } }));
}

/** What whoever saved this file holds, so that what is saved for them next can leave it out. */
async function noteBrought(kennel: Kennel, { tables, exchange, savedAt }: KennelFile): Promise<void> {
  if (!exchange) return;
  const base = exchange.after ? await holdingOf(kennel, exchange.after.id) : HOLDS_NOTHING;
  const known = noting(base ?? HOLDS_NOTHING);
  for (const name of Object.keys(tables) as (keyof Tables)[])
    for (const row of tables[name]) known.note(name, row);
  await noteExchange(kennel, { id: exchange.id, at: Date.parse(savedAt), way: 'brought' }, known.holding());
}

/** A file in UTF-16 looks like damage to whoever reads it as UTF-8: it is named as what it is. */
async function encodingOf(file: Blob): Promise<Failure | null> {
  const bytes = new Uint8Array(await file.slice(0, 64).arrayBuffer());
  const marked = (bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff);
  return marked || bytes.includes(0)
    ? fail('encoding', '', say('workers.file-work.this-file-is-in-utf-16-or-not-a'))
    : null;
}

/** How many reps stand: what was taken back is in the log, and is no rep. */
function standingReps({ bouts, entries }: Tables): number {
  const logs = new Map<string, Tables['entries'][number][]>();
  for (const entry of entries) {
    const log = logs.get(entry.boutId);
    if (log) log.push(entry);
    else logs.set(entry.boutId, [entry]);
  }
  return bouts.reduce(
    (sum, bout) => sum + foldLog(bout.start, inOrder(logs.get(bout.id) ?? [])).reps.length,
    0,
  );
}
