import { type MeetingId, type PersonId, type Result, type RuleBookId, say } from '@/core/shared';
import { drawOrder } from '@/core/trials';
import { type Kennel, newId } from '@/data/kennel';
import type { Meeting, New } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

export type MeetingSaid = New<Omit<Meeting, 'id'>>;

/** A meeting, with the people who judge by their names: each becomes a person once. */
export function saveMeeting(
  kennel: Kennel,
  id: MeetingId | null,
  said: Omit<MeetingSaid, 'classes'> & {
    readonly classes: readonly { readonly book: RuleBookId; readonly judges: readonly string[] }[];
  },
): Promise<Result<Undo<Meeting>>> {
  return transact(kennel, ['meetings', 'people'], async (write) => {
    const stored = id === null ? null : await write.get('meetings', id);
    const classes: Meeting['classes'] = [];
    for (const { book, judges } of said.classes) {
      const known = stored?.classes.find((one) => one.book === book);
      classes.push({
        book,
        judges: await judgesNamed(write, judges),
        order: known?.order ?? [],
        seed: known?.seed ?? null,
      });
    }
    return write.put('meetings', { ...said, classes, id: id ?? newId<MeetingId>() });
  });
}

/** People of these names who judge, in this order; who is not known yet is written down. */
export async function judgesNamed(write: Write, names: readonly string[]): Promise<PersonId[]> {
  const ids: PersonId[] = [];
  for (const name of names.map((one) => one.trim()).filter((one) => one !== '')) {
    const people = await write.all('people');
    const known = people.find((one) => one.name.toLowerCase() === name.toLowerCase());
    const id = known?.id ?? newId<PersonId>();
    if (!known?.roles.includes('judge')) {
      const roles = [...(known?.roles ?? []), 'judge' as const];
      await write.put('people', {
        ...known,
        id,
        name: known?.name ?? name,
        roles,
        pace: known?.pace ?? null,
        putAway: known?.putAway ?? false,
      });
    }
    if (!ids.includes(id)) ids.push(id);
  }
  return ids;
}

/**
 * Draws the running order of a class anew. Fails with `gone`, and with `running` once a dog of it has a
 * sheet: an order is not drawn again behind a run.
 */
export function drawClass(
  kennel: Kennel,
  id: MeetingId,
  book: RuleBookId,
  seed: number,
): Promise<Result<Undo<Meeting>>> {
  return transact(kennel, ['meetings', 'runs'], async (write) => {
    const stored = await storedMeeting(write, id);
    const runs = (await write.all('runs')).filter((run) => run.meeting === id && run.book === book);
    if (runs.length > 0) refuse('running', book, say('data.meetings.a-dog-has-run-already'));
    const starters = stored.starters.filter((one) => one.book === book);
    return write.put('meetings', {
      ...stored,
      classes: stored.classes.map((one) =>
        one.book === book ? { ...one, seed, order: drawOrder(starters, seed) } : one,
      ),
    });
  });
}

const storedMeeting = async (write: Write, id: MeetingId): Promise<Meeting> =>
  (await write.get('meetings', id)) ??
  refuse('gone', id, say('data.meetings.this-meeting-is-not-there-any-more'));

type Change = Partial<Pick<Meeting, 'starters' | 'classes'>>;

/** Changes who starts, or in which order, by a function of what is stored. Fails with `gone`. */
export function changeMeeting(
  kennel: Kennel,
  id: MeetingId,
  change: (stored: Meeting) => Change,
): Promise<Result<Undo<Meeting>>> {
  return transact(kennel, ['meetings'], async (write) => {
    const stored = await storedMeeting(write, id);
    return write.put('meetings', { ...stored, ...change(stored) });
  });
}

/** Removes a meeting that no run names; its runs would lose their class. Fails with `running` where one does. */
export function removeMeeting(kennel: Kennel, id: MeetingId): Promise<Result<Undo>> {
  return transact(kennel, ['meetings', 'runs'], async (write) => {
    if ((await write.all('runs')).some((run) => run.meeting === id))
      refuse('running', id, say('data.meetings.a-dog-has-run-already'));
    await write.remove('meetings', id);
  });
}
