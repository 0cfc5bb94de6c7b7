import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** Breaks scent work down with six numbered articles, and stands on its page of parts. */
async function articleElement(page: Page): Promise<void> {
  await page.goto('/sample/breakdown/new?from=method:scent-discrimination');
  await page.getByLabel('Start, Distance to the article').fill('2 m');
  await page.getByLabel('Demand, Distance to the article').fill('10 m');
  await page.getByLabel('Start, Help on the article').selectOption({ label: 'your scent alone' });
  await page.getByLabel('Start, Articles in all').fill('3');
  await page.getByLabel('Start, Gap to the next article').fill('60 cm');
  await page.getByLabel('Demand, Gap to the next article').fill('10 cm');
  await page.getByRole('button', { name: 'Break it down' }).click();
  await page.getByRole('link', { name: 'Ladder of Choose among several' }).click();
  await page.getByRole('link', { name: 'About' }).click();
  await page.getByLabel('Numbered articles').fill('6');
  await page.getByLabel('Numbered articles').blur();
  await expect(page.getByText('6 numbered articles.')).toBeVisible();
}

test('a number of runs fixed beforehand: no verdict on the way, an exact one at the end, and a worn article is laid no more', async ({
  page,
}) => {
  await articleElement(page);
  await page.getByLabel('Laid', { exact: true }).selectOption('scatter');
  await page.getByLabel('Laid how').selectOption('hidden');
  await page.getByRole('link', { name: 'Train it' }).click();
  await page.getByLabel(/^Better than luck/).selectOption('8');
  await page.getByRole('button', { name: 'Begin' }).click();
  const articles = page.getByRole('region', { name: 'Articles' });
  await expect(articles).toContainText('as drawn');
  await articles.getByText('Take one out of use').click();
  await articles
    .getByRole('button', { name: /out of use$/ })
    .first()
    .click();
  await articles.getByLabel('A helper lays them').click();
  await articles.getByRole('button', { name: /^Place 1/ }).click();
  // It was seen by the coach, and right or wrong it is no evidence; a wrong first touch waits for
  // the pick.
  const logged = page.getByText(/^1 rep/).first();
  await expect(logged.or(articles.getByText('Now tap what it brings.')).first()).toBeAttached();
  if (await articles.getByText('Now tap what it brings.').isVisible())
    await articles.getByRole('button', { name: /^Place 2/ }).click();
  await expect(logged).toBeAttached();
  const verdict = page.getByRole('status', { name: 'Better than luck' });
  for (let i = 0; i < 8; i++) {
    await articles.getByLabel('The dog watches').uncheck();
    await articles.getByRole('button', { name: 'Helper: show it' }).click();
    const number = /number (\d+)/.exec(await articles.innerText())?.[1] ?? '';
    const place =
      (
        await articles
          .getByRole('button', { name: new RegExp(`article ${number}$`) })
          .getAttribute('aria-label')
      )?.split(',')[0] ?? '';
    await articles.getByRole('button', { name: 'Cover it' }).click();
    await articles.getByRole('button', { name: place, exact: true }).click();
    await expect(verdict).toContainText(
      i < 7
        ? `${i + 1} of the 8 runs fixed beforehand are done`
        : '8 of 8 right: luck alone gets so many in fewer than 1 of 1000 series',
    );
  }
  await expect(verdict).toContainText('better than luck');
});
