import { afterEach, describe, expect, it } from 'vitest';
import { parseOne, say } from '@/core/shared';
import {
  bareUnit,
  numberCustom,
  reading,
  takeBareUnit,
  withOwnPoint,
  wordsOf,
  writeDigits,
  writeNumber,
  writeShare,
} from '.';
import { takeNumberLocale } from './locale';

afterEach(() => takeNumberLocale(['en']));
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

describe('numbers and amounts as the person writes them', () => {
  it.each([
    ['en', ['0.25', '2.0', '25 yd', '104 m', '−3.5 °C', '9.4 %']],
    ['de', ['0,25', '2,0', '25 yd', '104 m', '−3,5 °C', '9,4 %']],
    ['fr-FR', ['0,25', '2,0', '25 yd', '104 m', '−3,5 °C', '9,4 %']],
    ['xx-nowhere', ['0.25', '2.0', '25 yd', '104 m', '−3.5 °C', '9.4 %']],
  ])('%s', (locale, written) => {
    takeNumberLocale([locale]);
    const amounts = [
      { quantity: 'distance', base: 22.86, unit: 'yd' },
      { quantity: 'distance', base: 104.4, unit: 'm' },
      { quantity: 'temperature', base: -3.5, unit: '°C' },
    ] as const;
    const found = [writeNumber(0.25), writeDigits(2, 1), ...amounts.map(wordsOf), writeShare(0.094)].map(
      plain,
    );
    expect(found.map((one) => one.replace('−3.5°C', '−3.5 °C').replace('−3,5°C', '−3,5 °C'))).toEqual(
      written,
    );
  });

  it('what is written can be read again, with a comma as with a point', () => {
    for (const locale of ['en', 'de']) {
      takeNumberLocale([locale]);
      for (const base of [0.5, 2.25, 12.5, 7]) {
        const typed = plain(wordsOf({ quantity: 'distance', base, unit: 'm' }));
        expect(parseOne(typed, 'distance', 'm')).toEqual({ ok: true, value: base });
      }
    }
    expect([withOwnPoint('2.5 m'), withOwnPoint('25 %')]).toEqual(['2,5 m', '25 %']);
  });

  it('a sentence writes its numbers by the same custom, and its plurals by its own language', () => {
    takeNumberLocale(['de']);
    expect(wordsOf(say('rulebooks.cost.points', { word: 'point', count: 1 }))).toBe('1 point');
    expect(
      wordsOf(
        say('coaching.stretch.too-far-begin-there-or-nearer', {
          words: say('shared.name', { name: 'x' }),
          least: { quantity: 'distance', base: 2, unit: 'm' },
        }),
      ),
    ).toContain('x');
    expect(wordsOf({ list: [1.5, null, 'm'], between: ' ' })).toBe('1,5 m');
  });

  it('a message that is not there, or a value that it wants, is a bug and throws', () => {
    expect(() => wordsOf(say('no.such'))).toThrow('no words for no.such');
    expect(() => wordsOf(say('shared.name'))).toThrow();
  });
});

describe('how a person’s numbers are read', () => {
  it.each([
    ['en-GB', { decimal: '.', group: ',' }, '1,500'],
    ['en-US', { decimal: '.', group: ',' }, '1,500'],
    ['de', { decimal: ',', group: '.' }, '1.500'],
    ['fr', { decimal: ',', group: ' ' }, '1 500'],
  ])('%s writes and reads thousands its own way', (locale, custom, typed) => {
    takeNumberLocale([locale]);
    expect(numberCustom()).toEqual(custom);
    expect(parseOne(`${typed} m`, 'distance', 'm', numberCustom())).toEqual({ ok: true, value: 1500 });
  });

  it('a bare number is what was chosen, until then what is usual', () => {
    expect([bareUnit('distance'), reading().bareUnit('height'), bareUnit('angle')]).toEqual([
      null,
      null,
      null,
    ]);
    takeBareUnit('distance', 'yd');
    expect([bareUnit('distance'), bareUnit('height')]).toEqual(['yd', null]);
    takeBareUnit('distance', '');
  });
});
