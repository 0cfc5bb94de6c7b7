import { expect, it } from 'vitest';
import { run, type ShortSheet } from './sample-books.test-helper';

/**
 * Runs worked by hand: what is on the sheet, the sum in words, the score as the family says it, and
 * why it does not pass.
 */
type Worked = readonly [work: string, sheet: ShortSheet, said: string, why: readonly string[]];

export function works(book: string, table: readonly Worked[]): void {
  it.each(table)('%s', (_, sheet, said, why) => {
    const found = run(book, sheet);
    expect([found.said, found.why, found.passed]).toEqual([said, why, why.length === 0]);
  });
}
