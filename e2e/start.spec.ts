import { expect, storedCount, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('from nothing to the first rep of a person’s own dog: 4 fields and 6 taps at most', async ({ page }) => {
  let taps = 0;
  let fields = 0;
  const tap = async (name: string, role: 'button' | 'radio' = 'button'): Promise<void> => {
    taps++;
    await page.getByRole(role, { name }).tap();
  };
  // A field is counted as a field: the tap that enters it is the same as going on by Tab.
  const fill = async (label: string, text: string): Promise<void> => {
    fields++;
    await page.getByRole('textbox', { name: label }).tap();
    await page.keyboard.type(text);
  };
  await page.goto('/');
  await expect(page).toHaveURL(/\/own\/start$/);
  await fill('Name', 'Wren');
  await tap('Hold, still and light', 'radio');
  await fill('Time held now', '2');
  await fill('Time held wanted', '20 s');
  await tap('Make the ladder');
  // Its card with the cautions comes before the first pad.
  await expect(page.getByText(/see a veterinary surgeon/)).toBeVisible();
  await tap('Begin');
  await tap('Clean');
  await expect(page.getByLabel('Last rep')).toContainText('clean');
  expect([fields, taps]).toEqual([3, 4]);
  expect(await storedCount(page, 'regulon-own', 'entries')).toBe(1);
  // The sample kennel has not been touched, nor made.
  expect(
    await page.evaluate(async () => (await indexedDB.databases()).map((database) => database.name)),
  ).toEqual(['regulon-own']);

  await page.getByRole('button', { name: 'Flawed' }).tap();
  await page.getByRole('button', { name: 'Mouthed it' }).tap();
  await expect(page.getByLabel('Last rep')).toContainText('flawed: Mouthed it');
  await page.getByRole('button', { name: 'Enough for now' }).tap();
  await page.getByRole('link', { name: 'Breakdown' }).tap();
  await expect(page.getByText(/2 reps, too few for a figure, so log more of it/)).toBeVisible();
  await page.getByRole('link', { name: 'Readiness' }).tap();
  await expect(page.getByRole('heading', { name: 'No trial ahead for Wren' })).toBeVisible();
});

test('answers that do not fit are said beside their field, and nothing typed is lost', async ({ page }) => {
  await page.goto('/own/start');
  await page.getByLabel('Distance to you now').fill('20 m');
  await page.getByLabel('Distance to you wanted').fill('5 s');
  await page.getByRole('button', { name: 'Make the ladder' }).tap();
  await expect(page.getByText('Write the dog’s name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
  await page.getByRole('button', { name: 'Make the ladder' }).tap();
  await expect(
    page.getByText('“s” is not a unit of distance. These fit: m, yd, ft, paces, cm.'),
  ).toBeVisible();
  await page.getByLabel('Distance to you wanted').fill('5 yd');
  await expect(page.getByText(/the start is already harder than the demand/)).toBeVisible();
  await expect(page.getByLabel('Distance to you now')).toHaveValue('20 m');
});
