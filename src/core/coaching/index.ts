export {
  type Advice,
  type CoachEvent,
  type CoachState,
  coachRun,
  type Outcome,
  type RunPolicy,
  runPolicySchema,
  startCoaching,
} from './run-policy';
