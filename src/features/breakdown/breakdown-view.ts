import { buildLadder, checkLadder, describePlace, openness, standingOn } from '@/core/breakdown';
import { chanceInWords, isThin, type RodData, rodsOf } from '@/core/evidence';
import { cellTotal, partStakes, pointsOf, prepareRules } from '@/core/rulebooks';
import type { ElementId, PartKey } from '@/core/shared';
import type { DogState } from '@/data/live';
import { activeElements, type Breakdown, type ElementRecord, prerequisiteGraph } from '@/data/read';
import { wordsOf, writeNumber } from '@/words';
import type { Weighed } from '@/workers/client';
import { tell } from './words';

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
  /** Whether that rests on too little to be said as a figure. */
  readonly thin: boolean;
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
  readonly breakdown: Breakdown;
  /** The same where it is a person's own, whose links can be moved. */
  readonly own: Breakdown | null;
  readonly links: readonly LinkView[];
};

/** Every exercise that is broken down for the dog, link by link. */
export function exerciseViews(state: DogState, weighed: readonly Weighed[] | null): ExerciseView[] {
  return state.work.breakdowns.flatMap((breakdown) => {
    if (breakdown.own) return [ownExercise(breakdown, breakdown.own, state, weighed)];
    const book = state.work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const exercise = book?.exercises.find((candidate) => candidate.id === breakdown.exercise);
    const rules = book ? prepareRules(book) : null;
    const scored = rules?.exercises.find((candidate) => candidate.exercise === breakdown.exercise);
    if (!rules || !exercise || !scored) return [];
    const maximum = cellTotal(scored);
    const links = breakdown.links.flatMap((link): LinkView[] => {
      const element = state.work.elements.find((candidate) => candidate.id === link.element);
      if (!element) return [];
      const stake = partStakes(scored, link.part);
      return [
        {
          ...elementView(element, state, weighed),
          part: link.part,
          weight: stake / maximum,
          stake: writeNumber(pointsOf(rules, stake)),
        },
      ];
    });
    return [
      {
        key: breakdown.id,
        title: exercise.title,
        aside: tell('breakdown-view.points', { pointsOf: pointsOf(rules, maximum) }),
        breakdown,
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
  weighed: readonly Weighed[] | null,
): ExerciseView {
  const links = breakdown.links.flatMap((link): LinkView[] => {
    const element = state.work.elements.find((candidate) => candidate.id === link.element);
    return element
      ? [{ ...elementView(element, state, weighed), part: link.part, weight: 0.5, stake: null }]
      : [];
  });
  return {
    key: breakdown.id,
    title: own.title,
    aside: own.goal || tell('breakdown-view.your-own'),
    breakdown,
    own: breakdown,
    links,
  };
}

/** Elements that were split or joined: kept for their reps. */
export function retiredElements(state: DogState): ElementRecord[] {
  return state.work.elements.filter((element) => element.retired !== null);
}

/** The person's own elements that stand in no exercise. */
export function ownElements(state: DogState, weighed: readonly Weighed[] | null): ElementView[] {
  const linked = new Set(
    state.work.breakdowns.flatMap((breakdown) => breakdown.links.map((link) => link.element)),
  );
  return activeElements(state.work)
    .filter((element) => !linked.has(element.id))
    .map((element) => elementView(element, state, weighed));
}

function elementView(
  element: ElementRecord,
  state: DogState,
  weighed: readonly Weighed[] | null,
): ElementView {
  const ladder = buildLadder(element);
  const { criteria } = standingOn(ladder, state.stands.get(element.id) ?? null);
  const found = weighed?.find((candidate) => candidate.id === element.id)?.found;
  return {
    id: element.id,
    title: element.title,
    rungInWords: wordsOf(describePlace(ladder, criteria)),
    rods: rodsOf(element, criteria, found?.ok ? found.value : null),
    problems: checkLadder(ladder).length,
    chance: found
      ? found.ok
        ? wordsOf(chanceInWords(found.value))
        : tell('breakdown-view.cannot-be-weighed', { message: found.message })
      : null,
    strength: found?.ok && found.value.grounds.counted > 0 ? found.value.estimate.clean.mid : null,
    thin: !found?.ok || isThin(found.value.estimate.clean, found.value.grounds.counted),
    waits: openness(element, prerequisiteGraph(state)).waits.map(wordsOf),
  };
}
