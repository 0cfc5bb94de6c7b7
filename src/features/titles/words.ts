import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/titles.json';

/** What is said of titles. */
export const tell = tellerOf({ ...en, ...rules });
