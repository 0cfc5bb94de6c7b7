import type { Page } from '@playwright/test';
import { expect, padKey, test } from './fixtures';

/** Writes down what live regions say, as a screen reader is told: without what is hidden from it. */
const listen = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const heard: string[] = [];
    Object.assign(globalThis, { heard });
    const last = new Map<Element, string>();
    const look = (): void => {
      for (const region of document.querySelectorAll('[role=status], [role=alert], [aria-live=polite]')) {
        if (!region.checkVisibility()) continue;
        const copy = region.cloneNode(true) as Element;
        for (const hidden of copy.querySelectorAll('[aria-hidden=true]')) hidden.remove();
        const words = copy.textContent?.replace(/\s+/g, ' ').trim() ?? '';
        if (last.get(region) === words) continue;
        last.set(region, words);
        if (words !== '') heard.push(words);
      }
    };
    addEventListener('DOMContentLoaded', () =>
      new MutationObserver(look).observe(document, {
        subtree: true,
        childList: true,
        characterData: true,
        attributes: true,
      }),
    );
  });

/** What was heard since it was asked last, once `words` are among it; nothing else than that is waited for. */
async function hears(page: Page, words: RegExp): Promise<string[]> {
  const all: string[] = [];
  await expect
    .poll(async () => {
      all.push(
        ...(await page.evaluate(() => (globalThis as unknown as { heard: string[] }).heard.splice(0))),
      );
      return all.join(' | ');
    })
    .toMatch(words);
  return all;
}

/** Goes by the Tab key until something of that role and name has the focus. */
async function tabTo(page: Page, role: 'button' | 'textbox' | 'link', name: string | RegExp): Promise<void> {
  const named = page.getByRole(role, { name, exact: typeof name === 'string' });
  for (let i = 0; i < 60; i++) {
    if (await named.evaluateAll((all) => all.includes(document.activeElement as HTMLElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`the Tab key does not lead to ${name}`);
}

test('a lesson by ear and keyboard: a dog, a ladder, reps, a fault, one taken back, the end', async ({
  page,
}) => {
  await listen(page);
  await page.goto('/own/start');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await tabTo(page, 'textbox', 'Name');
  await page.keyboard.type('Wren');
  await tabTo(page, 'textbox', 'Distance to you now');
  await page.keyboard.type('far');
  await page.keyboard.press('Enter');
  // What is wrong is tied to its field, and the field has the focus.
  const now = page.getByRole('textbox', { name: 'Distance to you now' });
  await expect(now).toHaveAttribute('aria-invalid', 'true');
  await expect(now).toHaveAccessibleDescription(/far/);
  await now.focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2 m');
  await tabTo(page, 'textbox', 'Distance to you wanted');
  await page.keyboard.type('20 m');
  await page.keyboard.press('Enter');
  await hears(page, /Wren is in the kennel/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Position at a distance/);
  await tabTo(page, 'button', 'Begin');
  await page.keyboard.press('Enter');
  await hears(page, /Stay here\. Set up.*No reps yet/);

  await padKey(page, 'c');
  await hears(page, /1 clean in a row here; your rule is 5.*Rep 1: clean\./);
  await padKey(page, 'm');
  await hears(page, /A miss\. 1 more in a row would drop back.*Rep 2: miss/);
  await padKey(page, 'f');
  await hears(page, /To name: 1 Crept towards you, 2 Late/);
  await page.keyboard.press('1');
  const named = await hears(page, /Rep 3: flawed: Crept towards you/);
  // Nothing is said twice, and the rep before is not said again.
  expect(named.join(' ')).not.toContain('Rep 2');
  expect(new Set(named).size).toBe(named.length);
  await padKey(page, 'u');
  await hears(page, /2 reps, 1 clean.*Taken back\. 2 reps stand\./);
  for (let i = 3; i < 8; i++) {
    await padKey(page, 'c');
    await hears(page, new RegExp(`Rep ${i}: clean`));
  }
  await expect(page.getByRole('status', { name: 'Advice' })).toContainText('Advance');
  await padKey(page, 'g');
  await hears(page, /Stay here/);
  // A clock that runs on is not read out second by second.
  await expect(page.getByText(/^Lesson/).first()).toBeVisible();
  expect((await page.evaluate(() => (globalThis as unknown as { heard: string[] }).heard)).length).toBe(0);

  await tabTo(page, 'button', 'Enough for now');
  await page.keyboard.press('Enter');
  await hears(page, /Enough for now: 7 reps, 6 clean\./);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What the lesson comes to');
  const marks = page.getByRole('list', { name: 'Reps of this session' }).getByRole('listitem');
  await expect(marks).toHaveCount(7);
  await expect(marks.nth(1)).toHaveAccessibleName(/^miss/);
  await tabTo(page, 'textbox', 'One line for next time');
  await page.keyboard.type('creeps when I bend');
  await tabTo(page, 'link', 'On to the next');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toContainText('creeps when I bend');
});
