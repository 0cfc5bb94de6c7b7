import type { Random } from '@/core/shared';
import { logistic } from '@/core/statistics';

/**
 * One element as a simulated dog has it: logit of a clean rep at the start, and what each axis
 * takes from start to demand.
 */
export type Skill = { readonly level: number; readonly slopes: readonly number[] };

/** How a dog works and learns. Logits, per rep or per day as named. */
export type Temperament = {
  readonly daySd: number;
  readonly away: number;
  readonly cold: number;
  /** Gain of a rep that is about as hard as learning likes (85 % clean). */
  readonly learning: number;
  /** Loss for each day without work on the element. */
  readonly forgetting: number;
  /** Loss in level for each rep of a session beyond the first ten. */
  readonly fatigue: number;
  /** Loss in level for each miss in a row just before: some dogs take a failure to heart. */
  readonly dismay: number;
  /**
   * Handedness: what the right side has over the left on signed work; negative for a dog that is
   * better on the left.
   */
  readonly rightward: number;
};

/** Which side a rep is on: + the dog's right, 0 neither. */
export type Side = -1 | 0 | 1;

export type RepConditions = {
  readonly away: boolean;
  readonly cold: boolean;
  readonly day: number;
  readonly repOfSession: number;
  readonly missesInRow: number;
  readonly side: Side;
};

/** Chance that this dog's rep is clean at difficulties `x` (0 start, 1 demand), in (0, 1). */
export function chanceOf(
  skill: Skill,
  temperament: Temperament,
  x: readonly number[],
  conditions: RepConditions,
): number {
  const strain = skill.slopes.reduce((sum, slope, a) => sum + slope * (x[a] ?? 0), 0);
  const tired = Math.max(0, conditions.repOfSession - 10) * temperament.fatigue;
  const shaken = conditions.missesInRow * temperament.dismay;
  const hand = (conditions.side * temperament.rightward) / 2;
  return logistic(
    skill.level -
      strain +
      conditions.day -
      tired -
      shaken +
      hand +
      (conditions.away ? temperament.away : 0) +
      (conditions.cold ? temperament.cold : 0),
  );
}

/**
 * One rep: what happened, and the skill after it. Learning is greatest near 85 % success (Wilson,
 * Shenhav, Straccia & Cohen 2019, "The Eighty Five Percent Rule for optimal learning") and half as
 * great after a miss. Uses one uniform, two when it is not clean.
 */
export function performRep(
  skill: Skill,
  temperament: Temperament,
  x: readonly number[],
  conditions: RepConditions,
  random: Random,
): { readonly clean: boolean; readonly missed: boolean; readonly skill: Skill } {
  const chance = chanceOf(skill, temperament, x, conditions);
  const clean = random.uniform() < chance;
  // The worse the dog stands, the more often what goes wrong is a plain refusal rather than a flaw.
  const missed = !clean && random.uniform() < 0.08 + 0.5 * (1 - chance);
  const gain = temperament.learning * Math.exp(-(((chance - 0.85) / 0.25) ** 2)) * (missed ? 0.5 : 1);
  return { clean, missed, skill: { ...skill, level: skill.level + gain } };
}

/** What some days without work take away. */
export function restFor(skill: Skill, temperament: Temperament, days: number): Skill {
  return { ...skill, level: skill.level - temperament.forgetting * days };
}
