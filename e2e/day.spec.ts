import { exactForecast, expect, fakeWaits, storedCount, test } from './fixtures';

test('a practitioner’s day: rules, breakdown, session, forecast', async ({ page }) => {
  const skip = await fakeWaits(page);
  await page.goto('/sample/today');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quill: Vellmoor club trial in 26 days');

  await test.step('read what the trial demands', async () => {
    await page.getByRole('link', { name: 'Rule books' }).click();
    await expect(page.getByText('at least 60 of 80 points')).toBeVisible();
    await expect(page.getByText('at least 50 % of the points of each exercise')).toBeVisible();
    const square = page
      .getByRole('region')
      .or(page.locator('section'))
      .filter({ hasText: 'Send-away to the square' })
      .first();
    await expect(square).toContainText('Does not leave the handler');
    await expect(square).toContainText('exercise zeroed');
    await expect(square).toContainText('1 point per started metre over 1.5 m, at most 6');
  });

  await test.step('see the chain and change a ladder', async () => {
    await page.getByRole('link', { name: 'Breakdown' }).click();
    const chain = page.getByRole('list', { name: 'Chain of Send-away to the square' });
    await expect(chain.getByRole('listitem')).toHaveCount(5);
    await expect(chain).toContainText('times in 10');
    await expect(
      page.getByRole('figure', { name: /^Distance from you: start 3 m, now .* demanded 25 m/ }),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Ladder of Wait for the steward' }).click();
    await expect(page.getByText('Sound: one thing at a time')).toBeVisible();
    const rungs = page.getByRole('region', { name: 'Steps of the ladder' }).locator('tbody tr');
    const before = await rungs.count();
    await page.getByLabel('Demand, Time down').fill('1\'30"');
    await page.getByLabel('Demand, Time down').press('Enter');
    await expect(page.getByLabel('Demand, Time down')).toHaveValue('90 s');
    expect(await rungs.count()).toBeGreaterThan(before);
    await page.getByLabel('Step, Time down').fill('900 %');
    await page.getByLabel('Step, Time down').press('Enter');
    await expect(page.getByText(/is \+\d+\s%; your limit is \+80\s%/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByText('Sound: one thing at a time')).toBeVisible();
    await page.getByLabel(/^Step 2, Distance from you/).fill('6 m');
    await page.getByLabel(/^Step 2, Distance from you/).press('Enter');
    await expect(page.getByText(/Step 2 raises time down and distance from you at once/)).toBeVisible();
    await page.getByLabel(/^Step 2, Distance from you/).fill('');
    await page.getByLabel(/^Step 2, Distance from you/).press('Enter');
    await expect(page.getByText('Sound: one thing at a time')).toBeVisible();
    const lastRung = await rungs.count();
    await page.getByLabel(`Step ${lastRung}, Distance from you`).fill('24 m');
    await page.getByLabel(`Step ${lastRung}, Distance from you`).press('Enter');
    await expect(page.getByText(/No step asks all that is demanded/)).toBeVisible();
    await page.getByLabel('Start, Time down').fill('far');
    await page.getByLabel('Start, Time down').press('Enter');
    await expect(page.getByText('“far” is not a duration')).toBeVisible();
  });

  const first = await test.step('see the forecast', async () => {
    await page.getByRole('link', { name: 'Readiness' }).click();
    const exact = await exactForecast(page);
    await expect(page.getByTestId('headline')).toContainText('that Quill would pass');
    await expect(page.getByText(/the pass line is 60/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What would help most' })).toBeVisible();
    await expect(page.getByRole('img', { name: /simulated runs reach 60 points/ })).toBeVisible();
    return exact;
  });

  await test.step('train what Today suggests, by keyboard', async () => {
    await page.getByRole('link', { name: 'Today' }).click();
    await page.getByRole('button', { name: 'Begin this session' }).click();
    await expect(page.getByRole('button', { name: 'Cue' })).toBeVisible();
    const stored = await storedCount(page, 'regulon-sample', 'entries');
    await page.keyboard.press('Space');
    await expect(page.getByRole('button', { name: 'Response' })).toBeVisible();
    await skip(400);
    await page.keyboard.press('Space');
    await page.keyboard.press('c');
    await expect(page.getByLabel('Last rep')).toContainText(/clean, \d\.\d s/);
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(stored + 1);
    await page.keyboard.press('f');
    await page.keyboard.press('1');
    await expect(page.getByLabel('Last rep')).toContainText('flawed: Slow to lie down');
    await page.keyboard.press('h');
    await expect(page.getByRole('radio', { name: 'Handler' })).toBeChecked();
    await page.keyboard.press('a');
    await expect(page.getByRole('button', { name: 'Aided' })).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('u');
    await expect(page.getByRole('button', { name: 'Aided' })).toHaveAttribute('aria-pressed', 'false');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('Tap the cue');
    await page.keyboard.press('Escape');
  });

  await test.step('and by touch: misses drop back, clean reps advance, undo takes back', async () => {
    const advice = page.getByRole('status', { name: 'Advice' });
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Miss' }).click();
    await expect(advice).toContainText('2 misses in a row here; your rule drops back after 2.');
    await page.getByRole('button', { name: /Go to step/ }).click();
    await expect(advice).toContainText('0 clean in a row here');
    for (let i = 0; i < 5; i++) {
      await page.getByRole('button', { name: 'Clean' }).click();
      await expect(page.getByText(new RegExp(`^${5 + i} reps`)).first()).toBeVisible();
    }
    await expect(advice).toContainText('Advance. 5 clean in a row here; your rule is 5 in a row.');
    await expect(advice).toContainText('Rest. 9 reps since the last rest; your set is 5.');
    await page.getByRole('button', { name: 'Rested' }).click();
    await expect(page.getByRole('button', { name: 'Rested' })).toHaveCount(0);
    await page.getByLabel('Last rep').getByRole('button', { name: 'Undo' }).click();
    await expect(advice).toContainText('4 clean in a row here');
    for (let i = 0; i < 8; i++) await page.getByRole('button', { name: 'Miss' }).click();
    await page.getByRole('button', { name: 'Enough for now' }).click();
    await expect(page.getByText(/Enough for now: 16 reps; 15 count, 5 clean/)).toBeVisible();
  });

  await test.step('the misses show in the forecast', async () => {
    await page.getByRole('link', { name: 'Readiness' }).click();
    const second = await exactForecast(page);
    expect(JSON.parse(second).mid).toBeLessThan(JSON.parse(first).mid);
  });
});

test('a reload in the middle of a set goes on where it was', async ({ page }) => {
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const outcome of ['Clean', 'Miss', 'Miss', 'Clean'])
    await page.getByRole('button', { name: outcome }).click();
  await page.getByRole('radio', { name: 'Kit' }).click();
  await page.getByRole('button', { name: 'A step easier' }).click();
  await expect(
    page
      .getByText(/Step \d of 6/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  const seen = async (): Promise<(string | null)[]> => [
    await page.getByRole('status', { name: 'Advice' }).textContent(),
    await page.getByLabel('Last rep').textContent(),
    await page.getByRole('list', { name: 'Reps of this session' }).filter({ visible: true }).textContent(),
  ];
  await expect(page.getByLabel('Last rep')).toContainText('clean, the kit’s');
  // The step that was taken is advised upon before anything is compared.
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText('Stay here');
  const before = await seen();
  await page.reload();
  await expect(
    page
      .getByText(/Step \d of 6/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await expect.poll(seen).toEqual(before);
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(
    page.getByText('5 reps; 4 count, 2 clean', { exact: true }).filter({ visible: true }),
  ).toBeVisible();
});

test('a rep is on the disk before the pad takes the next one', async ({ page }) => {
  await page.goto('/sample/field/sample-present');
  await page.getByRole('button', { name: 'Begin' }).click();
  const clean = page.getByRole('button', { name: 'Clean' });
  await expect(clean).toBeEnabled();
  const start = await storedCount(page, 'regulon-sample', 'entries');
  for (let i = 1; i <= 5; i++) {
    await clean.click();
    await expect(clean).toBeEnabled();
    expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(start + i);
  }
});

test('a key that comes in the moment in which the pad appears logs its rep', async ({ page }) => {
  await page.goto('/sample/field/sample-run-out');
  await page.getByRole('button', { name: 'Begin' }).waitFor();
  await page.evaluate(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector('[aria-label=Advice]')) return;
      watch.disconnect();
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    });
    watch.observe(document.body, { subtree: true, childList: true });
  });
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText('A miss');
});
