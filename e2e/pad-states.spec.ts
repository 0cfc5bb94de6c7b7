import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { begin } from './pad-page';

test.use({ viewport: { width: 390, height: 844 } });

/** Takes another rule for an element, on its rule page. */
async function withRule(page: Page, element: string, rule: RegExp): Promise<void> {
  await page.goto(`/sample/breakdown/${element}/rule`);
  await page.getByRole('button', { name: 'More rules' }).click();
  await page.getByRole('radio', { name: rule }).click();
  await expect(page.getByRole('radio', { name: rule })).toBeChecked();
  await page.getByRole('button', { name: 'Take these numbers' }).click();
  await expect(page.getByText('Rule changed.')).toBeVisible();
  await begin(page, element);
}
const press = (page: Page, name: RegExp) =>
  page.getByRole('button', { name }).filter({ visible: true }).first().click();

/** Every way of judging a rep, and what opens its states. */
const STATES: readonly {
  readonly pad: string;
  readonly start: (page: Page) => Promise<void>;
  readonly open: readonly RegExp[];
}[] = [
  { pad: 'outcome', start: (page) => begin(page, 'sample-give'), open: [/^Clean/, /^Flawed/] },
  {
    pad: 'hold and chips',
    start: (page) => begin(page, 'sample-wait'),
    open: [/^Hold begins/, /^Help, place and more/],
  },
  { pad: 'drive', start: (page) => withRule(page, 'sample-send', /^Stretch and cut/), open: [/^Refused/] },
  {
    pad: 'timed',
    start: (page) => withRule(page, 'sample-present', /^From an old cue/),
    open: [/^Cue/, /^After the prompt/],
  },
  {
    pad: 'graded',
    start: (page) => withRule(page, 'sample-set-up', /^Better than most/),
    open: [/^All of it/],
  },
  {
    pad: 'whole',
    start: async (page) => {
      await page.goto('/sample/field');
      await page.getByRole('link', { name: 'Run the whole: Send-away to the square' }).click();
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
    },
    open: [/^Broke: 3/, /^Start the run/],
  },
  {
    pad: 'legs',
    start: async (page) => {
      await page.goto('/sample/breakdown/new?from=method:heeling');
      await page.getByLabel('Demand, Time without a fault').fill('1 min');
      await page.getByRole('button', { name: 'Break it down' }).click();
      await page.getByRole('link', { name: 'Train Heeling' }).click();
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
    },
    open: [/^Start the clock/, /^Wide/],
  },
  {
    pad: 'articles',
    start: async (page) => {
      await page.goto('/sample/breakdown/new?from=method:scent-discrimination');
      for (const [label, value] of [
        ['Start, Distance to the article', '2 m'],
        ['Demand, Distance to the article', '10 m'],
        ['Start, Articles in all', '6'],
        ['Start, Gap to the next article', '60 cm'],
        ['Demand, Gap to the next article', '10 cm'],
      ] as const)
        await page.getByLabel(label).fill(value);
      await page.getByRole('button', { name: 'Break it down' }).click();
      await page.getByRole('link', { name: 'Ladder of Choose among several' }).click();
      await page.getByRole('link', { name: 'About' }).click();
      await page.getByLabel('Numbered articles').fill('12');
      await page.getByLabel('Numbered articles').blur();
      await expect(page.getByText(/12 numbered articles/)).toBeVisible();
      await page.getByRole('link', { name: 'Train it' }).click();
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
    },
    open: [/^I helped it/],
  },
];
for (const theme of ['light', 'dusk'] as const)
  test(`axe finds nothing in any state of the pad: ${theme}`, async ({ page }) => {
    test.setTimeout(600_000);
    page.setDefaultTimeout(15_000);
    await page.addInitScript((chosen) => localStorage.setItem('regulon-theme', chosen), theme);
    for (const { pad, start, open } of STATES) {
      await start(page);
      const clean = async (state: string): Promise<void> => {
        const { violations } = await new AxeBuilder({ page }).analyze();
        const found = violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)]);
        expect.soft([pad, state, found]).toEqual([pad, state, []]);
      };
      await expect(page.getByRole('toolbar', { name: 'Always at hand' })).toBeVisible();
      await clean('begun');
      for (const name of open) {
        await press(page, name);
        await clean(String(name));
      }
      await press(page, /^Enough for now/);
      await expect(page.getByRole('region', { name: /^What it comes to/ })).toBeVisible();
      await clean('the end');
    }
  });
