import { addDays, asId, type Day, type DogId, type ElementId } from '@/core/shared';
import { logit } from '@/core/statistics';
import type { Growth, GrowthAim } from './growth';
import type { Load } from './loads';
import type { PlanDay, PlanDog, PlanFrame, PlannedBout, PlanPiece } from './plan-frame';
import type { PlanModels } from './plan-models';

export const TODAY = '2026-03-02' as Day;
export const DOG = asId<DogId>('d');
export const pieceId = (text: string): ElementId => asId<ElementId>(text);
export const day = (count: number): Day => addDays(TODAY, count);

export const NONE: Readonly<Record<Load, number>> = {
  jumps: 0,
  'sharp-turns': 0,
  'upright-holds': 0,
  'run-metres': 0,
};

export const aDay = (count: number, change: Partial<PlanDay> = {}): PlanDay => ({
  day: day(count),
  minutes: 30,
  strange: false,
  helper: true,
  hot: false,
  ...change,
});

export const aDog = (change: Partial<PlanDog> = {}): PlanDog => ({
  id: DOG,
  limits: [],
  heaviest: NONE,
  done: [],
  from: TODAY,
  daysAWeek: 7,
  warmUp: 5,
  trialDays: [],
  ...change,
});

/** A piece of five rungs, ten minutes and ten goes a bout; `perGo` on every rung. */
export const aPiece = (
  id: string,
  change: Partial<PlanPiece> = {},
  perGo: Partial<Record<Load, number>> = {},
) =>
  ({
    id: pieceId(id),
    dog: DOG,
    rungs: Array.from({ length: 5 }, (_, rung) => ({
      criteria: { [id]: rung },
      perGo: { ...NONE, ...perGo },
    })) as PlanPiece['rungs'],
    stands: 2,
    neverLower: false,
    minutes: 10,
    goes: 10,
    setSize: 5,
    guessed: false,
    bodily: false,
    lively: false,
    needsHelper: false,
    restDays: 0,
    notBefore: null,
    needs: [],
    links: [],
    worked: [],
    ...change,
  }) satisfies PlanPiece;

export const aFrame = (pieces: readonly PlanPiece[], change: Partial<PlanFrame> = {}): PlanFrame => ({
  today: TODAY,
  days: Array.from({ length: 21 }, (_, d) => aDay(d, { minutes: d % 2 === 1 ? 30 : 0 })),
  dogs: [aDog()],
  pieces,
  ...change,
});

export const aBout = (piece: PlanPiece, count: number, change: Partial<PlannedBout> = {}): PlannedBout => ({
  slot: null,
  day: day(count),
  dog: piece.dog,
  piece: piece.id,
  rung: piece.stands,
  purpose: 'build',
  goes: piece.goes,
  sets: 2,
  minutes: piece.minutes,
  pinned: false,
  why: null,
  ...change,
});

/** What is believed of a piece: logits at the top and at the start, what a session adds, what a gap takes. */
export type Believed = {
  readonly top: number;
  readonly start: number;
  readonly gain: number;
  readonly loss: number;
  readonly weight: number;
};
export const BELIEVED: Believed = { top: 0.5, start: 3, gain: 0.15, loss: 0.6, weight: 1 };
const LASTING = 30;

/** Models of pieces without a simulation: each is worth its chance at the demand, `on` days from today. */
export function modelsOfPieces(
  pieces: readonly PlanPiece[],
  believed: (piece: PlanPiece) => Believed,
  on: number,
  rehearsed = false,
): PlanModels {
  const growths = new Map<ElementId, Growth>();
  for (const piece of pieces) {
    if (piece.links.length > 0) continue;
    const { top, start, gain, loss } = believed(piece);
    const many = (value: number): Float64Array => Float64Array.from([value - 0.3, value, value + 0.3]);
    const flat = (value: number): Float64Array => new Float64Array(3).fill(value);
    const rungs = piece.rungs.length;
    const aim: GrowthAim = {
      aim: 0,
      on,
      eta: many(top),
      gain: flat(gain),
      loss: flat(loss),
      rate: flat(1 / LASTING),
      shrink: flat(0.9),
      ceiling: logit(0.97),
      rehearsed,
    };
    growths.set(piece.id, {
      piece,
      idle: 3,
      middles: {
        home: Array.from({ length: rungs }, (_, r) => start + ((top - start) * r) / Math.max(1, rungs - 1)),
        trial: top,
        gain,
        loss,
        rate: 1 / LASTING,
        shrink: 0.9,
      },
      aims: [aim],
    });
  }
  return {
    growths,
    trials: [],
    due: new Map(),
    said: [new Map(pieces.map((piece) => [piece.id, believed(piece).weight]))],
  };
}
