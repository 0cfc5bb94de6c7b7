import type { ElementId } from '@/core/shared';
import type { KeptEvidence } from '@/data/read';
import type { SuggestedSession } from './suggestions';
import { tell } from './words';

/** What somebody has today; null where it was not said. */
export type Asked = { readonly minutes: number | null; readonly place: 'usual' | 'strange' };
export const MINUTES = [5, 10, 20, 40] as const;

/** What to do with it: one session first, what still fits after it, and why so. */
export type OneAnswer = {
  readonly first: SuggestedSession;
  readonly then: readonly SuggestedSession[];
  /** What the minutes and the place make of it, in a sentence; null where they change nothing. */
  readonly because: string | null;
};

/** What is known of an element's bouts: its usual minutes, and its reps at home and away. */
export type Usual = {
  readonly minutes: number | null;
  readonly home: number;
  readonly away: number;
};

/** The middle length of an element's bouts, and where its counted reps were. */
export function usualOf(bouts: readonly KeptEvidence[]): Usual {
  const lengths = bouts.flatMap((one) => one.minutes ?? []).sort((a, b) => a - b);
  const cells = bouts.flatMap((one) => one.cells);
  const reps = (away: boolean): number =>
    cells.filter((cell) => cell.away === away).reduce((sum, cell) => sum + cell.clean + cell.notClean, 0);
  return { minutes: lengths[Math.floor(lengths.length / 2)] ?? null, home: reps(false), away: reps(true) };
}

/** So many reps at home before a strange place says anything but that it is too early. */
const SURE_AT_HOME = 10;

/**
 * The one answer for what somebody has today. Sessions come best first; one that was worked today already is
 * no answer. In a strange place comes first what is known at home and was never done away, and what is new
 * is left for home. Of the minutes is filled what the usual lengths allow; of an unknown length nothing is
 * put after. Null where nothing is left to do.
 */
export function oneAnswer(
  sessions: readonly SuggestedSession[],
  { minutes, place }: Asked,
  usual: (element: ElementId) => Usual,
): OneAnswer | null {
  const open = sessions.filter((one) => !one.workedToday);
  const rank = (one: SuggestedSession): number => {
    const { home, away } = usual(one.element);
    if (home < SURE_AT_HOME) return 2;
    return away === 0 ? 0 : 1;
  };
  const ordered = place === 'strange' ? [...open].sort((a, b) => rank(a) - rank(b)) : open;
  const [first, ...others] = ordered;
  if (!first) return null;
  const length = usual(first.element).minutes;
  const then = minutes === null || length === null ? [] : fitting(others, minutes - length, usual);
  return { first, then, because: becauseOf(first, { minutes, place }, length, rank(first)) };
}

function fitting(
  others: readonly SuggestedSession[],
  left: number,
  usual: (element: ElementId) => Usual,
): SuggestedSession[] {
  const found: SuggestedSession[] = [];
  let room = left;
  for (const one of others) {
    const { minutes } = usual(one.element);
    if (minutes === null || minutes > room) continue;
    found.push(one);
    room -= minutes;
  }
  return found;
}

function becauseOf(
  { title }: SuggestedSession,
  { minutes, place }: Asked,
  length: number | null,
  rank: number,
): string | null {
  const lines: string[] = [];
  if (place === 'strange')
    lines.push(
      rank === 0
        ? tell('one-answer.known-at-home-never-away', { title })
        : rank === 1
          ? tell('one-answer.known-at-home-and-away', { title })
          : tell('one-answer.new-at-home-first', { title }),
    );
  if (minutes !== null && length !== null && length > minutes)
    lines.push(tell('one-answer.longer-than-you-have', { length: Math.round(length), minutes }));
  if (minutes !== null && length === null) lines.push(tell('one-answer.length-not-known', { minutes }));
  return lines.length === 0 ? null : lines.join(' ');
}
