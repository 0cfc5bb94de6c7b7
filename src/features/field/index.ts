export { FieldRoom } from './field-room';
export { LogPage } from './log-page';
export { RoundPage } from './round-page';
export { SessionPage } from './session-page';
