import {
  asId,
  type DogId,
  type MarkId,
  type PersonId,
  type Result,
  type RuleBookId,
  type RunId,
  say,
} from '@/core/shared';
import { foldSheet, type MarkSaid } from '@/core/trials';
import { type Kennel, newId } from '@/data/kennel';
import type { MarkRecord, New, Run } from '@/data/records';
import { judgesNamed } from './meetings';
import { refuse, transact, type Undo, type Write } from './transact';

export type NewRun = New<Omit<Run, 'id' | 'putAway'>>;

/**
 * A run that sheets are written to, judged by people of these names (by the person where none is named). A
 * dog that has a sheet of this run of the meeting already gets that one.
 */
export function startRun(
  kennel: Kennel,
  run: Omit<NewRun, 'judges'>,
  judges: readonly string[],
): Promise<Result<Undo<Run>>> {
  return transact(kennel, ['runs', 'people'], async (write) => {
    const known = (await write.all('runs')).find(
      (one) =>
        run.meeting !== null &&
        !one.putAway &&
        one.meeting === run.meeting &&
        one.starter === run.starter &&
        one.turn === run.turn,
    );
    if (known) return known;
    const named = await judgesNamed(write, judges);
    return write.put('runs', { ...run, judges: named, id: newId<RunId>(), putAway: false });
  });
}

/** The id of the sheet on which somebody tries what faults cost: one for each run of each book, on each device. */
export const tryId = ({ device }: Pick<Kennel, 'device'>, book: RuleBookId, turn: number): RunId =>
  asId<RunId>(`try-${device}-${book}-${turn}`);

/**
 * What a judge says in one press: it is on the disk when the promise settles. `of` names the mark whose
 * place it takes, with a reason where somebody gives one. Fails with `gone` where the run or that mark is
 * not there, and with `closed` where the sheet is closed: it is reopened first.
 */
export function writeMark(
  kennel: Kennel,
  run: Pick<Run, 'id'>,
  judge: PersonId | null,
  said: MarkSaid,
  more: { readonly of?: MarkId; readonly reason?: string } = {},
): Promise<Result<Undo<MarkRecord>>> {
  return transact(kennel, ['runs', 'marks'], async (write) => {
    if (!(await write.get('runs', run.id)))
      refuse('gone', run.id, say('data.runs.this-run-is-not-there-any-more'));
    return append(write, kennel, run.id, judge, said, more);
  });
}

/** As `writeMark`, on the sheet where somebody tries costs: the sheet is made where there is none yet. */
export function writeTry(
  kennel: Kennel,
  run: NewRun & Pick<Run, 'id'>,
  said: MarkSaid,
  more: { readonly of?: MarkId } = {},
): Promise<Result<Undo<MarkRecord>>> {
  return transact(kennel, ['runs', 'marks'], async (write) => {
    const known = await write.get('runs', run.id);
    if (!known || known.size !== run.size) await write.put('runs', { ...run, putAway: false });
    return append(write, kennel, run.id, null, said, more);
  });
}

/** What a closed sheet takes: its own life, and signs of the dog’s body, which no score waits for. */
const ALWAYS: ReadonlySet<MarkSaid['kind']> = new Set(['reopen', 'sign', 'sign-seen']);

async function append(
  write: Write,
  kennel: Kennel,
  runId: RunId,
  judge: PersonId | null,
  said: MarkSaid,
  { of, reason = '' }: { readonly of?: MarkId; readonly reason?: string },
): Promise<MarkRecord> {
  const all = await write.marksOf(runId);
  const { is } = foldSheet(all, judge);
  if (is !== 'open' && !ALWAYS.has(said.kind))
    refuse('closed', runId, say('data.runs.this-sheet-is-closed-reopen-it'));
  if (said.kind === 'reopen' && reason.trim() === '')
    refuse('reason', 'reason', say('data.runs.say-why-it-is-reopened'));
  if (of !== undefined && !all.some((mark) => mark.id === of))
    refuse('gone', of, say('data.runs.what-was-to-be-changed-is-not-on'));
  const last = all.reduce((most, mark) => Math.max(most, mark.seq), -1);
  return write.put('marks', {
    ...said,
    id: newId<MarkId>(),
    runId,
    judge,
    seq: last + 1,
    by: kennel.device,
    at: kennel.now(),
    of: of ?? null,
    reason: reason.trim(),
  } as New<MarkRecord>) as Promise<MarkRecord>;
}

/** Takes the last thing back that stands on a judge’s sheet, by a mark that names it. Fails with `nothing`. */
export function takeMarkBack(
  kennel: Kennel,
  run: Pick<Run, 'id'>,
  judge: PersonId | null,
): Promise<Result<Undo<MarkRecord>>> {
  return transact(kennel, ['runs', 'marks'], async (write) => {
    const { last } = foldSheet(await write.marksOf(run.id), judge);
    if (!last) return refuse('nothing', '', say('data.log.there-is-nothing-to-take-back-in'));
    return append(write, kennel, run.id, judge, { kind: 'take-back' }, { of: last.id });
  });
}

/** Puts a run away, or brings it back; its sheets stay. */
export function putRunAway(kennel: Kennel, id: RunId, putAway: boolean): Promise<Result<Undo>> {
  return transact(kennel, ['runs'], async (write) => {
    const stored =
      (await write.get('runs', id)) ?? refuse('gone', id, say('data.runs.this-run-is-not-there-any-more'));
    return write.put('runs', { ...stored, putAway });
  });
}

/** Empties the sheet on which somebody tried costs; what a judge wrote is never emptied. */
export function emptyTry(kennel: Kennel, id: RunId): Promise<Result<Undo>> {
  return transact(kennel, ['runs', 'marks'], async (write) => {
    const run = await write.get('runs', id);
    if (run?.kind !== 'try') return;
    for (const mark of await write.marksOf(id)) await write.remove('marks', mark.id);
    await write.remove('runs', id);
  });
}

/** Whether a dog is calm when a shot is fired far off, and whether it may bite: as somebody says. */
export function sayBearing(
  kennel: Kennel,
  dogId: DogId,
  said: { readonly calmAtShots?: boolean | null; readonly mayBite?: boolean | null },
): Promise<Result<Undo>> {
  return transact(kennel, ['bearings'], async (write) => {
    const stored = (await write.get('bearings', dogId)) ?? { calmAtShots: null, mayBite: null };
    return write.put('bearings', { ...stored, ...said, id: dogId });
  });
}
