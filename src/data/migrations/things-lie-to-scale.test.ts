import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { thingsLieToScale } from './things-lie-to-scale';

type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v11.json', 'utf8')) as Loose;

describe('“things lie to scale”', () => {
  it('brings set-outs, gives each person a pace to be measured, and touches nothing else', () => {
    const person = { id: 'p1', name: 'Ada', roles: ['judge'], putAway: false };
    const before = { ...old.tables, people: [person], grounds: [{ id: 'g1', name: 'Lawn', plan: null }] };
    const { people, grounds, setOuts, ...rest } = thingsLieToScale.migrate(before) as typeof before & {
      setOuts: unknown[];
    };
    expect(people).toEqual([{ ...person, pace: null }]);
    expect(grounds).toEqual([{ id: 'g1', name: 'Lawn', plan: null }]);
    expect(setOuts).toEqual([]);
    const { people: _, grounds: __, ...others } = old.tables;
    expect(rest).toEqual(others);
  });

  it('a file of version 11 is read, its people with a pace that nobody measured', () => {
    const read = must(readKennelFile(JSON.stringify(old)));
    expect(read.tables.setOuts).toEqual([]);
    for (const one of read.tables.people) expect(one.pace).toBeNull();
  });
});
