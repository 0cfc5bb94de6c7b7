export {
  GO_LEADS,
  goesIn,
  type Slow,
  type Span as TrackSpan,
  type TrackGo,
  trackGo,
  turnTaken,
  within,
} from './go';
export { laidPoint, laidTrack, layByStart, layByTwo, type Placement, placeAround } from './lay';
export { inPieces, type State, smoothed, type Timed } from './smooth';
