import {
  addDays,
  asId,
  type Day,
  type DogId,
  type ExchangeId,
  fail,
  ok,
  type Result,
  say,
} from '@/core/shared';
import { readTables } from '@/data/database';
import {
  type Answer,
  type Exchange,
  HOLDS_NOTHING,
  type KennelFile,
  kennelText,
  noting,
  packetTables,
  readKennelFile,
} from '@/data/files';
import { type Kennel, type KennelName, listExchanges, pupilOf, type Tables } from '@/data/read';
import { addTables, noteExchange, sayPupil, takeAnswer, type Undo } from '@/data/write';
import { saveWork } from './file-save';
import type { FileAnswers, FileSaid } from './file-tasks';

type Wish = {
  readonly dogs: readonly DogId[];
  readonly weeks: number | null;
  readonly today: Day;
  readonly by: string;
};

/** A packet of chosen dogs, read back before it is offered. The coach's answer goes on from it. */
export async function packetWork(
  kennel: Kennel,
  { dogs, weeks, today, by }: Wish,
): Promise<Result<FileAnswers['packet']>> {
  const from = weeks === null ? null : addDays(today, -7 * weeks);
  const tables = packetTables(await readTables(kennel.database), dogs, from);
  const id = asId<ExchangeId>(crypto.randomUUID());
  const exchange: Exchange = { id, from: kennel.device, after: null };
  const packet = { by, weeks, dogs: tables.dogs.map(({ name }) => name) };
  const text = kennelText(tables, new Date(kennel.now()).toISOString(), { exchange, packet });
  const read = readKennelFile(text);
  if (!read.ok) return read;
  await noteExchange(kennel, { id, at: kennel.now(), way: 'saved' }, null);
  return ok({ file: new Blob([text], { type: 'application/json' }), bouts: tables.bouts.length });
}

/** The kennel of whoever sent a packet: one for each of their devices, by that device's id. */
export const pupilName = ({ from }: Exchange): KennelName => `pupil-${from.slice(0, 13)}`;

/** Brings a packet into the pupil's kennel; a later one brings what is new. */
export async function openPacket(
  kennel: Kennel,
  { tables, exchange, packet, savedAt }: KennelFile,
): Promise<Result<FileAnswers['open-packet']>> {
  if (!exchange || !packet) return fail('packet', '', say('workers.file-coach.no-packet'));
  const added = await addTables(kennel, tables);
  if (!added.ok) return added;
  const known = noting(HOLDS_NOTHING);
  for (const name of Object.keys(tables) as (keyof Tables)[])
    for (const row of tables[name]) known.note(name, row);
  const at = Date.parse(savedAt);
  await noteExchange(kennel, { id: exchange.id, at, way: 'brought' }, known.holding());
  await sayPupil(kennel, { ...packet, at, exchange: exchange.id });
  return ok({ kennel: kennel.name, packet });
}

/** What was said and changed since the last packet, for its sender. */
export async function answerWork(
  kennel: Kennel,
  answer: Answer,
  report: (said: FileSaid) => void,
): Promise<Result<FileAnswers['answer']>> {
  const pupil = await pupilOf(kennel);
  if (!pupil) return fail('packet', '', say('workers.file-coach.no-packet'));
  const saved = await saveWork(kennel, { since: pupil.exchange, backup: true, answer }, report);
  if (!saved.ok) return saved;
  const mine = await kennel.database.of('comments').toArray();
  return ok({ ...saved.value, comments: mine.filter(({ changed }) => changed.by === kennel.device).length });
}

/** Takes an answer as proposals. Fails with `missing` where it is of a packet that was not made here. */
export async function answerIn(
  kennel: Kennel,
  { tables, exchange, answer }: KennelFile,
): Promise<Result<Undo<FileAnswers['take-answer']>>> {
  if (!answer || !exchange?.after) return fail('packet', '', say('workers.file-coach.no-answer'));
  const { held } = await listExchanges(kennel);
  if (!held.includes(exchange.after.id))
    return fail('missing', '', say('workers.file-coach.of-another-packet'));
  const taken = await takeAnswer(kennel, tables, exchange.from, answer);
  return taken.ok ? ok({ ...taken.value, made: { ...taken.value.made, ...answer } }) : taken;
}

/** When a pupil trained last, and how often lately. */
export async function pupilLine(
  { name, database }: Kennel,
  today: Day,
): Promise<Result<FileAnswers['pupil-lines'][number]>> {
  const days = (await database.kept.toArray()).map(({ day }) => day).sort();
  const since = addDays(today, -14);
  return ok({
    kennel: name,
    lastDay: days.at(-1) ?? null,
    sessions: days.filter((day) => day > since).length,
  });
}
