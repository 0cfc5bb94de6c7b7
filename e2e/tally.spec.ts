import { expect, storedCount, test } from './fixtures';

test('a tally sheet is printed, and typed in as it stands: wrong letters said, all lines or none, one undo', async ({
  page,
}) => {
  await page.addInitScript(() => {
    globalThis.print = () => {
      document.documentElement.dataset.printed = 'true';
    };
  });
  await page.goto('/sample/field');
  await page.getByRole('link', { name: 'A field without a phone: a sheet to tally on' }).click();
  await expect(page.getByText('Sheet 1: Quill')).toBeVisible();
  const boxes = page.getByRole('checkbox');
  for (const box of await boxes.all()) await box.setChecked(false);
  for (const name of ['Give', 'Present straight']) await page.getByRole('checkbox', { name }).check();
  await expect(page.getByText(/^1\. /)).toBeVisible();
  await page.getByRole('button', { name: 'Print it' }).click();
  await expect(page.locator('html[data-printed]')).toHaveCount(1);
  await page.getByRole('link', { name: 'Type one in' }).click();
  await expect(page.getByLabel('Which sheet')).toContainText('Sheet 1, printed 15 Jun 2026');
  const before = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing is typed yet');
  const [one, two] = [page.getByLabel(/^1\. /), page.getByLabel(/^2\. /)];
  await one.click();
  await page.keyboard.type('ccfxc');
  await expect(page.getByText(/“x” is none of/)).toBeVisible();
  await two.click();
  await page.keyboard.type('mmc');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before);
  await one.click();
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('mc');
  await page.getByLabel('Day').fill('2026-06-14');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByRole('status').filter({ hasText: '8 goes of 2 lines' })).toBeVisible();
  await expect.poll(() => storedCount(page, 'regulon-sample', 'entries')).toBe(before + 8);
  await expect(one).toHaveValue('');
  await page.goto('/sample/field/sample-give/log');
  await expect(page.getByLabel(/^Rep \d of 14 Jun 2026: outcome$/)).toHaveCount(5);
});

test('without a printed sheet the way to one is shown', async ({ page }) => {
  await page.goto('/sample/field/tally/type');
  await expect(page.getByText('No sheet of Quill was printed here yet.')).toBeVisible();
  await page.getByRole('link', { name: 'To the sheet' }).click();
  await expect(page.getByRole('button', { name: 'Print it' })).toBeVisible();
});
