import { type Axis, type Criteria, demandOf, difficulties, type Ladder } from '@/core/breakdown';
import { type Advice, type CoachEvent, coach, type Policy, startCoaching, startRung } from '@/core/coaching';
import { addDays, type Day, type Random } from '@/core/shared';
import { chanceOf, performRep, restFor, type Skill, type Temperament } from './simulated-dog';

/** How somebody trains: what a climb takes for granted besides the dog. */
export type Schedule = {
  /** Days from one session to the next. */
  readonly everyDays: number;
  readonly repsPerSession: number;
  /** Where a climb that has not arrived is given up. */
  readonly mostSessions: number;
};

/** One dog's way up a ladder under a policy, all its advice taken. */
export type Climb = {
  /** The policy called the top rung done. */
  readonly arrived: boolean;
  readonly sessions: number;
  readonly reps: number;
  readonly misses: number;
  /**
   * The dog's true chance of a clean rep at the demand in the end, rested, at home, on an ordinary
   * day.
   */
  readonly sure: number;
};

/**
 * Lets a simulated dog climb. Every advice is taken at once; a refusal that is asked about is
 * called "too far" where the dog's chance was under one half and "did not mark it" elsewhere. Pure:
 * all chance comes from `random`.
 */
export function climb(
  skill: Skill,
  temperament: Temperament,
  ladder: Ladder,
  policy: Policy,
  schedule: Schedule,
  random: Random,
): Climb {
  const dog: Dog = { skill, best: 0, reps: 0, misses: 0 };
  for (let session = 1; session <= schedule.mostSessions; session++) {
    if (session > 1) dog.skill = restFor(dog.skill, temperament, schedule.everyDays);
    const arrived = trainSession(dog, temperament, ladder, policy, schedule, session, random);
    if (arrived)
      return {
        arrived: true,
        sessions: session,
        reps: dog.reps,
        misses: dog.misses,
        sure: sureness(dog.skill, temperament, ladder),
      };
  }
  return {
    arrived: false,
    sessions: schedule.mostSessions,
    reps: dog.reps,
    misses: dog.misses,
    sure: sureness(dog.skill, temperament, ladder),
  };
}

type Dog = { skill: Skill; best: number; reps: number; misses: number };

/** A question, a move and a rest are all that one rep can call for. */
const MOST_REACTIONS = 4;

const dayText = (day: number): Day => addDays('2000-01-01' as Day, day);

const ORDINARY = { away: false, cold: false, day: 0, repOfSession: 1, missesInRow: 0, side: 0 } as const;

function sureness(skill: Skill, temperament: Temperament, ladder: Ladder): number {
  return chanceOf(skill, temperament, placeOf(ladder.axes, demandOf(ladder.axes)), ORDINARY);
}

function placeOf(axes: readonly Axis[], criteria: Criteria): readonly number[] {
  const x = difficulties(axes, criteria);
  // A ladder that can be climbed has a sound scale on every axis; its checks say so before anyone
  // gets here.
  if (!x.ok) throw new Error(x.message.say);
  return x.value;
}

function trainSession(
  dog: Dog,
  temperament: Temperament,
  ladder: Ladder,
  policy: Policy,
  schedule: Schedule,
  session: number,
  random: Random,
): boolean {
  const top = ladder.rungs.length - 1;
  const day = session * schedule.everyDays;
  const mood = random.normal() * temperament.daySd;
  const start = startRung(policy.pace, dog.best);
  const axis = ladder.axes[0];
  const values =
    axis?.quantity === 'distance' ? ladder.rungs.map((rung) => rung.criteria[axis.key] ?? axis.start) : null;
  let state = startCoaching(policy, {
    rung: start,
    top,
    seed: session,
    values,
    since: dayText(0),
    lastDay: session > 0 ? dayText(day - schedule.everyDays) : null,
    today: dayText(day),
  });
  let missesInRow = 0;
  for (let rep = 1; rep <= schedule.repsPerSession; rep++) {
    const x = placeOf(ladder.axes, ladder.rungs[state.rung]?.criteria ?? {});
    const conditions = { ...ORDINARY, cold: rep === 1, day: mood, repOfSession: rep, missesInRow };
    const chance = chanceOf(dog.skill, temperament, x, conditions);
    const done = performRep(dog.skill, temperament, x, conditions, random);
    dog.skill = done.skill;
    dog.reps += 1;
    dog.misses += done.missed ? 1 : 0;
    missesInRow = done.missed ? missesInRow + 1 : 0;
    const id = `${session}.${rep}`;
    const outcome = done.clean ? 'clean' : done.missed ? 'miss' : 'flawed';
    let step = coach(policy, state, { kind: 'rep', id, outcome, counts: true });
    const first = step.advice;
    for (let turn = 0; turn < MOST_REACTIONS; turn++) {
      const event = reaction(step.advice, `${id}+${turn}`, chance);
      if (event === null) break;
      step = coach(policy, step.state, event);
    }
    state = step.state;
    if (first.some((one) => one.kind === 'done')) return true;
    if (first.some((one) => one.kind === 'end' || one.kind === 'stop')) break;
  }
  dog.best = state.rung;
  return false;
}

/** What somebody who takes every advice does next; null: the next rep. */
function reaction(advice: readonly Advice[], id: string, chance: number): CoachEvent | null {
  for (const one of advice) {
    if (one.kind === 'ask')
      return { kind: 'answered', id: `${id}?`, why: chance < 0.5 ? 'too-far' : 'did-not-mark' };
    if (one.kind === 'advance' || one.kind === 'drop-back')
      return { kind: 'moved', id: `${id}>`, rung: one.to };
    if (one.kind === 'rest') return { kind: 'rested' };
  }
  return null;
}
