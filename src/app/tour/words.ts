import { tellerOf } from '@/words';
import en from '@/words/en/tour.json';

/** The words of looking round. */
export const tell = tellerOf(en);
