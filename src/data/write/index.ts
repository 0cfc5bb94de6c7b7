export { type BoutStart, debriefBout, endBout, redateOuting, startBout, typeInBout } from './bouts';
export { addDogWithElement, changeDog, type FirstElement } from './dogs';
export { moveToEdition } from './editions';
export { addTables, decide, replaceTables } from './kennel-tables';
export { addKit, removeKit } from './kit';
export { record, recordSet, recordUndo, type SetItem } from './log';
export {
  assignBout,
  changeBreakdown,
  changeElement,
  copyForDog,
  type ExercisePlan,
  type LinkPlan,
  makeExercise,
  mergeElements,
  type Portion,
  removeBreakdown,
  splitElement,
} from './reshape';
export { putRuleBook } from './rule-books';
export { ensureSample, renewSample } from './sample';
export type { Undo } from './transact';
export { addResult, addTrial, changeTrial, keepForecast, removeResult } from './trials';
export { takeBack } from './undo';
