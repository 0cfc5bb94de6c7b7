export { type CalendarEvent, writeCalendar } from './calendar-file';
export { type MarkInFile, type MarksRead, readMarks, writeMarks } from './clip-marks-file';
export { type Gathered, piecesOf, textOf, withPiece } from './code-pieces';
export { type GpxPlace, type GpxRoute, writeGpx } from './gpx-file';
export { type KennelFile, kennelText, readKennelFile } from './kennel-file';
export { kennelPieces } from './kennel-pieces';
export type { Merged } from './merge';
export { type RunFile, readRunFile, runText } from './run-file';
export { soundTables } from './set-aside';
