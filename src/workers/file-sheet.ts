import { type Day, fail, ok, type Result, say } from '@/core/shared';
import {
  guessMapping,
  type OwnSheet,
  openSheet,
  readRows,
  type SheetMapping,
  type Usual,
  wordsIn,
} from '@/data/files';
import type { FileAnswers } from './file-tasks';

/** So many rows are shown, and so many problems listed. */
const FIRST = 6;
const LISTED = 40;

/** The sheet that was opened, until another one is: it does not cross to the page. */
export function sheetWork() {
  let sheet: OwnSheet | null = null;
  return {
    open: async (file: Blob, usual: Usual): Promise<Result<FileAnswers['open-sheet']>> => {
      const text = await textOf(file);
      if (!text.ok) return text;
      const opened = openSheet(text.value);
      sheet = opened.ok ? opened.value : null;
      if (!opened.ok) return opened;
      const { daysSure, ...guess } = guessMapping(opened.value, usual);
      const { heads, rows } = opened.value;
      return ok({
        heads,
        rows: rows.length,
        first: rows.slice(0, FIRST).map(({ cells }) => cells),
        guess,
        daysSure,
      });
    },
    read: async (mapping: SheetMapping, today: Day): Promise<Result<FileAnswers['read-sheet']>> => {
      if (!sheet) return notAtHand();
      const { rows, problems, left, filled } = readRows(sheet, mapping, today);
      return ok({
        rows: rows.length,
        goes: rows.reduce((sum, row) => sum + row.goes.length, 0),
        unordered: rows.filter((row) => !row.ordered).length,
        first: rows.slice(0, FIRST),
        problems: problems.slice(0, LISTED),
        wrong: problems.length,
        left,
        filled,
        dogs: namesIn(sheet, mapping, 'dog'),
        elements: namesIn(sheet, mapping, 'element'),
        words: wordsIn(cellsOf(sheet, mapping, 'outcome')),
        unasked: rows.filter((row) => row.asked === null).length,
      });
    },
    rows: (mapping: SheetMapping, today: Day) =>
      sheet ? ok(readRows(sheet, mapping, today).rows) : notAtHand(),
  };
}

const notAtHand = () => fail('nothing', '', say('workers.file-work.choose-the-file-again-it-is-no'));

function cellsOf(
  { rows }: OwnSheet,
  { columns }: SheetMapping,
  meaning: 'dog' | 'element' | 'outcome',
): string[] {
  const i = columns.indexOf(meaning);
  return i < 0 ? [] : rows.map(({ cells }) => cells[i] ?? '');
}

/** The names in a column, each once as it is first written, in their order. */
function namesIn(sheet: OwnSheet, mapping: SheetMapping, meaning: 'dog' | 'element'): string[] {
  const names = new Map<string, string>();
  for (const cell of cellsOf(sheet, mapping, meaning))
    if (cell !== '' && !names.has(cell.toLowerCase())) names.set(cell.toLowerCase(), cell);
  return [...names.values()];
}

/** A text in whichever of the usual encodings; a workbook is named as what it is. */
async function textOf(file: Blob): Promise<Result<string>> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return fail('workbook', '', say('data.own-sheet.a-workbook'));
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return ok(new TextDecoder('utf-16le').decode(bytes));
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return ok(new TextDecoder('utf-16be').decode(bytes));
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return text.includes('\u0000') ? fail('encoding', '', say('data.own-sheet.no-text')) : ok(text);
  } catch {
    return ok(new TextDecoder('windows-1252').decode(bytes));
  }
}
