import { describe, expect, it } from 'vitest';
import type { EvidenceRep } from '@/core/log';
import { coverOf } from '.';
import { boutsOf, many, rep } from './evidence.test-helper';
import { habitsOf } from './habits';

describe('coverage and habits', () => {
  it('pools small cells towards the rest, and names what was never trained', () => {
    const reps = [
      ...many(20, { conditions: { Surface: 'grass' } }),
      ...many(2, { conditions: { Surface: 'sand' }, outcome: 'miss' }),
    ];
    const [place, , surface] = coverOf(boutsOf(reps), [
      { title: 'Surface', options: ['grass', 'sand', 'gravel'] },
    ]);
    expect(place?.never).toEqual(['away']);
    expect(surface?.cells.map((cell) => cell.reps)).toEqual([20, 2, 0]);
    expect(surface?.cells[1]?.rate).toBeCloseTo((0 + (4 * 20) / 22) / 6, 9);
    expect(surface?.never).toEqual(['gravel']);
  });

  it('counts breaks by what the handler did, the dog’s own only', () => {
    const habits = habitsOf(
      boutsOf([
        rep({ did: 'stood' }),
        rep({ did: 'came-back', outcome: 'flawed' }),
        rep({ did: 'came-back' }),
        rep({ did: 'came-back', outcome: 'flawed', cause: 'handler' }),
      ]),
    );
    expect(habits.breaks).toEqual({
      alike: true,
      kinds: [
        { did: 'came-back', rate: { of: 2, count: 1 } },
        { did: 'stood', rate: { of: 1, count: 0 } },
      ],
    });
  });

  it('compares at like criteria: a kind that was done elsewhere is left out, or nothing is compared', () => {
    const paid = (what: string, metres: number, outcome: EvidenceRep['outcome'] = 'clean') =>
      rep({ what, outcome }, metres);
    const mixed = habitsOf(
      boutsOf([paid('ball', 5), paid('food', 5, 'miss'), paid('food', 5), paid('food', 20, 'miss')]),
    ).pay;
    expect(mixed).toEqual({
      alike: true,
      kinds: [
        { what: 'ball', rate: { of: 1, count: 1 } },
        { what: 'food', rate: { of: 2, count: 1 } },
      ],
    });
    expect(habitsOf(boutsOf([paid('ball', 5), paid('food', 20, 'miss')])).pay.alike).toBe(false);
  });

  it('counts what comes too early, again, and from the handler', () => {
    const habits = habitsOf(
      boutsOf([
        rep({ timing: 'before-word', outcome: 'flawed' }),
        rep({ timing: 'unprompted', cues: { needed: 0, slip: 0 }, landed: 'ahead' }),
        rep({ timing: 'unprompted', cues: { needed: 2, slip: 0 }, latency: 2, outcome: 'flawed' }),
        rep({ cause: 'handler', outcome: 'miss' }),
      ]),
    );
    expect(habits).toMatchObject({
      anticipated: { of: 3, count: 1 },
      cues: { needed: { of: 2, count: 1 }, slip: { of: 2, count: 0 }, meant: { of: 2, count: 0 } },
      handlers: { of: 4, count: 1 },
      landings: { alike: false, kinds: [{ landed: 'ahead', next: { of: 1, count: 0 }, latency: 2 }] },
    });
  });
});
