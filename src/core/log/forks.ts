import type { EntryId } from '@/core/shared';
import { type Amend, seenBy } from './amendments';
import type { Amendment, Entry } from './entry';

/** One thing of a rep that two devices said otherwise, neither knowing of the other. */
export type Fork = {
  readonly rep: EntryId;
  /** Where it stands in the amendments, as ['judged', 'outcome']. */
  readonly path: readonly string[];
  /** Who said what, in the order of the log: the last of them stands meanwhile. */
  readonly said: readonly { readonly entry: Amend; readonly value: unknown }[];
};

/** Follows from other things said and is no word of a person. */
const MADE_OF_OTHERS = new Set(['judged.proposed']);

/** These are laid over the rep key by key, so they differ key by key. */
const BY_KEY = new Set(['asked.chips', 'seen.measured', 'seen.calm']);

/**
 * What amendments say otherwise of one rep that were written apart, in the order of the log. An amendment names in
 * `after` the last ones known where it was written (version vectors, Parker and others 1983, with the entries
 * themselves as events); one from before that was kept has seen all that stand before it. What one device says twice
 * is no fork, nor are two that say the same. `[miss by a, flawed by b after nothing]` → one fork at judged.outcome.
 */
export function forksOf(entries: readonly Entry[]): Fork[] {
  const undone = new Set(entries.flatMap((entry) => (entry.kind === 'undo' ? [entry.of] : [])));
  const byRep = new Map<EntryId, Amend[]>();
  for (const entry of entries) {
    if (entry.kind !== 'amend' || undone.has(entry.of)) continue;
    byRep.set(entry.of, [...(byRep.get(entry.of) ?? []), entry]);
  }
  return [...byRep].flatMap(([rep, amends]) =>
    new Set(amends.map((one) => one.by)).size < 2 ? [] : forksOfRep(rep, amends, undone),
  );
}

function forksOfRep(rep: EntryId, amends: readonly Amend[], undone: ReadonlySet<EntryId>): Fork[] {
  // One that was taken back says nothing, and what it knew is known through it all the same.
  const seen = seenBy(amends);
  const leaves = new Map<string, { readonly path: readonly string[]; readonly said: Fork['said'] }>();
  for (const entry of amends.filter(({ id }) => !undone.has(id)))
    for (const [path, value] of leavesOf(entry)) {
      const key = path.join('.');
      const before = leaves.get(key)?.said ?? [];
      leaves.set(key, { path, said: [...before, { entry, value }] });
    }
  return [...leaves.values()].flatMap(({ path, said }) => {
    const last = said.filter(
      ({ entry }) => !said.some((other) => seen.get(other.entry.id)?.has(entry.id) ?? false),
    );
    const differ = new Set(last.map(({ value }) => JSON.stringify(value))).size > 1;
    return differ ? [{ rep, path, said: last }] : [];
  });
}

function leavesOf({ purpose, asked, seen, judged, paid }: Amendment): [readonly string[], unknown][] {
  const said: Readonly<Record<string, object | undefined>> = { asked, seen, judged, paid };
  const leaves: [readonly string[], unknown][] = purpose === undefined ? [] : [[['purpose'], purpose]];
  for (const [section, values] of Object.entries(said))
    for (const [key, value] of Object.entries(values ?? {})) {
      const place = `${section}.${key}`;
      if (MADE_OF_OTHERS.has(place)) continue;
      if (BY_KEY.has(place) && typeof value === 'object' && value !== null)
        for (const [inner, one] of Object.entries(value)) leaves.push([[section, key, inner], one]);
      else leaves.push([[section, key], value]);
    }
  return leaves;
}
