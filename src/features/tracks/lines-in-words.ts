import { metresOf } from '@/core/breakdown';
import { lateralError } from '@/core/geometry';
import type { RunOfDog } from '@/data/read';
import { writeDigits } from '@/words';
import { tell } from './words';

const YARD = metresOf({ unit: 'yd', pace: 1 });

/** How a dog's lines went over the weeks: in all, and into and across the wind where that is known. */
export function linesInWords(runs: readonly RunOfDog[], enough: number): string[] {
  if (runs.length === 0) return [tell('tracks.history.none')];
  if (runs.length < enough) return [tell('tracks.history.few', { n: runs.length, enough })];
  const yardsAt = (list: readonly RunOfDog[]): number => {
    const degrees = Math.sqrt(list.reduce((sum, one) => sum + one.line ** 2, 0) / list.length);
    return lateralError(50, degrees);
  };
  const at = (list: readonly RunOfDog[]): string => writeDigits(yardsAt(list), 1);
  const half = Math.floor(runs.length / 2);
  const angle = ({ wind }: RunOfDog): number | null =>
    wind && Math.abs(((wind.from - wind.bearing + 540) % 360) - 180);
  const across = runs.filter((one) => {
    const turn = angle(one);
    return turn !== null && turn > 45 && turn < 135;
  });
  const along = runs.filter((one) => angle(one) !== null && !across.includes(one));
  return [
    tell('tracks.history.all', {
      n: runs.length,
      yards: at(runs),
      metres: writeDigits(yardsAt(runs) * YARD, 1),
    }),
    ...(runs.length >= 2 * enough
      ? [tell('tracks.history.halves', { before: at(runs.slice(0, half)), after: at(runs.slice(half)) })]
      : []),
    ...(across.length >= enough
      ? [tell('tracks.history.across', { n: across.length, yards: at(across) })]
      : []),
    ...(along.length >= enough ? [tell('tracks.history.along', { n: along.length, yards: at(along) })] : []),
  ];
}
