export {
  type ExerciseSheet,
  emptyExercise,
  foldSheet,
  type JudgeSheet,
  type Traced,
} from './fold-sheet';
export {
  CALL_KINDS,
  type CallKind,
  EXERCISE_STATES,
  type ExerciseState,
  type Mark,
  type MarkSaid,
} from './mark';
export { NOTHING_CHARGED, type PartPlace, type TaughtPart } from './part-taught';
export { type Placing, placings, type ToPlace } from './placings';
export {
  comparePractice,
  type Leniency,
  leniencyOf,
  type PracticeResult,
  type PracticeRun,
  practiceRunSchema,
  shownIn,
} from './practice';
export { drawOrder, expectedTimes, leastBetween, type Starting } from './run-sheet';
export { type Beyond, beyondLimits, jumpsIn } from './safety';
export { type Joined, joinSheets, type OneScore, scoreOne } from './score-sheets';
export { type GivenSlot, slotsOf } from './slots';
export {
  type Bearing,
  type Call,
  callsOf,
  type Drawn,
  drawMaterial,
  type Script,
  type ScriptDraw,
  type ScriptStep,
  stepsFor,
  usualScript,
  type Withheld,
} from './steward';
export { type LooseFault, type Taught, taughtBy, type Untold } from './taught';
