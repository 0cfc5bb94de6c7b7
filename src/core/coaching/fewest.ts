import type { Rule } from './policy';

/**
 * The fewest clean reps after which a rule lets a dog go up one step: five for "5 in a row", all reps of a
 * block, for the sequential test the first n with n·ln(p1/p0) ≥ ln((1 − β)/α) (Wald 1945). Null where a rule
 * does not count reps: by feel, a cue transfer, shaping. `fewestPerStep(run of 5)` → 5.
 */
export function fewestPerStep(rule: Rule): number | null {
  switch (rule.kind) {
    case 'run':
    case 'single-presentation':
    case 'scenario':
      return rule.advanceAfter;
    case 'block':
      return rule.size;
    case 'sequential':
      return Math.ceil(Math.log((1 - rule.beta) / rule.alpha) / Math.log(rule.p1 / rule.p0));
    case 'stretch':
      return 1;
    // Judged when the reps of the day are done, as a block is when it is full.
    case 'strength':
      return rule.repsPerDay;
    case 'feel':
    case 'cue-transfer':
    case 'distribution':
      return null;
  }
}

/**
 * The fewest clean reps, going up step by step, from step `from` (0 the first) until the top step is met too;
 * null as above. A dog that shows more than is asked may be let over steps, and needs fewer. 29 steps at five
 * in a row, from the first → 145.
 */
export function fewestToTop(rule: Rule, steps: number, from: number): number | null {
  const each = fewestPerStep(rule);
  return each === null ? null : each * Math.max(0, steps - from);
}
