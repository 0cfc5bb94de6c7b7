import { describe, expect, it } from 'vitest';
import { must, type Random, seeded } from '@/core/shared';
import {
  CALLS,
  CALLS_AHEAD,
  callOrder,
  coach,
  DEFAULT_PACE,
  feelRecord,
  nextDrawn,
  operatingPoint,
  type Policy,
  type Rule,
  startCoaching,
  USUAL_RULES,
} from '.';
import { articlePlaces, fairOrder, gellermann, isGellermann, returnOrCall, unknownDelays } from './sequences';

const longest = (order: readonly unknown[]): number => {
  let [most, row] = [0, 0];
  order.forEach((one, i) => {
    row = i > 0 && order[i - 1] === one ? row + 1 : 1;
    most = Math.max(most, row);
  });
  return most;
};

describe('fair orders', () => {
  it('keep their constraints for 10,000 seeds', () => {
    for (let seed = 0; seed < 10_000; seed++) {
      const random = seeded(seed);
      const kinds = ['sit', 'stand', 'down', 'heel'].slice(0, 2 + (seed % 3));
      const [length, most] = [seed % 23, 1 + (seed % 3)];
      const order = must(fairOrder(kinds, length, most, random));
      const counts = kinds.map((kind) => order.filter((one) => one === kind).length);
      const sound =
        order.length === length && longest(order) <= most && Math.max(...counts) - Math.min(...counts) <= 1;
      const places = articlePlaces(5, 15, random);
      const rows = [0, 1, 2].every((row) => new Set(places.slice(row * 5, row * 5 + 5)).size === 5);
      if (!sound || !rows || longest(places) > 1 || !isGellermann(gellermann(random)))
        throw new Error(`seed ${seed}: ${order} ${places}`);
    }
    expect(must(fairOrder(['one'], 2, 2, seeded(1)))).toEqual(['one', 'one']);
  });

  it('every order that fits can come', () => {
    const seen = new Set(
      Array.from({ length: 400 }, (_, seed) => must(fairOrder(['l', 'r'], 4, 2, seeded(seed))).join('')),
    );
    expect([...seen].sort()).toEqual(['llrr', 'lrlr', 'lrrl', 'rllr', 'rlrl', 'rrll']);
  });

  it('refuses what cannot be laid', () => {
    expect(fairOrder(['one'], 3, 2, seeded(1))).toMatchObject({ ok: false, code: 'order' });
    expect(fairOrder([], 3, 2, seeded(1))).toMatchObject({ ok: false, code: 'order' });
    expect(unknownDelays(5, 3, 4, seeded(1))).toMatchObject({ ok: false, code: 'range' });
  });

  it('are as many as Gellermann allows', () => {
    const all = Array.from({ length: 1024 }, (_, bits) =>
      Array.from({ length: 10 }, (__, i) => (bits >> i) & 1),
    ).filter(isGellermann);
    expect(all.every((order) => order.filter((one) => one === 1).length === 5 && longest(order) <= 3)).toBe(
      true,
    );
    expect(isGellermann([0, 1, 0, 1, 0, 1, 0, 1, 0, 1])).toBe(false);
    expect(new Set(all.map((order) => order.map((one) => 1 - one).join(''))).size).toBe(all.length);
  });

  it('return more often than call, and wait for every length of time', () => {
    expect(returnOrCall(10, 0.7, seeded(3)).filter(Boolean)).toHaveLength(7);
    const waits = must(unknownDelays(0, 30, 6, seeded(4))).sort((a, b) => a - b);
    expect(waits.every((wait, i) => Math.abs(wait - (i * 5 + 2.5)) <= 3)).toBe(true);
  });

  it.each(CALLS)('calls %s in words, the same for the same seed', (kind) => {
    const cues = ['sit', 'down', 'stand'];
    const order = must(callOrder(kind, cues, seeded(5)));
    expect([order.length, order]).toEqual([CALLS_AHEAD, must(callOrder(kind, cues, seeded(5)))]);
    expect(order.every((word) => word.length > 1)).toBe(true);
    expect(new Set(order).size).toBeGreaterThan(1);
  });

  it('calls nothing where there is nothing to choose between', () => {
    expect(callOrder('cues', ['sit'], seeded(1))).toMatchObject({ ok: false, code: 'order' });
  });
});

describe('operating curves', () => {
  /** The slow, obvious way: the policy itself on many dogs that are alike and learn nothing. */
  function played(
    rule: Rule,
    p: number,
    random: Random,
  ): { readonly advances: number; readonly reps: number } {
    const policy: Policy = { rule, pace: { ...DEFAULT_PACE, setSize: 50 } };
    let [up, total] = [0, 0];
    for (let dog = 0; dog < 3000; dog++) {
      let state = startCoaching(policy, { rung: 1, top: 2 });
      for (let i = 0; ; i++) {
        const clean = random.uniform() < p;
        const outcome = clean ? 'clean' : random.uniform() < 0.5 ? 'miss' : 'flawed';
        const step = coach(policy, state, { kind: 'rep', id: String(i), outcome, counts: true });
        // The log of what was seen would make this quadratic.
        state = { ...step.state, seen: [] };
        const move = step.advice.find((one) => one.kind === 'advance' || one.kind === 'drop-back');
        if (!move) continue;
        up += move.kind === 'advance' ? 1 : 0;
        total += i + 1;
        break;
      }
    }
    return { advances: up / 3000, reps: total / 3000 };
  }

  it.each([
    [USUAL_RULES.run, 0.6],
    [USUAL_RULES.run, 0.85],
    [{ kind: 'run', advanceAfter: 1, dropAfter: 3 }, 0.3],
    [{ kind: 'run', advanceAfter: 4, dropAfter: 1 }, 0.7],
    [USUAL_RULES.block, 0.7],
    [USUAL_RULES.sequential, 0.6],
    [USUAL_RULES.sequential, 0.9],
  ] as const)('%j at %d are those of the policy played out', (rule, p) => {
    const exact = operatingPoint(rule, p);
    const seen = played(rule, p, seeded(11));
    if (!exact) throw new Error('a curve');
    expect(Math.abs(exact.advances - seen.advances)).toBeLessThan(0.03);
    expect(Math.abs(exact.reps / seen.reps - 1)).toBeLessThan(0.06);
  });

  it('five in a row passes an 80 % dog 33 % of the time on a given set; protocols have none', () => {
    expect(operatingPoint(USUAL_RULES.run, 0.8)?.atOnce).toBeCloseTo(0.32768, 10);
    expect(operatingPoint(USUAL_RULES.stretch, 0.8)).toBeNull();
  });

  it('by feel has the record of what the person did', () => {
    const reps = (text: string) =>
      [...text].map((one) =>
        one === '>' || one === '<'
          ? ({ kind: 'move', up: one === '>' } as const)
          : ({ kind: 'rep', clean: one === 'c' } as const),
      );
    expect(feelRecord([reps('ccm>cccc>'), reps('mc<mmmmmmc>'), reps('>')])).toEqual({
      ups: 3,
      downs: 1,
      reps: 16,
      cleanBeforeUp: 2 / 3,
      cleanBeforeDown: 0.5,
    });
    expect(feelRecord([])).toMatchObject({ ups: 0, cleanBeforeUp: null });
  });

  it('the sequential test keeps its risks', () => {
    const rule = USUAL_RULES.sequential;
    expect(operatingPoint(rule, rule.p0)?.advances).toBeLessThanOrEqual(rule.alpha * 1.12);
    expect(1 - (operatingPoint(rule, rule.p1)?.advances ?? 0)).toBeLessThanOrEqual(rule.beta * 1.12);
  });
});

describe('the next spot', () => {
  const spots = ['1', '2', '3', '4', '5', '6'];
  it('is never the last one, comes back for the same seed, and uses each as often', () => {
    for (let seed = 0; seed < 200; seed++) {
      const order: string[] = [];
      for (let n = 0; n < 2 * CALLS_AHEAD; n++)
        order.push(nextDrawn(spots, seed, n, order.at(-1) ?? null) ?? '');
      expect(longest(order)).toBe(1);
      const counts = spots.map((spot) => order.filter((one) => one === spot).length);
      expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(4);
      expect(nextDrawn(spots, seed, 7, null)).toBe(nextDrawn(spots, seed, 7, null));
    }
  });
  it('is another one where somebody laid it elsewhere, and none where there is no choice', () => {
    const next = nextDrawn(spots, 5, 3, null);
    expect(nextDrawn(spots, 5, 3, next)).not.toBe(next);
    expect(nextDrawn([], 1, 0, null)).toBeNull();
  });
});
