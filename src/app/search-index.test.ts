import { describe, expect, it } from 'vitest';
import { METHODS } from '@/core/breakdown';
import { type Day, must } from '@/core/shared';
import { emptyKennel } from '@/data/kennel.test-helper';
import { findableNotes, findableWork } from '@/data/read';
import { replaceTables } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { searcher } from './search-index';

const tables = makeSampleKennel('2026-06-30' as Day, 2);
const [bout] = tables.bouts;
if (!bout) throw new Error('a bout');
const written = { ...bout, debrief: { what: '', next: 'Begin beside the old oak, wind from behind' } };

async function found() {
  const kennel = await emptyKennel(Date.parse('2026-06-30T10:00:00Z'));
  must(await replaceTables(kennel, { ...tables, bouts: [written, ...tables.bouts.slice(1)] }));
  const things = [...(await findableWork(kennel, METHODS)), ...(await findableNotes(kennel))];
  const find = searcher(things);
  return (question: string) => find(question).map((one) => `${one.kind} ${one.title}`);
}

describe('the search', () => {
  it('finds by other words, by the beginning of words, and with a letter wrong', async () => {
    const find = await found();
    expect(find('bumper')[0]).toMatch(/^method Memory retrieve/);
    expect(find('smell')).toContain('method Scent discrimination');
    expect(find('jackpot').length).toBeGreaterThan(0);
    expect(find('Junip')[0]).toBe('dog Juniper');
    expect(find('Jumiper')[0]).toBe('dog Juniper');
    expect(find('zebra')).toEqual([]);
    expect(find('  ')).toEqual([]);
  });

  it('finds elements, exercises and what was written, each under its dog', async () => {
    const find = await found();
    expect(find('stop lie')[0]).toBe('element Stop and lie down in the square');
    expect(find('send-away')).toContain('exercise Send-away to the square');
    expect(find('oak')).toHaveLength(1);
    expect(find('oak')[0]).toMatch(/^note /);
    expect(find('Quill stop')[0]).toBe('element Stop and lie down in the square');
    expect(find('Otto stop')).toEqual([]);
  });
});
