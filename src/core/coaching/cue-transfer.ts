import * as v from 'valibot';
import { NO_BREAK, type RandomState, restored, seeded } from '@/core/shared';
import {
  type Advice,
  type Happening,
  hold,
  type PolicyStep,
  plural,
  type RepTold,
  type Stage,
  type Standing,
  type Timing,
} from './events';

/**
 * *Cue transfer* by time delay (Touchette 1971): new cue, a gap, the old prompt; probes; half pay
 * for what still needs the prompt.
 */
export const cueTransferRule = v.strictObject({
  kind: v.literal('cue-transfer'),
  /** Seconds between the new cue and the old prompt. */
  gap: v.pipe(v.number(), v.minValue(0.5), v.maxValue(10)),
  /** Seconds of silence in a probe. */
  wait: v.pipe(v.number(), v.minValue(2), v.maxValue(60)),
  /** Prompted answers in a row before the next stage. */
  before: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
  /** After a probe that failed: to stage A and through half pay, back one stage, or the probe again. */
  failed: v.optional(v.picklist(['first', 'one-back', 'again']), 'first'),
});
export type CueTransferRule = v.InferOutput<typeof cueTransferRule>;

export type CueTransferState = {
  readonly stage: Stage;
  readonly count: number;
  readonly unprompted: number;
  /** A probe has failed once: the next round goes through half pay. */
  readonly failed: boolean;
  /** Whether the next prompted answer is paid. Tossed before the rep, so that the hand knows. */
  readonly paid: boolean;
  readonly coin: RandomState;
};

/** Every session starts at A, whatever yesterday ended with. */
export const startTransfer = (_: CueTransferRule, at: Standing): CueTransferState => ({
  stage: 'A',
  count: 0,
  unprompted: 0,
  failed: false,
  paid: true,
  coin: seeded(at.seed).save(),
});

const OFFER_END = 3;

/**
 * One event under the cue-transfer rule: where an answer in the gap, a prompted one, or none
 * leads, and what to pay next. With `before` 5, five prompted answers that count in stage A → the
 * probe.
 */
export function stepTransfer(
  rule: CueTransferRule,
  state: CueTransferState,
  event: Happening,
  _at: Standing,
): PolicyStep<CueTransferState> {
  switch (event.kind) {
    case 'rep':
      return event.counts
        ? afterRep(rule, state, event.timing ?? timingOf(event.outcome))
        : next(rule, state, 'It does not count.');
    case 'unlogged':
      return state.stage === 'probe'
        ? next(rule, state)
        : forward(rule, { ...state, count: state.count + event.count }, `${event.count} more, not logged.`);
    case 'staged':
      return next(rule, tossed({ ...state, stage: event.stage, count: 0 }), 'Set by hand.');
    case 'time-out':
      return state.stage === 'probe'
        ? {
            state,
            advice: [
              {
                kind: 'help',
                reason: `${rule.wait}${NO_BREAK}s of silence are over: prompt once, and do not pay it.`,
              },
            ],
          }
        : next(rule, state);
    default:
      return next(rule, state);
  }
}

// A pad without the timings still says what it can: done is an answer to the prompt, nothing done
// is none.
const timingOf = (outcome: RepTold['outcome']): Timing => (outcome === 'miss' ? 'none' : 'prompted');

function afterRep(
  rule: CueTransferRule,
  state: CueTransferState,
  timing: Timing,
): PolicyStep<CueTransferState> {
  switch (timing) {
    case 'before-word':
      return next(
        rule,
        { ...state, unprompted: 0 },
        'Before the word is anticipation: not paid, and it counts for nothing.',
      );
    case 'reminded':
      return next(rule, state, 'After a reminder counts for neither side.');
    case 'in-gap':
    case 'unprompted':
      return unprompted(rule, { ...state, unprompted: state.unprompted + 1 }, timing);
    case 'prompted':
      if (state.stage === 'probe') return failedProbe(rule, state);
      return forward(rule, { ...state, unprompted: 0, count: state.count + 1 }, 'Answered the prompt.');
    case 'none':
      if (state.stage === 'probe') return failedProbe(rule, state);
      return next(
        rule,
        { ...state, unprompted: 0, count: 0 },
        'No answer even to the prompt: the row begins anew.',
      );
  }
}

function unprompted(
  rule: CueTransferRule,
  state: CueTransferState,
  timing: Timing,
): PolicyStep<CueTransferState> {
  const words = timing === 'in-gap' ? 'Answered in the gap, before the prompt' : 'Answered the new cue alone';
  if (state.unprompted >= OFFER_END)
    return {
      state,
      advice: [
        {
          kind: 'end',
          reason: `${words}: always paid. That is ${state.unprompted} unprompted in a row; a good place to end.`,
        },
      ],
    };
  // In the gap the row goes on as a success would; in a probe the next silence follows at once.
  const on = state.stage === 'probe' ? state : { ...state, count: state.count + 1 };
  return forward(rule, on, `${words}: always paid.`);
}

function failedProbe(rule: CueTransferRule, state: CueTransferState): PolicyStep<CueTransferState> {
  const after = { ...state, count: 0, unprompted: 0, failed: true };
  switch (rule.failed) {
    case 'first':
      return next(
        rule,
        { ...after, stage: 'A', paid: true },
        'The silent test failed: the prompted answer is not paid, back to the first stage.',
      );
    case 'one-back':
      return next(
        rule,
        tossed({ ...after, stage: 'B' }),
        'The silent test failed: the prompted answer is not paid, back one stage.',
      );
    case 'again':
      return next(rule, after, 'The silent test failed: the prompted answer is not paid. Once more.');
  }
}

/**
 * After n in a row: from A to the probe, or through half pay once a probe has failed; from half pay
 * to the probe.
 */
function forward(
  rule: CueTransferRule,
  state: CueTransferState,
  words: string,
): PolicyStep<CueTransferState> {
  if (state.stage === 'probe' || state.count < rule.before) return next(rule, tossed(state), words);
  const stage: Stage = state.stage === 'A' && state.failed ? 'B' : 'probe';
  return next(rule, tossed({ ...state, stage, count: 0 }), words);
}

function tossed(state: CueTransferState): CueTransferState {
  if (state.stage !== 'B') return { ...state, paid: state.stage === 'A' };
  const coin = restored(state.coin);
  const paid = coin.uniform() < 0.5;
  return { ...state, paid, coin: coin.save() };
}

function next(rule: CueTransferRule, state: CueTransferState, words = ''): PolicyStep<CueTransferState> {
  return { state, advice: [nextAdvice(rule, state, words === '' ? '' : `${words} `)] };
}

function nextAdvice(rule: CueTransferRule, state: CueTransferState, words: string): Advice {
  const gap = `new cue, ${rule.gap}${NO_BREAK}s, old prompt`;
  switch (state.stage) {
    case 'A':
      return hold(
        `${words}Stage A: ${gap}, always paid. ${state.count} of ${plural(rule.before, 'answer')} before the next stage.`,
      );
    case 'B':
      return {
        kind: 'pay',
        paid: state.paid,
        reason: `${words}Stage B: ${gap}; the coin says ${state.paid ? 'pay' : 'do not pay'} a prompted answer. ${state.count} of ${rule.before}.`,
      };
    case 'probe':
      return {
        kind: 'probe',
        reason: `${words}The new cue, then silence for up to ${rule.wait}${NO_BREAK}s. An answer is always paid.`,
      };
  }
}

/**
 * The state of a cue-transfer policy inside a coach's, for a clock and a coin on screen; null under
 * any other rule.
 */
export function transferOf(kind: string, inner: unknown): CueTransferState | null {
  return kind === 'cue-transfer' ? (inner as CueTransferState) : null;
}
