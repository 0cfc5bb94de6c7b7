import { BOUNDS, findUnit, type Quantity, toBase } from './quantities';
import { fail, must, ok, type Result } from './result';
import { say } from './say';

/** How a person writes numbers: what stands before a fraction, and what marks thousands. */
export type NumberCustom = { readonly decimal: '.' | ','; readonly group: '.' | ',' | ' ' | null };
/** Of files and methods: a point before a fraction, nothing between thousands. */
export const PLAIN_NUMBERS: NumberCustom = { decimal: '.', group: null };

/** How a person's text is read: how numbers are written, and which unit a bare one has; null for the usual. */
export type Reading = {
  readonly custom: NumberCustom;
  readonly bareUnit: (quantity: Quantity) => string | null;
};
/** Of files and methods: plain numbers, bare ones in the usual unit. */
export const PLAIN_READING: Reading = { custom: PLAIN_NUMBERS, bareUnit: () => null };

export type Amount = { readonly low: number; readonly high: number; readonly unit: string };

const GROUPED = String.raw`\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?:[.,]\d+)?(?![\d/])`;
const NUMBER = String.raw`(\d+\s+\d+\/\d+|\d+\/\d+|${GROUPED}|\d+(?:[.,]\d+)*|[.,]\d+)`;
const SINGLE = new RegExp(String.raw`^([-−+]?)${NUMBER}\s*(.*)$`);
const RANGE = new RegExp(String.raw`^${NUMBER}\s*[–—-]\s*${NUMBER}\s*(.*)$`);
const PRIMES = new RegExp(String.raw`^${NUMBER}\s*'\s*(?:${NUMBER}\s*(?:"|''))?$`);

const THOUSANDS = /^[1-9]\d{0,2}(?:([.,])\d{3})+$/;

/** A number without a sign as it was written; null where it can be read two ways, or not at all. */
function readNumber(text: string, custom: NumberCustom): number | null {
  if (text.includes('/')) return fractionOf(text);
  const digits = text.replace(/[\s\u00a0\u202f]/g, '');
  const marks = digits.replace(/\d/g, '');
  const last = marks.at(-1);
  if (last === undefined) return Number(digits);
  const [whole, part] = [
    digits.slice(0, digits.lastIndexOf(last)),
    digits.slice(digits.lastIndexOf(last) + 1),
  ];
  const other = last === '.' ? ',' : '.';
  // Of two marks the second stands before the fraction: 1.000,5 and 1,000.5 are one number.
  if (marks.includes(other))
    return THOUSANDS.test(whole) && marks.indexOf(last) === marks.length - 1
      ? Number(`${whole.replaceAll(other, '')}.${part}`)
      : null;
  const thousands = THOUSANDS.test(digits);
  if (marks.length > 1) return thousands ? Number(digits.replaceAll(last, '')) : null;
  if (thousands && last === custom.group) return Number(whole + part);
  // One person's thousand is another's one with three decimals: without a custom nobody may guess.
  if (thousands && last !== custom.decimal) return null;
  return Number(`${whole}.${part}`);
}

/** "1/2", "2 1/2". */
function fractionOf(text: string): number {
  return text
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => {
      const [top, bottom] = part.split('/');
      return sum + (bottom === undefined ? Number(top) : Number(top) / Number(bottom));
    }, 0);
}

/**
 * Reads what a person types: `20 m`, `5–10 yd`, `1'30"`, `2 1/2`, `0,5 m`, `1.000 m` where a point marks
 * thousands. A bare number takes `defaultUnit`. Returns base units with `low === high` unless a range was
 * written, and the unit that was used. Fails with `empty`, `number`, `unclear` ("1,000" where nobody said
 * how numbers are written), `unit` or `bounds`. `parseAmount("1'30\"", 'duration', 's')` → 90 s.
 * @internal
 */
export function parseAmount(
  text: string,
  quantity: Quantity,
  defaultUnit: string,
  custom: NumberCustom = PLAIN_NUMBERS,
): Result<Amount> {
  const clean = text.trim();
  if (clean === '')
    return fail(
      'empty',
      '',
      say('shared.quantities.write-for-example-5', { withArticle: withArticle(quantity), defaultUnit }),
    );
  const primes = PRIMES.exec(clean);
  if (primes && (quantity === 'duration' || quantity === 'distance' || quantity === 'height'))
    return parsePrimes(primes, quantity, custom);
  const range = RANGE.exec(clean);
  const single = range ?? SINGLE.exec(clean);
  if (!single)
    return fail(
      'number',
      '',
      say('shared.quantities.is-not-write-a-number-and-a-unit', {
        clean,
        withArticle: withArticle(quantity),
        defaultUnit,
      }),
    );
  const written = range ? [range[1], range[2]] : [single[2]];
  const read = written.map((one) => readNumber(one ?? '', custom));
  const sign = !range && (single[1] === '-' || single[1] === '−') ? -1 : 1;
  const [low, high = low] = read;
  if (low === null || low === undefined || high === null || high === undefined)
    return unclear(clean, written[read.indexOf(null)] ?? '');
  return amountOf(quantity, sign * low, sign * high, single[3] || defaultUnit);
}

function unclear(clean: string, written: string): Result<Amount> {
  const [whole = '', part = ''] = written.split(/[.,]/);
  return fail(
    'unclear',
    '',
    say('shared.quantities.can-be-read-two-ways-write-or', { clean, unclear: whole, unclear2: part }),
  );
}

/**
 * Like parseAmount, but a range is refused (`range`): one value is wanted. Returns the base-unit
 * value.
 */
export function parseOne(
  text: string,
  quantity: Quantity,
  defaultUnit: string,
  custom: NumberCustom = PLAIN_NUMBERS,
): Result<number> {
  const amount = parseAmount(text, quantity, defaultUnit, custom);
  if (!amount.ok) return amount;
  if (amount.value.low !== amount.value.high)
    return fail('range', '', say('shared.quantities.is-a-range-one-value-is-needed', { text: text.trim() }));
  return ok(amount.value.low);
}

/**
 * The unit that was written with an amount of this quantity, by its id; null where none was, or none that
 * fits. `unitWritten('10 Yd.', 'distance')` → 'yd'; `unitWritten('10', 'distance')` → null.
 */
export function unitWritten(text: string, quantity: Quantity): string | null {
  const clean = text.trim();
  if (PRIMES.test(clean)) {
    const amount = parseAmount(clean, quantity, '');
    return amount.ok ? amount.value.unit : null;
  }
  const written = (RANGE.exec(clean) ?? SINGLE.exec(clean))?.[3] ?? '';
  const unit = findUnit(quantity, written);
  return written !== '' && unit.ok ? unit.value.id : null;
}

const NOT_A_FRACTION = say('shared.quantities.a-fraction-with-0-below-the-line');

function parsePrimes(
  match: RegExpExecArray,
  quantity: 'duration' | 'distance' | 'height',
  custom: NumberCustom,
): Result<Amount> {
  const [big, smallInBig] = quantity === 'duration' ? (['min', 60] as const) : (['ft', 12] as const);
  const [whole, part] = [readNumber(match[1] ?? '', custom), match[2] ? readNumber(match[2], custom) : 0];
  if (whole === null || part === null) return unclear(match[0], match[1] ?? '');
  const inBig = whole + part / smallInBig;
  return amountOf(quantity, inBig, inBig, big);
}

function amountOf(quantity: Quantity, low: number, high: number, unitName: string): Result<Amount> {
  const unit = findUnit(quantity, unitName);
  if (!unit.ok) return unit;
  if (!Number.isFinite(low) || !Number.isFinite(high)) return fail('number', '', NOT_A_FRACTION);
  if (low > high)
    return fail('number', '', say('shared.quantities.the-range-runs-backwards-is-more', { low, high }));
  const [from, to] = [low, high].map((value) => must(toBase(quantity, value, unitName))) as [number, number];
  const [least, most] = BOUNDS[quantity];
  if (from < least || to > most) {
    const [a, b] = [least, most].map((base) => ({ quantity, base, unit: unit.value.id }));
    return fail('bounds', '', say('shared.quantities.a-here-is-from-to', { quantity, a, b }));
  }
  return ok({ low: from, high: to, unit: unit.value.id });
}

/** `withArticle('area')` → "an area". */
const withArticle = (noun: string): string => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
