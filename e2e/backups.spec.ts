import type { Page } from '@playwright/test';
import { expect, storedCount, test } from './fixtures';

/**
 * The browser's own private folder stands in for one of the device, with a question that the test answers. `fault`
 * makes the next write fail as browsers do.
 */
const FOLDER = `{
  globalThis.showDirectoryPicker = async () =>
    (await navigator.storage.getDirectory()).getDirectoryHandle('backups', { create: true });
  FileSystemDirectoryHandle.prototype.queryPermission = async () => localStorage.getItem('test-permission') ?? 'granted';
  FileSystemDirectoryHandle.prototype.requestPermission = async () => {
    const answer = localStorage.getItem('test-answer') ?? 'granted';
    localStorage.setItem('test-permission', answer);
    return answer;
  };
  const create = FileSystemFileHandle.prototype.createWritable;
  FileSystemFileHandle.prototype.createWritable = async function (...args) {
    const fault = localStorage.getItem('test-fault');
    if (fault) throw new DOMException('no', fault);
    return create.apply(this, args);
  };
}`;
const inFolder = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const root = await navigator.storage.getDirectory();
    const names: string[] = [];
    try {
      const folder = (await root.getDirectoryHandle('backups')) as FileSystemDirectoryHandle & {
        keys(): AsyncIterable<string>;
      };
      for await (const name of folder.keys()) names.push(name);
    } catch {
      return ['no folder'];
    }
    return names.sort();
  });
const set = (page: Page, key: string, value: string | null): Promise<void> =>
  page.evaluate(
    ([name, text]) => (text === null ? localStorage.removeItem(name) : localStorage.setItem(name, text)),
    [key, value] as const,
  );

test('a folder is chosen once; a backup a day by itself; checked; put back; faults said in words', async ({
  page,
}) => {
  await page.addInitScript(FOLDER);
  await page.goto('/sample/files');
  const sheet = page.getByRole('region', { name: 'Backups' });
  await expect(sheet).toContainText('Nothing of this kennel has been saved to a file yet.');
  await sheet.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(sheet.getByRole('status')).toContainText(
    /regulon-sample-backup-20260615T\d+Z.json is written, and reads/,
  );
  const [first] = await inFolder(page);
  await sheet.getByRole('button', { name: /^Check that of/ }).click();
  await expect(sheet.getByRole('status')).toContainText(/reads: 3 dogs, 293 sessions, 2,924 reps\./);

  // What was lost since comes back, and that too can be taken back.
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Enough for now' }).click();
  const more = await storedCount(page, 'regulon-sample', 'entries');
  await page.goto('/sample/files');
  await sheet
    .getByRole('button', { name: /^Look into that of/ })
    .first()
    .click();
  await page.getByRole('dialog').getByRole('button', { name: 'Replace it' }).click();
  await expect.poll(() => storedCount(page, 'regulon-sample', 'entries')).toBe(more - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => storedCount(page, 'regulon-sample', 'entries')).toBe(more);

  // Full, locked and gone: said, the older one as it was.
  for (const [fault, words] of [
    ['QuotaExceededError', 'There is no room left in the folder.'],
    ['NoModificationAllowedError', 'Another program holds the file.'],
    ['NotAllowedError', 'The browser does not let the folder be written any more.'],
  ] as const) {
    await set(page, 'test-fault', fault);
    await sheet.getByRole('button', { name: 'Back up now' }).click();
    await expect(sheet.getByRole('alert')).toContainText(words);
    expect(await inFolder(page)).toEqual([first]);
  }
  await set(page, 'test-fault', null);
  await set(page, 'test-permission', 'prompt');
  await set(page, 'test-answer', 'denied');
  await sheet.getByRole('button', { name: 'Back up now' }).click();
  await expect(sheet.getByRole('alert')).toContainText('does not let the folder be written');
  await set(page, 'test-permission', 'prompt');
  await set(page, 'test-answer', 'granted');
  await sheet.getByRole('button', { name: 'Back up now' }).click();
  await expect(sheet.getByRole('status')).toContainText('is written, and reads');
  await page.evaluate(async () =>
    (await navigator.storage.getDirectory()).removeEntry('backups', { recursive: true }),
  );
  await sheet.getByRole('button', { name: 'Back up now' }).click();
  await expect(sheet.getByRole('alert')).toContainText('The folder is not there any more');
});

test('on the next day a backup is made when the program is opened, without a question', async ({ page }) => {
  await page.addInitScript(FOLDER);
  await page.goto('/sample/files');
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is written' })).toBeVisible();
  expect(await inFolder(page)).toHaveLength(1);
  // The clock goes on by a day.
  await page.addInitScript(`{
    const Real = Date;
    globalThis.Date = class extends Real {
      constructor(...args) { super(...(args.length > 0 ? args : [Real.now() + 86400000])); }
      static now() { return Real.now() + 86400000; }
    };
  }`);
  await page.goto('/sample/today');
  await expect.poll(() => inFolder(page)).toHaveLength(2);
  expect((await inFolder(page)).at(-1)).toContain('20260616T');
  await page.goto('/sample/plan');
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  expect(await inFolder(page)).toHaveLength(2);
});
