import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { type AxisKey, asId, must } from '@/core/shared';
import { type AxisFields, axisFields, EMPTY, readAxisFields } from './axis-form';

const KEY = asId<AxisKey>('k');
const problems = (fields: Partial<AxisFields>): Record<string, string> =>
  Object.fromEntries(
    (v.safeParse(axisFields, { ...EMPTY, ...fields }).issues ?? []).map((issue) => [
      v.getDotPath(issue) ?? '',
      issue.message,
    ]),
  );

describe('a further criterion', () => {
  it('is read from three values, with the usual step and name where none are written', () => {
    const axis = must(readAxisFields(KEY, { ...EMPTY, start: '5 yd', demand: '40 yd' }));
    expect(axis).toMatchObject({ key: 'k', title: 'Distance', start: 4.572, step: 0.35 });
    expect(problems({ start: '5 yd', demand: '40 yd' })).toEqual({});
  });

  it('is read from a list of steps', () => {
    const fields = { ...EMPTY, kind: 'help', title: ' Hand ', list: 'whole, half, none' };
    expect(must(readAxisFields(KEY, fields))).toMatchObject({ title: 'Hand', role: 'help', demand: 2 });
  });

  it.each<[Partial<AxisFields>, string, RegExp]>([
    [{}, 'start', /not a distance|Write/],
    [{ start: '5 m', demand: 'far' }, 'start', /far/],
    [{ start: '40 m', demand: '5 m' }, 'start', /harder/],
    [{ kind: 'list', list: 'a, b' }, 'title', /name/],
    [{ kind: 'list', title: 'X', list: 'one' }, 'list', /two steps/],
    [{ kind: 'list', title: 'X', list: 'a, A' }, 'list', /no name twice/],
    [{ kind: 'nothing', start: '1', demand: '2' }, 'start', /kind/],
  ])('%j is refused at %s', (fields, at, words) => {
    expect(problems(fields)).toEqual({ [at]: expect.stringMatching(words) });
  });
});
