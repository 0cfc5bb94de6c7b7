import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { asId, type SlotId } from '@/core/shared';
import type { PlannedSlot, Slot } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { openSlots, plannedAnswer, plannedRuns } from './planned';
import type { SuggestedSession } from './suggestions';

const { work } = sampleState();
const [first, second] = work.elements;
if (!first || !second) throw new Error('the sample has elements');
const sessions = [second, first].map(
  ({ id, title }) =>
    ({ element: id, title, reason: '', workedToday: false, isNew: false }) as never as SuggestedSession,
);
const slot = (element: typeof first, change: Partial<Slot> = {}): Slot => ({
  id: asId<SlotId>(`s-${element.id}`),
  day: TODAY,
  dogId: element.dogId,
  order: 0,
  pinned: false,
  on: { kind: 'element', element: element.id },
  at: buildLadder(element).rungs[1]?.criteria ?? {},
  purpose: 'rehearse',
  goes: 10,
  sets: 2,
  minutes: 7,
  why: null,
  changed: { at: 0, by: asId('t'), seen: {} },
  ...change,
});
const planned = (one: Slot, state: PlannedSlot['state']): PlannedSlot => ({ slot: one, state, bout: null });

describe('what the plan has for today', () => {
  it('is the answer, in the order of the lesson, on the step that was planned', () => {
    const answer = plannedAnswer([slot(first), slot(second)], sessions, work);
    expect([answer?.first.title, answer?.then.map((one) => one.title)]).toEqual([
      first.title,
      [second.title],
    ]);
    expect(answer?.first.rungInWords).toMatch(/^2 of /);
    expect(answer?.first.start).toEqual(slot(first).at);
    expect(answer?.because).toBe(
      'Rehearse, the first go as at the trial: cold, unpaid, as the steward calls it: 10 goes in 2 sets, about 7 minutes.',
    );
  });

  it('is only what is still to be done, and of this dog', () => {
    const all = {
      strange: false,
      slots: [
        planned(slot(first), 'done'),
        planned(slot(second), 'ahead'),
        planned(slot(first, { dogId: asId('x') }), 'ahead'),
      ],
    };
    expect(openSlots(all, first.dogId).map((one) => one.id)).toEqual([`s-${second.id}`]);
    expect(plannedAnswer([], sessions, work)).toBeNull();
    // A sign stands against it, or it is gone: it is not suggested, so the plan does not bring it back.
    expect(plannedAnswer([slot(first)], [], work)).toBeNull();
  });

  it('says a whole run beside it', () => {
    const run = slot(first, { on: { kind: 'exercise', breakdown: asId('b1') } });
    expect(plannedRuns([run, slot(second)])).toEqual(['run-b1']);
  });
});
