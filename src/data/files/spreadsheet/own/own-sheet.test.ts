import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Day, must } from '@/core/shared';
import { wordsOf } from '@/words';
import '@/features/files/words';
import { guessMapping, openSheet, readRows, type SheetMapping, type Usual } from '.';
import { MESSY } from './messy-sheets.test-helper';
import { guessOrder, readDay } from './sheet-days';
import { goesIn, spread, usualOutcome } from './sheet-outcomes';

const TODAY = '2026-06-30' as Day;
const USUAL: Usual = { days: 'day-month-year', decimal: '.', unit: 'm', dog: '' };
const opened = (text: string) => must(openSheet(text));
const guessed = (text: string, usual: Partial<Usual> = {}) =>
  guessMapping(opened(text), { ...USUAL, ...usual });
const read = (text: string, change: Partial<SheetMapping> = {}) =>
  readRows(opened(text), { ...guessed(text), ...change }, TODAY);
const inWords = (text: string, change: Partial<SheetMapping> = {}) =>
  read(text, change).problems.map(({ line, what }) => `${line}: ${wordsOf(what)}`);

describe('a day as a sheet writes it', () => {
  it.each([
    ['2026-03-05', 'day-month-year', '2026-03-05'],
    ['2026/3/5 18:30', 'month-day-year', '2026-03-05'],
    ['5.3.26', 'day-month-year', '2026-03-05'],
    ['3/5/2026', 'month-day-year', '2026-03-05'],
    ['3/5/2026', 'day-month-year', '2026-05-03'],
    ['Tue 5.3.2026', 'day-month-year', '2026-03-05'],
    ['5 Mar 2026', 'month-day-year', '2026-03-05'],
    ['March 5th, 2026', 'day-month-year', '2026-03-05'],
    ['5. März 2026', 'day-month-year', '2026-03-05'],
    ['46086', 'day-month-year', '2026-03-05'],
    ['29.2.2026', 'day-month-year', null],
    ['29.2.2024', 'day-month-year', '2024-02-29'],
    ['13/13/2026', 'day-month-year', null],
    ['5.3.26', 'month-day-year', null],
    ['Total', 'day-month-year', null],
    ['12', 'day-month-year', null],
  ] as const)('“%s” (%s) → %s', (cell, order, day) => {
    expect(readDay(cell, order)).toBe(day);
  });

  it('tells its order where the days do, by what is a day at all and by what goes on', () => {
    expect(guessOrder(['3/14/26', '3/5/26'], 'day-month-year')).toMatchObject({
      order: 'month-day-year',
      sure: true,
    });
    expect(guessOrder(['1.3.26', '5.3.26', '2.4.26'], 'month-day-year')).toMatchObject({
      order: 'day-month-year',
      sure: true,
    });
    expect(guessOrder(['4/4/26'], 'day-month-year')).toMatchObject({ order: 'day-month-year', sure: true });
    expect(guessOrder(['4.5.26'], 'month-day-year')).toMatchObject({ order: 'day-month-year', sure: true });
    expect(guessOrder(['4/5/26'], 'day-month-year')).toMatchObject({ order: 'day-month-year', sure: false });
  });
});

describe('what a cell says of the goes', () => {
  it('knows the usual words, and asks of a cross', () => {
    expect(['OK', '✓', 'Fehler', '+', '0', 'slow'].map(usualOutcome)).toEqual([
      'clean',
      'clean',
      'miss',
      'clean',
      'miss',
      'flawed',
    ]);
    expect(['x', 'o', 'wow'].map(usualOutcome)).toEqual([null, null, null]);
  });
  it('reads shares and rows of signs', () => {
    expect(goesIn('4/5')).toEqual({ clean: 4, all: 5 });
    expect(goesIn('3 von 4')).toEqual({ clean: 3, all: 4 });
    expect(goesIn('++-~')).toEqual(['clean', 'clean', 'miss', 'flawed']);
    expect([goesIn('6/5'), goesIn('+'), goesIn('good')]).toEqual([null, null, null]);
  });
  it('spreads goes whose order nobody kept', () => {
    expect(
      spread([
        ['clean', 2],
        ['miss', 2],
      ]),
    ).toEqual(['clean', 'miss', 'clean', 'miss']);
    expect(
      spread([
        ['clean', 4],
        ['miss', 1],
      ]),
    ).toEqual(['clean', 'clean', 'miss', 'clean', 'clean']);
  });
});

describe('sheets as people keep them', () => {
  it.each(
    MESSY.map((sheet) => [sheet.name, sheet] as const),
  )('“%s” is understood without a hand laid on', (_, sheet) => {
    const mapping = guessed(sheet.text);
    expect(Object.fromEntries(opened(sheet.text).heads.map((head, i) => [head, mapping.columns[i]]))).toEqual(
      sheet.means,
    );
    const { rows, problems } = read(sheet.text, { dog: 'Wren', ...sheet.settled });
    expect(rows.map(({ line, askedText: _a, ...row }) => row)).toEqual(sheet.rows);
    expect(problems.map(({ line }) => line)).toEqual(sheet.wrong);
  });

  it('says of each row what is wrong with it, and goes on', () => {
    const text = [
      'Date,Dog,Exercise,Result,Distance (yd)',
      '1/3/26,Wren,Recall,ok,20',
      '31/2/26,Wren,Recall,ok,20',
      '2/3/26,Wren,Recall,whoa,20',
      '3/3/26,Wren,Recall,ok,far',
      '3/3/99,Wren,Recall,ok,20',
      '4/3/26,Wren,Recall,7/5,20',
      ',,,miss,25',
    ].join('\n');
    expect(inWords(text)).toEqual([
      '3: “31/2/26” is no day in the order that is chosen.',
      '4: “whoa”: say under “Its names and words” what this word means.',
      '5: “far”: “far” is not a distance. Write a number and a unit, for example 5 yd.',
      '6: 3 Mar 2099 is still to come.',
      '7: “7/5”: say under “Its names and words” what this word means.',
    ]);
    const { rows, filled } = read(text);
    expect(rows.map((row) => [row.line, row.day, row.goes[0], row.asked?.base])).toEqual([
      [2, '2026-03-01', 'clean', 18.288],
      [8, '2026-03-04', 'miss', 22.86],
    ]);
    expect(filled).toBe(1);
  });

  it('leaves out what the person leaves out, and takes other names for theirs', () => {
    const text = 'Date;Dog;Exercise;Reps;Clean\n1.3.26;W.;Rec;5;4\n1.3.26;Old;Rec;5;5\n2.3.26;W.;Walk;1;1';
    const { rows, left } = read(text, {
      dogs: { 'w.': 'Wren', old: null },
      elements: { rec: 'Recall', walk: null },
    });
    expect([rows.map((row) => [row.dog, row.element, row.goes.length]), left]).toEqual([
      [['Wren', 'Recall', 5]],
      2,
    ]);
  });

  it('never takes a number of goes for how they went', () => {
    expect(inWords('Date,Dog,Exercise,Reps\n1.3.26,Wren,Recall,5')).toEqual([
      '2: Only how many goes there were is said, not how they went.',
    ]);
    expect(inWords('Date,Dog,Exercise,Reps,Clean\n1.3.26,Wren,Recall,5,6')).toEqual([
      '2: 6 are told apart, and only 5 goes in all.',
    ]);
  });

  it('refuses what is no table', () => {
    for (const text of ['', '\n\n', 'Date,Dog\n'])
      expect(openSheet(text)).toMatchObject({ ok: false, code: 'empty' });
    expect(openSheet(`a,${'b,'.repeat(80)}\n1`)).toMatchObject({ ok: false, code: 'wide' });
    expect(openSheet(`a,b\n${'1,2\n'.repeat(50_001)}`)).toMatchObject({ ok: false, code: 'long' });
  });
});

describe('10,000 mutated sheets', () => {
  it('are read or refused row by row, without a crash, an end of numbers, or a row unaccounted for', () => {
    const odd = fc.constantFrom(
      '',
      '"',
      ';',
      ',',
      '\t',
      '\n',
      '\r\n',
      '0',
      '9',
      '/',
      '-',
      '\u00a0',
      'NaN',
      '1e999',
      '__proto__',
      'constructor',
      '😀',
      '\u0000',
      '=1+1',
    );
    const sheets = fc.constantFrom(...MESSY.map((one) => one.text));
    let [rows, refused] = [0, 0];
    fc.assert(
      fc.property(
        sheets,
        fc.array(fc.tuple(fc.nat(), fc.nat({ max: 3 }), odd), { minLength: 1, maxLength: 6 }),
        (text, cuts) => {
          const mutated = cuts.reduce((now, [at, length, put]) => {
            const place = at % (now.length + 1);
            return now.slice(0, place) + put + now.slice(place + length);
          }, text);
          const sheet = openSheet(mutated);
          if (!sheet.ok) return;
          const mapping = guessMapping(sheet.value, { ...USUAL, dog: 'Wren' });
          const result = readRows(sheet.value, mapping, TODAY);
          expect(result.rows.length + result.problems.length + result.left).toBe(sheet.value.rows.length);
          for (const row of result.rows) {
            expect(row.goes.length).toBeGreaterThan(0);
            for (const number of [row.asked?.base ?? 0, row.latency ?? 0, row.held ?? 0])
              expect(Number.isFinite(number)).toBe(true);
          }
          rows += result.rows.length;
          refused += result.problems.length;
        },
      ),
      { numRuns: 10_000 },
    );
    expect(Math.min(rows, refused)).toBeGreaterThan(1000);
  });
});
