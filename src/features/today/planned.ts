import { buildLadder, describePlace } from '@/core/breakdown';
import type { DogId, ElementId } from '@/core/shared';
import type { PlannedToday } from '@/data/live';
import { type DogWork, pieceOf, type Slot } from '@/data/read';
import { wordsOf } from '@/words';
import type { OneAnswer } from './one-answer';
import type { SuggestedSession } from './suggestions';
import { tell } from './words';

/** What is still to be done of today’s plan for a dog, in the order of its lesson. */
export const openSlots = ({ slots }: PlannedToday, dog: DogId): Slot[] =>
  slots.flatMap(({ slot, state }) => (slot.dogId === dog && state === 'ahead' ? [slot] : []));

/** The answer that the plan gives: its first bout of today, and what follows. Null where nothing is planned. */
export function plannedAnswer(
  slots: readonly Slot[],
  sessions: readonly SuggestedSession[],
  { elements }: Pick<DogWork, 'elements'>,
): (OneAnswer & { readonly slot: Slot }) | null {
  const found = slots.flatMap((slot) => {
    const session = sessions.find((one) => one.element === pieceOf(slot));
    const element = elements.find((one) => one.id === pieceOf(slot));
    if (!session || !element) return [];
    // The step of the plan, not the one on which the dog stands.
    const rungInWords = wordsOf(describePlace(buildLadder(element), slot.at));
    return [{ slot, session: { ...session, start: slot.at, rungInWords } }];
  });
  const [first, ...after] = found;
  if (!first) return null;
  const { purpose, goes, sets, minutes } = first.slot;
  const then = after.map((one) => one.session);
  const because = tell('planned.because', { purpose, goes, sets, minutes });
  return { slot: first.slot, first: first.session, then, because };
}

/** Whole runs that are planned for today: they are no piece of their own. */
export const plannedRuns = (slots: readonly Slot[]): ElementId[] =>
  slots.filter((slot) => slot.on.kind === 'exercise').map(pieceOf);
