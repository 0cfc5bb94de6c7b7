import { readdirSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** Everything that is data, not a message: what the sample kennel, the methods and the rule books hold. */
async function dataOf(page: Page): Promise<string> {
  const kept = await page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const open = indexedDB.open('regulon-sample');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const stores = [...open.result.objectStoreNames].filter(
            (name) => !['kept', 'keptLogs'].includes(name),
          );
          const from = open.result.transaction(stores);
          void Promise.all(
            stores.map(
              (name) =>
                new Promise<string>((done) => {
                  const all = from.objectStore(name).getAll();
                  all.onsuccess = () => done(JSON.stringify(all.result));
                }),
            ),
          ).then((texts) => {
            open.result.close();
            resolve(texts.join('\n'));
          });
        };
      }),
  );
  const folder = 'src/core/breakdown/methods';
  const methods = readdirSync(folder).filter((file) => file.endsWith('.json'));
  return [kept, ...methods.map((file) => readFileSync(`${folder}/${file}`, 'utf8'))]
    .join('\n')
    .replaceAll('\\"', '"')
    .toLowerCase();
}

/** What is read or heard on the page outside the brackets that every message has here. */
const outside = (page: Page) =>
  page.evaluate(() => {
    const said: string[] = [];
    const root = document.body;
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      if (!parent || parent.closest('script, style, title, svg, [data-exact]')) continue;
      said.push(node.textContent ?? '');
    }
    // A message can be drawn in several pieces of text: they are read as one.
    const whole = [said.join('¦')];
    for (const element of root.querySelectorAll('*'))
      for (const name of ['aria-label', 'title', 'alt', 'placeholder'])
        if (element.hasAttribute(name)) whole.push(element.getAttribute(name) ?? '');
    return whole;
  });

const withoutMessages = (text: string): string => {
  let left = text;
  for (let before = ''; before !== left; ) {
    before = left;
    left = left.replace(/⟦[^⟦⟧]*⟧/g, '¦');
  }
  return left;
};

/** Names of units and keys, and the product's own name. */
const NO_WORDS = /^(regulon|paces|min|cm|kg|us gal|yd|ft|m²|cm²|space|png|csv|json)$/;

const ROUTES = [
  'today',
  'rule-books',
  'rule-books/saltfen-field-assessment/sheet',
  'rule-books/vellmoor-obedience-two/compare',
  'rule-books/write',
  'rule-books/paste',
  'breakdown',
  'breakdown/prerequisites',
  'breakdown/new',
  'breakdown/methods',
  'breakdown/methods/upright',
  'breakdown/sample-stop-down',
  'breakdown/sample-stop-down/evidence',
  'breakdown/sample-stop-down/rule',
  'breakdown/sample-stop-down/about',
  'breakdown/sample-stop-down/dogs',
  'breakdown/sample-present/evidence',
  'kennel',
  'field',
  'field/sample-give/log',
  'field/sample-give',
  'readiness',
  'trials',
  'trials/runs/sample-mock',
  'trials/runs/sample-mock/steward',
  'trials/meetings/sample-meeting',
  'trials/meetings/new',
  'files',
  'start',
];

test('a day in a pseudo-language: every word that is no data comes from the catalogue', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('regulon-words', 'pseudo'));
  await page.goto('/sample/today');
  await expect(page.getByRole('heading').first()).toBeVisible();
  const data = await dataOf(page);
  const look = async (where: string): Promise<void> => {
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      for (const fold of document.querySelectorAll('details')) fold.open = true;
    });
    await page.waitForTimeout(200);
    const bare = (await outside(page)).flatMap((text) =>
      withoutMessages(text)
        .split(/[¦:;,·()→–—…“”|/]|\.\s|\s{2,}/)
        .map((piece) =>
          piece
            .trim()
            .replace(/[.!?]$|\s[\d.,]+$/u, '')
            .toLowerCase(),
        )
        .filter((piece) => /\p{L}{2}/u.test(piece) && !NO_WORDS.test(piece))
        // A number with its unit, a day, an amount.
        .filter(
          (piece) => !/^[−+±<>×\d\s.,%°]*(m|s|cm|km|min|kg|g|l|yd|ft|in|paces|m²|cm²|°c)?$/u.test(piece),
        )
        .filter((piece) => !/^\d{1,2} \p{L}{3,} \d{4}( \d\d)?$|^\d{1,2} \p{L}{3}$|^\d{4}$/u.test(piece))
        .filter((piece) => !data.includes(piece)),
    );
    expect.soft([where, [...new Set(bare)]]).toEqual([where, []]);
  };
  for (const route of ROUTES) {
    await page.goto(`/sample/${route}`);
    await expect(page.locator('main, #root > *').first()).toBeVisible();
    await look(route);
  }
  await page.goto('/sample/field/sample-wait');
  await page.getByRole('button', { name: '⟦Begin⟧', exact: true }).click();
  await look('the pad, begun');
  await page.getByRole('button', { name: /⟦Clean⟧/ }).click();
  await look('the pad, one rep');
  await page.getByRole('button', { name: /⟦Flawed⟧/ }).click();
  await look('the pad, faults');
  await page.getByRole('button', { name: '⟦Back⟧' }).click();
  await page.getByRole('button', { name: '⟦Body signs⟧' }).first().click();
  await look('the pad, signs');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await look('the pad, keys');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: '⟦Enough for now⟧' }).first().click();
  await look('the end');
});
