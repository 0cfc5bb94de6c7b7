import type { ElementId, Steps } from '@/core/shared';
import { inserted, without } from './fill';
import type { PlanDesk } from './plan-desk';
import type { PlanPiece } from './plan-frame';

/** A bout out, another in. */
type Exchange = {
  readonly out: { readonly piece: ElementId; readonly day: number };
  readonly in: { readonly piece: ElementId; readonly day: number };
  readonly gain: number;
};

/** Exchanges that are simulated in a round, looked at at most, and rounds. */
const SIMULATED = 10;
const LOOKED_AT = 400;
const ROUNDS = 12;
/** Bouts that may come in: so many that promise most. */
const PROMISING = 60;

/**
 * Exchanges one bout for another, in piece or in day, as long as one helps: all are judged by what the two
 * pieces gain and lose, the ten best that break no limit are simulated with the same random numbers, and the
 * best of them is made where its simulation is better. Yields the share of the rounds done.
 */
export function* exchange(desk: PlanDesk, rounds: number = ROUNDS): Steps<void> {
  const { value } = desk;
  let best = value.simulated(desk.days());
  for (let round = 0; round < rounds; round++) {
    let made: { exchange: Exchange; worth: number } | null = null;
    let tried = 0;
    for (const one of exchangesOf(desk).slice(0, LOOKED_AT)) {
      const back = make(desk, one);
      if (!back) continue;
      const worth = value.simulated(desk.days());
      back();
      if (worth > (made?.worth ?? best + CLEARLY)) made = { exchange: one, worth };
      yield (round + ++tried / SIMULATED) / rounds;
      if (tried === SIMULATED) break;
    }
    if (!made || !make(desk, made.exchange)) return;
    best = made.worth;
  }
}

/** Two runs of 2,000 less is the dice. */
const CLEARLY = 0.001;

/** Makes an exchange where it breaks no limit; gives how it is taken back. */
function make(desk: PlanDesk, { out, in: to }: Exchange): (() => void) | null {
  const days = desk.days();
  const [a, b] = [days.get(out.piece) ?? [], days.get(to.piece) ?? []];
  if (out.piece === to.piece) {
    if (!desk.lay(out.piece, inserted(without(a, out.day), to.day))) return null;
    return () => void desk.lay(out.piece, a);
  }
  if (!desk.lay(out.piece, without(a, out.day))) return null;
  if (!desk.lay(to.piece, inserted(b, to.day))) {
    desk.lay(out.piece, a);
    return null;
  }
  return () => {
    desk.lay(to.piece, b);
    desk.lay(out.piece, a);
  };
}

/** All exchanges that promise a gain, the best first. */
function exchangesOf(desk: PlanDesk): Exchange[] {
  const { frame, value } = desk;
  const open = frame.pieces.filter((piece) => piece.links.length === 0);
  const worth = new Map(open.map(({ id }) => [id, value.ofPiece(id, desk.days().get(id) ?? [])]));
  const ins = open
    .flatMap((piece) => gainsOf(desk, piece, worth.get(piece.id) as number))
    .sort((x, y) => y.gain - x.gain)
    .slice(0, PROMISING);
  const found: Exchange[] = [];
  for (const piece of open) {
    const days = desk.days().get(piece.id) ?? [];
    const pinned = desk.pinned(piece.id);
    for (const day of days) {
      if (pinned.has(day)) continue;
      const left = without(days, day);
      const lost = (worth.get(piece.id) as number) - value.ofPiece(piece.id, left);
      for (const one of ins)
        if (one.piece !== piece.id && one.gain > lost)
          found.push({ out: { piece: piece.id, day }, in: one, gain: one.gain - lost });
      for (const [d, room] of frame.days.entries()) {
        if (room.minutes <= 0 || days.includes(d)) continue;
        const gain = value.ofPiece(piece.id, inserted(left, d)) - (worth.get(piece.id) as number);
        if (gain > 1e-6) found.push({ out: { piece: piece.id, day }, in: { piece: piece.id, day: d }, gain });
      }
    }
  }
  return found.sort((x, y) => y.gain - x.gain);
}

function gainsOf(
  desk: PlanDesk,
  piece: PlanPiece,
  now: number,
): { piece: ElementId; day: number; gain: number }[] {
  const days = desk.days().get(piece.id) ?? [];
  return desk.frame.days.flatMap((room, day) => {
    if (room.minutes <= 0 || days.includes(day)) return [];
    const gain = desk.value.ofPiece(piece.id, inserted(days, day)) - now;
    return gain > 1e-6 ? [{ piece: piece.id, day, gain }] : [];
  });
}
