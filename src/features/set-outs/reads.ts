import { type Lengths, lengthOf, readLength } from '@/core/breakdown';
import { fail, ok, parseOne, type Result, say } from '@/core/shared';
import { numberCustom, wordsOf, writeNumber } from '@/words';

/** How lengths and angles are written into fields, and read out of them. */
export const writtenLength = (lengths: Lengths, metres: number): string =>
  wordsOf(lengthOf(lengths, metres)).replaceAll('\u00a0', ' ');

export const lengthRead =
  (lengths: Lengths, least = 0) =>
  (text: string): Result<number> => {
    const read = readLength(text.replaceAll('\u00a0', ' '), lengths, numberCustom());
    return read.ok && read.value < least ? fail('least', '', say('set-outs.more-than-nothing')) : read;
  };

export const writtenDegrees = (degrees: number): string => `${writeNumber(Math.round(degrees * 10) / 10)}°`;

/** An angle from one number to another; a whole turn and more is refused. */
export const degreesRead =
  (low: number, high: number) =>
  (text: string): Result<number> => {
    const read = parseOne(text, 'angle', '°', numberCustom());
    if (!read.ok) return read;
    return read.value >= low && read.value <= high
      ? read
      : fail('bounds', '', say('set-outs.from-to-degrees', { low, high }));
  };

/** A bare number between two bounds. */
export const numberRead =
  (low: number, high: number) =>
  (text: string): Result<number> => {
    const read = parseOne(text, 'count', '', numberCustom());
    const signed = read.ok ? read.value : Number(text.trim().replace(',', '.').replace('−', '-'));
    return Number.isFinite(signed) && text.trim() !== '' && signed >= low && signed <= high
      ? ok(signed)
      : fail('bounds', '', say('set-outs.a-number-from-to', { low, high }));
  };
