import { expect, test } from './fixtures';

test.use({ locale: 'de-DE', viewport: { width: 390, height: 844 } });

test('comma and day by the person’s language: written so, and read key by key', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-stop-down');
  const start = page.getByLabel(/^Start, Distance from you/);
  await start.fill('');
  await start.click();
  await page.keyboard.type('2,5 m');
  await page.keyboard.press('Enter');
  await expect(start).toHaveValue('2,5 m');
  await page.goto('/sample/field/sample-present');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('button', { name: /^Clean/ }).click();
  await page.getByText('More about this rep').click();
  await page
    .getByLabel(/^Degrees off/)
    .first()
    .click();
  await page.keyboard.type('3,4');
  await page
    .getByRole('button', { name: /^Take it: Degrees off/ })
    .first()
    .click();
  await expect(page.getByLabel(/^Degrees off .*now 3,4°/).first()).toBeVisible();
  await page.goto('/sample/field/sample-present/log');
  // A day as it is written there, and nowhere one of the machine's own.
  await expect(page.getByRole('heading', { name: /^\d{1,2}\. \p{L}+\.? \d{4}$/u }).first()).toBeVisible();
  expect(await page.locator('main').innerText()).not.toMatch(/\d{4}-\d\d-\d\d/);
});
