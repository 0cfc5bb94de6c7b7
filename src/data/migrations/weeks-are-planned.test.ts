import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { weeksArePlanned } from './weeks-are-planned';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v9.json', 'utf8')) as Loose;

describe('“weeks are planned”', () => {
  it('brings five empty lists and touches no row', () => {
    const { usuals, dogPlans, slots, otherWork, stops, ...rest } = weeksArePlanned.migrate(
      old.tables,
    ) as Loose['tables'];
    expect([usuals, dogPlans, slots, otherWork, stops]).toEqual([[], [], [], [], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.slots).toEqual([]);
  });
});
