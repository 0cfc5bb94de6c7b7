import type { Page } from '@playwright/test';
import { expect, padKey, SHIFTED_CLOCK, test } from './fixtures';

const FOLDER = 'docs/screenshots';

/** Several small pictures on one sheet, each with its words. */
async function sheet(
  page: Page,
  path: string,
  shots: readonly { readonly words: string; readonly picture: Buffer }[],
  width: number,
): Promise<void> {
  const cells = shots.map(
    ({ words, picture }) =>
      `<figure style="margin:0"><figcaption style="font:600 18px sans-serif;margin-bottom:8px">${words}</figcaption><img style="width:${width}px;border:1px solid #888" src="data:image/png;base64,${picture.toString('base64')}"></figure>`,
  );
  const sheetPage = await page.context().newPage();
  await sheetPage.setContent(
    `<div id="sheet" style="display:grid;grid-template-columns:repeat(3,${width}px);gap:24px;padding:24px;width:max-content">${cells.join('')}</div>`,
  );
  await sheetPage.locator('#sheet').screenshot({ path });
}

async function begin(page: Page, element: string): Promise<void> {
  await page.goto(`/sample/field/${element}`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
}

async function transfer(page: Page): Promise<void> {
  await page.goto('/sample/breakdown/sample-send/rule');
  await page.getByRole('button', { name: 'More rules' }).click();
  await page.getByRole('radio', { name: /^From an old cue/ }).click();
  await page.getByLabel('Seconds of silence in a silent test').fill('15');
  await page.getByRole('button', { name: 'Take these numbers' }).click();
  await expect(page.getByText('Rule changed.')).toBeVisible();
  await begin(page, 'sample-send');
  for (let i = 1; i <= 5; i++) {
    await page.getByRole('button', { name: 'After the prompt' }).click();
    await expect(page.getByText(new RegExp(`^${i} reps?, `)).first()).toBeAttached();
  }
  await page.getByRole('button', { name: 'Cue', exact: true }).click();
}

async function articles(page: Page): Promise<void> {
  await page.goto('/sample/breakdown/new?from=method:scent-discrimination');
  await page.getByLabel('Start, Distance to the article').fill('2 m');
  await page.getByLabel('Demand, Distance to the article').fill('10 m');
  await page.getByLabel('Start, Articles in all').fill('6');
  await page.getByLabel('Start, Gap to the next article').fill('60 cm');
  await page.getByLabel('Demand, Gap to the next article').fill('10 cm');
  await page.getByRole('button', { name: 'Break it down' }).click();
  await page.getByRole('link', { name: 'Ladder of Choose among several' }).click();
  await page.getByRole('link', { name: 'About' }).click();
  await page.getByLabel('Numbered articles').fill('12');
  await page.getByLabel('Numbered articles').blur();
  await page.getByLabel('Laid', { exact: true }).selectOption('circle');
  await page.getByLabel('In every other run').click();
  await page.getByRole('link', { name: 'Train it' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('region', { name: 'Articles' })).toBeVisible();
  await expect(page.getByText('12 numbered articles.')).toHaveCount(0);
}

/** Three elements and two dogs in one lesson, on the pad of the last. */
async function lesson(page: Page): Promise<void> {
  await begin(page, 'sample-present');
  await padKey(page, 'c');
  await expect(page.getByText(/^1 rep/).first()).toBeAttached();
  const add = async (dog: string, name: RegExp): Promise<void> => {
    await page.getByRole('button', { name: 'Add to the lesson' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('group', { name: 'Dog' }).getByRole('button', { name: dog }).click();
    await dialog.getByRole('button', { name }).first().click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('button', { name: 'Enough for now' }).first()).toBeVisible();
  };
  await add('Quill', /^Give/);
  for (let i = 1; i <= 3; i++) {
    await padKey(page, 'c');
    await expect(page.getByText(new RegExp(`^${i} reps?, `)).first()).toBeAttached();
  }
  await add('Juniper', /^Memory retrieve/);
  await page.getByRole('button', { name: 'Full drive' }).click();
  await expect(page.getByText(/^1 rep, /).first()).toBeAttached();
}

async function lessonEnd(page: Page): Promise<void> {
  await lesson(page);
  await page.getByRole('button', { name: 'Enough for now' }).filter({ visible: true }).click();
  await page.getByRole('button', { name: 'End the lesson' }).click();
  await expect(page.getByRole('link', { name: /^Go on with/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await page.evaluate(() => scrollTo(0, 0));
}

async function whole(page: Page): Promise<void> {
  await page.goto('/sample/field');
  await page.getByRole('link', { name: 'Run the whole: Send-away to the square' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Start the run' }).click();
  await page.waitForTimeout(1200);
  await page.getByRole('button', { name: /^Set up at heel: done/ }).click();
  await page.waitForTimeout(900);
}

async function search(page: Page): Promise<void> {
  await page.goto('/sample/field');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Search' }).click();
  await page.getByLabel(/^A dog, an element/).fill('bumper');
  await expect(page.getByRole('status').filter({ hasText: 'found' })).toBeVisible();
}

async function blind(page: Page): Promise<void> {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page.getByRole('link', { name: 'Field', exact: true }).click();
  await page
    .getByRole('link', { name: /^Blind retrieve/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: /I have laid one/ }).click();
  await expect(page.getByText('1 lies there')).toBeVisible();
  await page.getByRole('button', { name: 'Refused' }).click();
  await expect(page.getByRole('button', { name: 'Chewing' })).toBeVisible();
  await page.evaluate(() => scrollTo(0, 0));
}

async function hold(page: Page): Promise<void> {
  await begin(page, 'sample-wait');
  for (const stamp of ['Cue', 'Response', 'Marker']) {
    await page.getByRole('button', { name: new RegExp(`^${stamp}`) }).click();
    // Two stamps closer than a dog can be are one that bounced.
    await page.waitForTimeout(100);
  }
  await page.keyboard.press('c');
  await expect(page.getByText(/^1 rep/).first()).toBeAttached();
  await page.getByRole('button', { name: 'Hold begins' }).click();
}

async function paper(page: Page): Promise<void> {
  await page.goto('/sample/field/sample-present/log');
  await page.getByLabel('Reps in order').fill('c c f m c');
}

const KINDS = [
  ['Cue transfer: a silent test', transfer],
  ['Articles in a circle', articles],
  ['A lesson: elements and dogs in turn', lesson],
  ['The end of the lesson', lessonEnd],
  ['Run whole, link by link', whole],
  ['A blind, refused', blind],
  ['A hold', hold],
  ['Search, by any word for it', search],
  ['Typed in from paper', paper],
] as const;

for (const [name, size, width, dusk] of [
  ['field-kinds-phone', { width: 390, height: 844 }, 390, ['A hold', 'A blind, refused']],
  ['field-kinds', { width: 1280, height: 800 }, 800, []],
] satisfies [string, { width: number; height: number }, number, string[]][]) {
  test(name, async ({ browser, page }) => {
    test.setTimeout(180_000);
    const shots: { words: string; picture: Buffer }[] = [];
    for (const [words, walk] of KINDS) {
      // Each begins with a sample kennel of its own.
      const context = await browser.newContext({
        viewport: { width: 1280, height: 800 },
        timezoneId: 'Europe/Vienna',
        locale: 'en-GB',
      });
      const one = await context.newPage();
      await one.addInitScript(SHIFTED_CLOCK);
      await one.setViewportSize(size);
      if (dusk.includes(words)) await one.addInitScript(() => localStorage.setItem('regulon-theme', 'dusk'));
      await walk(one);
      shots.push({ words, picture: await one.screenshot() });
      await context.close();
    }
    await sheet(page, `${FOLDER}/${name}.png`, shots, width);
  });
}
