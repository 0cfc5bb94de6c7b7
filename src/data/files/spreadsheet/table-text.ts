import Papa from 'papaparse';
import type { Cell, SheetTable } from './table-rows';

/** How a table is written: what stands between cells, and before a fraction. */
export type TableStyle = { readonly separator: ',' | ';' | '\t'; readonly decimal: '.' | ',' };

/**
 * A table as the text of a file (RFC 4180): a row of column names, lines ended by CR and LF, cells in quotes
 * where they have to be. A text that a spreadsheet would take for a formula has an apostrophe before it;
 * numbers never do. `tableText({ columns: ['a'], rows: [[2.5]] }, { separator: ';', decimal: ',' })` →
 * "a\\r\\n2,5".
 */
export function tableText({ columns, rows }: SheetTable, style: TableStyle): string {
  const written = rows.map((row) => row.map((cell) => cellText(cell, style)));
  return Papa.unparse([[...columns], ...written], { delimiter: style.separator, newline: '\r\n' });
}

/** What a spreadsheet begins a formula with. */
const FORMULA = /^[=+\-@\t\r]/;

function cellText(cell: Cell, { decimal }: TableStyle): string {
  if (cell === null) return '';
  if (typeof cell === 'number') return decimal === ',' ? String(cell).replace('.', ',') : String(cell);
  if (typeof cell === 'boolean') return cell ? '1' : '0';
  return FORMULA.test(cell) ? `'${cell}` : cell;
}
