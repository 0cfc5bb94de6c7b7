import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type ElementId, must } from '@/core/shared';
import { assessElement, studyElement } from '.';
import { AXIS, at, boutsOf, many, rep, TODAY } from './evidence.test-helper';

describe('wall, and everything of one element', () => {
  const id = asId<ElementId>('e');
  const sessions = (n: number, each: (s: number) => EvidenceRep[]): EvidenceRep[] =>
    Array.from({ length: n }, (_, s) =>
      each(s).map((one) => ({
        ...one,
        day: addDays(TODAY, 2 * (s - n)),
        bout: asId<BoutId>(`s${s + 10}`),
      })),
    ).flat();
  /** Twelve at 12 m, every other one clean, session after session. */
  const stuck = sessions(20, () =>
    Array.from({ length: 12 }, (_, i) => rep({ outcome: i % 2 === 0 ? 'miss' : 'clean' }, 12)),
  );
  const rising = sessions(16, (s) => many(12, {}, 5 + s));

  const wall = (reps: readonly EvidenceRep[], metres: number) =>
    must(assessElement({ id, axes: [AXIS], bouts: boutsOf(reps), at: at(20), here: at(metres) }, TODAY)).wall;

  it('is seen where nothing rises, and not in one that climbs, is young, or is there', () => {
    expect(wall(stuck, 12)).toMatchObject({ sessions: 20, axis: AXIS.key });
    expect(wall(rising, 18)).toBeNull();
    expect(wall(stuck.slice(0, 60), 8)).toBeNull();
    const there = sessions(16, () => many(12, {}, 20));
    expect(wall(there, 20)).toBeNull();
  });

  it('is null wherever nothing was logged, and finite everywhere', () => {
    const question = {
      id,
      axes: [AXIS, testAxis({ key: 'stay', quantity: 'duration', unit: 's', demand: 30 })],
      bouts: boutsOf(stuck),
      at: at(20),
      here: at(8),
      conditions: [],
      bands: [5, 15],
    };
    const bare = must(studyElement(question, TODAY));
    expect([bare.holding, bare.latency, bare.precision]).toEqual([null, null, null]);
    const told = stuck.map((one, i) => ({
      ...one,
      held: 3 + (i % 7),
      latency: one.outcome === 'miss' ? null : 1.2,
      crooked: i % 2 ? ('straight' as const) : ('slightly-left' as const),
    }));
    const full = must(studyElement({ ...question, bouts: boutsOf(told) }, TODAY));
    expect(full.holding?.holds).toBe(240);
    expect([full.latency?.timed, full.latency?.late, full.precision?.judged]).toEqual([120, 0, 240]);
    const waited = told.map((one, i) => (i < 5 ? { ...one, latency: null, timing: 'none' as const } : one));
    expect(must(studyElement({ ...question, bouts: boutsOf(waited) }, TODAY)).latency?.late).toBe(5);
    expect(JSON.stringify(full)).not.toMatch(/NaN|null,"high"/);
  });
});
