import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, type StarterId } from '@/core/shared';
import { drawOrder, expectedTimes, leastBetween, type Starting } from './run-sheet';
import {
  callsOf,
  delayBefore,
  drawMaterial,
  type Script,
  type ScriptStep,
  stepsFor,
  usualScript,
} from './steward';

const one = asId<ExerciseKey>('one');
const two = asId<ExerciseKey>('two');
const step = (key: string, more: Partial<ScriptStep> = {}): ScriptStep => ({
  key,
  exercise: one,
  part: null,
  kind: 'word',
  words: key,
  delay: { from: 2, to: 6 },
  ...more,
});

/** The largest gap between the shares of a sample and the line of a uniform one (Kolmogorov 1933). */
function farthest(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.max(
    ...sorted.map((value, i) =>
      Math.max(Math.abs(value - i / sorted.length), Math.abs(value - (i + 1) / sorted.length)),
    ),
  );
}

describe('the steward’s delays', () => {
  it('lie in their range, for any range, place and seed', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(60), fc.nat(40), fc.nat(), (from, more, place, seed) => {
        const delay = delayBefore({ from, to: from + more }, place, seed);
        expect(delay).toBeGreaterThanOrEqual(from);
        expect(delay).toBeLessThanOrEqual(from + more);
        expect(delayBefore({ from, to: from + more }, place, seed)).toBe(delay);
      }),
    );
  });

  it.each([0, 1, 7])('are even over seeds, at step %i', (place) => {
    const shares = Array.from(
      { length: 4000 },
      (_, seed) => (delayBefore({ from: 2, to: 6 }, place, seed) - 2) / 4,
    );
    // At 4,000 values 1.95 / √n is passed once in a thousand even samples.
    expect(farthest(shares)).toBeLessThan(1.95 / Math.sqrt(shares.length));
  });

  it('tell nothing of each other: neighbours are uncorrelated', () => {
    const pairs = Array.from({ length: 4000 }, (_, seed) =>
      [0, 1].map((place) => delayBefore({ from: 0, to: 1 }, place, seed) - 0.5),
    );
    const mean = pairs.reduce((sum, [a = 0, b = 0]) => sum + a * b, 0) / pairs.length / (1 / 12);
    expect(Math.abs(mean)).toBeLessThan(3.3 / Math.sqrt(pairs.length));
  });
});

describe('what a dog meets', () => {
  const script = { steps: [step('a'), step('shot', { kind: 'shot' }), step('dog', { kind: 'passing-dog' })] };
  it.each([
    [null, null, ['a'], ['shots-unknown', 'bite-unknown']],
    [false, true, ['a'], ['shots', 'bite']],
    [true, false, ['a', 'shot', 'dog'], []],
    [true, null, ['a', 'shot'], ['bite-unknown']],
  ] as const)('calm at shots %s, may bite %s', (calmAtShots, mayBite, called, why) => {
    const found = stepsFor(script, { calmAtShots, mayBite });
    expect(found.steps.map((one) => one.key)).toEqual(called);
    expect(found.withheld.map((one) => one.why)).toEqual(why);
  });
});

describe('a class as it is called', () => {
  const book = {
    exercises: [
      {
        id: one,
        title: 'One',
        text: '',
        parts: [{ id: 'p', title: 'Positions', text: '', times: 3, demands: [] }],
      },
      { id: two, title: 'Two', text: '', parts: [{ id: 'q', title: 'Go', text: '', demands: [] }] },
    ],
    drawn: ['order'],
  } as never;

  it('is the book’s own to begin with, each part as often as it is asked', () => {
    expect(usualScript(book).steps.map((one) => one.words)).toEqual([
      'One',
      'Positions',
      'Positions',
      'Positions',
      'Two',
      'Go',
    ]);
  });

  it('says what was drawn where the words ask for it, in the order that was drawn', () => {
    const script: Script = {
      steps: [step('a', { words: '#1, please' }), step('b', { words: '#2' }), step('c', { words: '#4' })],
      draws: [
        { key: 'positions', exercise: one, title: 'Positions', from: ['sit', 'down', 'stand'], take: 3 },
      ],
    };
    const bearing = { calmAtShots: null, mayBite: null };
    const drawn = drawMaterial(book, script.draws, 5);
    const [list = []] = drawn.lists.map((each) => each.drawn);
    expect([...list].sort()).toEqual(['down', 'sit', 'stand']);
    const calls = callsOf(script, bearing, drawn, 5);
    // Nothing was drawn fourth: the words stay as they were written.
    expect(calls.map((call) => call.step.words)).toEqual([`${list[0]}, please`, list[1], '#4']);
    expect(callsOf(script, bearing, drawn, 5)).toEqual(calls);
  });

  it('draws every order and every selection as often as another', () => {
    const firsts = Array.from({ length: 2000 }, (_, seed) => drawMaterial(book, [], seed).order[0]);
    expect(Math.abs(firsts.filter((key) => key === one).length - 1000)).toBeLessThan(3.3 * Math.sqrt(500));
    const draws = [{ key: 'd', exercise: one, title: '', from: ['1', '2', '3', '4'], take: 2 }];
    const times = new Map<string, number>();
    for (let seed = 0; seed < 2400; seed++) {
      const key = drawMaterial(book, draws, seed).lists[0]?.drawn.join('') ?? '';
      times.set(key, (times.get(key) ?? 0) + 1);
    }
    // Twelve ordered pairs, 200 times each; χ² with 11 degrees of freedom passes 31.3 once in a thousand.
    const chi = [...times.values()].reduce((sum, count) => sum + (count - 200) ** 2 / 200, 0);
    expect([times.size, chi < 31.3]).toEqual([12, true]);
  });
});

describe('a running order', () => {
  const starter = (id: string, handler: string, more: Partial<Starting> = {}): Starting => ({
    id: asId<StarterId>(id),
    handler,
    inSeason: false,
    withdrawn: false,
    ...more,
  });

  it('leaves out who is withdrawn, ends with females in season, and spaces one handler’s dogs', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            handler: fc.constantFrom('kim', 'lee', 'pat', ''),
            inSeason: fc.boolean(),
            withdrawn: fc.boolean(),
          }),
          { maxLength: 9 },
        ),
        fc.nat(),
        (list, seed) => {
          const starters = list.map((each, i) => starter(`s${i}`, each.handler, each));
          const order = drawOrder(starters, seed).map((id) => starters.find((each) => each.id === id));
          expect(order.length).toBe(starters.filter((each) => !each.withdrawn).length);
          const first = order.findIndex((each) => each?.inSeason);
          expect(order.slice(first < 0 ? order.length : first).every((each) => each?.inSeason)).toBe(true);
          expect(drawOrder(starters, seed)).toEqual(order.map((each) => each?.id));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has as many dogs between two of one handler as there can be', () => {
    const starters = [
      starter('a', 'kim'),
      starter('b', 'kim'),
      starter('c', 'lee'),
      starter('d', 'pat'),
      starter('e', 'sam'),
    ];
    for (let seed = 0; seed < 20; seed++) {
      const order = drawOrder(starters, seed).flatMap((id) => starters.find((each) => each.id === id) ?? []);
      expect(leastBetween(order)).toBe(3);
    }
    expect(leastBetween([{ handler: '' }, { handler: '' }])).toBeNull();
  });

  it('expects each dog after the last real time that is known', () => {
    expect(expectedTimes(540, 8, [null, 555, null])).toEqual([540, 555, 563]);
    expect(expectedTimes(540, 8, [])).toEqual([]);
  });
});
