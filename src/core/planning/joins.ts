import { daysBetween, type ElementId } from '@/core/shared';
import { without } from './fill';
import { boutOf, type PlanDesk } from './plan-desk';

/** Whole runs come late: within so many days of what they are for. */
const WITHIN = 14;
/** And only where every piece is clean so often on the step on which it is by then. */
const READY = 0.7;

/**
 * Puts whole runs of the exercises in, late and few: on the last days before the trial on which every piece
 * is up to it and the ration of five separate bouts to one whole run is kept, in the place of what adds least
 * on that day. Links that are rehearsed that day stay.
 */
export function layJoins(desk: PlanDesk): void {
  const { frame, value, book } = desk;
  for (const piece of frame.pieces) {
    if (piece.links.length === 0) continue;
    const trial = frame.dogs
      .find((one) => one.id === piece.dog)
      ?.trialDays.map((day) => daysBetween(frame.today, day))
      .filter((day) => day > 0)
      .sort((a, b) => a - b)[0];
    if (trial === undefined) continue;
    for (let day = Math.min(trial, frame.days.length) - 1; day >= Math.max(0, trial - WITHIN); day--)
      if (isReady(piece.links, day) && joinOn(piece.id, day)) break;
  }

  function isReady(links: readonly ElementId[], day: number): boolean {
    return links.every((link) => {
      const before = value.sessions(link, desk.days().get(link) ?? []).filter((one) => one.day < day);
      const last = before.at(-1);
      const rungs = frame.pieces.find((one) => one.id === link)?.rungs.length ?? 0;
      return last !== undefined && last.rung >= rungs - 2 && last.clean >= READY;
    });
  }

  function joinOn(id: ElementId, day: number): boolean {
    const piece = frame.pieces.find((one) => one.id === id);
    const room = frame.days[day];
    if (!piece || !room || room.minutes <= 0) return false;
    const session = { day, rung: 0, clean: 1, adds: 0, rehearsal: false };
    const bout = { ...boutOf(piece, session, 1, frame.today), purpose: 'join' as const };
    const only = (): boolean => book.problems(bout).every(({ code }) => code === 'minutes');
    if (!only()) return false;
    const struck: { id: ElementId; days: readonly number[] }[] = [];
    const back = (): false => {
      for (const one of struck.reverse()) desk.lay(one.id, one.days);
      return false;
    };
    while (book.problems(bout).length > 0) {
      const least = leastOn(day);
      if (!only() || least === null) return back();
      const days = desk.days().get(least) ?? [];
      if (!desk.lay(least, without(days, day))) return back();
      struck.push({ id: least, days });
    }
    book.enter(bout);
    return true;
  }

  /** The piece of that day that adds least, pinned ones and rehearsals left out. */
  function leastOn(day: number): ElementId | null {
    const open = book
      .on(frame.days[day]?.day as never)
      .filter((one) => !one.pinned && one.purpose !== 'rehearse' && one.purpose !== 'join');
    const worth = open.map(({ piece }) => {
      const days = desk.days().get(piece) ?? [];
      return value.ofPiece(piece, days) - value.ofPiece(piece, without(days, day));
    });
    const least = worth.indexOf(Math.min(...worth));
    return open[least]?.piece ?? null;
  }
}
