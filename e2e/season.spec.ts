import type { Page } from '@playwright/test';
import { expect, storedCount, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 } });

const what = (page: Page, name: string) =>
  page.getByRole('group', { name: 'What it was' }).getByRole('button', { name, exact: true });
const end = (page: Page, name: string) =>
  page.getByRole('group', { name: 'How it ended' }).getByRole('button', { name, exact: true });

/** A dog of one's own with a blind that is trained from 10 yd to 40, in an empty kennel. */
async function dogWithBlinds(page: Page): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Wren');
  await page.getByRole('radio', { name: 'Memory retrieve' }).click();
  await page.getByLabel('Distance to the dummy now').click();
  await page.keyboard.type('10 yd');
  await page.getByLabel('Distance to the dummy wanted').click();
  await page.keyboard.type('40 yd');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
}

async function far(page: Page, text: string): Promise<void> {
  await page.getByLabel('How far').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}

test('a day is tapped, two taps an event; quotas are said in time; what was asked of it is said', async ({
  page,
}) => {
  await dogWithBlinds(page);
  await page.goto('/own/season');
  await expect(page.getByText('No live day is kept yet.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'First season' }).click();
  await page.getByLabel('Birds a day, at most').click();
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept to from now on.')).toBeVisible();
  await page.getByRole('link', { name: 'A day out', exact: true }).click();
  await expect(page.getByText('First season: few and easy, and the day is the dog’s.')).toBeVisible();
  // Before it is said what it was, an end says nothing.
  await end(page, 'lost').click({ force: true });
  expect(await storedCount(page, 'regulon-own', 'events')).toBe(0);
  let taps = 0;
  const tap = async (kind: string, ended: string): Promise<void> => {
    for (const one of [what(page, kind), end(page, ended)]) {
      await one.click();
      taps++;
    }
  };
  await tap('Mark', 'right');
  await expect(page.getByText('1 of 3 birds.')).toBeVisible();
  await tap('Blind', 'lost');
  await expect(page.getByText('2 of 3 birds: one more, an easy one, then it is enough.')).toBeVisible();
  // The same again is one tap: what it was stays in hand.
  await end(page, 'right').click();
  await expect(page.getByText('3 birds were to be enough: stop while it is good.')).toBeVisible();
  expect([taps, await storedCount(page, 'regulon-own', 'events')]).toEqual([4, 3]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('2 of 3 birds: one more', { exact: false })).toBeVisible();
  const mark = page.getByRole('listitem').filter({ hasText: 'Mark: right' });
  await mark.getByRole('button', { name: 'Steady', exact: true }).click();
  const faulty = page.getByRole('listitem').filter({ hasText: 'Mark: fault' });
  await expect(faulty.getByRole('button', { name: 'Not steady' })).toBeVisible();
  await faulty.getByRole('button', { name: 'Not steady' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Mark: right' })).toBeVisible();
  // It is no rep of the log until somebody counts it as one; that is taken back too.
  const reps = () => storedCount(page, 'regulon-own', 'entries');
  expect(await reps()).toBe(0);
  await page.getByRole('button', { name: /^Count it as a rep of Memory retrieve: Mark/ }).click();
  await expect(page.getByText('It counts as a rep of the log', { exact: false })).toBeVisible();
  expect(await reps()).toBe(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('button', { name: /^Count it as a rep of Memory retrieve: Mark/ }),
  ).toBeVisible();
  // The log is only ever added to: the rep, and that it is taken back.
  expect(await reps()).toBe(2);
  // Companions by name; more than were meant is said where somebody said a number.
  await page.getByLabel('Who is along').click();
  await page.keyboard.type('Ada, Bo and Cleo');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Companions kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Who is along')).toHaveValue('Ada, Bo and Cleo');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
});

test('an evening is typed; a hole is found, and becomes planned work in one tap', async ({ page }) => {
  await dogWithBlinds(page);
  await page.goto('/own/season/day');
  // What fits a piece of cover, by what was trained: a mark that is further is not.
  await far(page, '60 yd');
  await expect(page.getByText(/^60.yd, trained to 10.yd: too far today/)).toBeVisible();
  await page.getByLabel('Day', { exact: true }).fill('2026-06-10');
  await expect(page.getByRole('heading', { name: /^What happened, .*10/ })).toBeVisible();
  await far(page, 'sixty');
  await expect(page.getByText(/“sixty” is not/)).toBeVisible();
  await what(page, 'Mark').click();
  await end(page, 'right').click();
  expect(await storedCount(page, 'regulon-own', 'events')).toBe(0);
  for (const [index, metres] of [20, 25, 30, 35, 28, 33, 62, 70, 66, 75, 64].entries()) {
    await far(page, `${metres}`);
    await end(page, index < 6 ? 'right' : 'lost').click();
    await expect.poll(() => storedCount(page, 'regulon-own', 'events')).toBe(index + 1);
  }
  // A scene from before the program belongs to no day, and is told in the same two taps.
  await page.getByRole('button', { name: 'A scene from before this program' }).click();
  await expect(page.getByRole('heading', { name: 'A scene from before' })).toBeVisible();
  await what(page, 'Delivery').click();
  await end(page, 'fault').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Delivery, 64' })).toBeVisible();
  await page.getByRole('link', { name: 'The season so far' }).click();
  await expect(page.getByText('One day, 11 events, one scene from before, one hole.')).toBeVisible();
  await expect(page.getByText(/^Marks past 40.yd: 0 of 5 right$/)).toBeVisible();
  await expect(page.getByText(/It cost 5: one that is lost counts 1/)).toBeVisible();
  // The work that it is taken for is named; its goal is raised in one tap, and Undo lowers it.
  await expect(page.getByLabel('Work it with').locator('option:checked')).toHaveText('Memory retrieve');
  await page.getByRole('button', { name: /^Make it work: train to 75.yd$/ }).click();
  await expect(page.getByText(/^Memory retrieve: trained to 75.yd from now on/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'To its card' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Make it work/ })).toBeVisible();
  await page.getByRole('button', { name: /^Make it work/ }).click();
  await page.getByRole('link', { name: 'Set the scene up again' }).click();
  await expect(
    page.getByLabel('Which step').locator('option').filter({ hasText: '75' }).first(),
  ).toBeAttached();
});
