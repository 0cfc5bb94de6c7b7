import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, type Day, must } from '@/core/shared';
import {
  completedOn,
  type Leg,
  type TitleEntry,
  type TitleRule,
  titleChance,
  titlePlans,
  titleStanding,
  titleWeights,
} from './titles';

const START = '2026-03-01' as Day;
const on = (days: number, ...judges: string[]): Leg => ({ day: addDays(START, days), judges });
const rule = (passes: number, judges = 1, months: number | null = null): TitleRule => ({
  passes,
  judges,
  months,
});
const entry = (
  key: string,
  days: number,
  chances: readonly number[],
  judges = [key],
  cost = 1,
): TitleEntry => ({
  key,
  ...on(days, ...judges),
  cost,
  chances,
});

describe('where a title stands', () => {
  it.each([
    ['nothing yet', rule(3, 2), [], { legs: 0, passesLeft: 3, judgesLeft: 2, done: null, runsOut: null }],
    [
      'two of three under one judge: another judge is needed',
      rule(3, 2, 12),
      [on(0, 'a'), on(7, 'a')],
      { legs: 2, judges: 1, passesLeft: 1, judgesLeft: 1, done: null, runsOut: '2027-03-01' },
    ],
    [
      'three under one judge are not enough',
      rule(3, 2),
      [on(0, 'a'), on(7, 'a'), on(9, 'a')],
      { legs: 3, passesLeft: 1, judgesLeft: 1, done: null },
    ],
    [
      'the third under another: done that day',
      rule(3, 2),
      [on(0, 'a'), on(7, 'a'), on(9, 'b')],
      { passesLeft: 0, judgesLeft: 0, done: '2026-03-10' },
    ],
    [
      'the first ran out: two of three, and the next to run out is named',
      rule(3, 1, 2),
      [on(-80, 'a'), on(0, 'b'), on(20, 'c')],
      { legs: 2, passesLeft: 1, done: null, runsOut: '2026-05-01' },
    ],
    [
      'a pass of nobody counts, under no judge',
      rule(1, 1),
      [on(0)],
      { legs: 1, judgesLeft: 1, unsaid: 1, done: null },
    ],
    ['a pass to come is none', rule(1), [on(60, 'a')], { legs: 0, passesLeft: 1 }],
  ] as const)('%s', (_, asked, legs, found) => {
    expect(titleStanding(asked, legs, addDays(START, 40))).toMatchObject(found);
  });

  it('keeps what was complete once, though its legs have run out since', () => {
    expect(titleStanding(rule(2, 1, 1), [on(0, 'a'), on(7, 'b')], addDays(START, 400)).done).toBe(
      '2026-03-08',
    );
  });
});

describe('the chance of a title', () => {
  it('of entries that have nothing in common is that of a plain enumeration', () => {
    const three = [entry('x', 1, [0.5]), entry('y', 2, [0.6]), entry('z', 3, [0.7])];
    // All three .21; exactly two .09 + .14 + .21.
    expect(must(titleChance(rule(2), [], three, null))).toBeCloseTo(0.65, 12);
    expect(must(titleChance(rule(3), [], three, null))).toBeCloseTo(0.21, 12);
    expect(must(titleChance(rule(3), [on(0, 'x')], three, null))).toBeCloseTo(0.65, 12);
  });

  it('a common talent makes “both” likelier and “one of two” less likely', () => {
    const talent = [entry('x', 1, [0.3, 0.7]), entry('y', 2, [0.3, 0.7])];
    const apart = [entry('x', 1, [0.5]), entry('y', 2, [0.5])];
    expect(must(titleChance(rule(2), [], talent, null))).toBeCloseTo(0.29, 12);
    expect(must(titleChance(rule(2), [], apart, null))).toBeCloseTo(0.25, 12);
    expect(must(titleChance(rule(1), [], talent, null))).toBeCloseTo(0.71, 12);
    expect(must(titleChance(rule(1), [], apart, null))).toBeCloseTo(0.75, 12);
  });

  it('judges, the window and the day asked for count', () => {
    const same = [entry('x', 1, [1], ['a']), entry('y', 2, [1], ['a'])];
    expect(must(titleChance(rule(2, 2), [], same, null))).toBe(0);
    expect(must(titleChance(rule(2, 2), [on(0, 'b')], same, null))).toBe(1);
    const far = [entry('x', 1, [1]), entry('y', 100, [1])];
    expect(must(titleChance(rule(2, 1, 2), [], far, null))).toBe(0);
    expect(must(titleChance(rule(2), [], far, addDays(START, 50)))).toBe(0);
    expect(must(titleChance(rule(2), [], far, addDays(START, 100)))).toBe(1);
  });

  it('a pass is worth what it adds: nothing where the judge has passed it already', () => {
    const both = [entry('x', 1, [0.6]), entry('y', 2, [0.5])];
    const [x = 0, y = 0] = must(titleWeights(rule(2), [], both, null));
    expect(x).toBeCloseTo(0.5, 12);
    expect(y).toBeCloseTo(0.6, 12);
    const list = [entry('same', 1, [0.6], ['a']), entry('other', 2, [0.5], ['b'])];
    expect(must(titleWeights(rule(2, 2), [on(0, 'a')], list, null))).toEqual([0, 1]);
  });

  it('refuses what it cannot weigh, in words', () => {
    const many = Array.from({ length: 11 }, (_, i) => entry(`${i}`, i, [0.5]));
    expect(titleChance(rule(2), [], many, null)).toMatchObject({ ok: false, code: 'many' });
    expect(titlePlans(rule(2), [], many, null, 10)).toMatchObject({ ok: false, code: 'many' });
    expect(must(titleChance(rule(1), [], [], null))).toBe(0);
    expect(must(titleChance(rule(1), [on(0, 'a')], [], null))).toBe(1);
  });
});

/** Everything again, the slow way: each set, each outcome, each draw, and the title by trying every choice of passes. */
function slowChance(
  asked: TitleRule,
  legs: readonly Leg[],
  entries: readonly TitleEntry[],
  by: Day | null,
): number {
  const draws = entries[0]?.chances.length ?? 1;
  let total = 0;
  for (let d = 0; d < draws; d++)
    for (let outcome = 0; outcome < 2 ** entries.length; outcome++) {
      let weight = 1 / draws;
      const passed: Leg[] = [...legs];
      entries.forEach((one, i) => {
        const won = Math.floor(outcome / 2 ** i) % 2 === 1;
        weight *= won ? (one.chances[d] ?? 0) : 1 - (one.chances[d] ?? 0);
        if (won) passed.push(one);
      });
      if (
        holds(
          asked,
          passed.filter(({ day }) => by === null || day <= by),
        )
      )
        total += weight;
    }
  return total;
}

/** Whether any choice of passes makes the title: a window that starts at each of them. */
function holds({ passes, judges, months }: TitleRule, all: readonly Leg[]): boolean {
  return all.some((last) => {
    const fits = all.filter(
      ({ day }) =>
        day <= last.day &&
        (months === null ||
          new Date(`${day}T00:00Z`).setUTCMonth(new Date(`${day}T00:00Z`).getUTCMonth() + months) >
            Date.parse(`${last.day}T00:00Z`)),
    );
    return fits.length >= passes && new Set(fits.flatMap((one) => one.judges)).size >= judges;
  });
}

describe('which entries to make', () => {
  const chance = fc.integer({ min: 1, max: 19 }).map((n) => n / 20);
  const entries = fc
    .array(
      fc.tuple(
        fc.integer({ min: 1, max: 27 }),
        fc.tuple(chance, chance),
        fc.constantFrom('a', 'b', 'c'),
        fc.integer({ min: 1, max: 30 }),
      ),
      {
        minLength: 1,
        maxLength: 8,
      },
    )
    .map((list) => list.map(([day, chances, judge, cost], i) => entry(`e${i}`, day, chances, [judge], cost)));
  const rules = fc.record({
    passes: fc.integer({ min: 1, max: 3 }),
    judges: fc.integer({ min: 1, max: 2 }),
    months: fc.constantFrom(null, 1, 12),
  });

  it('is the best of all sets, by brute force, up to eight meetings', () => {
    fc.assert(
      fc.property(
        entries,
        rules,
        fc.integer({ min: 20, max: 300 }),
        fc.boolean(),
        (list, asked, worth, hasLeg) => {
          const legs = hasLeg ? [on(0, 'a')] : [];
          const [plan] = must(titlePlans(asked, legs, list, null, worth));
          let best = Number.NEGATIVE_INFINITY;
          for (let set = 0; set < 2 ** list.length; set++) {
            const chosen = list.filter((_, i) => Math.floor(set / 2 ** i) % 2 === 1);
            const cost = chosen.reduce((sum, one) => sum + one.cost, 0);
            best = Math.max(best, worth * slowChance(asked, legs, chosen, null) - cost);
          }
          expect(plan?.value).toBeCloseTo(best, 9);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('gives the chance that the plain enumeration gives', () => {
    fc.assert(
      fc.property(entries, rules, (list, asked) => {
        expect(must(titleChance(asked, [], list, null))).toBeCloseTo(slowChance(asked, [], list, null), 9);
      }),
      { numRuns: 60 },
    );
  });

  it('without a worth: for each number of entries the best set, as long as one more adds something', () => {
    const list = [entry('x', 1, [0.9]), entry('y', 2, [0.5]), entry('z', 3, [0.001])];
    const plans = must(titlePlans(rule(1), [], list, null, null));
    expect(plans.map((one) => one.entries)).toEqual([['x'], ['x', 'y']]);
    expect(plans[1]?.chance).toBeCloseTo(0.95, 12);
  });

  it('none where every entry costs more than it brings; an entry under the same judge is not chosen', () => {
    expect(must(titlePlans(rule(1), [], [entry('x', 1, [0.1], ['a'], 20)], null, 100))[0]?.entries).toEqual(
      [],
    );
    const list = [entry('same', 1, [0.9], ['a'], 1), entry('other', 2, [0.5], ['b'], 1)];
    expect(must(titlePlans(rule(2, 2), [on(0, 'a')], list, null, 100))[0]?.entries).toEqual(['other']);
    expect(completedOn(rule(2, 2), [on(0, 'a'), on(1, 'a')])).toBeNull();
  });
});
