import { expect } from 'vitest';
import { readKennelFile } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import type { Kennel } from '@/data/kennel';
import { exportTables } from '@/data/kennel.test-helper';

/** Whatever is done, what is stored can be saved and read. */
export const sound = async (kennel: Kennel) =>
  expect(readKennelFile(writeKennelFile(await exportTables(kennel), 'x'))).toMatchObject({ ok: true });
