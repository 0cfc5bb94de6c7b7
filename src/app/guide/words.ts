import { tellerOf } from '@/words';
import en from '@/words/en/guide.json';

/** The words around the guide; its own text is in docs/guide. */
export const tell = tellerOf(en);
