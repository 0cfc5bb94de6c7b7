export {
  ageInMonths,
  type Caution,
  type CautionContext,
  cautionsFor,
  VET_TOPICS,
  type VetTopic,
} from './cautions';
export { type Candidate, type Suggestion, suggestSessions } from './next-session';
