import AxeBuilder from '@axe-core/playwright';
import { exactForecast, expect, test } from './fixtures';
import { VIEWS } from './views';

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'];
const NARROW = [
  'aria-hidden-focus',
  'button-name',
  'color-contrast',
  'heading-order',
  'label',
  'link-name',
  'page-has-heading-one',
  'scrollable-region-focusable',
  'target-size',
];

// Each half of the views is a test, so that no worker is left with all of them.
for (const half of [0, 1]) {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    test(`axe finds nothing, by day and at dusk, ${size.width} wide, views ${half + 1} of 2`, async ({
      page,
    }) => {
      test.setTimeout(600_000);
      await page.setViewportSize(size);
      for (const view of VIEWS.filter((_, i) => i % 2 === half)) {
        await page.goto(view);
        await expect(page.getByRole('heading').first()).toBeVisible();
        if (view.endsWith('write')) await page.getByRole('button', { name: /^Abilities/ }).click();
        if (view.endsWith('readiness')) await exactForecast(page);
        if (view.endsWith('evidence')) await expect(page.locator('canvas')).toHaveCount(2);
        if (view.endsWith('today'))
          await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
        if (view.endsWith('sample-give')) {
          await page.getByRole('button', { name: 'Begin' }).click();
          await page.getByRole('button', { name: 'Clean' }).click();
          await page.getByRole('button', { name: 'Flawed' }).click();
          await expect(page.getByText('Which fault?')).toBeVisible();
        }
        // At dusk only colours are others, on a narrow page what is seen and how large it is.
        const axe = new AxeBuilder({ page }).setLegacyMode();
        const byDay = await (size.width > 1000 ? axe.withTags(STANDARDS) : axe.withRules(NARROW)).analyze();
        await page.getByRole('button', { name: 'Dark page for dusk' }).click();
        const atDusk = await page.evaluate(() =>
          (globalThis as unknown as { axe: { run: (options: object) => Promise<typeof byDay> } }).axe.run({
            runOnly: ['color-contrast'],
          }),
        );
        await page.getByRole('button', { name: 'Light page for day' }).click();
        const found = [...byDay.violations, ...atDusk.violations];
        expect(found.map((violation) => `${view}: ${violation.id} ${violation.nodes[0]?.html}`)).toEqual([]);
        const overflow = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect([view, overflow]).toEqual([view, 0]);
      }
    });
  }
}

test('targets on the pad are at least 56 px both ways, and Enter presses what has the focus', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByLabel('Last rep')).toBeVisible();
  const heights = await page.locator('[data-pad] button').evaluateAll((buttons) =>
    buttons
      .filter((button) => (button as HTMLElement).offsetParent !== null)
      .map((button) => {
        const { width, height } = button.getBoundingClientRect();
        return [button.textContent, Math.round(Math.min(width, height))];
      }),
  );
  expect(heights.filter(([, least]) => Number(least) < 56)).toEqual([]);
  expect(heights.length).toBeGreaterThan(8);
  await page.getByRole('button', { name: 'Miss' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Last rep')).toContainText('miss');
});

test('demo and real use open on their own kennels', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/\/own\/start$/);
  await page.getByRole('link', { name: 'Open the sample kennel' }).click();
  await expect(page.getByText('sample, all invented')).toBeVisible();
  await page.goto('/nonsense/today');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
});

test('the policy is in force: no inline script runs and nothing is fetched from elsewhere', async ({
  browser,
  baseURL,
}) => {
  const page = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await page.goto('/own/start');
  const seen = await page.evaluate(async () => {
    const blocked: string[] = [];
    document.addEventListener('securitypolicyviolation', (event) => blocked.push(event.effectiveDirective));
    const script = document.createElement('script');
    script.textContent = 'globalThis.sneaked = true';
    document.body.append(script);
    await fetch('http://elsewhere.invalid/').catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 100));
    return { blocked: [...new Set(blocked)].sort(), sneaked: 'sneaked' in globalThis };
  });
  expect(seen).toEqual({ blocked: ['connect-src', 'script-src-elem'], sneaked: false });
});
