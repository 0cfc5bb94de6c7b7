import { describe, expect, it } from 'vitest';
import { type FaultCounts, type Summary, summarise } from '@/core/evidence';
import { boutsOf, rep, TODAY } from '@/core/evidence/evidence.test-helper';
import { type Fault, faultSteps, faultText, prepareRules } from '@/core/rulebooks';
import {
  asId,
  type Day,
  type ElementId,
  type ExerciseKey,
  type FaultKey,
  must,
  type PartKey,
  seeded,
} from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { logistic } from '@/core/statistics';
import { NO_BREAK, writeShare } from '@/words';
import { DEFAULT_ASSUMPTIONS, type TrialClass, type TrialElement } from '.';
import { forecastOf } from './forecast';
import { helpRanking } from './help';
import { measuredFaults } from './measured';
import { posteriorOf } from './posterior.test-helper';
import { simulateTrials } from './simulate';

const empty = must(summarise([], '2026-06-15' as Day));
const CALM = { ...DEFAULT_ASSUMPTIONS, nervesSd: 0, handlerRate: 0 };
const cost = { kind: 'each', points: 4 } as const;
const ANGLES: Fault['cost'] = {
  kind: 'band',
  quantity: 'angle',
  unit: '°',
  bands: [
    { over: 10, points: 1 },
    { over: 30, points: 6 },
  ],
};

/** An element whose logit on the day is known: one draw, no axes; `tau` is its swing. */
const sure = (name: string, logitOnTheDay: number, summary: Summary = empty, tau = 0): TrialElement => ({
  id: asId<ElementId>(`id-${name}`),
  part: asId<PartKey>(name),
  posterior: posteriorOf([[0, 0, logitOnTheDay, 0.05, tau]]),
  target: { columns: [], either: [] },
  times: 1,
  measured: [],
  summary,
});
const fault = (element: string, miss = true, stops = false, price: Fault['cost'] = cost) => ({
  id: asId<FaultKey>(`f-${element}-${miss}`),
  title: element,
  part: asId<PartKey>(element),
  by: 'dog' as const,
  miss,
  stops,
  cost: price,
});
/** Counts of faults named for no exercise in particular. */
const counts = (list: readonly (readonly [key: string, step: number | null, count: number])[]): FaultCounts =>
  Object.fromEntries(
    list.map(([key, step, count]) => {
      const fault = { exercise: null, key: asId<FaultKey>(key), step };
      return [faultText(fault), { fault, count }];
    }),
  );
const classOf = (elements: readonly TrialElement[][], faults: Fault[][], line: number): TrialClass => {
  const names = elements.map((_, e) => asId<ExerciseKey>(`e${e}`));
  return {
    rules: prepareRules({
      rules: {
        family: 'points-off',
        smallestPoint: 1,
        awards: [],
        pass: [{ kind: 'total', atLeast: line }],
        exercises: names.map((exercise, e) => ({
          exercise,
          maximum: 10,
          faults: (faults[e] ?? []) as never,
        })),
      },
      exercises: names.map((id) => ({ id, title: id, text: id, parts: [] })),
    }),
    exercises: elements.map((list, e) => ({ exercise: names[e] ?? asId<ExerciseKey>(''), elements: list })),
  };
};
const two = (a: number, b: number, line: number, stops = false): TrialClass =>
  classOf([[sure('a', a), sure('b', b)]], [[fault('a', true, stops), fault('b')]], line);
const forecast = (input: TrialClass, assumptions = CALM, seed = 1, size = { groups: 400, runs: 50 }) =>
  forecastOf(input, simulateTrials(input, assumptions, seed, size), input.rules.exercises.map(faultSteps));

describe('simulation against exact enumeration', () => {
  const [p, q] = [logistic(1), logistic(0.5)];
  it.each([
    ['both must be clean', two(1, 0.5, 10), p * q, 10 - 4 * (1 - p) - 4 * (1 - q)],
    ['one may fail', two(1, 0.5, 6), 1 - (1 - p) * (1 - q), 10 - 4 * (1 - p) - 4 * (1 - q)],
    ['a stop hides the second', two(1, 0.5, 6, true), 1, 10 - 4 * (1 - p) - 4 * p * (1 - q)],
  ])('%s', (_, input, pass, points) => {
    const found = forecast(input);
    expect(Math.abs(found.pass.mid - pass)).toBeLessThan(0.012);
    expect(Math.abs(found.expectedUnits - points)).toBeLessThan(0.06);
  });

  it('an ended run loses the later exercises too, and all that is lost is accounted for', () => {
    const input = classOf(
      [[sure('a', 0)], [sure('b', 1)]],
      [[fault('a', true, false, { kind: 'end-run' })], [fault('b')]],
      12,
    );
    const found = forecast(input);
    const lost = found.losses.reduce((sum, loss) => sum + loss.units, 0);
    expect(found.expectedUnits).toBeCloseTo(20 - lost, 9);
    expect(Math.abs((found.losses[0]?.units ?? 0) - 10)).toBeLessThan(0.2);
    expect(found.failures[0]).toMatchObject({ code: 'ended' });
  });
});

describe('what the forecast is made of', () => {
  it('is the same for the same seed and another for another', () => {
    const input = two(1, 0.5, 10);
    expect(forecast(input, DEFAULT_ASSUMPTIONS, 5)).toEqual(forecast(input, DEFAULT_ASSUMPTIONS, 5));
    expect(forecast(input, DEFAULT_ASSUMPTIONS, 6).histogram).not.toEqual(
      forecast(input, DEFAULT_ASSUMPTIONS, 5).histogram,
    );
  });

  it('has an interval that is narrow when the dog is known and wide when not', () => {
    const known = forecast(two(1, 0.5, 6));
    const random = seeded(4);
    const loose = posteriorOf(
      Array.from({ length: 400 }, () => [-0.5, -0.3, 1 + 1.2 * random.normal(), 0, 0.5]),
    );
    const unknown = forecast(classOf([[{ ...sure('a', 0), posterior: loose }]], [[fault('a')]], 10));
    expect(known.pass.high - known.pass.low).toBeLessThan(0.05);
    expect(unknown.pass.high - unknown.pass.low).toBeGreaterThan(0.3);
  });

  it('knows less of a day further away', () => {
    const input = two(1, 1, 10);
    const width = (days: number): number => {
      const { pass } = forecastOf(
        input,
        simulateTrials(input, CALM, 1, undefined, { days }),
        input.rules.exercises.map(faultSteps),
      );
      return pass.high - pass.low;
    };
    expect(width(0)).toBeLessThan(0.1);
    expect(width(30)).toBeGreaterThan(width(0) * 1.5);
    expect(width(200)).toBeGreaterThan(width(30) * 1.3);
  });

  it('a day shared by all elements spreads the scores', () => {
    const spread = (sharedDay: number) => {
      const swinging = classOf(
        [[sure('a', 0.5, empty, 1.5), sure('b', 0.5, empty, 1.5)]],
        [[fault('a'), fault('b')]],
        10,
      );
      const { histogram } = forecast(swinging, { ...CALM, sharedDay });
      return (histogram[2] ?? 0) + (histogram[10] ?? 0);
    };
    expect(spread(1)).toBeGreaterThan(spread(0) * 1.1);
  });

  it('uses the faults that were logged', () => {
    const logged: Summary = { ...empty, faults: counts([['f-a-false', null, 60]]), counted: 60 };
    const faults = [
      fault('a', true, false, { kind: 'zero' }),
      fault('a', false, false, { kind: 'each', points: 1 }),
    ];
    const without = forecast(classOf([[sure('a', 0)]], [faults], 5));
    const withThem = forecast(classOf([[sure('a', 0, logged)]], [faults], 5));
    expect(without.pass.mid).toBeLessThan(0.85);
    expect(withThem.pass.mid).toBeGreaterThan(0.95);
  });

  it('prices a measured fault by its measures, and not again by what was not clean', () => {
    const random = seeded(2);
    const rules = classOf([[sure('a', 0)]], [[fault('a'), fault('a', false, false, ANGLES)]], 5).rules;
    const [exercise] = rules.exercises;
    if (!exercise) throw new Error('one exercise');
    const reps = Array.from({ length: 60 }, () => rep({ measured: -8 + 7 * random.normal() }));
    const measured = measuredFaults(exercise, asId<PartKey>('a'), boutsOf(reps), TODAY);
    expect(measured).toMatchObject([{ fault: 'f-a-false' }]);
    expect(measured[0]?.sizes.upTo.at(-1)).toBeCloseTo(1, 9);
    // More than a third lie beyond 10°, next to none beyond 30°.
    const share = reps.filter((one) => Math.abs(one.measured ?? 0) > 10).length / reps.length;
    expect(Math.abs((measured[0]?.rate ?? 0) - share)).toBeLessThan(0.06);
    expect(measured[0]?.sizes.upTo[0] ?? 0).toBeGreaterThan(0.97);
    expect(measuredFaults(exercise, asId<PartKey>('a'), boutsOf(reps.slice(0, 5)), TODAY)).toEqual([]);
    // A dog that is always clean otherwise loses the price of a band as often as it is beyond it …
    const clean = { ...sure('a', 40), measured };
    const faults = [fault('a'), fault('a', false, false, ANGLES)];
    const cost = (element: TrialElement) => forecast(classOf([[element]], [faults], 5)).losses[0]?.units ?? 0;
    const [first, second] = [measured[0]?.sizes.upTo[0] ?? 0, 1 - (measured[0]?.sizes.upTo[0] ?? 0)];
    expect(Math.abs(cost(clean) - (measured[0]?.rate ?? 0) * (first + 6 * second))).toBeLessThan(0.03);
    // … and one whose flaws were all crookedness loses no more for them.
    const flawed: Summary = { ...empty, faults: counts([['f-a-false', 0, 6000]]), counted: 6000 };
    expect(Math.abs(cost({ ...sure('a', 0, flawed), measured }) - cost(clean))).toBeLessThan(0.03);
  });

  it('charges the handler for slips', () => {
    const slip = { ...fault('a', false), id: asId<FaultKey>('cue'), by: 'handler' as const, part: null };
    const input = classOf([[sure('a', 40)]], [[fault('a'), slip]], 10);
    const found = forecast(input, { ...CALM, handlerRate: 0.1, handlerWeight: 400 });
    expect(Math.abs(found.pass.mid - 0.9)).toBeLessThan(0.012);
    expect(found.handlerLosses[0]?.units).toBeCloseTo(10 - found.expectedUnits, 9);
  });
});

describe('what would help most', () => {
  it('names the weaker of two elements that cost the same, with a paired gain', () => {
    const input = two(3, 0, 10);
    const runs = simulateTrials(input, CALM, 2);
    const [best, second] = finish(helpRanking(input, runs, CALM, 2));
    expect(best).toMatchObject({ element: 'id-b', tooClose: false });
    expect(best?.gain.mid).toBeCloseTo(logistic(3) * (logistic(0.25) - 0.5), 1.7);
    expect(second?.gain.mid ?? 1).toBeLessThan(best?.gain.mid ?? 0);
    expect(best?.bestIn).toBeGreaterThanOrEqual(9);
    // One draw of the dog: nothing is unknown but the dice.
    expect((best?.gain.high ?? 1) - (best?.gain.low ?? 0)).toBeLessThan(0.03);
  });

  it('says when two are too close to call', () => {
    const input = two(0, 0, 10);
    const [first, other] = finish(helpRanking(input, simulateTrials(input, CALM, 2), CALM, 2));
    expect([first?.tooClose, other?.tooClose]).toEqual([false, true]);
    expect((first?.bestIn ?? 0) + (other?.bestIn ?? 0)).toBe(10);
  });

  it('does not cut harm off, and tells an hour only where times differ', () => {
    const draws = [0.3, -0.3].map((gain) => [0, 0, 1, gain, 0.1]);
    const dog: TrialElement = { ...sure('a', 0), posterior: posteriorOf(draws) };
    const input = classOf([[dog], [sure('b', 1)]], [[fault('a')], [fault('b')]], 20);
    const ranked = (minutes: [ElementId, number][]) =>
      finish(helpRanking(input, simulateTrials(input, CALM, 2), CALM, 2, new Map(minutes)));
    const [a, b] = ['id-a', 'id-b'].map((id) => asId<ElementId>(id)) as [ElementId, ElementId];
    const helped = ranked([]).find((one) => one.element === a);
    expect(helped?.gain.low ?? 0).toBeLessThan(-0.05);
    expect(helped?.gain.high ?? 0).toBeGreaterThan(0.05);
    expect(helped?.gainPerHour).toBeNull();
    expect(
      ranked([
        [a, 10],
        [b, 10],
      ])[0]?.gainPerHour,
    ).toBeNull();
    expect(
      ranked([
        [a, 5],
        [b, 15],
      ])[0]?.gainPerHour,
    ).not.toBeNull();
  });

  it('leaves every other slot alone: lifting one element never changes a run that it did not save', () => {
    const input = two(1, 0.5, 6);
    const before = simulateTrials(input, CALM, 3);
    const after = simulateTrials(input, CALM, 3, before.size, { lift: [0.5, 0] });
    expect(before.passesByGroup.every((passes, g) => (after.passesByGroup[g] ?? -1) >= passes)).toBe(true);
    expect(after.lostByElement[1]).toBe(before.lostByElement[1]);
  });
});

it.each([
  [0, '< 0.1 %'],
  [1, '> 99.9 %'],
  [0.056, '5.6 %'],
  [0.614, '61 %'],
])('writes %d as %s', (share, text) => expect(writeShare(share).replaceAll(NO_BREAK, ' ')).toBe(text));
