import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/trials-after.json';

/** What is said of a run afterwards. */
export const tell = tellerOf({ ...en, ...rules });
