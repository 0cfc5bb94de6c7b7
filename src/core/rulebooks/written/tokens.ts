import { type Meaning, NUMBER_WORDS, ORDINALS, VOCABULARY } from './vocabulary';

/** A piece of a written price: a number, a known word, an ordinal, a sign; a word that is not known. */
export type Token =
  | { readonly is: 'number'; readonly value: number; readonly at: number }
  | { readonly is: 'ordinal'; readonly value: number; readonly at: number; readonly word: string }
  | { readonly is: 'dash' | 'plus' | 'break'; readonly at: number }
  | { readonly is: 'unknown'; readonly at: number; readonly word: string }
  | { readonly is: Meaning; readonly at: number; readonly word: string };

const NUMBER = /(\d+(?:[.,]\d+)?)?(½)?/y;
const ORDINAL = /(\d+)(?:st|nd|rd|th)(?!\p{L})/uy;
const WORD = /[\p{L}’'%]+/uy;
const KNOWN: readonly (readonly [Meaning, RegExp])[] = VOCABULARY.map(([meaning, words]) => [
  meaning,
  new RegExp(`(?:${words})(?![\\p{L}\\p{N}])`, 'uy'),
]);
/** The first words of all that is known: a word that begins nothing is a name, and need not be tried further. */
const BEGINS = new RegExp(
  `^(?:${VOCABULARY.flatMap(([, words]) => words.split('|').map((one) => one.split(' ')[0])).join('|')})$`,
  'u',
);
const SIGN = /[°/>]/;

function at(pattern: RegExp, text: string, place: number): string | null {
  pattern.lastIndex = place;
  return pattern.exec(text)?.[0] || null;
}

/**
 * A written price taken apart. A comma between digits belongs to the number ("1,5"); any other comma, a
 * semicolon and "and" part what is said. `tokensOf('2 each, at most 6')` → number 2, each, break, at-most,
 * number 6.
 */
export function tokensOf(written: string): Token[] {
  const text = written.toLowerCase().replace(/[–—−]/g, '-');
  const tokens: Token[] = [];
  let i = 0;
  while (i < text.length) {
    const found = tokenAt(text, i);
    if (found.token) tokens.push(found.token);
    i += Math.max(1, found.length);
  }
  return tokens;
}

type Found = { readonly token: Token | null; readonly length: number };

function tokenAt(text: string, i: number): Found {
  const sign = text[i] as string;
  if (/[\s:()[\].…|\t*]/.test(sign)) return { token: null, length: 1 };
  if (sign === ',' || sign === ';') return { token: { is: 'break', at: i }, length: 1 };
  if (sign === '-') return { token: { is: 'dash', at: i }, length: 1 };
  if (sign === '+') return { token: { is: 'plus', at: i }, length: 1 };
  const ordinal = at(ORDINAL, text, i);
  if (ordinal) {
    const value = Number.parseInt(ordinal, 10);
    return { token: { is: 'ordinal', value, at: i, word: ordinal }, length: ordinal.length };
  }
  const number = at(NUMBER, text, i);
  if (number) return { token: { is: 'number', value: numberIn(number), at: i }, length: number.length };
  return wordAt(text, i, sign);
}

const numberIn = (number: string): number =>
  Number(number.replace('½', '').replace(',', '.') || '0') + (number.endsWith('½') ? 0.5 : 0);

function wordAt(text: string, i: number, sign: string): Found {
  const word = at(WORD, text, i);
  if (word === 'minus') return { token: { is: 'dash', at: i }, length: word.length };
  if (word === 'and' || word === 'und') return { token: { is: 'break', at: i }, length: word.length };
  if (word && Object.hasOwn(NUMBER_WORDS, word))
    return { token: { is: 'number', value: NUMBER_WORDS[word] as number, at: i }, length: word.length };
  if (word && word !== 'second' && Object.hasOwn(ORDINALS, word))
    return { token: { is: 'ordinal', value: ORDINALS[word] as number, at: i, word }, length: word.length };
  for (const [meaning, pattern] of word === null || BEGINS.test(word) || BEGINS.test(`${word}.`)
    ? KNOWN
    : []) {
    const known = at(pattern, text, i);
    // A sign is known wherever it stands; a word only as a whole one.
    if (known && (SIGN.test(sign) || known.length >= (word ?? '').length))
      return { token: { is: meaning, at: i, word: known }, length: known.length };
  }
  const other = word ?? sign;
  return { token: { is: 'unknown', at: i, word: other }, length: other.length };
}
