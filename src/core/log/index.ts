export { lastAmendments } from './amendments';
export { type Coached, type CoachFacts, replay } from './as-coach';
export { asEvidence, type BoutFacts, repCounts } from './as-evidence';
export {
  ACTION_CHIP,
  AIDS,
  type Aid,
  type Amendment,
  type ArticlesSeen,
  type Asked,
  CALL_KINDS,
  CAUSES,
  type Call,
  type Cause,
  type Crooked,
  type Entry,
  EYE_WORDS,
  type FromSheet,
  HANDLED,
  HANDLER_ACTIONS,
  HANDLER_CHIP,
  type Handled,
  inOrder,
  type Judged,
  LANDINGS,
  type Landed,
  type LegsSeen,
  MEASURED_BY,
  MEASURES,
  type Measure,
  type Measured,
  PAY_SIZES,
  type Paid,
  PLACE_CHIP,
  type Place as EntryPlace,
  PURPOSES,
  type Purpose,
  plainRep,
  type RepEntry,
  type RepSaid,
  type RunSeen,
  type Said,
  type Seen,
  TOSS_CHIP,
  VALUES_CHIP,
  WORD_CHIP,
  WORN_CHIP,
} from './entry';
export { countsAsEvidence, type EvidenceRep } from './evidence-rep';
export { type Folded, foldLog, type StandingRep, type StandingSign } from './fold';
export { type Fork, forksOf } from './forks';
export { calledBefore, gradedOutcome, judgedAgain } from './judged-again';
export { linkReps } from './link-reps';
export {
  type ChargedFault,
  type ChargedFor,
  type Judging,
  judgedByMeasure,
  MADE_FAULTS,
  type Missed,
  missedOf,
} from './propose';
export { type Fate, type Moment, timelineOf } from './timeline';
