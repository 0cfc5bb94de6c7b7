import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** The sample’s trial is on 11 July; its clock stands on Monday 15 June 2026, 16:30. */
async function planned(page: Page): Promise<void> {
  await page.goto('/sample/plan');
  await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 120_000 });
  await expect(page.getByText(/\d+ bouts put in their place/)).toBeVisible();
  await expect(page.getByText('The plan stands')).toBeVisible({ timeout: 120_000 });
}
const bouts = (page: Page, day: string) =>
  page.getByRole('list', { name: day, exact: true }).getByRole('button');
const names = (page: Page, day: string): Promise<string[]> =>
  bouts(page, day).evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));

test('plan a month, take it, move a bout by keys and by hand, keep it, undo it', async ({ page }) => {
  await planned(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Quill at Vellmoor club trial, Sat 11 Jul: passes in about \d+.% of runs with this plan$/,
  );
  await expect(page.getByText('Entries close: Vellmoor club trial')).toBeVisible();
  const week = page.getByRole('region', { name: /^Mon 22 Jun/ });
  await expect(week.getByText(/of \d+ min planned/)).toBeVisible();
  await expect(week.getByText(/jumps of \d+, its heaviest week/).first()).toBeVisible();

  // By keys: to the next day with time, where it stays, and says what is wrong with that.
  const [first] = await names(page, 'Mon 22 Jun');
  const title = first?.trim().split(',')[0] ?? '';
  await bouts(page, 'Mon 22 Jun').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/: now on Tue 23 Jun\./)).toBeVisible();
  await expect.poll(() => names(page, 'Tue 23 Jun')).toContainEqual(expect.stringContaining('kept there'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => names(page, 'Mon 22 Jun')).toContainEqual(expect.stringContaining(title));

  // In its sheet: what it is for, why, and another day.
  await bouts(page, 'Mon 22 Jun').first().click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText(/goes in \d+ sets?, about \d+ min with its rests/)).toBeVisible();
  await expect(sheet.getByText(/^Adds (about|less than)/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Keep it on this day' }).click();
  await expect(page.getByText(/stays on its day/)).toBeVisible();
  await expect.poll(() => names(page, 'Mon 22 Jun')).toContainEqual(expect.stringContaining('kept there'));
  // Planning anew leaves it.
  await expect(page.getByText('The plan stands').or(page.getByText('asks for a change'))).toBeVisible({
    timeout: 120_000,
  });
  await page.reload();
  await expect.poll(() => names(page, 'Mon 22 Jun')).toContainEqual(expect.stringContaining('kept there'));
});

test('dragged with the mouse a bout goes where it is dropped', async ({ page }) => {
  await planned(page);
  const from = bouts(page, 'Mon 22 Jun').first();
  const name = (await from.getAttribute('aria-label')) ?? '';
  await from.scrollIntoViewIfNeeded();
  const [a, b] = [await from.boundingBox(), await page.locator('[data-day="2026-06-25"]').boundingBox()];
  if (!a || !b) throw new Error('both are drawn');
  await page.mouse.move(a.x + 20, a.y + 20);
  await page.mouse.down();
  await page.mouse.move(a.x + 40, a.y + 40, { steps: 4 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByText(/: now on Thu 25 Jun\./)).toBeVisible();
  await expect.poll(() => names(page, 'Thu 25 Jun')).toContain(`${name}, kept there`);
});

test('today’s lesson starts from its block in one tap, is ticked off, and what is skipped is planned anew', async ({
  page,
}) => {
  await planned(page);
  const today = await names(page, 'Mon 15 Jun');
  const mine = today.filter((one) => one.startsWith('Quill '));
  const title = mine[0]?.trim().slice('Quill '.length).split(',')[0] ?? '';
  await page.goto('/sample/today');
  const next = page.getByRole('region', { name: 'Next session' });
  await expect(next.getByText('Planned for today', { exact: true })).toBeVisible();
  await expect(next.getByText(/goes? in \d+ sets?, about \d+ minutes\.$/)).toBeVisible();
  await expect(next.getByRole('heading', { name: title })).toBeVisible();
  await page.goto('/sample/field');
  await expect(page.getByRole('region', { name: 'Planned for today' }).getByRole('link')).toHaveCount(
    today.length,
  );
  await page.goto('/sample/today');
  await next.getByRole('button', { name: 'Begin this session' }).click();
  await page.getByRole('button', { name: 'Clean', exact: true }).click();
  await expect(page.getByText(/^1 rep/).first()).toBeAttached();
  await page.goto('/sample/plan');
  await expect.poll(() => names(page, 'Mon 15 Jun')).toContainEqual(expect.stringMatching(/under way|done/));

  // Three days later: what nobody did is struck through, and the plan asks for a change.
  await page.addInitScript(`{
    const Then = Date;
    globalThis.Date = class extends Then {
      constructor(...args) { super(...(args.length > 0 ? args : [Then.now() + 3 * 864e5])); }
      static now() { return Then.now() + 3 * 864e5; }
    };
  }`);
  await page.goto('/sample/plan');
  await expect.poll(() => names(page, 'Tue 16 Jun')).toContainEqual(expect.stringContaining('not done'));
  await expect.poll(() => names(page, 'Mon 15 Jun')).toContainEqual(expect.stringContaining(', done'));
  const change = page.getByRole('region', { name: 'What was done since asks for a change' });
  await change.getByRole('button', { name: 'Take the change' }).click({ timeout: 120_000 });
  await expect(page.getByText('The plan stands')).toBeVisible({ timeout: 120_000 });
});

test('a day off asks for a change, says which, and takes it; a week and its cards are printed', async ({
  page,
}) => {
  await planned(page);
  const sheet = page.getByRole('region', { name: 'What time there is' });
  await sheet.getByLabel('Day', { exact: true }).fill('2026-06-23');
  await sheet.getByLabel('What or where').fill('travelling');
  await sheet.getByRole('button', { name: 'Add the day' }).click();
  const change = page.getByRole('region', { name: 'What was done since asks for a change' });
  await expect(change.getByRole('listitem').first()).toBeVisible({ timeout: 120_000 });
  await change.getByRole('button', { name: 'Take the change' }).click();
  await expect(page.getByText('The plan stands')).toBeVisible({ timeout: 120_000 });
  expect(await names(page, 'Tue 23 Jun').catch(() => [])).toEqual([]);

  await page.getByRole('link', { name: 'Print a week and its cards' }).click();
  await expect(page.getByRole('heading', { level: 2, name: /^Mon 15 Jun/ })).toBeVisible();
  await page.getByRole('button', { name: 'Week after' }).click();
  await expect(page.getByRole('region', { name: 'Thu 25 Jun' }).getByRole('listitem').first()).toContainText(
    /goes in/,
  );
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeHidden();
});

test('the calendar file comes with lessons, the trial and its closing day', async ({ page }) => {
  await planned(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a calendar file' }).click();
  const file = await waiting;
  expect(file.suggestedFilename()).toBe('regulon-plan.ics');
  const stream = await file.createReadStream();
  let text = '';
  for await (const piece of stream) text += String(piece);
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text).toContain('Quill: lesson');
  expect(text.replaceAll('\r\n ', '').match(/SUMMARY:.*Vellmoor club trial/g)).toHaveLength(2);
});

test.describe('in the hand', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('from an empty kennel: a week, a plan without a trial, a wrong day, a line of what was done besides', async ({
    page,
  }) => {
    await page.goto('/own/start');
    await page.getByRole('textbox', { name: 'Name' }).tap();
    await page.keyboard.type('Wren');
    await page.getByRole('radio', { name: 'Hold, still and light' }).tap();
    await page.getByRole('textbox', { name: 'Time held now' }).tap();
    await page.keyboard.type('2');
    await page.getByRole('textbox', { name: 'Time held wanted' }).tap();
    await page.keyboard.type('20 s');
    await page.getByRole('button', { name: 'Make the ladder' }).tap();
    await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();

    await page.getByRole('button', { name: 'More' }).tap();
    await page.getByRole('link', { name: 'Plan' }).tap();
    await expect(page.getByRole('heading', { name: 'What time is there?' })).toBeVisible();
    const monday = page.getByLabel('Monday, min');
    await monday.fill('');
    await monday.pressSequentially('20');
    await monday.press('Enter');
    await expect(page.getByRole('button', { name: 'Take this plan' })).toBeVisible({ timeout: 120_000 });
    await expect(page.getByRole('heading', { level: 1, name: 'The weeks ahead of Wren' })).toBeVisible();
    await page.getByRole('button', { name: 'Take this plan' }).tap();
    await expect(page.getByText('The plan stands')).toBeVisible({ timeout: 120_000 });
    expect((await names(page, 'Mon 15 Jun')).join()).toContain('Hold, still and light, build');

    // A day that is past, and minutes that are none, are said beside the field.
    const sheet = page.getByRole('region', { name: 'What time there is' });
    await sheet.getByLabel('Day', { exact: true }).fill('2026-06-01');
    await sheet.getByRole('button', { name: 'Add the day' }).tap();
    await expect(sheet.getByText('That day is past.')).toBeVisible();
    await sheet.getByLabel('Tuesday, min').fill('2 hours');
    await sheet.getByLabel('Tuesday, min').press('Enter');
    await expect(sheet.getByText(/whole number from 0 to 720/)).toBeVisible();

    const other = page.getByRole('region', { name: 'Wren: worked outside the log' });
    await other.getByRole('button', { name: 'Keep the line' }).tap();
    await expect(page.getByText(/Say what was done: minutes/)).toBeVisible();
    await other.getByLabel('Minutes').fill('30');
    await other.getByLabel('In your words').fill('a walk with ditches');
    await other.getByRole('button', { name: 'Keep the line' }).tap();
    await expect(other.getByText('15 Jun 2026 · 30 min · a walk with ditches')).toBeVisible();
  });
});

test('a planned bout carries the set-out of its step: in its sheet, and on the card that is printed', async ({
  page,
}) => {
  await planned(page);
  const today = bouts(page, 'Mon 15 Jun').first();
  await today.click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText('Laid as')).toHaveCount(0);
  await sheet.getByRole('button', { name: 'Begin it', exact: true }).click();
  await page.getByRole('link', { name: 'Draw this step to scale' }).click();
  await expect(page.getByRole('button', { name: 'Draw it', exact: true })).toBeVisible();
  await page.getByLabel('Name').click();
  await page.keyboard.type('As planned');
  // What the step does not say is asked for, and only that.
  const asked = page.getByRole('textbox').filter({ hasNot: page.getByLabel('Name') });
  for (let i = 0; i < (await asked.count()); i++) {
    const field = asked.nth(i);
    if ((await field.inputValue()) !== '') continue;
    await field.click();
    await page.keyboard.type('4');
  }
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'As planned' })).toBeVisible();
  await page.goto('/sample/plan');
  await bouts(page, 'Mon 15 Jun').first().click();
  await expect(sheet.getByRole('link', { name: 'As planned' })).toBeVisible();
  await expect(sheet.getByRole('img', { name: 'As planned, drawn to scale' })).toBeVisible();
  await page.goto('/sample/plan/print/2026-06-15');
  await expect(page.getByRole('img', { name: 'As planned, drawn to scale' }).first()).toBeVisible();
});
