import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { Day } from '@/core/shared';
import { weekOf } from '@/data/read';
import { chosenLocale, languagesHere, takeChosenLocale, takeWeekStart } from './customs';
import { takeLocale, weekStart, writeDay } from './days';
import { writeNumber } from './values';

describe('customs of numbers and days', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
  });
  afterEach(async () => {
    vi.unstubAllGlobals();
    await takeLocale(['en']);
  });

  test('the browser’s language, until another is chosen, and again', async () => {
    await takeLocale(['en-US']);
    expect(writeDay('2026-06-15' as Day)).toBe('Jun 15, 2026');
    expect(weekStart()).toBe(7);
    takeChosenLocale('de');
    expect(languagesHere(['en-US'])).toEqual(['de', 'en-US']);
    await takeLocale(['en-US']);
    expect(writeDay('2026-06-15' as Day)).toBe('15. Juni 2026');
    expect(writeNumber(12.5)).toBe('12,5');
    expect(weekStart()).toBe(1);
    takeChosenLocale(null);
    expect(chosenLocale()).toBeNull();
    await takeLocale(['en-US']);
    expect(writeNumber(12.5)).toBe('12.5');
  });

  test('a week begins where it was said, whatever the language', async () => {
    await takeLocale(['en-GB']);
    expect(weekStart()).toBe(1);
    takeWeekStart(6);
    expect(weekStart()).toBe(6);
    takeWeekStart(null);
    expect(weekStart()).toBe(1);
  });

  test('what was kept by something else is not taken', () => {
    localStorage.setItem('regulon-locale', 'tlh');
    localStorage.setItem('regulon-week-start', '3');
    expect(chosenLocale()).toBeNull();
    expect(languagesHere(['fr'])).toEqual(['fr']);
  });

  // 2026-06-17 is a Wednesday.
  test.each([
    ['2026-06-17', 1, '2026-06-15'],
    ['2026-06-17', 7, '2026-06-14'],
    ['2026-06-17', 6, '2026-06-13'],
    ['2026-06-14', 7, '2026-06-14'],
    ['2026-06-14', 1, '2026-06-08'],
  ])('the week of %s that begins on %i is that of %s', (day, start, first) => {
    expect(weekOf(day as Day, start)).toBe(first);
  });
});
