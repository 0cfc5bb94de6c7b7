import type { Interval } from '@/core/evidence';
import { type FitWith, passOf, type SimulationSize, share } from '@/core/readiness';
import { daysBetween, ok, type Result, type Steps } from '@/core/shared';
import { quantile } from '@/core/statistics';
import { exchange } from './exchange';
import { fillDays, without } from './fill';
import { layJoins } from './joins';
import { inLessonOrder } from './lesson-order';
import { openDeskOf, type PlanDesk } from './plan-desk';
import type { PlanFrame, PlannedBout } from './plan-frame';
import { modelsOf, type PlanModels } from './plan-models';
import type { PlanQuestion, WeeksPlan } from './plan-question';
import { planValue } from './plan-value';
import { lateIn } from './ready-date';

/** What is told on the way: the share done, or a coarse plan before the fine one. */
export type PlanTold = number | { readonly plan: WeeksPlan };

/** A coarse plan is made of fewer draws and without exchanges. */
const COARSE = { draws: 30, size: { groups: 30, runs: 20 } } as const;
/** As many draws as the models have, and runs for a chance of passing within .01. */
const FINE: SimulationSize = { groups: 100, runs: 100 };

/**
 * Plans the weeks of a handler's dogs: days filled by the gain in the chance of passing for each minute, then
 * exchanged (computation.md §7). Keeps every limit of the frame; what is pinned stays. Same question, same
 * plan. A plan is as good as its beliefs: what was really done is read anew each time. Fails as `modelsOf`
 * does.
 */
export function* planWeeks(
  question: PlanQuestion,
  fit?: FitWith,
  first = false,
): Steps<Result<WeeksPlan>, PlanTold> {
  const { frame, pinned } = question;
  if (first) {
    const coarse = yield* share(modelsOf(question, fit, true, COARSE.draws), 0, 0.1);
    if (!coarse.ok) return coarse;
    const plan = yield* share(choosePlan(frame, coarse.value, pinned, COARSE.size, 0), 0.1, 0.1);
    yield { plan };
  }
  const models = yield* share(modelsOf(question, fit), 0.2, 0.3);
  if (!models.ok) return models;
  return ok(yield* share(choosePlan(frame, models.value, pinned), 0.5, 0.5));
}

/** Times that importance is looked at anew and the days are filled again. */
const LOOKS = 2;

/**
 * The same of models that are fitted already.
 * @internal
 */
export function* choosePlan(
  frame: PlanFrame,
  models: PlanModels,
  pinned: readonly PlannedBout[],
  size: SimulationSize = FINE,
  rounds?: number,
): Steps<WeeksPlan> {
  const value = planValue(frame, models, size);
  let best: { desk: PlanDesk; worth: number } | null = null;
  value.look(openDeskOf(frame, value, pinned).days());
  yield 0.05;
  for (let look = 0; look < (rounds === 0 ? 1 : LOOKS); look++) {
    const desk = openDeskOf(frame, value, pinned);
    yield* paused(fillDays(desk), 0.05 + 0.3 * look);
    const worth = value.simulated(desk.days());
    if (!best || worth > best.worth) best = { desk, worth };
    // A coarse plan is judged by how things stand before it.
    if (rounds !== 0) value.look(desk.days());
    yield 0.05 + 0.3 * (look + 1);
  }
  const { desk } = best as { desk: PlanDesk };
  if (rounds !== 0) yield* share(exchange(desk, rounds), 0.65, 0.3);
  layJoins(desk);
  return {
    bouts: inLessonOrder(frame, finished(desk)),
    trials: models.trials.map((trial) => ({
      trial: trial.aim.trial,
      without: passOf(value.runs(trial, new Map(), size)),
      planned: passOf(value.runs(trial, desk.days(), size)),
    })),
    late: lateIn(frame, models, desk),
    due: [...models.due],
  };
}

function* paused<T>(steps: Steps<T, null>, at: number): Steps<T> {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    yield at;
  }
}

/** So often clean at home on the top: it is kept, not built. */
const KEPT_FROM = 0.9;

/** Every bout with its purpose and its reason. */
function finished({ frame, value, book, days }: PlanDesk): PlannedBout[] {
  return frame.pieces.flatMap((piece) => {
    const own = days().get(piece.id) ?? [];
    const sessions = value.sessions(piece.id, own);
    const top = piece.rungs.length - 1;
    return book.ofPiece(piece.id).map((bout): PlannedBout => {
      const at = daysBetween(frame.today, bout.day);
      const session = sessions.find((one) => one.day === at);
      const strange = frame.days[at]?.strange === true;
      if (piece.links.length > 0 || !session) return bout;
      const why = reasonOf(value.gains(piece.id, own, without(own, at)));
      if (bout.pinned) return { ...bout, why };
      const purpose = session.rehearsal
        ? 'rehearse'
        : session.rung < top || session.clean < KEPT_FROM
          ? session.rung === top && strange
            ? 'proof'
            : 'build'
          : strange
            ? 'proof'
            : 'keep';
      return { ...bout, purpose, why };
    });
  });
}

const reasonOf = (gains: Float64Array): Interval => {
  const mid = gains.reduce((sum, one) => sum + one, 0) / Math.max(1, gains.length);
  return {
    low: Math.min(mid, quantile(gains, 0.1)),
    mid,
    high: Math.max(mid, quantile(gains, 0.9)),
  };
};
