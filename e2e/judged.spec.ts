import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 } });

const last = (page: Page) => page.getByLabel('Last rep');

/** Breaks a method down with a person's answers, and opens one of its elements. */
async function fromMethod(
  page: Page,
  method: string,
  answers: Readonly<Record<string, string>>,
  element: string,
): Promise<void> {
  await page.goto(`/sample/breakdown/new?from=method:${method}`);
  for (const [label, text] of Object.entries(answers)) {
    await page.getByLabel(label, { exact: true }).first().click();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type(text);
  }
  await page.getByRole('button', { name: 'Break it down' }).click();
  await page.getByRole('link', { name: `Ladder of ${element}` }).click();
  await expect(page.getByRole('link', { name: 'Train it' })).toBeVisible();
}

async function train(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Train it' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('status', { name: 'Advice' })).toBeVisible();
}

const PLATFORM = {
  'Demand, Time on it': '10 s',
  'Start, Distance to the platform': '2 m',
  'Demand, Distance to the platform': '10 m',
};

test('steps of a list are renamed and added; the pad grades by them, and backing away lies below', async ({
  page,
}) => {
  await fromMethod(page, 'platform', PLATFORM, 'Approach');
  await page.getByLabel('More about Response').click();
  const step = page.getByLabel('Step 2', { exact: true });
  await step.fill('one step');
  await step.blur();
  const further = page.getByLabel('A further step after the last');
  await further.fill('lies down on it');
  await further.blur();
  await expect(page.getByLabel('Step 8', { exact: true })).toHaveValue('lies down on it');
  await train(page);
  await expect(page.getByRole('button', { name: 'Lies down on it' })).toBeVisible();
  await page.getByRole('button', { name: 'One step' }).click();
  await expect(last(page)).toContainText('clean');
  await page.getByRole('button', { name: 'Backs away' }).click();
  await expect(last(page)).toContainText('miss: Backs away');
});

test('paws are counted, and one cue only is a setting: two paws of four, then a second cue', async ({
  page,
}) => {
  await fromMethod(page, 'platform', { ...PLATFORM, 'Start, Feet on it': '4' }, 'All four feet on');
  await page.getByRole('link', { name: 'Rule', exact: true }).click();
  await page
    .getByLabel('Cues', { exact: true })
    .selectOption({ label: 'one cue only: a second needed one is not clean' });
  await train(page);
  await page.getByRole('button', { name: 'Clean', exact: true }).click();
  await expect(last(page)).toContainText('clean');
  await page.getByText('More about this rep').click();
  await page.getByLabel(/^How many/).click();
  await page.keyboard.type('2');
  await page.getByRole('button', { name: /^Take it: How many/ }).click();
  await expect(last(page)).toContainText('flawed: Fewer feet than asked');
  await expect(page.getByRole('status', { name: 'Measured' })).toContainText('2, asked 4');
  await page.getByRole('button', { name: 'Clean', exact: true }).click();
  await expect(last(page)).toContainText('Last rep clean');
  await page
    .getByRole('group', { name: 'More cues: it needed' })
    .getByRole('button', { name: '1', exact: true })
    .click();
  await expect(page.getByRole('status', { name: 'Measured' })).toContainText('2 cues, 1 allowed');
  await expect(page.getByText('2 reps, 0 clean').filter({ visible: true })).toBeVisible();
});

test('own names on the articles, laid otherwise than drawn, and a wrong one put right stays wrong', async ({
  page,
}) => {
  await fromMethod(
    page,
    'scent-discrimination',
    {
      'Start, Distance to the article': '2 m',
      'Demand, Distance to the article': '10 m',
      'Start, Articles in all': '2',
      'Start, Gap to the next article': '60 cm',
      'Demand, Gap to the next article': '10 cm',
    },
    'Choose among several',
  );
  await page.getByRole('link', { name: 'About' }).click();
  await page.getByLabel('Numbered articles').fill('3');
  await page.getByLabel('Numbered articles').blur();
  const names = page.getByLabel(/^What stands on them/);
  await names.click();
  await page.keyboard.type('7, 12');
  await names.blur();
  await expect(page.getByText('2 names for 3 articles.')).toBeVisible();
  await names.fill('7, 12, elder');
  await names.blur();
  await expect(page.getByText('Layout changed.')).toBeVisible();
  await train(page);
  const articles = page.getByRole('region', { name: 'Articles' });
  await articles.getByText('I laid it otherwise').click();
  await articles.getByLabel('At place 1 lies').selectOption('elder');
  await articles.getByLabel('At place 2 lies').selectOption('7');
  await articles.getByLabel('The right one lies at').selectOption({ label: 'place 2 (7)' });
  await expect(articles).toContainText('the right one is number 7');
  await articles.getByRole('button', { name: /article elder/ }).click();
  await articles.getByRole('button', { name: 'I helped it' }).click();
  await expect(articles).toContainText('It was wrong, and you helped: it stays wrong');
  await articles.getByRole('button', { name: /article 7$/ }).click();
  await expect(last(page)).toContainText('miss: Picked another');
});
