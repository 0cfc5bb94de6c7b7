export { FieldRoom } from './field-room';
export { RoundPage } from './round-page';
export { SessionPage } from './session-page';
