import { describe, expect, it } from 'vitest';
import { logistic } from '@/core/statistics';
import { addedBy, chanceAtAim, GROWTH, type Growth, type GrowthAim, sessionsOn } from './growth';
import { aPiece, BELIEVED, modelsOfPieces } from './plan.test-helper';
import type { PlanPiece } from './plan-frame';

const growthOf = (piece: PlanPiece, change = {}, rehearsed = false, on = 21): Growth =>
  modelsOfPieces([piece], () => ({ ...BELIEVED, ...change }), on, rehearsed).growths.get(piece.id) as Growth;

describe('the sessions of a piece', () => {
  it('are on the step nearest 85 in 100 clean, at most one above the one before', () => {
    const growth = growthOf(aPiece('a', { stands: 0 }), { start: 4, top: 3.5, gain: 0.05 });
    const sessions = sessionsOn(growth, [1, 3, 5, 7, 9, 11], [], 0);
    expect(sessions.map((one) => one.rung)).toEqual([1, 2, 3, 4, 4, 4]);
    for (const [i, one] of sessions.entries())
      expect(one.rung - (sessions[i - 1]?.rung ?? 0)).toBeLessThanOrEqual(1);
  });

  it('go down to where it can be done, and never where the person never lowers', () => {
    const hard = { start: 2, top: -2, gain: 0.05, loss: 0 };
    const [free, kept] = [aPiece('a', { stands: 4 }), aPiece('a', { stands: 4, neverLower: true })];
    expect(sessionsOn(growthOf(free, hard), [1], [], 0)[0]?.rung).toBe(0);
    expect(sessionsOn(growthOf(kept, hard), [1], [], 0)[0]?.rung).toBe(4);
  });

  it('add less the second time in seven days, what was worked before counted', () => {
    const growth = growthOf(aPiece('a'), { gain: 0, loss: 0 });
    const [first, second, later] = sessionsOn(growth, [0, 2, 14], [], 0);
    expect((second?.adds ?? 0) / (first?.adds ?? 1)).toBeCloseTo(GROWTH.again, 12);
    expect(later?.adds).toBeCloseTo(first?.adds ?? 0, 12);
    const [after] = sessionsOn(growth, [0], [-2, -4], 0);
    expect((after?.adds ?? 0) / (first?.adds ?? 1)).toBeCloseTo(GROWTH.again ** 2, 12);
  });

  it('leave the top alone until its day has come', () => {
    const growth = growthOf(aPiece('a', { stands: 4 }), { start: 5, top: 4 });
    expect(sessionsOn(growth, [1, 8], [], 5).map((one) => one.rung)).toEqual([3, 4]);
  });

  it('are rehearsals only within a fortnight of the trial, and for a body only from the step below', () => {
    const growth = growthOf(aPiece('a', { stands: 4 }), { top: 1 }, true, 40);
    const far = sessionsOn(growth, [1, 3], [], 0);
    expect(far.some((one) => one.rehearsal)).toBe(false);
    expect(sessionsOn(growth, [1, 30, 35], [], 0).map((one) => one.rehearsal)).toEqual([false, true, true]);
    const body = growthOf(aPiece('a', { stands: 0, bodily: true }), { top: 1, start: 1.5 }, true, 10);
    expect(sessionsOn(body, [5], [], 0)[0]?.rehearsal).toBe(false);
  });
});

describe('what it comes to', () => {
  const aim = (change: Partial<GrowthAim> = {}): GrowthAim => ({
    ...(growthOf(aPiece('a')).aims[0] as GrowthAim),
    ...change,
  });

  it('is the sum of computation.md, draw by draw', () => {
    const one = aim({ eta: Float64Array.of(0.2), gain: Float64Array.of(0.1), loss: Float64Array.of(0.6) });
    const [total, gap, idle] = [4, 9, 3];
    const forgot = (days: number): number => 0.6 * (1 - Math.exp(-days / 30));
    const plain = logistic((0.2 + 0.1 * total - forgot(gap) + forgot(idle)) * 0.9);
    expect(chanceAtAim(idle, one, total, gap)).toBeCloseTo(plain, 12);
    const each = new Float64Array(1);
    chanceAtAim(idle, one, total, gap, each);
    expect(each[0]).toBeCloseTo(plain, 12);
  });

  it('is never lifted past the ceiling, and never taken down by it', () => {
    const flat = {
      gain: Float64Array.of(5),
      loss: Float64Array.of(0),
      rate: Float64Array.of(1),
      shrink: Float64Array.of(1),
    };
    expect(chanceAtAim(0, aim({ ...flat, eta: Float64Array.of(0) }), 10, 1)).toBeCloseTo(0.97, 9);
    expect(chanceAtAim(0, aim({ ...flat, eta: Float64Array.of(6) }), 1, 1)).toBeCloseTo(logistic(6), 9);
  });

  it('counts no session of the day itself, or after it', () => {
    const sessions = sessionsOn(growthOf(aPiece('a')), [3, 10, 12], [], 0);
    expect(addedBy(sessions, 10)).toEqual({ total: sessions[0]?.adds, last: 3 });
    expect(addedBy(sessions, 2)).toEqual({ total: 0, last: null });
  });
});
