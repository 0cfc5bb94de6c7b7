import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/**
 * Studies are run by hand (`npm run study`): each prints the table that its page in docs/decisions
 * shows. Scoring by tables is tried on ten times as many random sheets as in the everyday test.
 */
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    include: ['studies/**/*.study.ts', 'src/core/rulebooks/properties.test.ts'],
    testTimeout: 1_800_000,
  },
});
