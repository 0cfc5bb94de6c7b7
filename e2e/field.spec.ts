import type { Page } from '@playwright/test';
import { expect, fakeWaits, padKey, SHIFTED_CLOCK, storedCount, test } from './fixtures';

async function begin(page: Page, element: string): Promise<void> {
  await page.goto(`/sample/field/${element}`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
}
const advice = (page: Page) => page.getByRole('status', { name: 'Advice' });

test('one thumb: a set from memory, more about a rep, body signs, what was not logged, a note, the debrief', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, 'sample-present');
  const stored = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByRole('button', { name: 'Set afterwards' }).click();
  for (const outcome of ['Clean', 'Clean', 'Miss', 'Flawed', 'Clean'])
    await page.getByRole('dialog').getByRole('button', { name: outcome, exact: true }).click();
  // Closed on the way, nothing that was said is lost.
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Set afterwards' }).click();
  await expect(page.getByRole('dialog')).toContainText('5 so far');
  await page.getByRole('dialog').getByRole('button', { name: 'Write them' }).click();
  await expect(page.getByText('5 reps, 3 clean').first()).toBeAttached();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored + 5);

  await page.getByRole('button', { name: 'Rested' }).click();
  await page.getByText('More about this rep').click();
  await page.getByRole('button', { name: 'left', exact: true }).click();
  await expect(page.getByRole('button', { name: 'left', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'behind' }).click();
  await page.getByRole('button', { name: 'warm-up', exact: true }).click();
  await expect(page.getByRole('button', { name: 'warm-up', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(advice(page)).toContainText('0 clean in a row here');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'warm-up', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await expect(advice(page)).toContainText('1 clean in a row here');

  await page.getByRole('button', { name: 'Goes nobody tallied' }).click();
  await page.getByRole('dialog').getByRole('button', { name: '6', exact: true }).click();
  await expect(advice(page)).toContainText('6 reps since the last rest');
  await page.getByRole('button', { name: 'Body signs' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Stiffness' }).click();
  await expect(advice(page)).toContainText('Stop now. You saw stiffness. That can be pain');
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByLabel('Note').fill('Wet grass.');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page.getByText(/Enough for now: 5 reps/)).toBeVisible();

  await page.goto('/sample/field/sample-present');
  await page.getByLabel('What next').fill('Nearer, and the reward behind it.');
  await page.getByLabel('What next').blur();
  await expect(page.getByText('You wrote: Nearer, and the reward behind it.')).toBeVisible();
});

test('the caller shows the next call and one ahead, and the same after a reload', async ({ page }) => {
  await begin(page, 'sample-wait');
  const caller = page.getByRole('region', { name: 'Caller' });
  await caller.getByLabel('Call for me').selectOption('left-right');
  const calls: string[] = [];
  for (let i = 0; i < 10; i++) {
    calls.push(
      (await page.getByRole('status', { name: 'Called' }).locator('span').first().innerText()).trim(),
    );
    await padKey(page, 'c');
    await expect(page.getByText(new RegExp(`^${i + 1} reps?, `)).first()).toBeVisible();
  }
  expect(calls.filter((call) => call === 'left')).toHaveLength(5);
  const next = await page.getByRole('status', { name: 'Called' }).locator('span').first().innerText();
  await page.reload();
  await caller.getByLabel('Call for me').selectOption('left-right');
  await expect(page.getByRole('status', { name: 'Called' }).locator('span').first()).toHaveText(next);
});

test('a fault that does not count yet is noted, and the rep stays clean', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-present/about');
  await page
    .getByLabel('Crooked in front, 10–30° counts from')
    .or(page.getByLabel(/^Crooked in front.* counts from$/).first())
    .first()
    .selectOption({ index: 5 });
  await expect(page.getByText(/It counts from step 6 on/)).toBeVisible();
  await begin(page, 'sample-present');
  await page.keyboard.press('f');
  await page.getByRole('button', { name: /only noted here/ }).click();
  await expect(page.getByLabel('Last rep')).toContainText('clean, noted: Crooked in front');
  await expect(advice(page)).toContainText('1 clean in a row here');
});

test('a session that falls off is said to be suspected, with its grounds', async ({ page }) => {
  await begin(page, 'sample-give');
  for (const [i, key] of [...'ccccmmmm'].entries()) {
    await padKey(page, key);
    if (key === 'm') {
      const named = page.getByText('What happened?');
      if (await named.isVisible()) await page.keyboard.press('1');
    }
    await expect(page.getByText(new RegExp(`^${i + 1} reps?, `)).first()).toBeVisible();
  }
  await expect(page.getByRole('status', { name: 'Falling off' })).toContainText(
    /More goes wrong since rep 5 of this step than fits \(\d+ of \d+ clean here before\)/,
  );
});

test('two tabs on one session do not fork it', async ({ page, context }) => {
  await begin(page, 'sample-give');
  const other = await context.newPage();
  await other.addInitScript(SHIFTED_CLOCK);
  await other.goto('/sample/field/sample-give');
  for (let i = 1; i <= 6; i += 2) {
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(other.getByText(new RegExp(`^${i} reps?, ${i} clean`)).first()).toBeVisible();
    await other.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(`${i + 1} reps, ${i + 1} clean`).first()).toBeVisible();
  }
});

test('a blind: nothing is sent for nothing, a refusal leaves it lying, a pick-up uses it up', async ({
  page,
}) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page.getByRole('link', { name: 'Field', exact: true }).click();
  await page
    .getByRole('link', { name: /^Blind retrieve/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Full drive' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing lies there. Lay one');
  await page.getByRole('button', { name: /I have laid one/ }).click();
  await expect(page.getByText('1 lies there')).toBeVisible();
  await page.getByRole('button', { name: 'Refused' }).click();
  await advice(page).getByRole('button', { name: 'Something new' }).click();
  await expect(advice(page)).toContainText('let it look, then the same again');
  await expect(page.getByText('1 lies there')).toBeVisible();
  await page.getByRole('button', { name: 'Full drive' }).click();
  await expect(page.getByText('Nothing lies there', { exact: true })).toBeVisible();
});

test('pocket mode ignores a tap and opens on holding; afterwards a rep is corrected and both stay', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, 'sample-give');
  await page.getByRole('button', { name: 'Pocket' }).click();
  const pocket = page.getByRole('dialog', { name: 'Pocket mode' });
  await pocket.getByRole('button').click();
  await expect(pocket).toBeVisible();
  await page.keyboard.press('c');
  const box = await pocket.getByRole('button').boundingBox();
  await page.mouse.move((box?.x ?? 0) + 50, (box?.y ?? 0) + 50);
  await page.mouse.down();
  await expect(pocket).toHaveCount(0);
  await page.mouse.up();
  await expect(page.getByText('1 rep, 1 clean').first()).toBeAttached();

  const entries = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByRole('link', { name: 'All reps' }).click();
  await page.getByLabel('Rep 1 of 15 Jun 2026: outcome').selectOption('flawed');
  await expect(page.getByText('corrected').first()).toBeVisible();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(entries + 1);
  await page.getByRole('link', { name: 'Back to the session' }).click();
  await expect(page.getByText('1 rep, 0 clean').first()).toBeAttached();
});

test('cue, response and marker by one button; a held one is a miss; and a hold has its clock', async ({
  page,
}) => {
  const skip = await fakeWaits(page);
  await begin(page, 'sample-wait');
  await page.keyboard.press('?');
  await page.getByLabel(/One button logs a rep/).check();
  await page.keyboard.press('Escape');
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press(' ');
    await skip(120);
  }
  await expect(page.getByLabel('Last rep')).toContainText(/clean, \d+\.\d s, marked at \d+\.\d s/);
  await page.keyboard.down(' ');
  await page.keyboard.down(' ');
  await page.keyboard.up(' ');
  if (await page.getByText('What happened?').isVisible()) await page.keyboard.press('1');
  await expect(page.getByText(/^2 reps, 1 clean/).first()).toBeAttached();
  // A key held down while somebody writes is a letter, not a miss.
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByLabel('Note').focus();
  await page.keyboard.down(' ');
  await page.keyboard.down(' ');
  await page.keyboard.up(' ');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByText(/^2 reps, 1 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Hold begins' }).click();
  await skip(400);
  await page.waitForTimeout(100);
  await page.getByRole('button', { name: 'Hold ends' }).click();
  await page.keyboard.press('c');
  await expect(page.getByLabel('Last rep')).toContainText(/held \d+\.\d s/);
  await page.getByText('More about this rep').click();
  const said = page.locator('details').getByRole('button', { name: 'came back' });
  await said.click();
  await expect(said).toHaveAttribute('aria-pressed', 'true');
});

test('continuous work: a clock, legs and stamped faults make one rep', async ({ page }) => {
  await page.goto('/sample/breakdown/new?from=method:heeling');
  await page.getByLabel('Demand, Time without a fault').fill('1 min');
  await page.getByRole('button', { name: 'Break it down' }).click();
  await page.getByRole('link', { name: 'Train Heeling' }).click();
  await page.getByText('Who helps, how warm').click();
  await page.getByLabel('Temperature').fill('warm');
  await expect(page.getByText('“warm” is not a temperature')).toBeVisible();
  await page.getByLabel('Temperature').fill('18 °C');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await page.getByRole('button', { name: 'left turn' }).click();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Wide/ }).click();
  await page.getByRole('button', { name: 'Last tap back' }).click();
  await expect(page.getByRole('button', { name: 'Wide 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop and log it' }).click();
  await expect(page.getByLabel('Last rep')).toContainText('flawed: Wide');
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await page.getByRole('button', { name: 'Stop and log it' }).click();
  // Stopped by the handler before its time it is neither.
  await expect(page.getByText('2 reps; 1 counts, 0 clean').first()).toBeAttached();
  await expect(page.getByLabel('Last rep')).toContainText('ended by you');
});

test('storage that is full is said at once, the rep is kept and offered as a file', async ({ page }) => {
  await begin(page, 'sample-give');
  await page.evaluate(() => {
    const add = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = function full(...args) {
      if (this.name === 'entries') throw new DOMException('no room left', 'QuotaExceededError');
      return add.apply(this, args);
    };
  });
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Nothing was stored: there is no room left on this device.',
  );
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Keep this rep in a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('regulon-rep-2026-06-15.json');
});

test('every key can be changed: one button of a remote logs a whole rep, also from the pocket', async ({
  page,
}) => {
  await begin(page, 'sample-give');
  await page.keyboard.press('?');
  const dialog = page.getByRole('dialog', { name: 'Keys and signals' });
  await dialog.getByRole('button', { name: 'Change the key: Clean' }).click();
  await page.keyboard.press('5');
  await expect(dialog.getByRole('alert')).toContainText('5 is needed for something else');
  await dialog.getByRole('button', { name: 'Change the key: Clean' }).click();
  await page.keyboard.press('PageDown');
  await expect(dialog.getByText('Page Down')).toBeVisible();
  await dialog.getByLabel('For the left hand').check();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('c');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('1 rep, 1 clean').first()).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Pocket' }).click();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('2 reps, 2 clean').first()).toBeAttached();
});

test('a session from paper is typed in on its own day', async ({ page }) => {
  await page.goto('/sample/field/sample-give/log');
  await expect(page.getByRole('heading', { name: 'Type in a session from paper' })).toBeVisible();
  const entries = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByLabel('Day', { exact: true }).fill('2026-06-14');
  await page.getByLabel('Step', { exact: true }).selectOption({ index: 2 });
  await page.getByLabel(/^Reps in order/).fill('c c x');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByRole('alert')).toContainText('“x” is none of c');
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(entries);
  await page.getByLabel(/^Reps in order/).fill('c c f m');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByText('4 reps of 14 Jun 2026 are in the log.')).toBeVisible();
  await expect(page.getByLabel('Rep 3 of 14 Jun 2026: outcome').first()).toHaveValue('flawed');
});
