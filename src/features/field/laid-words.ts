import { tellerOf } from '@/words';
import core from '@/words/en/core-set-outs.json';
import en from '@/words/en/field-laid.json';

/** The words of what is laid out, which come with its drawing. */
export const tell = tellerOf({ ...en, ...core });
