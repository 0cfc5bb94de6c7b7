import Papa from 'papaparse';
import { fail, ok, type Result, say } from '@/core/shared';

/** A table that somebody keeps: the names of its columns, and its rows with their lines in the file. */
export type OwnSheet = {
  readonly heads: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
};

/** So many columns and rows are read; more than any training diary has. */
const MOST_COLUMNS = 60;
const MOST_ROWS = 50_000;
/** The names of columns are looked for in the first lines: before them stands what the sheet is called. */
const HEAD_WITHIN = 8;

/**
 * Opens the text of a sheet (comma, semicolon, tab or bar; RFC 4180). The first of its lines that names two columns
 * or more is its head; without one the columns are counted. Fails with `empty`, `wide` or `long`.
 * `openSheet('Date;Dog\n5.3.26;Wren')` → heads Date and Dog, one row of line 2.
 */
export function openSheet(text: string): Result<OwnSheet> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t', '|'],
    skipEmptyLines: false,
  });
  const lines = parsed.data.map((cells, i) => ({
    line: i + 1,
    cells: cells.map((cell) => cell.replace(/[\s\u00a0]+/g, ' ').trim()),
  }));
  const full = lines.filter(({ cells }) => cells.some((cell) => cell !== ''));
  const width = full.reduce((most, { cells }) => Math.max(most, cells.length), 0);
  if (full.length === 0) return fail('empty', '', say('data.own-sheet.nothing-in-it'));
  if (width > MOST_COLUMNS)
    return fail('wide', '', say('data.own-sheet.too-wide', { width, most: MOST_COLUMNS }));
  if (full.length > MOST_ROWS)
    return fail('long', '', say('data.own-sheet.too-long', { rows: full.length, most: MOST_ROWS }));
  const at = full.slice(0, HEAD_WITHIN).findIndex(({ cells }) => isHead(cells));
  const named = full[at]?.cells ?? [];
  const heads = Array.from({ length: width }, (_, i) => named[i] ?? '');
  const rows = full.slice(at + 1).map(({ line, cells }) => ({
    line,
    cells: Array.from({ length: width }, (_, i) => cells[i] ?? ''),
  }));
  return rows.length === 0 ? fail('empty', '', say('data.own-sheet.nothing-in-it')) : ok({ heads, rows });
}

/** Names of columns are words: two at least, no numbers among them. */
function isHead(cells: readonly string[]): boolean {
  const said = cells.filter((cell) => cell !== '');
  return (
    said.length >= 2 && said.every((cell) => /\p{L}|^[#%№]/u.test(cell) && !/^[\d.,/:+-]+(\s|$)/.test(cell))
  );
}
