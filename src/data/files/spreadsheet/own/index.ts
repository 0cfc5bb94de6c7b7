export { type OwnSheet, openSheet } from './open-sheet';
export { type RowProblem, readRows, type SheetRead, type SheetRow } from './read-rows';
export { DAY_ORDERS, type DayOrder } from './sheet-days';
export {
  ASKED_UNITS,
  type AskedUnit,
  guessMapping,
  MEANINGS,
  type Meaning,
  type SheetMapping,
  type Usual,
  wordsIn,
} from './sheet-mapping';
export { type GoOutcome, WORD_OUTCOMES, type WordOutcome } from './sheet-outcomes';
