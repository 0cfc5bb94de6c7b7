export { type Coached, type CoachFacts, replay } from './as-coach';
export { asEvidence, type BoutFacts } from './as-evidence';
export {
  ACTION_CHIP,
  AIDS,
  type Aid,
  type Amendment,
  type ArticlesSeen,
  type Asked,
  CALL_KINDS,
  CAUSES,
  type Cause,
  type Crooked,
  type Entry,
  EYE_WORDS,
  HANDLER_ACTIONS,
  type HandlerAction,
  inOrder,
  type Judged,
  LANDINGS,
  type Landed,
  type LegsSeen,
  MEASURED_BY,
  MEASURES,
  PAY_SIZES,
  type Paid,
  type Place as EntryPlace,
  PURPOSES,
  type Purpose,
  plainRep,
  type RepEntry,
  type RepSaid,
  type RunSeen,
  type Said,
  type Seen,
} from './entry';
export { countsAsEvidence, type EvidenceRep } from './evidence-rep';
export { type Folded, foldLog, type StandingRep, type StandingSign } from './fold';
export { type Fate, type Moment, timelineOf } from './timeline';
