import {
  asTrained,
  type Beliefs,
  type Cell,
  cellsWithCold,
  DRAW,
  drawPosterior,
  type ElementEvidence,
  EVIDENCE,
  predictorOf,
  summarise,
  swingAt,
  targetAt,
} from '@/core/evidence';
import { HANDLER_CHIP, WORN_CHIP } from '@/core/log';
import {
  type BoutId,
  type Day,
  daysBetween,
  type ElementId,
  ok,
  type Result,
  type Steps,
  seeded,
  seedFromText,
} from '@/core/shared';
import { mean, variance } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import type { FitWith } from './fit-class';
import { type DayBelief, type DayLearned, learnDay, type RunDay, type RunGoes } from './learned-day';

/** What the runs of a dog have taught of its trial days. */
export type LearnedDay = DayBelief & { readonly runs: number; readonly goes: number };

export type RunsTaught = {
  readonly all: LearnedDay;
  /**
   * What a strange place does to an element, and going unpaid, by the runs of the others: its own reps say it
   * themselves.
   */
  readonly beliefsOf: ReadonlyMap<ElementId, Beliefs>;
};

/** So many draws give the middle of an element and its spread to within a tenth of that. */
const DRAWS = 200;

/** What a run asks besides a strange place. */
const CONDITIONS = ['cold', 'handler', 'unpaid', 'worn'] as const;
type Condition = (typeof CONDITIONS)[number];
type Normal = { readonly mean: number; readonly variance: number };

/** An element’s goes in runs, beside what they would have been at home without any of that. */
type OfElement = {
  readonly id: ElementId;
  readonly goes: readonly { readonly run: number; readonly cell: Cell; readonly home: RunGoes }[];
  /** What its own reps at home say of each condition. */
  readonly conditions: Readonly<Record<Condition, Normal>>;
};

/**
 * Place and nerves from the rehearsal reps of runs. Each element is fitted without the runs first, which
 * says what its goes there would have been at home; what they were instead is the day’s. What the first go, no
 * pay and the like cost is taken to be common to all elements and put together from what each says at home; what
 * is not known of it is left open, and shared. For the fit of an element itself only the others’ goes say what a
 * strange place does, since its own are in that fit: no rep is used twice. Without a run nothing is learned.
 * Fails as the fits do.
 */
export function* runsTaught(
  { runs = [], elements, today }: Pick<ClassEvidence, 'runs' | 'elements' | 'today'>,
  assumptions: Assumptions,
  beliefs: Beliefs,
  fitWith: FitWith,
): Steps<Result<RunsTaught>> {
  const ofRun = new Map(runs.flatMap((bouts, run) => bouts.map((bout) => [bout, run] as const)));
  const found: OfElement[] = [];
  for (const [i, element] of elements.entries()) {
    const one = goesOf(element, ofRun, today, beliefs, fitWith);
    if (!one.ok) return one;
    if (one.value) found.push(one.value);
    yield (0.7 * (i + 1)) / elements.length;
  }
  const priors = priorsOf(beliefs);
  const learn = (of: readonly OfElement[]) => learnFrom(of, assumptions, priors);
  const all = learn(found);
  const beliefsOf = new Map<ElementId, Beliefs>();
  for (const [i, { id }] of elements.entries()) {
    const mine = found.some((one) => one.id === id);
    beliefsOf.set(id, (mine ? learn(found.filter((one) => one.id !== id)) : all).beliefs);
    yield 0.7 + (0.3 * (i + 1)) / elements.length;
  }
  const { place, nerves, goes } = all.day;
  const heard = new Set(found.flatMap((one) => one.goes.map(({ run }) => run)));
  return ok({ all: { place, nerves, goes, runs: heard.size }, beliefsOf });
}

const priorsOf = (beliefs: Beliefs): Readonly<Record<Condition, Normal>> => {
  const { mean: middle, sd } = EVIDENCE.shift;
  const other = { mean: middle, variance: sd * sd };
  return {
    cold: { mean: beliefs.cold.mean, variance: beliefs.cold.sd ** 2 },
    handler: other,
    unpaid: other,
    worn: other,
  };
};

/** The day, by the runs of these elements, and what it means for the fit of another one. */
function learnFrom(
  found: readonly OfElement[],
  assumptions: Assumptions,
  priors: Readonly<Record<Condition, Normal>>,
): { readonly day: DayLearned; readonly beliefs: Beliefs } {
  const known = Object.fromEntries(
    CONDITIONS.map((one) => [
      one,
      pooled(
        priors[one],
        found.map(({ conditions }) => conditions[one]),
      ),
    ]),
  ) as Record<Condition, Normal>;
  const days = new Map<string, { away: boolean; goes: RunGoes[] }>();
  let [open, count] = [0, 0];
  for (const { run, cell, home } of found.flatMap((one) => one.goes)) {
    const asked = asAsked(cell);
    const key = `${run} ${cell.away}`;
    const day = days.get(key) ?? { away: cell.away, goes: [] };
    day.goes.push({
      ...home,
      mean: CONDITIONS.reduce((sum, one) => sum + asked[one] * known[one].mean, home.mean),
    });
    days.set(key, day);
    open += CONDITIONS.reduce((sum, one) => sum + asked[one] * known[one].variance, 0);
    count += 1;
  }
  const besides = Math.sqrt(open / Math.max(1, count));
  const prior: DayBelief = { place: assumptions.place, nerves: assumptions.nervesSd };
  const day = learnDay([...days.values()] as RunDay[], prior, assumptions.sharedDay, besides);
  // Of what all conditions cost besides, pay has the share that it is unknown by.
  const share = besides > 0 ? Math.min(1, known.unpaid.variance / (besides * besides)) : 0;
  return {
    day,
    beliefs: {
      away: day.place,
      cold: assumptions.cold,
      unpaid: {
        mean: known.unpaid.mean + share * day.besides.mean,
        sd: Math.sqrt(share * share * day.besides.sd ** 2 + (1 - share) * known.unpaid.variance),
      },
    },
  };
}

/**
 * One shift that is common to several elements, from what each says of it by itself: precisions beyond the prior
 * add up. Two that halve a prior variance of 1 → a third of it.
 */
function pooled(prior: Normal, each: readonly Normal[]): Normal {
  let [precision, weighted] = [1 / prior.variance, prior.mean / prior.variance];
  for (const one of each) {
    const more = 1 / one.variance - 1 / prior.variance;
    // Draws of what is not known better than before say nothing, whatever their few numbers say.
    if (!(more > 0.05 / prior.variance)) continue;
    precision += more;
    weighted += one.mean / one.variance - prior.mean / prior.variance;
  }
  return { mean: weighted / precision, variance: 1 / precision };
}

/** The goes of an element in runs; null where it has none. */
function goesOf(
  element: ElementEvidence,
  ofRun: ReadonlyMap<BoutId, number>,
  today: ClassEvidence['today'],
  beliefs: Beliefs,
  fitWith: FitWith,
): Result<OfElement | null> {
  const { id, axes, bouts } = element;
  const isRun = ({ bout }: { readonly bout: BoutId }): boolean => ofRun.has(bout);
  if (!bouts.some(isRun)) return ok(null);
  const whole = summarise(bouts, today);
  if (!whole.ok) return whole;
  const cells = cellsWithCold(whole.value).filter(isRun);
  const before = summarise(
    bouts.filter((one) => !isRun(one)),
    today,
  );
  if (!before.ok) return before;
  const fitted = fitWith(axes, before.value, today, beliefs);
  if (!fitted.ok) return fitted;
  const posterior = drawPosterior(fitted.value, seeded(seedFromText(id)), DRAWS, 3 * DRAWS);
  const { draws, width, count } = posterior;
  const over = (of: (i: number) => number): Normal => {
    const values = Array.from({ length: count }, (_, i) => of(i));
    return { mean: mean(values), variance: variance(values) };
  };
  const swing = over((i) => swingAt(posterior, i)).mean;
  const worked = bouts.filter((one) => !isRun(one) && one.counted > 0).map(({ day }) => day);
  const goes: OfElement['goes'][number][] = [];
  for (const cell of cells) {
    const target = targetAt(axes, cell.criteria, 'either');
    if (!target.ok) return target;
    // As it was on the day of the run: fewer sessions, its own gap, and what it has drifted since.
    const last = worked.filter((day) => day <= cell.day).reduce<Day | null>(later, null);
    const when = {
      ...asTrained(posterior),
      sessions: -worked.filter((day) => day > cell.day).length,
      gap: last === null ? 0 : daysBetween(last, cell.day),
    };
    const then = over((i) => predictorOf(posterior, i, target.value, when));
    const drifted = EVIDENCE.driftPerDay * daysBetween(cell.day, today);
    const home = { mean: then.mean, variance: then.variance + drifted };
    const { clean, notClean } = cell;
    goes.push({
      run: ofRun.get(cell.bout) as number,
      cell,
      home: { element: id, ...home, swing, clean, notClean },
    });
  }
  const conditions = Object.fromEntries(
    CONDITIONS.map((one) => [one, over((i) => draws[i * width + DRAW[one]] as number)]),
  ) as OfElement['conditions'];
  return ok({ id, goes, conditions });
}

const later = (a: Day | null, b: Day): Day => (a === null || b > a ? b : a);

const asAsked = (cell: Cell): Readonly<Record<Condition, number>> => ({
  cold: cell.cold ? 1 : 0,
  handler: cell.conditions[HANDLER_CHIP] === 'another' ? 1 : 0,
  unpaid: cell.unpaid ? 1 : 0,
  worn: cell.conditions[WORN_CHIP] === 'other' ? 1 : 0,
});
