import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { VIEWS } from './views';

/** The distances between lines, letters and words that a person may set themselves. */
const SPACED =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }';

/** What sticks out on the right and lies in nothing that scrolls by itself. */
const sticksOut = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const wide = document.documentElement.clientWidth;
    if (document.documentElement.scrollWidth <= wide) return [];
    const right = (one: Element): number => one.getBoundingClientRect().right;
    return [...document.querySelectorAll('#root *')]
      .filter(
        (one) => right(one) > wide + 0.5 && ![...one.children].some((child) => right(child) > wide + 0.5),
      )
      .map((one) => `${one.tagName} ${one.textContent?.slice(0, 40)}`);
  });

/** Links and buttons of lists and tables that are lower than a thumb wants; not those within a sentence. */
const tooLow = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('li a, li button, dd a, dd button, tr a, tr button')]
      .filter((one) => {
        const { width, height } = one.getBoundingClientRect();
        if (width === 0 || height >= 43.5) return false;
        const around = one.parentElement?.textContent?.trim().length ?? 0;
        const inSentence = around - (one.textContent?.trim().length ?? 0) >= 3;
        return getComputedStyle(one).display !== 'inline' || !inSentence;
      })
      .map((one) => `${Math.round(one.getBoundingClientRect().height)} px: ${one.textContent?.slice(0, 30)}`),
  );

/** A chart takes its new width a moment after the page has it. */
const fits = (page: Page, where: string): Promise<void> =>
  expect.poll(() => sticksOut(page), { message: where }).toEqual([]);

// A third of the views each, so that no worker is left with all of them.
for (const third of [0, 1, 2])
  test(`a page of 320 px, words set apart, 200 % and the largest letters: nothing sticks out, ${third + 1} of 3`, async ({
    page,
  }) => {
    for (const view of VIEWS.filter((_, i) => i % 3 === third)) {
      await page.setViewportSize({ width: 320, height: 640 });
      await page.goto(view);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page.getByRole('main').getByText(/^(Reading|Opening|Weighing) .*…$/)).toHaveCount(0);
      await fits(page, view);
      expect([view, await tooLow(page)]).toEqual([view, []]);
      await page.evaluate((css) => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync(css);
        document.adoptedStyleSheets = [sheet];
      }, SPACED);
      await fits(page, `${view}, words apart`);
      // A page of 1280 px at 200 %.
      await page.setViewportSize({ width: 640, height: 400 });
      await fits(page, `${view} at 200 %`);
      await page.evaluate(() => {
        document.adoptedStyleSheets = [];
        document.documentElement.style.fontSize = '130%';
      });
      await page.setViewportSize({ width: 390, height: 844 });
      await fits(page, `${view}, largest`);
    }
  });
