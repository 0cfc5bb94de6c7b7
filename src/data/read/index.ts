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
export type { KeptEvidence, KeptLog } from '@/data/records/kept-evidence';
export { RECORD_TITLES } from '@/data/records/titles';
export {
  boutLog,
  boutsOn,
  type DatedBout,
  isOuting,
  isRunning,
  type LoggedBout,
  lastBout,
  lastLines,
  logged,
  type OpenBout,
  openBouts,
} from './bouts';
export { cautionsOf } from './cautions';
export {
  type ClassOfDog,
  classEvidence,
  classesOfDogs,
  elementQuestion,
  elementQuestions,
  studyQuestion,
} from './class-evidence';
export { coachFacts } from './coach-facts';
export { countsOf, type KennelCounts, kennelCounts } from './counts';
export { type Touched, touchedBy } from './editions';
export {
  articlesBefore,
  beforeBout,
  type EvidenceByElement,
  evidenceByElement,
  faultsBefore,
  keptLogs,
  keptOfDog,
  keptOn,
  lastKept,
  repsOn,
  type StandsByElement,
  standsOf,
} from './evidence';
export { type GraphNode, prerequisiteGraph } from './prerequisites';
export { type SameWork, sameWorkOf } from './same-work';
export { type StandingSign, signsAgainst, standingSigns } from './signs';
export { type Gap, gapOf, isOffWork, probeStart, startToday } from './start';
export {
  activeElements,
  type DogWork,
  faultLabel,
  judgingOf,
  keptForecasts,
  listApart,
  listDogs,
  listKit,
  listRuleBooks,
  type NamedFault,
  namedFaults,
  placesOf,
  trialsOf,
  workOf,
} from './work';
