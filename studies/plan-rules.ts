import type { PlanFrame, PlannedBout } from '@/core/planning';
import { sessionsOn } from '@/core/planning/growth';
import { boutOf } from '@/core/planning/plan-desk';
import type { PlanModels } from '@/core/planning/plan-models';
import { addDays, daysBetween, type ElementId, seeded } from '@/core/shared';
import { logistic, shrinkage } from '@/core/statistics';
import type { Belief } from './plans';

export type Rule = 'rotation' | 'weakest' | 'risk';
type Choose = (frame: PlanFrame, done: readonly PlannedBout[]) => readonly PlannedBout[];

/**
 * What somebody would do without a planner: the pieces in turn; the weakest first; or the points at risk, as
 * the list of Today has them. Steps are chosen as the planner chooses them, no piece twice a day. Two dogs have
 * their turn one after the other.
 */
export function byRule(rule: Rule, { growths }: PlanModels, beliefs: readonly (readonly Belief[])[]): Choose {
  const all = beliefs.flat();
  // In turn dog by dog, so that two dogs share the day.
  const order = (beliefs[0] ?? []).flatMap((_, i) => beliefs.map((one) => one[i] as Belief));
  return (frame, done) => {
    const days = new Map<ElementId, number[]>(all.map(({ id }) => [id, []]));
    for (const bout of done) days.get(bout.piece)?.push(daysBetween(frame.today, bout.day));
    let turn = done.length;
    for (const [d, room] of frame.days.entries()) {
      for (let slot = 0; slot < Math.floor(room.minutes / 10); slot++) {
        const open = all.filter(({ id }) => !days.get(id)?.includes(d));
        const worth = (one: Belief): number => {
          const growth = growths.get(one.id);
          if (!growth) return 0;
          const own = days.get(one.id) ?? [];
          const total = sessionsOn(growth, own, [], 0).reduce((sum, each) => sum + each.adds, 0);
          const chance = logistic(
            (growth.middles.trial + growth.middles.gain * total) * shrinkage(one.swing ** 2),
          );
          return rule === 'weakest' ? 1 - chance : (1 - chance) * one.stake;
        };
        const next =
          rule === 'rotation'
            ? (order[turn++ % order.length] as Belief)
            : ([...open].sort((a, b) => worth(b) - worth(a))[0] as Belief);
        days.get(next.id)?.push(d);
      }
    }
    return frame.pieces.flatMap((piece) => {
      const growth = growths.get(piece.id);
      return growth
        ? sessionsOn(growth, days.get(piece.id) ?? [], [], 0).map((session) =>
            boutOf(piece, session, piece.goes, frame.today),
          )
        : [];
    });
  };
}

/**
 * Day by day: the plan of that day, of which each lesson is skipped so often; then planned anew from what was
 * really done. Without a skip the plan of the first day is what is done.
 */
export function replanned(frame: PlanFrame, choose: Choose, skip: number, seed: number): PlannedBout[] {
  if (skip === 0) return [...choose(frame, [])];
  const random = seeded(seed);
  const done: PlannedBout[] = [];
  for (const [d, room] of frame.days.entries()) {
    if (room.minutes <= 0) continue;
    const left = { ...frame, days: frame.days.map((one, i) => (i < d ? { ...one, minutes: 0 } : one)) };
    const plan = choose(left, done).filter((one) => one.day === addDays(frame.today, d));
    for (const bout of plan) if (random.uniform() >= skip) done.push({ ...bout, pinned: true });
  }
  return done;
}
