import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/files.json';

/** The words of this room, and what the core says of a rule book that is not sound. */
export const tell = tellerOf({ ...en, ...rules });
