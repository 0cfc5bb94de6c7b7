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
export { type Estimate, type Interval, predictorOf, type Reach, swingAt } from './estimate';
export { type Before, FALLING_OFF, fallingOff, type Suspicion, type WatchedRep } from './falling-off';
export { DRAW, drawPosterior, type Fit, fitElement, type Posterior } from './fit';
export type { Habits } from './habits';
export type { Hold, Lasting } from './holding';
export { beyondTimes, type Quickness } from './latency';
export { type Deviation, EYE, type Precision, precisionOf } from './precision';
export type { FaultCount, Priced } from './priced';
export { type Retention, retentionOf } from './retention';
export { type RodData, rodOf, rodsOf } from './rod';
export { type Beliefs, EVIDENCE } from './settings';
export { type Studied, type StudyQuestion, studyElement, timesOf } from './study';
export {
  type Cell,
  type FaultCounts,
  type Grounds,
  groundsOf,
  type Summary,
  summarise,
} from './summary';
export { chanceInWords, FEW, isThin, tenths } from './thin';
export type { Wall } from './wall';
export { type WordReach, wordReach } from './word-reach';
