import { describe, expect, it } from 'vitest';
import { asId, type Day, type ElementId } from '@/core/shared';
import { wordsOf } from '@/words';
import { type Candidate, suggestSessions } from '.';

const today = '2026-06-30' as Day;
const candidate = (id: string, mid: number, change: Partial<Candidate> = {}): Candidate => ({
  element: asId<ElementId>(id),
  title: id,
  clean: { low: mid - 0.1, mid, high: mid + 0.1 },
  stake: 10,
  counted: 20,
  lastDay: '2026-06-28' as Day,
  ...change,
});
const order = (...list: Candidate[]): string[] => suggestSessions(list, today).map((one) => one.element);

describe('next session', () => {
  it.each([
    ['the weaker of two', [candidate('a', 0.9), candidate('b', 0.6)], ['b', 'a']],
    ['the dearer of two', [candidate('a', 0.7), candidate('b', 0.8, { stake: 40 })], ['b', 'a']],
    [
      'what was never trained first',
      [candidate('a', 0.1), candidate('b', 0.9, { counted: 0, lastDay: null })],
      ['b', 'a'],
    ],
    [
      'what was trained today last',
      [candidate('a', 0.1, { lastDay: today }), candidate('b', 0.9)],
      ['b', 'a'],
    ],
  ])('%s', (_, list, expected) => expect(order(...list)).toEqual(expected));

  it('says its grounds', () => {
    expect(wordsOf(suggestSessions([candidate('a', 0.62)], today)[0]?.reason)).toBe(
      'Would do it about 6 times in 10 as it is asked in the end (20 reps), and one fault can cost up to 10 points. Last trained 2 days ago.',
    );
    const thin = candidate('a', 0.3, { counted: 1, lastDay: today, stake: null });
    expect(wordsOf(suggestSessions([thin], today)[0]?.reason)).toBe(
      '1 rep so far, too few for a figure, so a session tells most. Already trained today.',
    );
  });
});
