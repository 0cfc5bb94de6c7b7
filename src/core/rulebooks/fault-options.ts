import { must, toBase } from '@/core/shared';
import type { FaultOption } from './compile';
import type { PreparedExercise } from './families/family';
import type { Cost, Fault } from './families/fault-schema';

/**
 * The options of an exercise in the order of the rule book; those of one element by filtering on `element`. `amount` is what goes on the
 * sheet when nothing was measured: one count, the fault's usual measure, a value inside the band, or a judge's low, usual or high.
 */
export function faultOptions(exercise: Pick<PreparedExercise, 'faults'>): FaultOption[] {
  return exercise.faults.flatMap(({ fault }) => optionsOf(fault));
}

function optionsOf(fault: Fault): FaultOption[] {
  const { cost } = fault;
  if (cost.kind === 'discretion') return ['minor', 'usual', 'severe'].map((word, i) => option(fault, `:${i}`, `${fault.title}, ${word}`, i));
  if (cost.kind !== 'band') return [option(fault, '', fault.title, usualAmount(cost))];
  return cost.bands.map((band, i) => {
    const above = cost.bands[i + 1]?.over;
    const inside = above === undefined ? band.over * 1.5 + 1 : (band.over + above) / 2;
    const unit = cost.unit === '°' ? '°' : ` ${cost.unit}`;
    const words = above === undefined ? `over ${band.over}${unit}` : `${band.over}–${above}${unit}`;
    return option(fault, `:${i}`, `${fault.title}, ${words}`, must(toBase(cost.quantity, inside, cost.unit)));
  });
}

function usualAmount(cost: Exclude<Cost, { kind: 'band' | 'discretion' }>): number {
  if (cost.kind === 'per-second' || cost.kind === 'per-metre') return cost.beyond + cost.usual;
  return cost.kind === 'per-extra-cue' ? cost.usual : 1;
}

function option(fault: Fault, suffix: string, label: string, amount: number): FaultOption {
  const implied = fault.cost.kind === 'zero' || fault.cost.kind === 'end-run';
  const { element, by, miss } = fault;
  return { key: `${fault.id}${suffix}`, fault: fault.id, label, element, by, miss, stops: fault.stops || implied, amount };
}
