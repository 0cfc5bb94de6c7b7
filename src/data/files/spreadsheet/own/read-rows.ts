import { type Day, fail, ok, parseOne, type Quantity, type Result, type Sentence, say } from '@/core/shared';
import type { OwnSheet } from './open-sheet';
import { readDay } from './sheet-days';
import type { AskedUnit, Meaning, SheetMapping } from './sheet-mapping';
import { type GoOutcome, goesIn, spread } from './sheet-outcomes';

/** A row as it goes into the log; names are those of the kennel. */
export type SheetRow = {
  readonly line: number;
  readonly day: Day;
  readonly dog: string;
  readonly element: string;
  readonly goes: readonly GoOutcome[];
  /** False where only numbers were kept, and the order of the goes is not known. */
  readonly ordered: boolean;
  readonly asked: { readonly quantity: Quantity; readonly base: number; readonly unit: string } | null;
  readonly latency: number | null;
  readonly held: number | null;
  /** With what was measured over several goes: nobody knows whose it was. */
  readonly note: string;
  /** What was asked as the sheet says it, with the name of its column. */
  readonly askedText: string;
};
export type RowProblem = { readonly line: number; readonly what: Sentence };
export type SheetRead = {
  readonly rows: readonly SheetRow[];
  /** Rows that cannot be read, each with its reason. */
  readonly problems: readonly RowProblem[];
  /** How many rows were left out because the person said so. */
  readonly left: number;
  /** How many lacked a day, dog or element, and took that of the row above. */
  readonly filled: number;
};

/** More goes than this in one row are a slip. */
const MOST_GOES = 200;
const QUANTITY: Readonly<Record<AskedUnit, Quantity>> = {
  m: 'distance',
  yd: 'distance',
  ft: 'distance',
  paces: 'distance',
  s: 'duration',
  min: 'duration',
  cm: 'height',
};

/**
 * Reads every row of a sheet as somebody says it is meant. A row without a day, dog or element has that of the row
 * above, as people write who leave out what stays. What cannot be read is a problem of its row alone; no row is
 * changed in silence. Days after `today` are refused.
 */
export function readRows(sheet: OwnSheet, mapping: SheetMapping, today: Day): SheetRead {
  const rows: SheetRow[] = [];
  const problems: RowProblem[] = [];
  let [left, filled] = [0, 0];
  let above: { day: string; dog: string; element: string } = { day: '', dog: '', element: '' };
  for (const { line, cells } of sheet.rows) {
    const at = cellsBy(cells, mapping.columns);
    const own = { day: at('day'), dog: at('dog'), element: at('element') };
    const whole = {
      day: own.day || above.day,
      dog: own.dog || above.dog,
      element: own.element || above.element,
    };
    // Also of a row that cannot be read, or is a day alone above its goes: what stays below is its own.
    above = whole;
    if (!['outcome', 'goes', 'clean', 'flawed', 'missed'].some((one) => at(one as Meaning) !== '')) {
      problems.push({ line, what: say('data.own-sheet.no-go-in-it') });
      continue;
    }
    const read = rowOf(line, { at, said: saidBy(sheet, cells, mapping) }, whole, mapping, today);
    if (!read.ok) problems.push({ line, what: read.message });
    else if (read.value === null) left += 1;
    else {
      rows.push(read.value);
      const has = (meaning: Meaning): boolean => mapping.columns.includes(meaning);
      if ((['day', 'dog', 'element'] as const).some((one) => has(one) && own[one] === '')) filled += 1;
    }
  }
  return { rows, problems, left, filled };
}

type At = (meaning: Meaning) => string;
/** The cell of a meaning; notes of several columns stand in a row. */
const cellsBy =
  (cells: readonly string[], columns: readonly Meaning[]): At =>
  (meaning) =>
    columns.flatMap((one, i) => (one === meaning && cells[i] ? [cells[i]] : [])).join('; ');

/** A cell with the name of its column, as it goes into a note. */
const saidBy =
  ({ heads }: OwnSheet, cells: readonly string[], { columns }: SheetMapping): At =>
  (meaning) => {
    const i = columns.indexOf(meaning);
    return cells[i] ? [heads[i], cells[i]].filter(Boolean).join(': ') : '';
  };

function rowOf(
  line: number,
  { at, said }: { readonly at: At; readonly said: At },
  { day: dayCell, dog: dogCell, element: elementCell }: { day: string; dog: string; element: string },
  mapping: SheetMapping,
  today: Day,
): Result<SheetRow | null> {
  const dog = named(mapping.dogs, dogCell || mapping.dog);
  const element = named(mapping.elements, elementCell);
  if (dog === null || element === null) return ok(null);
  if (dogCell === '' && mapping.dog === '') return fail('dog', '', say('data.own-sheet.no-dog'));
  if (elementCell === '') return fail('element', '', say('data.own-sheet.no-element'));
  if (dayCell === '') return fail('day', '', say('data.own-sheet.no-day'));
  const day = readDay(dayCell, mapping.days);
  if (!day) return fail('day', '', say('data.own-sheet.no-such-day', { cell: shown(dayCell) }));
  if (day > today) return fail('ahead', '', say('data.own-sheet.ahead', { day: { day } }));
  const goes = goesOf(at, mapping);
  if (!goes.ok) return goes;
  if (goes.value === null) return ok(null);
  const asked = amount(at('asked'), QUANTITY[mapping.unit], mapping.unit, mapping);
  if (!asked.ok) return asked;
  const latency = amount(at('latency'), 'latency', 's', mapping);
  if (!latency.ok) return latency;
  const held = amount(at('held'), 'duration', 's', mapping);
  if (!held.ok) return held;
  const base = asked.value;
  return ok({
    line,
    day,
    dog,
    element,
    ...goes.value,
    asked: base === null ? null : { quantity: QUANTITY[mapping.unit], base, unit: mapping.unit },
    latency: latency.value,
    held: held.value,
    note: [at('note'), ...(goes.value.goes.length > 1 ? [said('latency'), said('held')] : [])]
      .filter(Boolean)
      .join('; '),
    askedText: said('asked'),
  });
}

const named = (names: Readonly<Record<string, string | null>>, cell: string): string | null => {
  const key = cell.toLowerCase();
  return Object.hasOwn(names, key) ? (names[key] ?? null) : cell;
};
const shown = (cell: string): string => (cell.length > 30 ? `${cell.slice(0, 30)}…` : cell);

function amount(
  cell: string,
  quantity: Quantity,
  unit: string,
  { decimal }: Pick<SheetMapping, 'decimal'>,
): Result<number | null> {
  if (cell === '') return ok(null);
  const read = parseOne(cell, quantity, unit, { decimal, group: null });
  return read.ok
    ? read
    : { ...read, message: say('data.own-sheet.not-an-amount', { cell: shown(cell), why: read.message }) };
}

type Goes = Pick<SheetRow, 'goes' | 'ordered'>;

/** The goes of a row; null where the person said that what stands there is none. */
function goesOf(at: At, mapping: SheetMapping): Result<Goes | null> {
  const cell = at('outcome');
  const several = cell === '' ? null : goesIn(cell);
  if (Array.isArray(several)) return ok({ goes: several as readonly GoOutcome[], ordered: true });
  if (several && 'all' in several)
    return counted([
      ['clean', several.clean],
      [mapping.others, several.all - several.clean],
    ]);
  if (cell !== '') {
    const word = cell.toLowerCase();
    const outcome = Object.hasOwn(mapping.outcomes, word) ? mapping.outcomes[word] : undefined;
    if (outcome === undefined)
      return fail('outcome', '', say('data.own-sheet.unknown-outcome', { cell: shown(cell) }));
    if (outcome === 'skip') return ok(null);
    const count = whole(at('goes'), 'goes');
    if (!count.ok) return count;
    return counted([[outcome, count.value ?? 1]]);
  }
  const [all, clean, flawed, missed] = [
    whole(at('goes'), 'goes'),
    whole(at('clean'), 'clean'),
    whole(at('flawed'), 'flawed'),
    whole(at('missed'), 'missed'),
  ];
  if (!all.ok) return all;
  if (!clean.ok) return clean;
  if (!flawed.ok) return flawed;
  if (!missed.ok) return missed;
  if (clean.value === null && flawed.value === null && missed.value === null)
    return fail('outcome', '', say('data.own-sheet.not-how-they-went'));
  const said = (clean.value ?? 0) + (flawed.value ?? 0) + (missed.value ?? 0);
  if (all.value !== null && said > all.value)
    return fail('goes', '', say('data.own-sheet.more-than-all', { said, all: all.value }));
  const rest = all.value === null ? 0 : all.value - said;
  // What the sheet counts apart from clean ones is said; only what it does not count is of the other kind.
  const other = clean.value === null && rest > 0 ? 'clean' : mapping.others;
  return counted([
    ['clean', (clean.value ?? 0) + (other === 'clean' ? rest : 0)],
    ['flawed', (flawed.value ?? 0) + (other === 'flawed' ? rest : 0)],
    ['miss', (missed.value ?? 0) + (other === 'miss' ? rest : 0)],
  ]);
}

function counted(counts: readonly (readonly [GoOutcome, number])[]): Result<Goes | null> {
  const all = counts.reduce((sum, [, count]) => sum + count, 0);
  if (all === 0) return fail('goes', '', say('data.own-sheet.no-go-in-it'));
  if (all > MOST_GOES) return fail('goes', '', say('data.own-sheet.too-many-goes', { all, most: MOST_GOES }));
  return ok({ goes: spread(counts), ordered: all === 1 });
}

function whole(cell: string, what: string): Result<number | null> {
  if (cell === '') return ok(null);
  // Spreadsheets write a whole number as 5.0 now and then.
  const text = cell.replace(/[.,]0+$/, '').replace(/\s*x$/i, '');
  return /^\d{1,4}$/.test(text)
    ? ok(Number(text))
    : fail('goes', what, say('data.own-sheet.not-a-count', { cell: shown(cell) }));
}
