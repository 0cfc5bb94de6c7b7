export type { Change } from './changes';
export { compareBooks } from './compare';
export { type CompiledRules, compileRules } from './compile';
export { doubtsOf } from './doubts';
export { familyOf, type Rules } from './families';
export { countInWords, describeCost } from './families/cost';
export {
  cellTotal,
  type Mark,
  type PreparedExercise,
  type PreparedRules,
  pointsOf,
  rulesTotal,
  type ScoreSheet,
  type SheetLine,
} from './families/family';
export type { Cost, Fault } from './families/fault-schema';
export {
  BACKS_AWAY,
  type FaultRef,
  faultRefSchema,
  faultText,
  isChargedAs,
  ownFault,
  sameFault,
} from './fault-ref';
export { type FaultStep, faultSteps } from './fault-steps';
export { upgraded } from './older-files';
export { prepareRules, type ScoredBook } from './prepare';
export { checkRuleBook, type ReadRuleBook, readRuleBook } from './read';
export {
  DEMAND_QUANTITIES,
  type Demand,
  RULE_BOOK_VERSION,
  type RuleBook,
  type RuleExercise,
  type RulePart,
  ruleBookSchema,
} from './schema';
export { type Deduction, type ExerciseScore, type Reason, type Score, scoreRuns, scoreSheet } from './score';
export { classesAround } from './series';
export { bookForSize, sizeOf } from './sizes';
export { type PartStake, partStakes, stakesOfClass } from './stakes';
export { faultRulesInWords, structuresInWords } from './structure-words';
export type { Structures } from './structures';
export type { Tally } from './tally';
export { type WatchFault, watchFaults } from './watch';
export {
  LINE_KINDS,
  type LineKind,
  type PastedLine,
  pastedLines,
  type ReadLine,
  readCost,
  readDemand,
  readSheet,
  type SheetReading,
  smallestIn,
  type WrittenCost,
  type WrittenDemand,
  writeCost,
  writeDemand,
} from './written';
