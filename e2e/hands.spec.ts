import { expect, test } from './fixtures';

type Said = { said: string[] };

test('calls are spoken in the person’s own code words only, and calmness with worn kit is told at three moments', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const heard = globalThis as unknown as Said;
    heard.said = [];
    speechSynthesis.speak = (words) => void heard.said.push(words.text);
  });
  await page.goto('/sample/breakdown/sample-wait/about');
  await page.getByLabel('kit worn on the head').click();
  await expect(page.getByText('Kind of work changed.')).toBeVisible();
  await page.goto('/sample/field/sample-wait');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
  await page.keyboard.press('?');
  await page.getByLabel(/^Speak the calls/).check();
  await page.keyboard.press('Escape');
  await page.getByLabel('Call for me').selectOption('left-right');
  await page.getByText('Code words').click();
  await page.getByLabel('Spoken for “left”').fill('amber');
  await page.getByLabel('Spoken for “right”').fill('right');
  await expect(page.getByText('That is the call itself')).toBeVisible();
  for (let i = 1; i <= 8; i++) {
    await page.getByRole('button', { name: 'Clean' }).click();
    await expect(page.getByText(new RegExp(`^${i} reps?, `)).first()).toBeVisible();
  }
  const said = await page.evaluate(() => (globalThis as unknown as Said).said);
  expect(said.length).toBeGreaterThan(1);
  expect(new Set(said)).toEqual(new Set(['amber']));

  await page.getByText('More about this rep').click();
  for (const title of ['As it was put on', 'While it was worn', 'After it came off']) {
    const bears = page.getByRole('group', { name: title }).getByRole('button', { name: 'bears it' });
    await bears.click();
    await expect(bears).toHaveAttribute('aria-pressed', 'true');
  }
});
