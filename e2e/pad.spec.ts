import type { Locator } from '@playwright/test';
import { expect, padKey, test } from './fixtures';
import { begin, entries, last, reps } from './pad-page';

test.use({ viewport: { width: 390, height: 844 } });

test('twenty reps with three named faults and one of the handler’s take at most 26 taps, begin and end among them', async ({
  page,
}) => {
  await page.goto('/sample/field/sample-wait');
  let taps = 0;
  const tap = async (target: Locator): Promise<void> => {
    // A tap that needs no scrolling: it lies on the screen.
    const box = await target.boundingBox();
    if (box) expect(box.y + box.height).toBeLessThanOrEqual(844);
    await target.click();
    taps += 1;
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name });
  await page.getByRole('button', { name: 'Begin', exact: true }).scrollIntoViewIfNeeded();
  await tap(page.getByRole('button', { name: 'Begin', exact: true }));
  const faults = ['1', '1', '2', 'handler'];
  for (let i = 0; i < 20; i++) {
    const fault = i % 5 === 4 ? faults[Math.floor(i / 5)] : undefined;
    if (fault === undefined) await tap(button(/^Clean/));
    else {
      await tap(button(/^Flawed/));
      const choice = page.getByRole('group', { name: 'Which fault?' });
      await tap(
        fault === 'handler'
          ? choice.getByRole('button', { name: /\(handler\)/ }).first()
          : choice.getByRole('button').nth(Number(fault) - 1),
      );
    }
    await reps(page, i + 1);
  }
  await tap(button('Enough for now'));
  await expect(page.getByRole('region', { name: /^What it comes to/ })).toContainText('20 reps');
  expect(taps).toBeLessThanOrEqual(26);
  expect(taps).toBe(26);
});

test('a changed side is one tap more, a sign two, what was done last one, all without scrolling', async ({
  page,
}) => {
  await begin(page, 'sample-dog-3-nose-to-hand-away');
  let taps = 0;
  const tap = async (target: Locator): Promise<void> => {
    const box = await target.boundingBox();
    expect(box && box.y >= 0 && box.y + box.height <= 844).toBe(true);
    await target.click();
    taps += 1;
  };
  const visible = (name: string | RegExp) =>
    page.getByRole('button', { name }).filter({ visible: true }).first();
  await tap(visible('right hand'));
  await tap(visible(/^Clean/));
  await expect(last(page)).toContainText('clean');
  expect(taps).toBe(2);
  // What was said last stays: the next one is a single tap.
  await tap(visible(/^Clean/));
  await reps(page, 2, '2');
  expect(taps).toBe(3);
  await tap(visible('Body signs'));
  await tap(page.getByRole('dialog').getByRole('button', { name: 'Yawning' }));
  await expect(page.getByText('Seen: yawning.').filter({ visible: true })).toBeVisible();
  expect(taps).toBe(5);
  await tap(visible('Undo'));
  await expect(page.getByText('Seen: yawning.')).toHaveCount(0);
  expect(taps).toBe(6);
  expect(await page.evaluate(() => scrollY)).toBe(0);
});

test('what is chosen shows where the system draws its own colours', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await begin(page, 'sample-dog-3-nose-to-hand-away');
  const side = page.getByRole('button', { name: 'right hand' });
  const drawn = () =>
    side.evaluate((one) => [getComputedStyle(one).backgroundColor, getComputedStyle(one).outlineStyle]);
  const before = await drawn();
  await side.click();
  await expect(side).toHaveAttribute('aria-pressed', 'true');
  const after = await drawn();
  expect(after[0]).not.toBe(before[0]);
  expect(after[1]).toBe('double');
});

test('a bounce never logs: by thumb, by key, of a fault, of an undo', async ({ page }) => {
  await begin(page, 'sample-give');
  const before = await entries(page);
  const twice = (name: RegExp, gap: number) =>
    page.getByRole('button', { name }).evaluate(
      (button, wait) =>
        new Promise<void>((done) => {
          (button as HTMLElement).click();
          setTimeout(() => {
            (button as HTMLElement).click();
            done();
          }, wait);
        }),
      gap,
    );
  await twice(/^Clean/, 60);
  await reps(page, 1, '1');
  expect(await entries(page)).toBe(before + 1);
  // By a remote that chatters.
  await expect(page.locator('[data-pad] fieldset [aria-disabled="true"]')).toHaveCount(0);
  await page.evaluate(() => {
    for (let i = 0; i < 2; i++) window.dispatchEvent(new KeyboardEvent('keydown', { key: 'c' }));
  });
  await reps(page, 2, '2');
  // Flawed twice opens the faults and chooses none of them.
  await page.getByRole('button', { name: /^Flawed/ }).dblclick();
  await expect(page.getByRole('group', { name: 'Which fault?' })).toBeVisible();
  await page.waitForTimeout(700);
  expect(await entries(page)).toBe(before + 2);
  await page.getByRole('button', { name: 'Back' }).click();
  await twice(/^Undo/, 60);
  await reps(page, 1, '1');
  // A stepper counts every press.
  const place = await page
    .getByText(/^Step \d+ of/)
    .first()
    .innerText();
  await page.getByRole('button', { name: 'A step easier' }).scrollIntoViewIfNeeded();
  await twice(/^A step easier/, 20);
  await expect
    .poll(
      async () =>
        Number(/\d+/.exec(place)?.[0]) -
        Number(
          /\d+/.exec(
            await page
              .getByText(/^Step \d+ of/)
              .first()
              .innerText(),
          )?.[0],
        ),
    )
    .toBe(2);
});

test('what is tapped with every rep stays where it is, whatever is said above it; undo, signs and the end too', async ({
  page,
}) => {
  await begin(page, 'sample-give');
  const where = async (): Promise<unknown> =>
    Promise.all(
      [/^Clean/, /^Flawed/, /^Miss/, /^Undo/, /^Body signs/, /^Enough for now/].map(async (name) => {
        const box = await page.getByRole('button', { name }).filter({ visible: true }).boundingBox();
        return [
          String(name),
          Math.round(box?.x ?? -1),
          Math.round(box?.y ?? -1),
          (box?.y ?? 999) + (box?.height ?? 0) <= 844,
        ];
      }),
    );
  const first = await where();
  expect(JSON.stringify(first)).not.toContain('false');
  for (let i = 1; i <= 3; i++) {
    await page.getByRole('button', { name: /^Clean/ }).click();
    await reps(page, i);
    expect(await where()).toEqual(first);
  }
  await page.getByRole('button', { name: 'Body signs' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: 'Yawns' })
    .or(page.getByRole('dialog').getByRole('button').first())
    .first()
    .click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect(await where()).toEqual(first);
  await page.mouse.wheel(0, 900);
  await page.waitForTimeout(200);
  expect(await where()).toEqual(first);
});

test('the pad’s keys come before a focused button; Enter presses it; the focus is never lost', async ({
  page,
}) => {
  const focused = () =>
    page.evaluate(() => {
      const on = document.activeElement;
      return on === null || on === document.body
        ? 'body'
        : (on.getAttribute('aria-label') ?? on.textContent ?? on.tagName);
    });
  const kept = async (): Promise<void> => {
    await expect.poll(focused).not.toBe('body');
  };
  await page.goto('/sample/field/sample-give');
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
  const to = async (name: string | RegExp): Promise<void> => {
    const target = page.getByRole('button', { name }).filter({ visible: true }).first();
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press('Tab');
      // Past the last one Tab leaves the page, for the browser's own bar, and comes in again at its top.
      if ((await focused()) === 'body') await page.keyboard.press('Tab');
      await kept();
      if (await target.evaluate((one) => one === document.activeElement)) return;
    }
    throw new Error(`Tab does not reach ${name}`);
  };
  await to(/^Begin$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Clean/ })).toBeVisible();
  await kept();
  await to(/^Clean/);
  await page.keyboard.press('Enter');
  await reps(page, 1, '1');
  await kept();
  // Space is the pad's: it stamps, and does not press Clean a second time.
  await padKey(page, ' ');
  await expect(page.getByRole('button', { name: /^Response/ })).toBeVisible();
  await reps(page, 1, '1');
  await kept();
  await to(/^Flawed/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Which fault?' })).toBeVisible();
  await kept();
  await padKey(page, '1');
  await reps(page, 2, '1');
  await kept();
  await padKey(page, 'm');
  const named = page.getByText('What happened?');
  if (await named.isVisible()) await padKey(page, '1');
  await reps(page, 3, '1');
  await kept();
  await padKey(page, 'u');
  await reps(page, 2, '1');
  await kept();
  await to(/^Body signs/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await kept();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // The sheet gives the focus back to what opened it.
  await expect.poll(focused).toBe('Body signs');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await kept();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await kept();
  await to(/^Enough for now/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^What it comes to/ })).toBeVisible();
  await kept();
});

test('a set of three with a fault, entered afterwards; what was said stays while the sheet is closed', async ({
  page,
}) => {
  await begin(page, 'sample-give');
  const open = () => page.getByRole('button', { name: 'Set afterwards' }).click();
  const sheet = page.getByRole('dialog');
  await open();
  await sheet.getByRole('button', { name: 'Clean' }).click();
  await sheet.getByRole('button', { name: 'Flawed' }).click();
  const fault = sheet.getByRole('group', { name: 'Which fault, if you know it' }).getByRole('button').first();
  const label = await fault.innerText();
  await fault.click();
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await open();
  await expect(sheet.getByText('2 so far')).toBeVisible();
  await sheet.getByRole('button', { name: 'Clean' }).click();
  await sheet.getByLabel('A sign of the body that you saw then').selectOption({ index: 1 });
  await sheet.getByRole('button', { name: 'Write them' }).click();
  await reps(page, 3, '2');
  await expect(last(page)).toContainText('clean');
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page.getByRole('region', { name: /^What it comes to/ })).toContainText(
    new RegExp(`${label.toLowerCase()} 1×`, 'i'),
  );
});

test('the end teaches: the line written there leads the next card and Today, and outlives a reload', async ({
  page,
}) => {
  await begin(page, 'sample-give');
  await page.getByRole('button', { name: /^Clean/ }).click();
  await reps(page, 1, '1');
  await page.getByRole('button', { name: 'Enough for now' }).click();
  const card = page.getByRole('region', { name: /^What it comes to/ });
  await expect(card).toContainText(/Next time \d+ of \d+/);
  await card.getByLabel('One line for next time').click();
  await page.keyboard.type('Lower hand, and wait for the eyes');
  await expect(card.getByText('Kept: it is the first thing on the next card.')).toBeVisible();
  await page.reload();
  await expect(card.getByLabel('One line for next time')).toHaveValue('Lower hand, and wait for the eyes');
  await page.getByRole('link', { name: 'On to the next' }).click();
  // Before all that is worked out, whether this element is suggested again or not.
  await expect(page.getByRole('region', { name: 'Written last time' })).toHaveText(
    'You wrote of Give: Lower hand, and wait for the eyes',
  );
  await expect(page.getByRole('region', { name: 'Next session' })).toBeVisible();
  await page.goto('/sample/field/sample-give');
  const before = page.getByRole('region', { name: 'Before the session' });
  await expect(before.locator('p').first()).toHaveText('You wrote: Lower hand, and wait for the eyes');
  // Taken back, the session goes on: the end card leads to the pad.
  await before.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await page.getByRole('region', { name: 'Done last' }).getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Clean/ })).toBeVisible();
});
