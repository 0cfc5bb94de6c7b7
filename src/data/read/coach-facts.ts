import { buildLadder, sameCriteria } from '@/core/breakdown';
import type { CoachFacts } from '@/core/log';
import { seedFromText } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import { boutsOn, type DatedBout } from './bouts';

/**
 * What a policy is told of a bout's beginning besides where the dog stood: lengths to cut by, a seed
 * for its coins, and since when these values are worked. The last is the first day of the unbroken row
 * of bouts that began on them; bouts only are read, not their reps.
 */
export async function coachFacts(
  kennel: Kennel,
  element: ElementRecord,
  bout: DatedBout,
): Promise<CoachFacts> {
  const { axes, rungs } = buildLadder(element);
  const length = axes.find((axis) => axis.quantity === 'distance');
  const newestFirst = (await boutsOn(kennel, element.id)).reverse();
  const elsewhere = newestFirst.findIndex((one) => !sameCriteria(axes, one.start, bout.start));
  const alike = elsewhere < 0 ? newestFirst : newestFirst.slice(0, elsewhere);
  return {
    seed: seedFromText(bout.id),
    values: length ? rungs.map((rung) => rung.criteria[length.key] ?? length.start) : null,
    rungSince: alike.at(-1)?.day ?? bout.day,
    today: bout.day,
  };
}
