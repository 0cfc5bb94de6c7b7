import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { trialsAreJudged } from './trials-are-judged';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v10.json', 'utf8')) as Loose;

describe('“trials are judged”', () => {
  it('brings six empty lists and touches no row', () => {
    const { meetings, runs, marks, scripts, bearings, callings, ...rest } = trialsAreJudged.migrate(
      old.tables,
    ) as Loose['tables'];
    expect([meetings, runs, marks, scripts, bearings, callings]).toEqual([[], [], [], [], [], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.marks).toEqual([]);
  });
});
