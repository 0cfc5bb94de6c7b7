/**
 * Calendar days as text, `YYYY-MM-DD`, in the handler's own time zone: the zone is applied once,
 * where a rep is logged, and the core counts whole days. No clock is read here.
 */
export type Day = string & { readonly __day: true };

const FORM = /^(\d{4})-(\d{2})-(\d{2})$/;

/**
 * Days since 1970-01-01 of the proleptic Gregorian calendar. `dayNumber('1970-01-11' as Day)` → 10.
 * Throws on a malformed day.
 */
export function dayNumber(day: Day): number {
  const match = FORM.exec(day);
  if (!match) throw new Error(`not a day: ${day}`);
  // Howard Hinnant, "chrono-compatible low-level date algorithms" (2013): years start in March so
  // that February is last.
  const month = Number(match[2]);
  const year = Number(match[1]) - (month <= 2 ? 1 : 0);
  const era = Math.floor(year / 400);
  const yearOfEra = year - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + Number(match[3]) - 1;
  return (
    era * 146097 +
    yearOfEra * 365 +
    Math.floor(yearOfEra / 4) -
    Math.floor(yearOfEra / 100) +
    dayOfYear -
    719468
  );
}

/**
 * The day that lies `count` days after (or, negative, before) a day. `addDays('2026-02-27', 2)` →
 * '2026-03-01'.
 */
export function addDays(day: Day, count: number): Day {
  // The inverse of `dayNumber`, from the same source.
  const z = dayNumber(day) + count + 719468;
  const era = Math.floor(z / 146097);
  const dayOfEra = z - era * 146097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36524) - Math.floor(dayOfEra / 146096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  const date = dayOfYear - Math.floor((153 * shifted + 2) / 5) + 1;
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}` as Day;
}

/**
 * The same day so many months later, or the last of that month where it has no such day.
 * `addMonths('2024-02-29', 12)` → '2025-02-28'; `addMonths('2026-01-31', 1)` → '2026-02-28'.
 */
export function addMonths(day: Day, count: number): Day {
  const match = FORM.exec(day);
  if (!match) throw new Error(`not a day: ${day}`);
  const months = Number(match[1]) * 12 + Number(match[2]) - 1 + count;
  const [year, month] = [Math.floor(months / 12), (months % 12) + 1];
  const text = (date: number): string =>
    `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}`;
  for (let date = Number(match[3]); ; date--) if (isDay(text(date))) return text(date) as Day;
}

/**
 * Whole days from `from` to `to`; negative when `to` is earlier. `daysBetween('2026-02-27',
 * '2026-03-01')` → 2.
 */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from);
}

/**
 * Whether a text is a day of the calendar, YYYY-MM-DD: '2024-02-29' → true, '2026-02-29' → false.
 */
export function isDay(text: string): text is Day {
  const match = FORM.exec(text);
  if (!match) return false;
  const [month, day] = [Number(match[2]), Number(match[3])];
  const lengths = [31, leap(Number(match[1])) ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  return month >= 1 && month <= 12 && day >= 1 && day <= (lengths[month - 1] ?? 0);
}

const leap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
