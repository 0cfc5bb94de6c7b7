import type { Page } from '@playwright/test';
import { expect, guard, SHIFTED_CLOCK, test } from './fixtures';

/** Changes one stored row past the application, as a bug or another program would. */
function spoil(page: Page, store: string, id: string, change: Record<string, unknown>): Promise<void> {
  return page.evaluate(
    ([table, key, over]) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('regulon-sample');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const rows = open.result.transaction(table, 'readwrite').objectStore(table);
          const read = rows.get(key);
          read.onsuccess = () => {
            rows.put({ ...read.result, ...over }).onsuccess = () => {
              open.result.close();
              resolve();
            };
          };
        };
      }),
    [store, id, change] as const,
  );
}

test('a temperature that nobody means is refused with its bounds, and the kennel can still be saved', async ({
  page,
}) => {
  await page.goto('/sample/field/sample-give');
  // The card is whole: what comes late moves what is below it, and a click with it.
  await expect(page.getByRole('link', { name: 'Draw this step to scale' })).toBeVisible();
  await page.getByText('Who helps, how warm').click();
  for (const [typed, said] of [
    ['99 °C', /from −60°C to 60°C/],
    ['72', /from −60°C to 60°C/],
    ['1,000', /from −60°C to 60°C/],
  ] as const) {
    await page.getByLabel('Temperature').fill('');
    await page.getByLabel('Temperature').pressSequentially(typed);
    await expect(page.getByRole('alert')).toContainText(said);
  }
  await page.getByLabel('Temperature').fill('');
  await page.getByLabel('Temperature').pressSequentially('72 °F');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Clean' })).toBeVisible();
  await page.goto('/sample/files');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything to one file' }).click();
  await download;
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('one wrong datum stops one thing: it is named, the others answer, and it can be mended', async ({
  page,
}) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  const axis = await page.evaluate(
    () =>
      new Promise<Record<string, unknown>>((resolve) => {
        const open = indexedDB.open('regulon-sample');
        open.onsuccess = () => {
          const read = open.result.transaction('elements').objectStore('elements').get('sample-stop-down');
          read.onsuccess = () => {
            open.result.close();
            resolve(read.result.axes[0]);
          };
        };
      }),
  );
  await spoil(page, 'elements', 'sample-stop-down', { axes: [{ ...axis, start: 50, demand: 5 }] });
  await spoil(page, 'elements', 'sample-give', { axes: [] });
  await page.reload();
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('“Stop and lie down in the square” is left out.');
  await page.getByRole('link', { name: 'Mend it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stop and lie down in the square');
  await page.getByRole('link', { name: 'Breakdown' }).click();
  await expect(page.getByText(/Cannot be weighed\./).first()).toBeVisible();
  await expect(page.getByText(/times in 10 as it is asked/).first()).toBeVisible();
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  await page.getByRole('link', { name: 'Readiness' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Vellmoor club trial');
  await page.getByRole('link', { name: 'Files' }).click();
  await expect(page.getByRole('button', { name: 'Save everything to one file' })).toBeVisible();
});

test('sessions dated ahead are shown, left out, and their day is put right', async ({ page }) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  const outing = await page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const open = indexedDB.open('regulon-sample');
        open.onsuccess = () => {
          const read = open.result.transaction('bouts').objectStore('bouts').getAll();
          read.onsuccess = () => {
            open.result.close();
            const last = read.result
              .filter((bout) => bout.dogId === 'sample-dog-1')
              .sort((a, b) => b.startedAt - a.startedAt)[0];
            resolve(last.outingId);
          };
        };
      }),
  );
  // As a clock that was a year ahead leaves it: the outing, and what is kept of its bouts.
  await spoil(page, 'outings', outing, { day: '2027-06-14' });
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('regulon-sample');
        open.onsuccess = () => {
          const clear = open.result.transaction('kept', 'readwrite').objectStore('kept').clear();
          clear.onsuccess = () => {
            open.result.close();
            resolve();
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByText(/dated after today and left out/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await page
    .getByRole('link', { name: /of 14 Jun 2027/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/field\/[\w-]+\/log/);
  await page.getByLabel('Day of this outing').first().fill('2026-06-14');
  await page.getByRole('button', { name: 'Put it right' }).first().click();
  await expect(page.getByText('It is of 14 Jun 2026 now.')).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await expect(page.getByText(/dated after today/)).toHaveCount(0);
});

test('a reload comes back to the second dog, and Today lists what is open of every dog', async ({ page }) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
  await page.getByRole('link', { name: 'Field' }).click();
  await expect(page).toHaveURL(/\/field$/);
  await page.getByRole('main').getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Otto');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
  await expect(page.getByLabel('Dog', { exact: true })).toHaveValue(/.+/);
  await page.getByRole('link', { name: 'Today' }).click();
  // A dog that is chosen while the pad is still there goes to its own field, not to Today.
  await expect(page).toHaveURL(/\/today$/);
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Quill' });
  await page.getByRole('link', { name: /^Go on with it: Otto/ }).click();
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
  await expect(page.getByLabel('Dog', { exact: true }).locator('option:checked')).toHaveText('Otto');
});

test('at midnight a lesson goes on', async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    timezoneId: 'Europe/Vienna',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  const trouble = await guard(page, baseURL);
  const clockAt = (time: string) =>
    SHIFTED_CLOCK.replace(/const gap = \d+/, `const gap = ${new Date(time).getTime()}`);
  await page.addInitScript(clockAt('2026-06-15T21:50:00Z'));
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  // The same page a quarter of an hour later: Dexie's rows are of yesterday now.
  await page.addInitScript(clockAt('2026-06-15T22:05:00Z'));
  await page.reload();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^2 reps, 2 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page.getByText(/Enough for now: 2 reps, 2 clean/)).toBeVisible();
  expect(trouble).toEqual([]);
  await context.close();
});

test('a full disk is said wherever something is written, and nothing is shown that is not stored', async ({
  page,
}) => {
  await page.goto('/sample/breakdown/sample-wait');
  await expect(page.getByLabel('Demand, Time down')).toBeVisible();
  const before = await page.getByLabel('Demand, Time down').inputValue();
  await page.evaluate(() => {
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    IDBObjectStore.prototype.put = full;
    IDBObjectStore.prototype.add = full;
  });
  const said = page.getByRole('alert').filter({ hasText: 'there is no room left on this device' });
  await page.getByLabel('Demand, Time down').fill('90 s');
  await page.getByLabel('Demand, Time down').press('Enter');
  await expect(said).toBeVisible();
  await page.getByRole('link', { name: 'Train it' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(said).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Demand, Time down')).toHaveValue(before);
  await page.getByRole('link', { name: 'Kennel' }).click();
  await page.getByLabel('A further thing').fill('Hoop');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(said.first()).toBeVisible();
});

test('two tabs: a log that another tab has replaced takes no more, and a newer program shuts the older one', async ({
  page,
  context,
  baseURL,
}) => {
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  const clean = page.getByRole('button', { name: 'Clean' });
  await clean.click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  const other = await context.newPage();
  await guard(other, baseURL);
  await other.goto('/sample/files');
  await other.getByRole('button', { name: 'Make the sample new' }).click();
  await expect(other.getByText('The sample is new, dated from today.')).toBeVisible();
  // The first tab sees that its session is gone: it shows the card again, and nothing was orphaned.
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await other.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('regulon-sample', 990);
        open.onupgradeneeded = () => open.transaction?.abort();
        open.onblocked = () => reject(new Error('a tab holds on'));
        open.onerror = () => resolve();
      }),
  );
  for (const tab of [page, other]) {
    await expect(tab.getByRole('heading', { name: 'Load this page again' })).toBeVisible();
    await tab.getByRole('button', { name: 'Load again' }).click();
    await expect(tab.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  }
});

test('what the server says besides: no sniffing, no referrer, and files with a print in their name for good', async ({
  page,
  request,
}) => {
  const answer = await request.get('/own/today');
  expect(answer.headers()).toMatchObject({
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
    'cache-control': 'no-cache',
  });
  expect(answer.headers()['permissions-policy']).toContain('camera=(self)');
  await page.goto('/own/start');
  const script = await page.locator('script[src]').first().getAttribute('src');
  const notices = await request.get('/third-party-notices.txt');
  expect(await notices.text()).toContain('atkinson-hyperlegible-next');
  const file = await request.get(script ?? '', { headers: { 'accept-encoding': 'gzip' } });
  expect(file.headers()['content-encoding']).toBe('gzip');
  expect(file.headers()['cache-control']).toContain('immutable');
});
