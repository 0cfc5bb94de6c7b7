import type { RuleKind } from './policy';

/** What a person reads when choosing a rule: what it does, what it gains, what it risks. */
export type RuleWords = {
  readonly title: string;
  readonly does: string;
  readonly gains: string;
  readonly risks: string;
};

/** Offered first; the others stand under "more". */
export const FIRST_RULES: readonly RuleKind[] = ['run', 'stretch'];

export const RULE_WORDS: Readonly<Record<RuleKind, RuleWords>> = {
  run: {
    title: 'So many in a row',
    does: 'Goes up after a run of clean reps, back after a run of misses.',
    gains: 'Easy to keep in the head.',
    risks: 'Runs are small samples: a dog that is right 6 times in 10 makes three in a row soon enough.',
  },
  stretch: {
    title: 'Stretch and cut',
    does: 'Longer on full drive. A refusal is asked about in one tap, and only “too far” shortens.',
    gains: 'Drive stays high, and pain or chewing is not mistaken for distance.',
    risks: 'A single good send is thin evidence; keep the steps few in a session.',
  },
  block: {
    title: 'Share of a block',
    does: 'Counts a block of reps, and goes up, stays or goes back by how many were clean.',
    gains: 'One slip does not begin everything anew.',
    risks: 'A block on a wrong rung is trained to its end.',
  },
  sequential: {
    title: 'Statistical test',
    does: 'Weighs each rep until it is clear which of two clean rates fits better.',
    gains: 'Says how often it is wrong, and takes few reps where the answer is plain.',
    risks: 'Its error rates hold within one session only, and it takes reps to be alike.',
  },
  feel: {
    title: 'By feel',
    does: 'Gives no advice; you move the dog up and down.',
    gains: 'Your eye sees what no count does.',
    risks: 'Nobody counts along; long ago mastered goes unnoticed.',
  },
  'cue-transfer': {
    title: 'From an old cue to a new one',
    does: 'New cue, a short gap, old prompt. Silent probes find out whether the new cue works alone.',
    gains: 'The dog learns to answer before the prompt, without being caught wrong.',
    risks: 'Wants a clock and an honest silence.',
  },
  'single-presentation': {
    title: 'One presentation, one cue',
    does: 'No answer: withdraw, breathe, present again. Never a second cue in one presentation.',
    gains: 'The cue keeps its worth.',
    risks: 'Slow at first with a dog that is used to being asked twice.',
  },
  scenario: {
    title: 'Scenario',
    does: 'A fault stops the run: name it, repeat easier, succeed, go on.',
    gains: 'Every fault ends well.',
    risks: 'A dog can learn that the fault brings an easier turn.',
  },
  strength: {
    title: 'Strength',
    does: 'Few reps a day, days between steps, nothing longer on a day with a break.',
    gains: 'Muscle has time to grow.',
    risks: 'Slow; two weeks at least.',
  },
  distribution: {
    title: 'Better than most',
    does: 'Pays what is better than most of the last responses, so that about as many are paid as you choose.',
    gains: 'The dog is never starved of pay while the standard rises.',
    risks: 'Wants a grade for every response.',
  },
};
