export { BARE, BARE_UNITS, bareUnit, reading, takeBareUnit } from './bare-units';
export { tellerOf, wordsOf } from './catalogue';
export { nameOfWeekday, takeLocale, writeDay, writeTime, writeWeekday } from './days';
export { writeInstant } from './instant';
export { regionNow, takeRegion } from './region';
export {
  NO_BREAK,
  numberCustom,
  sizesText,
  withOwnPoint,
  writeDigits,
  writeNumber,
  writeShare,
} from './values';
