import type { Posterior } from '@/core/evidence';

/**
 * A posterior of exactly these draws (δ, κ, level, gain, slopes …, τ): no other shift, nothing that tires
 * or is forgotten, trained today.
 */
export function posteriorOf(rows: readonly (readonly number[])[]): Posterior {
  const whole = rows.map(([away = 0, cold = 0, level = 0, gain = 0, ...rest]) => [
    ...[away, cold, 0, 0, 0, level, gain],
    ...[0, 0, 0, Math.log(30)],
    ...rest,
  ]);
  return {
    width: whole[0]?.length ?? 12,
    count: rows.length,
    draws: Float64Array.from(whole.flat()),
    effective: rows.length,
    proposed: rows.length,
    idle: 0,
  };
}
