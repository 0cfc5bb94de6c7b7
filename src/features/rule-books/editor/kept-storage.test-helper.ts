import { afterEach, beforeEach } from 'vitest';

/**
 * What stands in the browser's storage of a test; empty before each. Called by each test file itself: files of one
 * worker share their modules, and what a module registers on being read is registered for the first of them only.
 */
export function keptStorage(): Map<string, string> {
  const kept = new Map<string, string>();
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
  afterEach(() => {
    globalThis.localStorage = before;
  });
  return kept;
}
