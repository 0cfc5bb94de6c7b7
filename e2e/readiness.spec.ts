import type { Page } from '@playwright/test';
import { exactForecast, expect, padKey, storedCount, test } from './fixtures';

const chanceOf = (exact: string): number => (JSON.parse(exact) as { mid: number }).mid;

/** The chances of the kept forecasts, oldest first, as they stand in the browser's storage. */
function keptForecasts(page: Page): Promise<string[]> {
  return page.evaluate(
    () =>
      new Promise<string[]>((resolve, reject) => {
        const open = indexedDB.open('regulon-sample');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const all = open.result.transaction('forecasts').objectStore('forecasts').getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve(all.result.sort((a, b) => a.at - b.at).map((one) => JSON.stringify(one.pass)));
          };
        };
      }),
  );
}

test('ten misses: the chance falls, the leak appears, and opens to the element’s evidence', async ({
  page,
}) => {
  await page.goto('/sample/readiness');
  const before = chanceOf(await exactForecast(page));
  const ledger = page.getByRole('region', { name: 'The ledger' });
  const lost = async (): Promise<number> => {
    const row = await ledger.locator('summary').filter({ hasText: 'Give' }).innerText();
    return Number(/−([\d.]+)/.exec(row)?.[1]);
  };
  const lostBefore = await lost();
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
  for (let i = 1; i <= 10; i++) {
    await padKey(page, 'm');
    if (await page.getByText('What happened?').isVisible()) await page.keyboard.press('1');
    await expect(page.getByText(new RegExp(`^${i} reps?, 0 clean`)).first()).toBeVisible();
  }
  await page.goto('/sample/readiness');
  const after = chanceOf(await exactForecast(page));
  expect(after).toBeLessThan(before - 0.02);
  expect(await lost()).toBeGreaterThan(lostBefore + 0.3);

  await ledger.locator('summary').filter({ hasText: 'Give' }).click();
  await ledger.getByRole('link', { name: 'See its reps' }).first().click();
  await expect(page.getByRole('status', { name: 'In one sentence' })).toContainText(
    /^Give: .* from \d+ reps/,
  );
  await expect(page.getByRole('list', { name: 'Reps of 15 Jun 2026' }).getByRole('listitem')).toHaveCount(10);
});

test('what if: the chance moves with the hand, up and down', async ({ page }) => {
  await page.goto('/sample/readiness');
  await exactForecast(page);
  const sheet = page.getByRole('region', { name: 'What if' });
  await sheet.getByLabel('Element').selectOption({ index: 1 });
  const slider = sheet.getByRole('slider', { name: 'How clean at the trial' });
  const told = sheet.getByRole('status', { name: 'What if' });
  await expect(told).toContainText('+0.0 in 100 against today', { timeout: 90_000 });
  const read = async (): Promise<number> =>
    Number.parseFloat((await told.innerText()).replace(/^[<>]\s*/, ''));
  const today = await read();
  await slider.press('End');
  const best = await read();
  await slider.press('Home');
  const worst = await read();
  expect(best).toBeGreaterThan(today);
  expect(worst).toBeLessThan(today);
  expect(await storedCount(page, 'regulon-sample', 'trials')).toBe(2);
});

test('an assumption is changed and taken back, and the forecast follows', async ({ page }) => {
  await page.goto('/sample/readiness');
  const before = await exactForecast(page);
  const nerves = page.getByRole('slider', { name: 'Nerves at a trial' });
  await nerves.focus();
  await nerves.press('End');
  await expect(page.getByText('Nerves at a trial changed.')).toBeVisible();
  await expect.poll(async () => exactForecast(page)).not.toBe(before);
  await expect(nerves).toBeFocused();
  const changed = await exactForecast(page);
  await expect.poll(() => keptForecasts(page)).toEqual([before, changed]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => exactForecast(page)).toBe(before);
  // What was given is kept as it was shown, in the order in which it was given.
  await expect.poll(() => keptForecasts(page)).toEqual([before, changed, before]);
});

test('results are held against the forecasts, and ten of them are judged', async ({ page }) => {
  await page.goto('/sample/readiness');
  await exactForecast(page);
  const sheet = page.getByRole('region', { name: 'Said and happened' });
  await expect(sheet).toContainText('1 forecast of this trial kept');
  await sheet.getByText('Enter a result').click();
  for (let i = 0; i < 10; i++) {
    await sheet.getByLabel('Passed').selectOption(i < 7 ? 'yes' : 'no');
    await sheet.getByLabel('Points, if there were any').fill(i < 7 ? '64' : '55');
    await sheet.getByRole('button', { name: 'Keep the result' }).click();
    await expect(sheet.getByRole('list', { name: 'Results' }).getByRole('listitem')).toHaveCount(i + 1);
  }
  await expect(sheet.getByRole('list', { name: 'Results' }).getByRole('listitem').first()).toContainText(
    /Said on 15 Jun 2026: \d+\s% .* from \d+ reps/,
  );
  await expect(sheet.getByRole('status', { name: 'How good the forecasts are' })).toContainText(
    /10 results: .* 70\s% passed\. That is no verdict yet: below 50 results /,
  );
  await sheet.getByRole('button', { name: 'Take out the result of 15 Jun 2026' }).first().click();
  await expect(sheet.getByRole('status', { name: 'How good the forecasts are' })).toContainText(
    '9 of 10 results: too few',
  );
});

test('charts can be taken along as a picture and as a table', async ({ page }) => {
  await page.goto('/sample/readiness');
  await exactForecast(page);
  const sheet = page.getByRole('region', { name: 'Up to the trial' });
  await sheet.getByText('The same as a table, and to save').click();
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Save the picture (PNG)' }).click(),
  ]);
  expect(picture.suggestedFilename()).toBe('outlook.png');
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Save the table (CSV)' }).click(),
  ]);
  expect(table.suggestedFilename()).toBe('outlook.csv');
});

test('a first look comes soon after the room opens', async ({ page }) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await page.getByRole('link', { name: 'Readiness' }).click();
  await expect(
    page.getByRole('region', { name: 'First look' }).or(page.getByTestId('headline')).first(),
  ).toContainText('would pass');
  await exactForecast(page);
});

test('two dogs in two classes stand side by side', async ({ page }) => {
  await page.goto('/sample/readiness');
  const table = page.getByRole('region', { name: 'Side by side' }).getByRole('row');
  // Three whole simulations stand before it.
  await expect(table).toHaveCount(3, { timeout: 120_000 });
  await expect(table.nth(1)).toContainText(/Quill, Vellmoor Obedience/);
  await expect(table.nth(2)).toContainText(/Juniper, Brackwater/);
});

test('a trial of one’s own needs a class that is broken down, and says so', async ({ page }) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
  await page.getByRole('link', { name: 'Readiness' }).click();
  await expect(page.getByText('No trial ahead for Otto').first()).toBeVisible();
  await page.getByRole('button', { name: 'Note the trial' }).click();
  await expect(page.getByRole('alert')).toHaveText(['A trial needs a name.', /Say on which day it is/]);
  await page.getByLabel('Name of the trial').fill('Autumn working test');
  await page.getByLabel('Day of the trial').fill('2026-09-12');
  await page.getByRole('button', { name: 'Note the trial' }).click();
  await expect(page.getByText('Otto at the Autumn working test, in 89 days').first()).toBeVisible();
  await expect(page.getByText(/is not broken down for this dog yet/)).toBeVisible();
});

test('a simulation can be stopped, and goes on', async ({ page }) => {
  // What the workers of this test are asked waits until the test lets it go, so that there is
  // something to stop.
  await page.addInitScript(() => {
    const Real = Worker;
    const held: (() => void)[] = [];
    let open = false;
    globalThis.Worker = class extends Real {
      override postMessage(message: unknown): void {
        if ((message as { kind?: string }).kind === 'cancel')
          document.documentElement.dataset.cancelled = 'true';
        if (open) super.postMessage(message);
        else held.push(() => super.postMessage(message));
      }
    };
    Object.assign(globalThis, {
      letGo: () => {
        open = true;
        for (const post of held) post();
      },
    });
  });
  await page.goto('/sample/readiness');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('The simulation is stopped')).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-cancelled', 'true');
  await page.evaluate(() => (globalThis as unknown as { letGo: () => void }).letGo());
  await expect(page.getByTestId('headline')).toHaveCount(0);
  await page.getByRole('button', { name: 'Go on' }).click();
  await exactForecast(page);
});
