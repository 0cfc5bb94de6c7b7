import { expect, padKey, storedCount, test } from './fixtures';

test('break an exercise down from a method, and climb two rungs', async ({ page }) => {
  await page.goto('/sample/breakdown');
  await page.getByRole('link', { name: 'Methods' }).click();
  await page.getByRole('textbox', { name: 'Search' }).fill('dumbbell mouthed');
  await page.getByRole('link', { name: 'Formal hold' }).click();
  await expect(
    page
      .getByText('Mark only a still mouth with light pressure and a head that is up; all three at once.')
      .or(page.getByText(/Mark only a still mouth/)),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Break it down for Quill' }).click();

  await test.step('what does not fit is said where it was typed, and nothing is saved', async () => {
    const elements = await storedCount(page, 'regulon-sample', 'elements');
    await page.getByLabel('Start, Time held').fill('30 s');
    await page.getByLabel('Demand, Time held').fill('20 m');
    await page.getByLabel('Step, Time held').fill('0 %');
    await page.getByRole('button', { name: 'Break it down' }).click();
    await expect(page.getByText('“m” is not a unit of duration')).toBeVisible();
    await expect(page.getByText('A step is more than 0.')).toBeVisible();
    await page.getByLabel('Demand, Time held').fill('20 s');
    await page.getByLabel('Step, Time held').fill('50 %');
    await page.getByRole('button', { name: 'Break it down' }).click();
    await expect(page.getByText('the start is already harder than the demand')).toBeVisible();
    expect(await storedCount(page, 'regulon-sample', 'elements')).toBe(elements);
    await page.getByLabel('Start, Time held').fill('1 s');
  });

  await page.getByRole('button', { name: 'Break it down' }).click();
  const chain = page.getByRole('list', { name: 'Chain of Formal hold' });
  await expect(chain.getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText(/Waits: first “Hold, still and light”: time held/).first()).toBeVisible();

  await page.getByRole('link', { name: 'Train Hold, still and light' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Clean' })).toBeVisible();
  for (const rung of [2, 3]) {
    for (let i = 0; i < 5; i++) {
      await padKey(page, 'c');
      await expect(page.getByText(new RegExp(`^${(rung - 2) * 5 + i + 1} reps?, `)).first()).toBeVisible();
    }
    await page.getByRole('button', { name: `Go to step ${rung}` }).click();
    await expect(page.getByText(new RegExp(`Step ${rung} of`)).first()).toBeVisible();
  }
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await page.goto('/sample/breakdown');
  await expect(page.getByText('Step 3 of').first()).toBeVisible();
});

test('split an element that has history: its reps stay, and count where they are assigned', async ({
  page,
}) => {
  await page.goto('/sample/breakdown/sample-wait/about');
  await page.getByLabel('First part').fill('Lies still');
  await page.getByLabel('Second part').fill('You walk away');
  await page.getByLabel('Time down belongs to').selectOption('first');
  await page.getByLabel('Distance from you belongs to').selectOption('second');
  const entries = await storedCount(page, 'regulon-sample', 'entries');
  await page.getByRole('button', { name: 'Split it' }).click();
  const chain = page.getByRole('list', { name: 'Chain of Send-away to the square' });
  await expect(chain.getByRole('listitem')).toHaveCount(6);
  await expect(chain).toContainText('Lies still');
  await expect(page.getByText(/Wait for the steward: 1\d\d reps, 0 sessions assigned/)).toBeVisible();
  await expect(page.getByText('No rep yet: nothing is known.')).toHaveCount(2);
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(entries);

  await page.getByRole('link', { name: 'Say what they count for' }).click();
  await page.getByRole('checkbox', { name: 'Lies still' }).first().click();
  await page.getByRole('checkbox', { name: 'Lies still' }).nth(1).click();
  await page.getByRole('link', { name: 'Back to the chain' }).click();
  await expect(page.getByText(/2 sessions assigned/)).toBeVisible();
  await expect(page.getByText('No rep yet: nothing is known.')).toHaveCount(1);
  await page.getByRole('link', { name: 'Readiness' }).click();
  // One half has no rep yet: no number, but that.
  await expect(page.getByRole('region', { name: 'No figure yet for Quill' })).toContainText(
    'You walk away: no rep at all, so begin with it',
  );
});

test('rules: choose, compare, and answer why a send was refused', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-run-out/rule');
  await page.getByRole('button', { name: 'Compare the rules' }).click();
  await expect(page.getByText(/So many in a row: \d+ % arrived/)).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText('that is why none is called the best')).toBeVisible();
  await page.getByText(/goes up at the first try 33 % of the time/).click();
  await expect(page.getByRole('row', { name: /^80 % 33 %/ })).toBeVisible();

  await page.getByRole('button', { name: 'More rules' }).click();
  await page.getByRole('radio', { name: /^Share of a block/ }).click();
  await page.getByLabel('Clean to go up').fill('9');
  await page.getByRole('button', { name: 'Take these numbers' }).click();
  await expect(page.getByText('more clean reps are asked than the block has')).toBeVisible();
  await page.getByRole('radio', { name: /^Stretch and cut/ }).click();
  await expect(page.getByLabel('Longer at most, times a session')).toHaveValue('2');

  await page.getByRole('link', { name: 'Train it' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  const advice = page.getByRole('status', { name: 'Advice' });
  await expect(advice).toBeVisible();
  await page.keyboard.press('m');
  await expect(advice).toContainText('Too far is only one reason');
  await advice.getByRole('button', { name: 'Did not mark it' }).click();
  await expect(advice).toContainText('the same distance again, marked well');
  await page.keyboard.press('m');
  await advice.getByRole('button', { name: 'Too far' }).click();
  await expect(advice).toContainText(/Too far at 25\sm: cut to 11\sm/);
  await page.reload();
  await expect(advice).toContainText('Too far at 25');
});

test('a start is found, a mark is moved by keys, a circle is refused, another dog gets the ladder', async ({
  page,
}) => {
  await page.goto('/sample/breakdown/sample-set-up');
  await page.getByRole('button', { name: /^Find where it can start/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What it can surely do').fill('20°');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  for (let rep = 0; rep < 5 && (await dialog.getByText(/Rep \d of at most 5/).count()) > 0; rep++)
    await dialog.getByRole('button', { name: rep < 2 ? 'Clean' : 'Not clean', exact: true }).click();
  await dialog.getByRole('button', { name: 'Take it as the start' }).click();
  await expect(page.getByLabel('Start, Straightness')).toHaveValue('20°');
  const handle = page.getByRole('button', { name: /^Start of Straightness: 20°/ });
  await handle.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('Start, Straightness')).not.toHaveValue('20°');

  await page.goto('/sample/breakdown/sample-give/about');
  const wait = async (title: string) => {
    await page.getByLabel('Not before').selectOption({ label: title });
    await page.getByRole('button', { name: 'Wait for it' }).click();
  };
  await wait('Pick up');
  await expect(page.getByText('not before “Pick up” is at step 2')).toBeVisible();
  await page.goto('/sample/breakdown/sample-pick-up/about');
  await wait('Give');
  await expect(page.getByText(/round in a circle: “.+” waits for/)).toBeVisible();
  await expect(page.getByText('Nothing: it can be begun at any time.')).toBeVisible();

  await page.getByRole('link', { name: 'Other dogs' }).click();
  await page.getByLabel('Start for Otto: time to pick up').fill('6 s');
  await page.getByRole('button', { name: 'Copy to Otto' }).click();
  await expect(page.getByRole('figure', { name: /^Otto: start 6 s/ })).toBeVisible();
});

test('what the vet says takes the place of the question, and kit that is missing is named', async ({
  page,
}) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
  await page.getByRole('link', { name: 'Breakdown' }).click();
  await page.getByRole('link', { name: 'Ladder of With a run-up' }).click();
  await expect(page.getByText('Otto is 8 months old.').first()).toBeVisible();
  await expect(page.getByText('“hoop” is not on your kit list')).toBeVisible();
  await page.getByRole('link', { name: 'Kennel' }).click();
  await page.getByLabel('Is it grown').fill('not before next spring');
  await page.getByLabel('A further thing').fill('hoop');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('8 things')).toBeVisible();
  await page.getByLabel('Born').fill('2031-01-01');
  await page.getByLabel('Born').blur();
  await expect(page.getByText('A day in the past, please')).toBeVisible();
  await page.getByRole('link', { name: 'Breakdown' }).click();
  await page.getByRole('link', { name: 'Ladder of With a run-up' }).click();
  await expect(page.getByText('Your vet said: not before next spring')).toBeVisible();
  await expect(page.getByText('“hoop” is not on your kit list')).toHaveCount(0);
});

test('a finer step leaves the dog at its own values', async ({ page }) => {
  await page.goto('/sample/breakdown/sample-stop-down');
  const marked = page
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name: /here|just past it/ }) });
  await expect(marked).toHaveCount(1);
  await expect(marked).toContainText('here');
  const step = page.getByLabel(/^Step, Distance/);
  await step.click();
  await step.press('Control+A');
  await page.keyboard.type('12 %');
  await step.press('Tab');
  // The ladder has no rung of 13 m any more; the one that is easier on no axis comes before.
  await expect(marked).toContainText('just past it');
  await page.goto('/sample/field/sample-stop-down');
  await expect(page.getByText(/^Step between \d+ and \d+ of \d+/).first()).toBeVisible();
  await expect(page.getByText(/Distance from you 1[0-9]\sm; Time to lie down at most 4\ss\./)).toBeVisible();
  await page.getByRole('link', { name: 'Breakdown' }).click();
  await expect(page.getByText(/^Step between \d+ and \d+ of \d+/).first()).toBeVisible();
});
