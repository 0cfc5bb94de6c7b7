import fc from 'fast-check';
import { expect, it } from 'vitest';
import { type CoachStep, coach, DEFAULT_PACE, type Outcome, type Policy, startCoaching } from '@/core/coaching';
import { countsAsEvidence } from '@/core/evidence';
import { asId, type DogId, type ElementId, type EntryId, type SessionId } from '@/core/shared';
import type { Entry } from '@/data/records';
import { replay, standingReps, standingRung, undoTarget } from './fold';

/** What a person may do on the pad, in any order. */
type Deed =
  | { readonly deed: 'rep'; readonly outcome: Outcome }
  | { readonly deed: 'correct'; readonly cause: 'dog' | 'handler' }
  | { readonly deed: 'undo' }
  | { readonly deed: 'move'; readonly to: number }
  | { readonly deed: 'rest' };

const policy: Policy = { rule: { kind: 'run', advanceAfter: 3, dropAfter: 2 }, pace: DEFAULT_PACE };
const common = (seq: number) => ({
  id: asId<EntryId>(`e${seq}`),
  sessionId: asId<SessionId>('s'),
  elementId: asId<ElementId>('e'),
  dogId: asId<DogId>('d'),
  seq,
  at: seq,
});

function logOf(deeds: readonly Deed[]): Entry[] {
  const log: Entry[] = [];
  for (const deed of deeds) {
    const place = common(log.length);
    const last = standingReps(log).at(-1);
    const target = undoTarget(log);
    if (deed.deed === 'rep')
      log.push({
        kind: 'rep',
        ...place,
        outcome: deed.outcome,
        option: null,
        cause: 'dog',
        aided: false,
        rung: standingRung({ startRung: 1 }, log),
        criteria: {},
        latency: null,
        marker: null,
        timing: null,
        details: {},
      });
    else if (deed.deed === 'rest') log.push({ kind: 'rest', ...place });
    else if (deed.deed === 'move') log.push({ kind: 'move', ...place, from: standingRung({ startRung: 1 }, log), to: deed.to, by: 'hand' });
    else if (deed.deed === 'undo' && target) log.push({ kind: 'undo', ...place, supersedes: target.id });
    else if (deed.deed === 'correct' && last)
      log.push({ kind: 'correction', ...place, supersedes: last.id, outcome: last.outcome, option: null, cause: deed.cause, aided: false });
  }
  return log;
}

/** The slow, obvious way: the log as if everything undone had never been done, and every rep as it was last said. */
function asIfNeverDone(log: readonly Entry[]): Entry[] {
  const undone = new Set(log.flatMap((entry) => (entry.kind === 'undo' ? [entry.supersedes] : [])));
  const left = log.filter((entry) => entry.kind !== 'undo' && !undone.has(entry.id));
  return left.flatMap((entry): Entry[] => {
    if (entry.kind !== 'rep') return entry.kind === 'correction' ? [] : [entry];
    const said = left.findLast((other) => other.kind === 'correction' && other.supersedes === entry.id);
    return said?.kind === 'correction' ? [{ ...entry, cause: said.cause }] : [entry];
  });
}

const deeds = fc.array(
  fc.oneof(
    { weight: 5, arbitrary: fc.constantFrom<Outcome>('clean', 'flawed', 'miss').map((outcome): Deed => ({ deed: 'rep', outcome })) },
    { weight: 2, arbitrary: fc.constant<Deed>({ deed: 'undo' }) },
    { weight: 2, arbitrary: fc.constantFrom('dog', 'handler').map((cause): Deed => ({ deed: 'correct', cause: cause as 'dog' | 'handler' })) },
    { weight: 1, arbitrary: fc.nat({ max: 4 }).map((to): Deed => ({ deed: 'move', to })) },
    { weight: 1, arbitrary: fc.constant<Deed>({ deed: 'rest' }) },
  ),
  { maxLength: 40 },
);

it('the coach’s advice from the log is that of a log in which nothing undone was ever done', () => {
  fc.assert(
    fc.property(deeds, (done) => {
      const log = logOf(done);
      let step: CoachStep = { state: startCoaching(policy, { rung: 1, top: 4 }), advice: [] };
      for (const entry of asIfNeverDone(log)) {
        if (entry.kind === 'rep')
          step = coach(policy, step.state, {
            kind: 'rep',
            id: entry.id,
            outcome: entry.outcome,
            counts: countsAsEvidence(entry),
            timing: null,
            grade: null,
            warmUp: false,
          });
        if (entry.kind === 'move') step = coach(policy, step.state, { kind: 'moved', id: entry.id, rung: entry.to });
        if (entry.kind === 'rest') step = coach(policy, step.state, { kind: 'rested' });
      }
      expect(replay(policy, { startRung: 1 }, { top: 4 }, log)).toEqual(step);
      expect(standingRung({ startRung: 1 }, log)).toBe(step.state.rung);
    }),
    { numRuns: 500 },
  );
});

it('undo, repeated, always ends with nothing', () => {
  fc.assert(
    fc.property(deeds, (done) => {
      const log = logOf([...done, ...Array.from({ length: done.length + 1 }, (): Deed => ({ deed: 'undo' }))]);
      expect([standingReps(log), undoTarget(log), standingRung({ startRung: 1 }, log)]).toEqual([[], null, 1]);
    }),
  );
});
