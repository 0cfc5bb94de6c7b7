import type { ElementId, Steps } from '@/core/shared';
import type { PlanDesk } from './plan-desk';
import type { PlanPiece } from './plan-frame';

/** Gains smaller than this (shares of a pass, for a minute) are no reason to go out. */
const LEAST = 1e-7;

/**
 * Fills the days by the gain for a minute: of all pieces and days the one that gains most, again and again,
 * until nothing more gains or fits; of days that gain alike the later. Only the row of the piece that was
 * laid changes, so that each choice costs one row. Yields now and then.
 */
export function* fillDays(desk: PlanDesk): Steps<void, null> {
  const { frame, value } = desk;
  const open = frame.pieces.filter((piece) => piece.links.length === 0);
  const rows = new Map<ElementId, Float64Array>();
  const bests = new Map<ElementId, Best | null>();
  const shut = new Set<string>();
  const row = (piece: PlanPiece): Float64Array => {
    const days = desk.days().get(piece.id) ?? [];
    const now = value.ofPiece(piece.id, days);
    return Float64Array.from(frame.days, (day, d) =>
      day.minutes <= 0 || days.includes(d) || shut.has(`${piece.id} ${d}`)
        ? Number.NEGATIVE_INFINITY
        : (value.ofPiece(piece.id, inserted(days, d)) - now) / minutesFor(desk, piece, d),
    );
  };
  const put = (piece: PlanPiece, gains: Float64Array): void => {
    rows.set(piece.id, gains);
    bests.set(piece.id, bestOfRow(gains));
  };
  for (const piece of open) {
    put(piece, row(piece));
    yield null;
  }
  for (;;) {
    let best: { piece: PlanPiece; day: number; gain: number } | null = null;
    for (const piece of open) {
      const one = bests.get(piece.id) ?? null;
      if (one && (!best || one.gain > best.gain + TIE || (one.gain > best.gain - TIE && one.day > best.day)))
        best = { piece, ...one };
    }
    if (!best) return;
    const { piece, day } = best;
    if (desk.lay(piece.id, inserted(desk.days().get(piece.id) ?? [], day))) {
      put(piece, row(piece));
      // What waits for it may have come nearer.
      for (const other of open) if (other.needs.some((need) => need.piece === piece.id)) reopened(other);
      yield null;
    } else {
      shut.add(`${piece.id} ${day}`);
      const gains = rows.get(piece.id) as Float64Array;
      gains[day] = Number.NEGATIVE_INFINITY;
      put(piece, gains);
    }
  }

  function reopened(piece: PlanPiece): void {
    for (let d = 0; d < frame.days.length; d++) shut.delete(`${piece.id} ${d}`);
    put(piece, row(piece));
  }
}

/** Gains that differ by less are alike. */
const TIE = 1e-9;

/** The largest gain of a row that is any reason to go out; of days alike the latest; null where none is. */
function bestOfRow(row: Float64Array): Best | null {
  let best: Best | null = null;
  for (let day = 0; day < row.length; day++) {
    const gain = row[day] as number;
    if (gain > LEAST && (best === null || gain >= best.gain - TIE)) best = { day, gain };
  }
  return best;
}
type Best = { readonly day: number; readonly gain: number };

/** Minutes that a bout more takes of a day: its own, and the warm-up where it is the first that needs one. */
function minutesFor({ frame, book }: PlanDesk, piece: PlanPiece, day: number): number {
  const dog = frame.dogs.find((one) => one.id === piece.dog);
  const on = book.on(frame.days[day]?.day as never).filter((one) => one.dog === piece.dog);
  const warm =
    !piece.bodily || on.some((one) => frame.pieces.find((other) => other.id === one.piece)?.bodily === true);
  return piece.minutes + (warm ? 0 : (dog?.warmUp ?? 0));
}

export const inserted = (days: readonly number[], day: number): number[] =>
  [...days, day].sort((a, b) => a - b);
export const without = (days: readonly number[], day: number): number[] => days.filter((one) => one !== day);
