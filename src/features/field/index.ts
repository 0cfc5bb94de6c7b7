export { FieldRoom } from './field-room';
export { SessionPage } from './session-page';
