import { fitElement, type Weigh, weighElement } from '@/core/evidence';
import { printOf } from '@/core/shared';

/** Ways to fit an element that remember what they were asked. */
export type KeptFits = { readonly weigh: Weigh; readonly fit: typeof fitElement };

/** So many of each are kept: the elements of three dogs, and coarse looks at them. */
const KEPT = 200;

/**
 * Fits and draws by a print of all that they depend on: two rooms that ask the same share one fit.
 * What is longest unasked goes first.
 */
export function keepFits(kept: number = KEPT): KeptFits {
  return { weigh: remembering(weighElement, kept), fit: remembering(fitElement, kept) };
}

function remembering<A extends unknown[], T>(work: (...asked: A) => T, kept: number): (...asked: A) => T {
  const known = new Map<string, T>();
  return (...asked) => {
    const print = printOf(asked);
    const found = known.has(print) ? (known.get(print) as T) : work(...asked);
    known.delete(print);
    known.set(print, found);
    const [oldest] = known.keys();
    if (known.size > kept && oldest !== undefined) known.delete(oldest);
    return found;
  };
}
