import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EvidenceRep } from '@/core/log';
import { faultText, ownFault } from '@/core/rulebooks';
import { asId, type BoutId, type Day, type EntryId, must } from '@/core/shared';
import { groundsOf, summarise } from '.';
import { boutsOf, rep, TODAY } from './evidence.test-helper';
import { cellsWithCold } from './summary';

describe('summary', () => {
  it('leaves out aided reps and other causes, and finds the cold one', () => {
    const summary = must(
      summarise(
        boutsOf([
          rep({ aided: true }),
          rep({ cause: 'apparatus' }),
          rep(),
          rep({ outcome: 'miss', faults: [ownFault('no-go')] }),
        ]),
        TODAY,
      ),
    );
    expect(summary).toMatchObject({
      counted: 2,
      notCounted: 2,
      faults: { [faultText(ownFault('no-go'))]: { fault: ownFault('no-go'), count: 1 } },
    });
    expect(groundsOf(summary)).toMatchObject({ counted: 2, coldReps: 1, sessions: 1, lastDay: TODAY });
    expect(cellsWithCold(summary).map((cell) => [cell.cold, cell.clean, cell.notClean])).toEqual([
      [true, 1, 0],
      [false, 0, 1],
    ]);
  });

  it('keeps conditions apart, and never asks on which rung it was', () => {
    const summary = must(
      summarise(
        boutsOf([
          rep({ conditions: { Surface: 'grass' } }),
          rep({ conditions: { Surface: 'sand' } }),
          rep({ away: true }),
        ]),
        TODAY,
      ),
    );
    expect(Object.keys(summary.cells)).toHaveLength(3);
  });

  it('refuses a rep from the future', () => {
    expect(summarise(boutsOf([rep({ day: '2026-07-01' as Day })]), TODAY)).toMatchObject({
      ok: false,
      code: 'future',
    });
  });

  const anyRep = fc.record({
    day: fc.constantFrom('2026-06-01', '2026-06-02', '2026-06-03').map((day) => day as Day),
    at: fc.nat(20),
    bout: fc.constantFrom('a', 'b').map((id) => asId<BoutId>(id)),
    outcome: fc.constantFrom('clean', 'flawed', 'miss'),
    faults: fc.constantFrom([], ['x'], ['y'], ['x', 'y']).map((keys) => keys.map(ownFault)),
    cause: fc.constantFrom('dog', 'dog', 'dog', 'handler', 'apparatus'),
    aided: fc.boolean(),
    away: fc.boolean(),
    distance: fc.constantFrom(5, 10),
  });

  it('does not depend on the order of the list, and counts cells and first tries as a slow one does', () => {
    fc.assert(
      fc.property(fc.array(anyRep, { minLength: 1, maxLength: 25 }), (made) => {
        const reps = made.map(
          ({ distance, ...one }, i): EvidenceRep =>
            rep({ ...one, id: asId<EntryId>(`p${i}`) } as Partial<EvidenceRep>, distance),
        );
        const summary = must(summarise(boutsOf(reps), TODAY));
        expect(must(summarise(boutsOf([...reps].reverse()).reverse(), TODAY))).toEqual(summary);
        // Help discounts a success only.
        const counted = reps.filter((one) => one.cause === 'dog' && !(one.aided && one.outcome === 'clean'));
        expect([summary.counted, summary.notCounted]).toEqual([counted.length, reps.length - counted.length]);
        const cells = Object.values(summary.cells);
        expect(cells.reduce((sum, cell) => sum + cell.clean, 0)).toBe(
          counted.filter((one) => one.outcome === 'clean').length,
        );
        for (const [day, first] of Object.entries(summary.firsts)) {
          const times = counted.filter((one) => one.day === day).map((one) => one.at);
          expect(first.at).toBe(Math.min(...times));
        }
        expect(Object.keys(summary.firsts)).toHaveLength(new Set(counted.map((one) => one.day)).size);
        for (const key of ['x', 'y'])
          expect(summary.faults[faultText(ownFault(key))]?.count ?? 0).toBe(
            counted.filter((one) => one.outcome !== 'clean' && one.faults.some((fault) => fault.key === key))
              .length,
          );
      }),
    );
  });
});
