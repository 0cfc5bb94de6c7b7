import { expect, test } from './fixtures';

test.use({ serviceWorkers: 'allow' });

test('a newer version that comes during a set waits, offers itself after it, and loses nothing', async ({
  page,
}) => {
  await page.goto('/sample/today');
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state === 'activated') return;
    await new Promise((done) =>
      active?.addEventListener('statechange', () => active.state === 'activated' && done(null)),
    );
  });
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^1 rep, 1 clean/).first()).toBeAttached();
  // A worker of another name for the same pages waits as a newer version of this one does.
  await page.evaluate(async () => {
    const registration = await navigator.serviceWorker.register('/sw.js?newer');
    if (registration.waiting) return;
    await new Promise<void>((done) => {
      const one = registration.installing;
      one?.addEventListener('statechange', () => one.state === 'installed' && done());
    });
  });
  const line = page.getByRole('status').filter({ hasText: 'A newer Regulon is here' });
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^2 reps, 2 clean/).first()).toBeAttached();
  await expect(line).toHaveCount(0);
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await page.getByRole('link', { name: 'Today' }).first().click();
  const end = page.getByRole('button', { name: 'End the lesson' });
  if (await end.count()) await end.first().click();
  await expect(line).toBeVisible();
  await page.evaluate(() => {
    document.documentElement.dataset.older = 'true';
  });
  await page.getByRole('button', { name: 'Take it now' }).click();
  // The page loads itself again, in the newer version.
  await expect(page.locator('html[data-older]')).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.goto('/sample/field/sample-give/log');
  await expect(page.getByLabel(/^Rep \d of 15 Jun 2026: outcome$/)).toHaveCount(2);
});
