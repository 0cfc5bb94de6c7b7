import type { OwnSheet } from './open-sheet';
import { type DayOrder, guessOrder, readDay } from './sheet-days';
import { goesIn, usualOutcome, type WordOutcome } from './sheet-outcomes';

/** What a column can hold. */
export const MEANINGS = [
  'day',
  'dog',
  'element',
  'outcome',
  'goes',
  'clean',
  'flawed',
  'missed',
  'asked',
  'latency',
  'held',
  'note',
  'nothing',
] as const;
export type Meaning = (typeof MEANINGS)[number];
export const ASKED_UNITS = ['m', 'yd', 'ft', 'paces', 's', 'min', 'cm'] as const;
export type AskedUnit = (typeof ASKED_UNITS)[number];

/** How somebody’s sheet is read; kept for the next one with the same columns. */
export type SheetMapping = {
  /** By column. */
  readonly columns: readonly Meaning[];
  readonly days: DayOrder;
  readonly decimal: '.' | ',';
  /** Of a number that was asked and has no unit beside it. */
  readonly unit: AskedUnit;
  /** Goes that are not among the clean ones, where the sheet says no more. */
  readonly others: 'flawed' | 'miss';
  /** What the words of an outcome column say, in small letters. */
  readonly outcomes: Readonly<Record<string, WordOutcome>>;
  /** The dog of a sheet without a column for it, by name. */
  readonly dog: string;
  /** The sheet’s names of dogs and elements → the kennel’s; null leaves those rows out. */
  readonly dogs: Readonly<Record<string, string | null>>;
  readonly elements: Readonly<Record<string, string | null>>;
};
/** What is taken for usual where the sheet does not tell. */
export type Usual = {
  readonly days: DayOrder;
  readonly decimal: '.' | ',';
  readonly unit: AskedUnit;
  readonly dog: string;
};

const HEADS: readonly (readonly [Meaning, RegExp])[] = [
  ['day', /^(date|day|datum|tag|when|wann)\b/i],
  ['dog', /^(dog|hund|name of dog|who|dog name)\b/i],
  ['element', /^(exercise|element|skill|behaviou?r|übung|task|work|drill|what)(?![\p{L}])/iu],
  ['latency', /(latency|latenz|reaction|response time)/i],
  ['held', /(held|hold|gehalten|duration held|haltezeit)/i],
  ['clean', /^#?\s*(clean|good|hits?|success(es)?|correct|ok|richtig|sauber|gut)\b/i],
  ['flawed', /^#?\s*(flawed|crooked|slow|partial|unsauber)\b/i],
  ['missed', /^#?\s*(miss|missed|misses|fail(s|ed|ures)?|wrong|falsch|fehler)\b/i],
  [
    'goes',
    /^#?\s*(goes|reps?|repetitions?|trials?|tries|runs?|attempts?|total|wiederholungen|wdh|anzahl|versuche)\b/i,
  ],
  [
    'asked',
    /(distance|dist\.?|distanz|entfernung|range|length|height|höhe|duration|dauer|minutes|seconds|meters?|metres?|yards?)/i,
  ],
  ['outcome', /^(result|outcome|ergebnis|rating|score|how|wie)\b/i],
  ['note', /(note|comment|remark|bemerkung|notiz|kommentar|anmerkung)/i],
];

/** How this sheet is most likely meant: by the names of its columns, and what stands in them where those say nothing. */
export function guessMapping(sheet: OwnSheet, usual: Usual): SheetMapping & { readonly daysSure: boolean } {
  const cellsOf = (i: number): string[] => sheet.rows.map(({ cells }) => cells[i] ?? '');
  const columns: Meaning[] = sheet.heads.map(() => 'nothing');
  const once = (meaning: Meaning): boolean => meaning === 'note' || !columns.includes(meaning);
  for (const [meaning, head] of HEADS)
    for (const [i, name] of sheet.heads.entries())
      if (columns[i] === 'nothing' && head.test(name) && once(meaning)) columns[i] = meaning;
  for (const [i] of columns.entries())
    if (columns[i] === 'nothing') {
      const guess = byContent(cellsOf(i), usual);
      if (guess && once(guess)) columns[i] = guess;
    }
  const dayCells = cellsOf(columns.indexOf('day'));
  const { order, sure } = guessOrder(columns.includes('day') ? dayCells : [], usual.days);
  const outcomeWords = columns.includes('outcome') ? wordsIn(cellsOf(columns.indexOf('outcome'))) : [];
  const asked = columns.indexOf('asked');
  return {
    columns,
    days: order,
    daysSure: sure,
    decimal: decimalOf(sheet, usual.decimal),
    unit: unitOf(sheet.heads[asked] ?? '', cellsOf(asked)) ?? usual.unit,
    others: 'miss',
    outcomes: Object.fromEntries(
      outcomeWords.flatMap((word) => {
        const outcome = usualOutcome(word);
        return outcome ? [[word, outcome]] : [];
      }),
    ),
    dog: usual.dog,
    dogs: {},
    elements: {},
  };
}

/** The words of an outcome column that each tell one go, in small letters, the most frequent first. */
export function wordsIn(cells: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const cell of cells) {
    if (cell === '' || goesIn(cell) !== null) continue;
    const word = cell.toLowerCase();
    counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1]).map(([word]) => word);
}

function byContent(cells: readonly string[], usual: Usual): Meaning | null {
  const said = cells.filter((cell) => cell !== '');
  if (said.length === 0) return null;
  const share = (is: (cell: string) => boolean): number => said.filter(is).length / said.length;
  if (share((cell) => readDay(cell, usual.days) !== null) > 0.6) return 'day';
  if (share((cell) => goesIn(cell) !== null || usualOutcome(cell) !== null) > 0.6) return 'outcome';
  if (share((cell) => /\p{L}{2,}.*\s.*\p{L}/u.test(cell)) > 0.6 && new Set(said).size > said.length / 2)
    return 'note';
  return null;
}

const UNIT_WORDS: readonly (readonly [AskedUnit, RegExp])[] = [
  ['yd', /\b(yd|yds|yards?)\b/i],
  ['ft', /\b(ft|feet|foot)\b|'/i],
  ['paces', /\b(paces?|steps?|schritte?)\b/i],
  ['cm', /\b(cm)\b|height|höhe/i],
  ['min', /\b(min|mins|minutes|minuten)\b/i],
  ['s', /\b(s|sec|secs|seconds?|sek|sekunden)\b|duration|dauer/i],
  ['m', /\b(m|metres?|meters?|meter)\b/i],
];

/** The unit that the head of a column names, or most of its cells; null where neither does. */
function unitOf(head: string, cells: readonly string[]): AskedUnit | null {
  const named = UNIT_WORDS.find(([, word]) => word.test(head));
  if (named) return named[0];
  const written = cells.map((cell) => cell.replace(/^[\d.,\s/-]+/, '')).filter((rest) => rest !== '');
  const counts = UNIT_WORDS.map(
    ([unit, word]) => [unit, written.filter((rest) => word.test(rest)).length] as const,
  );
  const best = counts.reduce((a, b) => (b[1] > a[1] ? b : a), ['m', 0] as readonly [AskedUnit, number]);
  return best[1] > 0 ? best[0] : null;
}

/** A sheet in which 2,5 stands and no 2.5 has the comma, and the other way round. */
function decimalOf(sheet: OwnSheet, usual: '.' | ','): '.' | ',' {
  let [commas, points] = [0, 0];
  for (const { cells } of sheet.rows)
    for (const cell of cells) {
      if (/^-?\d+,\d{1,2}(\s*\p{L}+)?$/u.test(cell)) commas += 1;
      if (/^-?\d+\.\d{1,2}(\s*\p{L}+)?$/u.test(cell)) points += 1;
    }
  if (commas === points) return usual;
  return commas > points ? ',' : '.';
}
