import { ok, type Result } from '@/core/shared';
import { costIn, readCost, type WrittenCost } from './read-cost';
import type { SheetReading } from './sheet-reading';
import { type Token, tokensOf } from './tokens';
import { NOT_DONE, OF_HANDLER } from './vocabulary';

type Fault = Extract<SheetReading, { is: 'fault' }>;
type Exercise = Extract<SheetReading, { is: 'exercise' }>;

/** A name without what parts it from its price: dots, dashes, colons, an open bracket. */
export const trimmed = (title: string): string =>
  title.replace(/^[\s:;,.=–—\-([…|]+/u, '').replace(/[\s:;,.=–—\-([…|]+$/u, '');

/** A fault by its name and its price. */
export function faultOf(title: string, written: string, smallest: number): Result<Fault> {
  const cost = readCost(written, smallest);
  return cost.ok ? ok(named(title, cost.value)) : cost;
}

function named(title: string, cost: WrittenCost): Fault {
  const name = trimmed(title);
  const miss = NOT_DONE.test(name);
  return { is: 'fault', title: name, by: OF_HANDLER.test(name) ? 'handler' : 'dog', miss, ...cost };
}

export type SplitFault = { readonly fault: Fault; readonly unsure: boolean };

/** A line that is longer is no fault with its price. */
const LONGEST = 300;

/** What can name a fault: words that are not known, and the cue ("second command"). */
const NAMES = new Set<Token['is']>(['unknown', 'cue', 'ordinal']);

/** Whether a piece of a line begins with a name, or with its price. */
export function beginsWithName(piece: string): boolean {
  const first = tokensOf(piece)[0];
  return (
    first !== undefined &&
    (NAMES.has(first.is) ||
      first.is === 'number' ||
      first.is === 'dash' ||
      first.is === 'further' ||
      first.is === 'second')
  );
}

/** What a price can begin with: not with "in", "the" or the word for points. */
const begins = ({ is }: Token): boolean =>
  is !== 'filler' && is !== 'points' && is !== 'break' && is !== 'unknown';

/**
 * A fault from a line in which its name and its price stand together: the longest end of it that is a price,
 * else the longest beginning. Null where neither is. Unsure where the line also begins with a number that
 * could be the price. `splitFault('Crooked sit 1–2', 0.5)` → "Crooked sit", 1 to 2 points.
 */
export function splitFault(text: string, smallest: number): SplitFault | null {
  if (text.length > LONGEST) return null;
  const tokens = tokensOf(text);
  return atEnd(text, tokens, smallest) ?? atBeginning(text, tokens, smallest);
}

function atEnd(text: string, tokens: readonly Token[], smallest: number): SplitFault | null {
  const after = tokens.findLastIndex((token) => token.is === 'unknown');
  for (const [i, token] of tokens.entries()) {
    if (i <= after || !begins(token)) continue;
    const cost = costIn(tokens.slice(i), text.slice(token.at), smallest);
    if (!cost.ok) continue;
    const fault = named(text.slice(0, token.at), cost.value);
    if (fault.title === '') return nameless(text, fault);
    // Words of prices and nothing else are no name; a number at the beginning could be the price as well.
    const wordless = !tokens.slice(0, i).some((one) => NAMES.has(one.is));
    return { fault, unsure: wordless || /^\s*-?\d+(?:[.,]\d+)?\s/.test(text) };
  }
  return null;
}

function atBeginning(text: string, tokens: readonly Token[], smallest: number): SplitFault | null {
  const first = tokens.findIndex((token) => token.is === 'unknown');
  if (tokens[0] && !begins(tokens[0])) return null;
  for (let i = first; i > 0; i--) {
    const at = (tokens[i] as Token).at;
    const cost = costIn(tokens.slice(0, i), text.slice(0, at), smallest);
    const fault = cost.ok ? named(text.slice(at), cost.value) : null;
    if (fault && fault.title !== '') return { fault, unsure: false };
  }
  return null;
}

/** "Each further command 2": the price is all there is, and names what it is for. */
function nameless(text: string, fault: Fault): SplitFault | null {
  if (!['per-extra-cue', 'per-second', 'per-metre', 'band'].includes(fault.cost.kind)) return null;
  const title = trimmed(text.replace(/[-−–]?\d+(?:[.,]\d+)?\s*(?:points?|pts?\.?|punkte?|p\.)?\s*$/iu, ''));
  return title === '' ? null : { fault: { ...fault, title }, unsure: false };
}

const VALUE = new RegExp(
  '(?<gap>^|[\\s:(\\[.…|–—-])(?<factor>coefficient|coeff\\.?|koeffizient|koeff\\.?|factor|faktor|[×x])?\\s*' +
    '(?<max>max(?:imum)?\\.?|maximal|worth|höchstens|bis zu|up to)?\\s*' +
    '(?<digits>\\d+(?:[.,]\\d+)?)\\s*(?<word>points?|pts?\\.?|p\\.?|punkten?|punkt|pkte?\\.?|marks?)?\\s*[)\\]]?\\s*\\.?$',
  'iu',
);
const LEADING =
  /^(?:\(|\[)?\s*(?<digits>\d+(?:[.,]\d+)?)\s*(?<word>points?|pts?\.?|p\.|punkte?|pkte?\.?|marks?)?\s*[)\]]?\s*(?<gap>[:–—|-]|\s)\s*(?=\p{L})/iu;

export type TitledPoints = { readonly exercise: Exercise; readonly certain: boolean };

/**
 * An exercise with its points: at the end or at the beginning, with or without a word for them. `certain`:
 * something besides a space tells that the number is its points. `titledPoints('Recall (40 points)')` → Recall,
 * 40, certain.
 */
export function titledPoints(text: string): TitledPoints {
  const end = VALUE.exec(text);
  const { digits, gap = '', factor, max, word } = end?.groups ?? {};
  const isRange = /\d\s*$/.test(text.slice(0, end?.index ?? 0)) && /[–—-]/.test(gap);
  if (end && digits !== undefined && !isRange && trimmed(text.slice(0, end.index)) !== '') {
    const told =
      [factor, max, word].some((one) => one !== undefined) ||
      /[([:…|–—-]/.test(gap) ||
      /(\.{2,}|[:–—-]|\t)\s*$/u.test(text.slice(0, end.index + gap.length));
    return { exercise: exerciseOf(text.slice(0, end.index), digits, factor !== undefined), certain: told };
  }
  const start = LEADING.exec(text);
  const leading = start?.groups?.digits;
  if (start && leading !== undefined)
    return {
      exercise: exerciseOf(text.slice(start[0].length), leading, false),
      certain: start.groups?.word !== undefined || /[:–—|-]/.test(start.groups?.gap ?? ''),
    };
  return {
    exercise: { is: 'exercise', title: trimmed(text), points: null, coefficient: false },
    certain: true,
  };
}

const exerciseOf = (title: string, digits: string, coefficient: boolean): Exercise => ({
  is: 'exercise',
  title: trimmed(title),
  points: Number(digits.replace(',', '.')),
  coefficient,
});
