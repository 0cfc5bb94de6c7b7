import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type ElementId, must, seeded } from '@/core/shared';
import { logistic, mean } from '@/core/statistics';
import { assessElement, DRAW, drawPosterior, EVIDENCE, fitElement, summarise, targetAt } from '.';
import { designOf } from './design';
import { chancesAt, estimateElement } from './estimate';
import { AXIS, at, boutsOf, many, rep, TODAY } from './evidence.test-helper';
import { benchFor, marginalCurvature, marginalLog, swingOf } from './marginal';

const posteriorOf = (reps: readonly EvidenceRep[], draws?: number, proposals?: number) =>
  drawPosterior(
    must(fitElement([AXIS], must(summarise(boutsOf(reps), TODAY)), TODAY)),
    seeded(3),
    draws,
    proposals,
  );
const cleanAt = (reps: readonly EvidenceRep[], distance: number) =>
  must(estimateElement([AXIS], posteriorOf(reps), at(distance), at(distance))).clean;
/** Reps in several sessions, `days` apart, the last of them today. */
const sessions = (n: number, days: number, each: (s: number) => EvidenceRep[]): EvidenceRep[] =>
  Array.from({ length: n }, (_, s) =>
    each(s).map((one) => ({
      ...one,
      day: addDays(TODAY, (s - n + 1) * days),
      bout: asId<BoutId>(`s${String(s).padStart(2, '0')}`),
    })),
  ).flat();

const MIXED = sessions(4, 5, (s) => [
  ...many(3, {}, 5 + 3 * s),
  ...many(2, { outcome: 'miss' }, 12),
  rep({ away: true }, 10),
]);

describe('the marginal likelihood', () => {
  const design = must(designOf([AXIS], must(summarise(boutsOf(MIXED), TODAY)), TODAY));
  const theta = [-0.4, -0.2, 1.2, 0.07, 0.9];

  it.each([
    0.25, 0.5, 1,
  ])('integrates a session’s swing of %d out as a fine sum over the reps does', (tau) => {
    const swing = swingOf(tau);
    const found = marginalLog(design, swing, theta, benchFor(design, swing));
    let slow = 0;
    for (let k = 0; k < design.weight.length; k++) {
      let [sum, all] = [0, 0];
      for (let z = -8; z <= 8; z += 0.001) {
        let likelihood = Math.exp(-0.5 * z * z);
        all += likelihood;
        for (let r = design.first[k] as number; r < (design.first[k + 1] as number); r++) {
          const row = design.rows.slice(r * design.width, (r + 1) * design.width);
          const eta =
            row.slice(0, 4).reduce((total, one, j) => total + one * (theta[j] as number), 0) -
            Math.exp(theta[4] as number) * (row[4] as number);
          const p = logistic(eta + tau * z);
          likelihood *=
            p ** (design.clean[r] as number) *
            (1 - p) ** ((design.total[r] as number) - (design.clean[r] as number));
        }
        sum += likelihood;
      }
      slow += (design.weight[k] as number) * Math.log(sum / all);
    }
    expect(found).toBeCloseTo(slow, 3);
  });

  it('has the derivatives that small steps show', () => {
    const swing = swingOf(0.5);
    const bench = benchFor(design, swing);
    const value = (change: readonly number[]) =>
      marginalLog(
        design,
        swing,
        theta.map((one, i) => one + (change[i] ?? 0)),
        bench,
      );
    const { gradient, exact } = marginalCurvature(design, swing, theta, bench);
    const unit = (i: number, by: number) => theta.map((_, j) => (i === j ? by : 0));
    const h = 1e-4;
    for (let i = 0; i < theta.length; i++) {
      expect(gradient[i]).toBeCloseTo((value(unit(i, h)) - value(unit(i, -h))) / (2 * h), 5);
      for (let j = 0; j < theta.length; j++) {
        const mixed = (a: number, b: number) => value(unit(i, a).map((one, k) => one + (unit(j, b)[k] ?? 0)));
        const second = (mixed(h, h) - mixed(h, -h) - mixed(-h, h) + mixed(-h, -h)) / (4 * h * h);
        expect(exact[i * theta.length + j]).toBeCloseTo(-second, 3);
      }
    }
  });

  it('leaves out sessions that have lost their say, and still counts them', () => {
    const old = sessions(3, 200, () => many(2));
    const { weight, next } = must(designOf([AXIS], must(summarise(boutsOf(old), TODAY)), TODAY));
    expect([weight.length, weight[0], next]).toEqual([1, 1, 3]);
    expect(designOf([AXIS], must(summarise(boutsOf(old), TODAY)), addDays(TODAY, -1))).toMatchObject({
      ok: false,
      code: 'future',
    });
  });
});

describe('the posterior', () => {
  it('is the prior without reps, and wide', () => {
    const { draws, width, effective, proposed } = posteriorOf([], 4000, 12_000);
    const column = (j: number) => Array.from({ length: 4000 }, (_, i) => draws[i * width + j] as number);
    expect(mean(column(DRAW.away))).toBeCloseTo(EVIDENCE.away.mean, 1);
    expect(mean(column(DRAW.slopes))).toBeCloseTo(Math.log(3), 1);
    expect(effective / proposed).toBeGreaterThan(0.5);
    const clean = cleanAt([], 20);
    expect(clean.high - clean.low).toBeGreaterThan(0.5);
  });

  it('agrees with a hundred thousand draws from the prior, weighed by the reps', () => {
    const reps = sessions(3, 4, (s) => [...many(4, {}, 5 + 5 * s), ...many(2, { outcome: 'miss' }, 15)]);
    const design = must(designOf([AXIS], must(summarise(boutsOf(reps), TODAY)), TODAY));
    const random = seeded(12);
    const priors = [
      EVIDENCE.away,
      EVIDENCE.cold,
      EVIDENCE.level,
      EVIDENCE.gain,
      { mean: Math.log(3), sd: EVIDENCE.slope.sd },
    ];
    const swings = EVIDENCE.swing.values.map(swingOf);
    const shares = EVIDENCE.swing.values.map((tau) =>
      Math.exp(-0.5 * (Math.log(tau / EVIDENCE.swing.middle) / EVIDENCE.swing.sd) ** 2),
    );
    let [sum, all] = [0, 0];
    for (let i = 0; i < 100_000; i++) {
      const theta = priors.map((prior) => prior.mean + prior.sd * random.normal());
      const swing = swings[i % 3];
      if (!swing) continue;
      const weight =
        (shares[i % 3] ?? 0) * Math.exp(marginalLog(design, swing, theta, benchFor(design, swing)));
      const eta =
        (theta[2] ?? 0) +
        design.next * (theta[3] ?? 0) +
        EVIDENCE.drift * random.normal() -
        Math.exp(theta[4] ?? 0);
      sum += weight * logistic(eta / Math.sqrt(1 + (Math.PI * swing.tau ** 2) / 8));
      all += weight;
    }
    const found = mean(chancesAt(posteriorOf(reps, 4000, 12_000), must(targetAt([AXIS], at(20), 'either'))));
    expect(Math.abs(found - sum / all)).toBeLessThan(0.012);
  });

  it('is the same for the same reps, and says how much its draws are worth', () => {
    expect(posteriorOf(MIXED)).toEqual(posteriorOf([...MIXED].reverse()));
    expect(posteriorOf(MIXED).effective).toBeGreaterThan(100);
  });

  it('stays inside 0 and 1 with all clean and with all misses, and narrows with reps', () => {
    const all = cleanAt(
      sessions(4, 1, () => many(10)),
      5,
    );
    const none = cleanAt(
      sessions(4, 1, () => many(10, { outcome: 'miss' })),
      5,
    );
    expect([all.mid > 0.9, all.high < 1, none.mid < 0.15, none.low > 0]).toEqual([true, true, true, true]);
    const mixed = (n: number) =>
      cleanAt(
        sessions(n, 1, () => [...many(6, {}, 20), ...many(4, { outcome: 'miss' }, 20)]),
        20,
      );
    const [few, more] = [mixed(1), mixed(12)];
    expect(more.high - more.low).toBeLessThan((few.high - few.low) * 0.75);
  });

  it('knows that forty reps of one session say less than ten of each of four', () => {
    const width = ({ low, high }: { low: number; high: number }) => high - low;
    const reps = (n: number) => [...many(n * 0.7, {}, 20), ...many(n * 0.3, { outcome: 'miss' }, 20)];
    expect(
      width(
        cleanAt(
          sessions(1, 1, () => reps(40)),
          20,
        ),
      ),
    ).toBeGreaterThan(
      width(
        cleanAt(
          sessions(4, 1, () => reps(10)),
          20,
        ),
      ) * 1.1,
    );
  });

  it('forgets with a half-life: old misses weigh less than those of today', () => {
    const old = cleanAt(many(20, { day: addDays(TODAY, -63), outcome: 'miss' }), 5).mid;
    expect(old).toBeGreaterThan(cleanAt(many(20, { outcome: 'miss' }), 5).mid + 0.1);
  });

  it('expects a dog that gains to go on gaining, and one that does not to stay', () => {
    const share = (s: number) => Math.round(2 + s * 0.8);
    const rising = sessions(10, 2, (s) => [
      ...many(share(s), {}, 20),
      ...many(10 - share(s), { outcome: 'miss' }, 20),
    ]);
    const flat = sessions(10, 2, () => [...many(6, {}, 20), ...many(4, { outcome: 'miss' }, 20)]);
    const gain = (reps: EvidenceRep[]) =>
      must(estimateElement([AXIS], posteriorOf(reps), at(20), at(20))).gain;
    expect(gain(rising).low).toBeGreaterThan(gain(flat).mid);
    expect(Math.abs(gain(flat).mid)).toBeLessThan(0.08);
  });

  it('keeps a signed axis’s sides apart, and a trial asks the weaker', () => {
    const signed = testAxis({
      key: 'angle',
      quantity: 'angle',
      unit: '°',
      harder: 'both',
      start: 0,
      demand: 60,
    });
    const turn = (angle: number, outcome: EvidenceRep['outcome']) =>
      rep({ outcome, criteria: { [signed.key]: angle } });
    const reps = sessions(6, 2, () => [
      ...[60, 60, 60, 60].map((angle) => turn(angle, 'clean')),
      ...[-60, -60, -60, -60].map((angle) => turn(angle, 'miss')),
    ]);
    const assessed = must(
      assessElement(
        {
          id: asId<ElementId>('e'),
          axes: [signed],
          bouts: boutsOf(reps),
          at: { [signed.key]: 60 },
          here: { [signed.key]: 30 },
        },
        TODAY,
      ),
    );
    const [reach] = assessed.estimate.reach;
    expect(reach?.sides?.right.low).toBeGreaterThan(reach?.sides?.left.high ?? 9);
    expect(reach?.mid).toBeCloseTo(reach?.sides?.left.mid ?? 9, 1);
    expect(assessed.estimate.clean.mid).toBeLessThan(0.3);
  });
});

describe('wide, sensible and finite', () => {
  const strange: [string, EvidenceRep[]][] = [
    ['no rep', []],
    ['one clean rep', [rep()]],
    ['one miss', [rep({ outcome: 'miss' })]],
    ['all clean', sessions(10, 2, () => many(12, {}, 20))],
    ['all misses', sessions(10, 2, () => many(12, { outcome: 'miss' }))],
    [
      'contradictory: the hard clean, the easy missed',
      sessions(6, 2, () => [...many(6, {}, 20), ...many(6, { outcome: 'miss' })]),
    ],
    ['one rung only', sessions(8, 2, () => [...many(5, {}, 10), ...many(3, { outcome: 'miss' }, 10)])],
    ['far beyond the demand', sessions(4, 2, () => many(8, {}, 400))],
    ['200 reps in one session', many(200, {}, 8)],
  ];
  it.each(strange)('%s', (_, reps) => {
    const { clean, coldAway, reach, effective } = must(
      estimateElement([AXIS], posteriorOf(reps), at(20), at(5)),
    );
    for (const { low, mid, high } of [clean, coldAway])
      expect(0 < low && low <= mid && mid <= high && high < 1).toBe(true);
    for (const { low, mid, high } of reach)
      expect([low, mid, high].every(Number.isFinite) && low <= mid && mid <= high).toBe(true);
    expect(effective).toBeGreaterThan(60);
  });

  it('a stranger place and a first try are worse than home and warm, before any rep says so', () => {
    const { clean, coldAway } = must(estimateElement([AXIS], posteriorOf(MIXED), at(20), at(5)));
    expect(coldAway.mid).toBeLessThan(clean.mid);
  });

  it('reach lies further for a better dog', () => {
    const reach = (reps: EvidenceRep[]) =>
      must(estimateElement([AXIS], posteriorOf(reps), at(20), at(5))).reach[0];
    const weak = reach(sessions(4, 2, () => [...many(6), ...many(6, { outcome: 'miss' }, 20)]));
    const strong = reach(sessions(4, 2, () => [...many(6), ...many(6, {}, 20)]));
    expect(strong?.low ?? 0).toBeGreaterThan(weak?.high ?? 0);
  });
});
