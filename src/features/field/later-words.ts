import { tellerOf } from '@/words';
import en from '@/words/en/field.json';
import later from '@/words/en/field-later.json';

/**
 * The words of this room with those of its pages and sheets that come when they are wanted: the pad is there
 * before them.
 */
export const tell = tellerOf({ ...en, ...later });
