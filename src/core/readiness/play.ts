import { AGAIN, type Desk, HANDLER, ON, OVER, ROW, SLOTS_PER_DAY, STOP } from './desk';
import { go } from './go';

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
