export { type Axis, axisScale, axisSchema, isRatioAxis, proofValue, type Scale, stepSize } from './axis';
export { demandCriteria } from './demands';
export { axisSeries, buildLadder, type CellEdit, type Criteria, cellEditSchema, demandOf, difficulties, type Ladder, type Rung } from './ladder';
export { checkLadder, describeRung } from './ladder-checks';
export { METHODS, type Method, type WatchedFault } from './methods';
