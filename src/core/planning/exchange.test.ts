import { describe, expect, it } from 'vitest';
import { finish } from '@/core/shared/steps';
import { exchange } from './exchange';
import { aBout, aFrame, aPiece, BELIEVED, type Believed, modelsOfPieces } from './plan.test-helper';
import { openDeskOf } from './plan-desk';
import type { PlanPiece } from './plan-frame';
import { planValue } from './plan-value';

const [weak, sure] = [aPiece('weak'), aPiece('sure')];
const frame = aFrame([weak, sure]);
const believed = (piece: PlanPiece): Believed =>
  piece.id === weak.id ? BELIEVED : { ...BELIEVED, gain: 0.001, loss: 0 };
const deskWith = (pinned: Parameters<typeof openDeskOf>[2] = []) => {
  const value = planValue(frame, modelsOfPieces(frame.pieces, believed, 21), { groups: 3 });
  return { value, desk: openDeskOf(frame, value, pinned) };
};

describe('exchanges', () => {
  it('turn a bad plan into a better one, and never into a worse', () => {
    const { value, desk } = deskWith();
    for (const piece of [sure.id, weak.id]) desk.lay(piece, piece === sure.id ? [1, 5, 9, 13, 17] : [1]);
    const before = value.simulated(desk.days());
    finish(exchange(desk));
    expect(value.simulated(desk.days())).toBeGreaterThan(before + 0.01);
    expect((desk.days().get(weak.id) ?? []).length).toBeGreaterThan(1);
    const after = value.simulated(desk.days());
    finish(exchange(desk));
    expect(value.simulated(desk.days())).toBeGreaterThanOrEqual(after);
  });

  it('leave what is pinned', () => {
    const { desk } = deskWith([aBout(sure, 5, { pinned: true }), aBout(sure, 9, { pinned: true })]);
    desk.lay(weak.id, [1]);
    finish(exchange(desk));
    expect(desk.days().get(sure.id)).toEqual([5, 9]);
  });
});

describe('the desk', () => {
  it('leaves all as it was where a limit would be broken', () => {
    const { desk } = deskWith();
    expect(desk.lay(weak.id, [1, 3])).toBe(true);
    expect(desk.lay(weak.id, [1, 2])).toBe(false);
    expect(desk.days().get(weak.id)).toEqual([1, 3]);
    expect(desk.book.ofPiece(weak.id).map((one) => one.day)).toHaveLength(2);
  });
});
