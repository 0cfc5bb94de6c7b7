export {
  type Answered,
  addComment,
  type Coaches,
  coachesOf,
  removeComment,
  sayPupil,
  takeAnswer,
} from './answers';
export { type BackupState, backupState, sayBackup, saySaved } from './backup-state';
export {
  type BoutStart,
  debriefBout,
  endBout,
  endOuting,
  redateOuting,
  startBout,
  typeInBout,
  typeInBouts,
} from './bouts';
export { changeBreakdown, type ExercisePlan, type LinkPlan, makeExercise, makeExercises } from './breakdowns';
export { addTables, decide, decideAll, decideRep } from './bring-together';
export { beginCalling, changeScript, noteCalled } from './callings';
export {
  addMarks,
  addRepOf,
  amendReps,
  type ClipSaid,
  changeClip,
  layClip,
  type MarkSaid,
  openClip,
  putMark,
  removeClip,
  removeMark,
} from './clips';
export { addDog, addFirstElement, changeDog, type FirstElement, orderDogs } from './dogs';
export { moveToEdition } from './editions';
export { forgetExchanges, holdingOf, noteExchange } from './exchanges';
export { copyExercises, copyForDog } from './give-away';
export { replaceTables } from './kennel-tables';
export { addKit, removeKit } from './kit';
export { record, recordSet, recordUndo, type SetItem } from './log';
export { changeMeeting, drawClass, type MeetingSaid, removeMeeting, saveMeeting } from './meetings';
export {
  addOtherWork,
  addSlot,
  moveSlot,
  pinSlot,
  putDogPlan,
  putUsual,
  putWeek,
  removeOtherWork,
  removeSlot,
  removeUsual,
  takePlan,
} from './plan';
export { startPractice } from './practice';
export { putElementAway, putExerciseAway } from './put-away';
export { assignBout, changeElement, mergeElements, type Portion, splitElement } from './reshape';
export {
  type Corrected,
  correctRuleBook,
  putRuleBook,
  putRuleBookAway,
  renameRuleBook,
  sayClassBefore,
  sayEarns,
} from './rule-books';
export { keepRunForecast } from './run-forecasts';
export {
  emptyTry,
  type NewRun,
  putRunAway,
  sayBearing,
  startRun,
  takeMarkBack,
  tryId,
  writeMark,
  writeTry,
} from './runs';
export { ensureSample, renewSample } from './sample';
export {
  addEvent,
  changeEvent,
  changeLiveDay,
  countAsRep,
  type EventSaid,
  removeEvent,
  saySeason,
} from './season';
export {
  addGround,
  addSetOut,
  changeGround,
  changeSetOut,
  putSetOutAway,
  type SetOutSaid,
  sayPace,
} from './set-outs';
export type { NewAxes } from './sheet-names';
export { type SheetBrought, takeSheetRows } from './sheet-rows';
export { signSeenAtRun } from './sign-at-trial';
export { putSignal, removeSignal, type SignalSaid } from './signals';
export { markStop, unmarkStop } from './stops';
export { type TakenRun, takeRun } from './take-run';
export { type Confirmed, confirmRun } from './teach-run';
export { enterTrials, removeLeg, sayEntryJudges, sayHeld, sayLeg, sayTitleAim } from './titles';
export { addTracks, changeTrack, removeTrack, type TrackChange, type TrackSaid } from './tracks';
export type { Undo } from './transact';
export { addResult, addTrial, changeTrial, keepForecast, removeResult, withdrawTrial } from './trials';
export { takeBack } from './undo';
