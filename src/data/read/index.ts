export type { EvidenceRep } from '@/core/log';
export type { Kennel, KennelName } from '@/data/kennel';
export { criteriaAtShare, elementFromMethod } from '@/data/make-element';
export type {
  Bout,
  Breakdown,
  Changed,
  Dog,
  ElementRecord,
  ForecastRecord,
  Kit,
  New,
  Outing,
  ResultRecord,
  RuleBookRecord,
  Tables,
  Trial,
} from '@/data/records';
export { PLAIN_ELEMENT } from '@/data/records';
export {
  boutLog,
  type DatedBout,
  elementIn,
  isRunning,
  type LoggedBout,
  lastBout,
  recentBouts,
} from './bouts';
export { cautionsOf } from './cautions';
export {
  type ClassOfDog,
  classEvidence,
  classesOfDogs,
  elementQuestions,
  type RepsByElement,
  type StandsByElement,
  studyQuestion,
} from './class-evidence';
export { coachFacts } from './coach-facts';
export { type Touched, touchedBy } from './editions';
export { type GraphNode, prerequisiteGraph } from './prerequisites';
export { articlesBefore, beforeBout, repsOfDog, standingReps } from './reps';
export { type SameWork, sameWorkOf } from './same-work';
export { startToday } from './start';
export {
  activeElements,
  type DogWork,
  faultLabel,
  keptForecasts,
  listDogs,
  listKit,
  listRuleBooks,
  type NamedFault,
  namedFaults,
  placesOf,
  trialsOf,
  workOf,
} from './work';
