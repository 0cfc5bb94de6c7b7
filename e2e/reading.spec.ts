import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** One reading of the browser's storage: which table, and the keys that were asked for. */
type Reading = { readonly store: string; readonly asked: string };

/** Writes every reading down, below the application and below Dexie. */
async function watchReading(page: Page): Promise<() => Promise<Reading[]>> {
  await page.addInitScript(() => {
    const readings: { store: string; asked: string }[] = [];
    Object.assign(globalThis, { readings });
    // A range, or the newer way to ask: an object with the range in it.
    const textOf = (asked: unknown): string => {
      const query =
        typeof asked === 'object' && asked !== null && 'query' in asked ? asked.query : (asked ?? '');
      return JSON.stringify(query instanceof IDBKeyRange ? [query.lower, query.upper] : query);
    };
    const methods = ['get', 'getAll', 'getAllRecords', 'openCursor'] as const;
    for (const of of [IDBObjectStore, IDBIndex]) {
      const prototype = of.prototype as unknown as Record<string, (...args: unknown[]) => unknown>;
      for (const name of methods) {
        const real = prototype[name];
        if (!real) continue;
        prototype[name] = function (this: IDBObjectStore | IDBIndex, ...args: unknown[]) {
          const store = 'objectStore' in this ? this.objectStore.name : this.name;
          readings.push({ store, asked: textOf(args[0]) });
          return real.apply(this, args);
        };
      }
    }
  });
  return () => page.evaluate(() => (globalThis as unknown as { readings: Reading[] }).readings.splice(0));
}

const ROUTES = [
  'today',
  'breakdown',
  'breakdown/prerequisites',
  'breakdown/methods',
  'breakdown/new',
  'breakdown/sample-stop-down',
  'breakdown/sample-stop-down/evidence',
  'breakdown/sample-stop-down/rule',
  'breakdown/sample-stop-down/about',
  'breakdown/sample-stop-down/dogs',
  'field',
  'field/sample-stop-down',
  'readiness',
  'rule-books',
  'kennel',
  'files',
  'start',
];

test('no page reads a log but that of an open session, and a tap nothing but its own', async ({ page }) => {
  const readings = await watchReading(page);
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await readings();

  await test.step('every page, with no session open', async () => {
    for (const route of ROUTES) {
      await page.goto(`/sample/${route}`);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page.getByText(/^(Reading the log|Weighing the reps) …$/)).toHaveCount(0);
      const read = await readings();
      expect([route, read.filter(({ store }) => store === 'entries')]).toEqual([route, []]);
      // The recording itself works: something was read.
      expect([route, read.length > 0]).toEqual([route, true]);
    }
  });

  await test.step('a tap on the pad', async () => {
    await page.goto('/sample/field/sample-give');
    await page.getByRole('button', { name: 'Begin' }).click();
    const clean = page.getByRole('button', { name: 'Clean' });
    await clean.click();
    await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
    await readings();
    await clean.click();
    await expect(page.getByText(/^2 reps, 2 clean/).first()).toBeAttached();
    const read = await readings();
    const bout = /"([0-9a-f-]{36})"/.exec(read.find(({ store }) => store === 'entries')?.asked ?? '')?.[1];
    expect(bout).toMatch(/^[0-9a-f]{8}-[0-9a-f-]{27}$/);
    // Its own log, its own bout and the day of its outing, and what is kept of the bouts of the lesson: no
    // rule book, no element, no other bout.
    const stores = [...new Set(read.map(({ store }) => store))].sort();
    expect(stores.filter((store) => !['bouts', 'entries', 'kept', 'outings'].includes(store))).toEqual([]);
    for (const { store, asked } of read)
      if (store !== 'outings') expect([store, asked]).toEqual([store, expect.stringContaining(bout ?? '')]);
    expect(read.filter(({ store }) => store === 'outings').map(({ asked }) => asked)).toHaveLength(1);
  });

  await test.step('and with the session open, other pages read no log either', async () => {
    for (const route of ['today', 'breakdown', 'field']) {
      await page.goto(`/sample/${route}`);
      await expect(page.getByText(/^(Reading the log|Weighing the reps) …$/)).toHaveCount(0);
      await expect(page.getByRole('heading').first()).toBeVisible();
      expect((await readings()).filter(({ store }) => store === 'entries')).toEqual([]);
    }
  });

  await test.step('the log shows the sessions that it shows, and reads those', async () => {
    await page.goto('/sample/field/sample-give/log');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('Reading the log …')).toHaveCount(0);
    const logs = (await readings()).filter(({ store }) => store === 'entries');
    const shown = await page
      .getByRole('region')
      .filter({ has: page.getByRole('listitem') })
      .count();
    expect(new Set(logs.map(({ asked }) => asked)).size).toBeLessThanOrEqual(Math.max(5, shown));
  });
});
