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
const SMALL = { groups: 100, runs: 40 };

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

  const point = (day: string, low: number, mid: number, high: number) => ({
    day: day as Day,
    pass: { low, mid, high },
  });
  it.each([
    [[point('2026-07-01', 0.5, 0.6, 0.7), point('2026-07-11', 0.6, 0.8, 0.9)], 'enter', '2026-07-06'],
    [[point('2026-07-01', 0.1, 0.2, 0.3), point('2026-07-11', 0.1, 0.2, 0.3)], 'wait', null],
    [[point('2026-07-01', 0.1, 0.2, 0.3), point('2026-07-11', 0.1, 0.3, 0.6)], 'wait', null],
    [[point('2026-07-01', 0.3, 0.5, 0.7), point('2026-07-11', 0.3, 0.55, 0.8)], 'unsure', null],
    [[point('2026-07-01', 0.6, 0.75, 0.9)], 'enter', '2026-07-01'],
    [[], 'over', null],
  ])('advice %#', (outlook, what, ready) =>
    expect([entryAdvice(outlook).what, readyBy(outlook)]).toEqual([what, ready]));
});

describe('what if', () => {
  it('never goes down as one element gets better, and stands at today in the middle', () => {
    const element = input.elements[0]?.id ?? asId<ElementId>('');
    const { points } = must(finish(whatIf(input, DEFAULT_ASSUMPTIONS, 1, element)));
    for (const [i, one] of points.entries()) {
      expect(one.pass.mid).toBeGreaterThanOrEqual(points[i - 1]?.pass.mid ?? 0);
      expect(one.clean).toBeGreaterThan(points[i - 1]?.clean ?? 0);
    }
    const today = must(finish(assessClass(input, DEFAULT_ASSUMPTIONS, 1))).forecast.pass.mid;
    expect(Math.abs((points.find((one) => one.lift === 0)?.pass.mid ?? 0) - today)).toBeLessThan(0.03);
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

  it('tells which conditions of a trial were never met', () => {
    const met = rehearsalsOf([
      {
        bouts: boutsOf([
          rep({ away: true }),
          rep({ pay: 'none' }),
          rep({ purpose: 'rehearsal' }),
          rep({ pay: 'none', aided: true }),
        ]),
      },
    ]);
    expect(met).toEqual({ away: 1, cold: 1, unpaid: 1, rehearsed: 1 });
    expect(missingRehearsals(met)).toEqual([]);
    expect(missingRehearsals(rehearsalsOf([{ bouts: [] }]))).toEqual(['away', 'cold', 'unpaid']);
  });
});

describe('calibration', () => {
  const outcomes = (n: number, said: number, passed: number) =>
    Array.from({ length: n }, (_, i) => ({ said, passed: i < passed }));

  it('is the Brier score as worked by hand: ten at .8 of which eight passed', () => {
    const found = must(calibrate(outcomes(10, 0.8, 8)));
    expect(found.brier).toBeCloseTo((8 * 0.04 + 2 * 0.64) / 10, 12);
    expect(found).toMatchObject({ results: 10, passed: 0.8, base: expect.closeTo(0.16, 12) as number });
    expect(
      wordsOf(calibrationInWords(must(calibrate([...outcomes(6, 0.9, 6), ...outcomes(6, 0.1, 0)])))),
    ).toContain('better than saying the pass rate');
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
