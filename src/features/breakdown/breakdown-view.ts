import {
  buildLadder,
  type Criteria,
  checkLadder,
  describePlace,
  type LadderPlan,
  openness,
  standingOn,
} from '@/core/breakdown';
import { type Assessed, isThin, type RodData, rodOf } from '@/core/evidence';
import { cellTotal, partStakes, prepareRules, writePoints } from '@/core/rulebooks';
import type { ElementId, PartKey } from '@/core/shared';
import type { DogState } from '@/data/live';
import { activeElements, type Breakdown, type ElementRecord, prerequisiteGraph } from '@/data/read';

export type ElementView = {
  readonly id: ElementId;
  readonly title: string;
  readonly rungInWords: string;
  readonly rods: readonly RodData[];
  readonly problems: number;
  /**
   * Chance of a clean rep at the demand and its grounds, ready to read; null while it is being
   * worked out.
   */
  readonly chance: string | null;
  readonly strength: number | null;
  /** What it waits for, in words; empty where it can be worked on. */
  readonly waits: readonly string[];
};
/** `stake` in points, null where no rule book prices it. */
export type LinkView = ElementView & {
  readonly part: PartKey;
  readonly weight: number;
  readonly stake: string | null;
};
export type ExerciseView = {
  readonly key: Breakdown['id'];
  readonly title: string;
  /** What stands beside the title: its points, or what it is for. */
  readonly aside: string;
  readonly own: Breakdown | null;
  readonly links: readonly LinkView[];
};

/** Every exercise that is broken down for the dog, link by link. */
export function exerciseViews(state: DogState, assessed: readonly Assessed[] | null): ExerciseView[] {
  return state.work.breakdowns.flatMap((breakdown) => {
    if (breakdown.own) return [ownExercise(breakdown, breakdown.own, state, assessed)];
    const book = state.work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const exercise = book?.exercises.find((candidate) => candidate.id === breakdown.exercise);
    const rules = book ? prepareRules(book.rules, book.exercises) : null;
    const scored = rules?.exercises.find((candidate) => candidate.exercise === breakdown.exercise);
    if (!rules || !exercise || !scored) return [];
    const maximum = cellTotal(scored);
    const links = breakdown.links.flatMap((link): LinkView[] => {
      const element = state.work.elements.find((candidate) => candidate.id === link.element);
      if (!element) return [];
      const stake = partStakes(scored, link.part);
      return [
        {
          ...elementView(element, state, assessed),
          part: link.part,
          weight: stake / maximum,
          stake: writePoints(rules, stake),
        },
      ];
    });
    return [
      {
        key: breakdown.id,
        title: exercise.title,
        aside: `${writePoints(rules, maximum)} points`,
        own: null,
        links,
      },
    ];
  });
}

/** An exercise that no rule book prices: every link weighs the same. */
function ownExercise(
  breakdown: Breakdown,
  own: { readonly title: string; readonly goal: string },
  state: DogState,
  assessed: readonly Assessed[] | null,
): ExerciseView {
  const links = breakdown.links.flatMap((link): LinkView[] => {
    const element = state.work.elements.find((candidate) => candidate.id === link.element);
    return element
      ? [{ ...elementView(element, state, assessed), part: link.part, weight: 0.5, stake: null }]
      : [];
  });
  return { key: breakdown.id, title: own.title, aside: own.goal || 'your own', own: breakdown, links };
}

/** Elements that were split or joined: kept for their reps. */
export function retiredElements(state: DogState): ElementRecord[] {
  return state.work.elements.filter((element) => element.retired !== null);
}

/** The person's own elements that stand in no exercise. */
export function ownElements(state: DogState, assessed: readonly Assessed[] | null): ElementView[] {
  const linked = new Set(
    state.work.breakdowns.flatMap((breakdown) => breakdown.links.map((link) => link.element)),
  );
  return activeElements(state.work)
    .filter((element) => !linked.has(element.id))
    .map((element) => elementView(element, state, assessed));
}

function elementView(
  element: ElementRecord,
  state: DogState,
  assessed: readonly Assessed[] | null,
): ElementView {
  const ladder = buildLadder(element);
  const { criteria } = standingOn(ladder, state.stands.get(element.id) ?? null);
  const found = assessed?.find((candidate) => candidate.id === element.id);
  return {
    id: element.id,
    title: element.title,
    rungInWords: describePlace(ladder, criteria),
    rods: rodsOf(element, criteria, found ?? null),
    problems: checkLadder(ladder).length,
    chance: found ? chanceInWords(found) : null,
    strength: found && found.grounds.counted > 0 ? found.estimate.clean.mid : null,
    waits: openness(element, prerequisiteGraph(state)).waits,
  };
}

/** One rod for each axis; a broken axis has none, and its ladder page says why. */
export function rodsOf(element: LadderPlan, stands: Criteria, found: Assessed | null): RodData[] {
  const ladder = buildLadder(element);
  return element.axes.flatMap((axis) => {
    const reach =
      found && found.grounds.counted > 0
        ? found.estimate.reach.find((candidate) => candidate.axis === axis.key)
        : undefined;
    const rod = rodOf(axis, ladder, stands, reach ?? null);
    return rod ? [rod] : [];
  });
}

/**
 * "62 in 100 clean at the demand (48–75, from 118 reps)"; with few reps the width says so, with
 * none the words do.
 */
export function chanceInWords({ estimate, grounds }: Assessed): string {
  if (grounds.counted === 0) return 'No rep yet: nothing is known.';
  const percent = (share: number): number => Math.round(share * 100);
  const { low, mid, high } = estimate.clean;
  const rests = `${grounds.counted} ${grounds.counted === 1 ? 'rep' : 'reps'}`;
  if (isThin(estimate.clean, grounds.counted))
    return `${rests}: anything from ${percent(low)} to ${percent(high)} in 100 clean at the demand.`;
  return `${percent(mid)} in 100 clean at the demand (${percent(low)}–${percent(high)}, from ${rests}).`;
}
