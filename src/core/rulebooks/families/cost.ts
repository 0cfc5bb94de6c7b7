import { must, toBase, unreachable } from '@/core/shared';
import type { Cost } from './fault-schema';

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

/**
 * The price in words, the same wherever a fault is shown: "2.5 points each, at most 5". `word` is
 * the family's measure.
 */
export function describeCost(cost: Cost, word: string): string {
  const cap = 'cap' in cost && cost.cap !== undefined ? `, at most ${cost.cap}` : '';
  const many = (value: number): string => `${value} ${value === 1 ? word : `${word}s`}`;
  switch (cost.kind) {
    case 'each':
      return `${many(cost.points)} each${cap}`;
    case 'per-extra-cue':
      return `${many(cost.points)} per extra cue${cap}`;
    case 'per-second':
      return `${many(cost.points)} per started second${beyond(cost.beyond, 's')}${cap}`;
    case 'per-metre':
      return `${many(cost.points)} per started metre${beyond(cost.beyond, 'm')}${cap}`;
    case 'discretion':
      return `${cost.low} to ${many(cost.high)}, usually ${cost.usual}`;
    case 'band':
      return cost.bands
        .map((band) => `over ${band.over}${cost.unit === '°' ? '°' : ` ${cost.unit}`}: ${band.points}`)
        .join('; ');
    case 'zero':
      return 'exercise zeroed';
    case 'end-run':
      return 'run ended';
    case 'major':
      return 'major fault';
    case 'attempt':
      return 'uses up an attempt';
    case 'cue':
      return 'uses up a cue';
    default:
      return unreachable(cost);
  }
}

const beyond = (limit: number, unit: string): string => (limit === 0 ? '' : ` over ${limit} ${unit}`);
