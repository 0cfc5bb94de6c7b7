import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** Words of a page that leads nowhere, or that could not be drawn. */
const STUCK = /There is no such page|something went wrong|undefined|NaN|\[object/i;

/** The kind of page that an address is: two elements are one kind. */
const kindOf = (path: string): string =>
  path
    .replace(/\?.*|#.*/g, '')
    .replace(/(field|breakdown)\/(?!end$|new$|class$|methods|prerequisites)[^/]+/, '$1/:one')
    .replace(/\/log\/[^/]+/, '/log/:bout')
    .replace(/print\/[^/]+/, 'print/:day')
    .replace(/methods\/[^/]+/, 'methods/:one')
    .replace(/guide\/[^/]+/, 'guide/:page')
    .replace(/runs\/[^/]+/, 'runs/:one')
    .replace(/meetings\/(?!new$)[^/]+/, 'meetings/:one')
    .replace(/rule-books\/(?!write$|paste$)[^/]+/, 'rule-books/:one');

/** Waits until no link comes any more: a list is drawn a moment after its heading. */
async function settled(page: Page): Promise<void> {
  let links = -1;
  await expect
    .poll(
      async () => {
        const before = links;
        links = await page.locator('a[href]').count();
        return links === before;
      },
      { intervals: [200] },
    )
    .toBe(true);
}

/** Follows every link, one page of each kind, and goes to some addresses besides; each has a way on. */
async function walk(page: Page, from: string, extra: readonly string[]): Promise<string[]> {
  const seen = new Set<string>();
  const gone = new Set<string>();
  const queue = [...extra, from];
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    const kind = kindOf(path);
    const besides = extra.includes(path) && !gone.has(path);
    if (seen.has(kind) && !besides) continue;
    gone.add(path);
    if (!besides) seen.add(kind);
    await page.goto(path);
    await expect(page.getByRole('main').getByText(/^(Reading|Opening) .*…$/), path).toHaveCount(0);
    await expect(page.getByRole('main').getByRole('heading').first(), path).toBeVisible();
    await settled(page);
    const main = page.getByRole('main');
    expect(await main.innerText(), path).not.toMatch(STUCK);
    const ways = await main.locator('a[href], button:not([disabled]), input, select, summary').count();
    expect(ways, `${path} has a way on`).toBeGreaterThan(0);
    const own = path.split('/')[1];
    const links = await page
      .locator('a[href]:not([href^="#"])')
      .evaluateAll((all) => all.map((a) => a.getAttribute('href') ?? ''));
    for (const href of links) {
      const next = new URL(href, page.url());
      if (next.pathname.startsWith(`/${own}/`)) queue.push(next.pathname + next.search);
    }
  }
  return [...seen].sort();
}

test('an empty kennel', async ({ page }) => {
  const seen = await walk(page, '/own/today', [
    '/own/field',
    '/own/readiness',
    '/own/kennel',
    '/own/field/nothing',
  ]);
  expect(seen).toEqual([
    '/own/files',
    '/own/files/coach',
    '/own/files/own-sheet',
    '/own/guide',
    '/own/guide/:page',
    '/own/kennel',
    '/own/plan',
    '/own/rule-books',
    '/own/rule-books/paste',
    '/own/rule-books/write',
    '/own/settings',
    '/own/today',
    '/own/trials',
    '/own/trials/practice',
    '/own/words',
  ]);
});

test('a kennel of one dog with one element', async ({ page }) => {
  test.setTimeout(360_000);
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).tap();
  await page.keyboard.type('Wren');
  await page.getByLabel('Or by another method').selectOption({ index: 4 });
  const fields = page.getByRole('textbox', { name: / (now|wanted)$/ });
  const asked = await fields.count();
  for (let i = 0; i < asked; i++) {
    await fields.nth(i).tap();
    await page.keyboard.type(i === 0 && asked > 1 ? '2' : '20');
  }
  await page.getByRole('button', { name: 'Make the ladder' }).tap();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  const seen = await walk(page, '/own/today', [
    '/own/field/end',
    '/own/field/nothing',
    '/own/breakdown/nothing',
  ]);
  expect(seen).toContain('/own/breakdown/:one/evidence');
  expect(seen.length).toBeGreaterThan(15);
});

test('the sample kennel', async ({ page }) => {
  test.setTimeout(600_000);
  const seen = await walk(page, '/sample/today', ['/sample/field/end', '/sample/breakdown/class']);
  expect(seen).toContain('/sample/field/:one/log');
  expect(seen).toContain('/sample/field/:one/log/:bout');
  expect(seen).toContain('/sample/plan/print/:day');
  expect(seen).toContain('/sample/rule-books/:one/compare');
  expect(seen).toContain('/sample/trials/meetings/:one/print');
  expect(seen.length).toBeGreaterThan(20);
});
