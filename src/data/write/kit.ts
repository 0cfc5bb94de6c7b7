import type { Sized } from '@/core/breakdown';
import { type KitId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { type Kit, PLAIN_KIT } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/** Adds a thing, with the sizes that are owned of it. Fails with `empty` or, where one of that name is listed, `twice`. */
export function addKit(
  kennel: Kennel,
  title: string,
  sized: Sized | null = null,
): Promise<Result<Undo<Kit>>> {
  const clean = title.trim();
  return transact(kennel, ['kit'], async (write) => {
    if (clean === '') refuse('empty', 'title', say('data.kit.write-what-you-have'));
    const known = (await write.all('kit')).some((one) => one.title.toLowerCase() === clean.toLowerCase());
    if (known) refuse('twice', 'title', say('data.kit.is-on-the-list-already', { clean }));
    const sizes = sized === null ? {} : { ...sized, sizes: [...sized.sizes] };
    return write.put('kit', { ...PLAIN_KIT, ...sizes, id: newId<KitId>(), title: clean });
  });
}

export function removeKit(kennel: Kennel, id: KitId): Promise<Result<Undo>> {
  return transact(kennel, ['kit'], (write) => write.remove('kit', id));
}
