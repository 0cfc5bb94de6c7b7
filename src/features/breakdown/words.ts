import { tellerOf } from '@/words';
import en from '@/words/en/breakdown.json';
import making from '@/words/en/core-making.json';

/** The words of this room, and what the core says while a ladder is being made. */
export const tell = tellerOf({ ...en, ...making });
