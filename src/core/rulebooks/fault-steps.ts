import { type ExerciseKey, must, type Name, type PartKey, type Sentence, say, toBase } from '@/core/shared';
import type { PreparedExercise } from './families/family';
import type { Cost, Fault } from './families/fault-schema';
import type { FaultRef } from './fault-ref';

/**
 * One thing that can be tapped or drawn: a fault, and for a banded or discretionary one each of its
 * steps.
 */
export type FaultStep = {
  readonly ref: FaultRef;
  readonly label: Name;
  readonly part: PartKey | null;
  readonly by: 'dog' | 'handler';
  readonly miss: boolean;
  readonly stops: boolean;
  /** The part is tried again after it; or the whole item is, while it has tries. */
  readonly again: 'part' | 'item' | null;
  /** It gives points: never drawn, since no rep says that a judge would give them. */
  readonly gives: boolean;
  /** It is charged for each cue beyond the first, or uses one up. */
  readonly cues: boolean;
  /**
   * What of a rep its price is worked out from, past what it begins, in base units, and whether each
   * second or metre begun costs; else null.
   */
  readonly measured: {
    readonly what: 'latency' | 'angle' | 'offset';
    readonly beyond: number;
    readonly begun: boolean;
  } | null;
  readonly amount: number;
  /** What of a rep it is charged for where that is measured, and its band in base units; null elsewhere. */
  readonly charges: {
    readonly for: 'latency' | 'angle' | 'offset' | 'cues';
    readonly from: number | null;
    readonly upTo: number | null;
  } | null;
};

/**
 * The steps of an exercise in the order of the rule book; those of one part by filtering on
 * `part`. `amount` is what goes on the sheet when nothing was measured: one count, the fault's
 * usual measure, a value inside the band, or a judge's low, usual or high.
 */
export function faultSteps(exercise: Pick<PreparedExercise, 'exercise' | 'faults'>): FaultStep[] {
  return exercise.faults.flatMap(({ fault }) => stepsOf(exercise.exercise, fault));
}

/** What a judge gives at discretion, from the least on. */
const SEVERITY = [
  say('rulebooks.fault-steps.minor'),
  say('rulebooks.fault-steps.usual'),
  say('rulebooks.fault-steps.severe'),
];

function stepsOf(exercise: ExerciseKey, fault: Fault): FaultStep[] {
  const { cost } = fault;
  if (cost.kind === 'discretion') return SEVERITY.map((severity, i) => step(exercise, fault, i, severity, i));
  if (cost.kind !== 'band') return [step(exercise, fault, null, null, usualAmount(cost))];
  return cost.bands.map((band, i) => {
    const above = cost.bands[i + 1]?.over;
    const inside = above === undefined ? band.over * 1.5 + 1 : (band.over + above) / 2;
    const unit = cost.unit === '°' ? '°' : ` ${cost.unit}`;
    const words =
      above === undefined
        ? say('rulebooks.fault-steps.over', { over: band.over, unit })
        : say('rulebooks.fault-steps.between', { low: band.over, high: above, unit });
    return step(exercise, fault, i, words, must(toBase(cost.quantity, inside, cost.unit)));
  });
}

function usualAmount(cost: Exclude<Cost, { kind: 'band' | 'discretion' }>): number {
  if (cost.kind === 'per-second' || cost.kind === 'per-metre') return cost.beyond + cost.usual;
  return cost.kind === 'per-extra-cue' ? cost.usual : 1;
}

function step(
  exercise: ExerciseKey,
  fault: Fault,
  place: number | null,
  which: Sentence | null,
  amount: number,
): FaultStep {
  const { part, by, miss, cost } = fault;
  const implied = cost.kind === 'zero' || cost.kind === 'end-run';
  return {
    ref: { exercise, key: fault.id, step: place },
    label:
      which === null ? fault.title : say('rulebooks.fault-steps.step', { title: fault.title, step: which }),
    part,
    by,
    miss,
    stops: fault.stops || implied,
    again: cost.kind === 'attempt' ? 'item' : fault.again ? 'part' : null,
    gives: cost.kind === 'bonus',
    cues: cost.kind === 'per-extra-cue' || cost.kind === 'cue',
    measured: measuredBy(cost, place),
    amount,
    charges: chargesOf(cost, place),
  };
}

/** What of a rep its price is worked out from; null where the price has nothing to do with a measure. */
function measuredBy(cost: Cost, place: number | null): FaultStep['measured'] {
  if (cost.kind === 'per-second') return { what: 'latency', beyond: cost.beyond, begun: true };
  if (cost.kind === 'per-metre') return { what: 'offset', beyond: cost.beyond, begun: true };
  if (cost.kind !== 'band') return null;
  const what = MEASURE_OF[cost.quantity];
  const band = cost.bands[place ?? 0];
  return what && band
    ? { what, beyond: must(toBase(cost.quantity, band.over, cost.unit)), begun: false }
    : null;
}

const MEASURE_OF: Readonly<Partial<Record<string, 'latency' | 'angle' | 'offset'>>> = {
  angle: 'angle',
  offset: 'offset',
  distance: 'offset',
  latency: 'latency',
  duration: 'latency',
};

/** What of a rep it is charged for where that is measured, and its band in base units. */
function chargesOf(cost: Cost, place: number | null): FaultStep['charges'] {
  switch (cost.kind) {
    case 'per-extra-cue':
      return { for: 'cues', from: null, upTo: null };
    case 'per-second':
      return { for: 'latency', from: null, upTo: null };
    case 'band': {
      const what = cost.quantity === 'distance' ? undefined : MEASURE_OF[cost.quantity];
      const base = (value: number): number => must(toBase(cost.quantity, value, cost.unit));
      const [here, next] = [cost.bands[place ?? 0], cost.bands[(place ?? 0) + 1]];
      return what && here ? { for: what, from: base(here.over), upTo: next ? base(next.over) : null } : null;
    }
    default:
      return null;
  }
}
