import { type Choice, PRICED_ELSEWHERE, placeOf, restOf } from './choice';
import { CLEAN, CUES, type Desk, FAULT, HANDLER, MEASURES, ON, OVER, ROW, SLIP, STOP, UNDONE } from './desk';
import type { DrawnElement } from './posterior';

/** One go of an element: the handler's part, the dog's, and what was measured of it. */
export function go(desk: Desk, e: number, k: number, slot: number): number {
  const { uniforms, swings, own } = desk;
  let became = ON;
  const slip = uniforms[slot + SLIP] as number;
  if (slip < (desk.slipRates[k] as number)) became = chargeSlip(desk, e, k, slip);
  if (became !== ON) return became;
  const cue = uniforms[slot + CUES] as number;
  if (cue < (desk.cueRates[k] as number)) became = chargeCues(desk, e, k, cue);
  if (became !== ON) return became;
  const day = (desk.dayOf[k] as number) + (desk.swingOf[k] as number);
  const several = own.of[k] as number;
  const odds =
    (desk.oddsAgainst[k] as number) *
    (swings.dayFactor[day] as number) *
    (several < 0 ? 1 : (own.factor[several] as number));
  const fault = uniforms[slot + FAULT] as number;
  if ((uniforms[slot + CLEAN] as number) * (1 + odds) < 1) {
    if (desk.isQuiet[k]) return ON;
    became = chargeNoted(desk, e, k, fault);
  } else became = chargeFaults(desk, e, k, fault);
  if (became === UNDONE) return ON;
  return became === ON ? chargeMeasured(desk, e, k, slot) : became;
}

/** A slip of the handler's. Below its rate a uniform number is uniform again: no slot more is needed. */
function chargeSlip(desk: Desk, e: number, k: number, uniform: number): number {
  const { slip } = desk.drawn[k] as DrawnElement;
  const place = placeOf(slip.what, uniform / slip.rate);
  return place < 0 ? ON : charge(desk, e, HANDLER, slip.what.steps[place] as number);
}
/** Extra cues by their number, all at once; whose loss they are goes by whose fault the rules call it. */
function chargeCues(desk: Desk, e: number, k: number, uniform: number): number {
  const { cues } = desk.drawn[k] as DrawnElement;
  const step = desk.plans[k]?.cueStep ?? -1;
  const place = placeOf(cues.what, uniform / cues.rate);
  if (step < 0 || place < 0) return ON;
  const whose = desk.compiled.steps[e]?.[step]?.by === 'dog' ? k : HANDLER;
  return charge(desk, e, whose, step, cues.what.steps[place]);
}

/** What clean reps only noted, each by itself; what is left of a uniform number is uniform again. */
function chargeNoted(desk: Desk, e: number, k: number, uniform: number): number {
  const { noted } = desk.drawn[k] as DrawnElement;
  let left = uniform;
  for (let i = 0; i < noted.steps.length; i++) {
    const rate = noted.rates[i] as number;
    if (left >= rate) {
      left = (left - rate) / (1 - rate);
      continue;
    }
    left /= rate;
    const became = charge(desk, e, k, noted.steps[i] as number);
    if (became !== ON) return became;
  }
  return ON;
}

/** The faults of a go that was not clean: one, and further ones as long as there is a further one. */
function chargeFaults(desk: Desk, e: number, k: number, uniform: number): number {
  const { fault, further } = desk.drawn[k] as DrawnElement;
  const misses = desk.plans[k]?.misses ?? [];
  let place = placeOf(fault, uniform);
  if (place < 0) return ON;
  let left = restOf(fault, place, uniform);
  if (misses[place]) return chargeOne(desk, e, k, fault, place, true);
  let became = chargeOne(desk, e, k, fault, place, false);
  if (left >= (further[0] as number)) return became;
  const { taken } = desk;
  taken.fill(0);
  // A try that failed failed once, and after a stop there is nothing more to see.
  for (let count = 0; became !== STOP && became !== OVER; count++) {
    const chance = further[count] ?? 0;
    if (left >= chance) break;
    taken[place] = 1;
    const [next, rest] = another(fault, taken, misses, left / chance);
    if (next < 0) break;
    [place, left] = [next, rest];
    const then = chargeOne(desk, e, k, fault, place, false);
    became = then === ON ? became : then;
  }
  return became;
}

/** A place among those not taken yet, parts not done left out; and what is left of the number. */
function another(
  { upTo }: Choice,
  taken: Uint8Array,
  misses: readonly boolean[],
  uniform: number,
): readonly [place: number, left: number] {
  let open = 0;
  for (let i = 0; i < upTo.length; i++) if (isOpen(taken, misses, i)) open += shareAt(upTo, i);
  if (open <= 0) return [-1, uniform];
  let target = uniform * open;
  for (let i = 0; i < upTo.length; i++) {
    if (!isOpen(taken, misses, i)) continue;
    const share = shareAt(upTo, i);
    if (target < share) return [i, target / share];
    target -= share;
  }
  return [-1, uniform];
}
const isOpen = (taken: Uint8Array, misses: readonly boolean[], i: number): boolean =>
  taken[i] === 0 && !misses[i];
const shareAt = (upTo: Float64Array, i: number): number =>
  (upTo[i] as number) - (i === 0 ? 0 : (upTo[i - 1] as number));

function chargeOne(desk: Desk, e: number, k: number, fault: Choice, place: number, missed: boolean): number {
  const step = fault.steps[place] as number;
  if (step === PRICED_ELSEWHERE) return ON;
  const became = charge(desk, e, k, step);
  return became === ON && missed ? UNDONE : became;
}

/** Faults by their measure: how often from its rate, by how much from its sizes. */
function chargeMeasured(desk: Desk, e: number, k: number, slot: number): number {
  const measured = desk.plans[k]?.element.measured ?? [];
  const rates = desk.measuredRates[k] as Float64Array;
  for (let m = 0; m < measured.length; m++) {
    const { sizes, amounts } = measured[m] as (typeof measured)[number];
    const uniform = desk.uniforms[slot + MEASURES + m] as number;
    const rate = rates[m] as number;
    if (uniform >= rate) continue;
    const place = placeOf(sizes, uniform / rate);
    const became = charge(desk, e, k, sizes.steps[place] as number, amounts[place]);
    if (became !== ON) return became;
  }
  return ON;
}

/** Charges a step to an element or the handler; whether the exercise goes on. */
function charge(desk: Desk, e: number, whose: number, step: number, amount?: number): number {
  const { tally } = desk;
  const units = tally.charge(step, amount);
  // What ends the run is booked also where there was nothing left to take: later exercises are its loss.
  if (units !== 0 || tally.ended()) book(desk, whose, e, step, units);
  if (tally.ended() || tally.zeroed()) return STOP;
  return desk.became[e]?.[step] ?? ON;
}

function book({ ledger }: Desk, whose: number, e: number, step: number, units: number): void {
  const { rows, length } = ledger;
  if (length + ROW > rows.length) throw new RangeError('a run charged more than it has goes');
  rows[length] = whose;
  rows[length + 1] = e;
  rows[length + 2] = step;
  rows[length + 3] = units;
  ledger.length = length + ROW;
}
