import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/practice.json';

/** What is said of runs that are judged to learn judging. */
export const tell = tellerOf({ ...en, ...rules });
