import { tellerOf } from '@/words';
import backups from '@/words/en/backups.json';
import rules from '@/words/en/core-rules.json';
import en from '@/words/en/files.json';
import apart from '@/words/en/files-apart.json';

/** The words of this room, and what the core says of a rule book that is not sound. */
export const tell = tellerOf({ ...en, ...apart, ...backups, ...rules });
