import type { Sentence } from '@/core/shared';
import { TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { checkedBy } from '@/data/records/check';
import { checkReferences } from '@/data/records/references';
import { tablesSchema } from '@/data/records/tables';

/** A record that could not be read back, as it is, and why. */
export type SetAside = { readonly table: TableName; readonly record: unknown; readonly why: Sentence };

/**
 * What of a kennel can be read back, and what cannot: one bad record never refuses the whole backup. What
 * points at one that is set aside goes with it.
 */
export function soundTables(tables: Tables): {
  readonly tables: Tables;
  readonly aside: readonly SetAside[];
} {
  const aside: SetAside[] = [];
  const kept = Object.fromEntries(
    TABLE_NAMES.map((name) => [
      name,
      (tables[name] as readonly unknown[]).filter((record) => {
        const wrong = checkedBy(tablesSchema.entries[name].item, name, record);
        if (wrong) aside.push({ table: name, record, why: wrong.message });
        return !wrong;
      }),
    ]),
  ) as unknown as Record<TableName, unknown[]>;
  for (;;) {
    const wrong = checkReferences(kept as unknown as Tables);
    const [, name, place] = /^tables\.(\w+)\[(\d+)\]/.exec(wrong?.path ?? '') ?? [];
    if (!wrong || name === undefined || place === undefined) break;
    const [record] = kept[name as TableName].splice(Number(place), 1);
    aside.push({ table: name as TableName, record, why: wrong.message });
  }
  return { tables: kept as unknown as Tables, aside };
}
