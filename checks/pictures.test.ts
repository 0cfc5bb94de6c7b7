import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

/** More would be leafed through by nobody. */
const MOST = 19;

it('one picture of each main view, all shown in the README, and none of what is not there', () => {
  const files = readdirSync('docs/screenshots').sort();
  const shown = [...readFileSync('README.md', 'utf8').matchAll(/docs\/screenshots\/([\w-]+\.png)/g)];
  expect(files.length).toBeLessThanOrEqual(MOST);
  expect([...new Set(shown.map(([, file]) => file))].sort()).toEqual(files);
});
