import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asId, type Day, type EntryId, must, type SessionId, seeded } from '@/core/shared';
import { logistic, mean } from '@/core/statistics';
import { EVIDENCE, type EvidenceRep, estimateElement, fitElement, parametersAt, predictor, summarise } from '.';

const today = '2026-06-30' as Day;
const axis = testAxis();
let count = 0;
const rep = (change: Partial<EvidenceRep> = {}, distance = 5): EvidenceRep => ({
  id: asId<EntryId>(`r${count++}`),
  session: asId<SessionId>('s'),
  day: today,
  at: count,
  away: false,
  outcome: 'clean',
  option: null,
  cause: 'dog',
  aided: false,
  criteria: { [axis.key]: distance },
  ...change,
});
const many = (n: number, change: Partial<EvidenceRep>, distance = 5): EvidenceRep[] => Array.from({ length: n }, () => rep(change, distance));
const fitOf = (reps: readonly EvidenceRep[]) => must(fitElement([axis], must(summarise(reps, today)), today));
const at = (distance: number) => ({ [axis.key]: distance });
const cleanAt = (reps: readonly EvidenceRep[], distance: number) =>
  must(estimateElement([axis], fitOf(reps), at(distance), at(distance), seeded(3))).clean;

describe('summary', () => {
  it('leaves out aided reps and other causes, and finds the cold one', () => {
    const summary = must(summarise([rep({ aided: true }), rep({ cause: 'apparatus' }), rep(), rep({ outcome: 'miss', option: 'no-go' })], today));
    expect(summary).toMatchObject({ counted: 2, notCounted: 2, coldReps: 1, faults: { 'no-go': 1 } });
    expect(summary.cells.map((cell) => [cell.cold, cell.clean, cell.notClean])).toEqual([
      [false, 0, 1],
      [true, 1, 0],
    ]);
  });

  it('is the same in any order', () => {
    const reps = [
      ...many(3, {}),
      rep({ outcome: 'flawed', option: 'x' }, 10),
      rep({ day: '2026-06-01' as Day }),
      rep({ cause: 'handler', outcome: 'flawed', option: 'y' }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(reps, { minLength: reps.length }), (order) => {
        expect(summarise(order, today)).toEqual(summarise(reps, today));
      }),
    );
  });

  it('refuses a rep from the future', () => {
    expect(summarise([rep({ day: '2026-07-01' as Day })], today)).toMatchObject({ ok: false, code: 'future' });
  });
});

describe('fit', () => {
  it('is the prior without reps, and wide', () => {
    const fit = fitOf([]);
    expect(fit.mode).toEqual([EVIDENCE.away.mean, EVIDENCE.cold.mean, EVIDENCE.level.mean, Math.log(3)]);
    const clean = cleanAt([], 20);
    expect(clean.high - clean.low).toBeGreaterThan(0.5);
  });

  it('stays inside 0 and 1 with all clean and with all misses, and narrows with reps', () => {
    const all = cleanAt(many(40, {}), 5);
    const none = cleanAt(many(40, { outcome: 'miss' }), 5);
    expect([all.mid > 0.9, all.high < 1, none.mid < 0.1, none.low > 0]).toEqual([true, true, true, true]);
    const few = cleanAt([...many(3, {}, 20), ...many(2, { outcome: 'miss' }, 20)], 20);
    const more = cleanAt([...many(30, {}, 20), ...many(20, { outcome: 'miss' }, 20)], 20);
    expect(more.high - more.low).toBeLessThan((few.high - few.low) * 0.7);
  });

  it('forgets with a half-life: 20 old clean reps weigh less than 20 of today', () => {
    const old = cleanAt(many(20, { day: '2026-04-28' as Day, outcome: 'miss' }), 5).mid;
    const fresh = cleanAt(many(20, { outcome: 'miss' }), 5).mid;
    expect(old).toBeGreaterThan(fresh + 0.1);
  });

  it('stands where the posterior is flat: a slow search finds nothing better', () => {
    const reps = [...many(12, {}), ...many(5, { outcome: 'miss' }, 12), ...many(6, {}, 12), ...many(3, { outcome: 'flawed' }, 20)];
    const rows = must(summarise(reps, today)).cells;
    const prior = [EVIDENCE.away, EVIDENCE.cold, EVIDENCE.level, { mean: Math.log(3), sd: EVIDENCE.slope.sd }];
    const density = (theta: readonly number[]): number =>
      rows.reduce((sum, cell) => {
        const p = logistic(predictor(theta, [Math.log((cell.criteria[axis.key] ?? 0) / 5) / Math.log(4)], 0, cell.cold ? 1 : 0));
        return sum + cell.clean * Math.log(p) + cell.notClean * Math.log(1 - p);
      }, 0) - prior.reduce((sum, part, i) => sum + (((theta[i] ?? 0) - part.mean) / part.sd) ** 2 / 2, 0);
    const { mode } = fitOf(reps);
    for (const [i, step] of [0, 1, 2, 3].flatMap(
      (i) =>
        [
          [i, 0.01],
          [i, -0.01],
          [i, 0.3],
          [i, -0.3],
        ] as const,
    )) {
      expect(density(mode.map((value, j) => (i === j ? value + step : value)))).toBeLessThan(density(mode));
    }
  });

  it('recovers known dogs: the 80 % interval for the demand covers the truth about as often as it says', () => {
    const random = seeded(20);
    const dogs = Array.from({ length: 120 }, () => ({ level: 1.4 + 1.2 * random.normal(), slope: 3 * Math.exp(0.6 * random.normal()) }));
    const errors: number[] = [];
    const covered = dogs.filter((dog) => {
      const reps = [5, 10, 20].flatMap((distance) =>
        Array.from({ length: 40 }, () => {
          const clean = random.uniform() < logistic(dog.level - dog.slope * (Math.log(distance / 5) / Math.log(4)));
          return rep({ outcome: clean ? 'clean' : 'miss' }, distance);
        }),
      );
      const found = cleanAt(reps, 20);
      const truth = logistic(dog.level - dog.slope);
      errors.push(found.mid - truth);
      return found.low <= truth && truth <= found.high;
    }).length;
    expect(covered / dogs.length).toBeGreaterThan(0.7);
    expect(covered / dogs.length).toBeLessThan(0.92);
    expect(Math.abs(mean(errors))).toBeLessThan(0.03);
  });
});

describe('reach and draws', () => {
  it('lies where a clean rep is 80 % likely, and further for a better dog', () => {
    const reach = (reps: EvidenceRep[]) => must(estimateElement([axis], fitOf(reps), at(20), at(5), seeded(3))).reach[0];
    const weak = reach([...many(20, {}), ...many(20, { outcome: 'miss' }, 20)]);
    const strong = reach([...many(20, {}), ...many(20, {}, 20)]);
    expect(strong?.low ?? 0).toBeGreaterThan(weak?.high ?? 0);
    expect(weak && weak.low < weak.mid && weak.mid < weak.high).toBe(true);
  });

  it('draws with the covariance of the factor, place and cold first', () => {
    const fit = fitOf(many(30, {}, 10));
    const random = seeded(9);
    const draws = Array.from({ length: 20_000 }, () =>
      parametersAt(
        fit,
        fit.mode.map(() => random.normal()),
      ),
    );
    expect(mean(draws.map((draw) => draw[0] ?? 0))).toBeCloseTo(EVIDENCE.away.mean, 1);
    expect(
      parametersAt(
        fit,
        fit.mode.map(() => 0),
      ),
    ).toEqual(fit.mode);
  });
});
