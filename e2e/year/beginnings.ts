import { expect } from '@playwright/test';
import { ownDogWith } from '../own-dog';
import type { Year } from './year';

/** Where the dog stands in each of the criteria of the class, in the order of its page. */
const STARTS = '30|6 m|4 m|3 m|4 s|5 s|3 m|5 m|30|1 s|10 cm|2 m|5 s|10 cm|1 m|30|1 s'.split('|');
const BOOK = 'vellmoor-obedience-two';

/** A dog, a rule book, and the whole class in pieces. */
export async function classBrokenDown(year: Year): Promise<void> {
  const { page } = year;
  await ownDogWith(page, 'Wren', BOOK);
  await page.goto(`/own/rule-books/${BOOK}`);
  await year.tap(year.link(/Break it all down/));
  const fields = page.getByRole('textbox', { name: /^Start, / });
  await expect(fields).toHaveCount(STARTS.length);
  for (const [i, start] of STARTS.entries()) await year.type(fields.nth(i), start);
  await year.tap(year.button('Break it all down'));
  await expect(page.getByText('5 fields want another look; nothing is saved yet.')).toBeVisible();
  const wrong = page.locator('input[aria-invalid="true"]');
  // A share of an angle or a height means nothing: it asks, and what is mended no longer says so.
  for (let left = 5; left > 0; left--) {
    await expect(wrong).toHaveCount(left);
    const name = (await wrong.first().getAttribute('aria-label')) ?? '';
    await year.type(wrong.first(), name.includes('Height') ? '5 cm' : '5');
  }
  await expect(wrong).toHaveCount(0);
  await year.tap(year.button('Break it all down'));
  await expect(page).toHaveURL(/breakdown$/);
  const chains = page.getByRole('list', { name: /^Chain of/ });
  await expect(chains).toHaveCount(2);
  const pieces = await chains.getByRole('listitem').count();
  year.wrote('The class in pieces', `${pieces} pieces in ${await chains.count()} exercises`, pieces === 11);
}

/** A second dog with a work of its own, beside the first. */
export async function secondDog(year: Year): Promise<void> {
  const { page } = year;
  await page.goto('/own/today');
  await year.tap(year.link('Add another dog'));
  await year.type(page.getByRole('textbox', { name: 'Name' }), 'Tarn');
  await year.tap(page.getByRole('radio', { name: 'Memory retrieve' }));
  await year.type(page.getByLabel('Distance to the dummy now'), '20 yd');
  await year.type(page.getByLabel('Distance to the dummy wanted'), '40 yd');
  await year.tap(year.button('Make the ladder'));
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tarn: Memory retrieve');
  const text = await page.getByRole('main').innerText();
  const [first] = /Step 1 of \d+: the start/.exec(text) ?? [''];
  year.wrote('A second dog', `Tarn: Memory retrieve. ${first}`, first !== '');
  await takeInHand(year, 'Wren');
}

export async function takeInHand(year: Year, dog: string): Promise<void> {
  await year.page.goto('/own/today');
  await year.choose(year.page.getByLabel('Dog', { exact: true }).first(), dog);
  await expect(year.page.getByRole('heading', { level: 1 })).toContainText(dog);
}

/** A trial by its name and day. */
export async function noteTrial(year: Year, name: string, day: number): Promise<void> {
  const { page } = year;
  await page.goto('/own/readiness');
  await year.type(page.getByLabel('Name of the trial').first(), name);
  await page.getByLabel('Day of the trial').first().fill(year.dateOf(day));
  await year.choose(page.getByLabel('Rule book', { exact: true }).first(), /Vellmoor Obedience, Class Two/);
  await year.tap(year.button('Note the trial'));
  await expect(page.getByText('No trial ahead for Wren')).toHaveCount(0);
}

/** The days and minutes that there are, and a plan up to the trial. */
export async function planTaken(year: Year): Promise<void> {
  const { page } = year;
  await page.goto('/own/plan');
  const time = page.getByRole('region', { name: 'What time there is' });
  for (const day of ['Monday', 'Wednesday', 'Saturday']) {
    await year.type(time.getByLabel(`${day}, min`), '20');
    await page.keyboard.press('Enter');
  }
  // What is planned for the three days is there, not for the first of them alone.
  await expect(page.getByText(/of 60 min planned/).first()).toBeVisible({ timeout: 180_000 });
  // The trial is noted, only further off than is planned; and a first load is held against nothing.
  await expect(page.getByText(/Spring trial, 16 May 2026, is more than eight weeks off/)).toBeVisible();
  await expect(page.getByText(/Tarn: \d+\smetres run, the first week with any/).first()).toBeVisible();
  await planKept(year);
}

/** The same days and minutes, planned anew up to the next trial. */
export async function plannedAnew(year: Year): Promise<void> {
  await year.page.goto('/own/plan');
  await planKept(year);
}

async function planKept(year: Year): Promise<void> {
  await expect(year.button('Take this plan')).toBeEnabled({ timeout: 180_000 });
  await year.tap(year.button('Take this plan'));
  const said = year.page.getByText(/\d+ bouts put in their place/);
  await expect(said).toBeVisible({ timeout: 180_000 });
  const words = (await said.textContent()) ?? '';
  year.wrote('A plan of the weeks', words, Number(/\d+/.exec(words)?.[0]) > 10);
}
