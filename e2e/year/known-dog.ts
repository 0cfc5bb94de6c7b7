import {
  chanceOf,
  performRep,
  restFor,
  type Skill,
  type Temperament,
} from '../../src/core/learner/simulated-dog';
import { seeded } from '../../src/core/shared/random';

/** How the dog of the season works and learns: middling in everything. */
const TEMPERAMENT: Temperament = {
  daySd: 0.35,
  away: -0.35,
  cold: -0.25,
  learning: 0.06,
  forgetting: 0.006,
  fatigue: 0.05,
  dismay: 0.15,
  rightward: 0,
};

/** What a piece costs at the trial of this season when it is missed, by the rule book; a flaw costs two. */
export const COSTS: Readonly<Record<string, number>> = {
  'Set up at heel': 3,
  'Run out straight': 40,
  'Stop and lie down in the square': 22,
  'Wait for the steward': 10,
  'Come back to heel': 14,
  'Wait, then go on the word': 40,
  'Jump out': 9,
  'Pick up': 40,
  'Jump back': 12,
  'Present straight': 5,
  Give: 6,
};
const SQUARE = Object.keys(COSTS).slice(0, 5);

export type Answer = 'clean' | 'flawed' | 'miss';

/**
 * A dog whose truth is known: each piece has a skill that grows by work and fades by rest. How hard a step is
 * goes from 0 at the first of the ladder to 1 at the last.
 */
export class KnownDog {
  readonly #random;
  readonly #skills = new Map<string, { skill: Skill; day: number }>();
  #mood = { day: Number.NaN, of: 0 };
  #session = { key: '', rep: 0, misses: 0 };

  constructor(seed: number) {
    this.#random = seeded(seed);
  }

  #skill(piece: string, day: number): Skill {
    const known = this.#skills.get(piece) ?? { skill: { level: 2.4, slopes: [2.6] }, day };
    const skill = restFor(known.skill, TEMPERAMENT, Math.max(0, day - known.day));
    this.#skills.set(piece, { skill, day });
    return skill;
  }

  /** One go at a step that lies `x` of the way to the demand. */
  goes(piece: string, day: number, x: number): Answer {
    const skill = this.#skill(piece, day);
    if (this.#mood.day !== day) this.#mood = { day, of: TEMPERAMENT.daySd * this.#random.normal() };
    const key = `${piece} ${day}`;
    if (this.#session.key !== key) this.#session = { key, rep: 0, misses: 0 };
    const session = this.#session;
    session.rep += 1;
    const conditions = {
      away: false,
      cold: session.rep === 1,
      day: this.#mood.of,
      repOfSession: session.rep,
      missesInRow: session.misses,
      side: 0,
    } as const;
    const done = performRep(skill, TEMPERAMENT, [x], conditions, this.#random);
    this.#skills.set(piece, { skill: done.skill, day });
    session.misses = done.missed ? session.misses + 1 : 0;
    return done.clean ? 'clean' : done.missed ? 'miss' : 'flawed';
  }

  /** The chance of a clean go at the demand on a middling day at home, not the first of the day. */
  clean(piece: string, day: number): number {
    return this.#average(piece, day, false);
  }

  #average(piece: string, day: number, trial: boolean, mood?: number): number {
    const skill = this.#skill(piece, day);
    const at = (of: number): number =>
      chanceOf(skill, TEMPERAMENT, [1], {
        away: trial,
        cold: trial,
        day: of,
        repOfSession: 1,
        missesInRow: 0,
        side: 0,
      });
    if (mood !== undefined) return at(mood);
    let sum = 0;
    for (let i = 0; i < 400; i++) sum += at(TEMPERAMENT.daySd * this.#random.normal());
    return sum / 400;
  }

  /** One trial: its points, by what each piece costs, and whether they are enough: 60 in all, half of each. */
  trial(day: number): { readonly points: number; readonly passes: boolean } {
    const mood = TEMPERAMENT.daySd * this.#random.normal();
    const lost = { square: 0, hurdle: 0 };
    for (const [piece, cost] of Object.entries(COSTS)) {
      const chance = this.#average(piece, day, true, mood);
      if (this.#random.uniform() < chance) continue;
      const missed = this.#random.uniform() < 0.08 + 0.5 * (1 - chance);
      lost[SQUARE.includes(piece) ? 'square' : 'hurdle'] += missed ? cost : 2;
    }
    const [square, hurdle] = [Math.max(0, 40 - lost.square), Math.max(0, 40 - lost.hurdle)];
    return { points: square + hurdle, passes: square + hurdle >= 60 && square >= 20 && hurdle >= 20 };
  }

  /** How often it would pass on that day, of two thousand trials. */
  passes(day: number): number {
    let passed = 0;
    for (let i = 0; i < 2000; i++) if (this.trial(day).passes) passed += 1;
    return passed / 2000;
  }
}
