import { describe, expect, it } from 'vitest';
import { boutsOf, rep } from '@/core/evidence/evidence.test-helper';
import { addDays, asId, type Day, type ElementId, must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { classEvidence } from '@/data/read';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import {
  assessClass,
  calibrate,
  calibrationInWords,
  DEFAULT_ASSUMPTIONS,
  entryAdvice,
  type Forecast,
  missingRehearsals,
  readyBy,
  whatIf,
} from '.';
import { sessionsPerWeek } from './outlook';
import { rehearsalsOf } from './rehearsals';

const state = sampleState();
const [trial] = state.trials;
if (!trial) throw new Error('the sample has a trial');
const input = must(classEvidence(trial, state.work, state.evidence, TODAY));
const SMALL = { groups: 60, runs: 20 };
/** Without what would help and what lies ahead, which take most of the time. */
const forecastOnly = (assumptions: typeof DEFAULT_ASSUMPTIONS) =>
  must(finish(assessClass(input, assumptions, 1, SMALL, false, undefined, 'forecast'))).forecast;

describe('the outlook', () => {
  const { outlook, perWeek } = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL)));

  it('runs from today over the closing day to the trial, and rises with training that has helped so far', () => {
    expect(outlook[0]?.day).toBe(TODAY);
    expect(outlook.map((point) => point.day)).toContain(trial.entryCloses);
    expect(outlook.at(-1)?.day).toBe(trial.day);
    const busy = must(
      finish(assessClass(input, { ...DEFAULT_ASSUMPTIONS, sessionsPerWeek: 6 }, 1, SMALL)),
    ).outlook;
    expect(busy.at(-1)?.pass.mid ?? 0).toBeGreaterThan(outlook[0]?.pass.mid ?? 1);
    expect(perWeek.every(([, sessions]) => sessions >= 0)).toBe(true);
  });

  it('is empty without a trial ahead', () => {
    expect(
      must(finish(assessClass({ ...input, trialDay: null }, DEFAULT_ASSUMPTIONS, 1, SMALL))).outlook,
    ).toEqual([]);
  });

  it('today is the forecast, to the last digit', () => {
    const found = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL)));
    expect(found.outlook[0]?.pass).toEqual(found.forecast.pass);
  });

  it('the figure of the side-by-side table is that of the page', () => {
    const all = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL, true)));
    const alone = must(
      finish(
        assessClass(
          { ...input, trialDay: null },
          DEFAULT_ASSUMPTIONS,
          1,
          SMALL,
          false,
          undefined,
          'forecast',
        ),
      ),
    );
    expect(alone.forecast).toEqual(all.forecast);
    expect([alone.help, alone.outlook, alone.proofs, alone.ifSelected]).toEqual([[], [], [], null]);
  });

  it('falls with days in which nothing is trained, further the longer', () => {
    const idle = { ...DEFAULT_ASSUMPTIONS, sessionsPerWeek: 0 };
    const ahead = (days: number) =>
      must(finish(assessClass({ ...input, trialDay: addDays(TODAY, days) }, idle, 1, SMALL))).outlook.at(-1)
        ?.pass.mid ?? 1;
    const [now, month, season] = [outlook[0]?.pass.mid ?? 0, ahead(30), ahead(120)];
    expect(month).toBeLessThan(now - 0.01);
    expect(season).toBeLessThan(month);
  });

  const point = (day: string, mid: number, go: number) => ({
    day: day as Day,
    pass: { low: mid - 0.1, mid, high: mid + 0.1 },
    go,
  });
  it.each([
    [[point('2026-07-01', 0.6, 0.6), point('2026-07-11', 0.8, 0.95)], 0.7, 'enter', '2026-07-06'],
    [[point('2026-07-01', 0.2, 0), point('2026-07-11', 0.2, 0.05)], 0.5, 'wait', null],
    [[point('2026-07-01', 0.2, 0), point('2026-07-11', 0.2, 0.9)], 0.1, 'enter', '2026-07-01'],
    [[point('2026-07-01', 0.5, 0.3), point('2026-07-11', 0.55, 0.5)], 0.7, 'unsure', null],
    [[], 0.5, 'over', null],
  ])('advice %#: it is the person’s own chance that decides', (outlook, goFrom, what, ready) =>
    expect([entryAdvice(outlook, goFrom).what, readyBy(outlook, goFrom)]).toEqual([what, ready]));

  it('says how sure it is in the person’s own measure', () => {
    const advice = entryAdvice([point('2026-07-11', 0.74, 0.93)], 0.5);
    expect(wordsOf(advice.reason)).toBe(
      '74 in 100 on the day (64 to 84); you would go from 50, and 9 in 10 that it is at least that.',
    );
    // As the headline of the same page: no middle of what is hardly known.
    const wide = { day: '2026-07-11' as Day, pass: { low: 0.12, mid: 0.36, high: 0.65 }, go: 0.3 };
    expect(wordsOf(entryAdvice([wide], 0.5).reason)).toBe(
      'Anywhere from 12 to 65 in 100 on the day; you would go from 50, and 3 in 10 that it is at least that.',
    );
  });
});

describe('a proof rep', () => {
  it('tells most where draws differ most, and is worth something only where it could decide', () => {
    const at = (goFrom: number) =>
      must(finish(assessClass(input, { ...DEFAULT_ASSUMPTIONS, goFrom }, 1, SMALL)));
    const found = at(0.5);
    const { mid } = found.forecast.pass;
    for (const { ifClean, ifMissed } of found.proofs) {
      expect(ifClean).toBeGreaterThanOrEqual(mid - 0.02);
      expect(ifMissed).toBeLessThanOrEqual(mid + 0.02);
    }
    const values = (goFrom: number) => at(goFrom).proofs.map((one) => one.value);
    expect(Math.max(...values(0.01))).toBeLessThan(0.001);
    expect(Math.max(...values(mid))).toBeGreaterThan(0.005);
  });

  it('what was never logged makes it worse', () => {
    const found = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL)));
    expect(found.ifSelected?.mid).toBeLessThan(found.forecast.pass.mid);
  });
});

describe('what the trial asks', () => {
  const pass = (asked: Partial<typeof DEFAULT_ASSUMPTIONS.asked>) =>
    forecastOnly({ ...DEFAULT_ASSUMPTIONS, asked: { ...DEFAULT_ASSUMPTIONS.asked, ...asked } }).pass;

  it('no pay, another handler and other kit cost, and widen what is known where no rep tells', () => {
    const usual = pass({ paid: true });
    for (const other of [
      pass({}),
      pass({ handler: 'another', paid: true }),
      pass({ kit: 'other', paid: true }),
    ])
      expect(other.mid).toBeLessThan(usual.mid);
    const all = pass({ handler: 'another', kit: 'other' });
    expect(all.mid).toBeLessThan(pass({}).mid);
  });
});

describe('what if', () => {
  it('never goes down as one element gets better, and stands at today in the middle', () => {
    const element = input.elements[0]?.id ?? asId<ElementId>('');
    const { points } = must(finish(whatIf(input, DEFAULT_ASSUMPTIONS, 1, element, undefined, SMALL)));
    for (const [i, one] of points.entries()) {
      expect(one.pass.mid).toBeGreaterThanOrEqual(points[i - 1]?.pass.mid ?? 0);
      expect(one.clean).toBeGreaterThan(points[i - 1]?.clean ?? 0);
    }
    const today = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL))).forecast.pass;
    expect(points.find((one) => one.lift === 0)?.pass).toEqual(today);
    expect(finish(whatIf(input, DEFAULT_ASSUMPTIONS, 1, asId<ElementId>('nobody')))).toMatchObject({
      ok: false,
      code: 'incomplete',
    });
  });

  it('a first look comes before the fine one, and near it', () => {
    const seen: Forecast[] = [];
    const found = must(
      finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1, SMALL, true), (told) => {
        if (typeof told !== 'number') seen.push(told.first);
      }),
    );
    expect(seen).toHaveLength(1);
    expect(Math.abs((seen[0]?.pass.mid ?? 0) - found.forecast.pass.mid)).toBeLessThan(0.12);
  });
});

describe('grounds', () => {
  it('counts sessions of the last four weeks, or what was said', () => {
    const reps = [0, 7, 14, 40].map((days) => rep({ day: addDays(TODAY, -days), bout: asId(`s${days}`) }));
    const elements = [{ id: asId<ElementId>('e'), bouts: boutsOf(reps) }];
    expect(sessionsPerWeek(elements, DEFAULT_ASSUMPTIONS, TODAY).get(asId('e'))).toBe(0.75);
    expect(
      sessionsPerWeek(elements, { ...DEFAULT_ASSUMPTIONS, sessionsPerWeek: 3 }, TODAY).get(asId('e')),
    ).toBe(3);
  });

  it('tells which conditions of a trial each element has never met', () => {
    const [one, other] = [asId<ElementId>('one'), asId<ElementId>('other')];
    const met = rehearsalsOf([
      {
        id: one,
        bouts: boutsOf([
          rep({ away: true }),
          rep({ pay: 'none' }),
          rep({ purpose: 'rehearsal' }),
          rep({ pay: 'none', aided: true }),
        ]),
      },
      { id: other, bouts: boutsOf([rep()]) },
    ]);
    expect(met[0]).toEqual({ element: one, away: 1, cold: 1, unpaid: 1, rehearsed: 1 });
    expect(missingRehearsals(met)).toEqual([
      { condition: 'away', elements: [other] },
      { condition: 'unpaid', elements: [other] },
    ]);
    expect(missingRehearsals(met.slice(0, 1))).toEqual([]);
  });
});

describe('calibration', () => {
  const outcomes = (n: number, said: number, passed: number) =>
    Array.from({ length: n }, (_, i) => ({ said, passed: i < passed }));

  it('is the Brier score as worked by hand: ten at .8 of which eight passed', () => {
    const found = must(calibrate(outcomes(10, 0.8, 8)));
    expect(found.brier).toBeCloseTo((8 * 0.04 + 2 * 0.64) / 10, 12);
    expect(found).toMatchObject({ results: 10, passed: 0.8, base: expect.closeTo(0.16, 12) as number });
    const sure = (n: number) => must(calibrate([...outcomes(n, 0.9, n), ...outcomes(n, 0.1, 0)]));
    expect(wordsOf(calibrationInWords(sure(6)))).toContain('no verdict yet');
    expect(wordsOf(calibrationInWords(sure(24)))).toContain('no verdict yet');
    expect(wordsOf(calibrationInWords(sure(25)))).toContain('better than saying the pass rate');
  });

  it('says nothing below ten results, and refuses what is no chance', () => {
    expect(calibrate(outcomes(9, 0.5, 4))).toMatchObject({ ok: false, code: 'few' });
    expect(calibrate([...outcomes(10, 0.5, 4), { said: 1.2, passed: true }])).toMatchObject({
      ok: false,
      code: 'share',
      path: '[10].said',
    });
  });
});
