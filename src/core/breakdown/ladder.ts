import * as v from 'valibot';
import { type FaultRef, faultRefSchema } from '@/core/rulebooks';
import { type AxisKey, asId, fail, type Result, say } from '@/core/shared';
import type { Axis } from './axis';
import { type Criteria, placeOn, sameCriteria } from './place';
import { axisScale, stepSize } from './scale';
import { axisSeries } from './series';

export const criteriaSchema = v.pipe(
  v.record(v.string(), v.pipe(v.number(), v.finite())),
  v.transform((values) => values as Criteria),
);

/**
 * One value that a person set by hand. It lies over the rungs whose planned values are `on`; where
 * today's ladder has none, it waits (`waitingEdits`).
 */
export const cellEditSchema = v.strictObject({
  on: criteriaSchema,
  axis: v.pipe(v.string(), v.transform(asId<AxisKey>)),
  value: v.pipe(v.number(), v.finite()),
});
export type CellEdit = v.InferOutput<typeof cellEditSchema>;

export type Rung = {
  readonly criteria: Criteria;
  /** What the rule plans here, before anything was set by hand. */
  readonly planned: Criteria;
  /**
   * The axis that this rung raises by plan; null on the first rung and where an eased axis only
   * returns.
   */
  readonly raises: AxisKey | null;
  /** Axes that this rung eases by plan; such easing breaks no check. */
  readonly eases: readonly AxisKey[];
  /** How many planned rungs just below this one are skipped. */
  readonly skipped: number;
  /**
   * Faults that are noted on this rung and do not spoil a clean rep: running in is let pass early,
   * crookedness before speed.
   */
  readonly noted: readonly FaultRef[];
};
export type Ladder = { readonly axes: readonly Axis[]; readonly rungs: readonly Rung[] };

/** A rung that a person set down: its values, and which axes it eases on purpose. */
export const handRungSchema = v.strictObject({
  criteria: criteriaSchema,
  eases: v.array(v.pipe(v.string(), v.transform(asId<AxisKey>))),
});
export type HandRung = v.InferOutput<typeof handRungSchema>;

export const LADDER_RULES = ['one-axis', 'round-robin', 'by-hand'] as const;
export type LadderRule = (typeof LADDER_RULES)[number];

/** From which criteria on a fault spoils a rep; faults that are not listed always do. */
export const countsFromSchema = v.strictObject({ fault: faultRefSchema, from: criteriaSchema });
export type CountsFrom = v.InferOutput<typeof countsFromSchema>;

/** All that a ladder is built from. It is never stored built. */
export type LadderPlan = {
  readonly axes: readonly Axis[];
  readonly edits?: readonly CellEdit[];
  readonly ladderRule?: LadderRule;
  readonly byHand?: readonly HandRung[];
  readonly countsFrom?: readonly CountsFrom[];
  /** Planned values of rungs that are left out: this dog needs no such step. */
  readonly skips?: readonly Criteria[];
  /** Where the person never lowers what was met, no rung eases anything. */
  readonly policy?: { readonly pace: { readonly ratchet: 'back' | 'keep' } };
};

/**
 * Builds a ladder by its rule. *One axis at a time* (default): axes climb in their order; when one is raised
 * for the first time, the axes it names ease by one step for that rung (those that have climbed, and never
 * below their floor) and return one per rung to the values already met; from then on it climbs alone. *Round
 * robin*: the axes take a step each in turn. *By hand*: the rungs that were set down. What is skipped is left
 * out, but for the first rung and the last; hand-set cells are laid over the rest. Axes with a broken scale
 * stay at their start; `checkLadder` says why.
 */
export function buildLadder(plan: LadderPlan): Ladder {
  const { axes, edits = [], countsFrom = [] } = plan;
  const rungs = keptRungs(plan).map((rung): Rung => {
    const cells = edits.filter((edit) => sameCriteria(axes, edit.on, rung.criteria));
    const byHand = Object.fromEntries(cells.map((edit) => [edit.axis, edit.value]));
    return { ...rung, planned: rung.criteria, noted: [], criteria: { ...rung.criteria, ...byHand } };
  });
  const starts = countsFrom.map(({ fault, from }) => ({ fault, at: placeOn({ axes, rungs }, from).rung }));
  const noted = (i: number): FaultRef[] => starts.filter(({ at }) => at > i).map(({ fault }) => fault);
  return { axes, rungs: rungs.map((rung, i) => ({ ...rung, noted: noted(i) })) };
}

/** The planned rungs without those that are skipped. A ladder has a rung at least: the start. */
function keptRungs({ axes, ladderRule = 'one-axis', byHand = [], skips = [], policy }: LadderPlan) {
  const easing = policy?.pace.ratchet === 'keep' ? axes.map((axis) => ({ ...axis, eases: [] })) : axes;
  const laid = plannedRungs(easing, ladderRule, byHand);
  const planned = laid.length > 0 ? laid : [startRung(axes)];
  const kept: (Planned & { readonly skipped: number })[] = [];
  let skipped = 0;
  for (const [i, rung] of planned.entries()) {
    const inside = i > 0 && i < planned.length - 1;
    if (inside && skips.some((skip) => sameCriteria(axes, skip, rung.criteria))) skipped++;
    else {
      kept.push({ ...rung, skipped });
      skipped = 0;
    }
  }
  return kept;
}

/** Values set by hand that lie on no rung of today's ladder. */
export function waitingEdits({ edits = [], ...plan }: LadderPlan): CellEdit[] {
  const { axes, rungs } = buildLadder(plan);
  return edits.filter((edit) => !rungs.some((rung) => sameCriteria(axes, edit.on, rung.planned)));
}

type Planned = Omit<Rung, 'noted' | 'planned' | 'skipped'>;

const startRung = (axes: readonly Axis[]): Planned => ({
  criteria: Object.fromEntries(axes.map((axis) => [axis.key, axis.start])),
  raises: null,
  eases: [],
});

function plannedRungs(axes: readonly Axis[], rule: LadderRule, byHand: readonly HandRung[]): Planned[] {
  switch (rule) {
    case 'one-axis':
      return oneAxisAtATime(axes);
    case 'round-robin':
      return roundRobin(axes);
    case 'by-hand':
      return byHand.map((rung, i) => ({ ...rung, raises: raisedBy(axes, byHand[i - 1], rung) }));
  }
}

function raisedBy(axes: readonly Axis[], below: HandRung | undefined, rung: HandRung): AxisKey | null {
  if (!below) return null;
  const up = axes.find(
    (axis) =>
      stepSize(axis, below.criteria[axis.key] ?? axis.start, rung.criteria[axis.key] ?? axis.start) > 1e-9,
  );
  return up?.key ?? null;
}

/** Where each axis stands in its own series while a ladder is being laid. */
function climber(axes: readonly Axis[]) {
  const series = new Map(axes.map((axis) => [axis.key, axisSeries(axis)]));
  const place = new Map(axes.map((axis) => [axis.key, 0]));
  return {
    steps: (key: AxisKey): number => (series.get(key)?.length ?? 1) - 1,
    at: (key: AxisKey): number => place.get(key) ?? 0,
    put: (key: AxisKey, to: number): void => void place.set(key, to),
    criteria: (): Criteria =>
      Object.fromEntries(
        axes.map((axis) => [axis.key, series.get(axis.key)?.[place.get(axis.key) ?? 0] ?? axis.start]),
      ),
    /**
     * The nearest place below that is easier, and not under the floor: on a signed axis the other side at
     * the same width is not. −1 where there is none.
     */
    easier: (axis: Axis): number => {
      const list = series.get(axis.key) ?? [];
      const now = place.get(axis.key) ?? 0;
      const below = list.findLastIndex(
        (value, i) => i < now && stepSize(axis, value, list[now] as number) > 1e-9,
      );
      const under = axis.floor !== undefined && stepSize(axis, axis.floor, list[below] as number) < -1e-9;
      return under ? -1 : below;
    },
  };
}

function oneAxisAtATime(axes: readonly Axis[]): Planned[] {
  const climb = climber(axes);
  const rungs: Planned[] = [{ criteria: climb.criteria(), raises: null, eases: [] }];
  for (const axis of axes) {
    for (let step = 1; step <= climb.steps(axis.key); step++) {
      const easing = step === 1 ? axes : [];
      const eased = easing
        .filter((other) => axis.eases.includes(other.key) && climb.easier(other) >= 0)
        .map((other) => ({ other, back: climb.at(other.key) }));
      climb.put(axis.key, step);
      for (const { other } of eased) climb.put(other.key, climb.easier(other));
      rungs.push({
        criteria: climb.criteria(),
        raises: axis.key,
        eases: eased.map(({ other }) => other.key),
      });
      for (const { other, back } of eased) {
        climb.put(other.key, back);
        rungs.push({ criteria: climb.criteria(), raises: null, eases: [] });
      }
    }
  }
  return rungs;
}

function roundRobin(axes: readonly Axis[]): Planned[] {
  const climb = climber(axes);
  const rungs: Planned[] = [{ criteria: climb.criteria(), raises: null, eases: [] }];
  const longest = Math.max(...axes.map((axis) => climb.steps(axis.key)));
  for (let round = 1; round <= longest; round++) {
    for (const axis of axes) {
      if (round > climb.steps(axis.key)) continue;
      climb.put(axis.key, round);
      rungs.push({ criteria: climb.criteria(), raises: axis.key, eases: [] });
    }
  }
  return rungs;
}

/**
 * Difficulty of a criterion vector on each axis, in the order of the axes. Fails as `axisScale`
 * does, and with `value` for one that has no ratio.
 */
export function difficulties(axes: readonly Axis[], criteria: Criteria): Result<number[]> {
  const found: number[] = [];
  for (const axis of axes) {
    const scale = axisScale(axis);
    if (!scale.ok) return scale;
    const value = criteria[axis.key] ?? axis.start;
    const difficulty = scale.value.difficulty(value);
    if (!Number.isFinite(difficulty))
      return fail(
        'value',
        axis.key,
        say('breakdown.ladder.has-no-place-on-this-axis-a-by', {
          title: axis.title,
          value,
          quantity: axis.quantity,
        }),
      );
    found.push(difficulty);
  }
  return { ok: true, value: found };
}

/** What the hardest exercise asks, as a criterion vector. */
export function demandOf(axes: readonly Axis[]): Criteria {
  return Object.fromEntries(axes.map((axis) => [axis.key, axis.demand]));
}
