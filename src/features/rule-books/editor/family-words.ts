import type { Rules } from '@/core/rulebooks';
import { tell } from './words';

/** What each way of scoring is called, and what it is. */
export const FAMILY_WORDS: Readonly<
  Record<Rules['family'], { readonly title: string; readonly words: string }>
> = {
  'points-off': { title: tell('book-family.points-off'), words: tell('book-family-words.points-off') },
  'weighted-marks': {
    title: tell('book-family.weighted-marks'),
    words: tell('book-family-words.weighted-marks'),
  },
  abilities: { title: tell('book-family.abilities'), words: tell('book-family-words.abilities') },
  retrieves: { title: tell('book-family.retrieves'), words: tell('book-family-words.retrieves') },
  checklist: { title: tell('book-family.checklist'), words: tell('book-family-words.checklist') },
  'time-and-faults': {
    title: tell('book-family.time-and-faults'),
    words: tell('book-family-words.time-and-faults'),
  },
  measured: { title: tell('book-family.measured'), words: tell('book-family-words.measured') },
};
