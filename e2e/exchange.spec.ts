import type { Page } from '@playwright/test';
import { expect, phoneOf, savedFile, storedCount, test } from './fixtures';

const TEXT = { mimeType: 'application/json' };

async function add(
  page: Page,
  file: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  await page.goto('/sample/files');
  await page.getByLabel('Kennel file').setInputFiles(file);
  await page.getByRole('button', { name: 'Add what is new in it' }).click();
}

async function rename(page: Page, name: string): Promise<void> {
  await page.goto('/sample/kennel');
  const field = page.getByLabel('Name', { exact: true });
  await field.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.type(name);
  await page.keyboard.press('Tab');
  await expect(page.getByText('Name changed.')).toBeVisible();
}

/** The outcome of the first rep in the log of this element, as the log shows it. */
const firstRep = (page: Page) => page.getByLabel(/^Rep \d+ of .*: outcome$/).first();
async function judge(page: Page, is: string): Promise<void> {
  await page.goto('/sample/field/sample-present/log');
  await firstRep(page).selectOption(is);
  await expect(page.getByText(/is said again/)).toBeVisible();
}

test('two devices: a small file, what both changed side by side, decided in words, undone, and at peace', async ({
  page,
  browser,
  baseURL,
}, info) => {
  const phone = await phoneOf(browser, baseURL);
  await page.goto('/sample/files');
  await expect(page.getByText('No file has gone to another device or come from one yet')).toBeVisible();
  const all = await savedFile(page, 'Save everything to one file', info, 'all.json');
  await add(phone, all);
  await expect(phone.getByText(/No session in it is new/)).toBeVisible();

  await rename(page, 'Quillon');
  await rename(phone, 'Merle');
  await judge(page, 'miss');
  await judge(phone, 'flawed');
  await phone.goto('/sample/field/sample-give');
  await phone.getByRole('button', { name: 'Begin' }).click();
  for (let i = 1; i <= 2; i++) {
    await phone.getByRole('button', { name: 'Clean' }).click();
    await expect(phone.getByText(new RegExp(`^${i} reps?, ${i} clean`)).first()).toBeAttached();
  }
  await phone.goto('/sample/files');
  await expect(phone.getByLabel('New since')).toContainText('the file brought in, saved');
  const small = await savedFile(phone, 'Save what is new', info, 'new.json');
  await expect(phone.getByRole('status').filter({ hasText: 'The file is made' })).toContainText(
    /: 3 log entries and 3 other records, \d kB/,
  );

  const before = await storedCount(page, 'regulon-sample', 'entries');
  await add(page, small);
  await expect(
    page.getByText(/Added 1 session and 3 entries\..*2 records had been changed on both sides/),
  ).toBeVisible();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 3);
  const sheet = page.getByRole('region', { name: 'Changed on two devices' });
  const name = sheet.getByRole('listitem').filter({ hasText: 'Dog “' });
  await expect(name.getByRole('group', { name: 'Name' })).toBeVisible();
  await expect(name.getByRole('radio')).toHaveCount(2);
  await name.getByRole('radio', { name: /Here,.*Quillon/ }).check();
  await name.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(name).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(name).toBeVisible();
  await name.getByRole('radio', { name: /Here,.*Quillon/ }).check();
  await name.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(page.getByText(/Dog “.*”: decided/)).toBeVisible();

  const rep = sheet.getByRole('listitem').filter({ hasText: /Rep \d+ of “/ });
  await expect(rep.getByRole('group', { name: 'Judged' }).first()).toBeVisible();
  await rep.getByRole('radio', { name: /Here,.*miss/ }).check();
  await rep.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(sheet).toHaveCount(0);

  const back = await savedFile(page, 'Save what is new', info, 'back.json');
  await add(phone, back);
  await expect(
    phone
      .getByText(/No session in it is new|Added 0/)
      .or(phone.getByText(/Added/))
      .first(),
  ).toBeVisible();
  await expect(phone.getByRole('region', { name: 'Changed on two devices' })).toHaveCount(0);
  await phone.goto('/sample/kennel');
  await expect(phone.getByLabel('Name', { exact: true })).toHaveValue('Quillon');
  await phone.goto('/sample/field/sample-present/log');
  await expect(firstRep(phone)).toHaveValue('miss');
  // Nothing is new any more, and no file is made of it.
  await phone.goto('/sample/files');
  await phone.getByRole('button', { name: 'Save what is new' }).click();
  await expect(phone.getByText('Nothing is new since then: no file is needed.')).toBeVisible();
});

test('a small file whose forerunner never came is refused with its day; the phone’s share sheet hands files on', async ({
  page,
  browser,
  baseURL,
}, info) => {
  const phone = await phoneOf(browser, baseURL);
  await phone.addInitScript(() => {
    const shared: string[] = [];
    Object.assign(navigator, {
      canShare: ({ files }: { files: File[] }) => files.every((file) => file.name.endsWith('.txt')),
      share: async ({ files }: { files: File[] }) => {
        for (const file of files) shared.push(`${file.name}\n${await file.text()}`);
        document.documentElement.dataset.shared = shared.join('');
      },
    });
  });
  await phone.goto('/sample/files');
  await phone.getByRole('button', { name: 'Save everything to one file' }).click();
  await phone.getByRole('button', { name: 'Save it here' }).click();
  await rename(phone, 'Merle');
  await phone.goto('/sample/files');
  await phone.getByRole('button', { name: 'Save what is new' }).click();
  await phone.getByRole('button', { name: 'Hand it on …' }).click();
  const handed = (await phone.locator('html').getAttribute('data-shared')) ?? '';
  const [fileName = '', ...rest] = handed.split('\n');
  expect(fileName).toBe('regulon-sample-new-2026-06-15.json.txt');
  await phone.screenshot({ path: info.outputPath('phone.png') });
  await page.goto('/sample/files');
  await page
    .getByLabel('Kennel file')
    .setInputFiles({ name: fileName, ...TEXT, buffer: Buffer.from(rest.join('\n')) });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('It holds what was new since the file saved');
  await expect(dialog.getByRole('button', { name: 'Replace it' })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Add what is new in it' }).click();
  await expect(page.getByRole('alert')).toContainText(
    /goes on from the one that was saved on 15 Jun 2026.*was not brought in here/,
  );
});
