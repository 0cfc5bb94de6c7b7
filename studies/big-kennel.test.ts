import { expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { makeBigKennel } from './big-kennel';

it('a big kennel, made small, is a sound file: every reference in it is met', () => {
  const text = writeKennelFile(makeBigKennel('2026-06-15' as Day, 2, 500), '2026-06-15T12:00:00.000Z');
  const read = readKennelFile(text);
  expect(read.ok ? [] : [read.path, read.message]).toEqual([]);
  if (read.ok) expect(read.value.tables.entries.length).toBeGreaterThanOrEqual(500);
});
