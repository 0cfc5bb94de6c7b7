import { addDays, type ElementId } from '@/core/shared';
import { addedBy, chanceAtAim } from './growth';
import type { PlanDesk } from './plan-desk';
import type { PlanFrame } from './plan-frame';
import type { PlanModels } from './plan-models';
import type { Late } from './plan-question';

/** Ready is what is clean more often than not, at the trial. */
const READY = 0.5;
/** No date further ahead than this is promised. */
const YEAR = 365;

/**
 * What is not ready on the day of its first aim, with the plan: since its days are too few, or since it would
 * be clean at the trial less often than not. The date on which it could be: the first day its days allow; or
 * the one on which the middle of the draws comes to one in two, if it goes on at the plan’s own pace, from
 * what the plan has added by then. Null where that is not within a year.
 */
export function lateIn(frame: PlanFrame, models: PlanModels, { value, days }: PlanDesk): Late[] {
  return frame.pieces.flatMap((piece): Late[] => {
    const growth = models.growths.get(piece.id);
    const [aim] = growth?.aims ?? [];
    if (!growth || !aim || piece.rungs.length === 0) return [];
    const own = days().get(piece.id) ?? [];
    const sessions = value.sessions(piece.id, own);
    const at = (on: number): { total: number; gap: number } => {
      const { total, last } = addedBy(sessions, on);
      return { total, gap: Math.max(0, last === null ? growth.idle + on : on - last) };
    };
    const then = at(aim.on);
    const chance = chanceAtAim(growth.idle, aim, then.total, then.gap);
    const late = (ready: Late['ready'], because: Late['because']): Late[] => [
      { piece: piece.id as ElementId, dog: piece.dog, chance, ready, because },
    ];
    if (piece.notBefore !== null && piece.notBefore > addDays(frame.today, aim.on))
      return late(piece.notBefore, 'days');
    if (chance >= READY || !aim.rehearsed) return [];
    const planned = sessions.filter((one) => one.day < aim.on);
    if (planned.length === 0) return late(null, 'learning');
    const pace = then.total / Math.max(1, aim.on);
    const typicalGap = aim.on / planned.length;
    for (let day = aim.on + 7; day <= YEAR; day += 7)
      if (chanceAtAim(growth.idle, aim, pace * day, typicalGap) >= READY)
        return late(addDays(frame.today, day), 'learning');
    return late(null, 'learning');
  });
}
