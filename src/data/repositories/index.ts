export type {
  Breakdown,
  Details,
  Dog,
  ElementRecord,
  Entry,
  ForecastRecord,
  Judgement,
  Kit,
  RepEntry,
  ResultRecord,
  RuleBookRecord,
  Session,
  Tables,
  Trial,
} from '@/data/records';
export { PLAIN_ELEMENT } from '@/data/records';
export { cautionsOf } from './cautions';
export { coachFacts } from './coach-facts';
export { addDogWithElement, changeDog, type FirstElement, listDogs, trialsOf } from './dogs';
export { type Moved, moveToEdition, type Touched, touchedBy, undoMove } from './editions';
export {
  activeElements,
  type Before,
  changeElement,
  type DogWork,
  lastSession,
  type NamedFault,
  namedFaults,
  placesOf,
  putBack,
  workOf,
} from './elements';
export { articlesBefore, beforeSession, repsOfDog } from './evidence';
export { articleEvents, type CoachFacts, evidenceReps, judgementOf, lyingOut, replay, type StandingRep, standingReps, standingRung } from './fold';
export { exportTables, type Kennel, type KennelName, openKennel, replaceTables } from './kennel';
export { addKit, removeKit, restoreKit, useKit } from './kit';
export {
  debriefSession,
  endSession,
  isRunning,
  type RepDraft,
  recentSessions,
  recordAnswer,
  recordCorrection,
  recordDetail,
  recordLaid,
  recordMove,
  recordNote,
  recordOutOfUse,
  recordRep,
  recordRest,
  recordSign,
  recordStage,
  recordTimeOut,
  recordUndo,
  recordUnlogged,
  recordWashed,
  reopenSession,
  sessionEntries,
  startSession,
} from './log';
export { elementFromMethod, methodOf, rungAtShare } from './make-element';
export { nodesOf } from './nodes';
export { broken, type ClassOfDog, classEvidence, elementQuestions, type RepsByElement, type RungByElement, studyQuestion } from './questions';
export { listRuleBooks, putRuleBook, restoreRuleBook } from './rule-books';
export { ensureSample, renewSample } from './sample';
export {
  assignSession,
  changeBreakdown,
  copyToDog,
  type ExercisePlan,
  type LinkPlan,
  makeExercise,
  mergeElements,
  type Part,
  removeBreakdown,
  splitElement,
} from './shape';
export { addResult, addTrial, changeTrial, keepForecast, keptForecasts, putTrial, removeResult, restoreResult } from './trials';
export { type Twin, twinsOf } from './twins';
export { type DogState, useDog } from './use-dog';
export { type KennelContext, useKennel, useKennelWithDog } from './use-kennel';
