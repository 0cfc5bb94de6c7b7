import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ColdProbe, coldProbe, isLongGap, PROBE_REPS } from '.';
import type { Probed } from './cold-probe';

/** Asks until something is found, of a dog that is clean up to a rung. */
function played(
  stood: number,
  upTo: number,
): { asked: number[]; found: Extract<ColdProbe, { kind: 'found' }> } {
  const done: Probed[] = [];
  for (;;) {
    const probe = coldProbe(stood, done);
    if (probe.kind === 'found') return { asked: done.map((one) => one.rung), found: probe };
    done.push({ rung: probe.rung, clean: probe.rung <= upTo });
  }
}

describe('a cold probe', () => {
  it('goes half way up after a clean one and half way down after another', () => {
    const asked = (...clean: boolean[]): number[] => {
      const done: Probed[] = [];
      const rungs: number[] = [];
      for (const one of [...clean, false]) {
        const probe = coldProbe(6, done);
        if (probe.kind !== 'asking') break;
        rungs.push(probe.rung);
        done.push({ rung: probe.rung, clean: one });
      }
      return rungs;
    };
    expect(asked(true, false)).toEqual([2, 5, 4]);
  });

  it('begins no higher than a third, takes five at most, never asks past where it stood, finds what is left', () => {
    fc.assert(
      fc.property(fc.nat({ max: 40 }), fc.integer({ min: -1, max: 40 }), (stood, upTo) => {
        const { asked, found } = played(stood, upTo);
        expect(asked[0]).toBeLessThanOrEqual(stood / 3);
        expect(asked.length).toBeLessThanOrEqual(PROBE_REPS);
        expect(Math.max(...asked)).toBeLessThanOrEqual(stood);
        expect(found.clean).toBe(asked.filter((rung) => rung <= upTo).length);
        // It is never said to reach further than it does.
        if (upTo < 0) expect(found.survived).toBeNull();
        else if (found.survived !== null) expect(found.survived).toBeLessThanOrEqual(upTo);
      }),
    );
  });

  it('a dog that has kept all of a short ladder is found at its top', () =>
    expect(played(7, 99).found).toMatchObject({ reps: 5, clean: 5, survived: 7 }));

  it('is offered past the half-life, past thirty days where none is known', () => {
    expect([isLongGap(30, null), isLongGap(31, null)]).toEqual([false, true]);
    expect([isLongGap(12, 12.4), isLongGap(13, 12.4)]).toEqual([false, true]);
  });
});
