import { expect, padKey, test } from './fixtures';

test('the first page leads somebody new round the sample in six steps, and to a dog of their own', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page).toHaveURL(/own\/start$/);
  await page.getByRole('link', { name: 'The first ten minutes' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The first ten minutes');
  await page.getByRole('link', { name: 'Look round in six steps' }).click();
  const round = page.getByRole('complementary', { name: /^Looking round/ });
  await expect(round).toContainText('1 of 6');
  // To go on is offered as done only when it is.
  await expect(round.getByRole('link', { name: 'Skip this' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin this session' }).click();
  // It stays on the pad: the next two are done there.
  await expect(round).toContainText('Done.');
  await round.getByRole('link', { name: 'On to: Log three goes' }).click();

  await expect(round).toContainText('2 of 6');
  for (const key of ['c', 'c', 'm']) await padKey(page, key);
  await expect(round).not.toContainText('Done.');
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(round).toContainText('Done.');
  // A reload, and another room, lose nothing of it.
  await page.reload();
  await expect(round).toContainText('2 of 6');
  await expect(round).toContainText('Done.');
  await round.getByRole('link', { name: 'On to: End the session' }).click();
  await page.getByRole('button', { name: 'Enough for now' }).first().click();
  await expect(round).toContainText('Done.');
  await round.getByRole('link', { name: 'On to: Take an exercise apart' }).click();
  await expect(round).toContainText('4 of 6');
  await page
    .getByRole('link', { name: /^Ladder of/ })
    .first()
    .click();
  await expect(round).toContainText('Done.');
  await round.getByRole('link', { name: /^On to: Would it pass/ }).click();
  await expect(round).toContainText('Done.');
  await round.getByRole('link', { name: /^On to: The weeks/ }).click();
  await expect(round).toContainText('That is the round');
  await round.getByRole('link', { name: 'My own dog' }).click();
  await expect(page).toHaveURL(/own\/start$/);
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await expect(round).toHaveCount(0);
});

test('help is on every page and of that page; the guide is searched letter by letter', async ({ page }) => {
  for (const [path, title] of [
    ['/own/start', 'The first ten minutes'],
    ['/sample/readiness', 'Readiness'],
    ['/sample/field/sample-give', 'Field'],
    ['/sample/season', 'Live days'],
  ] as const) {
    await page.goto(path);
    await page.getByRole('button', { name: 'Help for this page' }).click();
    await expect(page.getByRole('dialog', { name: title })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Help for this page' })).toBeFocused();
  }
  await page.getByRole('button', { name: 'Help for this page' }).click();
  await page.getByRole('link', { name: 'The whole guide, and search' }).click();
  await page.getByLabel('Search the guide').click();
  await page.keyboard.type('spreadsheet');
  const found = page.getByRole('list', { name: 'Pages of the guide' });
  await expect(found.getByRole('link')).toHaveCount(1);
  await found.getByRole('link', { name: /^Files/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Files');
  await page.getByLabel('Search the guide').click();
  await page.keyboard.type('xyzzy');
  await expect(page.getByText('No page says that. Try another word.')).toBeVisible();
  // By the search of the whole program too.
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('/');
  await page.keyboard.type('home screen');
  await expect(page.getByRole('button', { name: /^Guide: On the phone/ })).toBeVisible();
});

test('settings hold at once, outlive a reload, and reach the pages that they are about', async ({ page }) => {
  await page.goto('/sample/files');
  await page.getByRole('link', { name: 'Settings of this device' }).click();
  const root = page.locator('html');
  await page.getByLabel('Light or dark').selectOption({ label: 'dark, for dusk' });
  await expect(root).toHaveAttribute('data-theme', 'dusk');
  await page.getByLabel('Contrast').selectOption({ label: 'strong: black and white' });
  await page.getByLabel('Size of letters').selectOption({ label: 'largest' });
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).fontSize)).toBe('20.8px');
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)).toBe(
    'rgb(0, 0, 0)',
  );
  await page.getByLabel('A week begins on').selectOption({ label: 'Sunday' });
  await page.getByLabel('For the left hand').check();
  await page.getByLabel('Distances').selectOption('yd');
  await page.getByLabel('As they are written in').selectOption({ label: 'Deutsch' });
  // It is loaded again, and all of it is as it was chosen.
  await expect(page.getByText('12,5 m')).toBeVisible();
  await expect(page.getByLabel('Size of letters')).toHaveValue('130');
  await expect(page.getByLabel('Distances')).toHaveValue('yd');
  await expect(page.getByLabel('For the left hand')).toBeChecked();
  await expect(root).toHaveAttribute('data-contrast', 'more');
  // A key for a remote; one that is taken says so.
  await page.getByRole('button', { name: 'Change the key: Clean' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('alert')).toContainText('needed for something else');
  await page.getByRole('button', { name: 'Change the key: Clean' }).click();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Page Down')).toBeVisible();

  await page.goto('/sample/plan');
  await expect(page.getByText(/^So\. 14 Juni – Sa\. 20 Juni/).first()).toBeVisible();
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Wren');
  await page.getByLabel('Distance to you now').click();
  await page.keyboard.type('5');
  await page.getByLabel('Distance to you wanted').click();
  await page.keyboard.type('25');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByText(/5\syd/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Clean/ })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByLabel('Last rep')).toContainText('clean');

  await page.goto('/sample/settings');
  await page.getByLabel('Light or dark').selectOption({ label: 'as the device' });
  await page.emulateMedia({ colorScheme: 'light' });
  await page.getByLabel('As they are written in').selectOption({ label: 'the browser’s language' });
  await expect(page.getByText('12.5 m')).toBeVisible();
  await expect(root).toHaveAttribute('data-theme', 'light');
  // Evening comes while the page is open, and the page follows the device; paper stays paper.
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(root).toHaveAttribute('data-theme', 'dusk');
  await page.emulateMedia({ colorScheme: 'dark', media: 'print' });
  const printed = () =>
    page.evaluate(() => {
      const { fontSize, backgroundColor } = getComputedStyle(document.documentElement);
      return [fontSize, backgroundColor];
    });
  expect(await printed()).toEqual(['11px', 'rgb(255, 255, 255)']);
  await page.goto('/sample/rule-books/vellmoor-obedience-two');
  await expect(page.locator('.digest')).toBeAttached();
  expect((await printed())[0]).toBe('8px');
});
