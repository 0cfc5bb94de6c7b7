import { fail, ok, type Result } from './result';
import { say } from './say';

/**
 * One table of quantities. Values are stored in the base unit (the first of each list: metres,
 * seconds, degrees …) and shown in the person's unit. `perBase` is how many base units one of this
 * unit is.
 */
export type Quantity =
  | 'distance'
  | 'duration'
  | 'latency'
  | 'angle'
  | 'offset'
  | 'height'
  | 'volume'
  | 'area'
  | 'count'
  | 'rate'
  | 'temperature'
  | 'mass'
  | 'level';

export type Unit = {
  readonly id: string;
  readonly perBase: number;
  readonly shift?: number;
  readonly names: readonly string[];
};

// Names are those of the languages in which people train here; "Yd." and "Sek." lose their point first.
const metre: Unit = {
  id: 'm',
  perBase: 1,
  names: ['m', 'metre', 'metres', 'meter', 'meters', 'metern', 'mètre', 'mètres'],
};
const yard: Unit = { id: 'yd', perBase: 0.9144, names: ['yd', 'yds', 'yard', 'yards'] };
const foot: Unit = {
  id: 'ft',
  perBase: 0.3048,
  names: ['ft', 'foot', 'feet', "'", 'fuß', 'fuss', 'pied', 'pieds'],
};
const centimetre: Unit = {
  id: 'cm',
  perBase: 0.01,
  names: [
    'cm',
    'centimetre',
    'centimetres',
    'centimeter',
    'centimeters',
    'zentimeter',
    'centimètre',
    'centimètres',
  ],
};
const inch: Unit = {
  id: 'in',
  perBase: 0.0254,
  names: ['in', 'inch', 'inches', '"', 'zoll', 'pouce', 'pouces'],
};
/**
 * A pace is not a standard length; 0.75 m is an adult's walking step, to be replaced by the
 * person's own.
 */
const pace: Unit = {
  id: 'paces',
  perBase: 0.75,
  names: ['paces', 'pace', 'steps', 'step', 'schritt', 'schritte', 'schritten', 'pas'],
};
const second: Unit = {
  id: 's',
  perBase: 1,
  names: ['s', 'sec', 'secs', 'second', 'seconds', '"', 'sek', 'sekunde', 'sekunden', 'seconde', 'secondes'],
};
const minute: Unit = {
  id: 'min',
  perBase: 60,
  names: ['min', 'mins', 'minute', 'minutes', "'", 'minuten', 'mn'],
};

/** @internal */
export const QUANTITIES: Readonly<Record<Quantity, readonly Unit[]>> = {
  distance: [metre, yard, foot, pace, centimetre],
  duration: [second, minute],
  latency: [second],
  angle: [{ id: '°', perBase: 1, names: ['°', 'deg', 'degree', 'degrees', 'grad', 'degré', 'degrés'] }],
  offset: [metre, centimetre, inch, foot, yard],
  height: [metre, centimetre, inch, foot],
  volume: [
    { id: 'L', perBase: 1, names: ['l', 'litre', 'litres', 'liter', 'liters'] },
    {
      id: 'US gal',
      perBase: 3.785411784,
      names: ['us gal', 'gal', 'gallon', 'gallons', 'gallone', 'gallonen'],
    },
  ],
  area: [
    { id: 'm²', perBase: 1, names: ['m²', 'm2', 'sqm'] },
    { id: 'cm²', perBase: 0.0001, names: ['cm²', 'cm2'] },
  ],
  count: [{ id: '', perBase: 1, names: ['', 'times', 'x', 'mal', 'fois'] }],
  rate: [{ id: '/min', perBase: 1, names: ['/min', 'per minute', 'per min'] }],
  temperature: [
    { id: '°C', perBase: 1, names: ['°c', 'c'] },
    { id: '°F', perBase: 5 / 9, shift: -32, names: ['°f', 'f'] },
  ],
  mass: [
    { id: 'kg', perBase: 1, names: ['kg'] },
    { id: 'g', perBase: 0.001, names: ['g', 'gram', 'grams', 'gramm', 'gramme', 'grammes'] },
    { id: 'lb', perBase: 0.45359237, names: ['lb', 'lbs'] },
  ],
  level: [{ id: '', perBase: 1, names: ['', 'level'] }],
};

/**
 * What a quantity can be at all, base units: beyond it a finger has slipped. The widest that the work
 * asks for with room to spare, not a judgement of what is sensible.
 */
const BOUNDS: Readonly<Record<Quantity, readonly [number, number]>> = {
  distance: [0, 20_000],
  duration: [0, 86_400],
  latency: [0, 600],
  angle: [-360, 360],
  offset: [-1_000, 1_000],
  height: [0, 10],
  volume: [0, 10_000],
  area: [0, 10_000],
  count: [0, 100_000],
  rate: [0, 10_000],
  temperature: [-60, 60],
  mass: [0, 1_000],
  level: [0, 1_000],
};

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

/**
 * Finds a unit of a quantity by one of its written names. Fails with `unit` and names the units
 * that fit.
 */
export function findUnit(quantity: Quantity, name: string): Result<Unit> {
  const wanted = name.trim().toLowerCase().replace(/\.$/, '');
  const found = QUANTITIES[quantity].find(
    (unit) => unit.id.toLowerCase() === wanted || unit.names.includes(wanted),
  );
  if (found) return ok(found);
  const fitting = QUANTITIES[quantity]
    .map((unit) => unit.id || say('shared.quantities.a-plain-number'))
    .join(', ');
  return fail('unit', '', say('shared.quantities.is-not-a-unit-of-these-fit', { name, quantity, fitting }));
}

// Unit factors add noise in the last bits. Stored values keep fifteen digits, shown ones twelve:
// were both rounded alike, 2646 US gal would come back as 2646.00000001, and unrounded 25 yd as
// 24.999999999999996.
const tidy = (value: number): number => Number(value.toPrecision(15));
const tidyShown = (value: number): number => Number(value.toPrecision(12));

/**
 * Written unit → base unit. `toBase('distance', 25, 'yd')` → 22.86 (m). Fails with `unit` on a
 * foreign unit.
 */
export function toBase(quantity: Quantity, value: number, unitName: string): Result<number> {
  const unit = findUnit(quantity, unitName);
  return unit.ok ? ok(tidy((value + (unit.value.shift ?? 0)) * unit.value.perBase)) : unit;
}

/**
 * Base unit → written unit. `fromBase('distance', 22.86, 'yd')` → 25. Fails with `unit` on a
 * foreign unit.
 */
export function fromBase(quantity: Quantity, base: number, unitName: string): Result<number> {
  const unit = findUnit(quantity, unitName);
  // Rounded before the shift too: 0 °F is −17.777… °C, and what is left of −32 + 32 would be shown
  // as −3.6e-14.
  return unit.ok ? ok(tidyShown(tidyShown(base / unit.value.perBase) - (unit.value.shift ?? 0))) : unit;
}

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
  const [big, small] = quantity === 'duration' ? [minute, second] : [foot, inch];
  const [whole, part] = [readNumber(match[1] ?? '', custom), match[2] ? readNumber(match[2], custom) : 0];
  if (whole === null || part === null) return unclear(match[0], match[1] ?? '');
  const inBig = whole + (part * small.perBase) / big.perBase;
  return amountOf(quantity, inBig, inBig, big.id);
}

function amountOf(quantity: Quantity, low: number, high: number, unitName: string): Result<Amount> {
  const unit = findUnit(quantity, unitName);
  if (!unit.ok) return unit;
  if (!Number.isFinite(low) || !Number.isFinite(high)) return fail('number', '', NOT_A_FRACTION);
  if (low > high)
    return fail('number', '', say('shared.quantities.the-range-runs-backwards-is-more', { low, high }));
  const scale = (value: number): number => tidy((value + (unit.value.shift ?? 0)) * unit.value.perBase);
  const [from, to] = [scale(low), scale(high)];
  const [least, most] = BOUNDS[quantity];
  if (from < least || to > most) {
    const [a, b] = [least, most].map((base) => ({ quantity, base, unit: unit.value.id }));
    return fail('bounds', '', say('shared.quantities.a-here-is-from-to', { quantity, a, b }));
  }
  return ok({ low: from, high: to, unit: unit.value.id });
}

/** `withArticle('area')` → "an area". */
const withArticle = (noun: string): string => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
