export { assessClass, type ClassEvidence, type Readiness } from './assess';
export { type Assumptions, assumptionsSchema, DEFAULT_ASSUMPTIONS } from './assumptions';
export { type ElementLoss, type FailureShare, type FaultLoss, type Forecast, forecastOf, type Help, helpRanking, writeShare } from './forecast';
export type { TrialElement } from './posterior';
export { FULL_SIZE, type Runs, type SimulationSize, simulateTrials, type TrialClass } from './simulate';
