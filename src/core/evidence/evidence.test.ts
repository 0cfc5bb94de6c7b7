import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type ElementId, type LevelId, must, seeded } from '@/core/shared';
import { halfNormal, logistic, mean } from '@/core/statistics';
import { assessElement, DRAW, drawPosterior, EVIDENCE, fitElement, summarise, targetAt } from '.';
import { marginalCurvature } from './curvature';
import { designOf } from './design';
import { estimateElement } from './estimate';
import { AXIS, at, boutsOf, many, rep, TODAY } from './evidence.test-helper';
import { benchFor, marginalLog, swingOf } from './marginal';
import { chancesAt } from './predict';
import { priorsFor } from './priors';
import { USUAL_BELIEFS } from './settings';

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

/** A response by its place on a list of four, and how much harder it is than the first. */
const GRADED = testAxis({
  key: 'depth',
  quantity: 'level',
  unit: '',
  start: 0,
  demand: 3,
  levels: [0, 1, 2, 3].map((id) => ({ id: id as LevelId, name: `step ${id}`, anchor: '' })),
});
/** Sessions that move every parameter: gaps, strangers, no pay, rests, other kit, responses. */
const EVERYTHING = sessions(5, 9, (s) =>
  Array.from({ length: 14 }, (_, i) => {
    const shown = (i + s) % 4;
    return rep({
      away: s === 1,
      rested: i === 8,
      pay: i % 3 === 0 ? 'none' : 'small',
      conditions: { ...(s === 2 && { handler: 'another' }), ...(s === 3 && { worn: 'other' }) },
      criteria: { [AXIS.key]: 5 + i, [GRADED.key]: 2 },
      ...(i % 5 > 0 ? { grade: shown as LevelId, outcome: shown >= 2 ? 'clean' : 'flawed' } : {}),
    });
  }),
);

describe('the marginal likelihood', () => {
  const axes = [AXIS, GRADED];
  const design = must(designOf(axes, must(summarise(boutsOf(EVERYTHING), TODAY)), TODAY));
  const values: Readonly<Record<number, number>> = {
    [DRAW.away]: -0.4,
    [DRAW.cold]: -0.2,
    [DRAW.handler]: -0.5,
    [DRAW.unpaid]: 0.3,
    [DRAW.worn]: -0.1,
    [DRAW.level]: 1.2,
    [DRAW.gain]: 0.07,
    [DRAW.tiring]: 0.3,
    [DRAW.kept]: 0.4,
    [DRAW.loss]: 0.1,
    [DRAW.lasting]: Math.log(25),
    [DRAW.slopes]: 0.5,
    [DRAW.slopes + 1]: 0.2,
  };
  const theta = design.params.map((place) => values[place] as number);

  it('asks every parameter where the reps speak of all', () => {
    expect([...design.params].sort((a, b) => a - b)).toEqual(Object.keys(values).map(Number));
    expect(design.graded.length).toBeGreaterThan(0);
  });

  /** η of a rep from the rep itself, its place in the session and the gap before it. */
  const etaOf = (one: EvidenceRep, s: number, i: number, depth: number): number => {
    const v = (place: number): number => values[place] as number;
    const order = i < 8 ? i : i - 8;
    const since = i === 0 ? 0 : Math.floor(order / 5) * 5 + 2;
    const before = i < 8 ? 0 : 8;
    const gap = s === 0 ? 0 : 9;
    return (
      v(DRAW.level) +
      s * v(DRAW.gain) +
      (one.away ? v(DRAW.away) : 0) +
      (i === 0 ? v(DRAW.cold) : 0) +
      (one.conditions?.handler ? v(DRAW.handler) : 0) +
      (one.pay === 'none' ? v(DRAW.unpaid) : 0) +
      (one.conditions?.worn ? v(DRAW.worn) : 0) -
      0.1 * halfNormal(v(DRAW.tiring)).value * (since + before / (1 + Math.exp(-v(DRAW.kept)))) -
      0.8 * halfNormal(v(DRAW.loss)).value * (1 - Math.exp(-gap / Math.exp(v(DRAW.lasting)))) -
      (Math.exp(v(DRAW.slopes)) * Math.log((one.criteria[AXIS.key] as number) / 5)) / Math.log(4) -
      Math.exp(v(DRAW.slopes + 1)) * (depth / 3)
    );
  };

  it.each([
    0.25, 0.5, 1,
  ])('integrates a session’s swing of %d out as a fine sum over the reps does', (tau) => {
    const swing = swingOf(tau);
    const found = marginalLog(design, swing, theta, benchFor(design, swing));
    let slow = 0;
    for (let s = 0; s < 5; s++) {
      const reps = EVERYTHING.slice(14 * s, 14 * (s + 1));
      let [sum, all] = [0, 0];
      for (let z = -8; z <= 8; z += 0.004) {
        let likelihood = Math.exp(-0.5 * z * z);
        all += likelihood;
        for (const [i, one] of reps.entries()) {
          const atLeast = (depth: number): number =>
            depth > 3 ? 0 : logistic(etaOf(one, s, i, depth) + tau * z);
          if (one.grade === undefined) likelihood *= one.outcome === 'clean' ? atLeast(2) : 1 - atLeast(2);
          else likelihood *= atLeast(one.grade) - atLeast(one.grade + 1);
        }
        sum += likelihood;
      }
      slow += (design.weight[s] as number) * Math.log(sum / all);
    }
    expect(found).toBeCloseTo(slow, 2);
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
      expect(gradient[i]).toBeCloseTo((value(unit(i, h)) - value(unit(i, -h))) / (2 * h), 4);
      for (let j = 0; j < theta.length; j++) {
        const mixed = (a: number, b: number) => value(unit(i, a).map((one, k) => one + (unit(j, b)[k] ?? 0)));
        const second = (mixed(h, h) - mixed(h, -h) - mixed(-h, h) + mixed(-h, -h)) / (4 * h * h);
        const scale = Math.max(1, Math.abs(second));
        expect((exact[i * theta.length + j] as number) / scale).toBeCloseTo(-second / scale, 3);
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
    const priors = priorsFor(1, 1, USUAL_BELIEFS);
    const swings = EVIDENCE.swing.values.map(swingOf);
    const shares = EVIDENCE.swing.values.map((tau) =>
      Math.exp(-0.5 * (Math.log(tau / EVIDENCE.swing.middle) / EVIDENCE.swing.sd) ** 2),
    );
    let [sum, all] = [0, 0];
    for (let i = 0; i < 100_000; i++) {
      const whole = priors.map((prior) => prior.mean + prior.sd * random.normal());
      const swing = swings[i % 3];
      if (!swing) continue;
      const theta = design.params.map((place) => whole[place] as number);
      const weight =
        (shares[i % 3] ?? 0) * Math.exp(marginalLog(design, swing, theta, benchFor(design, swing)));
      const eta =
        (whole[DRAW.level] ?? 0) +
        design.next * (whole[DRAW.gain] ?? 0) +
        EVIDENCE.drift * random.normal() -
        Math.exp(whole[DRAW.slopes] ?? 0);
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
    const reps = (n: number) =>
      Array.from({ length: n }, (_, i) =>
        rep({ outcome: [1, 4, 8].includes(i % 10) ? 'miss' : 'clean' }, 20),
      );
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
    const { clean, atTrial, reach, effective } = must(
      estimateElement([AXIS], posteriorOf(reps), at(20), at(5)),
    );
    for (const { low, mid, high } of [clean, atTrial])
      expect(0 < low && low <= mid && mid <= high && high < 1).toBe(true);
    for (const { low, mid, high } of reach)
      expect([low, mid, high].every(Number.isFinite) && low <= mid && mid <= high).toBe(true);
    expect(effective).toBeGreaterThan(60);
  });

  it('a stranger place and a first try are worse than home and warm, before any rep says so', () => {
    const { clean, atTrial } = must(estimateElement([AXIS], posteriorOf(MIXED), at(20), at(5)));
    expect(atTrial.mid).toBeLessThan(clean.mid);
  });

  it('reach lies further for a better dog', () => {
    const reach = (reps: EvidenceRep[]) =>
      must(estimateElement([AXIS], posteriorOf(reps), at(20), at(5))).reach[0];
    const weak = reach(sessions(4, 2, () => [...many(6), ...many(6, { outcome: 'miss' }, 20)]));
    const strong = reach(sessions(4, 2, () => [...many(6), ...many(6, {}, 20)]));
    expect(strong?.low ?? 0).toBeGreaterThan(weak?.high ?? 0);
  });
});
