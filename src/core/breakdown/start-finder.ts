import { fail, ok, type Result, type Sentence, say } from '@/core/shared';
import { type Axis, levelPlace } from './axis';
import { axisScale, type Scale, stepSize } from './scale';
import { friendly } from './series';

export type Tried = { readonly value: number; readonly clean: boolean };
/** Either the next value to try, with what is known so far, or the start that was found. */
export type StartSearch =
  | { readonly kind: 'try'; readonly value: number; readonly rep: number; readonly reason: Sentence }
  | { readonly kind: 'found'; readonly value: number; readonly reason: Sentence }
  | { readonly kind: 'easier'; readonly reason: Sentence };

/** Reps that a search may take: the dog should hardly notice it. */
const MOST = 5;
/** So many opening reps that are not clean end it: something else is wrong. */
const OPENINGS = 2;
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
 * than the demand. Guess 10 m of 40, nothing tried → try 5 m.
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
  const found = bracketOf(tried, scale.value);
  if (found.clean === null) return ok(openingTry(axis, guess, scale.value, tried.length));
  return ok(between(axis, scale.value, tried, { ...found, clean: found.clean }));
}

/** Difficulties from 0 at the guess to 1 at the demand: the hardest clean one, and the easiest that was not. */
type Bracket = { readonly clean: number | null; readonly failed: number };

function bracketOf(tried: readonly Tried[], { difficulty }: Scale): Bracket {
  const at = (one: Tried): number => difficulty(one.value);
  const failed = Math.min(1, ...tried.filter((one) => !one.clean).map(at));
  const clean = tried.filter((one) => one.clean && at(one) < failed).map(at);
  return { clean: clean.length === 0 ? null : Math.max(...clean), failed };
}

/** Nothing was clean yet: well inside the guess, then easier still, then no more. */
function openingTry(axis: Axis, guess: number, { difficulty, value }: Scale, done: number): StartSearch {
  const opening = openingOf(axis, guess, value);
  if (done === 0)
    return tryAt(axis, opening, 1, say('breakdown.start-finder.begin-well-inside-what-it-can-do'));
  if (done >= OPENINGS)
    return { kind: 'easier', reason: say('breakdown.start-finder.not-clean-even-where-it-should-be') };
  return tryAt(
    axis,
    value(difficulty(opening) * 2),
    done + 1,
    say('breakdown.start-finder.easier-still-to-open-with'),
  );
}

/** Something was clean: first what is believed, then half way to what was not, until that is no step. */
function between(
  axis: Axis,
  { difficulty, value }: Scale,
  tried: readonly Tried[],
  { clean, failed }: Bracket & { readonly clean: number },
): StartSearch {
  const first = tried.length === 1;
  const next = first ? Math.max(0, clean) : (clean + failed) / 2;
  const narrow = stepSize(axis, value(clean), value(next)) < shareOf(axis) / 2;
  if (tried.length < MOST && (first || !narrow))
    return tryAt(
      axis,
      value(next === clean ? 0 : next),
      tried.length + 1,
      first
        ? say('breakdown.start-finder.clean-now-what-you-believe-it-can')
        : say('breakdown.start-finder.between-what-was-clean-and-what'),
    );
  // What was tried, not its way through the scale and back: 5 m must not come back as 5.000000001.
  const start = tried.find((one) => one.clean && difficulty(one.value) === clean)?.value as number;
  return {
    kind: 'found',
    value: start,
    reason: say('breakdown.start-finder.clean-there-and-not-clean-further', {
      failed: failed < 1,
      triedCount: tried.length,
    }),
  };
}

/** The axis's step as `stepSize` counts it: of equal steps the share that one is at the start. */
const shareOf = (axis: Axis): number =>
  axis.equal === true && axis.levels === null
    ? Math.abs(stepSize(axis, axis.start, axis.start + (axis.harder === 'less' ? -1 : 1) * axis.step))
    : axis.step;

/** An owned size, where sizes are owned; else a value that can be paced out. */
function tryAt(axis: Axis, at: number, rep: number, reason: Sentence): StartSearch {
  const { sizes = [] } = axis;
  const near = [...sizes].sort((a, b) => Math.abs(a - at) - Math.abs(b - at))[0];
  return { kind: 'try', value: near ?? friendly(axis, at), rep, reason };
}

// Half the guess where lengths or times are climbed; one step before it elsewhere, since half a
// height or a list has no meaning.
function openingOf(axis: Axis, guess: number, value: Scale['value']): number {
  if (axis.levels !== null) return axis.levels[Math.max(0, levelPlace(axis.levels, guess) - 1)]?.id ?? guess;
  if (axis.harder === 'more' && guess > 0) return guess * OPENING;
  return axis.harder === 'less' && guess > 0 ? guess / OPENING : value(0);
}
