export { tellerOf, wordsOf } from './catalogue';
export { takeLocale, writeDay } from './days';
export { writeInstant } from './instant';
export { NO_BREAK, withOwnPoint, writeDigits, writeNumber, writeShare } from './values';
