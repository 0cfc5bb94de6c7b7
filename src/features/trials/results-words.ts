import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/trials-results.json';

/** What is said of the results of a class. */
export const tell = tellerOf({ ...en, ...rules });
