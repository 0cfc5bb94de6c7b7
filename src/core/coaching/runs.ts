import * as v from 'valibot';
import { say } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type RepTold, type Standing } from './events';

export const few = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20));

/**
 * *n in a row*: `advanceAfter` counted clean reps in a row advance, `dropAfter` counted misses in a
 * row drop back.
 */
export const runRule = v.strictObject({ kind: v.literal('run'), advanceAfter: few, dropAfter: few });
export type RunRule = v.InferOutput<typeof runRule>;

/**
 * One cue to a presentation; the silence between two is named. Advances and drops back as *n in a
 * row*.
 */
export const singleRule = v.strictObject({
  kind: v.literal('single-presentation'),
  advanceAfter: few,
  dropAfter: few,
  breath: v.pipe(v.number(), v.minValue(1), v.maxValue(60)),
});
export type SingleRule = v.InferOutput<typeof singleRule>;

/** Clean and missed in a row on this rung, counted reps only. */
export type Rows = { readonly clean: number; readonly missed: number };
export const NO_ROWS: Rows = { clean: 0, missed: 0 };

function countRows(rows: Rows, rep: RepTold): Rows {
  if (!rep.counts) return rows;
  return {
    clean: rep.outcome === 'clean' ? rows.clean + 1 : 0,
    missed: rep.outcome === 'miss' ? rows.missed + 1 : 0,
  };
}

/** The rows before the first rep: none clean, none missed in a row. */
export const startRun = (): Rows => NO_ROWS;

/**
 * One event under the in-a-row rule: `advanceAfter` clean in a row → advance, `dropAfter` misses
 * in a row → drop back, a flaw ends both rows, and what does not count changes neither. 5 and 2:
 * the fifth clean in a row on rung 0 → advance to rung 1.
 */
export function stepRun(
  rule: Pick<RunRule, 'advanceAfter' | 'dropAfter'>,
  rows: Rows,
  event: Happening,
  at: Standing,
): PolicyStep<Rows> {
  const state = event.kind === 'rep' ? countRows(rows, event) : event.kind === 'moved' ? NO_ROWS : rows;
  return { state, advice: [runAdvice(rule, state, at)] };
}

function runAdvice(
  rule: Pick<RunRule, 'advanceAfter' | 'dropAfter'>,
  { clean, missed }: Rows,
  at: Pick<Standing, 'rung' | 'top'>,
): Advice {
  const words = say('coaching.runs.your-rule-is-in-a-row', { advanceAfter: rule.advanceAfter });
  if (clean >= rule.advanceAfter) {
    if (at.rung >= at.top)
      return {
        kind: 'done',
        reason: say('coaching.runs.clean-in-a-row-on-the-top-rung-end', { clean }),
      };
    const late = clean >= 2 * rule.advanceAfter ? say('coaching.runs.it-was-mastered-long-ago-and') : '';
    return {
      kind: 'advance',
      to: at.rung + 1,
      reason: say('coaching.runs.clean-in-a-row-here', { clean, words, late }),
    };
  }
  if (missed >= rule.dropAfter) {
    const grounds = say('coaching.runs.miss', { missed, dropAfter: rule.dropAfter });
    if (at.rung === 0) return hold(say('coaching.runs.this-is-the-lowest-rung-make-the', { grounds }));
    return { kind: 'drop-back', to: at.rung - 1, reason: grounds };
  }
  if (missed > 0)
    return hold(say('coaching.runs.a-miss-more-in-a-row-would-drop', { dropAfter: rule.dropAfter - missed }));
  return hold(say('coaching.runs.clean-in-a-row-here-2', { clean, words }));
}

/**
 * The in-a-row rule with one cue a presentation: a miss that does not yet drop back → withdraw for
 * `breath` seconds and present again, never a second cue.
 */
export function stepSingle(rule: SingleRule, rows: Rows, event: Happening, at: Standing): PolicyStep<Rows> {
  const step = stepRun(rule, rows, event, at);
  const silent = event.kind === 'rep' && event.outcome === 'miss';
  if (!silent || step.advice.some((one) => one.kind !== 'hold')) return step;
  const wait = say('coaching.runs.withdraw-second', { breath: rule.breath });
  return { ...step, advice: [hold(wait)] };
}
