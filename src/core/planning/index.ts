export {
  ageInMonths,
  type Caution,
  type CautionContext,
  VET_TOPICS,
  type VetTopic,
} from './caution-rule';
export { cautionsFor } from './cautions';
export {
  LOADS,
  type Load,
  type LoadToday,
  loadsAhead,
  loadsDone,
  loadsOfWork,
  loadsToday,
} from './loads';
export { type Candidate, type Suggestion, suggestSessions } from './next-session';
export {
  type PlanDay,
  type PlanDog,
  type PlanFrame,
  type PlannedBout,
  type PlanPiece,
  type PlanPurpose,
  PURPOSES,
} from './plan-frame';
export { type Broken, isAboutSafety, mostOf, openBook } from './plan-limits';
export {
  type Late,
  type PlanAim,
  type PlanQuestion,
  type PlanTitle,
  trialPieces,
  type WeeksPlan,
} from './plan-question';
export { type PlanTold, planWeeks } from './plan-weeks';
