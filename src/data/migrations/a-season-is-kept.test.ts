import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { aSeasonIsKept } from './a-season-is-kept';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v12.json', 'utf8')) as Loose;

describe('“a season is kept”', () => {
  it('brings two empty lists and touches no row', () => {
    const { events, seasons, ...rest } = aSeasonIsKept.migrate(old.tables) as Loose['tables'];
    expect([events, seasons]).toEqual([[], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.events).toEqual([]);
  });
});
