import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/trials.json';

/** The words of this room, and what the core says of rule books and runs. */
export const tell = tellerOf({ ...en, ...rules });
