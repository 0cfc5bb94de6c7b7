import * as v from 'valibot';
import { say, schemaSays } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type Standing } from './events';

/**
 * *Share of a block*: after `size` counted reps, `pass` clean or more advance, `fail` clean or
 * fewer drop back.
 */
export const blockRule = v.pipe(
  v.strictObject({
    kind: v.literal('block'),
    size: v.pipe(v.number(), v.integer(), v.minValue(2), v.maxValue(50)),
    pass: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50)),
    fail: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(49)),
  }),
  v.check((rule) => rule.pass <= rule.size, schemaSays('coaching.blocks.more-clean-reps-are-asked-than-the')),
  v.check((rule) => rule.fail < rule.pass, schemaSays('coaching.blocks.the-count-that-drops-back-must-be')),
);
export type BlockRule = v.InferOutput<typeof blockRule>;

export type Tally = { readonly clean: number; readonly done: number };

/** The tally before the first rep: `{ clean: 0, done: 0 }`. */
export const startTally = (): Tally => ({ clean: 0, done: 0 });

/**
 * One event under the block rule: reps that count fill the block, a full one is judged, and the
 * next rep begins a new one; moving to another rung begins it anew. Size 10, pass 8: with 7 clean
 * of 9, a clean rep → advance, "8 of 10 clean in this block".
 */
export function stepBlock(rule: BlockRule, tally: Tally, event: Happening, at: Standing): PolicyStep<Tally> {
  if (event.kind === 'moved')
    return {
      state: startTally(),
      advice: [hold(say('coaching.blocks.a-new-block-of-begins', { size: rule.size }))],
    };
  const full = tally.done >= rule.size;
  const state =
    event.kind === 'rep' && event.counts
      ? counted(full ? startTally() : tally, event.outcome === 'clean')
      : tally;
  return { state, advice: [blockAdvice(rule, state, at)] };
}

const counted = (tally: Tally, clean: boolean): Tally => ({
  clean: tally.clean + (clean ? 1 : 0),
  done: tally.done + 1,
});

function blockAdvice(rule: BlockRule, { clean, done }: Tally, at: Standing): Advice {
  const grounds = say('coaching.blocks.of-clean-in-this-block', { clean, done });
  if (done < rule.size) return hold(say('coaching.blocks.it-is-judged-at', { grounds, size: rule.size }));
  if (clean >= rule.pass && at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.blocks.on-the-top-rung-end-here-or-prove', { grounds }) };
  if (clean >= rule.pass)
    return {
      kind: 'advance',
      to: at.rung + 1,
      reason: say('coaching.blocks.your-rule-advances-at', { grounds, pass: rule.pass }),
    };
  if (clean > rule.fail)
    return hold(
      say('coaching.blocks.between-and-so-another-block-here', { grounds, fail: rule.fail, pass: rule.pass }),
    );
  if (at.rung === 0)
    return hold(say('coaching.blocks.your-rule-drops-back-at-and-this', { grounds, fail: rule.fail }));
  return {
    kind: 'drop-back',
    to: at.rung - 1,
    reason: say('coaching.blocks.your-rule-drops-back-at', { grounds, fail: rule.fail }),
  };
}

const share = v.pipe(v.number(), v.gtValue(0), v.ltValue(1));
/** Chance of calling a dog wrongly: 0.3 at most, or the test says nothing. */
const risk = v.pipe(v.number(), v.minValue(0.001), v.maxValue(0.3));

/** *Statistical test*: is the clean rate `p1` or better rather than `p0` or worse? (Wald 1945). */
export const sequentialRule = v.pipe(
  v.strictObject({ kind: v.literal('sequential'), p0: share, p1: share, alpha: risk, beta: risk }),
  v.check((rule) => rule.p0 < rule.p1, schemaSays('coaching.blocks.the-rate-that-is-good-enough-must')),
);
export type SequentialRule = v.InferOutput<typeof sequentialRule>;

/**
 * Log-likelihood ratio of `clean` of `done` under p1 against p0, with Wald's boundaries: at or
 * above `upper` the dog is taken for good enough (wrong with chance about alpha), at or below
 * `lower` for not (wrong with chance about beta). Wald (1945), "Sequential Tests of Statistical
 * Hypotheses". p0 .6, p1 .9, both risks .1: upper ln 9 = 2.197, six clean make 2.43.
 */
function walk(
  rule: SequentialRule,
  { clean, done }: Tally,
): { readonly ratio: number; readonly lower: number; readonly upper: number } {
  const ratio =
    clean * Math.log(rule.p1 / rule.p0) + (done - clean) * Math.log((1 - rule.p1) / (1 - rule.p0));
  return {
    ratio,
    upper: Math.log((1 - rule.beta) / rule.alpha),
    lower: Math.log(rule.beta / (1 - rule.alpha)),
  };
}

/**
 * What Wald's sequential test says of a tally: the log likelihood ratio at or above its upper
 * bound is *good*, at or below its lower *not yet*, else *open*. p0 .6, p1 .9, both risks .1: 6 of
 * 6 clean → 'good'.
 */
export function decide(rule: SequentialRule, tally: Tally): 'good' | 'not yet' | 'open' {
  const { ratio, lower, upper } = walk(rule, tally);
  if (ratio >= upper) return 'good';
  return ratio <= lower ? 'not yet' : 'open';
}

/**
 * One event under the sequential rule: reps that count move the test, a verdict ends it, and so
 * does moving to another rung. p0 .6, p1 .9, both risks .1: the sixth clean rep in a row →
 * advance.
 */
export function stepSequential(
  rule: SequentialRule,
  tally: Tally,
  event: Happening,
  at: Standing,
): PolicyStep<Tally> {
  const state = afterSequential(rule, tally, event);
  return { state, advice: [sequentialAdvice(rule, state, at)] };
}

/**
 * A verdict ends the test: what follows belongs to the next one. A rest in the session does not.
 */
function afterSequential(rule: SequentialRule, tally: Tally, event: Happening): Tally {
  if (event.kind === 'moved') return startTally();
  if (event.kind !== 'rep' || !event.counts) return tally;
  return counted(decide(rule, tally) === 'open' ? tally : startTally(), event.outcome === 'clean');
}

function sequentialAdvice(rule: SequentialRule, tally: Tally, at: Standing): Advice {
  const grounds = say('coaching.blocks.of-clean-in-this-test', { clean: tally.clean, done: tally.done });
  const percent = (p: number): number => Math.round(p * 100);
  switch (decide(rule, tally)) {
    case 'good':
      if (at.rung >= at.top)
        return {
          kind: 'done',
          reason: say('coaching.blocks.in-100-or-better-on-the-top-rung', {
            grounds,
            percent: percent(rule.p1),
          }),
        };
      return {
        kind: 'advance',
        to: at.rung + 1,
        reason: say('coaching.blocks.rather-in-100-or-better-the-test', {
          grounds,
          percent: percent(rule.p1),
        }),
      };
    case 'not yet':
      if (at.rung === 0)
        return hold(
          say('coaching.blocks.rather-in-100-or-worse-on-the', { grounds, percent: percent(rule.p0) }),
        );
      return {
        kind: 'drop-back',
        to: at.rung - 1,
        reason: say('coaching.blocks.rather-in-100-or-worse-the-test', {
          grounds,
          percent: percent(rule.p0),
        }),
      };
    case 'open':
      return hold(say('coaching.blocks.that-does-not-settle-it-yet', { grounds }));
  }
}
