import { tell } from './words';

/** Faults that judges of every kind write, to choose from; a title of one's own is as good. */
export const VOCABULARY: readonly string[] = [
  tell('book-draft.does-not-respond'),
  tell('book-draft.late'),
  tell('book-draft.slow'),
  tell('book-draft.refuses'),
  tell('book-draft.breaks'),
  tell('book-draft.anticipates'),
  tell('book-draft.creeps'),
  tell('book-draft.crooked'),
  tell('book-draft.wide'),
  tell('book-draft.wrong-pick'),
  tell('book-draft.touches-first'),
  tell('book-draft.mouths'),
  tell('book-draft.drops'),
  tell('book-draft.spits-it-out'),
  tell('book-draft.hesitates'),
  tell('book-draft.leaves-the-line'),
  tell('book-draft.stops-late'),
  tell('book-draft.cast-refused'),
  tell('book-draft.runs-in'),
  tell('book-draft.vocal'),
  tell('book-draft.sniffs'),
  tell('book-draft.extra-cue'),
  tell('book-draft.help-by-hand-or-body'),
  tell('book-draft.handler-acts-early'),
];
