import { tellerOf } from '@/words';
import making from '@/words/en/core-making.json';
import en from '@/words/en/kennel.json';

/** The words of this room, and what the core says while a ladder is being made. */
export const tell = tellerOf({ ...en, ...making });
