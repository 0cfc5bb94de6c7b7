import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect } from './fixtures';

/** A rule book as somebody hands it over. */
const bookFile = (name: string) => ({
  name: 'book.json',
  mimeType: 'application/json',
  buffer: readFileSync(`src/demo/rule-books/${name}.json`),
});

/** A dog of one’s own from an empty kennel, typed key by key, and a rule book read in. */
export async function ownDogWith(page: Page, dog: string, book: string): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type(dog);
  await page.getByRole('radio', { name: 'Only the name for now' }).click();
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: `${dog} has nothing to train yet` })).toBeVisible();
  await page.goto('/own/rule-books');
  await page.getByLabel('Rule-book file').setInputFiles(bookFile(book));
  await expect(page.getByRole('link', { name: 'What does it cost?' })).toBeVisible();
}

/** Says of every exercise that is not over yet that it is done. */
export async function allDone(page: Page): Promise<void> {
  const left = page.getByRole('region', { name: 'Close the sheet' }).getByRole('button', { name: /: done$/ });
  for (let more = await left.count(); more > 0; more--) {
    await left.first().click();
    await expect(left).toHaveCount(more - 1);
  }
}
