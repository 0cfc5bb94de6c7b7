import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { foldLog, inOrder } from '@/core/log';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { SHEET_TABLES, sheetTable } from './table-rows';
import { type TableStyle, tableText } from './table-text';

const tables = makeSampleKennel(TODAY, 2);
const STYLES: readonly TableStyle[] = [
  { separator: ',', decimal: '.' },
  { separator: ';', decimal: ',' },
  { separator: '\t', decimal: ',' },
  { separator: ',', decimal: ',' },
];
const parsed = (text: string, style: TableStyle): string[][] =>
  Papa.parse<string[]>(text, { delimiter: style.separator }).data;

describe('a kennel as tables', () => {
  it('has a row for every standing rep, each with what the log says of it', () => {
    const { columns, rows } = sheetTable('reps', tables);
    const standing = tables.bouts.flatMap(
      (bout) => foldLog(bout.start, inOrder(tables.entries.filter((entry) => entry.boutId === bout.id))).reps,
    );
    expect(rows).toHaveLength(standing.length);
    const at = (row: (typeof rows)[number] | undefined, column: string) => row?.[columns.indexOf(column)];
    for (const rep of standing) {
      const row = rows.find((one) => one[0] === rep.id);
      expect([at(row, 'result'), at(row, 'purpose'), at(row, 'cause')]).toEqual([
        rep.judged.outcome,
        rep.purpose,
        rep.judged.cause,
      ]);
      expect(at(row, 'latency_s')).toBe(rep.seen.measured.latency?.value ?? null);
    }
    // Faults by their names, not by their hidden keys.
    expect(
      rows.map((row) => String(at(row, 'faults'))).filter((name) => /^[a-z]+(-[a-z]+)+$/.test(name)),
    ).toEqual([]);
  });

  it('asks of each rep what was asked, in the unit of its ladder', () => {
    const { rows } = sheetTable('criteria', tables);
    expect(rows.length).toBeGreaterThan(1000);
    expect(new Set(rows.map((row) => row[3])).has('m')).toBe(true);
  });

  it('adds up: clean reps of lessons are the clean reps', () => {
    const reps = sheetTable('reps', tables);
    const clean = reps.rows.filter((row) => row[7] === 'clean' && row[10] === true).length;
    const lessons = sheetTable('lessons', tables);
    expect(lessons.rows.reduce((sum, row) => sum + Number(row[9]), 0)).toBe(clean);
    expect(lessons.rows).toHaveLength(tables.bouts.length);
  });

  it('every row of every table has a cell for each column', () => {
    for (const name of SHEET_TABLES) {
      const { columns, rows } = sheetTable(name, tables);
      expect(new Set([columns.length, ...rows.map((row) => row.length)]).size).toBe(1);
    }
  });
});

describe('a table as text', () => {
  it('comes back cell by cell, with every separator and decimal', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 20 }),
      fc.double({ noNaN: true, noDefaultInfinity: true }),
      fc.boolean(),
      fc.constant(null),
      fc.constantFrom('a;b', 'a,b', 'a\tb', '"', "it's", 'line\nline', '=1+1', '-3', '@x', '+7'),
    );
    fc.assert(
      fc.property(
        fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 8 }),
        fc.constantFrom(...STYLES),
        (rows, style) => {
          const text = tableText({ columns: ['a', 'b', 'c'], rows }, style);
          const back = parsed(text, style);
          expect(back[0]).toEqual(['a', 'b', 'c']);
          expect(back).toHaveLength(rows.length + 1);
          for (const [r, row] of rows.entries())
            for (const [c, value] of row.entries()) {
              const read = back[r + 1]?.[c] ?? '';
              if (typeof value === 'number') expect(Number(read.replace(',', '.'))).toBe(value + 0);
              else if (typeof value === 'string') expect(read.replace(/^'(?=[=+\-@\t\r])/, '')).toBe(value);
              else expect(read).toBe(value === null ? '' : value ? '1' : '0');
              // Nothing that a spreadsheet would work out.
              if (typeof value === 'string') expect(read).not.toMatch(/^[=+\-@\t\r]/);
            }
        },
      ),
      { numRuns: 500 },
    );
  });

  it('of nothing is its row of names', () => {
    expect(tableText({ columns: ['a', 'b'], rows: [] }, { separator: ';', decimal: ',' })).toBe('a;b');
    expect(tableText({ columns: ['a'], rows: [[2.5]] }, { separator: ';', decimal: ',' })).toBe('a\r\n2,5');
  });
});
