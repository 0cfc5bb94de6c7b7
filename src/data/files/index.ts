export { type BackupFolder, listBackups, mayWrite, readBackup, writeBackup } from './backups/folder';
export type { Backup } from './backups/generations';
export { type CalendarEvent, writeCalendar } from './calendar-file';
export { type MarkInFile, type MarksRead, readMarks, writeMarks } from './clip-marks-file';
export { type Gathered, piecesOf, textOf, withPiece } from './code-pieces';
export { type GpxPlace, type GpxRoute, writeGpx, writeTrackGpx } from './gpx-file';
export { type GpxRead, type GpxTrack, readGpx, type TimedFix } from './gpx-read';
export { HOLDS_NOTHING, type Holding, lacks, noting } from './holding';
export {
  type Answer,
  type Exchange,
  type KennelFile,
  kennelText,
  type Packet,
  readKennelFile,
} from './kennel-file';
export { kennelPieces } from './kennel-pieces';
export type { Merged } from './merge';
export { packetTables } from './packet';
export { type RunFile, readRunFile, runText } from './run-file';
export { soundTables } from './set-aside';
export * from './spreadsheet/own';
export { SHEET_TABLES, type SheetTableName, sheetTable } from './spreadsheet/table-rows';
export { type TableStyle, tableText } from './spreadsheet/table-text';
