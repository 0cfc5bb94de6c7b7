import { type Browser, test as base, expect, type Page, type TestInfo } from '@playwright/test';

/**
 * Every test runs at this time, so that the sample kennel and its figures are the same on any day.
 */
const NOW = new Date('2026-06-15T16:30:00');

export const SHIFTED_CLOCK = `{
  const Real = Date;
  const gap = ${NOW.getTime()} - Real.now();
  globalThis.Date = class extends Real {
    constructor(...args) { super(...(args.length > 0 ? args : [Real.now() + gap])); }
    static now() { return Real.now() + gap; }
  };
}`;

/**
 * Watches a page and returns the list of what went wrong: anything that left this machine, a
 * document without the policy, an error or warning on the console. The page's clock starts at NOW
 * and runs on.
 */
export async function guard(page: Page, baseURL: string | undefined): Promise<string[]> {
  const trouble: string[] = [];
  await page.addInitScript(SHIFTED_CLOCK);
  page.on('request', (request) => {
    const url = request.url();
    if (!url.startsWith(baseURL ?? '') && !/^(data|blob):/.test(url))
      trouble.push(`left the machine: ${url}`);
  });
  page.on('response', async (response) => {
    if (response.request().resourceType() !== 'document') return;
    const headers = await response.allHeaders();
    // A page found unchanged comes without content or policy: those that are stored stay in force.
    if (headers['content-type'] === undefined) return;
    if (!/script-src 'self'(;|$)/.test(headers['content-security-policy'] ?? ''))
      trouble.push(`no policy on ${response.url()}`);
  });
  page.on('console', (message) => {
    const blocked = message.text().includes('Service Worker registration blocked by Playwright');
    if (['error', 'warning'].includes(message.type()) && !blocked) trouble.push(`console: ${message.text()}`);
  });
  page.on('pageerror', (error) => trouble.push(`page error: ${error.message}`));
  return trouble;
}

/**
 * A clock for the waits of a page that a test moves on by hand (`skip`): the monotonic clock jumps,
 * and every timer of two seconds or more that has come due goes off. Playwright's own clock would
 * take the place of the shifted one and stop the page's short timers.
 */
export async function fakeWaits(page: Page): Promise<(milliseconds: number) => Promise<void>> {
  await page.addInitScript(() => {
    const [realNow, realSet, realClear] = [
      performance.now.bind(performance),
      globalThis.setTimeout,
      globalThis.clearTimeout,
    ];
    const waiting = new Map<number, { readonly due: number; readonly go: () => void }>();
    let [skipped, next] = [0, 1e9];
    performance.now = () => realNow() + skipped;
    Object.assign(globalThis, {
      setTimeout: (go: () => void, wait = 0) => {
        if (wait < 1900) return realSet(go, wait);
        waiting.set(++next, { due: performance.now() + wait, go });
        return next;
      },
      clearTimeout: (id: number) => (waiting.delete(id) ? undefined : realClear(id)),
      skip: (by: number) => {
        skipped += by;
        for (const [id, { due, go }] of waiting) {
          if (due > performance.now()) continue;
          waiting.delete(id);
          go();
        }
      },
    });
  });
  return (milliseconds) =>
    page.evaluate((by) => (globalThis as unknown as { skip: (ms: number) => void }).skip(by), milliseconds);
}

/**
 * A key of the pad, once the last one is no bounce any more: the same control takes no second press within
 * half a second.
 */
export async function padKey(page: Page, key: string): Promise<void> {
  await expect(page.locator('[data-pad] fieldset [aria-disabled="true"]')).toHaveCount(0);
  await page.keyboard.press(key);
}

/** A page that fails its test when the guard has seen trouble. */
export const test = base.extend<{ guarded: undefined }>({
  guarded: [
    async ({ page, baseURL }, use) => {
      const trouble = await guard(page, baseURL);
      await use(undefined);
      expect(trouble).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The forecast as the page holds it, to the last digit, once it is the newest. */
export async function exactForecast(page: Page): Promise<string> {
  const headline = page.getByTestId('headline');
  await expect(headline).toHaveAttribute('data-fresh', 'true', { timeout: 180_000 });
  return (await headline.getAttribute('data-exact')) ?? '';
}

/** Rows of a table straight from the browser's storage, past the application. */
export function storedCount(page: Page, database: string, table: string): Promise<number> {
  return page.evaluate(
    ([name, store]) =>
      new Promise<number>((resolve, reject) => {
        const open = indexedDB.open(name);
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const count = open.result.transaction(store).objectStore(store).count();
          count.onsuccess = () => {
            open.result.close();
            resolve(count.result);
          };
        };
      }),
    [database, table] as const,
  );
}

/** A dog of one's own with a hold of 2 to 20 s, typed key by key; ends on the card before its first session. */
export async function ownHold(page: Page, name: string): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type(name);
  await page.getByRole('radio', { name: 'Hold, still and light' }).click();
  await page.getByRole('textbox', { name: 'Time held now' }).click();
  await page.keyboard.type('2');
  await page.getByRole('textbox', { name: 'Time held wanted' }).click();
  await page.keyboard.type('20 s');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
}

/** What a button saves, as a file of the test. */
export async function savedFile(page: Page, button: string, info: TestInfo, name: string): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button, exact: true }).click(),
  ]);
  const path = info.outputPath(name);
  await download.saveAs(path);
  return path;
}

/** Another device of the same person: a browser of its own, as big as a phone. */
export async function phoneOf(browser: Browser, baseURL: string | undefined): Promise<Page> {
  const phone = await (
    await browser.newContext({
      baseURL: baseURL ?? '',
      timezoneId: 'Europe/Vienna',
      viewport: { width: 390, height: 844 },
    })
  ).newPage();
  await guard(phone, baseURL);
  return phone;
}

/** Holds a table for writing for a second and a half, as a slow disk does: what the page writes waits behind it. */
export async function diskHeld(page: Page, database: string, table: string): Promise<void> {
  await page.evaluate(
    ([name, store]) =>
      new Promise<void>((held, failed) => {
        const opened = indexedDB.open(name);
        opened.onerror = () => failed(opened.error);
        opened.onsuccess = () => {
          const until = performance.now() + 1500;
          const rows = opened.result.transaction(store, 'readwrite').objectStore(store);
          const again = (): void => {
            const asked = rows.count();
            asked.onsuccess = () => {
              held();
              if (performance.now() < until) again();
              else opened.result.close();
            };
          };
          again();
        };
      }),
    [database, table] as const,
  );
}
