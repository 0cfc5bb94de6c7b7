export { BreakdownRoom } from './breakdown-room';
export { LadderPage } from './ladder-page';
