import { beforeEach } from 'vitest';

/** What stands in the browser's storage of a test; empty before each. */
export const kept = new Map<string, string>();

beforeEach(() => {
  kept.clear();
  globalThis.localStorage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => kept.set(key, text),
    removeItem: (key: string) => kept.delete(key),
  } as unknown as Storage;
});
