import { afterEach, beforeEach } from 'vitest';

/** What stands in the browser's storage of a test; empty before each. */
export const kept = new Map<string, string>();

let before: Storage;
beforeEach(() => {
  kept.clear();
  before = globalThis.localStorage;
  globalThis.localStorage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => kept.set(key, text),
    removeItem: (key: string) => kept.delete(key),
  } as unknown as Storage;
});
// Other tests of the same worker have their own.
afterEach(() => {
  globalThis.localStorage = before;
});
