export {
  ageInMonths,
  type Caution,
  type CautionContext,
  VET_TOPICS,
  type VetTopic,
} from './caution-rule';
export { cautionsFor } from './cautions';
export { LOADS, type Load, type LoadToday, loadsDone, loadsOfWork, loadsToday } from './loads';
export { type Candidate, type Suggestion, suggestSessions } from './next-session';
