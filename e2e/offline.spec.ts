import { expect, storedCount, test } from './fixtures';

test.use({ serviceWorkers: 'allow' });

test('once loaded, a whole session runs with no network', async ({ page, context }) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state === 'activated') return;
    await new Promise((done) =>
      active?.addEventListener('statechange', () => active.state === 'activated' && done(null)),
    );
  });
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('button', { name: 'Begin this session' }).click();
  await expect(page.getByRole('button', { name: 'Clean' })).toBeVisible();
  const before = await storedCount(page, 'regulon-sample', 'entries');
  for (let i = 1; i <= 3; i++) {
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(new RegExp(`^${i} reps?, ${i} clean`)).first()).toBeAttached();
  }
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 3);

  await test.step('a reload in the field goes on', async () => {
    await page.reload();
    await expect(page.getByText('3 reps, 3 clean').first()).toBeAttached();
    await page.getByRole('button', { name: 'Enough for now' }).click();
  });

  await test.step('rooms that were never opened open, and the worker computes', async () => {
    await page.getByRole('link', { name: 'Readiness' }).click();
    await expect(page.getByTestId('headline')).toContainText('that Quill would pass', { timeout: 90_000 });
    await page.goto('/sample/breakdown/methods/upright');
    await expect(page.getByRole('heading', { name: 'Upright beg and other strength tricks' })).toBeVisible();
    await page.goto('/');
    await expect(page).toHaveURL(/\/sample\/today$/);
  });
});
