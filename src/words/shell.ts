import { tellerOf } from './catalogue';
import en from './en/shell.json';

export { wordsOf } from './catalogue';
/** The words around the rooms, and of what every room is built from. */
export const tell = tellerOf(en);
