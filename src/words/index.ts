export { BARE, BARE_UNITS, bareUnit, reading, takeBareUnit } from './bare-units';
export { tellerOf, wordsOf } from './catalogue';
export {
  CUSTOMS,
  chosenLocale,
  chosenWeekStart,
  takeChosenLocale,
  takeWeekStart,
  WEEK_STARTS,
  type WeekStart,
} from './customs';
export { nameOfWeekday, takeLocale, weekStart, writeDay, writeTime, writeWeekday } from './days';
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
