export { type Climb, climb, type Schedule } from './climb';
export {
  comparePolicies,
  isComparable,
  type PolicyOutcome,
  type PolicyQuestion,
  type Spread,
  USUAL_SCHEDULE,
  USUAL_TEMPERAMENT,
} from './compare-policies';
export { type Coverage, type ElementCoverage, elementCoverage, passCoverage } from './coverage';
export type { StudyPlan } from './known-dogs';
export { chanceOf, performRep, type RepConditions, restFor, type Side, type Skill, type Temperament } from './simulated-dog';
