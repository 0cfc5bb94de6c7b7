import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

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
