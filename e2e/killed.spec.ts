import { readdirSync, readFileSync } from 'node:fs';
import { type BrowserContext, chromium } from '@playwright/test';
import { expect, SHIFTED_CLOCK, storedCount, test } from './fixtures';

/** Eight in the everyday test; `KILLS=30` or more by hand. */
const KILLS = Number(process.env.KILLS ?? 8);

/** The real browser with its storage on the disk, so that it can be killed without a goodbye. */
function open(folder: string): Promise<BrowserContext> {
  return chromium.launchPersistentContext(folder, {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--disable-dev-shm-usage'],
    timezoneId: 'Europe/Vienna',
  });
}

/**
 * Ends every process of the browser on this profile at once, without a signal that it could answer.
 * Gives how many there were.
 */
function killAll(folder: string): number {
  const pids = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  const mine = pids.filter((pid) => {
    try {
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(folder);
    } catch {
      return false;
    }
  });
  for (const pid of mine) {
    try {
      process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It went with its parent.
    }
  }
  return mine.length;
}

/** Another tab brings a file in meanwhile; whether it gets to its end before the kill is left to luck. */
async function bringIn(context: BrowserContext, baseURL: string | undefined): Promise<void> {
  const other = await context.newPage();
  await other.goto(`${baseURL}/sample/files`);
  await other.getByLabel('Kennel file').setInputFiles('src/data/fixtures/sample-v3.json');
  await other.getByRole('button', { name: 'Add what is new in it' }).click();
}

test('killed again and again in the middle of a set, also while another tab brings a file in, no rep that was shown is lost', async ({
  baseURL,
}, info) => {
  test.setTimeout(120_000 + KILLS * 60_000);
  const folder = info.outputPath('profile');
  let least = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    const context = await open(folder);
    await context.addInitScript(SHIFTED_CLOCK);
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto(`${baseURL}/sample/field/sample-give`);
    if (kill === 0) await page.getByRole('button', { name: 'Begin' }).click();
    // What was shown before the last kill is there, and the pad stands where it stood.
    await expect(page.getByRole('button', { name: 'Clean' })).toBeVisible();
    const shown = page.getByText(/^(No reps yet|\d+ reps?, )/).first();
    const count = async (): Promise<number> =>
      Number.parseInt((await shown.innerText()).replace('No reps yet', '0'), 10);
    await expect.poll(count).toBeGreaterThanOrEqual(least);
    const start = await count();
    if (kill % 4 === 3) await bringIn(context, baseURL);
    await page.bringToFront();
    const taps = 1 + (kill % 3);
    for (let i = 0; i < taps; i++) {
      await page.getByRole('button', { name: 'Clean' }).click();
      await expect.poll(count).toBe(start + i + 1);
    }
    least = start + taps;
    // One more tap is on its way when the process dies: it may be there afterwards or not, and
    // nothing else may change.
    if (kill % 2 === 0)
      void page
        .getByRole('button', { name: 'Clean' })
        .click()
        .catch(() => null);
    expect(killAll(folder)).toBeGreaterThan(0);
    await context.close().catch(() => null);
  }
  const context = await open(folder);
  await context.addInitScript(SHIFTED_CLOCK);
  const page = await context.newPage();
  await page.goto(`${baseURL}/sample/field/sample-give`);
  await expect(page.getByRole('button', { name: 'Clean' })).toBeVisible();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBeGreaterThan(0);
  const last = Number.parseInt(
    await page
      .getByText(/^\d+ reps?, /)
      .first()
      .innerText(),
    10,
  );
  expect(last).toBeGreaterThanOrEqual(least);
  expect(last).toBeLessThanOrEqual(least + 1);
  await context.close();
});

test('a judge’s sheet, killed again and again while it is written, loses no mark that was shown', async ({
  baseURL,
}, info) => {
  test.setTimeout(120_000 + KILLS * 60_000);
  const folder = info.outputPath('profile');
  let least = 0;
  let address = `${baseURL}/sample/trials`;
  for (let kill = 0; kill <= KILLS; kill++) {
    const context = await open(folder);
    await context.addInitScript(SHIFTED_CLOCK);
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto(address);
    if (kill === 0) {
      await page.getByRole('button', { name: 'Open the sheet' }).click();
      await page.waitForURL(/runs/);
      address = page.url();
    }
    const add = page.getByRole('button', { name: 'Slow on the way out: Add' });
    await expect(add).toBeVisible();
    const marks = page.getByRole('button', { name: /^Slow on the way out: take off/ });
    await expect.poll(() => marks.count()).toBeGreaterThanOrEqual(least);
    const start = await marks.count();
    // The one that was on its way may be there or not, and nothing else.
    expect(start).toBeLessThanOrEqual(least + 1);
    if (kill === KILLS) {
      await context.close();
      return;
    }
    const taps = 1 + (kill % 3);
    for (let i = 0; i < taps; i++) {
      await add.click();
      await expect.poll(() => marks.count()).toBe(start + i + 1);
    }
    least = start + taps;
    if (kill % 2 === 0) void add.click().catch(() => null);
    expect(killAll(folder)).toBeGreaterThan(0);
    await context.close().catch(() => null);
  }
});
