import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/rule-book-editor.json';

/** The words of the table in which a rule book is written, and of reading a pasted sheet. */
export const tell = tellerOf({ ...en, ...rules });
