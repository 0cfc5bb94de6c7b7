export { tellerOf, wordsOf } from './catalogue';
export { takeLocale, writeDay } from './days';
export { writeInstant } from './instant';
export { NO_BREAK, writeDigits, writeNumber, writeShare } from './values';
