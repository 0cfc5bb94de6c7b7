import * as v from 'valibot';

/** *n in a row*: `advanceAfter` counted clean reps in a row advance, `dropAfter` counted misses in a row drop back. */
export const runPolicySchema = v.strictObject({
  kind: v.literal('run'),
  advanceAfter: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
  dropAfter: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
  /** Reps in a set before a rest is due. Four to five is usual. */
  setSize: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
});
export type RunPolicy = v.InferOutput<typeof runPolicySchema>;

export type Outcome = 'clean' | 'flawed' | 'miss';

/** What a policy is told. A rep that does not count (aided, another cause) is told too: it moves the set, not the run. */
export type CoachEvent =
  | { readonly kind: 'rep'; readonly id: string; readonly outcome: Outcome; readonly counts: boolean }
  | { readonly kind: 'correction'; readonly id: string; readonly outcome: Outcome; readonly counts: boolean }
  | { readonly kind: 'undo'; readonly id: string }
  | { readonly kind: 'moved'; readonly id: string; readonly rung: number }
  | { readonly kind: 'rested' };

type Seen = { readonly id: string; readonly outcome: Outcome; readonly counts: boolean };
/** Serialisable. `before` holds what an undone move restores, so that undo is exact. */
export type CoachState = {
  readonly rung: number;
  readonly top: number;
  readonly reps: readonly Seen[];
  readonly sinceRest: number;
  readonly moves: readonly { readonly id: string; readonly rung: number; readonly reps: readonly Seen[] }[];
};

/** One quiet line with its grounds. Declining it needs nothing. */
export type Advice =
  | { readonly kind: 'hold'; readonly reason: string }
  | { readonly kind: 'advance'; readonly to: number; readonly reason: string }
  | { readonly kind: 'drop-back'; readonly to: number; readonly reason: string }
  | { readonly kind: 'rest'; readonly reason: string }
  | { readonly kind: 'done'; readonly reason: string };

export function startCoaching(rung: number, top: number): CoachState {
  return { rung, top, reps: [], sinceRest: 0, moves: [] };
}

/** The pure step `(state, event) → (state, advice)`. Undo and corrections name a rep; one that is not known changes nothing. */
export function coachRun(
  policy: RunPolicy,
  state: CoachState,
  event: CoachEvent,
): { readonly state: CoachState; readonly advice: readonly Advice[] } {
  const next = apply(state, event);
  return { state: next, advice: advise(policy, next) };
}

function apply(state: CoachState, event: CoachEvent): CoachState {
  switch (event.kind) {
    case 'rep':
      return { ...state, reps: [...state.reps, seen(event)], sinceRest: state.sinceRest + 1 };
    case 'correction':
      return {
        ...state,
        reps: state.reps.map((rep) => (rep.id === event.id ? seen(event) : rep)),
        moves: state.moves.map((move) => ({ ...move, reps: move.reps.map((rep) => (rep.id === event.id ? seen(event) : rep)) })),
      };
    case 'undo':
      return undo(state, event.id);
    case 'moved':
      return { ...state, rung: event.rung, reps: [], moves: [...state.moves, { id: event.id, rung: state.rung, reps: state.reps }] };
    case 'rested':
      return { ...state, sinceRest: 0 };
  }
}

function undo(state: CoachState, id: string): CoachState {
  const last = state.moves.at(-1);
  if (last?.id === id) return { ...state, rung: last.rung, reps: [...last.reps, ...state.reps], moves: state.moves.slice(0, -1) };
  const without = (reps: readonly Seen[]): readonly Seen[] => reps.filter((rep) => rep.id !== id);
  const moves = state.moves.map((move) => ({ ...move, reps: without(move.reps) }));
  const known = state.reps.some((rep) => rep.id === id) || state.moves.some((move) => move.reps.some((rep) => rep.id === id));
  return known ? { ...state, reps: without(state.reps), moves, sinceRest: Math.max(0, state.sinceRest - 1) } : state;
}

function advise(policy: RunPolicy, state: CoachState): Advice[] {
  const counted = state.reps.filter((rep) => rep.counts);
  const clean = tail(counted, 'clean');
  const missed = tail(counted, 'miss');
  const move = moveAdvice(policy, state, clean, missed);
  if (state.sinceRest >= policy.setSize) {
    return [move, { kind: 'rest', reason: `${state.sinceRest} reps since the last rest; your set is ${policy.setSize}.` }];
  }
  return [move];
}

function moveAdvice(policy: RunPolicy, state: CoachState, clean: number, missed: number): Advice {
  const rule = `your rule is ${policy.advanceAfter} in a row`;
  if (clean >= policy.advanceAfter) {
    if (state.rung >= state.top) return { kind: 'done', reason: `${clean} clean in a row on the top rung. End here, or prove it in a new place.` };
    return { kind: 'advance', to: state.rung + 1, reason: `${clean} clean in a row here; ${rule}.` };
  }
  if (missed >= policy.dropAfter) {
    const grounds = `${missed} ${missed === 1 ? 'miss' : 'misses in a row'} here; your rule drops back after ${policy.dropAfter}.`;
    if (state.rung === 0) return { kind: 'hold', reason: `${grounds} This is the lowest rung: make the start easier, or end on something sure.` };
    return { kind: 'drop-back', to: state.rung - 1, reason: grounds };
  }
  if (missed > 0) return { kind: 'hold', reason: `A miss. ${policy.dropAfter - missed} more in a row would drop back.` };
  return { kind: 'hold', reason: `${clean} clean in a row here; ${rule}.` };
}

function tail(reps: readonly Seen[], outcome: Outcome): number {
  const broken = reps.findLastIndex((rep) => rep.outcome !== outcome);
  return reps.length - 1 - broken;
}

const seen = ({ id, outcome, counts }: Seen): Seen => ({ id, outcome, counts });
