import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { tracksAreKept } from './tracks-are-kept';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v14.json', 'utf8')) as Loose;

describe('“tracks are kept”', () => {
  it('brings two empty lists and touches no row', () => {
    const { tracks, trackPoints, ...rest } = tracksAreKept.migrate(old.tables) as Loose['tables'];
    expect([tracks, trackPoints]).toEqual([[], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.tracks).toEqual([]);
  });
});
