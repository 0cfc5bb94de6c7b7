import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { rungsOfVersion3 } from './ladder-of-version-3';
import { laddersTeachForward } from './ladders-teach-forward';

type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
const savedBy = (version: number): Loose =>
  JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose;

describe('“ladders teach forward”', () => {
  const old = savedBy(6);
  const elementOf = (tables: unknown, id: string) =>
    (tables as Loose['tables']).elements?.find((one) => one.id === id) ?? {};

  it('gives every element room for skipped rungs, and leaves those without hand-set values as they were', () => {
    const now = laddersTeachForward.migrate(old.tables);
    for (const one of old.tables.elements ?? [])
      if ((one.edits as unknown[]).length === 0)
        expect(elementOf(now, one.id as string)).toEqual({ ...one, skips: [] });
  });

  it('keeps the rungs on which values were set by hand, and what was set', () => {
    const tables = structuredClone(old.tables);
    const was = elementOf(tables, 'e5');
    Object.assign((was.edits as object[])[0] ?? {}, { value: 6.25 });
    const now = elementOf(laddersTeachForward.migrate(tables), 'e5');
    const axes = was.axes as Parameters<typeof rungsOfVersion3>[0]['axes'];
    const rungs = rungsOfVersion3({ axes, edits: [], ladderRule: 'one-axis', byHand: [] });
    const [edit] = was.edits as { on: Record<string, number>; axis: string; value: number }[];
    const at = rungs.findIndex((rung) => rung.planned.distance === edit?.on.distance);
    expect(at).toBeGreaterThanOrEqual(0);
    expect(now).toMatchObject({ ladderRule: 'by-hand', edits: [], skips: [] });
    expect(
      (now.byHand as { criteria: Record<string, number> }[]).map((rung) => rung.criteria.distance),
    ).toEqual(rungs.map((rung, i) => (i === at ? edit?.value : rung.planned.distance)));
  });

  it('counts a list by its places and says where an axis eased', () => {
    const was = elementOf(old.tables, 'e5');
    const list = {
      ...(elementOf(old.tables, 'e3').axes as object[])[0],
      key: 'thing',
      start: 4,
      demand: 9,
      step: 1,
      eases: [],
      levels: [4, 7, 9].map((id) => ({ id, name: `${id}`, anchor: '' })),
    };
    const time = { ...(was.axes as object[])[0], start: 5, demand: 10, step: 1, eases: ['thing'] };
    const edits = [{ on: { thing: 7, distance: 5 }, axis: 'distance', value: 6 }];
    const tables = { ...old.tables, elements: [{ ...was, axes: [list, time], edits }] };
    expect(elementOf(laddersTeachForward.migrate(tables), 'e5').byHand).toEqual([
      { criteria: { thing: 4, distance: 5 }, eases: [] },
      { criteria: { thing: 7, distance: 6 }, eases: [] },
      { criteria: { thing: 9, distance: 5 }, eases: ['distance'] },
      { criteria: { thing: 7, distance: 10 }, eases: ['thing'] },
      { criteria: { thing: 9, distance: 10 }, eases: [] },
    ]);
  });
});
