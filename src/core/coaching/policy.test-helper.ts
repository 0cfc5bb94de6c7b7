import { wordsOf } from '@/words';
import {
  type CoachEvent,
  type CoachStart,
  type CoachState,
  coach,
  DEFAULT_PACE,
  type Outcome,
  type Pace,
  type Policy,
  type Rule,
  startCoaching,
} from '.';

const outcomes: Record<string, Outcome> = { c: 'clean', f: 'flawed', m: 'miss' };
export const rep = (
  id: string,
  outcome: Outcome,
  more: Partial<Extract<CoachEvent, { kind: 'rep' }>> = {},
): CoachEvent => ({
  kind: 'rep',
  id,
  outcome,
  counts: true,
  ...more,
});
/** 'ccm' → three counted reps with ids 0, 1, 2; capitals do not count; '|' is a rest. */
export const reps = (text: string): CoachEvent[] =>
  [...text].map((letter, i) =>
    letter === '|'
      ? { kind: 'rested' }
      : rep(String(i), outcomes[letter.toLowerCase()] ?? 'miss', { counts: letter === letter.toLowerCase() }),
  );
export const moved = (rung: number, id = `to ${rung}`): CoachEvent => ({ kind: 'moved', id, rung });
export const WIDE: Pace = { ...DEFAULT_PACE, setSize: 50 };

export type Ran = { readonly state: CoachState; readonly last: string; readonly reason: string };
export function run(
  rule: Rule,
  events: readonly CoachEvent[],
  start: Partial<CoachStart> = {},
  pace: Pace = WIDE,
): Ran {
  const policy: Policy = { rule, pace };
  let state = startCoaching(policy, { rung: 2, top: 4, ...start });
  let ran: Ran = { state, last: '', reason: '' };
  for (const event of events) {
    const step = coach(policy, state, event);
    state = step.state;
    ran = {
      state,
      last: step.advice
        .map((one) =>
          'to' in one ? `${one.kind} ${one.to}` : one.kind === 'pay' ? `pay ${one.paid}` : one.kind,
        )
        .join('+'),
      reason: wordsOf(step.advice[0]?.reason),
    };
  }
  return ran;
}
