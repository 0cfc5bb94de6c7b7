import { addDays, type Day, daysBetween, type ElementId } from '@/core/shared';
import type { Session } from './growth';
import type { PlanFrame, PlannedBout, PlanPiece } from './plan-frame';
import { goesOn, openBook, type PlanBook } from './plan-limits';
import type { Days, PlanValue } from './plan-value';

/** The plan under the planner’s hands: what is entered for each piece, and the book of limits. */
export type PlanDesk = {
  readonly frame: PlanFrame;
  readonly value: PlanValue;
  readonly book: PlanBook;
  readonly days: () => Days;
  /** Pinned days of a piece: they stay. */
  readonly pinned: (piece: ElementId) => ReadonlySet<number>;
  /** Puts a piece’s days down anew where no limit is broken by it; else leaves all as it was. */
  readonly lay: (piece: ElementId, days: readonly number[]) => boolean;
};

/** A desk with the pinned bouts on it. Those that break a limit stay, since somebody wanted them. */
export function openDeskOf(frame: PlanFrame, value: PlanValue, pinned: readonly PlannedBout[]): PlanDesk {
  const book = openBook(frame);
  const pieces = new Map(frame.pieces.map((one) => [one.id, one]));
  const laid = new Map<ElementId, readonly number[]>();
  const kept = new Map<ElementId, Map<number, PlannedBout>>();
  for (const bout of pinned) {
    const day = daysBetween(frame.today, bout.day);
    const own = kept.get(bout.piece) ?? new Map<number, PlannedBout>();
    kept.set(bout.piece, own.set(day, bout));
    laid.set(
      bout.piece,
      [...(laid.get(bout.piece) ?? []), day].sort((a, b) => a - b),
    );
    book.enter(bout);
  }

  function lay(id: ElementId, days: readonly number[]): boolean {
    const piece = pieces.get(id);
    const dog = frame.dogs.find((one) => one.id === piece?.dog);
    if (!piece || !dog) return false;
    const before = book.ofPiece(id);
    for (const one of before) book.strike(one);
    const undo = (): false => {
      for (const one of book.ofPiece(id)) book.strike(one);
      for (const one of before) book.enter(one);
      return false;
    };
    const sorted = [...days].sort((x, y) => x - y);
    const own = kept.get(id);
    // What is pinned is there before the others are looked at, earlier ones too.
    for (const fixed of own?.values() ?? []) book.enter(fixed);
    for (const session of value.sessions(id, sorted)) {
      if (own?.has(session.day)) continue;
      const bout = boutOf(piece, session, goesOn(piece, session.rung, dog), frame.today);
      if (bout.goes < 1 || book.problems(bout).length > 0) return undo();
      book.enter(bout);
    }
    // What waits for this piece must still have what it waits for.
    for (const other of frame.pieces)
      if (other.needs.some((need) => need.piece === id) || other.links.includes(id))
        for (const bout of book.ofPiece(other.id)) {
          if (bout.pinned) continue;
          book.strike(bout);
          const broken = book.problems(bout).some(({ code }) => code === 'need' || code === 'whole');
          book.enter(bout);
          if (broken) return undo();
        }
    laid.set(id, sorted);
    return true;
  }

  return {
    frame,
    value,
    book,
    days: () => laid,
    pinned: (piece) => new Set(kept.get(piece)?.keys() ?? []),
    lay,
  };
}

/** A session as a bout. */
export function boutOf(piece: PlanPiece, session: Session, goes: number, today: Day): PlannedBout {
  return {
    slot: null,
    day: addDays(today, session.day),
    dog: piece.dog,
    piece: piece.id,
    rung: session.rung,
    purpose: session.rehearsal ? 'rehearse' : 'build',
    goes,
    sets: Math.ceil(goes / piece.setSize),
    minutes: piece.minutes,
    pinned: false,
    why: null,
  };
}
