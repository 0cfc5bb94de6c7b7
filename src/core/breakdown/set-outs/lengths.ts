import {
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
 * A length as it is shown: whole paces of one's own, else in its unit, centimetres off. 30 m in paces of
 * 0.8 m → 38 paces.
 */
export const lengthOf = ({ unit, pace }: Lengths, metres: number): Measured => ({
  quantity: 'distance',
  unit,
  base: unit === 'paces' ? Math.round(metres / pace) * TABLE_PACE : Math.round(metres * 100) / 100,
});

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
