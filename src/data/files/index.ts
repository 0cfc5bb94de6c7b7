export { type KennelFile, readKennelFile, writeKennelFile } from './kennel-file';
export type { Merged } from './merge';
