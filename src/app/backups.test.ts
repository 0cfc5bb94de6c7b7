import { describe, expect, it } from 'vitest';
import { type Day, say } from '@/core/shared';
import { reminder } from './backups';

const at = (day: string): number => Date.parse(`${day}T18:00:00`);
const today = '2026-03-01' as Day;
const state = (last: string | null, saved: number, bouts: number) => ({
  folder: null,
  problem: null,
  last: last === null ? null : { at: at(last), bouts: saved },
  bouts,
});

describe('the reminder on Today', () => {
  it('says what is only in this browser, after a week and three sessions, and else nothing', () => {
    expect(reminder(state(null, 0, 2), today)).toBeNull();
    expect(reminder(state(null, 0, 3), today)).toBe(
      '3 sessions are only in this browser: save everything to a file, or choose a folder for backups.',
    );
    expect(reminder(state('2026-02-22', 5, 9), today)).toBe(
      'Last saved 7 days ago; 4 sessions since then are only in this browser.',
    );
    expect(reminder(state('2026-02-23', 5, 9), today)).toBeNull();
    expect(reminder(state('2026-01-01', 5, 7), today)).toBeNull();
    // A clock that was set back makes no reminder of a time to come.
    expect(reminder(state('2026-05-01', 5, 90), today)).toBeNull();
    expect(reminder({ ...state(null, 0, 0), problem: say('data.backups.full') }, today)).toMatch(
      /^No backup could be made: There is no room left/,
    );
  });
});
