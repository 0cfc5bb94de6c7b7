import type { Criteria } from '@/core/breakdown';
import { type Ladder, placeOn } from '@/core/breakdown';
import {
  type CoachEvent,
  type CoachStart,
  type CoachStep,
  coach,
  type Policy,
  startCoaching,
} from '@/core/coaching';
import type { EntryId } from '@/core/shared';
import type { Entry } from './entry';
import { countsAsEvidence } from './evidence-rep';
import { type Folded, foldLog, type StandingRep } from './fold';

/** What a policy is told of a bout's beginning, besides where the dog stood. */
export type CoachFacts = Partial<Omit<CoachStart, 'rung' | 'top'>>;

/** A bout as its coach sees it: the policy, today's ladder, where it began, what else is known. */
export type Coached = {
  readonly policy: Policy;
  readonly ladder: Ladder;
  readonly start: Criteria;
  readonly facts: CoachFacts;
};

/**
 * Replays a log through its policy: the coach's state is never stored, so it can never disagree with
 * the log. Criteria become rungs of today's ladder here, and only here.
 */
export function replay(coached: Coached, entries: readonly Entry[]): CoachStep {
  const steps = replaySteps(coached, entries, foldLog(coached.start, entries));
  return steps.at(-1)?.step ?? begun(coached);
}

/** The coach after each entry that reached it, in order. */
export function replaySteps(
  coached: Coached,
  entries: readonly Entry[],
  { reps, undone }: Pick<Folded, 'reps' | 'undone'>,
): { readonly entry: EntryId; readonly step: CoachStep }[] {
  const byId = new Map(reps.map((rep) => [rep.id, rep]));
  const found: { entry: EntryId; step: CoachStep }[] = [];
  let step = begun(coached);
  for (const entry of entries) {
    const event = undone.has(entry.id) ? null : eventOf(entry, byId, coached.ladder);
    if (!event) continue;
    step = coach(coached.policy, step.state, event);
    found.push({ entry: entry.id, step });
  }
  return found;
}

function begun({ policy, ladder, start, facts }: Coached): CoachStep {
  const rung = placeOn(ladder, start).rung;
  return { state: startCoaching(policy, { ...facts, rung, top: ladder.rungs.length - 1 }), advice: [] };
}

function eventOf(entry: Entry, reps: ReadonlyMap<EntryId, StandingRep>, ladder: Ladder): CoachEvent | null {
  switch (entry.kind) {
    case 'rep': {
      const rep = reps.get(entry.id);
      return rep ? repTold(rep, ladder) : null;
    }
    case 'move':
      return { kind: 'moved', id: entry.id, rung: placeOn(ladder, entry.to).rung };
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
    case 'amend':
    case 'override':
    case 'sign-over':
    case 'easy':
    case 'clock':
    case 'laid':
    case 'washed':
    case 'out-of-use':
    case 'touched':
    case 'note':
      return null;
  }
}

function repTold(rep: StandingRep, ladder: Ladder): CoachEvent {
  const { purpose, seen, judged } = rep;
  // The prompt is part of a protocol that keeps timings: its answers move the policy, though they
  // prove nothing.
  const aided = seen.timing === null && judged.aids.length > 0;
  const list = ladder.axes.find((axis) => axis.levels !== null && axis.role === 'criterion')?.levels;
  const grade = seen.grade === undefined ? null : seen.grade;
  return {
    kind: 'rep',
    id: rep.id,
    outcome: judged.outcome === 'none' ? 'flawed' : judged.outcome,
    counts:
      judged.outcome !== 'none' &&
      countsAsEvidence({ aided, cause: judged.cause, purpose, isVoid: judged.void }),
    timing: seen.timing,
    grade: grade !== null && list ? list.findIndex((level) => level.id === grade) : grade,
    warmUp: purpose === 'warm-up',
  };
}
