import { expect, guard, SHIFTED_CLOCK, storedCount, test } from './fixtures';

const clockAt = (time: string): string =>
  SHIFTED_CLOCK.replace(/const gap = \d+/, `const gap = ${new Date(time).getTime()}`);

test('a database deleted while it is open says so, and the kennel can be brought back from a file', async ({
  page,
  context,
  baseURL,
}, info) => {
  await page.goto('/sample/files');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything to one file' }).click(),
  ]);
  const file = info.outputPath('kennel.json');
  await download.saveAs(file);
  await page.goto('/own/files');
  await page.getByLabel('Kennel file').setInputFiles(file);
  await page.getByRole('button', { name: 'Replace it' }).click();
  await expect(page.getByText('3 dogs: Quill, Juniper, Otto')).toBeVisible();
  await page.goto('/own/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  const other = await context.newPage();
  await guard(other, baseURL);
  await other.goto('/third-party-notices.txt');
  await other.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const gone = indexedDB.deleteDatabase('regulon-own');
        gone.onsuccess = () => resolve();
        gone.onerror = () => reject(gone.error);
        gone.onblocked = () => reject(new Error('a tab holds on'));
      }),
  );
  await expect(page.getByRole('heading', { name: 'What this browser kept was deleted' })).toBeVisible();
  await page.getByRole('button', { name: 'Load again' }).click();
  await page.goto('/own/files');
  await expect(page.getByText('0 dogs')).toBeVisible();
  await page.getByLabel('Kennel file').setInputFiles(file);
  await page.getByRole('button', { name: 'Add what is new in it' }).click();
  await expect(page.getByText('3 dogs: Quill, Juniper, Otto')).toBeVisible();
});

for (const [name, fault] of [
  ['full', 'QuotaExceededError'],
  ['withdrawn', 'InvalidStateError'],
] as const)
  test(`storage ${name} in the middle of a set: said, nothing is counted that is not stored, and it goes on after`, async ({
    page,
  }) => {
    await page.goto('/sample/field/sample-give');
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
    const stored = await storedCount(page, 'regulon-sample', 'entries');
    await page.evaluate((error) => {
      const real = IDBObjectStore.prototype.add;
      Object.assign(globalThis, { mend: () => Object.assign(IDBObjectStore.prototype, { add: real }) });
      IDBObjectStore.prototype.add = () => {
        throw new DOMException('no', error);
      };
    }, fault);
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was stored' }).first()).toBeVisible();
    await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored);
    await page.evaluate(() => (globalThis as unknown as { mend: () => void }).mend());
    // A thumb that bounces logs nothing twice: the next tap comes a moment later.
    await page.waitForTimeout(800);
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(/^2 reps, 2 clean/).first()).toBeAttached();
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored + 1);
  });

test('a clock set back an hour in the middle of a set: no rep is lost or out of order, and no time runs backwards', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ baseURL: baseURL ?? '', timezoneId: 'Europe/Vienna' });
  const page = await context.newPage();
  const trouble = await guard(page, baseURL);
  await page.addInitScript(clockAt('2026-06-15T16:30:00Z'));
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const [i, name] of ['Clean', 'Miss'].entries()) {
    await page.getByRole('button', { name }).first().click();
    await expect(page.getByText(new RegExp(`^${i + 1} reps?, 1 clean`)).first()).toBeAttached();
  }
  await page.addInitScript(clockAt('2026-06-15T15:30:00Z'));
  await page.reload();
  await expect(page.getByText(/^2 reps, 1 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^3 reps, 2 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page.getByText(/Enough for now: 3 reps, 2 clean/)).toBeVisible();
  await page.goto('/sample/field/sample-give/log');
  const outcomes = page.getByLabel(/^Rep \d of 15 Jun 2026: outcome$/);
  await expect(outcomes).toHaveCount(3);
  const inOrder = await outcomes.evaluateAll((all) =>
    all
      .map((one) => [one.getAttribute('aria-label'), (one as HTMLSelectElement).value])
      .sort()
      .map(([, value]) => value),
  );
  expect(inOrder).toEqual(['clean', 'miss', 'clean']);
  expect(await page.locator('main').innerText()).not.toMatch(/[−-]\d+\s?(min|s|h)\b/);
  expect(trouble).toEqual([]);
  await context.close();
});

for (const [name, zone, first, then] of [
  ['the night on which summer time ends', 'Europe/Vienna', '2026-10-25T00:30:00Z', '2026-10-25T01:10:00Z'],
  ['a journey to another time zone', 'America/New_York', '2026-06-15T16:30:00Z', '2026-06-16T01:00:00Z'],
  ['29 February', 'Europe/Vienna', '2028-02-29T10:00:00Z', '2028-02-29T11:00:00Z'],
] as const)
  test(`${name}: the lesson is one, of its own day, and readiness and plan go on`, async ({
    browser,
    baseURL,
  }) => {
    const context = await browser.newContext({ baseURL: baseURL ?? '', timezoneId: zone });
    const page = await context.newPage();
    const trouble = await guard(page, baseURL);
    await page.addInitScript(clockAt(first));
    await page.goto('/sample/field/sample-give');
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
    const outings = await storedCount(page, 'regulon-sample', 'outings');
    await page.addInitScript(clockAt(then));
    await page.reload();
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(/^2 reps, 2 clean/).first()).toBeAttached();
    expect(await storedCount(page, 'regulon-sample', 'outings')).toBe(outings);
    await page.getByRole('button', { name: 'Enough for now' }).click();
    await page.goto('/sample/plan');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.goto('/sample/season');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.goto('/sample/today');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(trouble).toEqual([]);
    await context.close();
  });
