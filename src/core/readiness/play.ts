import type { FaultStep } from '@/core/rulebooks';
import { type Choice, PRICED_ELSEWHERE, placeOf, restOf } from './choice';
import type { Desk } from './desk';
import type { DrawnElement } from './drawn-element';

// A million goes a forecast: trial, run and go stand in one file, since each name that is read through
// another file’s door in every go costs a tenth of the whole.

/** Random numbers of a go: clean or not, which faults, extra cues, a slip; then one for each measure. */
const [CLEAN, FAULT, CUES, SLIP] = [0, 1, 2, 3];
export const MEASURES = 4;
/** And of a day: how the dog is, and its nerves. */
export const SLOTS_PER_DAY = 2;

/**
 * What became of a go: on to the next, tried again (the part, the whole), no more of this exercise; or
 * the part was not done, so that there is nothing to measure and the next part begins.
 */
const [ON, AGAIN, OVER, STOP, UNDONE] = [0, 1, 2, 3, 4];
/** Whose a loss is that no element has. */
const HANDLER = -1;

/** What a step makes of a go besides its price. */
export const becameOf = ({ stops, again }: FaultStep): number =>
  stops ? STOP : again === 'item' ? OVER : again === 'part' ? AGAIN : ON;

/** Places of a row in the ledger of a run. */
export const ROW = 4;

/** One trial: its days, its runs, and the one that counts. */
export function runTrial(desk: Desk, base: number, group: number): void {
  const { rules, runs, tally } = desk;
  for (let day = 0; day < desk.days; day++) drawDay(desk, base + SLOTS_PER_DAY * day, day);
  const first = drawOwnDays(desk, base + SLOTS_PER_DAY * desk.days);
  let units = runOnce(desk, first);
  let failures = tally.failures();
  for (let again = 1; again < rules.runs.count; again++) {
    [desk.ledger, desk.spare] = [desk.spare, desk.ledger];
    const next = runOnce(desk, first + again * desk.slotsPerRun);
    const nextFailures = tally.failures();
    if (isBetter(next, nextFailures, units, failures) === (rules.runs.counts === 'best')) {
      units = next;
      failures = nextFailures;
    } else [desk.ledger, desk.spare] = [desk.spare, desk.ledger];
  }
  bookLosses(desk);
  runs.histogram[units] = (runs.histogram[units] as number) + 1;
  runs.unitsByGroup[group] = (runs.unitsByGroup[group] as number) + units;
  if (failures.length === 0) runs.passesByGroup[group] = (runs.passesByGroup[group] as number) + 1;
  for (const place of failures) runs.failures[place] = (runs.failures[place] as number) + 1;
}

/** Passed before not passed, then by units. */
const isBetter = (
  units: number,
  failures: readonly number[],
  before: number,
  failuresBefore: readonly number[],
): boolean => {
  const [passed, passedBefore] = [failures.length === 0, failuresBefore.length === 0];
  return passed === passedBefore ? units > before : passed;
};

function drawDay({ uniforms, swings, nerves }: Desk, slot: number, day: number): void {
  // Box & Muller (1958): a fixed number of slots, which a rejection method would not keep. The
  // cosine is the dog's day, the sine its nerves.
  const radius = Math.sqrt(-2 * Math.log(uniforms[slot] as number));
  const turn = 2 * Math.PI * (uniforms[slot + 1] as number);
  const [dog, nervous] = [radius * Math.cos(turn), nerves * radius * Math.sin(turn)];
  // Clean is u < σ((η + day)·shrink), that is u·(1 + e^−η·shrink · e^−day·shrink) < 1: one
  // exponential for each swing and day, none for an element.
  const { ownDay, shrink, dayFactor, taus } = swings;
  for (let t = 0; t < taus.length; t++)
    dayFactor[day * ownDay.length + t] = Math.exp(
      -((ownDay[t] as number) * dog + nervous) * (shrink[t] as number),
    );
}

/** The day of each element that does more than one thing on it; the first slot after them. */
function drawOwnDays({ uniforms, own }: Desk, from: number): number {
  let slot = from;
  for (let i = 0; i < own.sd.length; i++) {
    const radius = Math.sqrt(-2 * Math.log(uniforms[slot] as number));
    const normal = radius * Math.cos(2 * Math.PI * (uniforms[slot + 1] as number));
    own.factor[i] = Math.exp(-(own.sd[i] as number) * normal);
    slot += SLOTS_PER_DAY;
  }
  return slot;
}

/** Runs all exercises once; its units. */
function runOnce(desk: Desk, base: number): number {
  const { tally, order, ledger, rules, counts } = desk;
  if (rules.drawsOrder) shuffle(desk, base);
  ledger.length = 0;
  tally.start();
  for (let place = 0; place < counts.length; place++) {
    const e = order[place] as number;
    tally.open(e);
    runExercise(desk, base, e);
    if (tally.ended()) {
      chargeUnrun(desk, place);
      break;
    }
  }
  return tally.finish();
}

/** Fisher & Yates (1938), by the slots of the run. */
function shuffle({ order, uniforms }: Desk, base: number): void {
  for (let i = 0; i < order.length; i++) order[i] = i;
  for (let i = order.length - 1; i > 0; i--) {
    const other = Math.floor((uniforms[base + i] as number) * (i + 1));
    [order[i], order[other]] = [order[other] as number, order[i] as number];
  }
}

/** One exercise, tried as a whole as often as the rules allow while a try was lost. */
function runExercise(desk: Desk, base: number, e: number): void {
  const tries = desk.wholeTries[e] as number;
  for (let attempt = 0; attempt < tries; attempt++) if (!runAttempt(desk, base, e, attempt)) return;
}

/** One try of all elements in their order; true where it was lost and may be tried again. */
function runAttempt(desk: Desk, base: number, e: number, attempt: number): boolean {
  const from = desk.from[e] as number;
  for (let k = from; k < from + (desk.counts[e] as number); k++) {
    const times = desk.times[k] as number;
    for (let time = 0; time < times; time++) {
      const became = runPart(desk, base, e, k, attempt * times + time);
      if (became === OVER) return true;
      if (became === STOP) return false;
    }
  }
  return false;
}

/** One asking of an element, tried again as often as its fault allows. */
function runPart(desk: Desk, base: number, e: number, k: number, asking: number): number {
  const tries = desk.partTries[e] as number;
  const width = desk.slotsPerGo[k] as number;
  const first = base + (desk.slotOf[k] as number) + asking * tries * width;
  for (let again = 0; again < tries; again++) {
    const became = go(desk, e, k, first + again * width);
    if (became !== AGAIN) return became;
  }
  return ON;
}

/** What was not run any more is lost by what ended the run, which is the last thing booked. */
function chargeUnrun(desk: Desk, place: number): void {
  const { order, compiled, ledger, counts } = desk;
  let units = 0;
  for (let later = place + 1; later < counts.length; later++)
    units += compiled.maximum[order[later] as number] as number;
  const last = ledger.length - ROW;
  ledger.rows[last + 3] = (ledger.rows[last + 3] as number) + units;
}

/** Books the run that counts into the sums. */
function bookLosses({ ledger, runs }: Desk): void {
  const { rows, length } = ledger;
  for (let i = 0; i < length; i += ROW) {
    const [whose, e, step] = [rows[i] as number, rows[i + 1] as number, rows[i + 2] as number];
    const units = rows[i + 3] as number;
    const lost = runs.lostByStep[e] as Float64Array;
    lost[step] = (lost[step] as number) + units;
    if (whose === HANDLER) runs.lostByHandler[e] = (runs.lostByHandler[e] as number) + units;
    else runs.lostByElement[whose] = (runs.lostByElement[whose] as number) + units;
  }
}

/** One go of an element: the handler's part, the dog's, and what was measured of it. */
function go(desk: Desk, e: number, k: number, slot: number): number {
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
