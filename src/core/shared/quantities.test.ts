import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_BREAK, wordsOf } from '@/words';
import {
  addDays,
  dayNumber,
  daysBetween,
  fromBase,
  isDay,
  must,
  type NumberCustom,
  parseAmount,
  parseOne,
  QUANTITIES,
  type Quantity,
  toBase,
  unitWritten,
} from '.';

describe('parseAmount', () => {
  it.each([
    ['20 m', 'distance', 'm', 20, 20],
    ['20', 'distance', 'yd', 18.288, 18.288],
    ['5–10 yd', 'distance', 'm', 4.572, 9.144],
    ['5-10 yd', 'distance', 'm', 4.572, 9.144],
    [`1'30"`, 'duration', 's', 90, 90],
    [`5'6"`, 'distance', 'm', 1.6764, 1.6764],
    [`30"`, 'duration', 's', 30, 30],
    ['2 1/2', 'duration', 's', 2.5, 2.5],
    ['1/2 m', 'offset', 'm', 0.5, 0.5],
    ['0,5 m', 'distance', 'm', 0.5, 0.5],
    ['-12°', 'angle', '°', -12, -12],
    ['68 °F', 'temperature', '°C', 20, 20],
    ['2 min', 'duration', 's', 120, 120],
  ] as const)('%s as %s', (text, quantity, unit, low, high) => {
    expect(must(parseAmount(text, quantity, unit))).toMatchObject({ low, high });
  });

  it.each([
    ['', 'distance', 'empty', 'Write a distance'],
    ['far', 'distance', 'number', '“far”'],
    ['20 s', 'distance', 'unit', 'm, yd, ft, paces, cm'],
    ['10–5 m', 'distance', 'number', 'backwards'],
    ['1/0 m', 'distance', 'number', 'fraction'],
    [`1/0'`, 'distance', 'number', 'fraction'],
  ] as const)('refuses %j as %s', (text, quantity, code, words) => {
    const result = parseAmount(text, quantity, 'm');
    expect(result).toMatchObject({ ok: false, code });
    expect(wordsOf(result.ok ? '' : result.message)).toContain(words);
  });

  it('wants one value where one is needed', () => {
    expect(parseOne('5–10 m', 'distance', 'm')).toMatchObject({ ok: false, code: 'range' });
  });
});

describe('units', () => {
  const units = Object.entries(QUANTITIES).flatMap(([quantity, list]) =>
    list.map((unit) => [quantity as Quantity, unit.id] as const),
  );
  it('gives back the number that was typed, in every unit', () => {
    const typed = fc.integer({ min: 0, max: 99_999 }).map((n) => n / 10);
    fc.assert(
      fc.property(fc.constantFrom(...units), typed, ([quantity, unit], value) => {
        expect(must(fromBase(quantity, must(toBase(quantity, value, unit)), unit))).toBe(value);
      }),
      { examples: [[['temperature', '°F'], 0]] },
    );
  });

  it.each([
    ['distance', 22.86, 'yd', '25 yd'],
    ['distance', 104.4, 'm', '104 m'],
    ['angle', 10, '°', '10°'],
    ['count', 3, '', '3'],
  ] as const)('writes %s %d', (quantity, base, unit, text) => {
    expect(wordsOf({ quantity, base, unit }).replace(NO_BREAK, ' ')).toBe(text);
  });
});

describe('days', () => {
  it('agrees with the calendar of the platform on random days', () => {
    const day = fc
      .date({ min: new Date('1900-01-01'), max: new Date('2100-12-31'), noInvalidDate: true })
      .map((date) => date.toISOString().slice(0, 10));
    fc.assert(
      fc.property(day, (text) => {
        expect(isDay(text)).toBe(true);
        expect(isDay(text) ? dayNumber(text) : null).toBe(Date.parse(`${text}T00:00:00Z`) / 86_400_000);
        expect(isDay(text) ? addDays(addDays(text, 1000), -1000) : null).toBe(text);
      }),
    );
  });

  it.each(['2026-02-29', '2026-13-01', '2026-1-1', 'today'])('refuses %s', (text) =>
    expect(isDay(text)).toBe(false));

  it('counts whole days', () => {
    const [from, to] = ['2026-02-27', '2026-03-01'];
    expect(isDay(from) && isDay(to) ? daysBetween(from, to) : null).toBe(2);
  });
});

describe('what a quantity can be', () => {
  it.each([
    ['1,000 m', 'distance', 'unclear'],
    ['12,345', 'count', 'unclear'],
    ['-5 m', 'distance', 'bounds'],
    ['21 km', 'distance', 'unit'],
    ['20001 m', 'distance', 'bounds'],
    [`${'9'.repeat(308)} min`, 'duration', 'bounds'],
    [`${'9'.repeat(400)} min`, 'duration', 'number'],
    ['99 °C', 'temperature', 'bounds'],
    ['200 °F', 'temperature', 'bounds'],
    ["400'", 'duration', ''],
    ["2000'", 'duration', 'bounds'],
    ['361°', 'angle', 'bounds'],
  ] as const)('%s as a %s → %s', (text, quantity, code) => {
    const read = parseOne(
      text,
      quantity,
      quantity === 'temperature' ? '°C' : quantity === 'distance' ? 'm' : '',
    );
    expect(read.ok ? '' : read.code).toBe(code);
    if (!read.ok) expect(wordsOf(read.message)).not.toMatch(/NaN|Infinity|undefined/);
  });

  it.each([
    ['2,5 m', 2.5],
    ['0,125 m', 0.125],
    ['1,25 m', 1.25],
    ['1,0000 m', 1],
    ['1000 m', 1000],
    ['1.000 m', 1],
  ])('%s is read as it stands: %d', (text, metres) =>
    expect(must(parseOne(text, 'distance', 'm'))).toBe(metres));

  const CUSTOMS = {
    'en-GB': { decimal: '.', group: ',' },
    'en-US': { decimal: '.', group: ',' },
    de: { decimal: ',', group: '.' },
    fr: { decimal: ',', group: ' ' },
  } as const satisfies Record<string, NumberCustom>;

  it.each([
    ['en-GB', '1,000 m', 1000],
    ['en-GB', '1,000.5 m', 1000.5],
    ['en-GB', '1.000 m', 1],
    ['en-GB', '0,5 m', 0.5],
    ['en-GB', '12 Yd.', 10.9728],
    ['de', '1.000 m', 1000],
    ['de', '1.000,5 m', 1000.5],
    ['de', '2,5 m', 2.5],
    ['de', '2.5 m', 2.5],
    ['de', '1,000 m', 1],
    ['de', '10 Schritte', 7.5],
    ['de', '10 Yd.', 9.144],
    ['fr', '1 000 m', 1000],
    ['fr', '1\u202f000,5 mètres', 1000.5],
    ['fr', '10 pas', 7.5],
    ['fr', '1.000 m', 'unclear'],
    ['de', '1.00.000 m', 'unclear'],
    ['en-GB', '1.000.000,00.5 m', 'unclear'],
  ] as const)('%s: %s → %s', (locale, text, metres) => {
    const read = parseOne(text, 'distance', 'm', CUSTOMS[locale]);
    expect(read.ok ? read.value : read.code).toBe(metres);
  });

  it.each(
    Object.entries(CUSTOMS),
  )('what a person of %s writes is read as the same number', (locale, custom) => {
    const number = fc.integer({ min: 1, max: 19_999_999 }).map((n) => n / 1000);
    fc.assert(
      fc.property(number, fc.boolean(), (metres, useGrouping) => {
        const digits = { maximumFractionDigits: 3, useGrouping };
        const typed = new Intl.NumberFormat(locale, digits).format(metres);
        expect(must(parseOne(`${typed} m`, 'distance', 'm', custom))).toBeCloseTo(metres, 9);
      }),
    );
  });

  it.each([
    ['10 Yd.', 'distance', 'yd'],
    ['10', 'distance', null],
    ['5\'6"', 'height', 'ft'],
    ['90 l', 'volume', 'L'],
    ['2 L', 'volume', 'L'],
    ['5–10 Schritte', 'distance', 'paces'],
    ['10 s', 'distance', null],
  ] as const)('%s as a %s is written in %s', (text, quantity, unit) =>
    expect(unitWritten(text, quantity)).toBe(unit));

  it('the bounds are said in the unit that was typed', () => {
    const read = parseOne('99999 yd', 'distance', 'm');
    expect(read.ok ? '' : wordsOf(read.message).replaceAll('\u00a0', ' ')).toBe(
      'A distance here is from 0 yd to 21872 yd.',
    );
  });
});
