import { gridMean, normalBelow } from '@/core/statistics';
import { type Measured, type Normal, normalPosterior, type Within } from './swaying';

/** Log metres: anywhere from five centimetres to ten metres, most around half a metre. */
const LOG_METRES: Normal = {
  middle: { mean: Math.log(0.5), sd: 1 },
  spread: { log: Math.log(0.6), sd: 0.5 },
  sway: { log: Math.log(0.25), sd: 0.7 },
};
/** Nearer than this counts as on its place, and is only known to be that near: 0 has no logarithm. */
const NEAR = 0.05;

/**
 * The chance that the next rep ends farther off its place or line than each of `limits` (metres ≥ 0), by
 * a log-normal with a sway from session to session; null without a measure. A limit within five
 * centimetres is that of its place. Twenty around half a metre, limits .1 and 5 → about [1, 0].
 */
export function beyondOffsets(
  sessions: readonly Measured<number>[],
  limits: readonly number[],
): number[] | null {
  if (!sessions.some(({ values }) => values.length > 0)) return null;
  const grid = normalPosterior(
    sessions.map(({ weight, values }) => ({
      weight,
      values: values.map((metres): Within => {
        const off = Math.abs(metres);
        return off <= NEAR
          ? { from: Number.NEGATIVE_INFINITY, to: Math.log(NEAR) }
          : { from: Math.log(off), to: Math.log(off) };
      }),
    })),
    LOG_METRES,
  );
  return limits.map(
    (limit) =>
      1 -
      gridMean(grid, (mu, logSd, logSway) =>
        normalBelow((Math.log(Math.max(limit, NEAR)) - mu) / Math.hypot(Math.exp(logSd), Math.exp(logSway))),
      ),
  );
}
