export { isPupil, type Kennel, type KennelName } from '@/data/kennel';
export { criteriaAtShare, elementFromMethod, withSettings } from '@/data/make-element';
export type {
  BearingRecord,
  Bout,
  Breakdown,
  Calling,
  Changed,
  Clip,
  ClipMarkRecord,
  Comment,
  Dog,
  DogPlan,
  ElementRecord,
  ForecastRecord,
  Ground,
  Held,
  Kit,
  Leg,
  MarkRecord,
  Meeting,
  New,
  OtherWork,
  Outing,
  Person,
  Practice,
  ResultRecord,
  RuleBookRecord,
  Run,
  RunForecast,
  RunLesson,
  ScriptRecord,
  SeasonEvent,
  SetOut,
  Signal,
  Slot,
  Starter,
  Tables,
  TitleAim,
  Track,
  Trial,
  Usual,
} from '@/data/records';
export { numberedArticles, PLAIN_DOG_PLAN, PLAIN_ELEMENT } from '@/data/records';
export type { KeptEvidence, KeptLog } from '@/data/records/kept-evidence';
export { RECORD_TITLES } from '@/data/records/titles';
export { type ApartRep, elementTitles, namesIn, type Waiting, waitingApart } from './apart';
export {
  boutLog,
  boutsOn,
  type DatedBout,
  isRunning,
  type LoggedBout,
  lastBout,
  lastLines,
  linesOf,
  logged,
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
export { type ClassDog, type ClassTile, classDogs, classTiles } from './class-lesson';
export { clipOf, clipsOfBout, listClips, type MarkedClip } from './clips';
export { commentables, type PictureFacts, pictureFacts } from './coach';
export { coachFacts } from './coach-facts';
export { countsOf, type KennelCounts, kennelCounts } from './counts';
export { type DiaryBout, diaryDays, diaryOf, inPeriod } from './diary';
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
  standsAt,
  standsOf,
} from './evidence';
export { type ExchangedFile, type Exchanges, listExchanges } from './exchanges';
export { type Findable, findableNotes, findableWork } from './findable';
export { type JudgedBout, judgedBout } from './judged-bout';
export { type LaidOut, type LaidOutView, laidOut, laidOutView, unitOfSetOut } from './laid-out';
export {
  isOuting,
  keptOfBouts,
  type Lesson,
  type LessonBout,
  lastLesson,
  lessonNow,
  openBouts,
} from './lesson';
export { keptSince, loadsIn, loadsOf, stillWork } from './loads';
export { type LookBack, lookBack, type MarkBeside, marksBeside } from './look-back';
export { daysUsed, otherWorkOf } from './other-work';
export { insteadBook } from './plan-aims';
export { dayAsSaid, listUsuals, minutesOn, weekFromLog, weekOf } from './plan-days';
export { isEmptyMatch, matchPlan, type PlanMatch, type SlotSaid } from './plan-match';
export {
  asPlanned,
  asSaid,
  type DogWishes,
  type LeftOut,
  type Planning,
  planQuestion,
} from './plan-question';
export { type JudgedPractice, listPractice, practiceOf } from './practice';
export { type GraphNode, prerequisiteGraph, waitingOf } from './prerequisites';
export { listComments, type Pupil, pupilOf } from './pupils';
export { inUse, type PutAway, putAwayOf } from './put-away';
export { classBefore, classToday, runForecastOf, runLessonOf } from './run-outlook';
export {
  changesOf,
  type LessonSaid,
  placeText,
  type RunChange,
  type RunRep,
  type RunTeaching,
  runTeaching,
  usualLesson,
  type WrittenRep,
} from './run-teaching';
export {
  bearingOf,
  callingOf,
  listMeetings,
  listPeople,
  listRuns,
  meetingOf,
  type RunWithMarks,
  runsOfMeeting,
  runWithMarks,
  scriptOf,
  triesOf,
} from './runs';
export { type SameWork, type Shareable, sameWorkOf, workToShare } from './same-work';
export {
  asLive,
  elementOfKind,
  type LiveDay,
  liveDays,
  reachAxis,
  scenesBefore,
  seasonOf,
  trainedTo,
} from './season';
export {
  fittingSetOut,
  groundOf,
  listGrounds,
  listSetOuts,
  oldFallsOn,
  setOutOf,
  setOutsFor,
} from './set-outs';
export { cuesOf, listSignals, ownCuesOf } from './signals';
export { type StandingSign, signsAgainst, standingSigns } from './signs';
export { type PlannedSlot, pieceOf, plannedWork, type SlotState, slotsBetween } from './slots';
export { type Gap, gapOf, isOffWork, probeStart, startToday } from './start';
export {
  type DogTitle,
  judgesOf,
  otherClasses,
  type TitlePass,
  type TitleTrial,
  titlesOf,
} from './titles';
export { type TourFacts, tourFacts } from './tour';
export {
  ENOUGH_RUNS,
  isReal,
  listTracks,
  type MeasuredTrackGo,
  type ReadTrack,
  type RunOfDog,
  repsOfGoes,
  runsOfDog,
  trackGoes,
  trackOf,
} from './tracks';
export { type TrialSafety, trialSafety } from './trial-safety';
export { trialsUnsaid } from './trials-unsaid';
export { addressOf, dogOf, exerciseTitle, isWhole, trainableIn, wholeId } from './whole';
export {
  activeElements,
  allTrialsOf,
  type DogWork,
  dogsPutAway,
  faultLabel,
  judgingOf,
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
