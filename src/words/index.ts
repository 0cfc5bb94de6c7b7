export { tellerOf, wordsOf } from './catalogue';
export { takeLocale, writeDay } from './days';
export { writeInstant } from './instant';
export { regionNow, takeRegion } from './region';
export { NO_BREAK, withOwnPoint, writeDigits, writeNumber, writeShare } from './values';
