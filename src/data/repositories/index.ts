export type { Breakdown, Dog, ElementRecord, Entry, Judgement, RepEntry, RuleBookRecord, Session, Tables, Trial } from '@/data/records';
export { addDogWithElement, type FirstElement, listDogs, methodOf, trialsOf } from './dogs';
export { type Moved, moveToEdition, type Touched, touchedBy, undoMove } from './editions';
export { changeLadder, type DogWork, lastSession, type NamedFault, namedFaults, placesOf, workOf } from './elements';
export { evidenceReps, judgementOf, replay, type StandingRep, standingReps, standingRung } from './fold';
export { exportTables, type Kennel, type KennelName, openKennel, replaceTables } from './kennel';
export {
  endSession,
  isRunning,
  type RepDraft,
  recentSessions,
  recordCorrection,
  recordMove,
  recordRep,
  recordRest,
  recordUndo,
  reopenSession,
  sessionEntries,
  startSession,
} from './log';
export { classEvidence, elementQuestions, type RepsByElement, type RungByElement } from './questions';
export { listRuleBooks, putRuleBook, restoreRuleBook } from './rule-books';
export { ensureSample, renewSample } from './sample';
export { type DogState, useDog } from './use-dog';
export { type KennelContext, useKennel, useKennelWithDog } from './use-kennel';
