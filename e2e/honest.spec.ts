import { exactForecast, expect, ownHold, padKey, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 } });

test('a fair trial: two options, tossed, followed, taken back, and a verdict that may be looked at', async ({
  page,
}) => {
  await ownHold(page, 'Wren');
  const address = page.url();
  const about = address.replace('/field/', '/breakdown/').replace(/\?.*$/, '');
  await page.goto(`${about}/about`);

  await page.getByLabel('A further condition').click();
  await page.keyboard.type('Reward');
  await page.keyboard.press('Enter');
  await page.getByLabel(/A fair trial on this dog/).click();
  await expect(page.getByText('Which of the two comes is tossed from now on.')).toBeVisible();

  await page.goto(address);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
  await padKey(page, 'c');
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText(/^1 rep, 1 clean/)).toHaveCount(0);
  for (let i = 1; i <= 4; i++) {
    await padKey(page, 'c');
    await expect(page.getByText(new RegExp(`^${i} reps?, ${i} clean`)).first()).toBeAttached();
  }
  await page.goto(`${about}/evidence`);
  const said = page.getByRole('region', { name: 'What the reps say' });
  await expect(said).toContainText('Fair trial: Reward');
  await expect(said).toContainText('Of 2 tossed pairs');
  await expect(said).toContainText('both alike in 2. Not settled, so go on');
  // Four reps tell no chance and nothing of how it keeps.
  await expect(said).not.toContainText('Keeping it');
  await expect(page.getByRole('status', { name: 'In one sentence' })).toContainText('too few to say');
});

test('one figure for one question, and the person’s own chance decides', async ({ page }) => {
  await page.goto('/sample/readiness');
  const { mid } = JSON.parse(await exactForecast(page)) as { mid: number };
  const shown = `${Math.round(mid * 100)}`;
  const outlook = page.getByRole('region', { name: 'Up to the trial' });
  await expect(outlook).toContainText(new RegExp(`From ${shown}\\s% today`));
  const whatIf = page.getByRole('region', { name: 'What if' });
  await whatIf.getByLabel('Element').selectOption({ index: 1 });
  await expect(whatIf.getByRole('status')).toContainText(new RegExp(`^${shown}\\s% to pass`));

  await outlook.getByLabel('From what chance would you go?').selectOption('10 in 100');
  await expect(outlook).toContainText('It stands at 10 in 100 or more already.');
  await expect(outlook).toContainText(
    /Enter\. \d+ in 100 on the day \(\d+ to \d+\); you would go from 10, and (9|10) in 10/,
  );
  await expect(outlook).toContainText('rehearse what is missing first');
  await outlook.getByText('By what it costs').click();
  await outlook.getByLabel('What going costs you').click();
  await page.keyboard.type('90');
  await outlook.getByLabel('What a pass is worth to you').click();
  await page.keyboard.type('60');
  await expect(outlook).toContainText('the cost at most the worth');
  for (let i = 0; i < 2; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('100');
  await outlook.getByRole('button', { name: 'Go from 90 in 100' }).click();
  await expect(outlook).toContainText('does not come to 90 in 100 before the day');
  await expect(outlook).toContainText(/Wait\. .* you would go from 90, and [01] in 10/);

  // What the trial asks moves the figure, and back again to the same one.
  const assumed = page.getByRole('region', { name: 'What this assumes' });
  await assumed.getByLabel('somebody else handles it').click();
  await expect(async () => {
    const now = JSON.parse(await exactForecast(page)) as { mid: number };
    expect(now.mid).toBeLessThan(mid);
  }).toPass();
  await assumed.getByLabel('somebody else handles it').click();
  await expect(async () => {
    const now = JSON.parse(await exactForecast(page)) as { mid: number };
    expect(now.mid).toBe(mid);
  }).toPass();
});

test('no number before every piece has a rep: what to do first', async ({ page }) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
  await page.goto('/sample/rule-books/vellmoor-obedience-two');
  await page.getByRole('link', { name: 'Break it all down for Otto' }).click();
  await page.getByRole('button', { name: /^Take \d+ exercises? over from Quill/ }).click();
  await expect(page).toHaveURL(/breakdown$/);
  await page.goto('/sample/readiness');
  await expect(page.getByRole('heading', { name: 'No trial ahead for Otto' })).toBeVisible();
  await page.getByLabel('Name of the trial').click();
  await page.keyboard.type('Autumn trial');
  await page.getByLabel('Day of the trial').fill('2026-07-20');
  await page
    .getByLabel('Rule book', { exact: true })
    .selectOption({ label: 'Vellmoor Obedience, Class Two, Sample edition 1' });
  await page.getByRole('button', { name: 'Note the trial' }).click();
  const sheet = page.getByRole('region', { name: 'No figure yet for Otto' });
  await expect(sheet).toContainText('no rep at all, so begin with it');
  await expect(sheet).toContainText('No rep in the whole class: from 10 on there is something to go by');
  await expect(page.getByTestId('headline')).toHaveCount(0);
  await expect(page.getByText(/\d\s% that Otto would pass/)).toHaveCount(0);
  await sheet.getByRole('link', { name: 'To its pieces' }).click();
  await expect(page).toHaveURL(/breakdown$/);
});
