import { preparedTrials, type Runs, type SimulationSize, simulateTrials } from '@/core/readiness';
import { type Day, daysBetween, type ElementId } from '@/core/shared';
import { addedBy, chanceAtAim, type Growth, type Session, sessionsOn } from './growth';
import type { PlanFrame } from './plan-frame';
import type { PlanModels, TrialModel } from './plan-models';

/** Runs of each draw: 2,000 in all of a hundred draws, by which an exchange is judged; fewer to look by. */
const RUNS = { exchange: 20, look: 6 } as const;

/** Days of sessions by piece, from today, ascending. */
export type Days = ReadonlyMap<ElementId, readonly number[]>;

const NONE: readonly number[] = [];

/** What the planner asks of its models, again and again. */
export type PlanValue = {
  readonly sessions: (piece: ElementId, days: readonly number[]) => Session[];
  /** What sessions on these days are worth for a piece, by the importance at hand. */
  readonly ofPiece: (piece: ElementId, days: readonly number[]) => number;
  /**
   * The same draw by draw, less what the other days are worth; in chances of passing, or of a clean go where no
   * trial asks the piece, without the weights.
   */
  readonly gains: (piece: ElementId, days: readonly number[], without: readonly number[]) => Float64Array;
  /** Looks at importance anew, where the plan stands now. */
  readonly look: (days: Days) => void;
  /** The chance of passing each trial, simulated, × its weight, and what else is wanted. */
  readonly simulated: (days: Days) => number;
  readonly runs: (trial: TrialModel, days: Days, size: SimulationSize) => Runs;
};

/**
 * The value of a plan. A piece’s worth at an aim is its chance of a clean go there × importance, the rise in
 * the chance of passing for each rise in that chance, all else as planned: V is linear in each piece’s chance
 * while the others stay, so that levelling off and overlearning are exact, and only what pieces do to each
 * other has to be looked at again (`look`). Importance comes from paired simulations with a piece lifted by
 * one logit (∂V/∂η = E[1{pass}(1{clean} − p)] = p(1 − p) × importance; from one simulation its noise is as
 * large as most of its values).
 */
export function planValue(
  frame: PlanFrame,
  { growths, trials, said }: PlanModels,
  { groups }: Pick<SimulationSize, 'groups'>,
): PlanValue {
  const [EXCHANGE, LOOK] = [
    { groups, runs: RUNS.exchange },
    { groups, runs: RUNS.look },
  ];
  const importance = said.map((one) => new Map<ElementId, number>(one ?? []));
  const topFrom = new Map(frame.pieces.map((piece) => [piece.id, daysTo(frame, piece.notBefore)]));
  const worked = new Map(
    frame.pieces.map((piece) => [piece.id, piece.worked.map((day) => daysTo(frame, day))]),
  );
  const known = new Map<string, Session[]>();
  const sessions = (id: ElementId, days: readonly number[]): Session[] => {
    const growth = growths.get(id);
    if (!growth || days.length === 0) return [];
    const key = `${id} ${days.join()}`;
    const found = known.get(key);
    if (found) return found;
    const laid = sessionsOn(growth, days, worked.get(id) ?? NONE, topFrom.get(id) ?? 0);
    known.set(key, laid);
    if (known.size > KEPT) known.delete(known.keys().next().value as string);
    return laid;
  };
  const worthAt = (growth: Growth, laid: readonly Session[], each?: (a: number) => Float64Array): number => {
    let sum = 0;
    for (const [a, aim] of growth.aims.entries()) {
      const weight = importance[aim.aim]?.get(growth.piece.id) ?? 0;
      if (weight === 0 && !each) continue;
      const { total, last } = addedBy(laid, aim.on);
      const gap = last === null ? growth.idle + aim.on : aim.on - last;
      sum += weight * chanceAtAim(growth.idle, aim, total, Math.max(0, gap), each?.(a));
    }
    return sum;
  };
  const changeOf = (trial: TrialModel, days: Days) => {
    const places = trial.model.exercises.flatMap((exercise) => exercise.elements);
    const added = places.map(({ id, posterior }) => {
      const { total, last } = addedBy(sessions(id, days.get(id) ?? NONE), trial.on);
      return {
        total,
        gap: last === null ? (growths.get(id)?.idle ?? posterior.idle) + trial.on : trial.on - last,
      };
    });
    return {
      places,
      change: {
        sessionsOf: added.map((one) => one.total),
        gapOf: added.map((one) => one.gap),
        days: trial.on,
      },
    };
  };
  const weights = new Map(trials.map(({ index, aim }) => [index, aim.weight]));
  /** Importance without what the dog, or the piece, is worth beside others: what a reason is said in. */
  const plainly = (aim: number, id: ElementId): number => {
    const weight = weights.get(aim) ?? said[aim]?.get(id) ?? 0;
    return weight === 0 ? 0 : (importance[aim]?.get(id) ?? 0) / weight;
  };
  const prepared = new Map<string, ReturnType<typeof preparedTrials>>();
  const share = (trial: TrialModel, days: Days, size: SimulationSize, lift?: readonly number[]): number => {
    const { model, aim, index } = trial;
    const key = `${index} ${size.groups} ${size.runs}`;
    const run = prepared.get(key) ?? preparedTrials(model, aim.assumptions, aim.seed, size);
    prepared.set(key, run);
    const { passesByGroup } = run({ ...changeOf(trial, days).change, ...(lift && { lift }) });
    return passesByGroup.reduce((sum, one) => sum + one, 0) / (size.groups * size.runs);
  };
  // Only the sessions of its own pieces move a trial: what was simulated once is known.
  const shares = new Map<string, number>();
  const shareKept = (trial: TrialModel, days: Days, size: SimulationSize): number => {
    const ids = new Set(trial.model.exercises.flatMap((one) => one.elements.map(({ id }) => id)));
    const key = `${trial.index} ${size.groups * size.runs} ${[...ids].map((id) => days.get(id) ?? '').join(';')}`;
    const found = shares.get(key) ?? share(trial, days, size);
    shares.set(key, found);
    return found;
  };

  return {
    sessions,
    ofPiece: (id, days) => {
      const growth = growths.get(id);
      return growth ? worthAt(growth, sessions(id, days)) : 0;
    },
    gains: (id, days, without) => {
      const growth = growths.get(id);
      if (!growth) return new Float64Array(0);
      const draws = growth.aims[0]?.eta.length ?? 0;
      const by = (laid: readonly Session[]): Float64Array[] => {
        const each = growth.aims.map(() => new Float64Array(draws));
        worthAt(growth, laid, (a) => each[a] as Float64Array);
        return each;
      };
      const [now, then] = [by(sessions(id, days)), by(sessions(id, without))];
      return Float64Array.from({ length: draws }, (_, i) =>
        growth.aims.reduce(
          (sum, aim, a) => sum + plainly(aim.aim, id) * ((now[a]?.[i] as number) - (then[a]?.[i] as number)),
          0,
        ),
      );
    },
    look: (days) => {
      for (const trial of trials) {
        if (trial.aim.weight === 0) continue;
        const { places } = changeOf(trial, days);
        const before = share(trial, days, LOOK);
        for (const id of new Set(places.map((one) => one.id))) {
          const growth = growths.get(id);
          const aims = growth?.aims.filter((one) => one.aim === trial.index) ?? [];
          if (!growth || aims.length === 0) continue;
          const { total, last } = addedBy(sessions(id, days.get(id) ?? NONE), trial.on);
          const gap = Math.max(0, last === null ? growth.idle + trial.on : trial.on - last);
          let rise = 0;
          for (const aim of aims)
            rise +=
              chanceAtAim(growth.idle, aim, total, gap, undefined, LIFT) -
              chanceAtAim(growth.idle, aim, total, gap);
          const lift = places.map((one) => (one.id === id ? LIFT : 0));
          const gained = rise > LEAST ? (share(trial, days, LOOK, lift) - before) / rise : 0;
          importance[trial.index]?.set(id, trial.aim.weight * Math.max(0, gained));
        }
      }
    },
    simulated: (days) => {
      let sum = 0;
      for (const trial of trials)
        if (trial.aim.weight > 0) sum += trial.aim.weight * shareKept(trial, days, EXCHANGE);
      for (const growth of growths.values())
        for (const aim of growth.aims) {
          const weight = said[aim.aim]?.get(growth.piece.id) ?? 0;
          if (weight === 0) continue;
          const { total, last } = addedBy(
            sessions(growth.piece.id, days.get(growth.piece.id) ?? NONE),
            aim.on,
          );
          const gap = last === null ? growth.idle + aim.on : aim.on - last;
          sum += weight * chanceAtAim(growth.idle, aim, total, gap);
        }
      return sum;
    },
    runs: (trial, days, size) =>
      simulateTrials(trial.model, trial.aim.assumptions, trial.aim.seed, size, changeOf(trial, days).change),
  };
}

const LIFT = 1;
const LEAST = 1e-3;
const KEPT = 50_000;

const daysTo = (frame: PlanFrame, day: Day | null): number =>
  day === null ? 0 : daysBetween(frame.today, day);
