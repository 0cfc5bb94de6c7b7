import { fail, ok, type Result, type Sentence, say } from '@/core/shared';
import { type Axis, axisScale, levelPlace, stepSize } from './axis';
import { friendly } from './ladder';

export type Tried = { readonly value: number; readonly clean: boolean };
/** Either the next value to try, with what is known so far, or the start that was found. */
export type StartSearch =
  | { readonly kind: 'try'; readonly value: number; readonly rep: number; readonly reason: Sentence }
  | { readonly kind: 'found'; readonly value: number; readonly reason: Sentence }
  | { readonly kind: 'easier'; readonly reason: Sentence };

/** Reps that a search may take: the dog should hardly notice it. */
const MOST = 5;
/**
 * The opening is well inside what the person believes: this share of the way from nothing to the
 * guess, by difficulty.
 */
const OPENING = 0.5;

/**
 * Brackets a start between what was clean and what was not, in at most five reps. It opens easier
 * than the person's guess, then goes to the guess, then halves the bracket (bisection on the axis's
 * own scale), and ends when a step of the ladder would not tell the ends apart. The start is the
 * hardest value that was clean with nothing easier failed. None of it is evidence. `guess` and
 * `demand` in base units. Fails as `axisScale` does, and with `guess` where the guess is not easier
 * than the demand.
 */
export function nextStartTry(axis: Axis, guess: number, tried: readonly Tried[]): Result<StartSearch> {
  const scale = axisScale({ ...axis, start: guess });
  if (!scale.ok) return scale;
  if (scale.value.held)
    return fail(
      'guess',
      axis.key,
      say('breakdown.start-finder.that-is-the-demand-itself-guess', { title: axis.title }),
    );
  const { difficulty, value } = scale.value;
  const attempt = (at: number, rep: number, reason: Sentence): StartSearch => ({
    kind: 'try',
    value: friendly(axis, at),
    rep,
    reason,
  });
  const easiest = openingOf(axis, guess, value);
  const failed = Math.min(1, ...tried.filter((one) => !one.clean).map((one) => difficulty(one.value)));
  const clean = tried
    .filter((one) => one.clean && difficulty(one.value) < failed)
    .map((one) => difficulty(one.value));
  if (tried.length === 0)
    return ok(attempt(easiest, 1, say('breakdown.start-finder.begin-well-inside-what-it-can-do')));
  if (clean.length === 0) {
    if (tried.length >= 2)
      return ok({
        kind: 'easier',
        reason: say('breakdown.start-finder.not-clean-even-where-it-should-be'),
      });
    return ok(
      attempt(value(difficulty(easiest) * 2), 2, say('breakdown.start-finder.easier-still-to-open-with')),
    );
  }
  const best = Math.max(...clean);
  const next = tried.length === 1 ? Math.max(0, best) : (best + failed) / 2;
  const narrow = stepSize(axis, value(best), value(next)) < axis.step / 2;
  if (tried.length >= MOST || (tried.length > 1 && narrow))
    return ok({
      kind: 'found',
      value: hardest(tried, best, difficulty),
      reason: say('breakdown.start-finder.clean-there-and-not-clean-further', {
        failed: failed < 1,
        triedCount: tried.length,
      }),
    });
  return ok(
    attempt(
      value(next === best ? 0 : next),
      tried.length + 1,
      tried.length === 1
        ? say('breakdown.start-finder.clean-now-what-you-believe-it-can')
        : say('breakdown.start-finder.between-what-was-clean-and-what'),
    ),
  );
}

// What was tried, not its way through the scale and back: 5 m must not come back as 5.000000001.
const hardest = (tried: readonly Tried[], best: number, difficulty: (value: number) => number): number =>
  tried.find((one) => one.clean && difficulty(one.value) === best)?.value as number;

// Half the guess where lengths or times are climbed; one step before it elsewhere, since half a
// height or a list has no meaning.
function openingOf(axis: Axis, guess: number, value: (difficulty: number) => number): number {
  if (axis.levels !== null) return axis.levels[Math.max(0, levelPlace(axis.levels, guess) - 1)]?.id ?? guess;
  if (axis.harder === 'more' && guess > 0) return guess * OPENING;
  return axis.harder === 'less' && guess > 0 ? guess / OPENING : value(0);
}
