import type { PlanDay } from '@/core/planning';
import { addDays, asId, type Day, dayNumber, type UsualId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { New, Usual } from '@/data/records';

/**
 * 1 Monday … 7 Sunday; 1970-01-01 was a Thursday.
 * @internal
 */
export const weekdayOf = (day: Day): number => ((((dayNumber(day) + 3) % 7) + 7) % 7) + 1;

/** The first day of the week that a day lies in, where weeks begin on a weekday from 1 Monday to 7 Sunday. */
export const weekOf = (day: Day, start: number): Day => addDays(day, -((weekdayOf(day) - start + 7) % 7));

/** The id that says what it is of: two devices mean the same weekday. */
export const usualId = (on: Usual['on']): UsualId =>
  asId<UsualId>(on.kind === 'weekday' ? `weekday-${on.weekday}` : `day-${on.day}`);

/** What a day is, by what was said of it, else of its weekday; nothing was said of either: no time. */
export function dayAsSaid(usuals: readonly Usual[], day: Day): Omit<New<Usual>, 'id'> {
  const own = usuals.find(({ on }) => on.kind === 'day' && on.day === day);
  const usual = usuals.find(({ on }) => on.kind === 'weekday' && on.weekday === weekdayOf(day));
  return (
    own ??
    usual ?? { on: { kind: 'day', day }, minutes: 0, strange: false, where: '', helper: false, hot: false }
  );
}

/** Minutes of a day: none on the day of a trial, where the handler is, unless that day was said by itself. */
export function minutesOn(usuals: readonly Usual[], day: Day, trialDays: readonly Day[]): number {
  const { on, minutes } = dayAsSaid(usuals, day);
  return trialDays.includes(day) && on.kind === 'weekday' ? 0 : minutes;
}

/** The days of a plan, from today on; of today’s minutes those that were worked already are gone. */
export function planDays(
  usuals: readonly Usual[],
  today: Day,
  count: number,
  workedToday: number,
  trialDays: readonly Day[],
): PlanDay[] {
  return Array.from({ length: count }, (_, d) => {
    const day = addDays(today, d);
    const { strange, helper, hot } = dayAsSaid(usuals, day);
    const left = minutesOn(usuals, day, trialDays) - (d === 0 ? Math.round(workedToday) : 0);
    return { day, minutes: Math.max(0, left), strange, helper, hot };
  });
}

export const listUsuals = (kennel: Kennel): Promise<Usual[]> =>
  kennel.database.of('usuals').orderBy('id').toArray();

/** Weeks that the log is looked at for what a usual week is. */
const WEEKS = 4;

/**
 * A usual week as the last four were: of each weekday the minutes that were worked on it, in the middle of
 * those on which it was, where it was at least twice; rounded to five. Empty where the log is too short.
 */
export function weekFromLog(
  bouts: readonly { readonly day: Day; readonly minutes: number | null }[],
  today: Day,
): { readonly weekday: number; readonly minutes: number }[] {
  const byDay = new Map<Day, number>();
  for (const { day, minutes } of bouts)
    if (day < today && day >= addDays(today, -7 * WEEKS) && minutes !== null)
      byDay.set(day, (byDay.get(day) ?? 0) + minutes);
  return Array.from({ length: 7 }, (_, i) => i + 1).flatMap((weekday) => {
    const worked = [...byDay].filter(([day]) => weekdayOf(day) === weekday).map(([, minutes]) => minutes);
    if (worked.length < 2) return [];
    worked.sort((a, b) => a - b);
    const middle = worked[Math.floor(worked.length / 2)] as number;
    return [{ weekday, minutes: Math.max(5, 5 * Math.round(middle / 5)) }];
  });
}
