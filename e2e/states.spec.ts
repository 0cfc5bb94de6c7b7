import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** A state of a page that is not its first: how somebody gets there. */
type State = readonly [name: string, reach: (page: Page) => Promise<void>];

const begun = async (page: Page): Promise<void> => {
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Clean', exact: true }).click();
  await expect(page.getByLabel('Last rep')).toBeVisible();
};

const STATES: readonly State[] = [
  [
    'the search, with what is found',
    async (page) => {
      await page.goto('/sample/today');
      await page.getByRole('button', { name: 'Search' }).click();
      await page.keyboard.type('hold');
      await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible();
    },
  ],
  [
    'help over a page',
    async (page) => {
      await page.goto('/sample/plan');
      await page.getByRole('button', { name: 'Help for this page' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'the round through the sample',
    async (page) => {
      await page.goto('/sample/tour');
      await expect(page.getByRole('complementary', { name: /^Looking round/ })).toBeVisible();
      await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
    },
  ],
  [
    'keys and signals over the pad',
    async (page) => {
      await begun(page);
      await page.keyboard.press('?');
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'body signs',
    async (page) => {
      await begun(page);
      await page.getByRole('button', { name: 'Body signs' }).first().click();
      await expect(page.getByRole('button', { name: 'Limping' })).toBeVisible();
    },
  ],
  [
    'a sign that stands, after it was tapped',
    async (page) => {
      await begun(page);
      await page.getByRole('button', { name: 'Body signs' }).first().click();
      await page.getByRole('button', { name: 'Limping' }).click();
      await page.goto('/sample/today');
      await expect(page.getByText(/limping/i).first()).toBeVisible();
    },
  ],
  [
    'a set entered from memory',
    async (page) => {
      await begun(page);
      await page.getByRole('button', { name: 'Set afterwards' }).first().click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
  [
    'the end of a lesson',
    async (page) => {
      await begun(page);
      await page.getByRole('button', { name: 'Enough for now' }).first().click();
      await expect(
        page.getByText('What stands', { exact: false }).or(page.getByText('Next time')).first(),
      ).toBeVisible();
    },
  ],
  [
    'a form with its problems',
    async (page) => {
      await page.goto('/own/start');
      await page.getByRole('button', { name: 'Make the ladder' }).click();
      await expect(page.locator('[aria-invalid="true"]').first()).toBeVisible();
    },
  ],
  [
    'a file that was refused',
    async (page) => {
      await page.goto('/own/files');
      await page
        .getByLabel('Kennel file')
        .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"a":') });
      await expect(page.getByRole('alert')).toBeVisible();
    },
  ],
  [
    'a rep opened in the log',
    async (page) => {
      await page.goto('/sample/field/sample-give/log');
      await page
        .getByRole('button', { name: /^Everything said of it/ })
        .first()
        .click();
    },
  ],
  ['a page that is not there', (page) => page.goto('/nonsense/today').then(() => undefined)],
];

const LOOKS = [
  ['by day', { theme: 'light', contrast: 'usual' }],
  ['at dusk', { theme: 'dusk', contrast: 'usual' }],
  ['strong, by day', { theme: 'light', contrast: 'more' }],
  ['strong, at dusk', { theme: 'dusk', contrast: 'more' }],
] as const;

test.use({ viewport: { width: 390, height: 844 } });

for (const [name, reach] of STATES)
  test(`axe finds nothing in all looks: ${name}`, async ({ page }) => {
    await reach(page);
    const whole = await new AxeBuilder({ page }).setLegacyMode().analyze();
    const found = whole.violations.map((one) => `${one.id} ${one.nodes[0]?.html}`);
    for (const [look, { theme, contrast }] of LOOKS) {
      await page.evaluate(
        ([first, second]) => {
          document.documentElement.dataset.theme = first;
          document.documentElement.dataset.contrast = second;
        },
        [theme, contrast] as const,
      );
      const colours = await page.evaluate(() =>
        (
          globalThis as unknown as {
            axe: {
              run: (options: object) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
            };
          }
        ).axe.run({ runOnly: ['color-contrast'] }),
      );
      found.push(...colours.violations.map((one) => `${look}: ${one.id} ${one.nodes[0]?.html}`));
    }
    expect(found).toEqual([]);
  });

test('strong contrast is strong: words on every ground of the page have 7 to 1', async ({ page }) => {
  for (const [, { theme, contrast }] of LOOKS.slice(2)) {
    await page.addInitScript(
      ([first, second]) => {
        localStorage.setItem('regulon-theme', first);
        localStorage.setItem('regulon-contrast', second);
      },
      [theme, contrast] as const,
    );
    for (const view of ['/sample/today', '/sample/breakdown/sample-stop-down', '/sample/settings']) {
      await page.goto(view);
      await expect(page.getByRole('heading').first()).toBeVisible();
      const { violations } = await new AxeBuilder({ page })
        .setLegacyMode()
        .withRules(['color-contrast-enhanced'])
        .analyze();
      expect(violations.map((one) => `${view} ${theme}: ${one.nodes[0]?.html}`)).toEqual([]);
    }
  }
});

test('where the system draws its own colours, what is chosen has a sign of its own', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto('/sample/today');
  const chosen = page.getByRole('button', { name: 'usual place' });
  await expect(chosen).toHaveAttribute('aria-pressed', 'true');
  const outline = (name: string) =>
    page.getByRole('button', { name }).evaluate((one) => getComputedStyle(one).outlineStyle);
  expect(await outline('usual place')).toBe('double');
  expect(await outline('strange place')).not.toBe('double');
  await expect(page.getByRole('link', { name: 'Today' }).last()).toHaveAttribute('aria-current', 'page');
  // What a bar or a rod says by its colour is said in words beside it.
  await page.goto('/sample/breakdown');
  await expect(page.getByRole('list', { name: /^Chain of/ }).first()).toContainText(/up to \d+ points/);
});
