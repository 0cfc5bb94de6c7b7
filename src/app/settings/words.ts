import { tellerOf } from '@/words';
import en from '@/words/en/settings.json';

/** The words of this page. */
export const tell = tellerOf(en);
