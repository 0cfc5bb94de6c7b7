import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { exactForecast, expect, ownHold, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 } });

const bookText = (name: string): string => readFileSync(`src/demo/rule-books/${name}.json`, 'utf8');
const read = async (page: Page, text: string): Promise<void> => {
  await page
    .getByLabel('Rule-book file')
    .setInputFiles({ name: 'book.json', mimeType: 'application/json', buffer: Buffer.from(text) });
};

test('a course with sizes: read from its file, followed by the dog’s height, scored till the third refusal', async ({
  page,
}) => {
  await ownHold(page, 'Wren');

  // The class says what it has besides, and what it wants to know of the dog.
  await page.goto('/own/rule-books');
  await read(page, bookText('ravenholt-course'));
  await expect(
    page.getByText('Refusals, counted over the whole run: the 3rd ends the run').first(),
  ).toBeVisible();
  await expect(
    page.getByText('Sizes of dog: Low under 35 cm, Middle under 45 cm, High from there'),
  ).toBeVisible();
  await expect(
    page.getByText('height 35 cm (Low 25 cm, High 45 cm)', { exact: false }).first(),
  ).toBeVisible();
  await expect(page.getByText(/How high Wren is stands nowhere yet/)).toBeVisible();
  await page.getByRole('link', { name: 'To Wren in the kennel' }).click();
  const height = page.getByLabel('Height at the withers (cm)');
  await height.click();
  await page.keyboard.type('300');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No dog is that high: write centimetres.')).toBeVisible();
  await height.fill('');
  await page.keyboard.type('33');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Height of Wren changed')).toBeVisible();

  await page.goto('/own/rule-books');
  await expect(page.getByText('For Wren, whose size is “Low”, the values of that size go.')).toBeVisible();
  await page.getByRole('link', { name: 'What does it cost?' }).click();
  const score = page.getByRole('region', { name: 'Score' });
  await expect(page.getByLabel('Size of dog')).toHaveValue('low');
  await expect(score).toContainText('8 exercises are still to come.');
  await page.getByLabel('Over the standard time, measured').click();
  await page.keyboard.type('65');
  await page.keyboard.press('Enter');
  await expect(score).toContainText('0 faults');
  await page.getByLabel('Size of dog').selectOption({ label: 'High' });
  await expect(score).toContainText('5 faults');
  await page.getByRole('button', { name: 'Refusal: Add' }).nth(1).click();
  await page.getByRole('button', { name: 'Refusal: Add' }).nth(2).click();
  await expect(score).toContainText('15 faults');
  await page.getByRole('button', { name: 'Refusal: Add' }).nth(3).click();
  await expect(score).toContainText('Does not pass');
  await expect(score).toContainText('the run is ended');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(score).not.toContainText('the run is ended');
});

test('doubts are said of a book that is taken as it is, and an edition shows its every difference', async ({
  page,
}) => {
  await page.goto('/own/rule-books');
  const two = bookText('vellmoor-obedience-two');
  await read(page, two.replace('"points": 22', '"points": 42'));
  await expect(
    page.getByText(
      /“Does not stop in the square” takes 42 points off “Send-away to the square”, which has 40/,
    ),
  ).toBeVisible();
  const other = two
    .replace('"id": "vellmoor-obedience-two"', '"id": "vellmoor-two-b"')
    .replace('"edition": "Sample edition 1"', '"edition": "Sample edition 1b"')
    .replace('"points": 22', '"points": 42')
    .replace('"usual": 2', '"usual": 3')
    .replace('From heel the dog runs', 'The dog runs');
  await read(page, other);
  await page
    .getByLabel('Rule book', { exact: true })
    .selectOption({ label: 'Vellmoor Obedience, Class Two, Sample edition 1' });
  await page.getByRole('link', { name: 'Compare editions' }).click();
  await expect(page.getByRole('heading', { name: '2 changes' })).toBeVisible();
  await expect(page.getByText('Send-away to the square, Leaves the line: usual amount: 2 → 3')).toBeVisible();
});

test('a judge’s number with the faults that explain it; throws by their zones', async ({ page }) => {
  await page.goto('/sample/rule-books/vellmoor-obedience-two/sheet');
  const score = page.getByRole('region', { name: 'Score' });
  await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
  await page.getByRole('textbox', { name: 'Or its points, Send-away to the square' }).click();
  await page.keyboard.type('34.5');
  await page.keyboard.press('Enter');
  await expect(score).toContainText('74.5 points');
  await expect(score).toContainText('Slow on the way out');
  await page.getByRole('textbox', { name: 'Or its points, Send-away to the square' }).fill('41');
  await page.keyboard.press('Enter');
  await expect(page.getByText('“41” is not a number from 0 to 40 in steps of 0.5.')).toBeVisible();

  await page.goto('/sample/rule-books/fennside-throws/sheet');
  const tries = async (values: readonly string[]): Promise<void> => {
    for (const [i, value] of values.entries()) {
      await page
        .getByRole('textbox', { name: new RegExp(`^Try ${i + 1}, points of the zone, `) })
        .fill(value);
      await page.keyboard.press('Enter');
    }
  };
  await tries(['5', '4', '0', '5', '2']);
  await expect(score).toContainText('16 points');
  await expect(score).toContainText('Passes: Bronze');
  await page.getByRole('button', { name: 'Run 2' }).click();
  await tries(['5', '5', '4', '5', '2']);
  await expect(page.getByText('The best run counts: 21 points, passes.')).toBeVisible();
  await page.getByRole('button', { name: 'Run 1: 16 points' }).click();
  await expect(score).toContainText('16 points');
  await tries(['5', '4', '1']);
  await expect(page.getByText('“1” is not a number from 0 to 5 in steps of 0.5.')).toBeVisible();
});

test('two cues more in each of ten reps reach the price of the trial', async ({ page }) => {
  const slips = async (): Promise<number> => {
    await page.goto('/sample/readiness');
    await exactForecast(page);
    const row = page
      .getByRole('region', { name: 'The ledger' })
      .locator('summary')
      .filter({ hasText: 'Handler’s slips' });
    return Number(/−([\d.]+)/.exec(await row.nth(1).innerText())?.[1]);
  };
  const before = await slips();
  await page.goto('/sample/field/sample-give');
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let i = 1; i <= 10; i++) {
    await page.getByRole('button', { name: 'Clean', exact: true }).click();
    await expect(
      page.getByText(new RegExp(`^${i} reps?, \\d+ clean`)).filter({ visible: true }),
    ).toBeVisible();
    if (i === 1) await page.getByText('More about this rep').click();
    await page
      .getByRole('group', { name: 'More cues: it needed' })
      .getByRole('button', { name: '2', exact: true })
      .click();
    await expect(page.getByLabel('Last rep')).toContainText('2 more cues needed');
  }
  expect(await slips()).toBeGreaterThan(before + 0.1);
});
