import { tellerOf } from '@/words';
import clips from '@/words/en/core-clips.json';
import en from '@/words/en/field-ears.json';

/** What is said of a click that logs the go. */
export const tell = tellerOf({ ...en, ...clips });
