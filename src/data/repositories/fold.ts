import { type ArticleEvent, type CoachEvent, type CoachStart, type CoachStep, coach, type Policy, startCoaching } from '@/core/coaching';
import { countsAsEvidence, type EvidenceRep } from '@/core/evidence';
import type { EntryId } from '@/core/shared';
import type { Details, Entry, Judgement, RepEntry, Session } from '@/data/records';

/** A rep as it stands after corrections. `corrected` tells that it was said otherwise first. */
export type StandingRep = RepEntry & { readonly corrected: boolean };

/** The reps of one session that stand: undone ones are left out, corrected ones say what was said last. Entries in order of seq. */
export function standingReps(entries: readonly Entry[]): StandingRep[] {
  const undone = undoneIds(entries);
  const said = new Map<EntryId, Judgement>();
  for (const entry of entries) if (entry.kind === 'correction' && !undone.has(entry.id)) said.set(entry.supersedes, judgementOf(entry));
  const more = new Map<EntryId, Details>();
  for (const entry of entries)
    if (entry.kind === 'detail' && !undone.has(entry.id)) more.set(entry.supersedes, { ...more.get(entry.supersedes), ...entry.details });
  return entries
    .filter((entry): entry is RepEntry => entry.kind === 'rep' && !undone.has(entry.id))
    .map((rep) => ({ ...rep, ...said.get(rep.id), details: { ...rep.details, ...more.get(rep.id) }, corrected: said.has(rep.id) }));
}

/** The ids that undo entries took back. An undo names one entry and is itself final. */
function undoneIds(entries: readonly Entry[]): Set<EntryId> {
  return new Set(entries.flatMap((entry) => (entry.kind === 'undo' ? [entry.supersedes] : [])));
}

/** What the next undo would take back: the last thing that somebody tapped and that still stands; null when there is none. */
export function undoTarget(entries: readonly Entry[]): Entry | null {
  const undone = undoneIds(entries);
  return entries.findLast((entry) => entry.kind !== 'undo' && entry.kind !== 'rest' && entry.kind !== 'time-out' && !undone.has(entry.id)) ?? null;
}

/** What has happened to a set of articles, from one session's log after another. */
export function articleEvents(entries: readonly Entry[]): ArticleEvent[] {
  const reps = new Map(standingReps(entries).map((rep) => [rep.id, rep]));
  const undone = undoneIds(entries);
  return entries.flatMap((entry): ArticleEvent[] => {
    if (entry.kind === 'washed') return undone.has(entry.id) ? [] : [{ kind: 'washed' }];
    if (entry.kind === 'out-of-use') return undone.has(entry.id) ? [] : [{ kind: 'out-of-use', article: entry.article }];
    const rep = entry.kind === 'rep' ? reps.get(entry.id) : undefined;
    return rep?.details.articles ? [{ kind: 'run', ...rep.details.articles, aided: rep.aided }] : [];
  });
}

/** How many things lie out: confirmed ones less those that were picked up. A refusal or a void send leaves it lying. */
export function lyingOut(entries: readonly Entry[]): number {
  const undone = undoneIds(entries);
  const laid = entries.filter((entry) => entry.kind === 'laid' && !undone.has(entry.id)).length;
  return laid - standingReps(entries).filter((rep) => rep.outcome !== 'miss' && rep.details.isVoid !== true).length;
}

/** The rung at which the session stands after its moves. */
export function standingRung(session: Pick<Session, 'startRung'>, entries: readonly Entry[]): number {
  const undone = undoneIds(entries);
  const move = entries.findLast((entry) => entry.kind === 'move' && !undone.has(entry.id));
  return move?.kind === 'move' ? move.to : session.startRung;
}

/** What a policy is told of a session's beginning, besides its rung. */
export type CoachFacts = Pick<CoachStart, 'top'> & Partial<CoachStart>;

/** Replays a session's log through its policy: the coach's state is never stored, so it can never disagree with the log. */
export function replay(policy: Policy, session: Pick<Session, 'startRung'>, facts: CoachFacts, entries: readonly Entry[]): CoachStep {
  const undone = undoneIds(entries);
  const reps = new Map(standingReps(entries).map((rep) => [rep.id, rep]));
  const start: CoachStep = { state: startCoaching(policy, { ...facts, rung: session.startRung }), advice: [] };
  return entries.reduce((step, entry) => {
    const event = undone.has(entry.id) ? null : eventOf(entry, reps);
    return event ? coach(policy, step.state, event) : step;
  }, start);
}

function eventOf(entry: Entry, reps: ReadonlyMap<EntryId, StandingRep>): CoachEvent | null {
  switch (entry.kind) {
    case 'rep': {
      const rep = reps.get(entry.id);
      if (!rep) return null;
      const { id, outcome, timing, details } = rep;
      // The prompt is part of a protocol that keeps timings: its answers move the policy, though they prove nothing.
      const aided = timing === null && rep.aided;
      return {
        kind: 'rep',
        id,
        outcome,
        counts: countsAsEvidence({ ...rep, ...details, aided }),
        timing,
        grade: details.grade ?? null,
        warmUp: details.purpose === 'warm-up',
      };
    }
    case 'move':
      return { kind: 'moved', id: entry.id, rung: entry.to };
    case 'rest':
      return { kind: 'rested' };
    case 'answer':
      return { kind: 'answered', id: entry.id, why: entry.why };
    case 'sign':
      return { kind: 'sign', id: entry.id, sign: entry.sign };
    case 'unlogged':
      return { kind: 'unlogged', id: entry.id, count: entry.count };
    case 'time-out':
      return { kind: 'time-out', id: entry.id };
    case 'stage':
      return { kind: 'staged', id: entry.id, stage: entry.stage };
    case 'undo':
    case 'correction':
    case 'detail':
    case 'laid':
    case 'washed':
    case 'out-of-use':
    case 'note':
      return null;
  }
}

export function judgementOf({ outcome, option, cause, aided }: Judgement): Judgement {
  return { outcome, option, cause, aided };
}

const measuresOf = ({ extraCues, held, crooked, measured, pay, landed, did }: Details) => ({ extraCues, held, crooked, measured, pay, landed, did });

/** The reps of one session as evidence. */
export function evidenceReps(session: Session, entries: readonly Entry[]): EvidenceRep[] {
  return standingReps(entries).map((rep) => ({
    id: rep.id,
    session: session.id,
    day: session.day,
    at: rep.at,
    away: session.away,
    criteria: rep.criteria,
    purpose: rep.details.purpose ?? 'training',
    isVoid: rep.details.isVoid ?? false,
    conditions: session.conditions,
    latency: rep.latency,
    timing: rep.timing,
    ...measuresOf(rep.details),
    ...judgementOf(rep),
  }));
}
