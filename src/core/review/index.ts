export * from './clips';
export { type Hindsight, hindsightOf } from './hindsight';
export { type Moved, type Period, type PeriodBout, periodOf } from './period';
export {
  companionsIn,
  endWith,
  type Hole,
  holesOf,
  LIVE_COVERS,
  LIVE_ENDS,
  LIVE_KINDS,
  LIVE_WINDS,
  type LiveCover,
  type LiveEnd,
  type LiveEvent,
  type LiveKind,
  type LiveTally,
  type LiveWind,
  type Quotas,
  quotaLines,
  sceneHere,
  tallyOf,
} from './season';
export { workAndRest } from './seconds';
export * from './sound';
