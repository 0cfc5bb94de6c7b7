import { expect, test } from './fixtures';

const PAGES = [
  'today',
  'rule-books',
  'breakdown',
  'breakdown/sample-wait',
  'breakdown/sample-wait/evidence',
  'field',
  'field/tally',
  'field/sample-give/log',
  'review',
  'readiness',
  'plan',
  'season',
  'set-outs',
  'trials',
  'trials/titles',
  'clips',
  'tracks',
  'kennel',
  'files',
  'words',
];
/** What is between the margins of 9 mm, in CSS pixels. */
const PAPER = { A4: 725, Letter: 748 } as const;

for (const path of PAGES)
  test(`on paper: ${path}`, async ({ page }) => {
    await page.goto(`/sample/${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText(/^Reading the (log|kennel)/)).toHaveCount(0);
    await page.emulateMedia({ media: 'print' });
    for (const [name, width] of Object.entries(PAPER)) {
      await page.setViewportSize({ width, height: 1050 });
      const wide = await page.evaluate(() => {
        const edge = document.documentElement.clientWidth;
        return [...document.querySelectorAll('main *')]
          .filter((one) => {
            const box = one.getBoundingClientRect();
            const clipped = one.closest('.overflow-x-auto, .sr-only, .truncate, svg');
            return box.width > 0 && box.right > edge + 1 && !clipped;
          })
          .map((one) => `${one.tagName} ${(one.textContent ?? '').slice(0, 40)}`);
      });
      expect([name, wide]).toEqual([name, []]);
    }
    await expect(page.locator('main :is(h1, h2):visible').first()).toBeVisible();
    await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
    for (const button of await page.locator('main .act').all()) await expect(button).toBeHidden();
    const text = await page.locator('main').innerText();
    expect(text.length).toBeGreaterThan(60);
  });
