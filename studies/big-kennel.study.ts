import { writeFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { BIG, makeBigKennel } from './big-kennel';

/** The day to which the browser tests set their clocks. */
const TODAY = '2026-06-15' as Day;

/** `npm run big-kennel`: writes a kennel file of 200,000 reps, for `npm run big-speed`. */
it('writes the big kennel, and it is sound', () => {
  const text = writeKennelFile(makeBigKennel(TODAY, 2), '2026-06-15T12:00:00.000Z').replaceAll(/\n */g, '');
  const read = readKennelFile(text);
  expect(read.ok ? [] : [read.path, read.message]).toEqual([]);
  if (read.ok) expect(read.value.tables.entries.length).toBeGreaterThanOrEqual(BIG.reps);
  writeFileSync(process.env.BIG_KENNEL ?? 'big-kennel.json', text);
});
