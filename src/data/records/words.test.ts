import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { checkRecord } from './check';
import { issuesInWords, shortened } from './words';

const schema = v.strictObject({
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'data.dog.a-dog-needs-a-name')),
  kind: v.picklist(['training', 'hunt']),
  grade: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(5)),
  list: v.array(v.boolean()),
  inner: v.strictObject({ on: v.nullable(v.string()) }),
});
const whole = { name: 'Wren', kind: 'hunt', grade: 3, list: [true], inner: { on: null } };
const said = (change: object): string => {
  const read = v.safeParse(schema, { ...whole, ...change });
  return read.success ? '' : wordsOf(issuesInWords(read.issues));
};

describe('what is wrong with a record, in sentences', () => {
  it.each<[object, string]>([
    [{ name: 7 }, 'name is 7; a text is wanted.'],
    [{ name: ' ' }, 'name is “”: A dog needs a name.'],
    [{ kind: 'walk' }, 'kind is “walk”; “training” or “hunt” is wanted.'],
    [{ grade: -1 }, 'grade is -1; a number of 0 or more is wanted.'],
    [{ grade: 9 }, 'grade is 9; a number of 5 at most is wanted.'],
    [{ grade: 1.5 }, 'grade is 1.5; a whole number is wanted.'],
    [{ grade: Number.NaN }, 'grade is no number; a number is wanted.'],
    [{ grade: undefined }, 'grade is missing; a number is wanted.'],
    [{ list: [true, 'x'] }, 'list[1] is “x”; true or false is wanted.'],
    [{ inner: [] }, 'inner.on is missing.'],
    [{ inner: null }, 'inner is null; a record is wanted.'],
    [{ more: 1 }, 'more is not known here. Was it written by another program, or by hand?'],
    [{ name: 7, grade: 9 }, 'name is 7; a text is wanted. grade is 9; a number of 5 at most is wanted.'],
  ])('%j → %s', (change, words) => expect(said(change)).toBe(words));

  it('all at once, the first five in full, long values by their beginning', () => {
    const words = said({ list: Array.from({ length: 8 }, () => 'x'.repeat(900)) });
    expect(words.match(/is wanted/g)).toHaveLength(5);
    expect(words).toContain('And 3 more.');
    expect(words.length).toBeLessThan(600);
    expect(shortened('x'.repeat(41))).toHaveLength(41);
  });

  it('of a table: where it is, and that nothing was stored', () => {
    expect(checkRecord('kit', { id: 'k' })).toMatchObject({
      code: 'record',
      path: expect.stringMatching(/^kit\./),
    });
    expect(checkRecord('gone', { id: 'dogs/x', changed: { at: 0, by: 'a', seen: { a: 1 } } })).toBeNull();
  });
});
