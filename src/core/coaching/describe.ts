import { type Sentence, say } from '@/core/shared';
import type { RuleKind } from './policy';

/** What a person reads when choosing a rule: what it does, what it gains, what it risks. */
export type RuleWords = {
  readonly title: Sentence;
  readonly does: Sentence;
  readonly gains: Sentence;
  readonly risks: Sentence;
};

/** Offered first; the others stand under "more". */
export const FIRST_RULES: readonly RuleKind[] = ['run', 'stretch'];

export const RULE_WORDS: Readonly<Record<RuleKind, RuleWords>> = {
  run: {
    title: say('coaching.describe.so-many-in-a-row'),
    does: say('coaching.describe.goes-up-after-a-run-of-clean-reps'),
    gains: say('coaching.describe.easy-to-keep-in-the-head'),
    risks: say('coaching.describe.runs-are-small-samples-a-dog-that'),
  },
  stretch: {
    title: say('coaching.describe.stretch-and-cut'),
    does: say('coaching.describe.longer-on-full-drive-a-refusal-is'),
    gains: say('coaching.describe.drive-stays-high-and-pain-or'),
    risks: say('coaching.describe.a-single-good-send-is-thin'),
  },
  block: {
    title: say('coaching.describe.share-of-a-block'),
    does: say('coaching.describe.counts-a-block-of-reps-and-goes-up'),
    gains: say('coaching.describe.one-slip-does-not-begin-everything'),
    risks: say('coaching.describe.a-block-on-a-wrong-rung-is-trained'),
  },
  sequential: {
    title: say('coaching.describe.statistical-test'),
    does: say('coaching.describe.weighs-each-rep-until-it-is-clear'),
    gains: say('coaching.describe.says-how-often-it-is-wrong-and'),
    risks: say('coaching.describe.its-error-rates-hold-within-one'),
  },
  feel: {
    title: say('coaching.describe.by-feel'),
    does: say('coaching.describe.gives-no-advice-you-move-the-dog'),
    gains: say('coaching.describe.your-eye-sees-what-no-count-does'),
    risks: say('coaching.describe.nobody-counts-along-long-ago'),
  },
  'cue-transfer': {
    title: say('coaching.describe.from-an-old-cue-to-a-new-one'),
    does: say('coaching.describe.new-cue-a-short-gap-old-prompt'),
    gains: say('coaching.describe.the-dog-learns-to-answer-before'),
    risks: say('coaching.describe.wants-a-clock-and-an-honest'),
  },
  'single-presentation': {
    title: say('coaching.describe.one-presentation-one-cue'),
    does: say('coaching.describe.no-answer-withdraw-breathe-present'),
    gains: say('coaching.describe.the-cue-keeps-its-worth'),
    risks: say('coaching.describe.slow-at-first-with-a-dog-that-is'),
  },
  scenario: {
    title: say('coaching.describe.scenario'),
    does: say('coaching.describe.a-fault-stops-the-run-name-it'),
    gains: say('coaching.describe.every-fault-ends-well'),
    risks: say('coaching.describe.a-dog-can-learn-that-the-fault'),
  },
  strength: {
    title: say('coaching.describe.strength'),
    does: say('coaching.describe.few-reps-a-day-days-between-steps'),
    gains: say('coaching.describe.muscle-has-time-to-grow'),
    risks: say('coaching.describe.slow-two-weeks-at-least'),
  },
  distribution: {
    title: say('coaching.describe.better-than-most'),
    does: say('coaching.describe.pays-what-is-better-than-most-of'),
    gains: say('coaching.describe.the-dog-is-never-starved-of-pay'),
    risks: say('coaching.describe.wants-a-grade-for-every-response'),
  },
};
