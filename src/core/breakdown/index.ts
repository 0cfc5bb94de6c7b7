export {
  type Axis,
  askedOf,
  axisInWords,
  axisScale,
  axisSchema,
  isRatioAxis,
  levelPlace,
  parseValue,
  proofValue,
  type Scale,
  stepSize,
  writeValue,
} from './axis';
export { AXIS_KINDS, listAxis } from './axis-kinds';
export { type AxisText, amountText, readAxis, readNewAxis, readStep, stepText } from './axis-text';
export { demandCriteria } from './demands';
export {
  axisSeries,
  buildLadder,
  type CellEdit,
  type CountsFrom,
  cellEditSchema,
  countsFromSchema,
  criteriaSchema,
  demandOf,
  difficulties,
  friendly,
  type HandRung,
  handRungSchema,
  LADDER_RULES,
  type Ladder,
  type LadderPlan,
  type LadderRule,
  type Rung,
  waitingEdits,
} from './ladder';
export { checkKit, checkLadder } from './ladder-checks';
export { changesOf, describePlace, describeRung } from './ladder-words';
export { cuesAxis, gradeAxis, isBodyWork, type MeasuredAs, measuredAs } from './measured';
export {
  type AxisAnswer,
  axisFrom,
  GENERAL_STEP,
  METHODS,
  type Method,
  type MethodAxis,
  type MethodElement,
  methodsIn,
  methodText,
  searchMethods,
  type WatchedFault,
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
export { SCHOOLS, type School, type SchoolKey } from './schools';
export { nextStartTry, type StartSearch, type Tried } from './start-finder';
export { sameWords } from './synonyms';
export { watchedFaultSchema } from './watched-fault';
export { WORK_TAGS, type WorkTag } from './work-tags';
