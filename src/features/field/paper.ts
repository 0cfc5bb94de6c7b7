import * as v from 'valibot';
import type { Judged } from '@/core/log';
import { type Day, fail, isDay, ok, type Result } from '@/core/shared';

const LETTERS: Readonly<Record<string, Judged['outcome']>> = { c: 'clean', f: 'flawed', m: 'miss' };
/** More reps than this in one session were not counted but guessed. */
const MOST = 200;

/**
 * Reads reps as they stand on paper: "c c f m c", with or without spaces, commas or strokes
 * between. Fails with `empty`, `letter` or `many`.
 */
export function readPaper(text: string): Result<Judged['outcome'][]> {
  const letters = text.toLowerCase().replace(/[\s,;/|]+/g, '');
  if (letters === '')
    return fail('empty', '', 'Write the reps in order: c for clean, f for flawed, m for a miss.');
  const strange = [...letters].find((letter) => !(letter in LETTERS));
  if (strange)
    return fail(
      'letter',
      '',
      `“${strange}” is none of c (clean), f (flawed), m (miss). Nothing is kept yet.`,
    );
  if (letters.length > MOST)
    return fail('many', '', `${letters.length} reps in one session: at most ${MOST}, please.`);
  return ok([...letters].map((letter) => LETTERS[letter] as Judged['outcome']));
}

/** A session on paper, as typed; `today` is the last day that it can be of. */
export const paperFields = (today: Day) =>
  v.object({
    day: v.pipe(
      v.string(),
      v.check((day) => isDay(day) && day <= today, 'The day must be today or before.'),
    ),
    rung: v.string(),
    place: v.string(),
    reps: v.pipe(
      v.string(),
      v.rawCheck(({ dataset, addIssue }) => {
        const read = dataset.typed ? readPaper(dataset.value) : null;
        if (read && !read.ok) addIssue({ message: read.message });
      }),
    ),
  });
export type PaperFields = v.InferOutput<ReturnType<typeof paperFields>>;
