import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { performRep, type RepConditions, restFor, type Skill, type Temperament } from '.';
import { chanceOf } from './simulated-dog';

const temperament: Temperament = {
  daySd: 0.3,
  away: -0.5,
  cold: -0.3,
  learning: 0.02,
  forgetting: 0.01,
  fatigue: 0.1,
  dismay: 0.2,
  rightward: 0.6,
};
const skill: Skill = { level: 2, slopes: [3] };
const home: RepConditions = { away: false, cold: false, day: 0, repOfSession: 1, missesInRow: 0, side: 0 };
const chance = (change: Partial<RepConditions>, x = [0.2]) =>
  chanceOf(skill, temperament, x, { ...home, ...change });

describe('simulated dog', () => {
  it.each([
    ['harder', chance({}, [0.8])],
    ['away', chance({ away: true })],
    ['cold', chance({ cold: true })],
    ['tired', chance({ repOfSession: 20 })],
    ['a bad day', chance({ day: -0.5 })],
    ['after two misses', chance({ missesInRow: 2 })],
    ['the weak side', chance({ side: -1 })],
  ])('%s is worse', (_, worse) => expect(worse).toBeLessThan(chance({})));

  it('is clean as often as its chance says', () => {
    const random = seeded(1);
    const clean = Array.from(
      { length: 20_000 },
      () => performRep(skill, temperament, [0.2], home, random).clean,
    ).filter(Boolean).length;
    expect(clean / 20_000).toBeCloseTo(chance({}), 1.8);
  });

  it('learns most where it succeeds about 85 times in 100, and forgets at rest', () => {
    const gain = (x: number) =>
      performRep(skill, temperament, [x], home, seeded(4)).skill.level - skill.level;
    expect(gain(0.09)).toBeGreaterThan(gain(-1));
    expect(gain(0.09)).toBeGreaterThan(gain(0.9));
    expect(restFor(skill, temperament, 10).level).toBeCloseTo(1.9, 12);
  });
});
