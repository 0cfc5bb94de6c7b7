import { addDays, type Day, isDay } from '@/core/shared';

/** How a sheet writes its days. A serial is what spreadsheets count from the end of 1899. */
export const DAY_ORDERS = ['year-month-day', 'day-month-year', 'month-day-year'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

const MONTHS = [
  ['jan', 'jän', 'january', 'januar', 'jänner'],
  ['feb', 'february', 'februar', 'feber'],
  ['mar', 'mär', 'mrz', 'march', 'märz'],
  ['apr', 'april'],
  ['may', 'mai'],
  ['jun', 'june', 'juni'],
  ['jul', 'july', 'juli'],
  ['aug', 'august'],
  ['sep', 'sept', 'september'],
  ['oct', 'okt', 'october', 'oktober'],
  ['nov', 'november'],
  ['dec', 'dez', 'december', 'dezember'],
];
const monthOf = (word: string): number =>
  MONTHS.findIndex((names) => names.includes(word.toLowerCase().replace(/\.$/, ''))) + 1;

const ORDERED = /^(\d{1,4})\s*[./-]\s*(\d{1,2})\s*[./-]\s*(\d{1,4})(?!\d)/;
const NAMED_FIRST = /^(\p{L}+)\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4}|\d{2})(?!\d)/u;
const NAMED_AFTER = /^(\d{1,2})(?:st|nd|rd|th|\.)?\s*(\p{L}+)\.?,?\s+(\d{4}|\d{2})(?!\d)/u;
const WEEKDAY =
  /^(?:mo|di|mi|do|fr|sa|so|mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun)\p{L}*\.?,?\s+(?=\d|\p{L}{3,}\.?\s+\d)/iu;

/**
 * A day as a sheet writes it; null where it is none. `readDay('5.3.26', 'day-month-year')` → '2026-03-05'. Years of
 * two digits are of this century; what stands after the day (an hour) is left out.
 */
export function readDay(cell: string, order: DayOrder): Day | null {
  const text = cell.replace(WEEKDAY, '').trim();
  const ordered = ORDERED.exec(text);
  if (ordered) {
    const [a, b, c] = [ordered[1] ?? '', ordered[2] ?? '', ordered[3] ?? ''];
    if (a.length === 4) return dayOf(a, b, c);
    // Nobody puts a month before a point and a day after it.
    if (order === 'month-day-year' && /^\d+\s*\./.test(text)) return null;
    if (order === 'year-month-day') return a.length === 2 && c.length === 2 ? dayOf(a, b, c) : null;
    return order === 'day-month-year' ? dayOf(c, b, a) : dayOf(c, a, b);
  }
  const first = NAMED_FIRST.exec(text);
  if (first) return dayOf(first[3] ?? '', `${monthOf(first[1] ?? '')}`, first[2] ?? '');
  const after = NAMED_AFTER.exec(text);
  if (after) return dayOf(after[3] ?? '', `${monthOf(after[2] ?? '')}`, after[1] ?? '');
  // 1982 to 2073; a smaller number is a count of something else.
  const serial = /^\d{5}$/.test(text) ? Number(text) : 0;
  return serial >= 30_000 && serial < 63_500 ? addDays('1899-12-30' as Day, serial) : null;
}

function dayOf(year: string, month: string, day: string): Day | null {
  if (day.length > 2 || (year.length !== 2 && year.length !== 4)) return null;
  const text = `${year.length === 2 ? `20${year}` : year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(text) ? text : null;
}

/**
 * In which order these cells write their days: the one that reads most of them, and of those the one whose days come
 * in their order; `sure` where no other does as well. `usual` decides what is left.
 */
export function guessOrder(
  cells: readonly string[],
  usual: DayOrder,
): { readonly order: DayOrder; readonly sure: boolean; readonly share: number } {
  const said = cells.filter((cell) => cell !== '');
  const scored = [usual, ...DAY_ORDERS.filter((one) => one !== usual)].map((order) => {
    const days = said.map((cell) => readDay(cell, order)).filter((day) => day !== null);
    const steps = days.slice(1).filter((day, i) => day >= (days[i] ?? day)).length;
    return { order, read: days.length, steps: Math.max(steps, days.length - 1 - steps) };
  });
  const best = scored.reduce((a, b) => (b.read > a.read || (b.read === a.read && b.steps > a.steps) ? b : a));
  const rivals = scored.filter((one) => one !== best && one.read === best.read && one.steps === best.steps);
  return {
    order: best.order,
    sure:
      rivals.length === 0 ||
      said.every((cell) => readDay(cell, rivals[0]?.order ?? usual) === readDay(cell, best.order)),
    share: said.length === 0 ? 0 : best.read / said.length,
  };
}
