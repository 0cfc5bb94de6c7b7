import { buildLadder, checkLadder, describeRung } from '@/core/breakdown';
import { type Assessed, type RodData, rodOf } from '@/core/evidence';
import { cellTotal, elementStakes, prepareRules, writePoints } from '@/core/rulebooks';
import type { ElementId, ElementKey } from '@/core/shared';
import type { DogState, ElementRecord } from '@/data/repositories';

export type ElementView = {
  readonly id: ElementId;
  readonly title: string;
  readonly rungInWords: string;
  readonly rods: readonly RodData[];
  readonly problems: number;
  /** Chance of a clean rep at the demand and its grounds, ready to read; null while it is being worked out. */
  readonly chance: string | null;
  readonly strength: number | null;
};
export type LinkView = ElementView & { readonly part: ElementKey; readonly weight: number; readonly stake: string };
export type ExerciseView = { readonly key: string; readonly title: string; readonly maximum: string; readonly links: readonly LinkView[] };

/** Every exercise that is broken down for the dog, link by link. */
export function exerciseViews(state: DogState, assessed: readonly Assessed[] | null): ExerciseView[] {
  return state.work.breakdowns.flatMap((breakdown) => {
    const book = state.work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const exercise = book?.exercises.find((candidate) => candidate.id === breakdown.exercise);
    const rules = book ? prepareRules(book.rules, book.exercises) : null;
    const scored = rules?.exercises.find((candidate) => candidate.exercise === breakdown.exercise);
    if (!rules || !exercise || !scored) return [];
    const maximum = cellTotal(scored);
    const links = breakdown.links.flatMap((link): LinkView[] => {
      const element = state.work.elements.find((candidate) => candidate.id === link.element);
      if (!element) return [];
      const stake = elementStakes(scored, link.part);
      return [{ ...elementView(element, state, assessed), part: link.part, weight: stake / maximum, stake: writePoints(rules, stake) }];
    });
    return [{ key: breakdown.id, title: exercise.title, maximum: writePoints(rules, maximum), links }];
  });
}

/** The person's own elements, which no rule book asks for. */
export function ownElements(state: DogState, assessed: readonly Assessed[] | null): ElementView[] {
  const linked = new Set(state.work.breakdowns.flatMap((breakdown) => breakdown.links.map((link) => link.element)));
  return state.work.elements.filter((element) => !linked.has(element.id)).map((element) => elementView(element, state, assessed));
}

function elementView(element: ElementRecord, state: DogState, assessed: readonly Assessed[] | null): ElementView {
  const ladder = buildLadder(element);
  const rung = Math.min(state.rungs.get(element.id) ?? 0, ladder.rungs.length - 1);
  const found = assessed?.find((candidate) => candidate.id === element.id);
  return {
    id: element.id,
    title: element.title,
    rungInWords: describeRung(ladder, rung),
    rods: rodsOf(element, rung, found ?? null),
    problems: checkLadder(ladder).length,
    chance: found ? chanceInWords(found) : null,
    strength: found && found.summary.counted > 0 ? found.estimate.clean.mid : null,
  };
}

/** One rod for each axis; a broken axis has none, and its ladder page says why. */
export function rodsOf(element: Pick<ElementRecord, 'axes' | 'edits'>, rung: number, found: Assessed | null): RodData[] {
  const ladder = buildLadder(element);
  return element.axes.flatMap((axis) => {
    const reach = found && found.summary.counted > 0 ? found.estimate.reach.find((candidate) => candidate.axis === axis.key) : undefined;
    const rod = rodOf(axis, ladder, rung, reach ?? null);
    return rod ? [rod] : [];
  });
}

/** Where an interval is wider than this, or the reps fewer, a middle figure would promise more than is known. */
const WIDE = 0.45;
const FEW = 10;

/** "62 in 100 clean at the demand (48–75, from 118 reps)"; with few reps the width says so, with none the words do. */
export function chanceInWords({ estimate, summary }: Assessed): string {
  if (summary.counted === 0) return 'No rep yet: nothing is known.';
  const percent = (share: number): number => Math.round(share * 100);
  const { low, mid, high } = estimate.clean;
  const grounds = `${summary.counted} ${summary.counted === 1 ? 'rep' : 'reps'}`;
  if (high - low > WIDE || summary.counted < FEW) return `${grounds}: anything from ${percent(low)} to ${percent(high)} in 100 clean at the demand.`;
  return `${percent(mid)} in 100 clean at the demand (${percent(low)}–${percent(high)}, from ${grounds}).`;
}
