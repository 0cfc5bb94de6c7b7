import { useLiveQuery } from 'dexie-react-hooks';
import { fail, type KitId, ok, type Result } from '@/core/shared';
import type { Kit } from '@/data/records';
import { type Kennel, newId } from './kennel';
import { useKennel } from './use-kennel';

/** The kit list, by name; null until first read. */
export function useKit(): readonly Kit[] | null {
  const { kennel } = useKennel();
  const kit = useLiveQuery(() => kennel.database.kit.toArray(), [kennel]);
  return kit ? [...kit].sort((a, b) => a.title.localeCompare(b.title)) : null;
}

/** Adds a thing. Fails with `empty` or, where one of that name is listed, `twice`. */
export async function addKit(kennel: Kennel, title: string): Promise<Result<Kit>> {
  const clean = title.trim();
  if (clean === '') return fail('empty', 'title', 'Write what you have.');
  const known = (await kennel.database.kit.toArray()).some((one) => one.title.toLowerCase() === clean.toLowerCase());
  if (known) return fail('twice', 'title', `“${clean}” is on the list already.`);
  const kit: Kit = { id: newId<KitId>(), title: clean };
  await kennel.database.kit.add(kit);
  return ok(kit);
}

export async function removeKit(kennel: Kennel, id: KitId): Promise<void> {
  await kennel.database.kit.delete(id);
}

export async function restoreKit(kennel: Kennel, kit: Kit): Promise<void> {
  await kennel.database.kit.put(kit);
}
