import { type Browser, expect, type TestInfo } from '@playwright/test';
import { phoneOf, savedFile, storedCount } from '../fixtures';
import type { KnownDog } from './known-dog';
import { Year } from './year';

/** A lesson on the phone while the other device logs one too, and both brought together. */
export async function twoDevices(
  year: Year,
  dog: KnownDog,
  browser: Browser,
  baseURL: string | undefined,
  info: TestInfo,
): Promise<void> {
  const { page } = year;
  await page.goto('/own/files');
  const all = await savedFile(page, 'Save everything to one file', info, 'all.json');
  const device = await phoneOf(browser, baseURL);
  const phone = await Year.begin(device);
  await device.goto('/own/files');
  await phone.on(year.day, '/own/files');
  await device.getByLabel('Kennel file').setInputFiles(all);
  await phone.tap(phone.button('Add what is new in it'));
  await expect(device.getByText(/Added \d+ sessions? and/)).toBeVisible({ timeout: 120_000 });
  await phone.on(year.day);
  await phone.lesson(dog, 1, 6);
  await year.on(year.day);
  await year.lesson(dog, 1, 6);
  await device.goto('/own/files');
  const small = await savedFile(device, 'Save what is new', info, 'new.json');
  const before = await storedCount(page, 'regulon-own', 'entries');
  const logged = await storedCount(device, 'regulon-own', 'entries');
  await page.goto('/own/files');
  await page.getByLabel('Kennel file').setInputFiles(small);
  await year.tap(year.button('Add what is new in it'));
  const said = page.getByText(/Added 1 session and \d+ entries/);
  await expect(said).toBeVisible({ timeout: 120_000 });
  const words = (await said.textContent()) ?? '';
  const added = (await storedCount(page, 'regulon-own', 'entries')) - before;
  const [, entries] = /and (\d+) entries/.exec(words) ?? [];
  year.wrote('Two devices brought together', words, Number(entries) === added && logged > added);
  await device.context().close();
}
