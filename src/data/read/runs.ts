import type { DogId, MeetingId, RuleBookId, RunId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { BearingRecord, Calling, MarkRecord, Meeting, Run, ScriptRecord } from '@/data/records';
import type { Person } from '@/data/records/person';

/** A run with all that stands on its sheets. */
export type RunWithMarks = { readonly run: Run; readonly marks: readonly MarkRecord[] };

export async function runWithMarks(kennel: Kennel, id: RunId): Promise<RunWithMarks | null> {
  const run = await kennel.database.of('runs').get(id);
  return run ? { run, marks: await marksOf(kennel, id) } : null;
}

const marksOf = ({ database }: Kennel, id: RunId): Promise<MarkRecord[]> =>
  database.of('marks').where('[runId+seq]').between([id, 0], [id, Number.POSITIVE_INFINITY]).toArray();

/** The runs of a book on which somebody tries costs, by their turn. */
export async function triesOf(kennel: Kennel, book: RuleBookId): Promise<RunWithMarks[]> {
  const runs = (await kennel.database.of('runs').where('book').equals(book).toArray()).filter(
    (run) => run.kind === 'try' && run.changed.by === kennel.device,
  );
  const found = runs.sort((a, b) => a.turn - b.turn);
  return Promise.all(found.map(async (run) => ({ run, marks: await marksOf(kennel, run.id) })));
}

/** All runs but those that try costs, the last first; those put away left out. */
export async function listRuns({ database }: Kennel): Promise<Run[]> {
  // Written-out runs stand in their own room.
  const scripts = new Set<string>(await database.of('practices').toCollection().primaryKeys());
  const runs = (await database.of('runs').toArray()).filter(
    (run) => run.kind !== 'try' && !run.putAway && !scripts.has(run.id),
  );
  return runs.sort((a, b) => (a.day === b.day ? b.changed.at - a.changed.at : a.day < b.day ? 1 : -1));
}

/** Runs of a meeting with their marks, in no order. */
export async function runsOfMeeting(kennel: Kennel, meeting: MeetingId): Promise<RunWithMarks[]> {
  const runs = await kennel.database.of('runs').where('meeting').equals(meeting).toArray();
  const found = runs.filter((run) => !run.putAway);
  return Promise.all(found.map(async (run) => ({ run, marks: await marksOf(kennel, run.id) })));
}

/** Meetings, the last day first. */
export async function listMeetings({ database }: Kennel): Promise<Meeting[]> {
  return (await database.of('meetings').toArray()).sort((a, b) => (a.day < b.day ? 1 : -1));
}

export async function meetingOf({ database }: Kennel, id: MeetingId): Promise<Meeting | null> {
  return (await database.of('meetings').get(id)) ?? null;
}

export function listPeople({ database }: Kennel): Promise<Person[]> {
  return database.of('people').toArray();
}

export async function scriptOf({ database }: Kennel, book: RuleBookId): Promise<ScriptRecord | null> {
  return (await database.of('scripts').get(book)) ?? null;
}

export async function callingOf({ database }: Kennel, run: RunId): Promise<Calling | null> {
  return (await database.of('callings').get(run)) ?? null;
}

/** What was said of a dog about shots and biting. */
export async function bearingOf({ database }: Kennel, dog: DogId): Promise<BearingRecord | null> {
  return (await database.of('bearings').get(dog)) ?? null;
}
