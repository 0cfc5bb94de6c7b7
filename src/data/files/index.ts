export { type CalendarEvent, writeCalendar } from './calendar-file';
export { type KennelFile, kennelText, readKennelFile } from './kennel-file';
export { kennelPieces } from './kennel-pieces';
export type { Merged } from './merge';
export { soundTables } from './set-aside';
