export { type KennelFile, readKennelFile } from './kennel-file';
export { kennelPieces } from './kennel-pieces';
export type { Merged } from './merge';
