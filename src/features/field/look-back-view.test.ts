import { describe, expect, it } from 'vitest';
import { plainRep, type StandingRep } from '@/core/log';
import { asId, type Day, type EntryId } from '@/core/shared';
import type { LookBack } from '@/data/read';
import { besideInWords, hindsightInWords, ownMarkInWords, secondsInWords } from './look-back-view';

const rep = (i: number, outcome: 'clean' | 'miss' = 'clean'): StandingRep =>
  ({
    ...plainRep({}, { outcome }),
    id: asId<EntryId>(`r${i}`),
    at: i * 10_000,
    timed: true,
    corrected: false,
    rested: i === 5,
  }) as StandingRep;
const reps = Array.from({ length: 12 }, (_, i) => rep(i, i < 8 ? 'clean' : 'miss'));
const folded = { reps };
const back = (hindsight: LookBack['hindsight'], counted = reps): LookBack => ({
  hindsight,
  counted,
  beside: null,
});
const POINT = { kind: 'point', after: 8, factor: 7.4, share: 0.5, from: 7, to: 9 } as const;

describe('looking back in words', () => {
  it('says where it could have ended with its grounds, by the numbers of its reps', () => {
    expect(hindsightInWords(back(POINT), folded)).toBe(
      'It could have ended after rep 8: 8 of 8 clean up to there, 0 of 4 after it. With a fall it is 7 times likelier than without; the fall began between rep 7 and 9. So end on a good one sooner next time.',
    );
    // A rep that does not count is a rep of the bout all the same.
    expect(hindsightInWords(back(POINT, reps.slice(1)), folded)).toContain('after rep 9');
  });

  it('says nothing where nothing tells', () => {
    expect(hindsightInWords(back({ kind: 'nothing', factor: 0.4 }), folded)).toMatch(/^Nothing tells/);
    expect(hindsightInWords(back({ kind: 'few', reps: 1 }), folded)).toBe(
      'One rep counts: under eight nothing tells where it could have ended.',
    );
  });

  it('keeps the person’s own mark beside it, and says how far apart they are', () => {
    expect(ownMarkInWords(back(POINT), folded, 'r7')).toBe(
      'You: after rep 8; the counts: after rep 8, the same.',
    );
    expect(ownMarkInWords(back(POINT), folded, 'r5')).toBe(
      'You: after rep 6; the counts: after rep 8, 2 reps apart.',
    );
    expect(ownMarkInWords(back({ kind: 'nothing', factor: 1 }), folded, 'r5')).toContain(
      'tell nothing of it',
    );
    expect(ownMarkInWords(back(POINT), folded, null)).toBeNull();
    // The rep was taken back since.
    expect(ownMarkInWords(back(POINT), folded, 'gone')).toBeNull();
  });

  it('sets the same step beside the time before, and counts seconds and pay', () => {
    const at = { reps: 5, clean: 4, answer: 1.24 };
    const lines = besideInWords({
      ...back(POINT),
      beside: {
        now: { ...at, day: '2026-06-09' as Day },
        before: { ...at, day: '2026-06-04' as Day, answer: null },
      },
    });
    expect(lines).toEqual([
      'This time (9 Jun 2026), the step that was asked most: 4 of 5 clean, answers about 1.2 s.',
      'The time before (4 Jun 2026), the step that was asked most: 4 of 5 clean.',
    ]);
    expect(secondsInWords(folded)[0]).toBe('100 s of work, 10 s of rest.');
  });
});
