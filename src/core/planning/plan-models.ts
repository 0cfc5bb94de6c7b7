import {
  asTrained,
  DRAW,
  EVIDENCE,
  keepingOf,
  type Posterior,
  predictorOf,
  swingAt,
  type Target,
  targetAt,
  weighElement,
} from '@/core/evidence';
import { classModel, type FitWith, type TrialClass, type TrialElement, trialOf } from '@/core/readiness';
import { addDays, type Day, daysBetween, type ElementId, ok, type Result, type Steps } from '@/core/shared';
import { logit, shrinkage } from '@/core/statistics';
import type { Growth, GrowthAim, Middles } from './growth';
import type { PlanFrame, PlanPiece } from './plan-frame';
import type { PlanAim, PlanQuestion } from './plan-question';
import { weighedForTitles } from './title-weights';

/** Draws of a dog by which its plan is made. */
const PLAN_DRAWS = 100;
const PROPOSALS_PER_DRAW = 3;

/** A trial as the plan simulates it, and which place of it is which piece. */
export type TrialModel = {
  readonly aim: Extract<PlanAim, { kind: 'trial' }>;
  readonly index: number;
  readonly model: TrialClass;
  /** Days from today. */
  readonly on: number;
};
export type PlanModels = {
  readonly growths: ReadonlyMap<ElementId, Growth>;
  readonly trials: readonly TrialModel[];
  /** When what was reached is due again: the first day on which its cold chance is .05 down; null: within a year never. */
  readonly due: ReadonlyMap<ElementId, Day | null>;
  /** What a clean go at each aim is worth where that is said, by aim and element. */
  readonly said: readonly (ReadonlyMap<ElementId, number> | null)[];
};

/**
 * Fits every element that a plan may hold and lays it on its aims. Yields the share done. Fails as the fits
 * do, and as a class does that is not wholly broken down.
 */
export function* modelsOf(
  { frame, dogs }: PlanQuestion,
  fit?: FitWith,
  coarse = false,
  draws: number = PLAN_DRAWS,
): Steps<Result<PlanModels>> {
  const trials: TrialModel[] = [];
  const said: (ReadonlyMap<ElementId, number> | null)[] = [];
  const growths = new Map<ElementId, Growth>();
  const due = new Map<ElementId, Day | null>();
  const all = dogs.reduce((sum, one) => sum + one.aims.length, 0) || 1;
  for (const { dog, elements, aims } of dogs) {
    const found = new Map<ElementId, { posterior: Posterior; aims: GrowthAim[] }>();
    for (const aim of aims) {
      const index = said.length;
      said.push(aim.kind === 'demand' ? new Map(aim.weights) : null);
      const on = daysBetween(frame.today, aim.day);
      if (aim.kind === 'trial') {
        const model = yield* classModel(aim.input, aim.assumptions, draws, fit, coarse);
        if (!model.ok) return model;
        trials.push({ aim, index, model: model.value, on });
        for (const place of placesIn(model.value)) {
          const known = found.get(place.id) ?? { posterior: place.posterior, aims: [] };
          found.set(place.id, known);
          known.aims.push(atTrial(place, aim, index, on, idleOf(frame, place.id, place.posterior)));
        }
      } else {
        for (const [id] of aim.weights) {
          const evidence = elements.find((one) => one.id === id);
          const piece = frame.pieces.find((one) => one.id === id);
          if (!evidence || !piece) continue;
          const weighed = weighElement(evidence, frame.today, undefined, draws, PROPOSALS_PER_DRAW * draws);
          if (!weighed.ok) return weighed;
          const { posterior } = weighed.value;
          const demand = piece.rungs.at(-1)?.criteria ?? {};
          const target = targetAt(evidence.axes, demand, 'either');
          if (!target.ok) return target;
          const idle = idleOf(frame, id, posterior);
          found.set(id, { posterior, aims: [atDemand(posterior, target.value, index, on, idle)] });
        }
      }
      yield said.length / all;
    }
    for (const [id, { posterior, aims: growthAims }] of found) {
      const piece = frame.pieces.find((one) => one.id === id && one.dog === dog);
      const evidence =
        elements.find((one) => one.id === id) ??
        aims.flatMap((aim) => (aim.kind === 'trial' ? aim.input.elements : [])).find((one) => one.id === id);
      if (!piece || !evidence) continue;
      const middles = middlesOf(piece, evidence.axes, posterior, growthAims, idleOf(frame, id, posterior));
      if (!middles.ok) return middles;
      const stands = targetAt(evidence.axes, piece.rungs[piece.stands]?.criteria ?? {}, 'as-said');
      if (!stands.ok) return stands;
      if (piece.worked.length > 0) {
        const { dueAfter } = keepingOf(posterior, stands.value);
        due.set(id, dueAfter === null ? null : addDays(frame.today, dueAfter - idleOf(frame, id, posterior)));
      }
      growths.set(id, {
        piece,
        idle: idleOf(frame, id, posterior),
        middles: middles.value,
        aims: growthAims,
      });
    }
  }
  const weighed = weighedForTitles(trials, draws);
  return weighed.ok ? ok({ growths, trials: weighed.value, due, said }) : weighed;
}

/** Days since a piece was worked, in the log or outside of it: what was used at home is not forgotten. */
function idleOf({ pieces, today }: PlanFrame, id: ElementId, { idle }: Posterior): number {
  const last = pieces.find((one) => one.id === id)?.worked.at(-1);
  return last === undefined ? idle : Math.min(idle, daysBetween(last, today));
}

const placesIn = (model: TrialClass): TrialElement[] =>
  model.exercises.flatMap((exercise) => [...exercise.elements]);

function atTrial(
  { posterior, target }: TrialElement,
  aim: Extract<PlanAim, { kind: 'trial' }>,
  index: number,
  on: number,
  idle: number,
): GrowthAim {
  const { assumptions } = aim;
  const when = { ...trialOf(assumptions, posterior), gap: idle };
  return {
    aim: index,
    on,
    ...columnsOfDraws(posterior),
    eta: byDraw(posterior, (i) => predictorOf(posterior, i, target, when)),
    // On the day: its swing, nerves, and what the level drifts until then.
    shrink: byDraw(posterior, (i) =>
      shrinkage(swingAt(posterior, i) ** 2 + assumptions.nervesSd ** 2 + EVIDENCE.driftPerDay * on),
    ),
    ceiling: logit(assumptions.ceiling),
    rehearsed: aim.weight > 0,
  };
}

/** No more is bought by training than this chance of a clean go. */
const CEILING = 0.97;

function atDemand(posterior: Posterior, target: Target, index: number, on: number, idle: number): GrowthAim {
  const when = { ...asTrained(posterior), cold: 1, gap: idle };
  return {
    aim: index,
    on,
    ...columnsOfDraws(posterior),
    eta: byDraw(posterior, (i) => predictorOf(posterior, i, target, when)),
    shrink: byDraw(posterior, (i) => shrinkage(swingAt(posterior, i) ** 2 + EVIDENCE.driftPerDay * on)),
    ceiling: logit(CEILING),
    rehearsed: false,
  };
}

const byDraw = ({ count }: Posterior, of: (draw: number) => number): Float64Array =>
  Float64Array.from({ length: count }, (_, i) => of(i));

const columnsOfDraws = (posterior: Posterior): Pick<GrowthAim, 'gain' | 'loss' | 'rate'> => {
  const { draws, width } = posterior;
  const column = (place: number): Float64Array =>
    byDraw(posterior, (i) => draws[i * width + place] as number);
  return {
    gain: column(DRAW.gain),
    loss: column(DRAW.loss),
    rate: column(DRAW.lasting).map((log) => Math.exp(-log)),
  };
};

function middlesOf(
  piece: PlanPiece,
  axes: Parameters<typeof targetAt>[0],
  posterior: Posterior,
  aims: readonly GrowthAim[],
  idle: number,
): Result<Middles> {
  const home: number[] = [];
  const when = { ...asTrained(posterior), gap: idle };
  for (const { criteria } of piece.rungs) {
    const target = targetAt(axes, criteria, 'as-said');
    if (!target.ok) return target;
    home.push(middle(byDraw(posterior, (i) => predictorOf(posterior, i, target.value, when))));
  }
  const { gain, loss, rate } = columnsOfDraws(posterior);
  return ok({
    home,
    trial: aims[0] ? middle(aims[0].eta) : 0,
    gain: middle(gain),
    loss: middle(loss),
    rate: middle(rate),
    shrink: shrinkage(middle(byDraw(posterior, (i) => swingAt(posterior, i))) ** 2),
  });
}

const middle = (values: Float64Array): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
