import { printOf } from '@/core/shared';
import type { SheetMapping } from '@/data/files';

const KEY = 'regulon-sheet-mappings';
/** Of so many kinds of sheets it is kept how they are read. */
const KEPT = 6;
type Kept = readonly { readonly heads: string; readonly mapping: SheetMapping }[];

function all(): Kept {
  try {
    const kept: unknown = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? (kept as Kept) : [];
  } catch {
    return [];
  }
}

/** How a sheet with these columns was read last time; null where none was. */
export function keptMapping(heads: readonly string[]): SheetMapping | null {
  const found = all().find((one) => one.heads === printOf(heads))?.mapping;
  return found && found.columns.length === heads.length ? found : null;
}

export function keepMapping(heads: readonly string[], mapping: SheetMapping): void {
  const own = printOf(heads);
  try {
    const next = [{ heads: own, mapping }, ...all().filter((one) => one.heads !== own)].slice(0, KEPT);
    globalThis.localStorage?.setItem(KEY, JSON.stringify(next));
  } catch {
    // Nothing of the log hangs on it: the next sheet is guessed anew.
  }
}
