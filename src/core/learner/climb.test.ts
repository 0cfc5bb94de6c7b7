import { describe, expect, it } from 'vitest';
import { buildLadder, type HandRung, type LadderPlan } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { DEFAULT_PACE, type Policy, type Rule, USUAL_RULES } from '@/core/coaching';
import { asId, type Day, type ElementId, must, seeded } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { mean } from '@/core/statistics';
import { comparePolicies, type PolicyQuestion, type Skill, USUAL_SCHEDULE, USUAL_TEMPERAMENT } from '.';
import { type Climb, climb } from './climb';

const distance = testAxis({ step: 0.35, limit: 0.6, demand: 25 });
const latency = testAxis({
  key: 'latency',
  title: 'Latency',
  quantity: 'latency',
  unit: 's',
  harder: 'less',
  start: 4,
  demand: 2,
  step: 0.3,
  limit: 0.5,
});
const policy = (rule: Rule = USUAL_RULES.run): Policy => ({ rule, pace: DEFAULT_PACE });
const skill: Skill = { level: 2, slopes: [1.6, 1.4] };
const climbs = (plan: LadderPlan, rule?: Rule): Climb[] =>
  Array.from({ length: 150 }, (_, seed) =>
    climb(skill, USUAL_TEMPERAMENT, buildLadder(plan), policy(rule), USUAL_SCHEDULE, seeded(seed)),
  );

/** The same values, both axes raised on every rung. */
const byHand: HandRung[] = [0, 1, 2, 3, 4, 5].map((i) => ({
  criteria: { distance: 5 * 5 ** (i / 5), latency: 4 * 0.5 ** (i / 5) } as never,
  eases: [],
}));

describe('climbing', () => {
  it('one axis at a time meets fewer misses a rep than all at once, as the model says', () => {
    const apart = climbs({ axes: [distance, latency] });
    const together = climbs({ axes: [distance, latency], ladderRule: 'by-hand', byHand });
    const missRate = (list: Climb[]): number => mean(list.map((one) => one.misses / one.reps));
    expect(missRate(apart)).toBeLessThan(missRate(together));
  });

  it('is the same for the same seed, and given up where it does not arrive', () => {
    const run = () =>
      climb(
        skill,
        USUAL_TEMPERAMENT,
        buildLadder({ axes: [distance, latency] }),
        policy(),
        USUAL_SCHEDULE,
        seeded(5),
      );
    expect(run()).toEqual(run());
    const hopeless = climb(
      { level: -3, slopes: [2, 2] },
      { ...USUAL_TEMPERAMENT, learning: 0 },
      buildLadder({ axes: [distance, latency] }),
      policy(),
      USUAL_SCHEDULE,
      seeded(5),
    );
    expect(hopeless).toMatchObject({ arrived: false, sessions: USUAL_SCHEDULE.mostSessions });
  });

  it('a stricter rule takes more reps, and the dog is surer in the end', () => {
    const quick = climbs({ axes: [distance, latency] }, { kind: 'run', advanceAfter: 2, dropAfter: 3 });
    const strict = climbs({ axes: [distance, latency] }, { kind: 'run', advanceAfter: 8, dropAfter: 2 });
    expect(mean(quick.map((one) => one.reps))).toBeLessThan(mean(strict.map((one) => one.reps)));
    expect(mean(quick.map((one) => one.sure))).toBeLessThan(mean(strict.map((one) => one.sure)));
  });
});

describe('comparing policies', () => {
  const question: PolicyQuestion = {
    evidence: { id: asId<ElementId>('e'), axes: [distance], bouts: [] },
    plan: { axes: [distance] },
    policies: [policy(), policy(USUAL_RULES.block)],
    temperament: USUAL_TEMPERAMENT,
    schedule: USUAL_SCHEDULE,
    today: '2026-06-30' as Day,
    runs: 60,
    seed: 3,
  };
  it('gives spreads side by side, the same for the same seed, with rising progress', () => {
    const shares: number[] = [];
    const found = must(finish(comparePolicies(question), (share) => shares.push(share)));
    expect(found.map((one) => one.kind)).toEqual(['run', 'block']);
    expect(found).toEqual(must(finish(comparePolicies(question))));
    expect(
      shares.every((share, i) => share >= 0 && share < 1 && (i === 0 || share > (shares[i - 1] ?? 0))),
    ).toBe(true);
    for (const one of found)
      expect(
        one.sessions && one.sessions.low <= one.sessions.mid && one.sessions.mid <= one.sessions.high,
      ).toBe(true);
  });
  it.each([
    ['a ladder that cannot be climbed', { plan: { axes: [{ ...distance, start: 30 }] } }, 'ladder'],
    ['a rule that no clean rate decides', { policies: [policy(USUAL_RULES['cue-transfer'])] }, 'policies'],
  ])('refuses %s', (_, change, code) =>
    expect(finish(comparePolicies({ ...question, ...change }))).toMatchObject({ ok: false, code }));
});
