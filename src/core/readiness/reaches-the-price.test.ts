import { describe, expect, it } from 'vitest';
import { AXIS, boutsOf, rep, TODAY } from '@/core/evidence/evidence.test-helper';
import type { EvidenceRep } from '@/core/log';
import { checkRuleBook, type FaultRef, prepareRules, type RuleBook } from '@/core/rulebooks';
import {
  dog,
  each,
  exercise,
  handler,
  missed,
  part,
  smallBook,
} from '@/core/rulebooks/small-book.test-helper';
import {
  asId,
  type BoutId,
  type ElementId,
  type ExerciseKey,
  type FaultKey,
  must,
  seeded,
} from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { assessClass, DEFAULT_ASSUMPTIONS, type Readiness } from '.';

/**
 * What was logged reaches the price: the same reps twice, with one thing said of them and without, and
 * the expected score moves by what arithmetic says. The two forecasts share their random numbers.
 */
const CALM = {
  ...DEFAULT_ASSUMPTIONS,
  nervesSd: 0,
  handlerRate: 0,
  place: { mean: 0, sd: 0.001 },
  cold: { mean: 0, sd: 0.001 },
  asked: { ...DEFAULT_ASSUMPTIONS.asked, paid: true },
};
const SIZE = { groups: 200, runs: 40 };
const fault = (key: string, step: number | null = null, of: string | null = null): FaultRef => ({
  exercise: of === null ? null : asId<ExerciseKey>(of),
  key: asId<FaultKey>(key),
  step,
});

/** 660 reps in 33 sessions, clean but for every `miss`-th. */
const reps = (change: (i: number) => Partial<EvidenceRep>): EvidenceRep[] =>
  Array.from({ length: 660 }, (_, i) => rep({ bout: asId<BoutId>(`s${i % 33}`), ...change(i) }));

type Setting = {
  readonly faults?: readonly object[];
  readonly times?: number;
  readonly more?: object;
  readonly rules?: object;
};
const bookOf = ({ faults = [], times = 1, more = {}, rules }: Setting): RuleBook =>
  soundBook(
    smallBook(
      [exercise('a', [part('do', { times })])],
      rules ?? {
        family: 'points-off',
        smallestPoint: 0.5,
        pass: [{ kind: 'total', atLeast: 60 }],
        awards: [],
        exercises: [{ exercise: 'a', maximum: 100, faults: [missed('not', 'do', each(10)), ...faults] }],
      },
      more,
    ),
  );

function soundBook(value: unknown): RuleBook {
  const read = checkRuleBook(value);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

/** The forecast of a class whose parts are all trained by one element; of others by one without a rep. */
function assessBook(
  book: RuleBook,
  list: readonly EvidenceRep[],
  elementOf: (part: string) => string = () => 'e',
): Readiness {
  const ids = [...new Set(book.exercises.flatMap(({ parts }) => parts.map((one) => elementOf(one.id))))];
  return must(
    finish(
      assessClass(
        {
          book,
          exercises: book.exercises.map(({ id, parts }) => ({
            exercise: id,
            parts: parts.map((one) => ({
              part: one.id,
              element: asId<ElementId>(elementOf(one.id)),
              demands: { [AXIS.key]: 5 },
            })),
          })),
          elements: ids.map((id) => ({
            id: asId<ElementId>(id),
            axes: [AXIS],
            // Of another element of the class one rep is known: without any there would be no number.
            bouts: boutsOf(id === 'e' ? list : [rep()]),
          })),
          today: TODAY,
          trialDay: null,
          closes: null,
          minutes: [],
        },
        CALM,
        5,
        SIZE,
      ),
    ),
  );
}
const assess = (setting: Setting, list: readonly EvidenceRep[]): Readiness =>
  assessBook(bookOf(setting), list);
const pointsOf = (setting: Setting, list: readonly EvidenceRep[]): number =>
  assess(setting, list).forecast.expectedUnits * prepareRules(bookOf(setting)).pointsPerUnit;

/** What saying something of the reps takes off the expected score. */
const lostBy = (setting: Setting, plain: readonly EvidenceRep[], said: readonly EvidenceRep[]): number =>
  pointsOf(setting, plain) - pointsOf(setting, said);

describe('extra cues', () => {
  const cue = handler('again', { kind: 'per-extra-cue', points: 1.5, usual: 1 });
  it.each([
    ['two in every rep cost two each', { needed: 2, slip: 0 }, 1, 3],
    ['one that slipped in every second rep', { needed: 0, slip: 1 }, 2, 0.75],
    ['one meant as an answer to a miss costs nothing', { needed: 0, slip: 0, meant: 1 }, 1, 0],
  ])('%s', (_, cues, every, points) => {
    const plain = reps(() => ({}));
    const said = reps((i) => (i % every === 0 ? { cues } : {}));
    expect(Math.abs(lostBy({ faults: [cue] }, plain, said) - points)).toBeLessThan(0.12);
  });

  it('are charged by their number also where they made the rep flawed, and nothing else is', () => {
    const setting = { faults: [cue, dog('slow', 'do', each(5))] };
    const said = reps(() => ({ cues: { needed: 2, slip: 0 }, outcome: 'flawed', faults: [fault('again')] }));
    expect(
      Math.abs(
        lostBy(
          setting,
          reps(() => ({})),
          said,
        ) - 3,
      ),
    ).toBeLessThan(0.2);
  });

  it('are charged once for each asking of six', () => {
    const said = reps(() => ({ cues: { needed: 1, slip: 0 } }));
    expect(
      Math.abs(
        lostBy(
          { faults: [cue], times: 6 },
          reps(() => ({})),
          said,
        ) - 9,
      ),
    ).toBeLessThan(0.3);
  });
});

describe('several faults in one rep', () => {
  const faults = [dog('slow', 'do', each(2)), dog('crooked', 'do', each(3))];
  it('cost both, where they were named together', () => {
    const one = reps((i) =>
      i % 4 === 0 ? { outcome: 'flawed', faults: [fault(i % 8 ? 'slow' : 'crooked')] } : {},
    );
    const both = reps((i) =>
      i % 4 === 0 ? { outcome: 'flawed', faults: [fault('slow'), fault('crooked')] } : {},
    );
    // A quarter of the reps: 2.5 in the middle against 5. Reps that were never seen are a little of both.
    const rate = (pointsOf({ faults }, one) - pointsOf({ faults }, both)) / 2.5;
    expect(rate).toBeGreaterThan(0.2);
    expect(rate).toBeLessThan(0.3);
  });

  it('a fault noted in clean reps costs as often as it was noted', () => {
    const said = reps((i) => (i % 5 === 0 ? { faults: [fault('slow')], noted: [fault('slow')] } : {}));
    expect(
      Math.abs(
        lostBy(
          { faults },
          reps(() => ({})),
          said,
        ) - 0.4,
      ),
    ).toBeLessThan(0.08);
  });
});

describe('every asking and every try', () => {
  const flawed = reps((i) => (i % 4 === 0 ? { outcome: 'miss', faults: [fault('not')] } : {}));

  it('six positions are six chances', () => {
    const once = 100 - pointsOf({}, flawed);
    const six = 100 - pointsOf({ times: 6 }, flawed);
    expect(six / once).toBeCloseTo(6, 0.5);
    expect(once).toBeGreaterThan(1.9);
  });

  it('a miss of which nothing was named is the part not done', () => {
    const setting = { faults: [dog('slow', 'do', each(0.5))] };
    const plain = reps((i) => (i % 4 === 0 ? { outcome: 'miss', faults: [] } : {}));
    expect(100 - pointsOf(setting, plain)).toBeGreaterThan(1.9);
  });

  it('an item with three tries is lost when all three fail', () => {
    const rules = (attempts: number) => ({
      rules: {
        family: 'checklist',
        groups: [{ id: 'all', title: 'All' }],
        levels: [{ title: 'Title', needs: [{ group: 'all', atLeast: 1 }] }],
        exercises: [
          {
            exercise: 'a',
            group: 'all',
            attempts,
            extraCues: 0,
            faults: [missed('not', 'do', { kind: 'attempt' })],
          },
        ],
      },
    });
    const half = reps((i) => (i % 2 === 0 ? { outcome: 'miss', faults: [fault('not')] } : {}));
    const pass = (tries: number) => assess(rules(tries), half).forecast.pass.mid;
    const [one, two, three] = [1 - pass(1), 1 - pass(2), 1 - pass(3)];
    // Failures of one day go together: a little likelier all three than three apart.
    expect(Math.abs(one - 0.5)).toBeLessThan(0.08);
    expect(two).toBeGreaterThan(one ** 2 - 0.02);
    expect(two).toBeLessThan(one ** 2 + 0.08);
    expect(three).toBeGreaterThan(one ** 3 - 0.02);
    expect(three).toBeLessThan(one ** 3 + 0.08);
    // And a dog that never does it never passes.
    const never = reps(() => ({ outcome: 'miss', faults: [fault('not')] }));
    expect(assess(rules(3), never).forecast.pass.mid).toBeLessThan(0.01);
  });
});

describe('what was measured', () => {
  const measured = (cost: object) => ({ faults: [dog('off', 'do', cost)] });
  const angle = {
    kind: 'band',
    quantity: 'angle',
    unit: '°',
    bands: [
      { over: 10, points: 0.5 },
      { over: 30, points: 2 },
    ],
  };
  const late = { kind: 'per-second', points: 1, beyond: 2, usual: 1, cap: 10 };
  const wide = { kind: 'per-metre', points: 1, beyond: 1, usual: 1, cap: 10 };
  const random = seeded(4);
  const near = (value: number): number => value * Math.exp(0.08 * random.normal());

  it.each<[string, object, (i: number) => Partial<EvidenceRep>, number]>([
    ['20° in every clean rep: half a point', angle, () => ({ measured: 20 + random.normal() }), 0.5],
    ['5°: nothing', angle, () => ({ measured: 5 + random.normal() }), 0],
    ['40°: two points', angle, () => ({ measured: 40 + random.normal() }), 2],
    ['1.2 s: nothing', late, () => ({ latency: near(1.2) }), 0],
    ['3.5 s is two seconds begun', late, () => ({ latency: near(3.5) }), 2],
    ['7.5 s is six', late, () => ({ latency: near(7.5) }), 6],
    ['3.5 m off is three metres begun', wide, () => ({ offset: 3.5 }), 3],
    ['0.5 m off: nothing', wide, () => ({ offset: 0.5 }), 0],
  ])('%s', (_, cost, said, points) => {
    expect(
      Math.abs(
        lostBy(
          measured(cost),
          reps(() => ({})),
          reps(said),
        ) - points,
      ),
    ).toBeLessThan(0.25);
  });

  it('is not charged twice where such reps were called flawed', () => {
    const setting = measured(angle);
    const value = (i: number) => (i % 4 === 0 ? 20 : 3) + random.normal();
    const clean = reps((i) => ({ measured: value(i) }));
    const called = reps((i) => {
      const at = value(i);
      return at > 10 ? { measured: at, outcome: 'flawed', faults: [fault('off', 0)] } : { measured: at };
    });
    expect(Math.abs(pointsOf(setting, clean) - pointsOf(setting, called))).toBeLessThan(0.25);
  });
});

describe('an element that serves two exercises', () => {
  const rules = (a: readonly object[], b: readonly object[]) => ({
    family: 'points-off',
    smallestPoint: 0.5,
    pass: [{ kind: 'total', atLeast: 60 }],
    awards: [],
    exercises: [
      { exercise: 'a', maximum: 50, faults: a },
      { exercise: 'b', maximum: 50, faults: b },
    ],
  });
  const TWO = soundBook(
    smallBook(
      ['a', 'b'].map((id) => exercise(id, [part('do')])),
      rules(
        [missed('none', 'do', each(10)), dog('bent', 'do', each(1), { title: 'Crooked' })],
        [
          missed('refused', 'do', each(20)),
          dog('askew', 'do', each(4), { title: 'Crooked' }),
          dog('slow', 'do', each(8)),
        ],
      ),
    ),
  );
  const both = (list: readonly EvidenceRep[]): Readiness => assessBook(TWO, list);
  const lostIn = (readiness: Readiness, key: string): number =>
    readiness.forecast.faults
      .filter((one) => one.fault.key === key)
      .reduce((sum, one) => sum + one.units, 0) / 2;

  it('is charged in each under its own faults, whatever it was logged under', () => {
    const list = reps((i) => (i % 4 === 0 ? { outcome: 'flawed', faults: [fault('bent', null, 'a')] } : {}));
    const readiness = both(list);
    expect(lostIn(readiness, 'bent')).toBeGreaterThan(0.2);
    // The same crookedness at the other’s price, and nothing else of its.
    expect(lostIn(readiness, 'askew') / lostIn(readiness, 'bent')).toBeCloseTo(4, 0);
    expect(lostIn(readiness, 'slow')).toBeLessThan(0.1);
    const missing = both(
      reps((i) => (i % 4 === 0 ? { outcome: 'miss', faults: [fault('none', null, 'a')] } : {})),
    );
    expect(lostIn(missing, 'refused') / lostIn(missing, 'none')).toBeCloseTo(2, 0);
  });

  it('at its own part, where another part that can be missed comes before it', () => {
    const book = soundBook(
      smallBook(
        [exercise('a', [part('do')]), exercise('b', [part('first'), part('do')])],
        rules(
          [missed('none', 'do', each(10)), dog('slow', 'do', each(1))],
          [
            missed('no-first', 'first', each(5)),
            missed('refused', 'do', each(20)),
            dog('late', 'do', each(1)),
          ],
        ),
      ),
    );
    const list = reps((i) => (i % 4 === 0 ? { outcome: 'miss', faults: [fault('none', null, 'a')] } : {}));
    const readiness = assessBook(book, list, (one) => (one === 'do' ? 'e' : 'other'));
    expect(lostIn(readiness, 'refused') / lostIn(readiness, 'none')).toBeCloseTo(2, 0);
    expect(lostIn(readiness, 'late')).toBeLessThan(0.05);
  });
});

describe('a fault that was never judged in clean reps', () => {
  const faults = [dog('slow', 'do', each(2)), dog('crooked', 'do', each(3))];
  it('is unproven and said so, until a rung counts it', () => {
    const noted = reps(() => ({ noted: [fault('slow')] }));
    expect(assess({ faults }, noted).unproven).toMatchObject([
      { part: 'do', clean: 660, faults: [{ fault: { key: 'slow' }, label: 'slow', noted: 0 }] },
    ]);
    const later = reps((i) => (i < 640 ? { noted: [fault('slow')] } : {}));
    expect(assess({ faults }, later).unproven).toEqual([]);
    expect(
      assess(
        { faults },
        reps(() => ({ outcome: 'miss' })),
      ).unproven,
    ).toEqual([]);
  });
});
