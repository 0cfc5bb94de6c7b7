export { type Assessed, assessElement, type ElementEvidence, type Question } from './assess';
export { evidenceAgainstLuck, luckOf, type PickRun, type PositionBias, positionBias, SETTLED } from './discrimination';
export { type Estimate, estimateElement, type Interval, type Reach } from './estimate';
export { type Before, FALLING_OFF, fallingOff, type Suspicion, type WatchedRep } from './falling-off';
export { type Fit, fitElement, parametersAt, predictor } from './fit';
export { type RodData, rodOf } from './rod';
export { EVIDENCE } from './settings';
export { type Cell, countsAsEvidence, type EvidenceRep, PURPOSES, type Purpose, type Summary, summarise } from './summary';
