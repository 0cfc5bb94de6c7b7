import type { Interval } from '@/core/evidence';
import { logistic, logit } from '@/core/statistics';
import { NO_BREAK, writeDigits } from '@/words';
import { tell } from './words';

/** Two significant digits: more would claim what an estimate has not. */
export const rounded = (value: number): number => Number(value.toPrecision(2));
/** Whole percents; never a certainty, which no number of reps gives. */
export function percent(share: number): string {
  if (share > 0.99) return tell('evidence-words.over-99');
  return share < 0.01 ? tell('evidence-words.under-1') : `${Math.round(share * 100)}${NO_BREAK}%`;
}

export const range = ({ low, high }: Interval, write: (value: number) => string): string =>
  tell('evidence-words.to', { write: write(low), write2: write(high) });
export const seconds = (value: number): string => `${writeDigits(value, 1)}${NO_BREAK}s`;
export const degrees = (value: number): string =>
  `${writeDigits(Math.abs(value), 0)}°${value > 0.5 ? tell('evidence-words.right') : value < -0.5 ? tell('evidence-words.left') : ''}`;
/** What a shift in logits makes of eight in ten. */
export const fromEighty = (logits: number): string => percent(logistic(logit(0.8) + logits));

export const times = (n: number): string =>
  n === 1
    ? tell('evidence-words.once')
    : n === 2
      ? tell('evidence-words.twice')
      : tell('evidence-words.times', { n });
export const capital = (words: string): string => words.replace(/^./, (letter) => letter.toUpperCase());

/** The ends of a middle answer; one figure where they are read alike. */
export function aboutSeconds({ low, high }: Interval): string {
  return seconds(low) === seconds(high)
    ? tell('evidence-words.hardly-moves')
    : range({ low, mid: low, high }, seconds);
}
