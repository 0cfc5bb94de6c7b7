import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** What a person answers where a method asks: from, to, and how big a step where none is usual. */
const ANSWERS: readonly (readonly [asked: RegExp, start: string, demand: string, step?: string])[] = [
  [/distracts/, '20 m', '2 m'],
  [/Boxes/, '', '8'],
  [/Time to (drop|release)/, '4 s', '1.5 s'],
  [/Time for all|whole way/, '10 s', '6 s'],
  [/Steps after/, '3 m', '1 m'],
  [/Gap/, '100 cm', '20 cm'],
  [/Width/, '3 m', '1 m'],
  [/tub/, '90 L', '25 L'],
  [/Height|edge/, '10 cm', '40 cm', '10 cm'],
  [/crooked/, '30°', '5°'],
  [/line/, '', '12 ft'],
  [/[Dd]istance|drops|Run/, '5 m', '20 m'],
  [/.*/, '1 s', '20 s'],
];

async function begun(page: Page, dog: string): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).tap();
  await page.keyboard.type(dog);
  await page.getByRole('radio', { name: 'Only the name for now' }).tap();
  await page.getByRole('button', { name: 'Go on' }).tap();
  await expect(page.getByRole('heading', { name: `${dog} has nothing to train yet` })).toBeVisible();
}

/** Answers what is asked and nothing else: the method goes in as it is. */
async function answer(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: 'Break it down' })).toBeVisible();
  for (const field of await page.getByRole('textbox', { name: /^(Start|Step|Demand), / }).all()) {
    if ((await field.inputValue()) !== '') continue;
    const [which = '', asked = ''] = ((await field.getAttribute('aria-label')) ?? '').split(', ');
    const [, start, demand, step] = ANSWERS.find(([what]) => what.test(asked)) ?? [];
    await field.focus();
    const given: Readonly<Record<string, string | undefined>> = { Start: start, Step: step, Demand: demand };
    await page.keyboard.type(given[which] ?? '');
  }
}
/** The first piece of an exercise, from its card to its pad. */
async function toThePad(page: Page, exercise: string): Promise<void> {
  await page.goto('/own/field');
  const group = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: exercise, exact: true }) });
  await group.getByRole('list').getByRole('link').first().tap();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Begin', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Enough for now' }).first()).toBeVisible();
}

/** One clean rep, by whichever way its pad says it. */
async function oneClean(page: Page): Promise<void> {
  const pad = page.getByRole('main');
  const plain = pad.getByRole('button', { name: /^(Clean|All held)$/ });
  const asked = pad.getByRole('button', { name: /\(asked\)$/ });
  const drive = pad.getByRole('button', { name: /^Full/ });
  const game = pad.getByRole('button', { name: /^Start word/ });
  const clock = pad.getByRole('button', { name: 'Start the clock' });
  const inTheGap = pad.getByRole('button', { name: 'In the gap' });
  await expect(plain.or(asked).or(drive).or(game).or(clock).or(inTheGap).first()).toBeVisible();
  if (await game.isVisible()) {
    await game.tap();
    await pad.getByRole('button', { name: 'Rest', exact: true }).tap();
    await pad.getByRole('button', { name: 'Times done: one more' }).tap();
    await pad.getByRole('button', { name: 'Log this game' }).tap();
  } else if (await clock.isVisible()) {
    await clock.tap();
    await pad
      .getByRole('button', { name: /^Stop|^End the run|^Log/ })
      .first()
      .tap();
  } else if (await asked.isVisible()) await asked.tap();
  else if (await drive.isVisible()) await drive.tap();
  else if (await inTheGap.isVisible()) await inTheGap.tap();
  else await plain.tap();
  await expect(
    page
      .getByText(/^1 rep/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
}

for (const half of [0, 1])
  test(`every method goes in as it is, to its first clean rep: ${half + 1} of 2`, async ({ page }) => {
    await begun(page, 'Wren');
    await page.goto('/own/breakdown/new');
    await expect(page.getByLabel('Begin from').locator('optgroup').first()).toBeAttached();
    const methods = (
      await page
        .getByLabel('Begin from')
        .locator('option')
        .evaluateAll((all) =>
          all.map((one) => ({ id: (one as HTMLOptionElement).value, title: one.textContent ?? '' })),
        )
    ).filter(({ id }) => id.startsWith('method:'));
    expect(methods).toHaveLength(22);
    for (const { id, title } of methods.slice(half * 11, half * 11 + 11)) {
      await test.step(title, async () => {
        await page.goto(`/own/breakdown/new?from=${id}`);
        await answer(page);
        await page.getByRole('button', { name: 'Break it down' }).tap();
        await expect(page).toHaveURL(/breakdown$/);
        await toThePad(page, title);
        await oneClean(page);
      });
    }
  });

test('10 yd to 100 yd stay yards, from the form to the pad and to the advice', async ({ page }) => {
  await begun(page, 'Wren');
  await page.goto('/own/breakdown/new?from=method:memory-retrieve');
  await page.getByLabel('Start, Distance to the dummy').tap();
  await page.keyboard.type('10 yd');
  await page.getByLabel('Demand, Distance to the dummy').tap();
  await page.keyboard.type('100');
  await page.getByLabel('Step, Distance to the dummy').tap();
  // The bare number is taken as what stands beside it, and is shown so before it is used.
  await expect(page.getByLabel('Demand, Distance to the dummy')).toHaveValue('100 yd');
  await page.getByLabel('Step, Distance to the dummy').fill('');
  await page.keyboard.type('10 yd');
  await expect(page.getByText(/clean reps at the fewest to the top/).first()).toBeVisible();
  await answer(page);
  await page.getByRole('button', { name: 'Break it down' }).tap();
  await expect(page).toHaveURL(/breakdown$/);
  await toThePad(page, 'Memory retrieve, then blind retrieve');
  const asked = page.getByRole('main');
  await expect(asked.getByText(/^10\syd$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'A step harder' }).tap();
  await expect(asked.getByText(/^20\syd$/).first()).toBeVisible();
  await expect(
    page.getByText(/^Step 2 of 13: distance to the dummy 10\s→\s20\syd,\s\+10\syd/).filter({ visible: true }),
  ).toBeVisible();
});

test('tubs of three owned sizes: the steps are those, and the one to get is named', async ({ page }) => {
  await begun(page, 'Wren');
  await page.goto('/own/kennel');
  await page.getByLabel('A further thing').tap();
  await page.keyboard.type('tubs of several sizes: 90 L, 65, 40 l');
  await page.getByRole('button', { name: 'Add it' }).first().tap();
  await expect(page.getByText(/tubs of several sizes: 90\sL, 65\sL, 40\sL/).first()).toBeVisible();
  await page.goto('/own/breakdown/new?from=method:tubs');
  await answer(page);
  await page.getByRole('button', { name: 'As on your kit list: tubs of several sizes' }).first().tap();
  await expect(page.getByLabel('Sizes you own, Size of the tub')).toHaveValue(/90\sL; 65\sL; 40\sL/);
  await page.getByRole('button', { name: 'Break it down' }).tap();
  await expect(page).toHaveURL(/breakdown$/);
  await page.getByRole('link', { name: 'Ladder of All four paws in' }).tap();
  const rungs = page.getByRole('region', { name: 'Steps of the ladder' });
  const sizes = async (): Promise<string[]> => {
    const cells = await rungs.getByRole('textbox', { name: /Size of the tub/ }).all();
    return [...new Set(await Promise.all(cells.map((cell) => cell.inputValue())))];
  };
  await expect(async () =>
    expect((await sizes()).map((size) => size.replace(/\s/, ' '))).toEqual(['90 L', '65 L', '40 L', '25 L']),
  ).toPass({ timeout: 90_000 });
  await expect(
    page.getByText(/25\sL is what you want in the end, and is not among the sizes you own/),
  ).toBeVisible();
  await expect(page.getByText(/to the top at the fewest/)).toBeVisible();
  // A step that this dog does not need is left out, and comes back.
  const rows = rungs.getByRole('row');
  const count = await rows.count();
  await page.getByRole('button', { name: 'Skip step 2', exact: true }).tap();
  await expect(rows).toHaveCount(count - 1);
  await page.getByRole('button', { name: /^Bring it back/ }).tap();
  await expect(rows).toHaveCount(count);
});

test('a side of a school is chosen, and the pad is other for it', async ({ page }) => {
  await begun(page, 'Wren');
  await page.goto('/own/breakdown/new?from=method:reward-behind');
  await page.getByLabel('It drops it without being asked').selectOption({ label: 'That is wanted' });
  await expect(page.getByText('Set: it is no fault.')).toBeVisible();
  await answer(page);
  await page.getByRole('button', { name: 'Break it down' }).tap();
  await expect(page).toHaveURL(/breakdown$/);
  await toThePad(page, 'Retrieve or disc with the reward behind the dog');
  await page.getByRole('button', { name: 'Flawed', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Dropped it unasked' })).toHaveCount(0);
  await begun(page, 'Abel');
  await page.goto('/own/breakdown/new?from=method:reward-behind');
  await answer(page);
  await page.getByRole('button', { name: 'Break it down' }).tap();
  await expect(page).toHaveURL(/breakdown$/);
  await toThePad(page, 'Retrieve or disc with the reward behind the dog');
  await page.getByRole('button', { name: 'Flawed', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Dropped it unasked' })).toBeVisible();
});

test('what a method builds on comes along once, and moving by hand opens nothing', async ({ page }) => {
  await begun(page, 'Wren');
  for (const [method, start] of [
    ['positions-at-a-distance', 'comes along, as a new element'],
    ['wait-come-finish', 'the dog has it: Sit on the word'],
  ] as const) {
    await page.goto(`/own/breakdown/new?from=method:${method}`);
    await expect(page.getByLabel('Sit on the word').locator('option:checked')).toHaveText(start);
    await answer(page);
    await page.getByRole('button', { name: 'Break it down' }).tap();
    await expect(page).toHaveURL(/breakdown$/);
  }
  await page.goto('/own/field');
  // In the list of the room, not in the bar of what is open.
  const sit = page.getByRole('link', { name: /^Sit on the word/ }).filter({ hasText: /Step/i });
  await expect(sit).toHaveCount(1);
  const position = page.getByRole('link', { name: /^Position at a distance/ });
  await expect(position).toContainText('Waits: first “Sit on the word”:');
  await sit.tap();
  await page.getByRole('button', { name: 'Begin', exact: true }).tap();
  // To the top by hand, without a rep: it still waits, and says for what.
  for (let i = 0; i < 12; i++) {
    const harder = page.getByRole('button', { name: 'A step harder' });
    if (!(await harder.isEnabled())) break;
    await harder.tap();
    await page.waitForTimeout(600);
  }
  await page.goto('/own/field');
  await expect(position).toContainText('none shows it yet');
  await sit.tap();
  await page.getByRole('button', { name: 'Clean', exact: true }).tap();
  await expect(
    page
      .getByText(/^1 rep, 1 clean/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await page.goto('/own/field');
  await expect(position).toBeVisible();
  await expect(position).not.toContainText('Sit on the word');
});
