export { type Slow, type TrackGo, trackGo, turnTaken } from './go';
export { laidPoint, laidTrack, layByStart, layByTwo, type Placement, placeAround } from './lay';
export { inPieces, type State, smoothed, type Timed } from './smooth';
