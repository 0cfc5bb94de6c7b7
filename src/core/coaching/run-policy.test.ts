import { describe, expect, it } from 'vitest';
import { type CoachEvent, type CoachState, coachRun, type Outcome, type RunPolicy, startCoaching } from '.';

const policy: RunPolicy = { kind: 'run', advanceAfter: 3, dropAfter: 2, setSize: 50 };
const rep = (id: string, outcome: Outcome, counts = true): CoachEvent => ({ kind: 'rep', id, outcome, counts });
const outcomes: Record<string, Outcome> = { c: 'clean', f: 'flawed', m: 'miss' };
/** 'ccm' → three counted reps with ids 0, 1, 2; capitals do not count. */
const reps = (text: string, from = 0): CoachEvent[] =>
  [...text].map((letter, i) => rep(String(from + i), outcomes[letter.toLowerCase()] ?? 'miss', letter === letter.toLowerCase()));
const run = (events: readonly CoachEvent[], rung = 2, top = 4): { state: CoachState; last: string } =>
  events.reduce<{ state: CoachState; last: string }>(
    ({ state }, event) => {
      const step = coachRun(policy, state, event);
      return { state: step.state, last: step.advice.map((advice) => ('to' in advice ? `${advice.kind} ${advice.to}` : advice.kind)).join('+') };
    },
    { state: startCoaching(rung, top), last: '' },
  );

describe('n in a row, m misses drop back', () => {
  it.each([
    ['cc', 'hold'],
    ['ccc', 'advance 3'],
    ['ccfccc', 'advance 3'],
    ['ccfcc', 'hold'],
    ['mm', 'drop-back 1'],
    ['mfm', 'hold'],
    ['mcm', 'hold'],
    ['ccCc', 'advance 3'],
    ['ccMc', 'advance 3'],
    ['cCC', 'hold'],
    ['mM', 'hold'],
  ])('%s → %s', (text, advice) => expect(run(reps(text)).last).toBe(advice));

  it('starts a new run after a move, and undoing the move restores the old one', () => {
    const moved: CoachEvent[] = [...reps('ccc'), { kind: 'moved', id: 'up', rung: 3 }];
    expect(run(moved).last).toBe('hold');
    expect(run(moved).state.rung).toBe(3);
    const undone = run([...moved, { kind: 'undo', id: 'up' }]);
    expect([undone.state.rung, undone.last]).toEqual([2, 'advance 3']);
  });

  it('takes undo and correction as if they had been so from the start', () => {
    expect(run([...reps('ccm'), { kind: 'undo', id: '2' }, rep('3', 'clean')]).last).toBe('advance 3');
    expect(run([...reps('ccm'), { kind: 'correction', id: '2', outcome: 'clean', counts: true }]).last).toBe('advance 3');
    expect(run([...reps('mm'), { kind: 'correction', id: '1', outcome: 'miss', counts: false }]).last).toBe('hold');
    expect(run([...reps('cc'), { kind: 'undo', id: 'unknown' }]).state.reps).toHaveLength(2);
  });

  it('knows the ends of the ladder', () => {
    expect(run(reps('ccc'), 4).last).toBe('done');
    expect(run(reps('mm'), 0).last).toBe('hold');
  });

  it('asks for a rest after a set, whatever counted, and forgets it when rested', () => {
    const short = { ...policy, setSize: 3 };
    const kinds = (events: CoachEvent[]): string[] => {
      let state = startCoaching(0, 3);
      let advice: readonly { kind: string }[] = [];
      for (const event of events) ({ state, advice } = coachRun(short, state, event));
      return advice.map((line) => line.kind);
    };
    expect(kinds(reps('cFm'))).toEqual(['hold', 'rest']);
    expect(kinds([...reps('cFm'), { kind: 'rested' }])).toEqual(['hold']);
  });

  it('says its grounds', () => {
    const { advice } = coachRun(policy, run(reps('cc')).state, rep('9', 'clean'));
    expect(advice[0]?.reason).toBe('3 clean in a row here; your rule is 3 in a row.');
  });

  it('keeps a state that survives being saved', () => {
    const { state } = run(reps('ccm'));
    expect(JSON.parse(JSON.stringify(state))).toEqual(state);
  });
});
