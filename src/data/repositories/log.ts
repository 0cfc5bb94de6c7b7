import Dexie from 'dexie';
import type { Criteria } from '@/core/breakdown';
import type { BodySign, Refusal, Stage, Timing } from '@/core/coaching';
import { type Day, type DogId, type EntryId, fail, ok, type Result, type SessionId } from '@/core/shared';
import type { Details, ElementRecord, Entry, Judgement, Session } from '@/data/records';
import { undoTarget } from './fold';
import { type Kennel, newId } from './kennel';

/** What distinguishes the kinds of entry; ids, order and links are filled in when it is appended. */
type Draft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'sessionId' | 'elementId' | 'dogId' | 'seq'> : never) : never;

export type RepDraft = Judgement & {
  readonly at: number;
  readonly rung: number;
  readonly criteria: Criteria;
  readonly latency: number | null;
  readonly marker?: number | null;
  readonly timing?: Timing | null;
  readonly details?: Details;
};

/** A session runs on the day it was begun and until it is ended; one forgotten yesterday is over, so that its reps keep their day. */
export function isRunning(session: Session, today: Day): boolean {
  return session.endedAt === null && session.day === today;
}

/** Begins a session. One of this element that was forgotten open is ended at its last entry. */
export async function startSession(
  kennel: Kennel,
  element: ElementRecord,
  start: {
    readonly now: number;
    readonly day: Day;
    readonly away: boolean;
    readonly rung: number;
    readonly conditions?: Session['conditions'];
    readonly helper?: string;
    readonly temperature?: number | null;
    readonly runsFixed?: number | null;
  },
): Promise<Session> {
  const session: Session = {
    id: newId(),
    dogId: element.dogId,
    elementId: element.id,
    startedAt: start.now,
    day: start.day,
    away: start.away,
    startRung: start.rung,
    endedAt: null,
    conditions: start.conditions ?? {},
    helper: start.helper ?? '',
    temperature: start.temperature ?? null,
    runsFixed: start.runsFixed ?? null,
    debrief: null,
  };
  const { database } = kennel;
  await database.transaction('rw', database.sessions, database.entries, async () => {
    const forgotten = (await database.sessions.where('elementId').equals(element.id).toArray()).filter((one) => one.endedAt === null);
    for (const one of forgotten) {
      const last = await sessionRange(kennel, one.id).last();
      await database.sessions.update(one.id, { endedAt: last?.at ?? one.startedAt });
    }
    await database.sessions.add(session);
  });
  // Asks the browser not to clear the log when space runs short; a browser that cannot promise it goes on as before.
  void globalThis.navigator?.storage?.persist?.();
  return session;
}

export async function endSession(kennel: Kennel, id: SessionId, now: number): Promise<void> {
  await kennel.database.sessions.update(id, { endedAt: now });
}

/** Takes "enough" back: the session is open again. */
export async function reopenSession(kennel: Kennel, id: SessionId): Promise<void> {
  await kennel.database.sessions.update(id, { endedAt: null });
}

/**
 * Appends one entry. When the promise settles the transaction is on the disk. Its cost does not grow with the history: the next
 * place in the session is read from the end of an index.
 */
async function append(kennel: Kennel, session: Session, draft: Draft): Promise<Result<Entry>> {
  const { database } = kennel;
  try {
    const entry = await database.transaction('rw', database.entries, async () => {
      const last = await sessionRange(kennel, session.id).last();
      const { id, dogId, elementId } = session;
      const next = { ...draft, id: newId<EntryId>(), sessionId: id, dogId, elementId, seq: last ? last.seq + 1 : 0 } as Entry;
      await database.entries.add(next);
      return next;
    });
    return ok(entry);
  } catch (error) {
    return fail(
      'write',
      'entries',
      `This rep is not stored (${error instanceof Error ? error.message : String(error)}). Tap it again; if it fails again, save a file and make room.`,
    );
  }
}

const sessionRange = (kennel: Kennel, id: SessionId) =>
  kennel.database.entries.where('[sessionId+seq]').between([id, Dexie.minKey], [id, Dexie.maxKey]);

export function sessionEntries(kennel: Kennel, id: SessionId): Promise<Entry[]> {
  return sessionRange(kennel, id).sortBy('seq');
}

export function recordRep(kennel: Kennel, session: Session, rep: RepDraft): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'rep', ...rep, marker: rep.marker ?? null, timing: rep.timing ?? null, details: rep.details ?? {} });
}

export function recordCorrection(kennel: Kennel, session: Session, supersedes: EntryId, judgement: Judgement, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'correction', supersedes, at, ...judgement });
}

export function recordMove(
  kennel: Kennel,
  session: Session,
  move: { from: number; to: number; by: 'advice' | 'hand'; at: number },
): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'move', ...move });
}

export function recordRest(kennel: Kennel, session: Session, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'rest', at });
}

/** What else is tapped of a rep after it was logged: pay, crookedness, an extra cue. */
export function recordDetail(kennel: Kennel, session: Session, supersedes: EntryId, details: Details, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'detail', supersedes, details, at });
}

export function recordSign(kennel: Kennel, session: Session, sign: BodySign, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'sign', sign, at });
}

/** "About six more, not logged." */
export function recordUnlogged(kennel: Kennel, session: Session, count: number, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'unlogged', count, at });
}

export function recordTimeOut(kennel: Kennel, session: Session, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'time-out', at });
}

export function recordLaid(kennel: Kennel, session: Session, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'laid', at });
}

export function recordWashed(kennel: Kennel, session: Session, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'washed', at });
}

/** An article that is never to be laid again. */
export function recordOutOfUse(kennel: Kennel, session: Session, article: number, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'out-of-use', article, at });
}

/** The stage of a cue transfer, set by hand. */
export function recordStage(kennel: Kennel, session: Session, stage: Stage, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'stage', stage, at });
}

export function recordNote(kennel: Kennel, session: Session, text: string, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'note', text, at });
}

/** Two lines after a session: what happened, and what next. */
export async function debriefSession(kennel: Kennel, id: SessionId, debrief: Session['debrief']): Promise<void> {
  await kennel.database.sessions.update(id, { debrief });
}

/** Why a rep was refused, in the person's one tap. */
export function recordAnswer(kennel: Kennel, session: Session, why: Refusal, at: number): Promise<Result<Entry>> {
  return append(kennel, session, { kind: 'answer', why, at });
}

/** Takes the last thing back by an entry that supersedes it. Fails with `nothing` when there is none. */
export async function recordUndo(kennel: Kennel, session: Session, at: number): Promise<Result<Entry>> {
  const target = undoTarget(await sessionEntries(kennel, session.id));
  return target
    ? append(kennel, session, { kind: 'undo', supersedes: target.id, at })
    : fail('nothing', '', 'There is nothing to take back in this session.');
}

/** The last sessions of a dog, newest first, each with its log. */
export async function recentSessions(
  kennel: Kennel,
  dog: DogId,
  count: number,
): Promise<{ readonly session: Session; readonly entries: readonly Entry[] }[]> {
  const sessions = await kennel.database.sessions.where('dogId').equals(dog).toArray();
  const newest = sessions.sort((a, b) => b.startedAt - a.startedAt).slice(0, count);
  return Promise.all(newest.map(async (session) => ({ session, entries: await sessionEntries(kennel, session.id) })));
}
