import * as v from 'valibot';
import { type RandomState, restored, type Sentence, say, seeded } from '@/core/shared';
import {
  type Advice,
  type Happening,
  hold,
  type PolicyStep,
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
        : next(rule, state, say('coaching.cue-transfer.it-does-not-count'));
    case 'unlogged':
      return state.stage === 'probe'
        ? next(rule, state)
        : forward(
            rule,
            { ...state, count: state.count + event.count },
            say('coaching.cue-transfer.more-not-logged', { count: event.count }),
          );
    case 'staged':
      return next(
        rule,
        tossed({ ...state, stage: event.stage, count: 0 }),
        say('coaching.cue-transfer.set-by-hand'),
      );
    case 'time-out':
      return state.stage === 'probe'
        ? {
            state,
            advice: [
              {
                kind: 'help',
                reason: say('coaching.cue-transfer.s-of-silence-are-over-prompt-once', { wait: rule.wait }),
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
        say('coaching.cue-transfer.before-the-word-is-anticipation'),
      );
    case 'reminded':
      return next(rule, state, say('coaching.cue-transfer.after-a-reminder-counts-for'));
    case 'in-gap':
    case 'unprompted':
      return unprompted(rule, { ...state, unprompted: state.unprompted + 1 }, timing);
    case 'prompted':
      if (state.stage === 'probe') return failedProbe(rule, state);
      return forward(
        rule,
        { ...state, unprompted: 0, count: state.count + 1 },
        say('coaching.cue-transfer.answered-the-prompt'),
      );
    case 'none':
      if (state.stage === 'probe') return failedProbe(rule, state);
      return next(
        rule,
        { ...state, unprompted: 0, count: 0 },
        say('coaching.cue-transfer.no-answer-even-to-the-prompt-the'),
      );
  }
}

function unprompted(
  rule: CueTransferRule,
  state: CueTransferState,
  timing: Timing,
): PolicyStep<CueTransferState> {
  const words =
    timing === 'in-gap'
      ? say('coaching.cue-transfer.answered-in-the-gap-before-the')
      : say('coaching.cue-transfer.answered-the-new-cue-alone');
  if (state.unprompted >= OFFER_END)
    return {
      state,
      advice: [
        {
          kind: 'end',
          reason: say('coaching.cue-transfer.always-paid-that-is-unprompted-in', {
            words,
            unprompted: state.unprompted,
          }),
        },
      ],
    };
  // In the gap the row goes on as a success would; in a probe the next silence follows at once.
  const on = state.stage === 'probe' ? state : { ...state, count: state.count + 1 };
  return forward(rule, on, say('coaching.cue-transfer.always-paid', { words }));
}

function failedProbe(rule: CueTransferRule, state: CueTransferState): PolicyStep<CueTransferState> {
  const after = { ...state, count: 0, unprompted: 0, failed: true };
  switch (rule.failed) {
    case 'first':
      return next(
        rule,
        { ...after, stage: 'A', paid: true },
        say('coaching.cue-transfer.the-silent-test-failed-the'),
      );
    case 'one-back':
      return next(
        rule,
        tossed({ ...after, stage: 'B' }),
        say('coaching.cue-transfer.the-silent-test-failed-the-2'),
      );
    case 'again':
      return next(rule, after, say('coaching.cue-transfer.the-silent-test-failed-the-3'));
  }
}

/**
 * After n in a row: from A to the probe, or through half pay once a probe has failed; from half pay
 * to the probe.
 */
function forward(
  rule: CueTransferRule,
  state: CueTransferState,
  words: Sentence | null,
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

function next(
  rule: CueTransferRule,
  state: CueTransferState,
  words: Sentence | null = null,
): PolicyStep<CueTransferState> {
  return { state, advice: [nextAdvice(rule, state, words)] };
}

function nextAdvice(rule: CueTransferRule, state: CueTransferState, words: Sentence | null): Advice {
  const gap = say('coaching.cue-transfer.new-cue-s-old-prompt', { gap: rule.gap });
  const said = words !== null;
  switch (state.stage) {
    case 'A':
      return hold(
        say('coaching.cue-transfer.stage-a-always-paid-of-answer', {
          said,
          words,
          gap,
          count: state.count,
          before: rule.before,
        }),
      );
    case 'B':
      return {
        kind: 'pay',
        paid: state.paid,
        reason: say('coaching.cue-transfer.stage-b-the-coin-says-pay', {
          said,
          words,
          gap,
          paid: Boolean(state.paid),
          count: state.count,
          before: rule.before,
        }),
      };
    case 'probe':
      return {
        kind: 'probe',
        reason: say('coaching.cue-transfer.the-new-cue-then-silence-for-up-to', {
          said,
          words,
          wait: rule.wait,
        }),
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
