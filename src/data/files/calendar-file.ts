import { createEvents, type EventAttributes } from 'ics';
import { addDays, type Day, fail, ok, type Result, say } from '@/core/shared';

/** One whole day of a calendar. The same `uid` is the same event: reading it again changes it. */
export type CalendarEvent = {
  readonly uid: string;
  readonly day: Day;
  readonly title: string;
  readonly text: string;
  /** It is not planned any more: a calendar that has it takes it off. */
  readonly cancelled: boolean;
};

type Whole = [number, number, number];
/** Without it the package takes the clock; its types leave it out. */
type Stamped = EventAttributes & { readonly timestamp: number };

/** A day without a time zone: it is that day wherever the calendar is read, on days of the clock’s change too. */
const whole = (day: Day): Whole => day.split('-').map(Number) as Whole;

/**
 * Writes an iCalendar file (RFC 5545) of whole days. `at` (milliseconds) is when it was written: later files
 * have a higher sequence, so that a calendar takes them over what it has. Fails with `calendar` where the
 * package refuses what it was given.
 */
export function writeCalendar(events: readonly CalendarEvent[], at: number): Result<string> {
  const { error, value } = createEvents(
    events.map(
      ({ uid, day, title, text, cancelled }): Stamped => ({
        uid: `${uid}@regulon`,
        title,
        ...(text === '' ? {} : { description: text }),
        start: whole(day),
        end: whole(addDays(day, 1)),
        status: cancelled ? 'CANCELLED' : 'CONFIRMED',
        busyStatus: 'FREE',
        sequence: Math.floor(at / 60_000) % 0x7fffffff,
        timestamp: at,
        productId: 'regulon',
        calName: 'Regulon',
      }),
    ),
  );
  return typeof value !== 'string'
    ? fail('calendar', '', say('data.calendar.not-written', { why: error?.message ?? '' }))
    : ok(value);
}
