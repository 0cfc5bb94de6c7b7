import { execFileSync } from 'node:child_process';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { type Day, must } from '@/core/shared';
import { type CalendarEvent, writeCalendar } from './calendar-file';

const event = (change: Partial<CalendarEvent> = {}): CalendarEvent => ({
  uid: 'lesson-quill-2026-03-29',
  day: '2026-03-29' as Day,
  title: 'Quill: lesson, 28 min; “stop”, and more',
  text: 'Stop, build\nSend, keep',
  cancelled: false,
  ...change,
});
const AT = Date.parse('2026-03-20T18:00:00Z');

/** As another program reads it: a parser from the registry that shares nothing with what writes it. */
const readBack = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((one) => {
    const found = new ICAL.Event(one);
    return {
      uid: found.uid,
      title: found.summary,
      text: found.description,
      start: found.startDate.toString(),
      end: found.endDate.toString(),
      isDay: found.startDate.isDate,
      sequence: found.sequence,
      status: one.getFirstPropertyValue('status'),
      stamp: String(one.getFirstPropertyValue('dtstamp')),
    };
  });

describe('a calendar file', () => {
  it('is read by another program as it was meant: whole days, words, commas, lines', () => {
    expect(readBack(must(writeCalendar([event()], AT)))).toEqual([
      {
        uid: 'lesson-quill-2026-03-29@regulon',
        title: 'Quill: lesson, 28 min; “stop”, and more',
        text: 'Stop, build\nSend, keep',
        start: '2026-03-29',
        end: '2026-03-30',
        isDay: true,
        sequence: Math.floor(AT / 60_000),
        status: 'CONFIRMED',
        stamp: '2026-03-20T18:00:00Z',
      },
    ]);
  });

  it('says the same event later: the same id, a higher sequence, taken off where it is not planned any more', () => {
    const [first] = readBack(must(writeCalendar([event()], AT)));
    const [later] = readBack(
      must(writeCalendar([event({ cancelled: true, title: 'no more' })], AT + 3_600_000)),
    );
    expect(later?.uid).toBe(first?.uid);
    expect(later?.sequence).toBeGreaterThan(first?.sequence ?? Number.POSITIVE_INFINITY);
    expect(later?.status).toBe('CANCELLED');
  });

  it('is the same day in every time zone, on the days on which clocks change too', () => {
    const days = ['2026-03-08', '2026-03-29', '2026-10-25', '2026-11-01', '2026-12-31'];
    const code = `
      import { createEvents } from 'ics';
      const whole = (day) => day.split('-').map(Number);
      const next = (day) => new Date(Date.parse(day) + 864e5).toISOString().slice(0, 10);
      const { value } = createEvents(${JSON.stringify(days)}.map((day) => ({ uid: day, title: day, start: whole(day), end: whole(next(day)), timestamp: ${AT} })));
      process.stdout.write(value);
    `;
    for (const zone of [
      'UTC',
      'America/Los_Angeles',
      'Europe/Berlin',
      'Pacific/Kiritimati',
      'Australia/Lord_Howe',
    ]) {
      const text = execFileSync(process.execPath, ['--input-type=module', '-e', code], {
        env: { ...process.env, TZ: zone },
        encoding: 'utf8',
      });
      expect(readBack(text).map((one) => one.start)).toEqual(days);
    }
    expect(
      readBack(
        must(
          writeCalendar(
            days.map((day) => event({ uid: day, day: day as Day })),
            AT,
          ),
        ),
      ).map((one) => one.start),
    ).toEqual(days);
  });

  it('is a calendar with nothing in it where nothing is planned', () => {
    const read = writeCalendar([], AT);
    if (read.ok) expect(readBack(read.value)).toEqual([]);
    else expect(read.code).toBe('calendar');
  });
});
