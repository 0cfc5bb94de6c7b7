import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import {
  BODY_SIGNS,
  type CoachEvent,
  type CoachStart,
  type CoachState,
  coach,
  DEFAULT_PACE,
  type Outcome,
  type Pace,
  type Policy,
  policySchema,
  REFUSALS,
  type Rule,
  type RuleKind,
  startCoaching,
  startRung,
  type Timing,
  transferOf,
  USUAL_RULES,
} from '.';

const outcomes: Record<string, Outcome> = { c: 'clean', f: 'flawed', m: 'miss' };
const rep = (
  id: string,
  outcome: Outcome,
  more: Partial<Extract<CoachEvent, { kind: 'rep' }>> = {},
): CoachEvent => ({
  kind: 'rep',
  id,
  outcome,
  counts: true,
  ...more,
});
/** 'ccm' → three counted reps with ids 0, 1, 2; capitals do not count; '|' is a rest. */
const reps = (text: string): CoachEvent[] =>
  [...text].map((letter, i) =>
    letter === '|'
      ? { kind: 'rested' }
      : rep(String(i), outcomes[letter.toLowerCase()] ?? 'miss', { counts: letter === letter.toLowerCase() }),
  );
const moved = (rung: number, id = `to ${rung}`): CoachEvent => ({ kind: 'moved', id, rung });
const WIDE: Pace = { ...DEFAULT_PACE, setSize: 50 };

type Ran = { readonly state: CoachState; readonly last: string; readonly reason: string };
function run(
  rule: Rule,
  events: readonly CoachEvent[],
  start: Partial<CoachStart> = {},
  pace: Pace = WIDE,
): Ran {
  const policy: Policy = { rule, pace };
  let state = startCoaching(policy, { rung: 2, top: 4, ...start });
  let ran: Ran = { state, last: '', reason: '' };
  for (const event of events) {
    const step = coach(policy, state, event);
    state = step.state;
    ran = {
      state,
      last: step.advice
        .map((one) =>
          'to' in one ? `${one.kind} ${one.to}` : one.kind === 'pay' ? `pay ${one.paid}` : one.kind,
        )
        .join('+'),
      reason: step.advice[0]?.reason ?? '',
    };
  }
  return ran;
}

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

describe('stretch', () => {
  const rule: Rule = { kind: 'stretch', cut: 0.5, perSession: 2 };
  const values = [5, 10, 20, 30, 40, 50];
  const at = { rung: 4, top: 5, values };
  const full = (id: string): CoachEvent => rep(id, 'clean', { drive: 5 });
  const refused = (why: (typeof REFUSALS)[number]): CoachEvent[] => [
    rep('r', 'miss'),
    { kind: 'answered', id: 'a', why },
  ];
  it.each([
    ['too-far', 'drop-back 2'],
    ['sore', 'stop'],
    ['did-not-mark', 'hold'],
    ['chewing', 'hold'],
    ['something-new', 'hold'],
    ['unknown', 'hold'],
  ] as const)('a refusal at 40 m answered %s → %s', (why, advice) =>
    expect(run(rule, refused(why), at).last).toBe(advice));

  it('asks once; a refusal without an answer changes nothing', () => {
    expect(run(rule, reps('m'), at).last).toBe('ask');
    expect(run(rule, [...reps('m'), rep('x', 'clean', { drive: 5 })], at).last).toBe('advance 5');
    expect(run(rule, [{ kind: 'answered', id: 'a', why: 'too-far' }], at).last).toBe('hold');
  });
  it('repeats the same distance when it did not mark, and says so', () =>
    expect(run(rule, refused('did-not-mark'), at).reason).toContain('same distance again'));
  it('rebuilds after a cut, within the cadence of a session', () => {
    expect(run(rule, [...refused('too-far'), moved(2), rep('b', 'clean', { drive: 5 })], at).last).toBe(
      'advance 3',
    );
    expect(
      run(rule, [...refused('too-far'), moved(2), full('b'), moved(3), full('c'), moved(4), full('d')], at)
        .last,
    ).toBe('hold');
  });
  it('goes back without having gone longer, stays too far until it is taken, and wants full drive', () => {
    const rested: CoachEvent = { kind: 'rested' };
    expect(
      run(rule, [...refused('too-far'), moved(2), full('b'), moved(3), rested, full('c')], at).last,
    ).toBe('advance 4');
    expect(run(rule, [...refused('too-far'), full('b')], at).last).toBe('drop-back 2');
    expect(run(rule, reps('c'), at).reason).toContain('nothing was said of its drive');
    expect(run(rule, [rep('b', 'clean', { drive: 3 })], at).reason).toContain('not on full drive');
  });
  it('two refusals that nobody explains end it', () => {
    expect(run(rule, [...refused('unknown'), ...refused('unknown')], at).reason).toContain(
      'mouth, feet and back',
    );
    expect(run(rule, [rep('r', 'miss'), rep('s', 'miss'), rep('t', 'miss')], at).last).toBe('end');
    expect(run(rule, [...refused('chewing'), ...refused('chewing')], at).last).toBe('hold');
  });
  it('cuts below the shortest rung in words only, and stays stopped when sore', () => {
    expect(run(rule, refused('too-far'), { ...at, rung: 0 }).reason).toMatch(/under 2\sm/);
    expect(run(rule, [...refused('sore'), rep('b', 'clean')], at).last).toBe('stop');
    expect(run(rule, refused('too-far'), { ...at, values: null }).last).toBe('hold');
  });
});

describe('cue transfer', () => {
  const rule: Rule = { kind: 'cue-transfer', gap: 2, wait: 20, before: 5, failed: 'first' };
  const answers = (...list: (Timing | 'time-out')[]): CoachEvent[] =>
    list.map((timing, i) =>
      timing === 'time-out'
        ? { kind: timing, id: String(i) }
        : rep(String(i), timing === 'none' ? 'miss' : 'clean', { timing }),
    );
  const five: Timing[] = ['prompted', 'prompted', 'prompted', 'prompted', 'prompted'];
  const stageOf = (ran: Ran): unknown => (ran.state.inner as { stage: string }).stage;

  it('five prompted successes lead to a probe, a failed 20 s probe back to stage A, and then through half pay', () => {
    expect(run(rule, answers(...five)).last).toBe('probe');
    const waited = run(rule, answers(...five, 'time-out'));
    expect([waited.last, waited.reason]).toEqual([
      'help',
      '20\u00a0s of silence are over: prompt once, and do not pay it.',
    ]);
    const failed = run(rule, answers(...five, 'time-out', 'prompted'));
    expect([stageOf(failed), failed.last]).toEqual(['A', 'hold']);
    const half = run(rule, answers(...five, 'time-out', 'prompted', ...five));
    expect([stageOf(half), half.last]).toEqual(['B', expect.stringMatching(/^pay (true|false)$/)]);
    expect(run(rule, answers(...five, 'time-out', 'prompted', ...five, ...five)).last).toBe('probe');
  });

  it('an answer before the word is anticipation, one in the gap is unprompted, a reminded one neither', () => {
    expect(run(rule, answers('prompted', 'before-word')).state.inner).toMatchObject({
      count: 1,
      unprompted: 0,
    });
    expect(run(rule, answers('in-gap', 'before-word')).state.inner).toMatchObject({ unprompted: 0 });
    expect(run(rule, answers('in-gap', 'reminded')).state.inner).toMatchObject({ count: 1, unprompted: 1 });
    expect(run(rule, answers('prompted', 'none')).state.inner).toMatchObject({ count: 0 });
    expect(run(rule, answers('before-word')).reason).toContain('anticipation');
  });

  it('three unprompted in a row offer to end; the next day starts at A', () => {
    expect(run(rule, answers('in-gap', 'in-gap', 'in-gap')).last).toBe('end');
    expect(run(rule, answers(...five, 'unprompted', 'unprompted')).last).toBe('probe');
    expect(run(rule, answers(...five, 'unprompted', 'unprompted', 'unprompted')).last).toBe('end');
    expect(stageOf(run(rule, []))).toBe('A');
  });

  it('tosses a coin for half pay that comes back with its seed', () => {
    const half = answers(...five, 'none', ...five, 'prompted', 'prompted', 'prompted');
    const inner = (seed: number) => transferOf('cue-transfer', run(rule, half, { seed }).state.inner);
    expect(inner(3)).toEqual(inner(3));
    const coins = Array.from({ length: 200 }, (_, seed) => inner(seed)?.paid).filter(Boolean).length;
    expect(coins).toBeGreaterThan(75);
    expect(coins).toBeLessThan(125);
    const probing = transferOf('cue-transfer', run(rule, answers(...five)).state.inner);
    expect(probing?.stage).toBe('probe');
  });
});

describe('protocols', () => {
  it('by feel says nothing', () => expect(run({ kind: 'feel' }, reps('cmc')).last).toBe(''));

  const single = USUAL_RULES['single-presentation'];
  it('one presentation: no answer is followed by a breath, never by a second cue', () => {
    expect(run(single, reps('m')).reason).toMatch(/^Withdraw, 5 seconds of nothing/);
    expect([run(single, reps('mm')).last, run(single, reps('ccccc')).last]).toEqual([
      'drop-back 1',
      'advance 3',
    ]);
  });

  const scenario: Rule = { kind: 'scenario', advanceAfter: 2 };
  it.each([
    ['a fault stops it and is fixed easier', [rep('a', 'flawed')], 'drop-back 1'],
    ['fixed, it goes on where it stopped', [rep('a', 'flawed'), moved(1), rep('b', 'clean')], 'advance 2'],
    ['the fix fails: easier still', [rep('a', 'miss'), moved(1), rep('b', 'miss')], 'drop-back 0'],
    [
      'and goes on at the old place',
      [rep('a', 'miss'), moved(1), rep('b', 'miss'), moved(0), rep('c', 'clean')],
      'advance 2',
    ],
    ['clean twice goes up', [rep('a', 'clean'), rep('b', 'clean')], 'advance 3'],
  ])('scenario: %s', (_, events, advice) => expect(run(scenario, events).last).toBe(advice));

  const strength: Rule = { kind: 'strength', minDays: 14, restDays: 1, repsPerDay: 5, cleanToAdvance: 4 };
  const days = (from: string) => ({ since: from as Day, today: '2026-06-30' as Day });
  it.each([
    ['a hold that breaks twice on one day stops it', 'cff', '2026-06-01', 'stop'],
    ['broken once: nothing longer that day', 'cfccc', '2026-06-01', 'end'],
    ['five clean, but the exercise has run for ten days only', 'ccccc', '2026-06-20', 'end'],
    ['five clean after enough days', 'ccccc', '2026-06-01', 'advance 3'],
    ['the day is not over', 'ccc', '2026-06-01', 'hold'],
  ])('strength: %s', (_, text, from, advice) =>
    expect(run(strength, reps(text), days(from)).last).toBe(advice));
  it('a break is never answered by a correction, and the days are those of the whole exercise', () => {
    expect(run(strength, reps('ff')).reason).toMatch(/vet.*not will/s);
    expect(run(strength, [moved(3), ...reps('ccccc')], days('2026-06-28')).last).toBe('end');
  });

  const shaping: Rule = { kind: 'distribution', window: 10, paidShare: 0.8 };
  const grades = (...list: number[]): CoachEvent[] =>
    list.map((grade, i) => rep(String(i), 'flawed', { grade }));
  it('pays what is better than most, and goes up when nothing is left to choose from', () => {
    expect(run(shaping, grades(0, 1)).reason).toContain('pay every one');
    // Rank 2 of nine: (9 + 1) × 0.2.
    expect(run(shaping, grades(0, 1, 1, 2, 2, 2, 3, 3, 4)).reason).toContain('8 of the last 9');
    expect(run(shaping, grades(...Array(10).fill(4))).last).toBe('advance 3');
  });
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
            expect(line.reason.length).toBeGreaterThan(10);
            if ('to' in line) expect(line.to >= 0 && line.to <= 4 && line.to !== step.state.rung).toBe(true);
          }
          state = saved;
        }
      }),
      { numRuns: 60 },
    );
  });
});
