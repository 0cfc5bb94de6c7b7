import type { Page } from '@playwright/test';
import { expect, storedCount, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

const bar = (page: Page) => page.getByRole('navigation', { name: 'Elements and dogs of this lesson' });
const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().tap();
const reps = (page: Page, words: RegExp) => expect(page.getByText(words).first()).toBeAttached();
async function add(page: Page, name: string | RegExp): Promise<void> {
  await tap(page, 'Add to the lesson');
  await page
    .getByRole('dialog')
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .tap();
  await tap(page, 'Begin');
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
}

/** The same with another dog. */
async function addDog(page: Page, name: string): Promise<void> {
  await tap(page, 'Add to the lesson');
  await page.getByRole('group', { name: 'The same, with' }).getByRole('button', { name }).tap();
  await tap(page, 'Begin');
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
}

test('three elements and an easy one with one dog: each keeps its place, one tap changes, ended together', async ({
  page,
}) => {
  await page.goto('/sample/field/sample-give');
  await tap(page, 'Begin');
  await tap(page, 'Clean');
  await reps(page, /^1 rep, 1 clean/);
  await tap(page, 'Easy one');
  await expect(page.getByText('An easy one is logged')).toBeVisible();
  await add(page, 'Present straight');
  await tap(page, 'Clean');
  await reps(page, /^1 rep, 1 clean/);
  await add(page, 'Pick up');
  await tap(page, 'Clean');
  await reps(page, /^1 rep, 1 clean/);
  // One tap, and it is where it was.
  await bar(page).getByRole('link', { name: /^Give/ }).tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Give');
  await reps(page, /^1 rep, 1 clean/);
  await tap(page, 'Clean');
  await reps(page, /^2 reps, 2 clean/);
  await expect(bar(page).getByRole('listitem')).toHaveCount(3);
  await page.reload();
  await expect(bar(page).getByRole('listitem')).toHaveCount(3);
  await reps(page, /^2 reps, 2 clean/);
  await tap(page, 'Enough for now');
  await expect(page.getByRole('link', { name: /^Go on with Quill: P/ })).toHaveCount(2);
  await tap(page, 'End the lesson');
  for (const [title, tally] of [
    ['Give', '2 reps, 2 clean'],
    ['Present straight', '1 rep, 1 clean'],
    ['Pick up', '1 rep, 1 clean'],
  ])
    await expect(page.getByRole('region', { name: `What it comes to: Quill, ${title}` })).toContainText(
      tally ?? '',
    );
  await expect(page.getByText(/^Lesson: .*1 easy one\.$/)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Go on with/ })).toHaveCount(0);
  // The end is taken back as one.
  await tap(page, 'Undo');
  await expect(page.getByRole('link', { name: /^Go on with/ })).toHaveCount(2);
});

test('the bar says of what is not on the pad which step it goes to next', async ({ page }) => {
  await page.goto('/sample/field/sample-give');
  await tap(page, 'Begin');
  await tap(page, 'A step easier');
  const advice = page.getByRole('status', { name: 'Advice' });
  for (let i = 1; i <= 12 && !(await advice.innerText()).startsWith('Advance'); i++) {
    await tap(page, 'Clean');
    await reps(page, new RegExp(`^${i} reps?, ${i} clean`));
  }
  const give = bar(page).getByRole('link', { name: /^Give/ });
  await expect(give).not.toContainText('next');
  const [, at, of] = /(\d+) of (\d+)/.exec(await give.innerText()) ?? [];
  await add(page, 'Pick up');
  await expect(give).toContainText(`${at} of ${of}, next ${Number(at) + 1}`);
  // Taken, it is where it stands; and what goes nowhere says nothing.
  await give.tap();
  await advice.getByRole('button').first().tap();
  await bar(page)
    .getByRole('link', { name: /^Pick up/ })
    .tap();
  await expect(give).toContainText(`${Number(at) + 1} of ${of}`);
  await expect(give).not.toContainText('next');
});

test('run whole: pressed link by link, it breaks at link 3, and the pieces have their evidence', async ({
  page,
}) => {
  await page.goto('/sample/field');
  await page.getByRole('link', { name: 'Run the whole: Send-away to the square' }).tap();
  await expect(page.getByRole('listitem').filter({ hasText: 'Set up at heel' })).toBeVisible();
  await tap(page, 'Begin');
  // Nothing is asked of the whole itself.
  await expect(page.getByText('from end to end')).toBeVisible();
  // A run that was begun by mistake is taken back, and nothing is logged.
  await tap(page, 'Start the run');
  await tap(page, 'Undo');
  await tap(page, 'Start the run');
  await page.waitForTimeout(300);
  await tap(page, /^Set up at heel: done/);
  await page.waitForTimeout(300);
  await tap(page, /^Run out straight: done/);
  await tap(page, 'It broke here');
  await expect(page.getByLabel('Last rep')).toContainText('broke at Stop and lie down in the square');
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText('It broke at link 3 of 5');
  // Without the clock, at the same link: that piece alone, and enough of the whole.
  await tap(page, /^Broke: 3\./);
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText(
    'It broke twice at link 3 of 5, Stop and lie down in the square: train that piece alone',
  );
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText('2 whole runs; 2 in an outing');
  await tap(page, 'Enough for now');
  await expect(page.getByRole('row', { name: /^Set up at heel/ })).toBeVisible();
});

test('a game with a toy: work and rest in seconds, tallied in the rest', async ({ page }) => {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).tap();
  await page.keyboard.type('Rill');
  await page.getByLabel('Or by another method').selectOption({ label: 'Toy game: take, release, rest' });
  await tap(page, 'Make the ladder');
  await tap(page, 'Begin');
  await tap(page, 'Start word');
  await page.waitForTimeout(1100);
  await tap(page, /^Rest/);
  for (let i = 0; i < 4; i++) await tap(page, 'Times done: one more');
  await tap(page, 'Before the word: one more');
  await tap(page, 'Log this game');
  await reps(page, /^4 reps, 3 clean/);
  // Nothing is stamped or judged out of sight.
  for (const key of [' ', 'f', 'm', '1']) await page.keyboard.press(key);
  await reps(page, /^4 reps, 3 clean/);
  await tap(page, 'Times done: one more');
  await tap(page, /^Start word/);
  await expect(page.getByRole('button', { name: 'Rest', exact: true })).toBeVisible();
  await page.reload();
  // The game goes on over a reload, and so does what was counted of it.
  await expect(page.getByRole('button', { name: 'Rest', exact: true })).toBeVisible();
  await tap(page, 'Enough for now');
  // Counted and not logged: it was done all the same.
  await expect(page.getByText('5 reps, 4 clean').first()).toBeVisible();
  await expect(page.getByText(/^Lesson: .*work 0:\d\d, rest 0:\d\d/)).toBeVisible();
});

test('jumps count over all elements, and at the person’s number the pad offers still work', async ({
  page,
}) => {
  await page.goto('/sample/kennel');
  await page.getByRole('textbox', { name: 'At most' }).fill('2');
  await page.getByLabel('Who says so').fill('the vet');
  await tap(page, 'Keep the number');
  await expect(page.getByText('2 jumps a day · the vet')).toBeVisible();
  await page.goto('/sample/field/sample-jump-out');
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await tap(page, 'Begin');
  await tap(page, 'Clean');
  const counted = page.getByRole('status', { name: 'Counted over all elements' });
  await expect(counted).toContainText('1 of at most 2 jumps today (the vet).');
  await page.goto('/sample/field/sample-jump-back');
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await tap(page, 'Begin');
  await tap(page, 'Miss');
  const miss = page.getByRole('button', { name: 'Not named' });
  if (await miss.isVisible().catch(() => false)) await miss.tap();
  await expect(counted).toContainText('2 jumps today: that is the number (2, the vet).');
  await expect(counted).toContainText('So still work now:');
  await counted.getByRole('link').first().tap();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
});

test('changing the dog while a pad is open keeps both safe', async ({ page }) => {
  await page.goto('/sample/field/sample-give');
  await tap(page, 'Begin');
  await tap(page, 'Clean');
  await reps(page, /^1 rep, 1 clean/);
  const stored = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What will Juniper train?');
  // The lesson is still there, and one tap goes back.
  await bar(page)
    .getByRole('link', { name: /^Quill/ })
    .tap();
  await reps(page, /^1 rep, 1 clean/);
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page
    .getByRole('link', { name: /^Memory retrieve/ })
    .first()
    .tap();
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await tap(page, 'Begin');
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
  // With both open the list of dogs goes from pad to pad.
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Quill' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Give');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Memory retrieve');
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored);
});

test('help that was said for one dog is not said for the next', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-wait/dogs');
  await page.getByLabel('Start for Juniper: time down').fill('2 s');
  await page.getByRole('button', { name: 'Copy to Juniper' }).click();
  await expect(page.getByRole('button', { name: 'Copy to Juniper' })).toHaveCount(0);
  await page.goto('/sample/field/sample-wait');
  await tap(page, 'Begin');
  const more = page.getByRole('region', { name: 'More of this rep' });
  await more.getByRole('button', { name: /^Help, place/ }).tap();
  await more.getByRole('button', { name: 'lead', exact: true }).tap();
  await tap(page, 'Clean');
  await expect(page.getByLabel('Last rep')).toContainText('helped (lead)');
  await addDog(page, 'Juniper');
  await tap(page, 'Clean');
  await expect(page.getByLabel('Last rep')).toContainText('clean');
  await expect(page.getByLabel('Last rep')).not.toContainText('helped');
});

test('Today to the first rep is two taps', async ({ page }) => {
  await page.goto('/sample/today');
  let taps = 0;
  await tap(page, 'Begin this session');
  taps++;
  await expect(page.getByRole('button', { name: 'Enough for now' })).toBeVisible();
  await tap(page, /^Clean/);
  taps++;
  await expect(page.getByLabel('Last rep')).toContainText('clean');
  expect(taps).toBe(2);
});
