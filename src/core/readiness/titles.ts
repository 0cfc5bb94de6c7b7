import { addMonths, type Day, fail, ok, type Result, say } from '@/core/shared';

/** What a title asks: so many passes under so many judges, within so many months where that is asked. */
export type TitleRule = {
  readonly passes: number;
  readonly judges: number;
  readonly months: number | null;
};

/** A pass: its day, and under whom; where nobody says, it is under no judge that counts. */
export type Leg = { readonly day: Day; readonly judges: readonly string[] };

export type TitleStanding = {
  /** The day on which it was complete; null while it is not. */
  readonly done: Day | null;
  /** Passes that count today, and of those the oldest that runs out and when; null where nothing does. */
  readonly legs: number;
  readonly judges: number;
  readonly runsOut: Day | null;
  /** What is missing still: passes, and judges who have not passed it yet. */
  readonly passesLeft: number;
  readonly judgesLeft: number;
  /** Passes that count of which nobody said under whom: each may bring a judge. */
  readonly unsaid: number;
};

/**
 * Where a title stands: whether the passes complete it, and if not, what today’s best choice of them has and
 * lacks. Two passes of three under one judge, two asked → one pass left, under another judge.
 */
export function titleStanding(rule: TitleRule, legs: readonly Leg[], today: Day): TitleStanding {
  const sorted = legs.filter(({ day }) => day <= today).toSorted((a, b) => (a.day < b.day ? -1 : 1));
  const done = completedOn(rule, sorted);
  // What would still count if the next pass came today.
  const counting = sorted.filter(({ day }) => rule.months === null || addMonths(day, rule.months) > today);
  const judges = judgesOf(counting);
  const passesLeft = Math.max(0, rule.passes - counting.length);
  const judgesLeft = Math.max(0, rule.judges - judges);
  const [oldest] = counting;
  return {
    done,
    legs: Math.min(counting.length, rule.passes),
    judges,
    runsOut: rule.months !== null && oldest && done === null ? addMonths(oldest.day, rule.months) : null,
    passesLeft: done === null ? Math.max(passesLeft, judgesLeft) : 0,
    judgesLeft: done === null ? judgesLeft : 0,
    unsaid: done === null ? counting.filter((leg) => leg.judges.length === 0).length : 0,
  };
}

const judgesOf = (legs: readonly Leg[]): number => new Set(legs.flatMap(({ judges }) => judges)).size;

/**
 * The first day on which passes make a title: so many of them, under so many judges, none older then than the
 * window. Null where they do not.
 * @internal
 */
export function completedOn({ passes, judges, months }: TitleRule, sorted: readonly Leg[]): Day | null {
  for (const [i, { day }] of sorted.entries()) {
    const within = sorted
      .slice(0, i + 1)
      .filter((leg) => months === null || addMonths(leg.day, months) > day);
    if (within.length >= passes && judgesOf(within) >= judges) return day;
  }
  return null;
}

/** An entry that could be made: its day, its judges, what it costs, and the chance of passing in each draw. */
export type TitleEntry = {
  readonly key: string;
  readonly day: Day;
  readonly judges: readonly string[];
  readonly cost: number;
  /** One for each draw of what is not known about the dog, the same draws for every entry. */
  readonly chances: readonly number[];
};

/** More entries than these are not weighed: every further one doubles the outcomes. */
export const MOST_ENTRIES = 8;

/**
 * The chance that a title is complete by a day, if these entries are made: in each draw the entries pass or
 * not by themselves, and every outcome is weighed exactly; over draws the dog’s own talent is common to all,
 * which makes “all of them” likelier and “one of them” less likely than if it were not. Fails with `many` for
 * more than eight entries. .3 or .7 evenly, two of two → .29; at least one of two → .71.
 */
export function titleChance(
  rule: TitleRule,
  legs: readonly Leg[],
  entries: readonly TitleEntry[],
  by: Day | null,
): Result<number> {
  if (entries.length > MOST_ENTRIES)
    return fail('many', 'entries', say('readiness.titles.many', { most: MOST_ENTRIES }));
  const wins = winning(rule, legs, entries, by);
  return ok(chanceOf(wins, entries));
}

/** Of each outcome of the entries (bit i: entry i passed) whether the title is complete by then. */
function winning(
  rule: TitleRule,
  legs: readonly Leg[],
  entries: readonly TitleEntry[],
  by: Day | null,
): Uint8Array {
  return Uint8Array.from({ length: 2 ** entries.length }, (_, outcome) => {
    const passed = entries.filter((__, i) => outcome & (1 << i));
    const all = [...legs, ...passed].toSorted((a, b) => (a.day < b.day ? -1 : 1));
    const done = completedOn(rule, all);
    return done !== null && (by === null || done <= by) ? 1 : 0;
  });
}

/** Outcomes of a part of the entries: the others do not pass, since they are not made. */
function within(wins: Uint8Array, set: number, count: number): Uint8Array {
  const places = Array.from({ length: count }, (_, i) => i).filter((i) => set & (1 << i));
  return Uint8Array.from(
    { length: 2 ** places.length },
    (_, outcome) => wins[places.reduce((sum, i, k) => (outcome & (1 << k) ? sum | (1 << i) : sum), 0)] ?? 0,
  );
}

function chanceOf(wins: Uint8Array, entries: readonly TitleEntry[]): number {
  const draws = entries[0]?.chances.length ?? 1;
  let sum = 0;
  for (let d = 0; d < draws; d++) {
    // Outcomes by doubling: with each entry every outcome so far splits in two.
    let weights = [1];
    for (const { chances } of entries) {
      const p = chances[d] ?? 0;
      weights = [...weights.map((one) => one * (1 - p)), ...weights.map((one) => one * p)];
    }
    for (const [outcome, weight] of weights.entries()) if (wins[outcome]) sum += weight;
  }
  return sum / draws;
}

/**
 * What one more pass at each entry is worth for the title: how much likelier it is where that one is passed than
 * where it is not, all else left open. 0 for an entry that cannot bring it nearer. Two that must both be passed,
 * .6 and .5 → .5 and .6. Fails with `many`.
 */
export function titleWeights(
  rule: TitleRule,
  legs: readonly Leg[],
  entries: readonly TitleEntry[],
  by: Day | null,
): Result<readonly number[]> {
  if (entries.length > MOST_ENTRIES)
    return fail('many', 'entries', say('readiness.titles.many', { most: MOST_ENTRIES }));
  const wins = winning(rule, legs, entries, by);
  const surely = (at: number, passed: number): number =>
    chanceOf(
      wins,
      entries.map((one, i) => (i === at ? { ...one, chances: one.chances.map(() => passed) } : one)),
    );
  return ok(entries.map((_, i) => surely(i, 1) - surely(i, 0)));
}

/** A set of entries, what they cost together, and the chance of the title with them. */
export type TitlePlan = {
  readonly entries: readonly string[];
  readonly cost: number;
  readonly chance: number;
  /** worth × chance − cost; null where nobody said what the title is worth. */
  readonly value: number | null;
};

/**
 * Which entries to make. With a worth: the set of greatest worth × chance − cost, none where every one costs
 * more than it brings. Without one: for each number of entries the set of greatest chance, the cheapest of
 * equals, as far as one more entry adds to it. Every set is weighed, up to eight entries; all fees are paid
 * beforehand, also of an entry that proves not to be needed. Fails with `many`.
 */
export function titlePlans(
  rule: TitleRule,
  legs: readonly Leg[],
  entries: readonly TitleEntry[],
  by: Day | null,
  worth: number | null,
): Result<readonly TitlePlan[]> {
  if (entries.length > MOST_ENTRIES)
    return fail('many', 'entries', say('readiness.titles.many', { most: MOST_ENTRIES }));
  const wins = winning(rule, legs, entries, by);
  const plans = Array.from({ length: 2 ** entries.length }, (_, set): TitlePlan => {
    const chosen = entries.filter((__, i) => set & (1 << i));
    const cost = chosen.reduce((sum, one) => sum + one.cost, 0);
    const chance = chanceOf(within(wins, set, entries.length), chosen);
    const value = worth === null ? null : worth * chance - cost;
    return { entries: chosen.map(({ key }) => key), cost, chance, value };
  });
  if (worth !== null) {
    const [best] = plans.toSorted(
      (a, b) => (b.value ?? 0) - (a.value ?? 0) || a.entries.length - b.entries.length,
    );
    return ok(best ? [best] : []);
  }
  const frontier: TitlePlan[] = [];
  for (let count = 1; count <= entries.length; count++) {
    const [best] = plans
      .filter((plan) => plan.entries.length === count)
      .toSorted((a, b) => b.chance - a.chance || a.cost - b.cost);
    if (best && best.chance > (frontier.at(-1)?.chance ?? 0) + LEAST_MORE) frontier.push(best);
  }
  return ok(frontier);
}

/** An entry more that adds less than this adds nothing that is known. */
const LEAST_MORE = 0.005;
