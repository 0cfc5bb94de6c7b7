import {
  chanceOf,
  performRep,
  restFor,
  type Skill,
  type Temperament,
} from '../../src/core/learner/simulated-dog';
import { seeded } from '../../src/core/shared/random';

/** How the dog of the season works; it learns a little faster than the usual one of the program. */
const USUAL: Temperament = {
  daySd: 0.35,
  away: -0.35,
  cold: -0.25,
  learning: 0.04,
  forgetting: 0.006,
  fatigue: 0.05,
  dismay: 0.15,
  rightward: 0,
};

type Price = { readonly fault: string; readonly points: number; readonly stops?: true };
/** A piece of the class: its exercise, and the faults of its missed and of its flawed goes, priced as the book has it. */
type Piece = { readonly of: 'square' | 'hurdle'; readonly missed: Price; readonly flawed: Price };

const price = (fault: string, points: number, stops?: true): Price => ({
  fault,
  points,
  ...(stops && { stops }),
});
const piece = (of: Piece['of'], missed: Price, flawed: Price): Piece => ({ of, missed, flawed });

/** In the order of the trial. What gives no points at all takes the 40 of its exercise, and ends it. */
export const PIECES: Readonly<Record<string, Piece>> = {
  'Set up at heel': piece('square', price('Does not take up the position', 3), price('Crooked at heel', 0.5)),
  'Run out straight': piece(
    'square',
    price('Does not leave the handler', 40, true),
    price('Slow on the way out', 1.5),
  ),
  'Stop and lie down in the square': piece(
    'square',
    price('Does not stop in the square', 22, true),
    price('Lies over the tape', 3),
  ),
  'Wait for the steward': piece(
    'square',
    price('Gets up before the steward speaks', 10),
    price('Restless, rolls or sniffs', 2),
  ),
  'Come back to heel': piece(
    'square',
    price('Does not come on the cue', 14),
    price('Slow on the way back', 1.5),
  ),
  'Wait, then go on the word': piece(
    'hurdle',
    price('Does not go on the word', 40, true),
    price('Goes before the word', 6),
  ),
  'Jump out': piece(
    'hurdle',
    price('Goes round the hurdle on the way out', 9),
    price('Touches the hurdle on the way out', 2),
  ),
  'Pick up': piece('hurdle', price('Does not pick up', 40, true), price('Plays with or mouths the dummy', 3)),
  'Jump back': piece(
    'hurdle',
    price('Comes back round the hurdle', 12),
    price('Touches the hurdle on the way back', 2),
  ),
  'Present straight': piece('hurdle', price('Does not sit in front', 5), price('Crooked in front', 1)),
  Give: piece('hurdle', price('Drops the dummy', 6), price('Mouths the dummy in front', 1.5)),
};

export type Answer = 'clean' | 'flawed' | 'miss';

/**
 * A dog whose truth is known: each piece has a skill that grows by work and fades by rest. How hard a step is
 * goes from 0 at the first of the ladder to 1 at the last.
 */
export class KnownDog {
  readonly #random;
  readonly #temperament: Temperament;
  readonly #skills = new Map<string, { skill: Skill; day: number }>();
  #mood = { day: Number.NaN, of: 0 };
  #session = { key: '', rep: 0, misses: 0 };

  constructor(seed: number, learning = USUAL.learning) {
    this.#random = seeded(seed);
    this.#temperament = { ...USUAL, learning };
  }

  /** A little better than most at the start, at one piece more than at another. */
  #talent(): Skill {
    const level = 2.4 + 0.9 * this.#random.normal();
    return { level, slopes: [Math.exp(Math.log(3) + 0.6 * this.#random.normal())] };
  }

  #skill(piece: string, day: number): Skill {
    const known = this.#skills.get(piece) ?? { skill: this.#talent(), day };
    const skill = restFor(known.skill, this.#temperament, Math.max(0, day - known.day));
    this.#skills.set(piece, { skill, day });
    return skill;
  }

  /** One go at a step that lies `x` of the way to the demand. */
  goes(piece: string, day: number, x: number, away = false): Answer {
    const skill = this.#skill(piece, day);
    if (this.#mood.day !== day) this.#mood = { day, of: this.#temperament.daySd * this.#random.normal() };
    const key = `${piece} ${day}`;
    if (this.#session.key !== key) this.#session = { key, rep: 0, misses: 0 };
    const session = this.#session;
    session.rep += 1;
    const conditions = {
      away,
      cold: session.rep === 1,
      day: this.#mood.of,
      repOfSession: session.rep,
      missesInRow: session.misses,
      side: 0,
    } as const;
    const done = performRep(skill, this.#temperament, [x], conditions, this.#random);
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
      chanceOf(skill, this.#temperament, [1], {
        away: trial,
        cold: trial,
        day: of,
        repOfSession: 1,
        missesInRow: 0,
        side: 0,
      });
    if (mood !== undefined) return at(mood);
    let sum = 0;
    for (let i = 0; i < 400; i++) sum += at(this.#temperament.daySd * this.#random.normal());
    return sum / 400;
  }

  /** One trial: its faults and points, and whether they are enough: 60 in all, half of each. */
  trial(day: number): {
    readonly faults: readonly string[];
    readonly points: number;
    readonly passes: boolean;
  } {
    const mood = this.#temperament.daySd * this.#random.normal();
    const lost = { square: 0, hurdle: 0 };
    const over = { square: false, hurdle: false };
    const faults: string[] = [];
    for (const [name, { of, missed, flawed }] of Object.entries(PIECES)) {
      if (over[of]) continue;
      const chance = this.#average(name, day, true, mood);
      if (this.#random.uniform() < chance) continue;
      const { fault, points, stops } = this.#random.uniform() < 0.08 + 0.5 * (1 - chance) ? missed : flawed;
      faults.push(fault);
      lost[of] += points;
      over[of] = stops ?? false;
    }
    const [square, hurdle] = [Math.max(0, 40 - lost.square), Math.max(0, 40 - lost.hurdle)];
    const points = square + hurdle;
    return { faults, points, passes: points >= 60 && square >= 20 && hurdle >= 20 };
  }

  /** How often it would pass on that day, of two thousand trials. */
  passes(day: number): number {
    let passed = 0;
    for (let i = 0; i < 2000; i++) if (this.trial(day).passes) passed += 1;
    return passed / 2000;
  }
}
