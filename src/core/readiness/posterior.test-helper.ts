import type { Posterior } from '@/core/evidence';

/** A posterior of exactly these draws (δ, κ, level, gain, slopes …, τ). */
export function posteriorOf(rows: readonly (readonly number[])[]): Posterior {
  const width = rows[0]?.length ?? 5;
  return {
    width,
    count: rows.length,
    draws: Float64Array.from(rows.flat()),
    effective: rows.length,
    proposed: rows.length,
  };
}
