import { must, type Sentence, say, toBase, unreachable } from '@/core/shared';
import type { Word } from './family';
import type { Acting, Cost } from './fault-schema';

// Seconds and metres are charged per started step. Measured values carry float noise of some 1e-12;
// a thousandth of a step is far below what a stop-watch shows, so rounding to it first keeps
// 3.0000000001 s from starting a fourth second.
const startedSteps = (value: number): number => Math.max(0, Math.ceil(Math.round(value * 1000) / 1000));

/**
 * Price of a mark in whole units, `unit` being how many units one of the file's points is; uses of
 * an allowance count 1 each.
 */
export function priceOf(cost: Cost, amount: number, unit: number): number {
  const units = (value: number): number => Math.round(value * unit);
  switch (cost.kind) {
    case 'zero':
    case 'end-run':
    case 'major':
      return 0;
    case 'attempt':
    case 'cue':
      return amount;
    case 'each':
    case 'bonus':
    case 'per-extra-cue':
      return units(cost.points) * amount;
    case 'per-second':
    case 'per-metre':
      return units(cost.points) * startedSteps(amount - cost.beyond);
    case 'discretion':
      return units([cost.low, cost.usual, cost.high][amount] ?? cost.high);
    case 'band': {
      const band = cost.bands.findLast(
        (candidate) => Math.abs(amount) > must(toBase(cost.quantity, candidate.over, cost.unit)),
      );
      return band ? units(band.points) : 0;
    }
    default:
      return unreachable(cost);
  }
}

/**
 * How many times it happened, for warnings and the n-th time: a count counts as many, a measure once.
 */
export const timesIn = (cost: Cost, amount: number): number => (isCounted(cost) ? amount : 1);

/** Whether its amount is a number of times. */
export const isCounted = ({ kind }: Pick<Cost, 'kind'>): boolean =>
  kind !== 'per-second' && kind !== 'per-metre' && kind !== 'band' && kind !== 'discretion';

/** Started seconds or metres past what is free. */
export const startedPast = (amount: number, beyond: number): number => startedSteps(amount - beyond);

/**
 * Whether an amount fits a cost: a count from 1, a measured value, or 0, 1, 2 for a judge's low,
 * usual, high.
 */
export function amountFits(cost: Cost, amount: number): boolean {
  if (!Number.isFinite(amount)) return false;
  if (cost.kind === 'band') return true;
  if (cost.kind === 'per-second' || cost.kind === 'per-metre') return amount >= 0;
  if (cost.kind === 'discretion') return [0, 1, 2].includes(amount);
  return Number.isInteger(amount) && amount >= 1;
}

/** The most that one mark of it costs by what is written, in points; 0 where it has no price or adds one. */
export function dearest(cost: Cost): number {
  switch (cost.kind) {
    case 'each':
    case 'per-extra-cue':
    case 'per-second':
    case 'per-metre':
      return cost.points;
    case 'band':
      return Math.max(...cost.bands.map((band) => band.points));
    case 'discretion':
      return cost.high;
    default:
      return 0;
  }
}

/** So many of what a family counts: “2.5 points”, “1 fault”. */
export const countInWords = (count: number, word: Word): Sentence =>
  say('rulebooks.cost.points', { count, word });

/**
 * The price in words, the same wherever a fault is shown: "2.5 points each, at most 5". `word` is
 * the family's measure.
 */
export function describeCost(cost: Cost, word: Word): Sentence {
  const cap = 'cap' in cost && cost.cap !== undefined ? say('rulebooks.cost.at-most', { cap: cost.cap }) : '';
  const many = (count: number): Sentence => countInWords(count, word);
  const acts = 'acts' in cost && cost.acts ? limitActs(cost, cost.acts) : null;
  switch (cost.kind) {
    case 'each':
      return say('rulebooks.cost.each', { many: many(cost.points), cap });
    case 'per-extra-cue':
      return say('rulebooks.cost.per-extra-cue', { many: many(cost.points), cap });
    case 'per-second':
      return say('rulebooks.cost.per-started-second', {
        many: many(cost.points),
        beyond: beyond(cost.beyond, 's'),
        cap,
        acts,
      });
    case 'per-metre':
      return say('rulebooks.cost.per-started-metre', {
        many: many(cost.points),
        beyond: beyond(cost.beyond, 'm'),
        cap,
        acts,
      });
    case 'discretion':
      return say('rulebooks.cost.to-usually', { low: cost.low, many: many(cost.high), usual: cost.usual });
    case 'band':
      return say('rulebooks.cost.bands', {
        bands: {
          list: cost.bands.map((band) =>
            say('rulebooks.cost.over', {
              over: band.over,
              unit: spaced(cost.unit),
              points: band.points,
            }),
          ),
          between: '; ',
        },
        acts,
      });
    case 'bonus':
      return say('rulebooks.cost.bonus', { many: many(cost.points), cap });
    case 'zero':
      return say('rulebooks.cost.exercise-zeroed');
    case 'end-run':
      return say('rulebooks.cost.run-ended');
    case 'major':
      return say('rulebooks.cost.major-fault');
    case 'attempt':
      return say('rulebooks.cost.uses-up-an-attempt');
    case 'cue':
      return say('rulebooks.cost.uses-up-a-cue');
    default:
      return unreachable(cost);
  }
}

const spaced = (unit: string): string => (unit === '°' ? unit : ` ${unit}`);

function limitActs(
  cost: Extract<Cost, { acts?: unknown }>,
  { over, does }: { readonly over: number; readonly does: Acting },
): Sentence {
  const unit = cost.kind === 'per-second' ? ' s' : cost.kind === 'per-metre' ? ' m' : spaced(cost.unit);
  return say('rulebooks.cost.acts', { over, unit, does });
}

const beyond = (limit: number, unit: string): Sentence | null =>
  limit === 0 ? null : say('rulebooks.cost.over-2', { limit, unit });
