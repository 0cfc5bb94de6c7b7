export { type KennelFile, readKennelFile, writeKennelFile } from './kennel-file';
