export { type Change, compareBooks } from './compare';
export { type CompiledRules, compileRules, type FaultOption, type Tally } from './compile';
export { familyOf, prepareRules, type Rules } from './families';
export { describeCost } from './families/cost';
export {
  cellTotal,
  type Mark,
  type PreparedExercise,
  type PreparedRules,
  rulesTotal,
  type ScoreSheet,
  type SheetLine,
  writePoints,
} from './families/family';
export type { Cost, Fault } from './families/fault-schema';
export { faultOptions } from './fault-options';
export { checkRuleBook, type ReadRuleBook, readRuleBook } from './read';
export { type Demand, type RuleBook, type RuleElement, type RuleExercise, ruleBookSchema } from './schema';
export { type Deduction, type ExerciseScore, type Reason, type Score, scoreSheet } from './score';
export { type ElementStake, elementStakes, stakesOfClass } from './stakes';
