/** Most reps of a cold probe: it looks, and teaches nothing. */
export const PROBE_REPS = 5;
/** Days without work after which it is offered, where no half-life is known. */
const LONG_GAP = 30;

/** A rep of a probe: the rung that was asked, and whether it was clean. */
export type Probed = { readonly rung: number; readonly clean: boolean };

/** What a cold probe asks next, or what it found. */
export type ColdProbe =
  | { readonly kind: 'asking'; readonly rung: number; readonly done: number }
  | {
      readonly kind: 'found';
      readonly reps: number;
      readonly clean: number;
      /** The highest rung that was clean with nothing missed at or below it; null where none was. */
      readonly survived: number | null;
    };

/**
 * After a gap: at most five reps, easy first. It begins a third of the way up to where the dog stood
 * (`stood`, a rung from 0), goes half way up what is left after a clean one and half way down after
 * another, and ends after five, or after three where not even the first step is left. From rung 6 with
 * the first clean and the second missed: 2, then 5, then 4.
 */
export function coldProbe(stood: number, done: readonly Probed[]): ColdProbe {
  let [low, high] = [-1, stood + 1];
  for (const { rung, clean } of done) {
    if (clean) low = Math.max(low, rung);
    else high = Math.min(high, rung);
  }
  if (done.length === 0) return { kind: 'asking', rung: Math.floor(stood / 3), done: 0 };
  // One more at the end of what is known: a single clean rep is little.
  const settled = high - low <= 1;
  if (done.length >= PROBE_REPS || (low < 0 && settled && done.length >= 3))
    return {
      kind: 'found',
      reps: done.length,
      clean: done.filter((rep) => rep.clean).length,
      survived: low < 0 ? null : Math.min(low, high - 1) < 0 ? null : Math.min(low, high - 1),
    };
  const next = settled ? Math.max(0, low) : Math.min(stood, Math.max(0, Math.ceil((low + high) / 2)));
  return { kind: 'asking', rung: next, done: done.length };
}

/** Whether so many days without are a gap after which nobody knows what is left. */
export const isLongGap = (days: number, halfLife: number | null): boolean => days > (halfLife ?? LONG_GAP);
