import { mixSeed, seeded } from '@/core/shared';

/**
 * Which of two comes next in a fair trial: tossed in blocks of two, so that each comes once in either order
 * and nobody can foresee the first of a block. Same seed and number, same answer. Numbers 0 and 1 of one seed
 * → the two options, in the order of a coin.
 */
export function tossed(options: readonly [string, string], seed: number, number: number): string {
  const isSwapped = seeded(mixSeed(seed, Math.floor(number / 2))).uniform() < 0.5;
  const isSecond = number % 2 === 1;
  return options[isSwapped === isSecond ? 0 : 1];
}
