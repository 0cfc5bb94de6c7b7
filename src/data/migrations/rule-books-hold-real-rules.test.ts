import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { ruleBooksHoldRealRules } from './rule-books-hold-real-rules';

type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v7.json', 'utf8')) as Loose;

describe('“rule books hold real rules”', () => {
  it('leaves a book as it was but for its version, and asks nothing about the dog', () => {
    const now = ruleBooksHoldRealRules.migrate(old.tables) as Loose['tables'];
    const [was, is] = [old.tables.ruleBooks?.[0], now.ruleBooks?.[0]];
    expect(is).toEqual({ ...was, book: { ...(was?.book as object), version: 3 } });
    expect(now.dogs).toEqual(old.tables.dogs?.map((dog) => ({ ...dog, height: null })));
    expect(must(readKennelFile(JSON.stringify(old))).tables.ruleBooks[0]?.book.version).toBe(3);
  });

  it('tells two demands of one part apart, and does the same for what two devices changed', () => {
    const record = structuredClone(old.tables.ruleBooks?.[0]) as {
      book: { exercises: { parts: { demands: { axis: string }[] }[] }[] };
    };
    const part = record.book.exercises[0]?.parts[0];
    const demand = { ...part?.demands[0], axis: 'axis-2' };
    part?.demands.splice(0, part.demands.length, demand, { ...demand }, { ...demand, axis: 'axis-2-2' });
    const apart = [
      {
        id: 'ruleBooks/x',
        versions: [
          { changed: {}, record },
          { changed: {}, record: null },
        ],
      },
    ];
    const now = ruleBooksHoldRealRules.migrate({
      ...old.tables,
      ruleBooks: [record],
      apart,
    }) as Loose['tables'];
    const axes = (one: unknown) =>
      (one as typeof record).book.exercises[0]?.parts[0]?.demands.map(({ axis }) => axis);
    expect(axes(now.ruleBooks?.[0])).toEqual(['axis-2', 'axis-2-2', 'axis-2-2-2']);
    const [changed, removed] = now.apart?.[0]?.versions as { record: unknown }[];
    expect([axes(changed?.record), removed?.record]).toEqual([['axis-2', 'axis-2-2', 'axis-2-2-2'], null]);
  });
});
