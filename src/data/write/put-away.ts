import { type BreakdownId, type ElementId, type Result, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { refuse, transact, type Undo } from './transact';

/**
 * Puts an exercise away, or brings it back; its elements stay as they are, and so does its log. Fails with
 * `exists` where that exercise of the rule book was broken down again meanwhile, with `running` while it is
 * run whole, and with `gone`.
 */
export function putExerciseAway(kennel: Kennel, id: BreakdownId, putAway: boolean): Promise<Result<Undo>> {
  return transact(kennel, ['breakdowns', 'bouts'], async (write) => {
    const stored =
      (await write.get('breakdowns', id)) ??
      refuse('gone', id, say('data.reshape.this-exercise-is-not-there-any'));
    const bouts = putAway ? await write.boutsBy('on.breakdown', id) : [];
    if (bouts.some((bout) => bout.endedAt === null))
      refuse('running', '', say('data.reshape.a-session-of-it-is-still-open-end'));
    const others = (await write.ofDog('breakdowns', stored.dogId)).filter((one) => one.id !== id);
    const again = others.some(
      (one) =>
        !one.putAway &&
        one.ruleBookId !== null &&
        one.ruleBookId === stored.ruleBookId &&
        one.exercise === stored.exercise,
    );
    if (!putAway && again) refuse('exists', 'source', say('data.reshape.this-exercise-is-broken-down-for'));
    return write.put('breakdowns', { ...stored, putAway });
  });
}

/**
 * Puts an element away, or brings it back: its reps and ladder stay, and exercises keep their link to it.
 * Fails with `running` while a bout of it is open, and with `gone`.
 */
export function putElementAway(kennel: Kennel, id: ElementId, putAway: boolean): Promise<Result<Undo>> {
  return transact(kennel, ['elements', 'bouts'], async (write) => {
    const stored =
      (await write.get('elements', id)) ??
      refuse('gone', id, say('data.reshape.this-element-is-not-there-any-more'));
    const bouts = putAway ? await write.boutsBy('on.element', id) : [];
    if (bouts.some((bout) => bout.endedAt === null))
      refuse('running', '', say('data.reshape.a-session-of-it-is-still-open-end'));
    return write.put('elements', { ...stored, putAway });
  });
}
