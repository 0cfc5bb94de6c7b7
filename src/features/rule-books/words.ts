import { tellerOf } from '@/words';
import en from '@/words/en/rule-books.json';

/** The words of this room. */
export const tell = tellerOf(en);
