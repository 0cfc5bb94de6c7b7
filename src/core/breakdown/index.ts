export { type Axis, axisSchema, isRatioAxis, levelPlace } from './axis';
export { AXIS_KINDS, listAxis, READY_LISTS } from './axis-kinds';
export {
  type AxisText,
  inTypedUnit,
  inUnit,
  readAxis,
  readNewAxis,
  readSizes,
  type Sized,
  sizesFit,
  sizesWritten,
  unitOf,
  unitTyped,
} from './axis-text';
export { askedOf, axisInWords, parseValue, writeValue } from './axis-values';
export { joinDemands, raisedBy, withRaised } from './demands';
export {
  buildLadder,
  type CellEdit,
  type CountsFrom,
  cellEditSchema,
  countsFromSchema,
  criteriaSchema,
  demandOf,
  difficulties,
  type HandRung,
  handRungSchema,
  LADDER_RULES,
  type Ladder,
  type LadderPlan,
  type LadderRule,
  type Rung,
  waitingEdits,
} from './ladder';
export { checkKit, checkLadder, heldAxes } from './ladder-checks';
export { changesOf, describePlace, describeRung } from './ladder-words';
export { cuesAxis, gradeAxis, isBodyWork, type MeasuredAs, measuredAs } from './measured';
export type { Method, MethodAxis, MethodElement, WatchedFault } from './method-file';
export type { Skill } from './method-schema';
export {
  type AxisAnswer,
  axisFrom,
  BASICS,
  METHODS,
  methodsIn,
  methodText,
  searchMethods,
  skillOf,
} from './methods';
export {
  atLeastAsHard,
  type Criteria,
  completed,
  type Place,
  placeOn,
  type Standing,
  sameCriteria,
  standingOn,
} from './place';
export {
  findCircle,
  layers,
  type Need,
  type Node,
  needSchema,
  type Openness,
  openness,
} from './prerequisites';
export { rescaleLadder } from './rescale';
export { axisScale, proofValue, type Scale, stepSize } from './scale';
export { SCHOOLS, type School, type SchoolKey, type Setting } from './schools';
export { friendly } from './series';
export * from './set-outs';
export { nextStartTry, type StartSearch, type Tried } from './start-finder';
export { amountText, readStep, stepText } from './step-text';
export { sameWords } from './synonyms';
export { GENERAL_STEP, LIMIT_FACTOR } from './usual-step';
export { watchedFaultSchema } from './watched-fault';
export { WORK_TAGS, type WorkTag } from './work-tags';
