import type { Cutting } from './frames';
import { HEARD } from './heard';

/** The median of the last values and the median distance from it, as a standard deviation; null while few. */
export function usualOf(count: number) {
  const ring = new Float64Array(count);
  let [taken, known] = [0, null as { readonly middle: number; readonly spread: number } | null];
  return {
    take(value: number): typeof known {
      const was = known;
      ring[taken % count] = value;
      taken++;
      if (taken >= 16 && taken % 8 === 0) {
        const sorted = ring.slice(0, Math.min(taken, count)).sort();
        const middle = sorted[sorted.length >> 1] as number;
        const off = sorted.map((one) => Math.abs(one - middle)).sort();
        known = { middle, spread: 1.4826 * (off[off.length >> 1] as number) };
      }
      return was;
    },
  };
}

export type Burst = { readonly from: number; readonly over: number };
type Step = {
  readonly from: number;
  readonly at: number;
  readonly begins: boolean;
  readonly rise: Float64Array;
  readonly level: number;
};

/** Waits after an onset whether it is over at once: then it was a click. */
export function openBurst({ hop }: Cutting, perSecond: number) {
  const short = Math.ceil(HEARD.short * perSecond);
  let open: {
    from: number;
    peak: number;
    peakAt: number;
    broad: number;
    frames: number;
    before: number;
  } | null = null;
  let last = 0;
  return {
    step({ from, begins, rise, level }: Step): Burst | null {
      const broad = rise.reduce((sum, one) => sum + (one >= HEARD.lift ? 1 : 0), 0);
      const was = last;
      last = level;
      if (!open) {
        if (begins) open = { from, peak: level, peakAt: from, broad, frames: 0, before: was };
        return null;
      }
      open.frames++;
      // A frame meets a click with its rim first.
      if (level > open.peak && open.frames <= 3)
        open = { ...open, peak: level, peakAt: from, broad: Math.max(open.broad, broad) };
      const gone = level <= Math.max(open.peak - HEARD.fall, open.before + (open.peak - open.before) * 0.4);
      if (open.frames <= 1 || (!gone && open.frames < short + 2)) return null;
      const done = open;
      open = null;
      return gone && done.broad >= HEARD.broad && done.peak - done.before >= HEARD.step
        ? { from: done.peakAt - hop / 2, over: done.peak - done.before }
        : null;
    },
  };
}

type Span = { readonly at: number; readonly until: number; readonly over: number };

/** Frames in a row of which something holds, at least so long, with gaps in between that count as the same. */
export function openRun(least: number, gap: number, longest: number) {
  let open: { at: number; until: number; over: number } | null = null;
  const close = (): Span[] => {
    const done = open;
    open = null;
    return done && done.until - done.at >= least && done.until - done.at <= longest ? [done] : [];
  };
  return {
    step(at: number, holds: boolean, over: number): Span[] {
      if (holds && open) open = { ...open, until: at, over: Math.max(open.over, over) };
      else if (holds) open = { at, until: at, over };
      else if (open && at - open.until > gap) return close();
      return [];
    },
    end: close,
  };
}
