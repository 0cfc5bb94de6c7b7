export { ClipPage } from './clip-page';
export { ClipsRoom } from './clips-room';
export { ComparePage } from './compare-page';
