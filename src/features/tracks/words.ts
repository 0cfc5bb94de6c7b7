import { tellerOf } from '@/words';
import core from '@/words/en/core-set-outs.json';
import en from '@/words/en/tracks.json';

/** The words of this room, and what the core says of set-outs. */
export const tell = tellerOf({ ...en, ...core });
