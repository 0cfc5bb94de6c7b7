import type { Page } from '@playwright/test';
import { expect, storedCount } from './fixtures';

export const last = (page: Page) => page.getByLabel('Last rep');
export const reps = (page: Page, n: number, clean = '\\d+') =>
  expect(
    page.getByText(new RegExp(`^${n} reps?[,;].*${clean} clean`)).filter({ visible: true }),
  ).toBeVisible();
export const entries = (page: Page) => storedCount(page, 'regulon-sample', 'entries');

export async function begin(page: Page, element: string): Promise<void> {
  await page.goto(`/sample/field/${element}`);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
}
