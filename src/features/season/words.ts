import { tellerOf } from '@/words';
import core from '@/words/en/core-season.json';
import en from '@/words/en/season.json';

/** The words of this room, and what the core says of live days. */
export const tell = tellerOf({ ...en, ...core });
