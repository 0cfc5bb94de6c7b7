import * as v from 'valibot';
import { blockRule, sequentialRule, startTally, stepBlock, stepSequential } from './blocks';
import { cueTransferRule, startTransfer, stepTransfer } from './cue-transfer';
import { distributionRule, startDistribution, stepDistribution } from './distribution';
import type { Advice, CoachEvent, CoachStart, Happening, PolicyStep, Standing } from './events';
import { feelRule, stepFeel } from './feel';
import { countPace, type PaceState, paceSchema, START_PACE, withPace } from './pace';
import { runRule, singleRule, startRun, stepRun, stepSingle } from './runs';
import { scenarioRule, startScenario, stepScenario } from './scenario';
import { startStrength, stepStrength, strengthRule } from './strength';
import { startStretch, stepStretch, stretchRule } from './stretch';

export const ruleSchema = v.variant('kind', [
  runRule,
  stretchRule,
  blockRule,
  sequentialRule,
  feelRule,
  cueTransferRule,
  singleRule,
  scenarioRule,
  strengthRule,
  distributionRule,
]);
export type Rule = v.InferOutput<typeof ruleSchema>;
export type RuleKind = Rule['kind'];

/** A policy: the rule that moves a dog up and down, and the pace that is common to all rules. */
export const policySchema = v.strictObject({ rule: ruleSchema, pace: paceSchema });
export type Policy = v.InferOutput<typeof policySchema>;

type Kind<R, S> = {
  readonly start: (rule: R, at: Standing) => S;
  readonly step: (rule: R, state: S, event: Happening, at: Standing) => PolicyStep<S>;
};
// The union of rules and their states is taken apart by `kind` alone, so the pairs are typed here,
// where each is written down.
const kind = <R, S>(
  start: (rule: R, at: Standing) => S,
  step: (rule: R, state: S, event: Happening, at: Standing) => PolicyStep<S>,
) => ({ start, step }) as unknown as Kind<Rule, unknown>;

const KINDS: Readonly<Record<RuleKind, Kind<Rule, unknown>>> = {
  run: kind(startRun, stepRun),
  stretch: kind(startStretch, stepStretch),
  block: kind(startTally, stepBlock),
  sequential: kind(startTally, stepSequential),
  feel: kind(() => null, stepFeel),
  'cue-transfer': kind(startTransfer, stepTransfer),
  'single-presentation': kind(startRun, stepSingle),
  scenario: kind(startScenario, stepScenario),
  strength: kind(startStrength, stepStrength),
  distribution: kind(startDistribution, stepDistribution),
};

/**
 * Serialisable. `seen` is what undo and correction replay, so that both are exact for every policy.
 */
export type CoachState = {
  readonly start: CoachStart;
  readonly rung: number;
  readonly inner: unknown;
  readonly pace: PaceState;
  readonly seen: readonly Happening[];
};

/**
 * A session's beginning. What is not known is left out: no coin is needed without a protocol that
 * tosses one.
 */
export function startCoaching(
  policy: Policy,
  start: Pick<CoachStart, 'rung' | 'top'> & Partial<CoachStart>,
): CoachState {
  const whole: CoachStart = {
    seed: 0,
    values: null,
    unit: 'm',
    grades: null,
    holds: null,
    since: null,
    lastDay: null,
    today: null,
    ...start,
  };
  return {
    start: whole,
    rung: whole.rung,
    inner: KINDS[policy.rule.kind].start(policy.rule, whole),
    pace: START_PACE,
    seen: [],
  };
}

export type CoachStep = { readonly state: CoachState; readonly advice: readonly Advice[] };

/**
 * The pure step `(state, event) → (state, advice)`. Never throws; the state is plain data at every
 * step.
 */
export function coach(policy: Policy, state: CoachState, event: CoachEvent): CoachStep {
  switch (event.kind) {
    case 'undo':
      return replayed(
        policy,
        state,
        state.seen.filter((one) => !('id' in one) || one.id !== event.id),
      );
    case 'correction':
      return replayed(
        policy,
        state,
        state.seen.map((one) =>
          one.kind === 'rep' && one.id === event.id ? { ...one, ...event, kind: 'rep' } : one,
        ),
      );
    default:
      return happened(policy, state, event);
  }
}

function replayed(policy: Policy, state: CoachState, events: readonly Happening[]): CoachStep {
  const from: CoachStep = { state: startCoaching(policy, state.start), advice: [] };
  return events.reduce((step, event) => happened(policy, step.state, event), from);
}

function happened(policy: Policy, state: CoachState, event: Happening): CoachStep {
  const rung = event.kind === 'moved' ? event.rung : state.rung;
  const at: Standing = { ...state.start, rung, before: state.rung };
  const { state: inner, advice } = KINDS[policy.rule.kind].step(policy.rule, state.inner, event, at);
  const pace = countPace(policy.pace, state.pace, event, state.rung);
  return {
    state: { ...state, rung, inner, pace, seen: [...state.seen, event] },
    advice: withPace(policy.pace, pace, event, rung, advice),
  };
}
