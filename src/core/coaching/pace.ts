import * as v from 'valibot';
import type { Advice, BodySign, Happening } from './events';
import { hold, plural } from './events';

const cap = v.nullable(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(200)));

/**
 * What is common to all policies: how long a set, a warm-up and a session are, and where the next
 * day starts.
 */
export const paceSchema = v.strictObject({
  /** Reps in a set before a rest is due. Four to five is usual. */
  setSize: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
  /** Most reps of this element in a session; null: no cap. */
  sessionCap: cap,
  /** Most reps called warm-up; null: no cap. */
  warmUpCap: cap,
  /** How many rungs below its best the dog starts on the next day. */
  startBelow: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(10)),
  /**
   * `keep`: a rung that was met twice in the session is not gone below; `back`: it is, as soon as
   * the rule says so.
   */
  ratchet: v.picklist(['back', 'keep']),
});
export type Pace = v.InferOutput<typeof paceSchema>;
export const DEFAULT_PACE: Pace = {
  setSize: 5,
  sessionCap: null,
  warmUpCap: null,
  startBelow: 0,
  ratchet: 'back',
};

export type PaceState = {
  readonly reps: number;
  readonly sinceRest: number;
  readonly warmUps: number;
  /**
   * The set, counted in full sets since the last rest, in which the dog last went up; null when it
   * has not.
   */
  readonly upIn: number | null;
  readonly signs: readonly BodySign[];
  /** Clean reps on each rung in this session. */
  readonly met: Readonly<Record<number, number>>;
};
export const START_PACE: PaceState = { reps: 0, sinceRest: 0, warmUps: 0, upIn: null, signs: [], met: {} };

/**
 * Where a session of today starts: as many rungs below the best as the pace says, never below the
 * first.
 */
export function startRung(pace: Pace, best: number): number {
  return Math.max(0, best - pace.startBelow);
}

/**
 * The counts of a session after one more event. `rungBefore` is where the dog stood, from 0. A
 * clean rep on rung 2 → reps + 1, sinceRest + 1, met[2] + 1; a rest sets sinceRest to 0.
 */
export function countPace(pace: Pace, state: PaceState, event: Happening, rungBefore: number): PaceState {
  switch (event.kind) {
    case 'rep': {
      const clean = event.outcome === 'clean' && event.counts;
      const met = clean ? { ...state.met, [rungBefore]: (state.met[rungBefore] ?? 0) + 1 } : state.met;
      return {
        ...state,
        met,
        reps: state.reps + 1,
        sinceRest: state.sinceRest + 1,
        warmUps: state.warmUps + (event.warmUp ? 1 : 0),
      };
    }
    case 'unlogged':
      return { ...state, reps: state.reps + event.count, sinceRest: state.sinceRest + event.count };
    case 'rested':
      return { ...state, sinceRest: 0, upIn: null };
    case 'moved':
      return event.rung > rungBefore ? { ...state, upIn: setNumber(pace, state) } : state;
    case 'sign':
      return { ...state, signs: [...state.signs, event.sign] };
    case 'answered':
    case 'staged':
    case 'time-out':
      return state;
  }
}

const setNumber = (pace: Pace, state: PaceState): number =>
  Math.floor(Math.max(0, state.sinceRest - 1) / pace.setSize);

const PAIN: readonly BodySign[] = ['tremor', 'stiffness'];
const TIRED: readonly BodySign[] = ['panting', 'circling', 'slowing', 'sticky'];
const STRESS: readonly BodySign[] = ['yawning', 'lip-licking', 'avoiding', 'barking'];

/**
 * Lays the common rules over what a policy advises: body signs first, then caps, then rests, then
 * one step up a set.
 */
export function withPace(
  pace: Pace,
  state: PaceState,
  event: Happening,
  rung: number,
  advice: readonly Advice[],
): readonly Advice[] {
  const body = event.kind === 'sign' ? signAdvice(event.sign, state) : null;
  if (body) return [body];
  if (event.kind === 'rep' && event.warmUp && pace.warmUpCap !== null && state.warmUps >= pace.warmUpCap)
    return [
      hold(
        `${plural(state.warmUps, 'warm-up rep')}; your cap is ${pace.warmUpCap}. It is warm: begin with the first real one.`,
      ),
    ];
  const main = advice.map((one) => tempered(pace, state, rung, one));
  if (pace.sessionCap !== null && state.reps >= pace.sessionCap)
    return [
      ...main,
      {
        kind: 'end',
        reason: `${plural(state.reps, 'rep')} today; your cap is ${pace.sessionCap}. End on something easy.`,
      },
    ];
  if (state.sinceRest >= pace.setSize)
    return [
      ...main,
      {
        kind: 'rest',
        reason: `${plural(state.sinceRest, 'rep')} since the last rest; your set is ${pace.setSize}.`,
      },
    ];
  return main;
}

function tempered(pace: Pace, state: PaceState, rung: number, advice: Advice): Advice {
  if (advice.kind === 'advance' && state.upIn === setNumber(pace, state))
    return {
      kind: 'hold',
      reason: `${advice.reason} It went up in this set already: one step a set, so rest first.`,
    };
  const met = state.met[rung] ?? 0;
  if (advice.kind === 'drop-back' && pace.ratchet === 'keep' && met >= 2)
    return {
      kind: 'help',
      reason: `${advice.reason} This was met ${met} times today and you keep what was met: help once or rest, rather than go below it.`,
    };
  return advice;
}

function signAdvice(sign: BodySign, state: PaceState): Advice {
  const name = sign.replace('-', ' ');
  if (PAIN.includes(sign))
    return {
      kind: 'stop',
      reason: `You saw ${name}. That can be pain: stop now, and see a veterinary surgeon if it stays.`,
    };
  const again = (list: readonly BodySign[]): number => state.signs.filter((one) => list.includes(one)).length;
  if (TIRED.includes(sign))
    return again(TIRED) >= 2
      ? { kind: 'end', reason: `You saw ${name}, the second sign of tiredness today. End on something easy.` }
      : { kind: 'rest', reason: `You saw ${name}: tired. Shade and water, and a rest.` };
  if (STRESS.includes(sign))
    return again(STRESS) >= 2
      ? { kind: 'end', reason: `You saw ${name}, the second sign of stress today. End on something sure.` }
      : { kind: 'filler', reason: `You saw ${name}: stress. Give something easy and pay it.` };
  return { kind: 'filler', reason: `You saw ${name}. Give an easy filler, or go somewhere quieter.` };
}
