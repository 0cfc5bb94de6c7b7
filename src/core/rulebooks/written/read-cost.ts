import { fail, ok, type Result, type Sentence, say } from '@/core/shared';
import type { Acting, Cost } from '../families/fault-schema';
import { type Clause, clausesOf, type Unit } from './clauses';
import { type Token, tokensOf } from './tokens';

/** A price as it was written, with what had to be taken where it does not say it. */
export type WrittenCost = {
  readonly cost: Cost;
  readonly warnings?: number;
  readonly nth?: { readonly at: number; readonly does: Acting };
  readonly assumed: readonly Sentence[];
};

type Of<K extends Clause['is']> = Extract<Clause, { readonly is: K }>;
type Per = Extract<Clause, { readonly is: 'per-second' | 'per-metre' }>;

/**
 * Reads a price as people write it: "2", "1–3", "up to 5", "1 each, at most 4", "2 per extra cue", "1 per
 * second over 3", "over 10° 1, over 30° 2", "zero", "out", "+2", each with "first time only a warning" and
 * "third time out"; German alike. `smallest` is the step of the class, in points, and stands for the low end
 * of "up to". Fails with `price` where one word of it is not understood, and with `clash` where its pieces
 * do not go together. `readCost('1 per second over 3', 0.5)` → per-second, 1 point beyond 3 s.
 */
export const readCost = (written: string, smallest: number): Result<WrittenCost> =>
  costIn(tokensOf(written), written, smallest);

/** The same of a price that is taken apart already; `written` is what is named where it is not understood. */
export function costIn(tokens: readonly Token[], written: string, smallest: number): Result<WrittenCost> {
  const read = clausesOf(tokens);
  if (!('clauses' in read))
    return fail(
      'price',
      '',
      say('rulebooks.written.no-price', { written: written.slice(read.from).trim() || written }),
    );
  const clauses = read.clauses;
  const one = <K extends Clause['is']>(is: K): Of<K> | undefined =>
    clauses.find((clause): clause is Of<K> => clause.is === is);
  const nth = one('nth');
  const rest = clauses.filter((clause) => clause.is !== 'nth' && clause.is !== 'warnings');
  const main = costOf(rest, smallest);
  if (!main) return fail('clash', '', say('rulebooks.written.clash', { written: written.trim() }));
  const warnings = one('warnings')?.count;
  return ok({
    ...main,
    ...(warnings === undefined ? {} : { warnings }),
    ...(nth ? { nth: { at: nth.at, does: nth.does } } : {}),
  });
}

type Main = Pick<WrittenCost, 'cost' | 'assumed'>;

/** The clauses of one price together; null where they contradict each other or one is left over. */
function costOf(clauses: readonly Clause[], smallest: number): Main | null {
  const [first, ...others] = clauses;
  if (!first) return null;
  const caps = others.filter((one) => one.is === 'up-to');
  const usual = others.find((one) => one.is === 'usually');
  const cap = caps[0] && 'points' in caps[0] ? { cap: caps[0].points } : {};
  const simple = others.every((one) => one.is === 'up-to' || one.is === 'usually') && caps.length < 2;
  switch (first.is) {
    case 'amount':
      return (
        further(first, others) ??
        (simple && !usual ? sure({ kind: 'each', points: first.points, ...cap }) : null)
      );
    case 'range':
      // Nothing is no price: from 0 to 3 is up to 3.
      return simple && caps.length === 0
        ? discretion(first.low || smallest, first.high, usual, smallest, first.low === 0)
        : null;
    case 'up-to':
      return simple && caps.length === 0 ? discretion(smallest, first.points, usual, smallest, true) : null;
    case 'per-cue':
      return simple
        ? {
            cost: { kind: 'per-extra-cue', points: first.points, usual: usual?.value ?? 1, ...cap },
            assumed: first.further ? [] : [say('rulebooks.written.each-cue-is-a-further-one')],
          }
        : null;
    case 'per-second':
    case 'per-metre':
      return perUnit(first, others, usual, cap);
    case 'band':
    case 'acts':
      return bands(clauses);
    case 'bonus':
      return simple && !usual ? sure({ kind: 'bonus', points: first.points, ...cap }) : null;
    case 'zero':
      return others.length === 0 ? sure({ kind: 'zero' }) : null;
    case 'out':
      return others.length === 0 ? sure({ kind: 'end-run' }) : null;
    case 'major':
    case 'attempt':
    case 'cue':
      return others.length === 0 ? sure({ kind: first.is }) : null;
    default:
      return null;
  }
}

const sure = (cost: Cost): Main => ({ cost, assumed: [] });

/** "2, each further 2" is a price each time; where the further ones cost otherwise it is no one price. */
function further(first: Of<'amount'>, others: readonly Clause[]): Main | null {
  const [second, third] = others;
  if (second?.is !== 'each-further' || second.points !== first.points) return null;
  const cap = third?.is === 'up-to' ? { cap: third.points } : {};
  return others.length > (third ? 2 : 1) ? null : sure({ kind: 'each', points: first.points, ...cap });
}

function discretion(
  low: number,
  high: number,
  usual: Of<'usually'> | undefined,
  smallest: number,
  lowTaken = false,
): Main | null {
  if (low > high) return null;
  // The step in the middle, the lower one of two.
  const middle = low + Math.floor((high - low) / 2 / smallest + 1e-9) * smallest;
  const taken = Number((usual?.value ?? middle).toFixed(4));
  return {
    cost: { kind: 'discretion', low, usual: taken, high },
    assumed: [
      ...(lowTaken ? [say('rulebooks.written.from-the-smallest-step', { low })] : []),
      ...(usual ? [] : [say('rulebooks.written.usually')]),
    ],
  };
}

function perUnit(
  first: Per,
  others: readonly Clause[],
  usual: Of<'usually'> | undefined,
  cap: { readonly cap?: number },
): Main | null {
  const act = others.find((one): one is Of<'acts'> => one.is === 'acts');
  const unit: Unit = first.is === 'per-second' ? 's' : 'm';
  const known = others.every((one) => one.is === 'up-to' || one.is === 'usually' || one === act);
  if (!known || (act && act.unit !== unit)) return null;
  return {
    cost: {
      kind: first.is,
      points: first.points,
      beyond: first.beyond,
      usual: usual?.value ?? 1,
      ...cap,
      ...(act ? { acts: { over: act.over, does: act.does } } : {}),
    },
    assumed: usual ? [] : [say('rulebooks.written.usually-past', { usual: 1, unit })],
  };
}

const QUANTITIES: Readonly<Record<Unit, Extract<Cost, { kind: 'band' }>['quantity']>> = {
  '°': 'angle',
  cm: 'offset',
  m: 'distance',
  s: 'latency',
};

function bands(clauses: readonly Clause[]): Main | null {
  const steps = clauses.filter((one): one is Of<'band'> => one.is === 'band');
  const ends = clauses.filter((one): one is Of<'acts'> => one.is === 'acts');
  const units = new Set([...steps, ...ends].map((one) => one.unit));
  const [unit] = units;
  if (steps.length + ends.length !== clauses.length || units.size !== 1 || ends.length > 1 || !unit)
    return null;
  const rising = [...steps].sort((a, b) => a.over - b.over);
  const [end] = ends;
  if (rising.length === 0) return null;
  return sure({
    kind: 'band',
    quantity: QUANTITIES[unit],
    unit,
    bands: rising.map(({ over, points }) => ({ over, points })),
    ...(end ? { acts: { over: end.over, does: end.does } } : {}),
  });
}
