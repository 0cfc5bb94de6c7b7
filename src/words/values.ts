import {
  fromBase,
  type Measured,
  must,
  type NumberCustom,
  type Quantity,
  type Sentence,
  type Value,
} from '@/core/shared';
import { writeDay, writeDayAndHour } from './days';
import { numberLocale } from './locale';

/** A space that no line breaks at, so that a number and its unit stay together. */
export const NO_BREAK = '\u00a0';

const formats = new Map<string, Intl.NumberFormat>();

/** A number as the person writes it, thousands marked from 10,000 on: what is shorter can be typed as it is read. */
function number(value: number, options: Intl.NumberFormatOptions): string {
  const locale = numberLocale();
  const key = `${locale} ${JSON.stringify(options)}`;
  const format = formats.get(key) ?? new Intl.NumberFormat(locale, { useGrouping: false, ...options });
  formats.set(key, format);
  return format.format(value).replace('-', '−');
}

/** Sizes as they are read: "90 L, 65 L, 40 L". */
export const sizesText = (
  quantity: Quantity,
  unit: string,
  sizes: readonly number[],
  between = ', ',
): string => sizes.map((base) => writeMeasured({ quantity, base, unit })).join(between);

/** A number with all that it has, up to twelve figures: 0.25 → "0.25", or "0,25" where a comma is written. */
export const writeNumber = (value: number): string =>
  number(value, { maximumSignificantDigits: 12, useGrouping: Math.abs(value) >= 10_000 });

/** With so many digits after the point: `writeDigits(2, 1)` → "2.0". */
export const writeDigits = (value: number, digits: number): string =>
  number(value, { minimumFractionDigits: digits, maximumFractionDigits: digits });

/**
 * An amount in its unit, at most three figures below 100 and no trailing noughts: 22.86 m in yards →
 * "25 yd", the space unbreakable.
 */
function writeMeasured({ quantity, base, unit, bare }: Measured): string {
  const value = must(fromBase(quantity, base, unit));
  const written = Math.abs(value) >= 100 ? writeDigits(value, 0) : writeNumber(Number(value.toPrecision(3)));
  if (bare) return written;
  const gap = unit === '' || unit.startsWith('°') || unit.startsWith('/') ? '' : NO_BREAK;
  return `${written}${gap}${unit}`;
}

/** A value of a sentence as the person reads it. */
export function writeValue(value: Value, tell: (sentence: Sentence) => string): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'string') return value;
  if (typeof value === 'number') return writeNumber(value);
  if (typeof value === 'boolean') return String(value);
  if ('say' in value) return tell(value);
  if ('number' in value) return writeDigits(value.number, value.digits);
  if ('quantity' in value) return writeMeasured(value);
  if ('day' in value) return writeDay(value.day);
  if ('instant' in value) return writeDayAndHour(value.instant);
  return value.list
    .map((one) => writeValue(one, tell))
    .filter((one) => one !== '')
    .join(value.between);
}

/**
 * A share as people read it: "< 0.1 %", "> 99.9 %", else whole percent, one decimal below 10 and above 90.
 */
export function writeShare(share: number): string {
  if (share < 0.001) return `<${NO_BREAK}${writeDigits(0.1, 1)}${NO_BREAK}%`;
  if (share > 0.999) return `>${NO_BREAK}${writeDigits(99.9, 1)}${NO_BREAK}%`;
  const percent = share * 100;
  return `${writeDigits(percent, percent < 10 || percent > 90 ? 1 : 0)}${NO_BREAK}%`;
}

/** A number in a field, with the point or comma that the person writes: "2.5 m" → "2,5 m" where a comma is written. */
export const withOwnPoint = (typed: string): string =>
  typed.replace(/(\d)\.(\d)/g, (_, before: string, after: string) => `${before}${ownPoint()}${after}`);

/** How the person writes numbers: "1.000,5" where a comma stands before a fraction. */
export function numberCustom(): NumberCustom {
  const parts = new Intl.NumberFormat(numberLocale(), { useGrouping: true }).formatToParts(12_345.6);
  const group = parts.find((part) => part.type === 'group')?.value ?? null;
  return {
    decimal: ownPoint() === ',' ? ',' : '.',
    group: group === '.' || group === ',' ? group : group === null ? null : ' ',
  };
}

const ownPoint = (): string => writeDigits(0.5, 1).charAt(1);
