import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { coachesComment } from './coaches-comment';

type Loose = { readonly tables: Record<string, unknown[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v16.json', 'utf8')) as Loose;

describe('“coaches comment”', () => {
  it('brings an empty list and touches no row', () => {
    const { comments, ...rest } = coachesComment.migrate(old.tables) as Loose['tables'];
    expect(comments).toEqual([]);
    expect(rest).toEqual(old.tables);
    expect(must(readKennelFile(JSON.stringify(old))).tables.comments).toEqual([]);
  });
});
