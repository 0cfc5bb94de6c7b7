import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type Day, type EntryId, must, type SessionId } from '@/core/shared';
import { EMPTY_SUMMARY, type EvidenceRep, groundsOf, type Summary, summarise, withoutRep, withRep } from '.';
import { many, rep, TODAY } from './evidence.test-helper';
import { cellsWithCold } from './summary';

describe('summary', () => {
  it('leaves out aided reps and other causes, and finds the cold one', () => {
    const summary = must(summarise([rep({ aided: true }), rep({ cause: 'apparatus' }), rep(), rep({ outcome: 'miss', option: 'no-go' })], TODAY));
    expect(summary).toMatchObject({ counted: 2, notCounted: 2, faults: { 'no-go': 1 } });
    expect(groundsOf(summary)).toMatchObject({ counted: 2, coldReps: 1, sessions: 1, lastDay: TODAY });
    expect(cellsWithCold(summary).map((cell) => [cell.cold, cell.clean, cell.notClean])).toEqual([
      [true, 1, 0],
      [false, 0, 1],
    ]);
  });

  it('keeps conditions apart, and never asks on which rung it was', () => {
    const summary = must(
      summarise([rep({ conditions: { Surface: 'grass' } }), rep({ conditions: { Surface: 'sand' } }), rep({ away: true })], TODAY),
    );
    expect(Object.keys(summary.cells)).toHaveLength(3);
  });

  it('refuses a rep from the future', () => {
    expect(summarise([rep({ day: '2026-07-01' as Day })], TODAY)).toMatchObject({ ok: false, code: 'future' });
  });

  const anyRep = fc.record({
    day: fc.constantFrom('2026-06-01', '2026-06-02', '2026-06-03').map((day) => day as Day),
    at: fc.nat(20),
    session: fc.constantFrom('a', 'b').map((id) => asId<SessionId>(id)),
    outcome: fc.constantFrom('clean', 'flawed', 'miss'),
    option: fc.constantFrom(null, 'x', 'y'),
    cause: fc.constantFrom('dog', 'dog', 'dog', 'handler', 'apparatus'),
    aided: fc.boolean(),
    away: fc.boolean(),
    distance: fc.constantFrom(5, 10),
  });

  it('deep-equals one rebuilt after any adding, undoing, correcting and back-dating', () => {
    fc.assert(
      fc.property(fc.array(anyRep, { minLength: 1, maxLength: 25 }), fc.array(fc.nat(), { maxLength: 15 }), (made, picks) => {
        const reps = made.map(
          ({ distance, ...one }, i): EvidenceRep => rep({ ...one, id: asId<EntryId>(`p${i}`) } as Partial<EvidenceRep>, distance),
        );
        let summary = reps.reduce(withRep, EMPTY_SUMMARY);
        let standing = reps;
        for (const pick of picks) {
          const gone = standing[pick % Math.max(1, standing.length)];
          if (!gone) break;
          standing = standing.filter((one) => one !== gone);
          summary = withoutRep(
            summary,
            gone,
            standing.filter((one) => one.day === gone.day),
          );
          if (pick % 2 === 0) {
            const corrected: EvidenceRep = { ...gone, outcome: pick % 4 === 0 ? 'miss' : 'clean', cause: 'dog', day: '2026-05-30' as Day };
            standing = [...standing, corrected];
            summary = withRep(summary, corrected);
          }
        }
        expect(summary).toEqual(must(summarise(standing, TODAY)));
        expect(summary).toEqual(must(summarise([...standing].reverse(), TODAY)));
      }),
    );
  });

  it('changes one cell for one rep, however long the history', () => {
    const before = must(summarise(many(300, {}, 10), TODAY));
    const after: Summary = withRep(before, rep({ outcome: 'miss' }));
    const changed = Object.keys(after.cells).filter((key) => after.cells[key] !== before.cells[key]);
    expect(changed).toHaveLength(1);
  });
});
