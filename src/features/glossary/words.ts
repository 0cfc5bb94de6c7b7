import { tellerOf } from '@/words';
import en from '@/words/en/glossary.json';

/** The words of this room. */
export const tell = tellerOf(en);
