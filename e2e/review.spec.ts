import { expect, test } from './fixtures';

test('the diary: a month on a page, found by a word, printed; a bout looked at, judged again, marked', async ({
  page,
}) => {
  await page.goto('/sample/review');
  await page.getByRole('button', { name: 'A month' }).click();
  await expect(page.getByText(/^\d+ bouts, [\d,]+ reps, \d+ min/)).toBeVisible();
  await expect(page.getByText(/^Rose: /)).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).pressSequentially('quill stop');
  await expect(page.getByRole('heading', { level: 1, name: /^\d+ bouts found$/ })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('nobody wrote this');
  await expect(page.getByText('No bout has all of that')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('searchbox', { name: 'Find' })).toBeHidden();
  await expect(page.getByText(/^\d+ bouts, [\d,]+ reps/)).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  await page.getByLabel('Piece').selectOption({ label: 'Give' });
  await page
    .getByRole('link', { name: /^Look at Give of Quill/ })
    .first()
    .click();
  const back = page.getByRole('region', { name: 'Looking back' });
  await expect(back.getByText(/Nothing tells|under eight|It could have ended/)).toBeVisible();
  await expect(back.getByText(/^This time .* clean/)).toBeVisible();
  await back.getByLabel('I should have ended it').selectOption({ index: 3 });
  await expect(page.getByText('Your mark is kept: after rep 3.')).toBeVisible();
  await expect(back.getByText(/^You: after rep 3/)).toBeVisible();
  await page.reload();
  await expect(back.getByText(/^You: after rep 3/)).toBeVisible();

  // Three goes judged again: what is counted follows.
  const before = await back.getByText(/^This time .* clean/).innerText();
  const cleanOf = (text: string): number => Number(/(\d+) of \d+ clean/.exec(text)?.[1]);
  for (const rep of [1, 2, 3]) {
    const judged = page.getByLabel(new RegExp(`^Rep ${rep} of .*: outcome$`));
    await judged.selectOption(before.includes(' 0 of ') ? 'clean' : 'miss');
    await expect(page.getByText(`Rep ${rep} is said again`)).toBeVisible();
  }
  await expect
    .poll(async () => cleanOf(await back.getByText(/^This time .* clean/).innerText()))
    .not.toBe(cleanOf(before));
  await page.getByLabel('What next').fill('end two goes sooner');
  await page.getByLabel('What next').press('Enter');
  await page.getByRole('link', { name: 'To the diary' }).click();
  await page.getByRole('button', { name: 'A month' }).click();
  await expect(page.getByText('Next time: end two goes sooner')).toBeVisible();
  await page.goto('/sample/field/sample-give');
  await expect(page.getByText('end two goes sooner')).toBeVisible();
});

test('the handler’s page and the months: by week, beside another dog, and nothing made up', async ({
  page,
}) => {
  await page.goto('/sample/review');
  await page.getByRole('link', { name: 'The handler' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Yours most often: / })).toBeVisible();
  await expect(page.getByRole('table').getByRole('row')).not.toHaveCount(1);
  await page.getByRole('link', { name: 'Over months' }).click();
  await expect(page.getByRole('region', { name: 'What survived a gap' })).toBeVisible();
  await page.getByLabel('Beside it').selectOption({ index: 3 });
  await expect(page.getByRole('region', { name: 'What survived a gap' })).toHaveCount(2);
});
