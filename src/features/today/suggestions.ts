import { buildLadder, type Criteria, describePlace, openness } from '@/core/breakdown';
import { type Assessed, type RodData, rodsOf } from '@/core/evidence';
import { type Caution, type Suggestion, suggestSessions } from '@/core/planning';
import { partStakes, prepareRules } from '@/core/rulebooks';
import { type Day, daysBetween, type ElementId } from '@/core/shared';
import type { DogState } from '@/data/live';
import {
  activeElements,
  cautionsOf,
  type Dog,
  type DogWork,
  daysUsed,
  gapOf,
  isOffWork,
  placesOf,
  prerequisiteGraph,
  signsAgainst,
  startToday,
  type Trial,
} from '@/data/read';
import { wordsOf } from '@/words';
import type { Weighed } from '@/workers/client';
import { tell } from './words';

export type SuggestedSession = Suggestion & {
  readonly start: Criteria;
  readonly rungInWords: string;
  readonly rods: readonly RodData[];
  readonly bring: string | null;
  readonly cautions: readonly Caution[];
  /** It was worked today already: no answer to what to do, but still a choice. */
  readonly workedToday: boolean;
  /** No bout of it yet: its card comes before the pad. */
  readonly isNew: boolean;
};

/**
 * What a session today would serve, best first; nothing for a dog that is off work, and no element against
 * which a sign of the body stands.
 */
export function suggestedSessions(
  dog: Dog,
  state: DogState,
  weighed: readonly Weighed[],
  today: Day,
): SuggestedSession[] {
  if (isOffWork(dog, today)) return [];
  const assessed = weighed.flatMap(({ found }) => (found.ok ? [found.value] : []));
  const nodes = prerequisiteGraph(state);
  const candidates = assessed.flatMap(({ id, grounds, estimate }) => {
    const element = activeElements(state.work).find((candidate) => candidate.id === id);
    // What waits for another piece is not suggested, however little is known of it; where it is worked all
    // the same, it is what the person is at.
    if (!element) return [];
    if (!openness(element, nodes).open && !state.bouts.some((bout) => bout.element === id)) return [];
    if (signsAgainst(id, state.bouts, today).length > 0) return [];
    return [
      {
        element: id,
        title: element.title,
        clean: estimate.clean,
        stake: stakeInPoints(id, state.work),
        counted: grounds.counted,
        lastDay: grounds.lastDay,
      },
    ];
  });
  return suggestSessions(candidates, today).map((suggestion) =>
    withRung(
      suggestion,
      dog,
      state,
      assessed.find((found) => found.id === suggestion.element),
      today,
    ),
  );
}

function withRung(
  suggestion: Suggestion,
  dog: Dog,
  state: DogState,
  found: Assessed | undefined,
  today: Day,
): SuggestedSession {
  const element = state.work.elements.find((candidate) => candidate.id === suggestion.element);
  if (!element) throw new Error(`no element ${suggestion.element}`);
  const ladder = buildLadder(element);
  const stands = state.stands.get(element.id) ?? null;
  const used = daysUsed(state.other, element.id);
  const gap = gapOf(state.evidence.get(element.id) ?? [], dog, today, used);
  const start = startToday(element, stands, found?.grounds.lastDay === today, gap);
  return {
    ...suggestion,
    start,
    rungInWords: wordsOf(describePlace(ladder, start)),
    rods: rodsOf(element, start, found ?? null),
    bring: element.kit.length > 0 ? element.kit.join(', ') : null,
    cautions: cautionsOf(element, dog, state.evidence, state.work, today),
    workedToday: found?.grounds.lastDay === today,
    isNew: !state.stands.has(element.id),
  };
}

/** Elements that could not be weighed, each with why: one wrong datum stops one thing. */
export function unweighed(
  { work }: DogState,
  weighed: readonly Weighed[],
): { readonly element: ElementId; readonly title: string; readonly why: string }[] {
  return weighed.flatMap(({ id, found }) =>
    found.ok
      ? []
      : [
          {
            element: id,
            title: work.elements.find((one) => one.id === id)?.title ?? id,
            why: wordsOf(found.message),
          },
        ],
  );
}

/**
 * The most that one mark at this element can cost in any exercise that it serves, in points; null
 * where no rule book prices it.
 */
function stakeInPoints(element: ElementId, work: DogWork): number | null {
  const stakes = placesOf(element, work).flatMap(({ book, exercise, part }) => {
    const rules = prepareRules(book);
    const scored = rules.exercises.find((candidate) => candidate.exercise === exercise.id);
    return scored ? [partStakes(scored, part) * rules.pointsPerUnit] : [];
  });
  return stakes.length > 0 ? Math.max(...stakes) : null;
}

/** The next trial in words: "in 26 days", with the closing of entries where it is still ahead. */
export function trialInWords(
  trial: Trial,
  today: Day,
): { readonly days: string; readonly closes: string | null } {
  const closing = trial.entryCloses === null ? null : daysBetween(today, trial.entryCloses);
  return {
    days: inDays(daysBetween(today, trial.day)),
    closes:
      closing === null
        ? null
        : closing >= 0
          ? tell('suggestions.entries-close', { inDays: inDays(closing) })
          : tell('suggestions.entries-are-closed'),
  };
}

export function inDays(days: number): string {
  if (days < 0)
    return days === -1 ? tell('suggestions.yesterday') : tell('suggestions.days-ago', { days: -days });
  if (days === 0) return tell('suggestions.today');
  return days === 1 ? tell('suggestions.tomorrow') : tell('suggestions.in-days', { days });
}
