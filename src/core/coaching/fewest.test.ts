import { describe, expect, it } from 'vitest';
import { asId, type Day, type EntryId } from '@/core/shared';
import { fewestPerStep, fewestToTop } from './fewest';
import { DEFAULT_PACE } from './pace';
import { coach, type Rule, startCoaching } from './policy';
import { USUAL_RULES } from './usual-rules';

/** Reps that the rule itself wants, all clean and on full drive, until it lets the dog go up. */
function played(rule: Rule): number | null {
  const policy = { rule, pace: { ...DEFAULT_PACE, setSize: 50 } };
  // Of strength work the weeks have passed already.
  const days = { since: '2026-01-01' as Day, today: '2026-06-01' as Day };
  let state = startCoaching(policy, { rung: 0, top: 5, values: [1, 2, 3, 4, 5, 6], ...days });
  for (let n = 1; n <= 60; n++) {
    const step = coach(policy, state, {
      kind: 'rep',
      id: asId<EntryId>(`${n}`),
      outcome: 'clean',
      counts: true,
      drive: 5,
      warmUp: false,
    } as never);
    state = step.state;
    if (step.advice.some((one) => one.kind === 'advance')) return n;
  }
  return null;
}

describe('the fewest clean reps to a step', () => {
  it.each(
    Object.values(USUAL_RULES).flatMap((rule) =>
      fewestPerStep(rule) === null ? [] : [[rule.kind, rule] as const],
    ),
  )('%s: as many as the rule wants when it is played', (_, rule) =>
    expect(played(rule)).toBe(fewestPerStep(rule)));

  it('29 steps at five in a row are 145, from the 20th on 50; rules that count nothing say none', () => {
    expect([fewestToTop(USUAL_RULES.run, 29, 0), fewestToTop(USUAL_RULES.run, 29, 19)]).toEqual([145, 50]);
    expect([fewestToTop(USUAL_RULES.run, 5, 9), fewestToTop(USUAL_RULES.feel, 5, 0)]).toEqual([0, null]);
  });
});
