export {
  ageInMonths,
  type Caution,
  type CautionContext,
  cautionsFor,
  VET_TOPICS,
  type VetTopic,
} from './cautions';
export { LOADS, type Load, type LoadToday, loadsDone, loadsOfWork, loadsToday } from './loads';
export { type Candidate, type Suggestion, suggestSessions } from './next-session';
