import type { Acting } from '../families/fault-schema';
import type { Token } from './tokens';

export type Unit = '°' | 'm' | 'cm' | 's';
/** One thing that a written price says; several of them, parted by commas, make the price. */
export type Clause =
  | { readonly is: 'amount'; readonly points: number }
  | { readonly is: 'range'; readonly low: number; readonly high: number }
  | { readonly is: 'up-to'; readonly points: number; readonly inAll: boolean }
  | { readonly is: 'usually'; readonly value: number }
  | { readonly is: 'per-cue'; readonly points: number; readonly further: boolean }
  | {
      readonly is: 'per-second' | 'per-metre';
      readonly points: number;
      readonly beyond: number;
    }
  | { readonly is: 'band'; readonly over: number; readonly unit: Unit; readonly points: number }
  | { readonly is: 'acts'; readonly over: number; readonly unit: Unit; readonly does: Acting }
  | { readonly is: 'each-further'; readonly points: number }
  | { readonly is: 'warnings'; readonly count: number }
  | { readonly is: 'nth'; readonly at: number; readonly does: Acting }
  | { readonly is: 'bonus'; readonly points: number }
  | { readonly is: 'zero' | 'out' | 'major' | 'attempt' | 'cue' };

/** The clauses of a written price; the place in it from which on it is not understood. */
export type Clauses = { readonly clauses: readonly Clause[] } | { readonly from: number };

/**
 * What a written price says, clause by clause. `clausesOf(tokensOf('1 per second over 3, at most 5'))` →
 * per-second 1 beyond 3, up-to 5. Nothing is left over: one word that is not known, and the whole is not understood.
 */
export function clausesOf(tokens: readonly Token[]): Clauses {
  const parts = parted(tokens);
  const clauses: Clause[] = [];
  for (const part of parts) {
    const clause = clauseOf(part);
    if (!clause) return { from: part[0]?.at ?? 0 };
    clauses.push(clause);
  }
  return clauses.length > 0 ? { clauses } : { from: 0 };
}

/** Words that begin a clause of their own where something stands before them. */
const BEGINS = new Set<Token['is']>(['at-most', 'usually', 'up-to']);

function parted(tokens: readonly Token[]): Token[][] {
  const parts: Token[][] = [[]];
  for (const token of tokens) {
    const now = parts.at(-1) as Token[];
    if (token.is === 'break') parts.push([]);
    else if (token.is === 'filler') continue;
    else if ((BEGINS.has(token.is) && now.length > 0) || beginsBand(token, now)) parts.push([token]);
    else now.push(token);
  }
  return parts.filter((part) => part.length > 0);
}

/** "over 10° 1 over 30° 2": a second limit begins where the first has its price. */
function beginsBand(token: Token, now: readonly Token[]): boolean {
  if (token.is !== 'over') return false;
  const price = now.filter((one) => one.is === 'number' || one.is === 'zero' || one.is === 'out').length;
  return now[0]?.is === 'over' && price >= 2;
}

/** A clause as a word of letters, so that a pattern can be read: N a number, O over, E each … */
const LETTER: Readonly<Partial<Record<Token['is'], string>>> = {
  number: 'N',
  ordinal: 'T',
  dash: '-',
  plus: '+',
  to: 't',
  each: 'E',
  further: 'F',
  cue: 'C',
  second: 'S',
  metre: 'M',
  unit: 'U',
  over: 'O',
  'up-to': 'B',
  'at-most': 'A',
  'in-all': 'I',
  usually: 'L',
  zero: 'Z',
  out: 'X',
  major: 'G',
  attempt: 'Y',
  bonus: 'P',
  warning: 'W',
  first: 'R',
  points: '.',
};

const UNITS: Readonly<Record<string, Unit>> = { centimetres: 'cm', centimeters: 'cm', cm: 'cm' };
const unitOf = (token: Token | undefined): Unit => {
  if (token?.is === 'second') return 's';
  if (token?.is === 'metre') return 'm';
  return (token && 'word' in token && UNITS[token.word]) || '°';
};

type Reader = (numbers: readonly number[], tokens: readonly Token[]) => Clause | null;
const unitIn = (tokens: readonly Token[]): Unit =>
  unitOf(tokens.find((one) => one.is === 'unit' || one.is === 'second' || one.is === 'metre'));
const doesIn = (tokens: readonly Token[]): Acting =>
  tokens.some((one) => one.is === 'out') ? 'end-run' : 'zero';

const amount: Reader = ([points = 0]) => (points === 0 ? { is: 'zero' } : { is: 'amount', points });
const per =
  (is: 'per-second' | 'per-metre', first: 'points' | 'limit'): Reader =>
  ([a = 0, b]) =>
    first === 'limit' && b !== undefined
      ? { is, points: b, beyond: a }
      : { is, points: a, beyond: first === 'limit' ? 0 : (b ?? 0) };
const band =
  (first: 'limit' | 'points'): Reader =>
  ([a = 0, b = 0], tokens) => {
    const [over, points] = first === 'limit' ? [a, b] : [b, a];
    // "over 3 m: 0" has its limit in its name; nothing is no price of a step.
    return points === 0 ? null : { is: 'band', over, unit: unitIn(tokens), points };
  };
const acts: Reader = ([over = 0], tokens) => ({
  is: 'acts',
  over,
  unit: unitIn(tokens),
  does: doesIn(tokens),
});

/** Patterns of a clause, points left out where they stand: "2 points per second" is N E S. */
const PATTERNS: readonly (readonly [RegExp, Reader])[] = [
  [/^-?N$/, amount],
  [/^-?NE$|^E-?N$/, amount],
  [/^-?N(?:[-t]|t-)N$/, ([low = 0, high = 0]) => (low < high ? { is: 'range', low, high } : null)],
  [
    /^[BA]-?NI?$|^I[BA]-?N$|^tN$/,
    ([points = 0], t) => ({ is: 'up-to', points, inAll: t.some((one) => one.is === 'in-all') }),
  ],
  [/^LN[SMU]?C?$|^LNFC$/, ([value = 0]) => ({ is: 'usually', value })],
  [/^-?NEFC$|^EFC-?N$|^FCEN$/, ([points = 0]) => ({ is: 'per-cue', points, further: true })],
  [/^-?NEC$|^EC-?N$/, ([points = 0]) => ({ is: 'per-cue', points, further: false })],
  [/^-?NE?F$|^EF-?N$|^FE-?N$/, ([points = 0]) => ({ is: 'each-further', points })],
  [/^-?NEF?S(?:ON[S]?)?$/, per('per-second', 'points')],
  [/^EF?S-?N$/, per('per-second', 'points')],
  [/^EF?SON[S]?-?N$/, per('per-second', 'limit')],
  [/^ONSEF?S?-?N$|^ONSNEF?S?$/, per('per-second', 'limit')],
  [/^-?NEF?M(?:ON[M]?)?$/, per('per-metre', 'points')],
  [/^EF?M-?N$/, per('per-metre', 'points')],
  [/^EF?MON[M]?-?N$/, per('per-metre', 'limit')],
  [/^ONMEF?M?-?N$|^ONMNEF?M?$/, per('per-metre', 'limit')],
  [/^ON[USM]-?N$/, band('limit')],
  [/^-?NON[USM]$/, band('points')],
  [
    /^N[-t]N[USM]-?N$/,
    ([over = 0, , points = 0], t) => (points === 0 ? null : { is: 'band', over, unit: unitIn(t), points }),
  ],
  [/^ON[USM][ZX]$|^[ZX]ON[USM]$/, acts],
  [/^T[ZX]$|^[ZX]T$/, ([at = 0], t) => ({ is: 'nth', at, does: doesIn(t) })],
  [/^S[ZX]$|^[ZX]S$/, (_, t) => ({ is: 'nth', at: 2, does: doesIn(t) })],
  [/^R?W$|^WR$/, () => ({ is: 'warnings', count: 1 })],
  [/^R?NW$|^NW$/, ([count = 0]) => ({ is: 'warnings', count })],
  [/^\+N$|^PN$|^NP$/, ([points = 0]) => ({ is: 'bonus', points })],
  [/^Z$/, () => ({ is: 'zero' })],
  [/^X$/, () => ({ is: 'out' })],
  [/^G$/, () => ({ is: 'major' })],
  [/^Y$/, () => ({ is: 'attempt' })],
  [/^C$|^FC$/, () => ({ is: 'cue' })],
];

function clauseOf(tokens: readonly Token[]): Clause | null {
  const kept = tokens.filter((token) => token.is !== 'points');
  const shape = kept.map((token) => LETTER[token.is] ?? '?').join('');
  const reader = PATTERNS.find(([pattern]) => pattern.test(shape))?.[1];
  const numbers = kept.flatMap((one) => (one.is === 'number' || one.is === 'ordinal' ? [one.value] : []));
  return reader?.(numbers, kept) ?? null;
}
