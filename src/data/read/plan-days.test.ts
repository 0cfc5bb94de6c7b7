import { describe, expect, it } from 'vitest';
import { addDays, asId, type Day, type UsualId } from '@/core/shared';
import type { Usual } from '@/data/records';
import { dayAsSaid, planDays, usualId, weekdayOf, weekFromLog } from './plan-days';

const today = '2026-07-01' as Day;
const usual = (on: Usual['on'], change: Partial<Usual> = {}): Usual => ({
  id: asId<UsualId>(usualId(on)),
  on,
  minutes: 30,
  strange: false,
  where: '',
  helper: false,
  hot: false,
  changed: { at: 0, by: 'x' as never, seen: {} },
  ...change,
});

describe('the days there are', () => {
  it('know their weekday, Monday first', () => {
    expect(
      ['2026-06-29', '2026-07-01', '2026-07-05', '1969-12-28'].map((day) => weekdayOf(day as Day)),
    ).toEqual([1, 3, 7, 7]);
  });

  it('are as their weekday, or as was said of the day itself; a day of which nothing was said has no time', () => {
    const usuals = [
      usual({ kind: 'weekday', weekday: 3 }, { strange: true }),
      usual({ kind: 'day', day: addDays(today, 7) }, { minutes: 0, where: 'travelling' }),
    ];
    expect(dayAsSaid(usuals, today)).toMatchObject({ minutes: 30, strange: true });
    expect(dayAsSaid(usuals, addDays(today, 7))).toMatchObject({ minutes: 0, where: 'travelling' });
    expect(dayAsSaid(usuals, addDays(today, 1)).minutes).toBe(0);
    expect(planDays(usuals, today, 9, 12, []).map((one) => one.minutes)).toEqual([
      18, 0, 0, 0, 0, 0, 0, 0, 0,
    ]);
    expect(planDays(usuals, today, 1, 50, [])[0]?.minutes).toBe(0);
  });

  it('have no time on the day of a trial, unless that day was said by itself', () => {
    const usuals = [
      usual({ kind: 'weekday', weekday: 3 }),
      usual({ kind: 'day', day: addDays(today, 7) }, { minutes: 15 }),
    ];
    const trials = [today, addDays(today, 7)];
    expect(planDays(usuals, today, 8, 0, trials).map((one) => one.minutes)).toEqual([
      0, 0, 0, 0, 0, 0, 0, 15,
    ]);
  });

  it('come from the log: what was worked on a weekday at least twice in four weeks, in the middle', () => {
    const bouts = [7, 14, 21].flatMap((back, i) => [
      { day: addDays(today, -back), minutes: 10 + 10 * i },
      { day: addDays(today, -back), minutes: 12 },
    ]);
    const once = [{ day: addDays(today, -2), minutes: 40 }];
    expect(weekFromLog([...bouts, ...once], today)).toEqual([{ weekday: 3, minutes: 30 }]);
    expect(weekFromLog([], today)).toEqual([]);
    expect(
      weekFromLog(
        [
          { day: addDays(today, -40), minutes: 20 },
          { day: addDays(today, -47), minutes: 20 },
        ],
        today,
      ),
    ).toEqual([]);
  });
});
