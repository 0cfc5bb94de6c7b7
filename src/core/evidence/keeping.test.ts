import { describe, expect, it } from 'vitest';
import { addDays, asId, type BoutId, type ElementId, must } from '@/core/shared';
import { assessElement } from '.';
import { AXIS, at, boutsOf, rep, TODAY } from './evidence.test-helper';

describe('keeping it', () => {
  /** Sessions of ten after gaps of so many days, all at the demand; `clean` of the first after each gap. */
  const history = (gaps: readonly number[], after: (gap: number) => number) => {
    let day = addDays(TODAY, -gaps.reduce((a, b) => a + b, 0));
    return boutsOf(
      gaps.flatMap((gap, s) => {
        day = addDays(day, gap);
        const misses = 10 - after(gap);
        return Array.from({ length: 10 }, (_, i) =>
          rep({ day, bout: asId<BoutId>(`k${s + 10}`), outcome: i % 10 < misses ? 'miss' : 'clean' }, 12),
        );
      }),
    );
  };
  const keepingAt = (gaps: readonly number[], after: (gap: number) => number, idle = 0) => {
    const bouts = history(gaps, after);
    const question = { id: asId<ElementId>('k'), axes: [AXIS], bouts, at: at(20), here: at(12) };
    return must(assessElement(question, addDays(TODAY, idle))).estimate;
  };
  const GAPS = [0, 2, 2, 2, 30, 2, 2, 30, 2, 2, 30, 2, 2, 30, 2, 2];

  it('is lower after every long gap in a dog that forgets, and due within weeks', () => {
    const forgets = keepingAt(GAPS, (gap) => (gap > 7 ? 3 : 9));
    const keeps = keepingAt(GAPS, () => 9);
    expect(forgets.keeping.loss).toBeGreaterThan(keeps.keeping.loss + 0.25);
    expect(forgets.keeping.dueAfter ?? 999).toBeLessThan(keeps.keeping.dueAfter ?? 999);
    expect(keeps.keeping.halfLife).toBeNull();
  });

  it('takes days without a session off what is clean today, and says that it is assumed before a gap', () => {
    const fresh = keepingAt([0, 2, 2, 2, 2, 2], () => 8);
    const idle = keepingAt([0, 2, 2, 2, 2, 2], () => 8, 42);
    expect(fresh.keeping.assumed).toBe(true);
    expect(idle.clean.mid).toBeLessThan(fresh.clean.mid - 0.02);
    expect(idle.keeping.today).toBeLessThan(idle.keeping.fresh);
  });
});

describe('within a session', () => {
  const tired = (n: number, worse: (i: number) => boolean, rested = false) =>
    boutsOf(
      Array.from({ length: 12 }, (_, s) =>
        Array.from({ length: n }, (_, i) =>
          rep(
            {
              day: addDays(TODAY, s - 12),
              bout: asId<BoutId>(`t${s + 10}`),
              outcome: worse(i) ? 'miss' : 'clean',
              rested: rested && i === 10,
            },
            8,
          ),
        ),
      ).flat(),
    );
  const tiringAt = (bouts: ReturnType<typeof boutsOf>) =>
    must(assessElement({ id: asId<ElementId>('t'), axes: [AXIS], bouts, at: at(20), here: at(8) }, TODAY))
      .estimate.tiring;

  it('says what ten goes cost only where they do', () => {
    expect(tiringAt(tired(10, (i) => i === 4))).toBeNull();
    const found = tiringAt(tired(20, (i) => i > 11 && i % 2 === 0));
    expect(found?.worse.low ?? 0).toBeGreaterThan(0.05);
    expect(found?.back).toBeNull();
  });

  it('and what a rest gives back where a rest tells', () => {
    const fresh = tiringAt(tired(20, (i) => (i > 4 && i < 10 && i % 2 === 0) || i > 15, true));
    expect(fresh?.back?.mid ?? 0).toBeGreaterThan(0.6);
  });
});
