/** What a column of a table holds. */
export type Column = 'number' | 'exercise' | 'points' | 'coefficient' | 'fault' | 'cost' | 'asks';

const HEADINGS: readonly (readonly [Column, RegExp])[] = [
  ['number', /^(?:no\.?|nr\.?|number|#)$/iu],
  ['exercise', /^(?:exercises?|übung(?:en)?|task|aufgabe)$/iu],
  ['coefficient', /^(?:coefficient|coeff\.?|koeffizient|koeff\.?|factor|faktor)$/iu],
  ['cost', /^(?:costs?|deductions?|points? (?:off|lost|deducted)|penalty|penalties|abzug|abzüge|minus)$/iu],
  ['points', /^(?:points?|pts\.?|max(?:imum)?\.?(?: points)?|punkte|höchstpunkte|max\.? punkte)$/iu],
  ['fault', /^(?:faults?|errors?|mistakes?|fehler|mängel)$/iu],
  ['asks', /^(?:description|what is asked|asks|beschreibung|ausführung)$/iu],
];
const SEPARATORS = ['\t', '|', ';', ','] as const;
export type Table = {
  readonly separator: string;
  readonly columns: readonly Column[];
  readonly heading: number;
};

/** The cells of a row; a frame of bars is no cell, and what stands in quotes is one cell. */
function cellsOf(line: string, separator: string): string[] {
  const inner = separator === '|' ? line.trim().replace(/^\||\|$/g, '') : line;
  const cells = [''];
  let quoted = false;
  for (const sign of inner) {
    if (sign === '"' && separator !== '|') quoted = !quoted;
    else if (sign === separator && !quoted) cells.push('');
    else cells[cells.length - 1] += sign;
  }
  return cells.map((cell) => cell.trim());
}

/** The table of a sheet, told by its row of headings: which separator, which column is what. Null where there is none. */
export function tableOf(lines: readonly string[]): Table | null {
  for (const [heading, line] of lines.entries())
    for (const separator of SEPARATORS) {
      const cells = cellsOf(line, separator);
      const columns = cells.map((cell) => HEADINGS.find(([, pattern]) => pattern.test(cell))?.[0]);
      if (
        cells.length > 1 &&
        columns.every((column): column is Column => column !== undefined) &&
        new Set(columns).size === columns.length
      )
        return { separator, columns, heading };
    }
  return null;
}

/** A row by its columns; null where it has no cells of the table. */
export function rowOf(line: string, table: Table): Partial<Record<Column, string>> | null {
  const cells = cellsOf(line, table.separator);
  if (cells.length < 2 || cells.length > table.columns.length) return null;
  return Object.fromEntries(table.columns.map((column, i) => [column, cells[i] ?? '']));
}
