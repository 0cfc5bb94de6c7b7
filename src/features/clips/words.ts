import { tellerOf } from '@/words';
import en from '@/words/en/clips.json';
import core from '@/words/en/core-clips.json';

/** The words of this room, and what the core says of pictures and sound. */
export const tell = tellerOf({ ...en, ...core });
