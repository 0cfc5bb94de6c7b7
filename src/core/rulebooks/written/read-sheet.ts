import { type Sentence, say } from '@/core/shared';
import { dearest } from '../families/cost';
import { type MarkedLine, marked } from './marks';
import { readCost } from './read-cost';
import type { LineKind, PastedLine, ReadLine, SheetReading } from './sheet-reading';
import { type Style, styleOf } from './sheet-style';
import { rowOf } from './table-rows';
import { beginsWithName, faultOf, type SplitFault, splitFault, titledPoints, trimmed } from './titled-values';
import {
  awardOf,
  demandOf,
  NOWHERE,
  opensAwards,
  passOf,
  type Rated,
  told,
  withoutLabel,
} from './told-lines';

/** The lines of a pasted text that hold anything. */
export const pastedLines = (text: string): PastedLine[] =>
  text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n|\u2028|\u2029/)
    .filter((line) => line.trim() !== '')
    .map((line) => ({ text: line.trimEnd(), as: null }));
/** Where the reader is. */
type Place = Rated & {
  readonly exercise: boolean;
  readonly titled: boolean;
  /** The points of the exercise that is being read; null where none are known. */
  readonly points: number | null;
};

/**
 * Reads a judging sheet as it was copied from a document or a table: a class, its exercises with points, their
 * faults with costs, how to pass, awards. Each line is read by itself, by rules that docs/formats/judging-sheet.md
 * lists; what is not understood, or could be meant otherwise, has a doubt and is settled by somebody. A line
 * whose kind was said is read as that. One text gives one reading, always.
 */
export function readSheet(lines: readonly PastedLine[]): ReadLine[] {
  const style = styleOf(lines);
  let place: Place = { ...NOWHERE, exercise: false, titled: false, points: null };
  const all = lines.map(({ text, as }, i) => {
    const line = i === style.table?.heading && as === null ? NOTHING : readLine(text, as, style, place);
    const read = as === null ? withinPoints(line, place) : line;
    place = after(place, read, text);
    return { text, ...read };
  });
  const sum = sumOf(all);
  return all.map((line, i) => (sum === null || lines[i]?.as != null ? line : withTotal(line, sum)));
}

/** The points of all exercises; null where one has none, or has a coefficient. */
function sumOf(lines: readonly ReadLine[]): number | null {
  const exercises = lines.flatMap((line) => line.readings.filter((one) => one.is === 'exercise'));
  const known = exercises.length > 0 && exercises.every((one) => one.points !== null && !one.coefficient);
  return known ? Number(exercises.reduce((sum, one) => sum + (one.points ?? 0), 0).toFixed(4)) : null;
}

/** A total that is not that of the exercises: something was left out, here or in the sheet. */
function withTotal(line: ReadLine, sum: number): ReadLine {
  const total = line.readings.find((one) => one.is === 'total');
  return total === undefined || total.points === sum
    ? line
    : { ...line, doubt: say('rulebooks.written.total-differs', { total: total.points, sum }) };
}

type Read = Omit<ReadLine, 'text'>;
const NOTHING: Read = { readings: [{ is: 'nothing' }], doubt: null };
const sure = (...readings: readonly SheetReading[]): Read => ({ readings, doubt: null });
const unsure = (doubt: Sentence, ...readings: readonly SheetReading[]): Read => ({ readings, doubt });
/** Nothing was read: why. */
const NOT_UNDERSTOOD = unsure(say('rulebooks.written.not-understood'));
const NO_PRICE = unsure(say('rulebooks.written.no-price-in-it'));
const NO_NUMBER = unsure(say('rulebooks.written.no-number'));

function after(place: Place, { readings }: Read, text: string): Place {
  const has = (is: LineKind): boolean => readings.some((one) => one.is === is);
  return {
    exercise: place.exercise || has('exercise'),
    points: pointsAfter(place, readings),
    awards: opensAwards(text) || (place.awards && has('award')),
    passed: place.passed || has('pass') || has('total'),
    titled: place.titled || has('title') || has('exercise'),
  };
}

function pointsAfter(place: Place, readings: readonly SheetReading[]): number | null {
  const exercise = readings.findLast((one) => one.is === 'exercise');
  return exercise === undefined ? place.points : exercise.coefficient ? null : exercise.points;
}

/** A price above all that the exercise has is more likely no price: the pass line, or an award. */
function withinPoints(read: Read, place: Place): Read {
  const most = pointsAfter(place, read.readings);
  if (read.doubt !== null || most === null) return read;
  const dear = read.readings.find((one) => one.is === 'fault' && dearest(one.cost) > most);
  return dear ? unsure(say('rulebooks.written.dearer', { points: most }), ...read.readings) : read;
}

function readLine(text: string, as: LineKind | null, style: Style, place: Place): Read {
  if (as !== null) return readAs(as, text, style);
  const row = style.table && rowOf(text, style.table);
  if (row && !isOfClass(text)) return readRow(row, style);
  const line = marked(text);
  const known = line.mark === 'plain' || line.mark === 'bullet' ? told(line.body, place) : null;
  if (known)
    return known.left === '' && known.readings.length > 0
      ? sure(...known.readings)
      : unsure(say('rulebooks.written.not-all', { left: known.left }), ...known.readings);
  if (isExercise(line, style, place)) return exercise(line.body, style);
  const body = withoutLabel(line.body);
  if (body === '') return NOTHING;
  if (!place.exercise) return beforeExercises(line, place);
  return faults(body, style.smallest) ?? without(line);
}

/** Of a row of a table: the total, or how to pass. */
const isOfClass = (text: string): boolean =>
  told(text.trim(), NOWHERE)?.readings.some(
    (one) => one.is === 'total' || one.is === 'pass' || one.is === 'nothing',
  ) ?? false;

/** Before the first exercise: the name of the class, then what is said of it as a whole. */
function beforeExercises({ body }: MarkedLine, place: Place): Read {
  if (place.titled) return NOT_UNDERSTOOD;
  return /\d/.test(body.replace(/\b(?:19|20)\d\d\b/g, '')) && splitFault(body, 1) !== null
    ? unsure(say('rulebooks.written.a-title'), { is: 'title', text: trimmed(body) })
    : sure({ is: 'title', text: trimmed(body) });
}

function isExercise(line: MarkedLine, style: Style, place: Place): boolean {
  if (style.mark !== null) return line.mark === style.mark;
  if (style.bullets) return line.mark === 'bullet';
  if (line.mark === 'bullet' || line.indent > 1) return false;
  const { exercise: found, certain } = titledPoints(line.body);
  if (found.points === null || found.title === '') return false;
  const worded =
    /\d\s*(?:points?|pts?\.?|punkten?|marks?)\s*[)\]]?$|\bmax(?:imum)?\.?\s*\d|^[([]?\d+\s*(?:points?|pts|punkte)/iu.test(
      line.body,
    );
  return style.nested ? certain || !place.exercise || faults(line.body, style.smallest) !== null : worded;
}

function exercise(body: string, style: Style): Read {
  const { exercise: found, certain } = titledPoints(body);
  if (found.title === '') return NOT_UNDERSTOOD;
  if (found.points === null) return unsure(say('rulebooks.written.no-points', { title: found.title }), found);
  return certain || style.bare
    ? sure(found)
    : unsure(say('rulebooks.written.are-these-its-points', { points: found.points }), found);
}

/** One fault, or several of one line. Null where no price is found in it. */
function faults(body: string, smallest: number): Read | null {
  const pieces = joined(body, /;\s*/u);
  const several = pieces.length > 1 ? apart(pieces, smallest) : null;
  if (several) return sure(...several);
  const split = splitFault(body, smallest);
  const byComma =
    !split || /\d/.test(split.fault.title) ? apart(joined(body, /,(?!\d)\s*/u), smallest) : null;
  if (byComma && byComma.length > 1) return sure(...byComma);
  return split && asRead(split);
}

/** A length of the work itself in a name ("moves more than 1 m") is no second price, unless the price is measured too. */
const LENGTHS = /\d+(?:[.,]\d+)?\s*(?:m|cm|s|sec|seconds?|metres?|steps?|°|%)(?!\p{L})/giu;
const MEASURED = new Set(['per-second', 'per-metre', 'band']);

const asRead = ({ fault, unsure: open }: SplitFault): Read => {
  const name = MEASURED.has(fault.cost.kind) ? fault.title : fault.title.replace(LENGTHS, '');
  return open || /\d/.test(name)
    ? unsure(say('rulebooks.written.which-number', { title: fault.title }), fault)
    : sure(fault);
};

/** The pieces of a line; one that is a price and no more belongs to the one before it: "slow 1, at most 3". */
function joined(body: string, between: RegExp): string[] {
  const all: string[] = [];
  for (const piece of body.split(between)) {
    if (piece.trim() === '') continue;
    const last = all.at(-1);
    if (last !== undefined && isPrice(piece)) all[all.length - 1] = `${last}, ${piece}`;
    else all.push(piece);
  }
  return all;
}
const isPrice = (piece: string): boolean => readCost(piece, 1).ok || readCost(`1, ${piece}`, 1).ok;

/** Every piece as a fault; null where one of them is none. */
function apart(pieces: readonly string[], smallest: number): SheetReading[] | null {
  // "from the third one on 5" goes on with what stands before it: that is no fault of its own.
  if (pieces.some((piece) => !beginsWithName(piece))) return null;
  const all = pieces.map((piece) => splitFault(piece, smallest));
  return all.every((one): one is SplitFault => one !== null && !one.unsure)
    ? all.map((one) => one.fault)
    : null;
}

/** A line of an exercise without a price: a sentence says what is asked; anything else is asked about. */
function without({ body }: MarkedLine): Read {
  const words = body.split(/\s+/).length;
  if (words >= 4 && /[.!]$/.test(body) && !/\b(?:points?|punkte?|marks?|noten?)\b/iu.test(body))
    return sure({ is: 'asks', text: body });
  return words >= 7 && !/\d/.test(body)
    ? unsure(say('rulebooks.written.what-it-asks'), { is: 'asks', text: body })
    : NO_PRICE;
}

/** A row of a table: an exercise, one or several faults, or both. */
function readRow(row: Partial<Record<string, string>>, style: Style): Read {
  const { exercise: title = '', points, coefficient, fault = '', cost = '', asks = '' } = row;
  const readings: SheetReading[] = [];
  const value = points || coefficient || '';
  if (title !== '') {
    const found = titledPoints(`${marked(title).body} | ${value}`).exercise;
    const coefficients = points === undefined && coefficient !== undefined;
    if (value !== '' && found.points === null)
      return unsure(say('rulebooks.written.cell', { cell: value }), found);
    readings.push({ ...found, coefficient: found.coefficient || coefficients });
    if (value === '') return unsure(say('rulebooks.written.no-points', { title: found.title }), ...readings);
  }
  if (asks !== '') readings.push({ is: 'asks', text: asks });
  if (fault !== '' || cost !== '') {
    const read = cost === '' ? faults(fault, style.smallest) : rowFault(fault, cost, style.smallest);
    if (!read) return unsure(say('rulebooks.written.cell', { cell: cost || fault }), ...readings);
    if (read.doubt) return unsure(read.doubt, ...readings, ...read.readings);
    readings.push(...read.readings);
  }
  return readings.length > 0 ? sure(...readings) : NOT_UNDERSTOOD;
}

function rowFault(title: string, cost: string, smallest: number): Read | null {
  const read = title.trim() === '' ? null : faultOf(title, cost, smallest);
  return read?.ok ? sure(read.value) : null;
}

/** A line of which somebody said what it is. */
function readAs(as: LineKind, text: string, style: Style): Read {
  const row = style.table && rowOf(text, style.table);
  const body = row ? Object.values(row).filter(Boolean).join(' | ') : marked(text).body;
  switch (as) {
    case 'nothing':
      return NOTHING;
    case 'title':
    case 'edition':
    case 'asks':
    case 'part':
      return body === '' ? NOT_UNDERSTOOD : sure({ is: as, text: trimmed(body) });
    case 'exercise': {
      const { exercise: found } = titledPoints(body);
      return found.title === '' ? NOT_UNDERSTOOD : sure(found);
    }
    case 'fault': {
      const read = faults(withoutLabel(body), style.smallest);
      return read ? sure(...read.readings) : NO_PRICE;
    }
    case 'total': {
      const points = /(\d+(?:[.,]\d+)?)(?!.*\d)/.exec(body)?.[1];
      return points === undefined
        ? NO_NUMBER
        : sure({ is: 'total', points: Number(points.replace(',', '.')) });
    }
    case 'pass':
    case 'award':
    case 'demand': {
      const read = (as === 'pass' ? passOf : as === 'award' ? awardOf : demandOf)(body);
      if (read.readings.length === 0) return NO_NUMBER;
      return read.left === ''
        ? sure(...read.readings)
        : unsure(say('rulebooks.written.not-all', { left: read.left }), ...read.readings);
    }
  }
}
