export { TrackPage } from './track-page';
export { TracksRoom } from './tracks-room';
export { WalkPage } from './walk-page';
