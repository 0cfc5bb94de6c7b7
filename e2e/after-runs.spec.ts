import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, storedCount, test } from './fixtures';
import { allDone, ownDogWith } from './own-dog';

const OWN = 'regulon-own';

/** Nothing for a reader of screens to stumble over, at this state of the page. */
const accessible = async (page: Page): Promise<void> => {
  const found = await new AxeBuilder({ page }).analyze();
  expect(found.violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
};

test('a run is confirmed into reps once, a mark that is mended amends the same rep, and all is taken back', async ({
  page,
}) => {
  await page.goto('/sample/trials');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Judge’s sheet: Quill' })).toBeVisible();
  // What is thought of the run is worked out before it can be known how it went.
  await expect.poll(() => storedCount(page, 'regulon-sample', 'runForecasts'), { timeout: 60_000 }).toBe(1);
  const before = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
  await page.getByRole('button', { name: 'Extra cue: Add' }).first().click();
  await allDone(page);
  await page.getByRole('button', { name: 'Close it' }).click();
  const teaches = page.getByRole('region', { name: 'What this run teaches' });
  await expect(teaches.getByText('flawed: Slow on the way out')).toBeVisible();
  await accessible(page);
  const expected = page.getByRole('region', { name: 'Expected and lost' });
  await expect(expected.getByText(/^Before it: .* to pass/)).toBeVisible();
  await expect(expected.getByRole('row', { name: /^Send-away to the square/ })).toContainText('4.5');
  // The extra cue was at the wait: it is the handler's slip there.
  await teaches.getByLabel('Extra cue: of which part').selectOption({ label: 'Wait for the steward' });
  await expect(teaches.getByText('clean; an extra cue slipped')).toBeVisible();
  await teaches.getByRole('button', { name: 'Write 11 reps into the log' }).click();
  await expect(teaches.getByText('11 reps of this run stand in the log of Quill.')).toBeVisible();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 11);
  await expect(expected.getByText(/With this run and what was logged since/)).toBeVisible({
    timeout: 60_000,
  });
  // The forecast says that it goes by the run now: by ten goes, since a cue that slipped says nothing of the dog.
  await page.goto('/sample/readiness');
  await expect(page.getByText(/^1 confirmed run \(10 goes\) moved two of these/)).toBeVisible({
    timeout: 60_000,
  });
  await page.goBack();
  await expect(teaches.getByText('11 reps of this run stand in the log of Quill.')).toBeVisible();
  await expect(teaches.getByRole('button', { name: /^Write|^Put/ })).toHaveCount(0);
  // Reopened and mended: the same reps, put right.
  await page.getByLabel('Reopen it because').click();
  await page.keyboard.type('it was not slow');
  await page.getByRole('button', { name: 'Reopen' }).click();
  await page.getByRole('button', { name: /^Slow on the way out: take off/ }).click();
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(
    teaches.getByText(/Run out straight: clean; in the log: flawed: Slow on the way out/),
  ).toBeVisible();
  await teaches.getByRole('button', { name: 'Put 1 rep right' }).click();
  await expect(teaches.getByRole('button', { name: /^Put/ })).toHaveCount(0);
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 12);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(teaches.getByRole('button', { name: 'Put 1 rep right' })).toBeVisible();
  // Nothing goes out of a log: what takes it back is an entry, too.
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 13);
});

test('a title from nothing to complete: legs from before, a judge who is said, an entry that is passed', async ({
  page,
}) => {
  await ownDogWith(page, 'Wren', 'brackwater-working-test');
  await page.goto('/own/trials/titles');
  await expect(page.getByRole('heading', { name: 'No class of Wren earns a title' })).toBeVisible();
  await page.getByRole('button', { name: 'Aim at Brackwater open dog' }).click();
  const title = page.getByRole('region', { name: 'Brackwater open dog' });
  await expect(title.getByText('No leg yet: 3 passes are missing.')).toBeVisible();
  await expect(title.getByText(/say in the kennel when Wren was born/)).toBeVisible();
  await expect(title.getByText(/asks for passed the Brackwater novice test first/)).toBeVisible();
  await title.getByLabel('passed the Brackwater novice test').click();
  await expect(title.getByText(/asks for passed/)).toHaveCount(0);
  // Two passes from before, under the same judge; a day that is none is said.
  await title.getByText('A pass from before the log').click();
  await title.getByRole('button', { name: 'Keep it' }).click();
  await expect(title.getByText('On which day was it?')).toBeVisible();
  for (const day of ['2026-01-10', '2026-03-14']) {
    await title.getByLabel('Day of the pass').fill(day);
    await title.getByRole('region', { name: 'Passes so far' }).getByLabel('Judge').click();
    await page.keyboard.type('Ada Fenn');
    await title.getByRole('button', { name: 'Keep it' }).click();
    await expect(title.getByLabel('Day of the pass')).toHaveValue('');
  }
  await expect(
    title.getByText(
      /^Leg 2 of 3 is there; 1 pass is missing, under another judge\. The first leg runs out on/,
    ),
  ).toBeVisible();
  // A trial, under a judge who is said; nothing is known of the dog, so no chance is given.
  const entries = title.getByRole('region', { name: 'Entries ahead' });
  await entries.getByRole('button', { name: 'Add a trial' }).click();
  await expect(entries.getByText('What is it called?')).toBeVisible();
  await entries.getByLabel('Name of the trial').click();
  await page.keyboard.type('Summer test');
  await entries.getByLabel('Its day').fill('2026-06-15');
  await entries.getByRole('button', { name: 'Add a trial' }).click();
  await entries.getByRole('checkbox', { name: /^Enter Summer test on/ }).click();
  await entries.getByLabel('Judge of Summer test').click();
  await page.keyboard.type('Bo Lark');
  await page.keyboard.press('Enter');
  await entries.getByLabel('What Summer test costs').click();
  await page.keyboard.type('2x');
  await expect(entries.getByText('That is no amount.')).toBeVisible();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('5,50');
  await page.keyboard.press('Enter');
  await expect(entries.getByText(/^No chance can be given: /)).toBeVisible();
  await accessible(page);
  // Judged that day under that judge, and passed: the title is complete, and nothing was typed twice.
  await page.goto('/own/trials');
  await page.getByLabel('Kind').selectOption({ label: 'Trial' });
  await page.getByLabel('Judges, if not you').click();
  await page.keyboard.type('Bo Lark');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Judge’s sheet: Wren' })).toBeVisible();
  await allDone(page);
  await page.getByRole('button', { name: 'Close it' }).click();
  await page.getByRole('button', { name: 'Keep as the result for Summer test' }).click();
  await expect(page.getByText('This run is kept as a result', { exact: false })).toBeVisible();
  // The class is not broken down: it is said that nothing can learn from it, and where to go on.
  await expect(page.getByRole('link', { name: 'Break the class down' })).toBeVisible();
  await page.goto('/own/trials/titles');
  await expect(title.getByText('Complete since', { exact: false })).toBeVisible();
  await expect(title.getByText('under Bo Lark')).toBeVisible();
  await expect(title.getByRole('region', { name: 'Entries ahead' })).toHaveCount(0);
  expect(await storedCount(page, OWN, 'people')).toBe(2);
});

test('a practice run is judged on the phone and held against its key; a second one says how one judges', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await ownDogWith(page, 'Wren', 'thistlemere-trick-title');
  await page.goto('/own/trials');
  await page.getByRole('link', { name: 'Learn to judge' }).click();
  for (const round of [1, 2]) {
    await page.getByRole('button', { name: 'Judge “Square and hurdle, a keen dog”' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText(/its hindquarters turned out by about 20°/)).toBeVisible();
    if (round === 1) await accessible(page);
    await page.getByRole('button', { name: 'Crooked at heel: 10–30°' }).click();
    for (let scene = 2; scene <= 7; scene++)
      await page.getByRole('button', { name: 'What comes next' }).click();
    if (round === 1) {
      // A reload in the middle loses neither the scene nor what is written.
      await page.reload();
      await expect(page.getByText('It ends at heel, straight.')).toBeVisible();
    }
    await page.getByRole('button', { name: 'Gets up before the steward speaks: Add' }).click();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await page.getByRole('button', { name: 'What comes next' }).click();
    await expect(page.getByText('Retrieve over the hurdle', { exact: true }).first()).toBeVisible();
    for (let scene = 9; scene <= 14; scene++)
      await page.getByRole('button', { name: 'What comes next' }).click();
    await expect(page.getByText('That was all.', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await page.getByRole('button', { name: 'Close it' }).click();
    await expect(page.getByRole('region', { name: 'Beside the key' })).toBeVisible();
    await accessible(page);
    await expect(page.getByText(/^1 of 6 faults as the key has them, 1 without cause; /)).toBeVisible();
    await expect(page.getByText('A foot touched the bar on the way back.')).toBeVisible();
    await page.getByRole('link', { name: 'To all runs' }).click();
  }
  const hand = page.getByRole('region', { name: 'Your own hand' });
  await expect(
    hand.getByText('Gets up before the steward speaks: you take 10 points more', { exact: false }),
  ).toBeVisible();
  await expect(
    hand.getByText('So: look for “Gets up before the steward speaks” first in the next run.'),
  ).toBeVisible();
  // The book came along and stands among no books to train for.
  expect(await storedCount(page, OWN, 'ruleBooks')).toBe(2);
  await page.goto('/own/trials');
  await expect(page.getByRole('heading', { name: 'Runs' })).toHaveCount(0);
});

test('which entries pay, and the weeks planned for a title: a chance from real reps, a set that is taken, the plan that says so', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/sample/trials/titles');
  await page.getByRole('banner').getByRole('combobox').selectOption({ label: 'Juniper' });
  const title = page.getByRole('region', { name: 'Brackwater open dog' });
  const entries = title.getByRole('region', { name: 'Entries ahead' });
  await expect(entries.getByText(/^With no entry made it cannot be complete\./)).toBeVisible({
    timeout: 60_000,
  });
  await expect(entries.getByText(/^Nor with all that lie ahead/)).toBeVisible();
  await title.getByText('A pass from before the log').click();
  for (const day of ['2026-01-10', '2026-03-14']) {
    await title.getByLabel('Day of the pass').fill(day);
    await title.getByRole('region', { name: 'Passes so far' }).getByLabel('Judge').fill('Ada Fenn');
    await title.getByRole('button', { name: 'Keep it' }).click();
    await expect(title.getByLabel('Day of the pass')).toHaveValue('');
  }
  // One more under the judge who has passed it: it can add nothing, and is not chosen.
  await entries.getByLabel('Name of the trial').fill('Summer test');
  await entries.getByLabel('Its day').fill('2026-07-10');
  await entries.getByRole('button', { name: 'Add a trial' }).click();
  await entries.getByLabel('Judge of Summer test').fill('Ada Fenn');
  await entries.getByLabel('Judge of Summer test').blur();
  await entries.getByLabel('What the title is worth').fill('200');
  await entries.getByLabel('What the title is worth').blur();
  await entries.getByLabel('What Brackwater open test costs').fill('10');
  await entries.getByLabel('What Brackwater open test costs').blur();
  await expect(
    entries.getByText(/^Best for what it is worth: enter Brackwater open test, .* for 10\.$/),
  ).toBeVisible({
    timeout: 60_000,
  });
  await expect(entries.getByText(/^From [\d,]+ reps\. /)).toBeVisible();
  await entries.getByRole('button', { name: /^Enter With one entry: Brackwater open test/ }).click();
  await expect(entries.getByText(/^With the one entry that is made: \d+\s% to have the title/)).toBeVisible();
  await expect(entries.getByText('What is entered is already the best for what it is worth.')).toBeVisible();
  await entries.getByRole('checkbox', { name: 'Plan the weeks for this title' }).click();
  await expect(page.getByText('The weeks are planned for this title.')).toBeVisible();
  await page.goto('/sample/plan');
  await expect(page.getByText(/^Planned for the title Brackwater open dog: /)).toBeVisible({
    timeout: 120_000,
  });
  await expect(page.getByRole('button', { name: 'Take this plan' })).toBeVisible({ timeout: 120_000 });
});

test('the class that comes before is offered on the same day: not broken down, too little logged, then its chance', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/sample/readiness');
  const around = page.getByRole('region', { name: 'Classes around this one' });
  await expect(around.getByText('After this class comes Vellmoor Obedience, Class Three.')).toBeVisible({
    timeout: 60_000,
  });
  await around.getByLabel('The class before Vellmoor Obedience, Class Two').selectOption('fennside-throws');
  await expect(around.getByText(/comes before this class and is not broken down for Quill/)).toBeVisible();
  await around.getByRole('link', { name: 'Break it down' }).click();
  await page.getByRole('textbox', { name: /^Start, / }).fill('20 m');
  await page.getByRole('button', { name: 'Break it all down' }).click();
  const piece = page.getByRole('link', { name: 'Runs out and catches' }).first();
  const address = (await piece.getAttribute('href')) ?? '';
  await page.goto('/sample/readiness');
  await expect(around.getByText(/too little is logged for a chance there/)).toBeVisible({ timeout: 60_000 });
  // A dozen goes from paper: now there is a chance, and it is said whether one would go for it.
  await page.goto(`${address.replace('/breakdown/', '/field/')}/log`);
  await page.getByLabel('Day', { exact: true }).fill('2026-06-12');
  await page.getByLabel(/^Reps in order/).click();
  await page.keyboard.type('c c c f c c m c c c c c');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByText(/12 reps of .* are in the log/)).toBeVisible();
  await page.goto('/sample/readiness');
  await expect(
    around.getByText(/^Fennside Long Throws comes before this class: .*% to pass it on the same day\. /),
  ).toBeVisible({ timeout: 60_000 });
});

test('results of a class stand on the page, in print and in a table file, with what the judge wrote', async ({
  page,
}) => {
  await page.goto('/sample/trials/meetings/sample-meeting');
  for (const [dog, faults] of [
    ['Tansy', 1],
    ['Bracken', 0],
  ] as const) {
    await page.getByRole('button', { name: `Sheet of ${dog}` }).click();
    await expect(page.getByRole('heading', { name: `Judge’s sheet: ${dog}` })).toBeVisible();
    for (let i = 0; i < faults; i++)
      await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
    await allDone(page);
    await page.getByRole('button', { name: 'Close it' }).click();
    await page.getByRole('link', { name: 'To the meeting' }).click();
  }
  const results = page.getByRole('region', { name: 'Results' });
  await expect(results.getByRole('listitem')).toHaveCount(2);
  await expect(results.getByRole('listitem').first()).toContainText('3. Bracken');
  await expect(results.getByRole('listitem').nth(1)).toContainText('78.5 points');
  await expect(results.getByText('2 dogs to come')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the results (CSV)' }).click(),
  ]);
  const rows = readFileSync(await file.path(), 'utf8').split('\r\n');
  expect(rows[0]).toBe('class,size,place,number,dog,handler,points,passed,award,told apart by,critique');
  expect(rows[1]).toContain(',1,3,Bracken,a helper,80,1,');
  await page.getByRole('link', { name: 'To print' }).click();
  await expect(page.getByRole('region', { name: 'Results' }).getByRole('listitem')).toHaveCount(2);
});
