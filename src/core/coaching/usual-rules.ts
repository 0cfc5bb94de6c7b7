import type { Rule, RuleKind } from './policy';

/** Usual values of each rule, where a person chooses it. */
export const USUAL_RULES: Readonly<{ [K in RuleKind]: Extract<Rule, { kind: K }> }> = {
  run: { kind: 'run', advanceAfter: 5, dropAfter: 2 },
  stretch: { kind: 'stretch', cut: 0.5, perSession: 2 },
  block: { kind: 'block', size: 5, pass: 4, fail: 2 },
  sequential: { kind: 'sequential', p0: 0.6, p1: 0.9, alpha: 0.1, beta: 0.1 },
  feel: { kind: 'feel' },
  'cue-transfer': { kind: 'cue-transfer', gap: 2, wait: 20, before: 5, failed: 'first' },
  'single-presentation': { kind: 'single-presentation', advanceAfter: 5, dropAfter: 2, breath: 5 },
  scenario: { kind: 'scenario', advanceAfter: 3 },
  strength: { kind: 'strength', minDays: 14, restDays: 1, repsPerDay: 5, cleanToAdvance: 4 },
  distribution: { kind: 'distribution', window: 20, paidShare: 0.8 },
};
