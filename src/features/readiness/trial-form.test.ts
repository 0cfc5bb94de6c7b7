import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { firstResult, readPoints, resultFields, trialFields } from './trial-form';

const TODAY = '2026-06-15' as Day;
const wrong = (schema: v.GenericSchema, fields: object): Record<string, string> => {
  const read = v.safeParse(schema, fields);
  return Object.fromEntries(
    (read.issues ?? []).map((issue) => [v.getDotPath(issue) ?? '', issue.message.replace(/[.:].*/, '')]),
  );
};

describe('a trial ahead', () => {
  const whole = { book: 'b', title: ' Club trial ', day: '2026-07-11', closes: '2026-07-01' };
  it.each<[object, Record<string, string>]>([
    [{}, {}],
    [{ closes: '' }, {}],
    [{ day: '2026-06-15', closes: '2026-06-15' }, {}],
    [{ title: '   ' }, { title: 'A trial needs a name' }],
    [{ title: 'x'.repeat(121) }, { title: 'A shorter name, please' }],
    [{ day: '' }, { day: 'Say on which day it is, today or later' }],
    [{ day: '2026-06-14', closes: '' }, { day: 'Say on which day it is, today or later' }],
    [{ day: '2026-02-30', closes: '' }, { day: 'Say on which day it is, today or later' }],
    [{ closes: '2026-07-12' }, { closes: 'Entries close on the day of the trial at the latest' }],
    [{ book: '' }, { book: 'A trial needs a rule book' }],
    [
      { title: '', day: '', book: '' },
      {
        book: 'A trial needs a rule book',
        title: 'A trial needs a name',
        day: 'Say on which day it is, today or later',
      },
    ],
  ])('%j → %j', (change, problems) =>
    expect(wrong(trialFields(TODAY), { ...whole, ...change })).toEqual(problems));

  it('takes the name without the spaces around it', () => {
    expect(v.parse(trialFields(TODAY), whole).title).toBe('Club trial');
  });
});

describe('a result', () => {
  const whole = { day: '2026-06-15', kind: 'mock', passed: 'yes', points: '71,5', note: '' };
  it.each<[object, Record<string, string>]>([
    [{}, {}],
    [{ points: '' }, {}],
    [{ day: '2026-06-16' }, { day: 'Say on which day it was, today or before' }],
    [{ points: 'many' }, { points: 'That is not a number of points' }],
    [{ points: '1,000.5' }, { points: 'That is not a number of points' }],
  ])('%j → %j', (change, problems) =>
    expect(wrong(resultFields(TODAY), { ...whole, ...change })).toEqual(problems));

  it.each([
    ['', null],
    ['71', 71],
    [' 71,5 ', 71.5],
    ['-3', -3],
    ['9'.repeat(308), undefined],
    ['1e3', undefined],
  ])('points “%s” → %s', (text, points) => expect(readPoints(text)).toBe(points));

  it.each([
    ['2026-06-20', 'mock', TODAY],
    [TODAY, 'trial', TODAY],
    // Entered after the weekend: on its day, which counts for a title.
    ['2026-06-13', 'trial', '2026-06-13'],
  ])('of a trial on %s is at first a %s on %s', (day, kind, first) =>
    expect(firstResult({ day: day as Day }, TODAY)).toMatchObject({ kind, day: first, passed: 'yes' }));
});
