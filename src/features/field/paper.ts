import * as v from 'valibot';
import type { Judged } from '@/core/log';
import { type Day, fail, isDay, ok, type Result, say } from '@/core/shared';
import { wordsOf } from '@/words';
import { tell } from './later-words';

const LETTERS: Readonly<Record<string, Judged['outcome']>> = { c: 'clean', f: 'flawed', m: 'miss' };
/** More reps than this in one session were not counted but guessed. */
const MOST = 200;

/**
 * Reads reps as they stand on paper: "c c f m c", with or without spaces, commas or strokes
 * between. Fails with `empty`, `letter` or `many`.
 */
export function readPaper(text: string): Result<Judged['outcome'][]> {
  const letters = text.toLowerCase().replace(/[\s,;/|]+/g, '');
  if (letters === '') return fail('empty', '', say('paper.write-the-reps-in-order-c-for'));
  const strange = [...letters].find((letter) => !(letter in LETTERS));
  if (strange) return fail('letter', '', say('paper.is-none-of-c-clean-f-flawed-m-miss', { strange }));
  if (letters.length > MOST)
    return fail(
      'many',
      '',
      say('paper.reps-in-one-session-at-most-please', { lettersCount: letters.length, MOST }),
    );
  return ok([...letters].map((letter) => LETTERS[letter] as Judged['outcome']));
}

/** A session on paper, as typed; `today` is the last day that it can be of. */
export const paperFields = (today: Day) =>
  v.object({
    day: v.pipe(
      v.string(),
      v.check((day) => isDay(day) && day <= today, tell('paper.the-day-must-be-today-or-before')),
    ),
    rung: v.string(),
    place: v.string(),
    reps: v.pipe(
      v.string(),
      v.rawCheck(({ dataset, addIssue }) => {
        const read = dataset.typed ? readPaper(dataset.value) : null;
        if (read && !read.ok) addIssue({ message: wordsOf(read.message) });
      }),
    ),
  });
export type PaperFields = v.InferOutput<ReturnType<typeof paperFields>>;
