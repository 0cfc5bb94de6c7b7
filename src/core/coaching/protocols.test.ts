import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { type CoachEvent, type REFUSALS, type Rule, type Timing, transferOf, USUAL_RULES } from '.';
import { moved, type Ran, rep, reps, run } from './policy.test-helper';

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

  it('says lengths in the unit of the ladder', () => {
    const yards = { ...at, unit: 'yd', values: values.map((yd) => yd * 0.9144) };
    expect(run(rule, refused('too-far'), yards).reason).toMatch(/at 40\syd: cut to 20\syd/);
    expect(run(rule, [full('a')], yards).reason).toMatch(/Full drive at 40\syd/);
  });
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
    expect(run(rule, refused('too-far'), { ...at, rung: 0 }).reason).toMatch(/down to 2\sm/);
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
