import { describe, expect, it } from 'vitest';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { chosenRecord, differencesOf } from './apart-view';

const sample = makeSampleKennel(TODAY, 2);
type Plain = Record<string, unknown>;
const version = (record: object, by = 'a') => ({
  changed: { at: 5, by: by as never, seen: { [by]: 1 } },
  record: { ...record } as Plain,
});
const names = new Map<string, string>([
  ...sample.dogs.map((dog) => [dog.id, dog.name] as const),
  ['p1', 'Ines'],
]);
const said = (a: object, b: object) =>
  differencesOf([version(a), version(b, 'b')], names).map((row) => [row.label, ...row.said]);
const dog = sample.dogs[0] as Plain;
const element = sample.elements.find((one) => one.axes[0]?.unit === 'm') as unknown as Plain & {
  axes: (Plain & { title: string; demand: number })[];
};

describe('two versions of a record, side by side', () => {
  it('say each thing in which they differ, in words, and nothing else', () => {
    const rows = said(dog, { ...dog, name: 'Merle', born: '2024-02-29', putAway: true });
    expect([...rows].sort()).toEqual([
      ['Born', expect.any(String), '29 Feb 2024'],
      ['Name', 'Quill', 'Merle'],
      ['Put away', 'no', 'yes'],
    ]);
    expect(said(dog, { ...dog, changed: { at: 9, by: 'x', seen: {} } })).toEqual([]);
    expect(said({ ...dog, usualHandler: null }, { ...dog, usualHandler: 'p1' })).toEqual([
      ['Usual handler', 'nothing', 'Ines'],
    ]);
  });

  it('say a goal of a ladder in its own unit, by the name of its criterion', () => {
    const [axis, ...rest] = element.axes;
    if (!axis) throw new Error('an element has axes');
    const further = { ...element, axes: [{ ...axis, demand: 55 }, ...rest] };
    expect(said(element, further)).toEqual([
      [`Criteria: ${axis.title}: Goal`, `${axis.demand} m`.replace(' ', '\u00a0'), '55\u00a0m'],
    ]);
    const more = { ...element, axes: [...element.axes, { ...axis, key: 'new', title: 'Wind' }] };
    expect(said(element, more)).toEqual([['Criteria: Wind', 'nothing', 'Wind']]);
  });

  it('can be taken thing by thing; all of one version is that version', () => {
    const [axis, ...rest] = element.axes;
    const other = {
      ...element,
      title: 'Other',
      axes: [{ ...axis, demand: 55 }, ...rest, { ...axis, key: 'new', title: 'Wind' }],
      kit: ['a pole'],
    };
    for (const [a, b] of [
      [element, other],
      [other, element],
    ] as const) {
      const versions = [version(a), version(b, 'b')];
      const rows = differencesOf(versions, names);
      const all = Object.fromEntries(rows.map((row) => [row.key, 1]));
      expect(chosenRecord(versions, rows, all)).toEqual(b);
      expect(chosenRecord(versions, rows, {})).toEqual(a);
      expect(chosenRecord(versions, rows, { title: 1 })).toEqual({ ...a, title: b.title });
    }
  });

  it('have no rows where one device removed it', () => {
    expect(differencesOf([version(dog), { ...version(dog), record: null }], names)).toEqual([]);
  });

  it('give a word to every field of what people change', () => {
    for (const name of [
      'dogs',
      'people',
      'grounds',
      'kit',
      'elements',
      'breakdowns',
      'outings',
      'trials',
      'slots',
    ] as const)
      for (const key of Object.keys(sample[name][0] ?? {})) {
        if (key === 'changed' || key === 'id') continue;
        const [row] = said({ [key]: 1 }, { [key]: 2 });
        expect([name, key, row?.[0]]).not.toEqual([name, key, 'Something else in it']);
      }
  });
});
