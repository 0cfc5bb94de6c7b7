import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { runsTeach } from './runs-teach';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v15.json', 'utf8')) as Loose;

describe('“runs teach”', () => {
  it('brings six empty lists and touches no row', () => {
    const { runForecasts, runLessons, practices, legs, held, titleAims, ...rest } = runsTeach.migrate(
      old.tables,
    ) as Loose['tables'];
    expect([runForecasts, runLessons, practices, legs, held, titleAims]).toEqual([[], [], [], [], [], []]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.legs).toEqual([]);
  });
});
