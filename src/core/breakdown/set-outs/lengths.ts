import { pacesIn } from '@/core/geometry';
import {
  fromBase,
  type Measured,
  must,
  type NumberCustom,
  parseOne,
  type Result,
  toBase,
  unitWritten,
} from '@/core/shared';

/** How lengths are written on a drawing: metres, yards, or paces of so many metres. */
export type Lengths = { readonly unit: 'm' | 'yd' | 'paces'; readonly pace: number };

/** The pace that the table of units knows; one's own lies over it. */
const TABLE_PACE = must(toBase('distance', 1, 'paces'));

/**
 * A length as it is shown: whole paces of one's own, else in its unit with one decimal, two below 2. 30 m in
 * paces of 0.8 m → 38 paces; 0.6 m in yards → 0.66 yd.
 */
export function lengthOf({ unit, pace }: Lengths, metres: number): Measured {
  if (unit === 'paces') return { quantity: 'distance', unit, base: pacesIn(metres, pace) * TABLE_PACE };
  const shown = must(fromBase('distance', metres, unit));
  const digits = Math.abs(shown) < 2 ? 100 : 10;
  return {
    quantity: 'distance',
    unit,
    base: must(toBase('distance', Math.round(shown * digits) / digits, unit)),
  };
}

/**
 * Reads a length that was typed: bare in the unit of the drawing, paces of one's own length. Fails as
 * `parseOne` does. "30 paces" with a pace of 0.8 m → 24 m.
 */
export function readLength(text: string, { unit, pace }: Lengths, custom: NumberCustom): Result<number> {
  const read = parseOne(text, 'distance', unit, custom);
  if (!read.ok) return read;
  const written = unitWritten(text, 'distance') ?? unit;
  return written === 'paces' ? { ...read, value: (read.value / TABLE_PACE) * pace } : read;
}

/** What somebody chose to count in, and whose paces; null follows what is drawn. */
export type LengthChoice = { readonly unit: Lengths['unit'] | null; readonly whose: string | null };
/** A grown person's walking step, until one's own is measured. */
export const USUAL_PACE = TABLE_PACE;

/**
 * The lengths of a drawing: in the unit that was chosen, else in the one in which its step is written, else in
 * metres. A pace is that of whoever was chosen, where it was measured.
 */
export function lengthsBy(
  { unit, whose }: LengthChoice,
  people: readonly { readonly name: string; readonly pace: number | null }[],
  written: string | null,
): Lengths {
  const usual = written === 'yd' || written === 'paces' ? written : 'm';
  const pace = people.find(({ name, pace: own }) => name === whose && own !== null)?.pace;
  return { unit: unit ?? usual, pace: pace ?? USUAL_PACE };
}

/** Metres of one of these: 0.9144 of a yard, the pace of a pace. */
export const metresOf = ({ unit, pace }: Lengths): number =>
  unit === 'paces' ? pace : must(toBase('distance', 1, unit));
