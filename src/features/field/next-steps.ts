import { buildLadder } from '@/core/breakdown';
import { replay } from '@/core/log';
import type { BoutId } from '@/core/shared';
import { boutLog, coachFacts, isWhole, type Kennel, type LessonBout } from '@/data/read';
import { adviceLines } from './advice-lines';

/**
 * The step that each of these bouts goes to next, by its log, from 0. One that stays where it is, waits for
 * an answer or is a whole run is not among them.
 */
export async function nextSteps(
  kennel: Kennel,
  bouts: readonly LessonBout[],
): Promise<ReadonlyMap<BoutId, number>> {
  const found = await Promise.all(
    bouts.map(async ({ bout, element }) => {
      if (isWhole(element)) return [];
      const [entries, facts] = await Promise.all([
        boutLog(kennel, bout.id),
        coachFacts(kennel, element, bout),
      ]);
      const ladder = buildLadder(element);
      const { main } = adviceLines(
        replay({ policy: element.policy, ladder, start: bout.start, facts }, entries).advice,
      );
      return main && 'to' in main ? [[bout.id, main.to] as const] : [];
    }),
  );
  return new Map(found.flat());
}
