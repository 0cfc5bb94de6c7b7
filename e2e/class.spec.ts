import { expect, storedCount, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 } });

test('a class: a tap is a clean go of its dog, a hold asks what else, each has its own log and undo', async ({
  page,
}) => {
  await page.goto('/sample/field/class');
  await expect(page.getByText('Nobody is in the class yet: tick who is there.')).toBeVisible();
  for (const name of ['Quill', 'Juniper', 'Otto']) await page.getByRole('checkbox', { name }).check();
  const before = await storedCount(page, 'regulon-sample', 'entries');
  const quill = page.getByRole('button', { name: /^Quill: a clean go/ });
  const juniper = page.getByRole('button', { name: /^Juniper: a clean go/ });
  await quill.click();
  await expect(page.getByRole('button', { name: 'Quill: a clean go. So far 1 of 1 clean' })).toBeVisible();
  await juniper.click();
  await expect(page.getByRole('button', { name: 'Juniper: a clean go. So far 1 of 1 clean' })).toBeVisible();
  await quill.click();
  await expect(page.getByRole('button', { name: 'Quill: a clean go. So far 2 of 2 clean' })).toBeVisible();
  // Held, not tapped.
  const box = await juniper.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40);
  await page.mouse.down();
  await expect(page.getByRole('dialog', { name: 'Juniper: what was it?' })).toBeVisible();
  await page.mouse.up();
  await page.getByRole('button', { name: 'Missed' }).click();
  await expect(page.getByRole('button', { name: 'Juniper: a clean go. So far 1 of 2 clean' })).toBeVisible();
  await page.getByRole('button', { name: 'Juniper: something else' }).click();
  await page.getByRole('button', { name: 'Missed' }).click();
  await expect(page.getByText('2 missed in a row: easier, or end.')).toBeVisible();
  expect(await storedCount(page, 'regulon-sample', 'entries')).toBe(before + 5);
  await page.getByRole('button', { name: 'Juniper: something else' }).click();
  await page.getByRole('button', { name: 'Take the last one back' }).click();
  await expect(page.getByRole('button', { name: 'Juniper: a clean go. So far 1 of 2 clean' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Quill: a clean go. So far 2 of 2 clean' })).toBeVisible();
  await page.getByRole('button', { name: 'Quill: something else' }).click();
  await page.getByRole('button', { name: 'Enough for this dog' }).click();
  await expect(page.getByText('Quill: enough for now.')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
