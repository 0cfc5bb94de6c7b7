export { assessClass, type Readiness, type Told } from './assess';
export { type Assumptions, assumptionsSchema, DEFAULT_ASSUMPTIONS, trialOf } from './assumptions';
export { type Calibration, calibrate, calibrationInWords, type Outcome } from './calibration';
export type { ClassEvidence } from './class-evidence';
export { classModel } from './class-model';
export { entryChances } from './entry-chances';
export type { FitWith } from './fit-class';
export { FEWEST, type Floor, floorOf } from './floor';
export { type Forecast, passOf } from './forecast';
export type { Help } from './help';
export { type Advice as EntryAdvice, entryAdvice, isOneFigure, type OutlookPoint, readyBy } from './outlook';
export type { TrialElement } from './posterior';
export type { Proof } from './proof';
export { missingRehearsals, type Rehearsals } from './rehearsals';
export type { LearnedDay } from './run-days';
export { share } from './share';
export { preparedTrials, simulateTrials } from './simulate';
export {
  type Leg as TitleLeg,
  MOST_ENTRIES,
  type TitleEntry,
  type TitlePlan,
  type TitleRule,
  type TitleStanding,
  titleChance,
  titlePlans,
  titleStanding,
  titleWeights,
} from './titles';
export { FULL_SIZE, type Runs, type SimulationSize, type TrialClass } from './trial-class';
export type { Unproven } from './unproven';
export { type WhatIf, whatIf } from './what-if';
