import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { exactForecast, expect, test } from './fixtures';
import { ownDogWith } from './own-dog';

/** Counts what a person does: a word or number typed is one action, so is every other key, and every tap. */
function hands(page: Page) {
  let actions = 0;
  return {
    /** Typed key by key into what has the focus. */
    type: async (text: string) => {
      actions += 1;
      await page.keyboard.type(text);
    },
    key: async (key: string) => {
      actions += 1;
      await page.keyboard.press(key);
    },
    /** Put into what has the focus at one stroke, as from a clipboard. */
    paste: async (text: string) => {
      actions += 1;
      await page.keyboard.insertText(text);
    },
    tap: async (name: string | RegExp) => {
      actions += 1;
      await page.getByRole('button', { name }).click();
    },
    count: () => actions,
  };
}

const FAULTS = ['Crooked', 'Slow', 'Late', 'Vocal', 'Mouths', 'Sniffs'] as const;
const EXERCISES = [
  ['Heel on leash', '20', 6],
  ['Heel free', '30', 6],
  ['Sit out of motion', '20', 6],
  ['Recall', '30', 6],
  ['Retrieve', '30', 6],
  ['Send away', '40', 5],
  ['Long stay', '30', 5],
] as const;
const COSTS = ['1', '2.5', '1.05', '1–3', '2 each, at most 6', '0.5 per second over 2'] as const;

test('seven exercises and forty faults are written by keyboard alone, in fewer than 300 actions', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/own/rule-books/write');
  const hand = hands(page);
  await page.getByRole('button', { name: /^Points off/ }).focus();
  await hand.key('Enter');
  await expect(page.getByLabel('Name of the class, the class')).toBeFocused();
  await hand.type('Barn class');
  const tabTo = async (label: string): Promise<void> => {
    const field = page.getByRole('textbox', { name: label, exact: true });
    for (let i = 0; i < 20 && !(await field.evaluate((one) => one === document.activeElement)); i++)
      await hand.key('Tab');
    await expect(field).toBeFocused();
  };
  await tabTo('Exercise 1');
  for (const [e, [title, points, faults]] of EXERCISES.entries()) {
    await hand.type(title);
    await hand.key('Tab');
    await hand.type(points);
    await hand.key('Tab');
    await hand.key('Enter');
    await expect(page.getByLabel(`Fault 1 of ${title}`, { exact: true })).toBeFocused();
    for (let f = 0; f < faults; f++) {
      await hand.type(FAULTS[f] as string);
      await hand.key('Tab');
      await hand.type(COSTS[f] as string);
      await hand.key('Enter');
      await expect(page.getByLabel(`Fault ${f + 2} of ${title}`, { exact: true })).toBeFocused();
    }
    if (e < EXERCISES.length - 1) {
      await hand.key('Enter');
      await expect(page.getByRole('textbox', { name: `Exercise ${e + 2}`, exact: true })).toBeFocused();
    }
  }
  await tabTo('Points in all, at least, To pass 1, the class');
  await hand.type('140');
  // A price of 1.05 needs a step of 0.05.
  await tabTo('Smallest step of points, the class');
  await hand.type('0.05');
  await expect(page.getByLabel('Smallest step of points, the class')).toHaveValue('0.05');
  const check = page.getByRole('region', { name: 'Check' });
  await expect(check).toContainText('Sound');
  // Numbers stand as they were typed, key by key.
  await expect(page.getByLabel('Cost of Slow, Recall', { exact: true })).toHaveValue('2.5');
  await expect(page.getByLabel('Cost of Late, Recall', { exact: true })).toHaveValue('1.05');
  await hand.key('Control+s');
  await expect(page.getByRole('heading', { name: 'Barn class' })).toBeVisible();
  expect(hand.count()).toBeLessThanOrEqual(300);
  await expect(page.getByRole('article').getByText('at least 140 of 200 points')).toBeVisible();
});

test('arrows move between cells, Backspace takes an empty row out, undo goes back by field', async ({
  page,
}) => {
  await page.goto('/sample/rule-books/write?copy=vellmoor-obedience-two');
  const press = (...keys: readonly string[]) =>
    keys.reduce(async (before, key) => {
      await before;
      await page.keyboard.press(key);
    }, Promise.resolve());
  const one = (name: string) => page.getByRole('textbox', { name, exact: true });
  await one('Exercise 1').click();
  await press('End', 'ArrowRight');
  await expect(one('Points of Send-away to the square')).toBeFocused();
  await press('ArrowDown');
  await expect(page.getByLabel(/^Points of /).nth(1)).toBeFocused();
  await press('ArrowUp', 'ArrowRight');
  await expect(page.getByRole('button', { name: 'Faults of Send-away to the square: 13' })).toBeFocused();
  await press('Enter');
  await expect(page.getByLabel('Fault 1 of Send-away to the square').first()).toBeFocused();
  await press('ArrowUp');
  await expect(one('Part 1 of Send-away to the square')).toBeFocused();
  await press('ArrowDown', 'End', 'ArrowRight');
  await expect(one('Cost of Crooked at heel, Send-away to the square')).toBeFocused();
  // A new row, a word and a price in it; each field is one step back.
  await press('Enter');
  await page.keyboard.type('Yawns');
  await press('Tab');
  await page.keyboard.type('1.5');
  const undo = page.getByRole('region', { name: 'Check' }).getByRole('button', { name: 'Undo' });
  await undo.click();
  await expect(one('Cost of Yawns, Send-away to the square')).toHaveValue('');
  await undo.click();
  await expect(page.getByText('Yawns')).toHaveCount(0);
  const empty = page.getByLabel('Fault 2 of Send-away to the square').first();
  await expect(empty).toHaveValue('');
  await empty.focus();
  await press('Backspace');
  await expect(page.getByLabel('Fault 1 of Send-away to the square').first()).toBeFocused();
  await expect(page.getByRole('button', { name: 'Faults of Send-away to the square: 13' })).toBeVisible();
});

/** Seven exercises and forty faults, as a club keeps them in a document. */
const SHEET = [
  'Barn class',
  'Edition 2026',
  ...EXERCISES.flatMap(([title, points, faults], i) => [
    `${i + 1}. ${title} (${points} points)`,
    ...FAULTS.slice(0, faults).map((fault, f) => `- ${fault} ${COSTS[f]}`),
  ]),
  'Total 200 points',
  'To pass: at least 140 points and half of the points of each exercise',
  'Excellent from 180',
].join('\n');

test('the same by paste in at most 30 actions; what is not clear is asked before it counts', async ({
  page,
}) => {
  await page.goto('/own/rule-books');
  const hand = hands(page);
  await page.getByRole('link', { name: 'Paste a sheet' }).click();
  const field = page.getByLabel('The sheet as you copied it');
  await field.focus();
  await hand.paste(SHEET.replace('- Late 1.05', '- 2 steps late 1.05').replace('Total 200', 'Total 210'));
  await hand.tap('Read it line by line');
  await expect(page.getByText('7 exercises, 40 faults')).toBeVisible();
  await expect(page.getByText('2 lines want a look first.')).toBeVisible();
  // The table is not made yet: the first line that wants a look has the cursor.
  await hand.tap(/^Take all/);
  await expect(page.getByLabel('Line 6', { exact: true })).toBeFocused();
  await expect(page.getByText('Which number is its price? “2 steps late” has another one.')).toBeVisible();
  await hand.tap('Line 6 is right');
  await expect(
    page.getByText('210 are written here, and the exercises have 200 together. Look for what is missing.'),
  ).toBeVisible();
  await page.getByLabel('Line 50', { exact: true }).focus();
  await hand.key('End');
  for (let i = 0; i < 9; i++) await hand.key('Backspace');
  await hand.type('00 points');
  await expect(page.getByText('Every line is settled.')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await hand.tap(/^Take all/);
  const check = page.getByRole('region', { name: 'Check' });
  await expect(check).toContainText('Sound');
  await expect(check).toContainText('A run with one small fault in each exercise scores 193 points');
  await hand.key('Control+s');
  await expect(page.getByRole('heading', { name: 'Barn class' })).toBeVisible();
  await expect(
    page.getByRole('article').getByText('at least 50 % of the points of each exercise'),
  ).toBeVisible();
  await expect(page.getByRole('article').getByText('Vocal').first()).toBeVisible();
  expect(hand.count()).toBeLessThanOrEqual(30);
});

test('a saved book is corrected in place: a ladder goes on, a new part is filled; a second draft asks which goes on', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/sample/rule-books/vellmoor-obedience-two');
  await page.getByRole('link', { name: 'Correct it' }).click();
  await expect(
    page.getByRole('heading', { name: 'Correcting: Vellmoor Obedience, Class Two' }),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Faults of Send-away/ }).click();
  const asked = page.getByLabel('Asked of Wait for the steward', { exact: true });
  await expect(asked).toHaveValue('Time down at least 30 s; Distance from you at least 25 m');
  await asked.fill('Time down at least 45 s; Distance from you at least 25 m');
  await page.getByRole('button', { name: 'Add a part to Send-away to the square' }).click();
  await page.keyboard.type('Greets the judge');
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(
    page.getByText(
      /^Vellmoor Obedience, Class Two is corrected\. One ladder goes on to another demand\. Nothing trains a new part yet in: Send-away to the square\./,
    ),
  ).toBeVisible();
  await expect(page.getByText('Asked: time down 45 s, distance from you 25 m')).toBeVisible();
  await page.getByRole('link', { name: 'Break it all down for Quill' }).click();
  // Only the new part is asked; the book measures nothing there, so it climbs by less help.
  await expect(page.getByText('The book measures nothing here: it climbs by less help.')).toBeVisible();
  await expect(page.getByLabel('What trains “Greets the judge”')).toHaveCount(1);
  await page.getByRole('button', { name: 'Break it all down' }).click();
  await expect(page).toHaveURL(/\/sample\/breakdown$/);
  await page.goto('/sample/readiness');
  await expect(page.getByText(/some links of .* have no element yet/)).toHaveCount(0);

  await page.goto('/sample/rule-books/write?copy=vellmoor-obedience-two');
  await expect(page.getByLabel('Edition, the class')).toHaveValue('Sample edition 1, changed');
  // Another book while a draft is in hand: which goes on is asked.
  await page.goto('/sample/rule-books/write?correct=brackwater-working-test');
  await expect(page.getByRole('heading', { name: 'A draft is in hand' })).toBeVisible();
  await page.getByRole('button', { name: /^Put that draft away and begin with/ }).click();
  await expect(page.getByRole('heading', { name: /^Correcting: / })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByLabel('Edition, the class')).toHaveValue('Sample edition 1, changed');
});

const FAMILIES = [
  ['Points off', [['Points in all, at least, To pass 1, the class', '10']], 'Points', '20', '1'],
  ['Weighted marks', [['To pass: percent of all, the class', '50']], 'Coefficient', '2', '1'],
  [
    'Abilities',
    [
      ['Least mean, Abilities 1, the class', '3'],
      ['To pass: mean over all, the class', '4'],
    ],
    null,
    '',
    '1',
  ],
  [
    'Retrieves',
    [
      ['A faultless retrieve, the class', '20'],
      ['To pass: points, the class', '12'],
      ['A major fault leaves at most, the class', '8'],
    ],
    null,
    '',
    '2',
  ],
  ['Checklist', [], 'Attempts', '2', 'an attempt'],
  ['Time and faults', [['To pass: faults at most, the class', '10']], 'Faults at most', '20', '2'],
  ['Measured scores', [['To pass (seconds: at most), the class', '10']], 'The most of one try', '50', '1'],
] as const;

test('a class of every family is written, saved, corrected, broken down and forecast', async ({ page }) => {
  test.setTimeout(420_000);
  await ownDogWith(page, 'Wren', 'vellmoor-obedience-two');
  for (const [family, lines, main, number, cost] of FAMILIES) {
    await page.goto('/own/rule-books/write');
    await page.getByRole('button', { name: new RegExp(`^${family}`) }).click();
    await page.getByLabel('Name of the class, the class').fill(`Class of ${family}`);
    await page.getByRole('textbox', { name: 'Exercise 1', exact: true }).fill('Sit by the bench');
    if (main !== null) await page.getByLabel(`${main} of Sit by the bench`, { exact: true }).fill(number);
    await page.getByRole('button', { name: /^Faults of Sit by the bench/ }).click();
    await page.keyboard.type('Slow');
    await page.keyboard.press('Tab');
    await page.keyboard.type(cost);
    for (const [label, text] of lines) {
      await page.getByLabel(label).fill('');
      await page.getByLabel(label).pressSequentially(text);
    }
    const check = page.getByRole('region', { name: 'Check' });
    await expect(check).toContainText('A run with one small fault in each exercise scores');
    await page.getByRole('button', { name: 'Save to this kennel' }).click();
    await expect(page.getByRole('heading', { name: `Class of ${family}` })).toBeVisible();
    await page.getByRole('link', { name: 'Correct it' }).click();
    await page.getByLabel('Edition, the class').fill('Second edition');
    await page.getByRole('button', { name: 'Save the correction' }).click();
    await expect(page.getByRole('article').getByText('Second edition')).toBeVisible();
    await page.getByRole('link', { name: /^Break it all down for / }).click();
    await page.getByRole('button', { name: 'Break it all down' }).click();
    await expect(page).toHaveURL(/\/own\/breakdown$/);
    await page.goto('/own/readiness');
    await page
      .getByLabel('Rule book', { exact: true })
      .selectOption({ label: `Class of ${family}, Second edition` });
    await page.getByLabel('Name of the trial').fill(family);
    await page.getByLabel('Day of the trial').fill('2026-09-12');
    await page.getByRole('button', { name: 'Note the trial' }).click();
    await expect(page.getByText('The trial is noted.')).toBeVisible();
  }
  await page.goto('/own/breakdown');
  // The piece is called alike in all seven, so it is trained once for all of them.
  const piece = page.getByRole('link', { name: 'Sit by the bench' }).first();
  const address = ((await piece.getAttribute('href')) ?? '').replace('/breakdown/', '/field/');
  await page.goto(`${address}/log`);
  await page.getByLabel(/^Reps in order/).click();
  await page.keyboard.type('c c c c c m c c c c c c');
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await expect(page.getByText(/12 reps of .* are in the log/)).toBeVisible();
  await page.goto('/own/readiness');
  const trials = page.getByLabel('Trial', { exact: true });
  for (const [family] of FAMILIES) {
    await trials.selectOption({
      label: (await trials.getByRole('option', { name: family }).innerText()).trim(),
    });
    await expect(page.getByRole('heading', { level: 1 })).toContainText(family);
    expect(await exactForecast(page)).toMatch(/"mid":0\.\d+/);
  }
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a price is corrected under the thumb, key by key; nothing lies beside the page', async ({ page }) => {
    await page.goto('/sample/rule-books/vellmoor-obedience-two');
    await page.getByRole('link', { name: 'Correct it' }).tap();
    await page.getByRole('button', { name: /^Faults of Send-away/ }).tap();
    const cost = page.getByLabel('Cost of Slow on the way out, Send-away to the square', { exact: true });
    await expect(cost).toHaveValue('1.5');
    await cost.tap();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('2.');
    await expect(cost).toHaveValue('2.');
    await page.keyboard.type('5');
    await expect(cost).toHaveValue('2.5');
    await page.keyboard.type('7');
    // What is wrong stands over the button, and leads to its cell.
    await page
      .getByRole('button', {
        name: /^Send-away to the square, Slow on the way out: what it costs 2.57 is not/,
      })
      .tap();
    await expect(cost).toBeFocused();
    await page.keyboard.press('End');
    await page.keyboard.press('Backspace');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    const violations = (await new AxeBuilder({ page }).analyze()).violations;
    expect(violations.map((one) => [one.id, one.nodes.map((node) => node.html)])).toEqual([]);
    await page.getByRole('button', { name: 'Save the correction' }).tap();
    await expect(page.getByText('Vellmoor Obedience, Class Two is corrected.')).toBeVisible();
    await expect(page.getByRole('article').getByText('2.5 points each').first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).tap();
    await expect(page.getByRole('article').getByText('1.5 points each').first()).toBeVisible();
  });
});
