export { assessClass, type ClassEvidence, type Readiness, type Told, type WhatIf, whatIf } from './assess';
export { type Assumptions, assumptionsSchema, DEFAULT_ASSUMPTIONS } from './assumptions';
export { type Calibration, calibrate, calibrationInWords, type Outcome } from './calibration';
export type { Forecast, Help } from './forecast';
export { type Advice as EntryAdvice, entryAdvice, type OutlookPoint, readyBy } from './outlook';
export type { TrialElement } from './posterior';
export { missingRehearsals, type Rehearsals } from './rehearsals';
export { FULL_SIZE, type SimulationSize, type TrialClass } from './trial-class';
export type { Unproven } from './unproven';
