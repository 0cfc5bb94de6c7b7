export {
  type Assessed,
  assessElement,
  type ElementEvidence,
  type Question,
  type Weigh,
  weighElement,
} from './assess';
export {
  type BoutEvidence,
  type DrawnBout,
  drawBout,
  type KeptMark,
  MEANING,
  tallyAt,
  weighBout,
} from './bout-evidence';
export { type CoverRow, coverOf } from './cover';
export { columnsOf, type Target, targetAt } from './design';
export { evidenceAgainstLuck, luckOf, type PickRun, positionBias, SETTLED } from './discrimination';
export { drawPosterior, type Posterior } from './draw';
export type { Estimate, Reach } from './estimate';
export { type Before, FALLING_OFF, fallingOff, type Suspicion, type WatchedRep } from './falling-off';
export { type Fit, fitElement } from './fit';
export type { Compared, Habits } from './habits';
export type { Hold, Lasting } from './holding';
export { type Keeping, keepingOf } from './keeping';
export { beyondTimes, type Quickness } from './latency';
export { beyondOffsets } from './offset';
export { type Deviation, EYE, type Precision, precisionOf } from './precision';
export { asAtTrial, asTrained, type Interval, lossAfter, predictorOf, swingAt, type When } from './predict';
export type { FaultCount, Priced } from './priced';
export { DRAW } from './priors';
export { type RodData, rodOf, rodsOf } from './rod';
export { type Beliefs, EVIDENCE } from './settings';
export { type Studied, type StudyQuestion, studyElement, timesOf } from './study';
export {
  type Cell,
  cellsWithCold,
  type FaultCounts,
  type Grounds,
  groundsOf,
  type Summary,
  summarise,
} from './summary';
export { bySession } from './swaying';
export { chanceInWords, FEW, isThin, tenths } from './thin';
export type { Wall } from './wall';
export { type WordReach, wordReach } from './word-reach';
