import { afterEach, describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { takeLocale, writeDay } from './days';
import { writeInstant } from './instant';

const DAY = '2026-03-01' as Day;
afterEach(() => takeLocale(['en-GB']));

describe('days as a person writes them', () => {
  it.each([
    [[], '1 Mar 2026'],
    [['en-GB', 'de'], '1 Mar 2026'],
    [['en-AU'], '1 Mar 2026'],
    [['en-US'], 'Mar 1, 2026'],
    [['de-AT', 'en'], '1. März 2026'],
    [['xx', 'fr-CA'], '1 mars 2026'],
    [['xx'], '1 Mar 2026'],
  ])('%j → %s', async (languages, words) => {
    await takeLocale(languages);
    expect(writeDay(DAY)).toBe(words);
  });

  it('an instant has its hour, and what is none is said', () => {
    expect(writeInstant(new Date('2026-03-01T16:05:00').getTime())).toBe('1 Mar 2026, 16:05');
    expect(writeInstant(Number.NaN)).toBe('on a day that nobody noted');
  });
});
