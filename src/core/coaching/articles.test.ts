import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must, seeded } from '@/core/shared';
import { LAYOUT_SHAPES, spotsOf } from './article-layout';
import { articleNames, articleStates, layOut, nextRun } from './articles';

const named = (count: number): string[] => articleNames({ count, names: [] });

describe('articles', () => {
  const run = (laid: number[], target: number, pick: number | null, firstTouch: number | null = pick) =>
    ({ kind: 'run', laid: laid.map(String), target, pick, firstTouch, aided: false }) as const;
  it('carry every touch until they are washed', () => {
    const states = articleStates(named(5), [run([3, 1, 2], 1, 1), run([1, 4, 5], 0, 2, 1)]);
    expect([...states]).toEqual([
      ['1', 'handler'],
      ['2', 'clean'],
      ['3', 'clean'],
      ['4', 'mouthed'],
      ['5', 'mouthed'],
    ]);
    expect([...articleStates(named(2), [run([1, 2], 0, 1), { kind: 'washed' }]).values()]).toEqual([
      'clean',
      'clean',
    ]);
  });

  it('are laid with the right one in every place once, clean decoys only, and the same for the same seed', () => {
    const states = articleStates(named(8), [run([3, 1, 2], 1, 1), run([1, 4, 5], 0, 1)]);
    const layouts = [0, 1, 2, 3].map((i) => must(layOut(states, 4, i, seeded(7))));
    expect([...layouts.map((one) => one.target)].sort()).toEqual([0, 1, 2, 3]);
    for (const { laid, target, scentIt } of layouts)
      expect([laid[target], laid.includes('4'), new Set(laid).size, scentIt]).toEqual(['1', false, 4, false]);
    expect(layOut(states, 4, 2, seeded(7))).toEqual(layOut(states, 4, 2, seeded(7)));
    expect(must(layOut(articleStates(named(3), []), 1, 0, seeded(1))).scentIt).toBe(true);
    // More than there are: washing would not help.
    expect(layOut(articleStates(named(3), []), 4, 0, seeded(1))).toMatchObject({
      ok: false,
      code: 'too-few',
    });
  });

  it('ask to be washed when too few are clean', () => {
    expect(layOut(articleStates(named(3), [run([1, 2, 3], 0, 1)]), 3, 0, seeded(1))).toMatchObject({
      ok: false,
      code: 'wash',
    });
    expect(layOut(articleStates(named(3), []), 0, 0, seeded(1))).toMatchObject({
      ok: false,
      code: 'choices',
    });
  });
});

describe('the next run', () => {
  const clean = articleStates(named(12), []);
  const plan = { choices: 5, shape: 'circle', laid: 'turns', nearer: true } as const;
  const runs = Array.from({ length: 20 }, (_, i) => must(nextRun(clean, plan, i, 11)));

  it('is seen in half of the runs and has a nearer decoy in half, never the right one', () => {
    expect([runs.filter((run) => run.seen).length, runs.filter((run) => run.nearer !== null).length]).toEqual(
      [10, 10],
    );
    expect(runs.every((run) => run.nearer !== run.target)).toBe(true);
    expect(runs.map((run) => run.seen)).not.toEqual(runs.map((run) => run.nearer !== null));
  });

  it('lies the same for the same seed, and one setting does not shift the others', () => {
    expect(nextRun(clean, plan, 3, 11)).toEqual(nextRun(clean, plan, 3, 11));
    const hidden = Array.from({ length: 20 }, (_, i) =>
      must(nextRun(clean, { ...plan, laid: 'hidden' }, i, 11)),
    );
    expect(hidden.map((run) => [run.laid, run.nearer])).toEqual(runs.map((run) => [run.laid, run.nearer]));
    expect([
      hidden.some((run) => run.seen),
      must(nextRun(clean, { ...plan, laid: 'seen' }, 0, 1)).seen,
    ]).toEqual([false, true]);
  });

  it('never lays what is out of use or was helped with food, washed or not', () => {
    const helped = { kind: 'run', laid: ['5', '1'], target: 0, pick: 0, firstTouch: 0, aided: true } as const;
    const states = articleStates(named(5), [
      helped,
      { kind: 'out-of-use', article: '2' },
      { kind: 'run', laid: ['2', '3'], target: 0, pick: 0, firstTouch: 0, aided: false },
    ]);
    expect([states.get('5'), states.get('2')]).toEqual(['aided', 'out-of-use']);
    for (let i = 0; i < 3; i++)
      expect(must(nextRun(states, { ...plan, choices: 3, laid: 'hidden' }, i, 4)).laid.toSorted()).toEqual([
        '1',
        '3',
        '4',
      ]);
    expect([
      ...articleStates(named(3), [{ kind: 'out-of-use', article: '2' }, { kind: 'washed' }]).values(),
    ]).toEqual(['clean', 'out-of-use', 'clean']);
  });

  it('puts no article on another, in any shape', () => {
    const cell = (count: number): number => 0.85 * (0.9 / Math.ceil(Math.sqrt(count)));
    fc.assert(
      fc.property(
        fc.constantFrom(...LAYOUT_SHAPES),
        fc.integer({ min: 1, max: 12 }),
        fc.nat(),
        (shape, count, seed) => {
          const spots = spotsOf(shape, count, null, seeded(seed));
          expect(spots).toHaveLength(count);
          expect(spots.every(({ x, y }) => x >= 0 && x <= 1 && y >= 0 && y <= 1)).toBe(true);
          const least =
            shape === 'scatter'
              ? cell(count)
              : shape === 'line'
                ? 1 / count
                : 0.76 * Math.sin(Math.PI / Math.max(count, 2));
          for (const [i, a] of spots.entries())
            for (const b of spots.slice(i + 1))
              expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeGreaterThan(
                least / Math.SQRT2 - 1e-9,
              );
        },
      ),
    );
    const [near, plain] = [spotsOf('line', 3, 1, seeded(1)), spotsOf('line', 3, null, seeded(1))];
    expect([near[1]?.y, plain[1]?.y, near[0]]).toEqual([0.7, 0.4, plain[0]]);
  });
});
