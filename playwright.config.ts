import { defineConfig } from '@playwright/test';

const PORT = Number(process.env.E2E_PORT ?? 4181);

/** Debian's Chromium against the built application, served with the same policy as real use. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  fullyParallel: true,
  // One more than the processors of a small machine: pages wait for the disk and for each other.
  workers: 3,
  forbidOnly: true,
  // A machine that has other work to do takes its time; what hangs still ends.
  timeout: 360_000,
  expect: { timeout: 60_000 },
  // What passes only at the second try is said by name at the end of the run, with what its page showed.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://localhost:${PORT}`,
    actionTimeout: 120_000,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Vienna',
    locale: 'en-GB',
    colorScheme: 'light',
    // Each test would keep the whole application for later; the one without a network does.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: ['--disable-dev-shm-usage'],
    },
  },
  webServer: {
    command: `node node_modules/vite/bin/vite.js preview --port ${PORT}`,
    url: `http://localhost:${PORT}/own/start`,
    reuseExistingServer: false,
    timeout: 30_000,
  },
});
