export { LAID, LAYOUT_SHAPES, type Laid, type LayoutShape, type Spot } from './article-layout';
export {
  type ArticleEvent,
  type ArticleState,
  articleNames,
  articleStates,
  type Layout,
  type NextRun,
  nextRun,
} from './articles';
export { CALLS, CALLS_AHEAD, type CallKind, callOrder, nextDrawn } from './caller';
export { type ColdProbe, coldProbe, isLongGap, PROBE_REPS } from './cold-probe';
export { type CueTransferState, transferOf } from './cue-transfer';
export { FIRST_RULES, RULE_WORDS, type RuleWords } from './describe';
export {
  type Advice,
  BODY_SIGNS,
  type BodySign,
  type CoachEvent,
  type CoachStart,
  type Outcome,
  REFUSALS,
  type Refusal,
  type RepTold,
  STAGES,
  type Stage,
  type Timing,
} from './events';
export { type FeelEvent, type FeelRecord, feelRecord } from './feel-record';
export { fewestPerStep, fewestToTop } from './fewest';
export { type OperatingPoint, operatingPoint } from './operating-curve';
export { DEFAULT_PACE, type Pace, startRung } from './pace';
export {
  type CoachState,
  type CoachStep,
  coach,
  type Policy,
  policySchema,
  type Rule,
  type RuleKind,
  ruleSchema,
  startCoaching,
} from './policy';
export { type Confusable, confusables, SIGNAL_KINDS, type SignalKind } from './signals';
export { passesOvernight, type SeenSign, signLine, standingSign } from './signs';
export { tossed } from './toss';
export { USUAL_RULES } from './usual-rules';
export { wholeAdvice } from './whole';
