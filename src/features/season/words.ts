import { tellerOf } from '@/words';
import en from '@/words/en/season.json';

/** The words of this room. */
export const tell = tellerOf(en);
