import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { firstElementFields, toFirstElement } from './first-element';

const fields = { name: ' Wren ', method: 'memory-retrieve', start: '5 yd', goal: '60 m' };
const issues = (change: Partial<typeof fields>): (string | undefined)[] => {
  const read = v.safeParse(firstElementFields, { ...fields, ...change });
  return read.success ? [] : read.issues.map((issue) => String(issue.path?.at(-1)?.key));
};

describe('the four fields', () => {
  it('become an element in base units', () => {
    const read = v.parse(firstElementFields, fields);
    expect(toFirstElement(read)).toMatchObject({
      dogName: 'Wren',
      axes: [{ start: 4.572, demand: 60, step: 0.35 }],
      method: { id: 'memory-retrieve' },
      element: { key: 'memory' },
    });
  });

  it.each([
    [{ name: '  ' }, ['name']],
    [{ method: 'juggling' }, ['method']],
    [{ start: '' }, ['start']],
    [{ start: 'near', goal: 'far' }, ['start', 'goal']],
    [{ goal: '3 m' }, ['goal']],
    [{ start: '0 m' }, ['goal']],
    [{}, []],
  ])('%j → problems at %j', (change, where) => expect(issues(change)).toEqual(where));
});
