import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { clipsAreMeasured } from './clips-are-measured';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v13.json', 'utf8')) as Loose;

describe('“clips are measured”', () => {
  it('brings two empty lists and touches no row', () => {
    const { clips, clipMarks, ...rest } = clipsAreMeasured.migrate(old.tables) as Loose['tables'];
    expect([clips, clipMarks]).toEqual([[], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.clips).toEqual([]);
  });
});
