import type { Criteria } from '@/core/breakdown';
import { gradeAxis, type Ladder, levelPlace, placeOn } from '@/core/breakdown';
import {
  type CoachEvent,
  type CoachStart,
  type CoachStep,
  coach,
  type Policy,
  startCoaching,
} from '@/core/coaching';
import type { EntryId } from '@/core/shared';
import { ACTION_CHIP, type Entry } from './entry';
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
    const event = undone.has(entry.id) ? null : eventOf(entry, byId, coached.ladder, step.state.rung);
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

function eventOf(
  entry: Entry,
  reps: ReadonlyMap<EntryId, StandingRep>,
  ladder: Ladder,
  rung: number,
): CoachEvent | null {
  switch (entry.kind) {
    case 'rep': {
      const rep = reps.get(entry.id);
      return rep ? repTold(rep, ladder, rung) : null;
    }
    case 'move':
      return { kind: 'moved', id: entry.id, rung: placeOn(ladder, entry.to).rung };
    case 'rest':
      return { kind: 'rested' };
    case 'answer':
      return { kind: 'answered', id: entry.id, why: entry.why };
    case 'sign':
      return { kind: 'sign', id: entry.id, sign: entry.sign };
    case 'sign-over':
      return { kind: 'sign-over', of: entry.of };
    case 'restate':
      return entry.sign ? { kind: 'sign-again', of: entry.of, sign: entry.sign } : null;
    case 'unlogged':
      return { kind: 'unlogged', id: entry.id, count: entry.count };
    case 'time-out':
      return { kind: 'time-out', id: entry.id };
    case 'stage':
      return { kind: 'staged', id: entry.id, stage: entry.stage };
    case 'undo':
    case 'amend':
    case 'override':
    case 'off':
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

/**
 * Whether the handler did otherwise than the rung asks, so that the rep says nothing of this rung: a harder
 * action that was missed is no failure here, and an easier one that was clean is no success.
 */
function elsewhere({ asked, judged }: StandingRep, ladder: Ladder, rung: number): boolean {
  const axis = ladder.axes.find((one) => one.key === ACTION_CHIP && one.levels !== null);
  if (!axis?.levels) return false;
  const [did, asks] = [asked.criteria[axis.key], ladder.rungs[rung]?.criteria[axis.key]];
  if (did === undefined || asks === undefined || did === asks) return false;
  const harder = levelPlace(axis.levels, did) > levelPlace(axis.levels, asks);
  return harder !== (judged.outcome === 'clean');
}

/** The place of what it showed on the list, from 0; backing away shows none of it and lies below all. */
function gradeOf(
  { seen, judged }: StandingRep,
  list: readonly { readonly id: number }[] | null,
): number | null {
  if (list === null) return seen.grade ?? null;
  if (seen.grade !== undefined) return list.findIndex((level) => level.id === seen.grade);
  return judged.outcome === 'miss' ? BELOW_ALL : null;
}
const BELOW_ALL = -1;

/**
 * A rep as its policy sees it. What the handler knew or the dog saw proves nothing, and climbs the ladder
 * all the same; a dog that was gone back to says nothing of what it was not called to.
 */
function repTold(rep: StandingRep, ladder: Ladder, rung: number): CoachEvent {
  const { purpose, seen, judged, asked } = rep;
  const { outcome } = judged;
  // The prompt is part of a protocol that keeps timings: its answers move the policy, though they
  // prove nothing.
  const aided = seen.timing === null && judged.aids.length > 0;
  const list = gradeAxis(ladder.axes)?.levels;
  return {
    kind: 'rep',
    id: rep.id,
    outcome: outcome === 'none' ? 'flawed' : outcome,
    counts:
      outcome !== 'none' &&
      !elsewhere(rep, ladder, rung) &&
      countsAsEvidence({
        outcome,
        aided,
        cause: judged.cause,
        purpose,
        isVoid: judged.void,
        cues: seen.cues,
        returned: asked.call?.kind === 'return' ? { delay: null } : undefined,
      }),
    timing: seen.timing,
    grade: gradeOf(rep, list ?? null),
    held: seen.measured.held?.value ?? null,
    drive: seen.drive ?? null,
    warmUp: purpose === 'warm-up',
  };
}
