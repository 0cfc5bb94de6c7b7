import type { Page } from '@playwright/test';
import { expect, storedCount, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().tap();
async function named(page: Page, name: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Name' }).tap();
  await page.keyboard.type(name);
}

test('by the name alone: the dog is there, and every page of it leads on', async ({ page }) => {
  await page.goto('/');
  await named(page, 'Wren');
  await page.getByRole('radio', { name: 'Only the name for now' }).tap();
  await tap(page, 'Go on');
  await expect(page.getByRole('heading', { name: 'Wren has nothing to train yet' })).toBeVisible();
  await page.getByRole('link', { name: 'By a ready method' }).tap();
  await expect(page.getByRole('heading', { name: 'What will Wren learn next?' })).toBeVisible();
  await page.getByRole('radio', { name: 'Memory retrieve' }).tap();
  await page.getByLabel(/ now$/).tap();
  await page.keyboard.type('5 yd');
  await page.getByLabel(/ wanted$/).tap();
  await page.keyboard.type('60 yd');
  await tap(page, 'Make the ladder');
  await expect(page.getByRole('heading', { name: 'Wren: Memory retrieve' })).toBeVisible();
  expect(await storedCount(page, 'regulon-own', 'dogs')).toBe(1);
});

for (const [method, answers, card] of [
  ['nose to hand', [], 'Any approach'],
  ['scent discrimination', ['2 m', '10 m'], ''],
  ['toy game', [], 'Takes on the word'],
  ['tub', ['90 L', '25 L'], ''],
  ['recall', ['5 m', '25 m'], ''],
] as const)
  test(`by a method: ${method}, to its card and its first rep`, async ({ page }) => {
    await page.goto('/own/start');
    await named(page, 'Wren');
    const list = page.getByLabel('Or by another method');
    const titles = await list.locator('option').allInnerTexts();
    const title = titles.find((one) => one.toLowerCase().includes(method.toLowerCase())) ?? '';
    expect(title).not.toBe('');
    await list.selectOption({ label: title });
    const fields = page.getByRole('textbox', { name: / (now|wanted)$/ });
    await expect(fields).toHaveCount(answers.length);
    for (const [i, answer] of answers.entries()) {
      await fields.nth(i).tap();
      await page.keyboard.type(answer);
    }
    await tap(page, 'Make the ladder');
    // The card with its cautions comes before the first pad.
    await expect(page.getByRole('region', { name: 'Before the session' })).toBeVisible();
    await expect(page.getByText(/see a veterinary surgeon/)).toBeVisible();
    if (card !== '') await expect(page.getByRole('heading', { name: /^Wren: / })).toBeVisible();
    for (const box of await page.getByRole('checkbox').all()) await box.check();
    await tap(page, 'Begin');
    await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
    expect(await storedCount(page, 'regulon-own', 'bouts')).toBe(1);
  });

test('something of one’s own, and by a rule book', async ({ page }) => {
  await page.goto('/own/start');
  await named(page, 'Wren');
  await page.getByRole('radio', { name: 'Something of my own' }).tap();
  await tap(page, 'Make the ladder');
  await expect(page.getByText('Say in a few words what you want to teach.')).toBeVisible();
  await page.getByLabel('What it is').tap();
  await page.keyboard.type('Sits in the boat');
  await page.getByLabel('What makes it harder', { exact: true }).selectOption({ index: 1 });
  await page.getByRole('textbox', { name: / now$/ }).tap();
  await page.keyboard.type('2');
  await page.getByRole('textbox', { name: / wanted$/ }).tap();
  await page.keyboard.type('30');
  await tap(page, 'Make the ladder');
  await expect(page.getByRole('heading', { name: 'Wren: Sits in the boat' })).toBeVisible();
  await page.goto('/own/start');
  await named(page, 'Abel');
  await page.getByRole('radio', { name: 'An exercise of a rule book' }).tap();
  await tap(page, 'Go on');
  await expect(page.getByRole('heading', { level: 1, name: 'Rule books' })).toBeVisible();
  await expect(page.getByLabel('Dog', { exact: true }).locator('option:checked')).toHaveText('Abel');
});

test('a second dog is chosen at once, stays so over a reload, and has its place in the person’s order', async ({
  page,
}) => {
  for (const dog of ['Wren', 'Abel']) {
    await page.goto('/own/start');
    await named(page, dog);
    await page.getByRole('radio', { name: 'Only the name for now' }).tap();
    await tap(page, 'Go on');
    await expect(page.getByRole('heading', { name: `${dog} has nothing to train yet` })).toBeVisible();
  }
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Abel has nothing to train yet' })).toBeVisible();
  await page.goto('/own/kennel');
  await tap(page, 'Abel further up');
  await expect(page.getByText('The order is kept.')).toBeVisible();
  await expect(page.getByLabel('Dog', { exact: true }).locator('option')).toHaveText(['Abel', 'Wren']);
  await tap(page, 'Put Wren away');
  await expect(page.getByLabel('Dog', { exact: true })).toHaveCount(0);
  await tap(page, 'Bring Wren back');
  await expect(page.getByLabel('Dog', { exact: true }).locator('option')).toHaveText(['Abel', 'Wren']);
});

test('an element, an exercise and a rule book are put away and brought back', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-give/about');
  await tap(page, 'Put it away');
  await expect(page.getByText('Give is put away; everything of it is kept.')).toBeVisible();
  await expect(page).toHaveURL(/breakdown$/);
  await page.goto('/sample/field');
  await expect(page.getByRole('link', { name: /^Give/ })).toHaveCount(0);
  await page.goto('/sample/breakdown');
  await tap(page, 'Bring it back: Give');
  await expect(page.getByText('Give is back.')).toBeVisible();
  await page.getByRole('button', { name: 'Put this exercise away' }).first().tap();
  await expect(page.getByText('The exercise is put away; its pieces stay as they are.')).toBeVisible();
  await tap(page, /^Bring it back: Send-away/);
  await expect(page.getByText('Send-away to the square is back.')).toBeVisible();
  await page.goto('/sample/rule-books');
  await tap(page, 'Put it away');
  await expect(page.getByText(/is put away; what was broken down by it stays/)).toBeVisible();
  await tap(page, 'Bring it back');
  await expect(page.getByText(/ is back\./)).toBeVisible();
});

test('a trial on a wrong day is put right in two taps, withdrawn, and entered again', async ({ page }) => {
  await page.goto('/sample/today');
  await page.getByRole('link', { name: 'Change or withdraw it' }).tap();
  const day = page.getByLabel('Day: Vellmoor club trial');
  await expect(day).toBeVisible();
  await day.fill('2027-03-04');
  await expect(page.getByText('Vellmoor club trial is on 4 Mar 2027 now.')).toBeVisible();
  await tap(page, 'Undo');
  await expect(day).toHaveValue('2026-07-11');
  await tap(page, 'Withdraw: Vellmoor club trial');
  await expect(page.getByRole('button', { name: 'Enter again: Vellmoor club trial' })).toBeVisible();
  await page.goto('/sample/today');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quill: what to do today');
  await page.goto('/sample/readiness');
  await expect(page.getByRole('heading', { name: 'No trial ahead for Quill' })).toBeVisible();
  await tap(page, 'Enter again: Vellmoor club trial');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Vellmoor club trial');
});

test('a whole class for another dog: taken over in one go, or broken down by its starts', async ({
  page,
}) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
  await page.goto('/sample/rule-books/vellmoor-obedience-two');
  await page.getByRole('link', { name: 'Break it all down for Otto' }).tap();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('all of it, for Otto');
  await tap(page, 'Break it all down');
  await expect(page.getByText(/fields want another look; nothing is saved yet/)).toBeVisible();
  await tap(page, /^Take \d+ exercises? over from Quill/);
  await expect(page).toHaveURL(/breakdown$/);
  await expect(page.getByRole('heading', { name: 'Send-away to the square' })).toBeVisible();
  await page.goto('/sample/rule-books/vellmoor-obedience-two');
  await page.getByRole('link', { name: 'Break it all down for Otto' }).tap();
  await expect(page.getByText('All of it is broken down already.')).toBeVisible();
});

test('words and signals in one list: doubles and near-alikes are said, and what to do', async ({ page }) => {
  await page.goto('/sample/kennel');
  const write = async (word: string, kind: string): Promise<void> => {
    await tap(page, 'Write one down');
    await page.getByLabel('Word, whistle or gesture').tap();
    await page.keyboard.type(word);
    await page.getByLabel('What it is').selectOption({ label: kind });
    await tap(page, 'Keep it');
    await expect(page.getByText(`“${word}” is on the list.`)).toBeVisible();
  };
  await write('yes', 'Release');
  await expect(page.getByText('“Yes” means two things, marker and release')).toBeVisible();
  await write('Goood', 'Cue');
  await expect(page.getByText(/“Goood” \(cue\) and “Good” \(keep going\) are nearly alike/)).toBeVisible();
});

test('the search finds by other words, by the key and by thumb, and goes there', async ({ page }) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('smell');
  await expect(page.getByRole('button', { name: /^Scent discrimination/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await tap(page, 'Search');
  await page.keyboard.type('Juniper blind');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Blind retrieve');
  await expect(page.getByLabel('Dog', { exact: true }).locator('option:checked')).toHaveText('Juniper');
});

test('words of the region: a bumper by choice, everywhere', async ({ page }) => {
  await page.goto('/sample/settings');
  await page.getByLabel('What is thrown and fetched').selectOption('bumper');
  // The page is loaded again, in the words that were chosen.
  await page.waitForLoadState('load');
  await expect(page.getByLabel('What is thrown and fetched')).toHaveValue('bumper');
  await page.goto('/sample/breakdown/methods/memory-retrieve');
  await expect(page.getByText(/sees the bumper lie/).first()).toBeVisible();
  await expect(page.getByRole('main')).not.toContainText(/dumm(y|ies)/i);
});
