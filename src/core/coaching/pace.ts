import * as v from 'valibot';
import { say } from '@/core/shared';
import type { Advice, Happening } from './events';
import { hold } from './events';
import { afterSigns, type SeenSign, signAdvice, signLine } from './signs';

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
   * `keep`: what was once met is never lowered, by no rule, start, easing or probe; only a sign of the
   * body may. `back`: it is, as soon as the rule says so.
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
  readonly signs: readonly SeenSign[];
  /** Clean reps on each rung in this session. */
  readonly met: Readonly<Record<number, number>>;
};
export const START_PACE: PaceState = { reps: 0, sinceRest: 0, warmUps: 0, upIn: null, signs: [], met: {} };

/**
 * Where a session of today starts: as many rungs below the best as the pace says, never below the
 * first.
 */
export function startRung(pace: Pace, best: number): number {
  return pace.ratchet === 'keep' ? best : Math.max(0, best - pace.startBelow);
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
    case 'sign-over':
    case 'sign-again':
      return { ...state, signs: afterSigns(state.signs, event) };
    case 'answered':
    case 'staged':
    case 'time-out':
      return state;
  }
}

const setNumber = (pace: Pace, state: PaceState): number =>
  Math.floor(Math.max(0, state.sinceRest - 1) / pace.setSize);

/**
 * Lays the common rules over what a policy advises: a sign of the body has its own line, caps and rests
 * have theirs, and one step up a set is enough. While a sign stands that ends or stops the work, nothing
 * goes up.
 */
export function withPace(
  pace: Pace,
  state: PaceState,
  event: Happening,
  rung: number,
  advice: readonly Advice[],
): readonly Advice[] {
  const standing = signLine(state.signs);
  const fresh = event.kind === 'sign' && standing?.sign?.id !== event.id ? signAdvice(event, rung) : null;
  const signs = [standing, fresh].filter((one) => one !== null);
  const main = advice.map((one) => tempered(pace, state, rung, one));
  if (isWarm(pace, state, event)) return [...signs, warmed(pace, state)];
  const rule = standing ? main.filter((one) => !says(one) && !UNSAID.has(one.kind)) : main;
  const held = standing && advice.some((one) => one.kind === 'advance') ? [NO_STEP_UP] : [];
  return [...signs, ...rule, ...held, ...pauses(pace, state, signs)];
}

/** Of the rule's own what a sign that stands leaves unsaid. */
const UNSAID: ReadonlySet<Advice['kind']> = new Set(['hold', 'advance', 'done'] as const);

const NO_STEP_UP = hold(say('coaching.pace.no-step-up-while-a-sign-of-the'));

/** What the line of the sign says already. */
const says = (advice: Advice): boolean => advice.kind === 'end' || advice.kind === 'stop';

const isWarm = (pace: Pace, state: PaceState, event: Happening): boolean =>
  event.kind === 'rep' && event.warmUp === true && pace.warmUpCap !== null && state.warmUps >= pace.warmUpCap;

const warmed = (pace: Pace, state: PaceState): Advice =>
  hold(say('coaching.pace.warm-up-rep', { warmUps: state.warmUps, warmUpCap: pace.warmUpCap }));

function pauses(pace: Pace, state: PaceState, signs: readonly Advice[]): Advice[] {
  if (pace.sessionCap !== null && state.reps >= pace.sessionCap && !signs.some(says))
    return [
      {
        kind: 'end',
        reason: say('coaching.pace.rep', { reps: state.reps, sessionCap: pace.sessionCap }),
      },
    ];
  const resting = signs.some((one) => one.kind === 'rest' || says(one));
  if (state.sinceRest >= pace.setSize && !resting)
    return [
      {
        kind: 'rest',
        reason: say('coaching.pace.rep-2', { sinceRest: state.sinceRest, setSize: pace.setSize }),
      },
    ];
  return [];
}

function tempered(pace: Pace, state: PaceState, rung: number, advice: Advice): Advice {
  if (advice.kind === 'advance' && state.upIn === setNumber(pace, state))
    return hold(say('coaching.pace.it-went-up-in-this-set-already-one', { reason: advice.reason }));
  const met = state.met[rung] ?? 0;
  if (advice.kind === 'drop-back' && pace.ratchet === 'keep')
    return {
      kind: 'help',
      reason: say('coaching.pace.you-never-lower-what-was-met-help', {
        reason: advice.reason,
        met: met > 0 ? say('coaching.pace.time', { met }) : '',
      }),
    };
  return advice;
}
