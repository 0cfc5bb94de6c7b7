export { readDemand, type WrittenDemand, writeDemand } from './demands';
export { readCost, type WrittenCost } from './read-cost';
export { pastedLines, readSheet } from './read-sheet';
export {
  LINE_KINDS,
  type LineKind,
  type PastedLine,
  type ReadLine,
  type SheetReading,
} from './sheet-reading';
export { smallestIn } from './sheet-style';
export { writeCost } from './write-cost';
