import { readFileSync } from 'node:fs';
import { exactForecast, expect, guard, storedCount, test } from './fixtures';

type KennelJson = {
  version: number;
  entries: never;
  tables: { entries: { outcome?: string }[]; trials: unknown[] };
  counts: { trials: number };
};

test('saved, cleared and read back, the readiness is the same to the last digit', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await page.goto('/sample/readiness');
  const before = await exactForecast(page);
  await page.getByRole('link', { name: 'Files' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything to one file' }).click(),
  ]);
  const path = info.outputPath(download.suggestedFilename());
  await download.saveAs(path);
  expect(download.suggestedFilename()).toBe('regulon-sample-2026-06-15.json');

  // A new context is an empty browser: nothing of the first one is left.
  const cleared = await (
    await browser.newContext({ baseURL: baseURL ?? '', timezoneId: 'Europe/Vienna' })
  ).newPage();
  const trouble = await guard(cleared, baseURL);
  await cleared.goto('/own/files');
  await expect(cleared.getByText('0 dogs')).toBeVisible();
  await cleared.getByLabel('Kennel file').setInputFiles(path);
  await expect(cleared.getByRole('dialog')).toContainText('3 dogs: Quill, Juniper, Otto');
  await cleared.getByRole('button', { name: 'Replace it' }).click();
  await cleared.getByRole('link', { name: 'Readiness' }).click();
  expect(await exactForecast(cleared)).toBe(before);
  expect(trouble).toEqual([]);
});

test('a session from the phone reaches the laptop, and twice without doubling', async ({
  page,
  browser,
  baseURL,
}, info) => {
  const save = async (from: typeof page, name: string): Promise<string> => {
    await from.goto('/sample/files');
    const [download] = await Promise.all([
      from.waitForEvent('download'),
      from.getByRole('button', { name: 'Save everything to one file' }).click(),
    ]);
    const path = info.outputPath(name);
    await download.saveAs(path);
    return path;
  };
  // The phone begins with what the laptop has, trains, and saves.
  const phone = await (
    await browser.newContext({
      baseURL: baseURL ?? '',
      timezoneId: 'Europe/Vienna',
      viewport: { width: 390, height: 844 },
    })
  ).newPage();
  await guard(phone, baseURL);
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  const before = await storedCount(page, 'regulon-sample', 'entries');
  await phone.goto('/sample/field/sample-give');
  await phone.getByRole('button', { name: 'Begin' }).click();
  for (let i = 1; i <= 3; i++) {
    await phone.getByRole('button', { name: 'Clean' }).click();
    await expect(phone.getByText(new RegExp(`^${i} reps?, ${i} clean`)).first()).toBeAttached();
  }
  await phone.getByRole('button', { name: 'Enough for now' }).click();
  const file = await save(phone, 'phone.json');

  await page.goto('/sample/files');
  for (const said of [/Added 1 session and 3 entries/, /No session in it is new/]) {
    await page.getByLabel('Kennel file').setInputFiles(file);
    await page.getByRole('button', { name: 'Add what is new in it' }).click();
    await expect(page.getByText(said)).toBeVisible();
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 3);
  }
});

test('a file that is not sound is refused with its reason, and nothing changes', async ({ page }, info) => {
  await page.goto('/sample/files');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything to one file' }).click(),
  ]);
  const path = info.outputPath('good.json');
  await download.saveAs(path);
  const text = readFileSync(path, 'utf8');
  const changed = (change: (file: KennelJson) => void): string => {
    const file = JSON.parse(text) as KennelJson;
    change(file);
    return JSON.stringify(file);
  };
  const stored = await storedCount(page, 'regulon-sample', 'entries');
  const wrong: [string, string, RegExp][] = [
    ['cut.json', text.slice(0, 40_000), /damaged or cut off/],
    ['foreign.json', '{"rows": []}', /not saved by Regulon/],
    [
      'newer.json',
      changed((file) => {
        file.version = 99;
      }),
      /written by a newer Regulon/,
    ],
    [
      'broken.json',
      changed((file) => {
        if (file.tables.entries[0]) file.tables.entries[0].outcome = 'lovely';
      }),
      /entries\[0\].outcome is not known here/,
    ],
    [
      'short.json',
      changed((file) => {
        file.tables.trials = [];
      }),
      /Part of it is missing/,
    ],
  ];
  for (const [name, body, reason] of wrong) {
    await page
      .getByLabel('Kennel file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });
    await expect(page.getByRole('alert').filter({ hasText: name })).toContainText(reason);
    await expect(page.getByRole('dialog')).toHaveCount(0);
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored);
  }
});

test('work on a whole kennel can be stopped, leaves all as it was, and is done when asked again', async ({
  page,
}) => {
  // The first worker for files never gets its task, so that there is something to stop; ending it is seen.
  await page.addInitScript(() => {
    const Real = Worker;
    let held = false;
    globalThis.Worker = class extends Real {
      readonly holds: boolean;
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        this.holds = !held && String(url).includes('files');
        held ||= this.holds;
      }
      override postMessage(message: unknown): void {
        if (!this.holds) super.postMessage(message);
      }
      override terminate(): void {
        document.documentElement.dataset.ended = 'true';
        super.terminate();
      }
    };
  });
  await page.goto('/sample/files');
  await expect(page.getByText('3 dogs: Quill, Juniper, Otto')).toBeVisible();
  const stored = await storedCount(page, 'regulon-sample', 'entries');
  const file = page.getByLabel('Kennel file');
  await file.setInputFiles('src/data/fixtures/kennel-v4.json');
  const working = page.getByRole('status').filter({ hasText: '…' });
  await expect(working).toContainText('Beginning …');
  await working.getByRole('button', { name: 'Stop' }).click();
  await expect(working).toHaveCount(0);
  await expect(page.locator('html')).toHaveAttribute('data-ended', 'true');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored);
  await file.setInputFiles('src/data/fixtures/kennel-v4.json');
  await expect(page.getByRole('dialog')).toContainText('In the file, saved');
});

test('reading a kennel can be taken back', async ({ page }) => {
  await page.goto('/own/files');
  const file = readFileSync('src/data/fixtures/kennel-v1.json', 'utf8');
  await page
    .getByLabel('Kennel file')
    .setInputFiles({ name: 'old.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await page.getByRole('button', { name: 'Replace it' }).click();
  await expect(page.getByText('1 dog: Wren')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('0 dogs')).toBeVisible();
});

test('a wrong rule-book file says everything that is wrong, and a right one is read', async ({ page }) => {
  await page.goto('/own/rule-books');
  const text = readFileSync('src/demo/rule-books/vellmoor-obedience-two.json', 'utf8');
  const broken = text
    .replace('"atLeast": 60', '"atLeast": 100')
    .replace('"part": "set-up"', '"part": "tunnel"');
  await page
    .getByLabel('Rule-book file')
    .setInputFiles({ name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from(broken) });
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('The pass line 100 is above the maximum of 80 points.');
  await expect(alert).toContainText('“tunnel” is not a part of this exercise.');
  await expect(page.getByRole('heading', { name: 'No rule book yet' })).toBeVisible();
  await page
    .getByLabel('Rule-book file')
    .setInputFiles({ name: 'right.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByRole('heading', { name: 'Vellmoor Obedience, Class Two' })).toBeVisible();
  await expect(alert).toHaveCount(0);
});

test('a database that a newer Regulon wrote is refused in words', async ({ page }) => {
  await page.goto('/own/files');
  await expect(page.getByText('0 dogs')).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('regulon-own');
        open.onsuccess = () => {
          const write = open.result.transaction('meta', 'readwrite');
          write.objectStore('meta').put({ key: 'version', value: 99 });
          write.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('written by a newer Regulon (data version 99');
});

test('a table for a spreadsheet: every rep a row, with the separator and decimal that are wanted', async ({
  page,
}) => {
  await page.goto('/sample/files');
  const sheet = page.getByRole('region', { name: 'For a spreadsheet' });
  await sheet.getByLabel('Between cells').selectOption({ label: 'a semicolon' });
  await sheet.getByLabel('Before a fraction').selectOption({ label: 'a comma: 2,5' });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Save the table (CSV)' }).click(),
  ]);
  const rows = readFileSync(await file.path(), 'utf8').split('\r\n');
  expect(rows[0]).toMatch(/^\uFEFFrep;lesson;day;dog;element;go;/);
  expect(rows.length).toBeGreaterThan(500);
  expect(rows.some((row) => /;\d+,\d+;/.test(row))).toBe(true);
  await expect(sheet.getByRole('status')).toHaveText(
    `The table is saved: ${(rows.length - 1).toLocaleString('en')} rows.`,
  );
  await page.goto('/own/files');
  const [none] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the table (CSV)' }).click(),
  ]);
  expect(readFileSync(await none.path(), 'utf8')).toMatch(/^\uFEFFrep,lesson,[^\r]*$/);
  await expect(page.getByText('The table is saved; it has no row yet.')).toBeVisible();
});
