export type { Schedule } from './climb';
export { receiverFixes, simulatedRun } from './collar';
export {
  comparePolicies,
  isComparable,
  type PolicyOutcome,
  type PolicyQuestion,
  type Spread,
  USUAL_SCHEDULE,
  USUAL_TEMPERAMENT,
} from './compare-policies';
export {
  performRep,
  type RepConditions,
  restFor,
  type Side,
  type Skill,
  type Temperament,
} from './simulated-dog';
