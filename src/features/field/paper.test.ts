import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { paperFields, readPaper } from './paper';

describe('a session from paper', () => {
  it.each([
    ['c c f m c', 'clean clean flawed miss clean'],
    ['CCF', 'clean clean flawed'],
    ['c,m; f|c', 'clean miss flawed clean'],
    [' c \n m ', 'clean miss'],
  ])('“%s” → %s', (text, outcomes) =>
    expect(readPaper(text)).toEqual({ ok: true, value: outcomes.split(' ') }));

  it.each([
    ['', 'empty'],
    [' , ', 'empty'],
    ['c x', 'letter'],
    ['5 clean', 'letter'],
    ['c'.repeat(201), 'many'],
  ])('refuses “%s” (%s)', (text, code) => expect(readPaper(text)).toMatchObject({ ok: false, code }));

  const wrong = (fields: object) =>
    (
      v.safeParse(paperFields('2026-06-15' as Day), {
        day: '2026-06-14',
        rung: '0',
        place: 'usual',
        reps: 'c',
        ...fields,
      }).issues ?? []
    ).map((issue) => v.getDotPath(issue));
  it('says everything that is wrong beside its field', () => {
    expect([wrong({}), wrong({ day: '2026-06-16' }), wrong({ day: '', reps: 'x' })]).toEqual([
      [],
      ['day'],
      ['day', 'reps'],
    ]);
  });
});
