export { readDemand, type WrittenDemand, writeDemand } from './demands';
export { readCost, type WrittenCost } from './read-cost';
export { pastedLines, readSheet, smallestIn } from './read-sheet';
export {
  LINE_KINDS,
  type LineKind,
  type PastedLine,
  type ReadLine,
  type SheetReading,
} from './sheet-reading';
export { writeCost } from './write-cost';
