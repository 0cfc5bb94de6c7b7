import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import {
  BODY_SIGNS,
  type CoachEvent,
  type CoachState,
  coach,
  DEFAULT_PACE,
  type Outcome,
  type Policy,
  policySchema,
  REFUSALS,
  type Rule,
  type RuleKind,
  startCoaching,
  startRung,
  type Timing,
  USUAL_RULES,
} from '.';
import { moved, rep, reps, run, WIDE } from './policy.test-helper';

describe('n in a row, m misses drop back', () => {
  const rule: Rule = { kind: 'run', advanceAfter: 3, dropAfter: 2 };
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
  ])('%s → %s', (text, advice) => expect(run(rule, reps(text)).last).toBe(advice));

  it('starts a new run after a move, and undoing the move restores the old one', () => {
    const up = [...reps('ccc'), moved(3, 'up')];
    expect([run(rule, up).last, run(rule, up).state.rung]).toEqual(['hold', 3]);
    const undone = run(rule, [...up, { kind: 'undo', id: 'up' }]);
    expect([undone.state.rung, undone.last]).toEqual([2, 'advance 3']);
  });

  it('takes undo and correction as if they had been so from the start', () => {
    expect(run(rule, [...reps('ccm'), { kind: 'undo', id: '2' }, rep('3', 'clean')]).last).toBe('advance 3');
    expect(
      run(rule, [...reps('ccm'), { kind: 'correction', id: '2', outcome: 'clean', counts: true }]).last,
    ).toBe('advance 3');
    expect(
      run(rule, [...reps('mm'), { kind: 'correction', id: '1', outcome: 'miss', counts: false }]).last,
    ).toBe('hold');
    expect(run(rule, [...reps('cc'), { kind: 'undo', id: 'unknown' }]).state.seen).toHaveLength(2);
  });

  it('knows the ends of the ladder, and says loudly what was mastered long ago', () => {
    expect(run(rule, reps('ccc'), { rung: 4 }).last).toBe('done');
    expect(run(rule, reps('mm'), { rung: 0 }).last).toBe('hold');
    expect(run(rule, reps('cccccc')).reason).toContain('mastered long ago');
    expect(run(rule, reps('ccc')).reason).toBe('3 clean in a row here; your rule is 3 in a row.');
  });
});

describe('what is common to all rules', () => {
  const rule: Rule = { kind: 'run', advanceAfter: 2, dropAfter: 1 };
  it.each([
    ['a rest after a set, whatever counted', 'cFm', { setSize: 3 }, 'drop-back 1+rest'],
    ['forgotten once rested', 'cFf|', { setSize: 3 }, 'hold'],
    ['a cap on the session', 'cfcf', { sessionCap: 4 }, 'hold+end'],
    ['going back at once', 'ccm', {}, 'drop-back 1'],
    ['or keeping what was met', 'ccm', { ratchet: 'keep' }, 'help'],
    ['met once or never', 'mm', { ratchet: 'keep' }, 'help'],
  ] as const)('%s', (_, text, pace, advice) =>
    expect(run(rule, reps(text), {}, { ...WIDE, ...pace }).last).toBe(advice));

  it('one step up a set', () => {
    const events = [...reps('cc'), moved(3), rep('a', 'clean'), rep('b', 'clean')];
    expect(run(rule, events).last).toBe('hold');
    expect(run(rule, [...events, { kind: 'rested' }]).last).toBe('advance 4');
  });

  it('caps the warm-up, and lets no warm-up rep count', () => {
    const warm = (n: number): CoachEvent[] =>
      Array.from({ length: n }, (_, i) => rep(String(i), 'clean', { counts: false, warmUp: true }));
    expect(run(rule, warm(2), {}, { ...WIDE, warmUpCap: 3 }).reason).toContain('0 clean in a row');
    expect(run(rule, warm(3), {}, { ...WIDE, warmUpCap: 3 }).reason).toBe(
      '3 warm-up reps; your cap is 3. It is warm: begin with the first real one.',
    );
    expect(run(rule, [...warm(3), rep('a', 'clean')], {}, { ...WIDE, warmUpCap: 3 }).reason).toContain(
      '1 clean in a row',
    );
  });

  it('about six more, not logged, fill the set and prove nothing', () => {
    expect(
      run(rule, [rep('a', 'clean'), { kind: 'unlogged', id: 'x', count: 6 }], {}, { ...WIDE, setSize: 7 })
        .last,
    ).toBe('hold+rest');
  });

  it.each([
    [['stiffness'], 'stop'],
    [['panting'], 'rest+hold'],
    [['panting', 'slowing'], 'end'],
    [['yawning'], 'filler+hold'],
    [['yawning', 'avoiding'], 'end'],
    [['distracted'], 'filler+hold'],
  ] as const)('body signs %j → %s', (signs, advice) => {
    const events = signs.map((sign, i): CoachEvent => ({ kind: 'sign', id: String(i), sign }));
    expect(run(rule, events).last).toBe(advice);
  });

  it('starts the next day k rungs below, never below the first', () => {
    expect([startRung({ ...WIDE, startBelow: 2 }, 5), startRung({ ...WIDE, startBelow: 2 }, 1)]).toEqual([
      3, 0,
    ]);
  });
});

describe('block and sequential test', () => {
  const block: Rule = { kind: 'block', size: 5, pass: 4, fail: 2 };
  it.each([
    ['cccc', 'hold'],
    ['ccccm', 'advance 3'],
    ['ccmmc', 'hold'],
    ['cmmmc', 'drop-back 1'],
    ['cmmmccccccC', 'advance 3'],
  ])('block %s → %s', (text, advice) => expect(run(block, reps(text)).last).toBe(advice));

  // ln(.9/.6) = .405 a clean rep, ln(.1/.4) = −1.386 any other; both boundaries at ln 9 = 2.197.
  const test = USUAL_RULES.sequential;
  it.each([
    ['ccccc', 'hold'],
    ['cccccc', 'advance 3'],
    ['m', 'hold'],
    ['mm', 'drop-back 1'],
    ['cccmcc', 'hold'],
    ['mmc', 'hold'],
    ['ccccc|c', 'advance 3'],
  ])('sequential %s → %s', (text, advice) => expect(run(test, reps(text)).last).toBe(advice));
  it('says that it begins anew in each session', () =>
    expect(run(test, reps('cccccc')).reason).toContain('begins anew in each session'));
});

describe('any policy, any session', () => {
  const id = fc.nat({ max: 30 }).map(String);
  const event: fc.Arbitrary<CoachEvent> = fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .record({
          id,
          outcome: fc.constantFrom<Outcome>('clean', 'flawed', 'miss'),
          counts: fc.boolean(),
          timing: fc.constantFrom<Timing | null>(
            null,
            'before-word',
            'in-gap',
            'unprompted',
            'prompted',
            'reminded',
            'none',
          ),
        })
        .map((one): CoachEvent => ({ kind: 'rep', ...one })),
    },
    id.map((one): CoachEvent => ({ kind: 'undo', id: one })),
    id.map((one): CoachEvent => ({ kind: 'correction', id: one, outcome: 'clean', counts: true })),
    fc.record({ id, rung: fc.nat({ max: 4 }) }).map((one): CoachEvent => ({ kind: 'moved', ...one })),
    fc
      .record({ id, why: fc.constantFrom(...REFUSALS) })
      .map((one): CoachEvent => ({ kind: 'answered', ...one })),
    fc
      .record({ id, sign: fc.constantFrom(...BODY_SIGNS) })
      .map((one): CoachEvent => ({ kind: 'sign', ...one })),
    fc.record({ id, count: fc.nat({ max: 9 }) }).map((one): CoachEvent => ({ kind: 'unlogged', ...one })),
    id.map((one): CoachEvent => ({ kind: 'time-out', id: one })),
    fc.constant<CoachEvent>({ kind: 'rested' }),
  );

  it.each(
    Object.values(USUAL_RULES).map((rule): [RuleKind, Rule] => [rule.kind, rule]),
  )('%s never throws, is plain data at every step, and gives reasons', (_, rule) => {
    const policy: Policy = { rule, pace: DEFAULT_PACE };
    expect(v.is(policySchema, policy)).toBe(true);
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), (events) => {
        let state = startCoaching(policy, { rung: 2, top: 4, seed: 7, values: [1, 2, 4, 8, 16] });
        for (const one of events) {
          const step = coach(policy, state, one);
          const saved: CoachState = JSON.parse(JSON.stringify(step.state));
          expect(saved).toEqual(step.state);
          for (const line of step.advice) {
            expect(wordsOf(line.reason).length).toBeGreaterThan(10);
            if ('to' in line) expect(line.to >= 0 && line.to <= 4 && line.to !== step.state.rung).toBe(true);
          }
          state = saved;
        }
      }),
      { numRuns: 60 },
    );
  });
});
