import { buildLadder, gradeAxis, levelPlace, measuredAs } from '@/core/breakdown';
import type { CoachFacts } from '@/core/log';
import { seedFromText } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import { boutsOn, type DatedBout } from './bouts';

/**
 * What a policy is told of a bout's beginning besides where the dog stood: what its rungs ask where a
 * rule goes by it, a seed for its coins, the first day of this work and the last one before today. Bouts
 * only are read, not their reps.
 */
export async function coachFacts(
  kennel: Kennel,
  element: ElementRecord,
  bout: DatedBout,
): Promise<CoachFacts> {
  const days = (await boutsOn(kennel, element.id)).map((one) => one.day);
  return factsOf(element, bout, days);
}

/**
 * The same from the days of its bouts, in any order.
 * @internal
 */
export function factsOf(
  element: ElementRecord,
  bout: Pick<DatedBout, 'id' | 'day'>,
  days: readonly DatedBout['day'][],
): CoachFacts {
  const { axes, rungs } = buildLadder(element);
  const length = axes.find((axis) => axis.quantity === 'distance');
  const held = axes.find((axis) => measuredAs(axis) === 'held');
  const list = gradeAxis(axes);
  const asked = (axis: (typeof axes)[number]): number[] =>
    rungs.map((rung) => rung.criteria[axis.key] ?? axis.start);
  const before = days.filter((day) => day < bout.day).sort();
  return {
    seed: seedFromText(bout.id),
    values: length ? asked(length) : null,
    ...(length ? { unit: length.unit } : {}),
    holds: held ? asked(held) : null,
    grades: list ? asked(list).map((id) => levelPlace(list.levels ?? [], id)) : null,
    since: before[0] ?? bout.day,
    lastDay: before.at(-1) ?? null,
    today: bout.day,
  };
}
