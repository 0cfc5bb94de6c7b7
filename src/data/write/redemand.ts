import { joinDemands } from '@/core/breakdown';
import type { RuleBook } from '@/core/rulebooks';
import type { Breakdown, ElementRecord } from '@/data/records';

/**
 * The element with the demands of `to` on the axes whose demand was that of `from`; itself when nothing
 * changes. A demand that the person set otherwise stays.
 */
export function redemanded(
  element: ElementRecord,
  breakdowns: readonly Breakdown[],
  from: RuleBook,
  to: RuleBook,
): ElementRecord {
  const places = breakdowns.flatMap((breakdown) =>
    breakdown.links
      .filter((link) => link.element === element.id)
      .map((link) => ({ exercise: breakdown.exercise, part: link.part })),
  );
  const demandsIn = (book: RuleBook) =>
    places.map(({ exercise, part }) => {
      const found = book.exercises.find((one) => one.id === exercise)?.parts.find((one) => one.id === part);
      return found ? joinDemands(found.demands, element.axes).criteria : {};
    });
  const [old, now] = [demandsIn(from), demandsIn(to)];
  const axes = element.axes.map((axis) => {
    const place = old.findIndex((criteria) => criteria[axis.key] === axis.demand);
    const demand = place < 0 ? undefined : now[place]?.[axis.key];
    return demand === undefined || demand === axis.demand ? axis : { ...axis, demand };
  });
  return axes.every((axis, i) => axis === element.axes[i]) ? element : { ...element, axes };
}
