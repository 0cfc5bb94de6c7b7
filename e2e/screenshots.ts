import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { makeClip, type Scene } from './clip-maker';
import { CAMERA, dogAt, frameOf, GOES, onPicture, POLES, scene } from './clip-scene';
import { exactForecast, expect, test } from './fixtures';

const FOLDER = 'docs/screenshots';
const phone = { width: 390, height: 844 };

async function themed(page: Page, theme: 'light' | 'dusk'): Promise<void> {
  await page.addInitScript((kept) => localStorage.setItem('regulon-theme', kept), theme);
}

async function trainSomeReps(page: Page): Promise<void> {
  await page.goto('/sample/field/sample-present');
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const outcome of ['Clean', 'Clean']) await page.getByRole('button', { name: outcome }).click();
  await page.getByRole('button', { name: 'Flawed' }).click();
  await page.getByRole('button', { name: /Crooked in front, 10/ }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await page.getByRole('button', { name: 'Cue', exact: true }).click();
  await page.waitForTimeout(1200);
  await page.getByRole('button', { name: 'Response' }).click();
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByText(/^5 reps/).first()).toBeAttached();
}

test('today', async ({ page }) => {
  await page.goto('/sample/today');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/today.png` });
});

test('rule books', async ({ page }) => {
  await page.goto('/sample/rule-books/ravenholt-course');
  await expect(page.getByText('Refusals, counted over the whole run').first()).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/rule-books.png` });
});

test('breakdown', async ({ page }) => {
  await page.goto('/sample/breakdown');
  await expect(
    page.getByText(/times in 10 as it is asked|not enough yet for one figure/).first(),
  ).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/breakdown.png` });
});

test('set-outs, a track on one, and the card in the hand', async ({ page, context, baseURL }) => {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page.goto('/sample/set-outs/sample-set-out-1');
  await page.getByRole('button', { name: 'Whole ground' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  await page
    .getByRole('group')
    .getByRole('button', { name: /^mark 2/ })
    .focus();
  await expect(page.getByRole('textbox', { name: 'Bearing' })).toBeVisible();
  const table = await page.screenshot();
  await page.setViewportSize(phone);
  await page.goto('/sample/field/sample-dog-2-memory-retrieve-memory');
  await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
  await page.getByText(/^Stand with the dog here/).evaluate((one) => one.scrollIntoView());
  const hand = await page.screenshot();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/sample/tracks');
  await page.getByLabel('Set-out to run').selectOption({ label: 'Two marks, forty degrees apart' });
  await page.getByRole('button', { name: 'Let it run' }).click();
  await page.getByRole('button', { name: 'Lay it by both' }).click();
  await expect(page.getByRole('region', { name: /goes/ }).locator('ol > li')).toHaveCount(2);
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  const track = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'set-outs', [table, track, hand], 600);
});

test('field in the hand', async ({ page }) => {
  await page.setViewportSize(phone);
  await trainSomeReps(page);
  await page.screenshot({ path: `${FOLDER}/field-phone.png` });
});

test('readiness', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1650 });
  await page.goto('/sample/readiness');
  await exactForecast(page);
  await expect(page.getByRole('img', { name: /simulated runs/ })).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/readiness.png` });
});

test('plan', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1250 });
  await page.goto('/sample/plan');
  await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 120_000 });
  await expect(page.getByText('The plan stands')).toBeVisible({ timeout: 120_000 });
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await page.screenshot({ path: `${FOLDER}/plan.png` });
});

test('trials: a meeting at dusk, what a run teaches, a title, practice in the hand', async ({
  page,
  context,
  baseURL,
}) => {
  await themed(page, 'dusk');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/sample/trials/meetings/sample-meeting');
  await page.getByRole('button', { name: 'Sheet of Tansy' }).waitFor();
  const meeting = await page.screenshot();
  await themed(page, 'light');
  await page.goto('/sample/trials/runs/sample-mock');
  await page.getByRole('region', { name: 'What this run teaches' }).evaluate((one) => one.scrollIntoView());
  const after = await page.screenshot();
  await page.getByRole('banner').getByRole('combobox').selectOption({ label: 'Juniper' });
  await page.goto('/sample/trials/titles');
  const title = page.getByRole('region', { name: 'Brackwater open dog' });
  await title.getByText('A pass from before the log').click();
  for (const day of ['2026-01-10', '2026-03-14']) {
    await title.getByLabel('Day of the pass').fill(day);
    await title.getByRole('region', { name: 'Passes so far' }).getByLabel('Judge').fill('Ada Fenn');
    await title.getByRole('button', { name: 'Keep it' }).click();
    await expect(title.getByLabel('Day of the pass')).toHaveValue('');
  }
  await title.getByRole('checkbox', { name: /^Enter / }).click();
  await expect(title.getByText(/to have the title/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Put this line away' }).click();
  const titles = await page.screenshot();
  await page.setViewportSize(phone);
  await page.goto('/sample/trials/practice');
  await page.getByRole('button', { name: 'Judge “Square and hurdle, a keen dog”' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let scene = 0; scene < 3; scene++) await page.getByRole('button', { name: 'What comes next' }).click();
  const practice = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'trials', [meeting, after, titles, practice], 600);
});

test('judging and calling in the hand', async ({ page, context }) => {
  await page.setViewportSize(phone);
  await page.goto('/sample/trials');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
  await page.getByRole('button', { name: 'Something happened' }).click();
  await page.getByText('Something happened (1)').waitFor();
  const shots = [await page.screenshot()];
  await page.goto('/sample/trials/runs/sample-mock');
  await page.getByRole('region', { name: 'Score' }).waitFor();
  shots.push(await page.screenshot());
  await page.goto('/sample/trials/runs/sample-mock/steward');
  await page.getByRole('button', { name: 'Start alone' }).click();
  await page.getByRole('button', { name: /^Ready: call/ }).waitFor();
  shots.push(await page.screenshot());
  const sheet = await context.newPage();
  await sheet.setViewportSize({ width: 3 * 400, height: 844 });
  const pictures = shots.map((shot) => `<img src="data:image/png;base64,${shot.toString('base64')}">`);
  await sheet.setContent(
    `<body style="margin:0;display:flex;gap:15px;background:#fff">${pictures.join('')}</body>`,
  );
  await sheet.screenshot({ path: `${FOLDER}/judging-phone.png` });
});

test('an element’s evidence', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1250 });
  await page.goto('/sample/breakdown/sample-present/evidence');
  await expect(page.getByRole('status', { name: 'In one sentence' })).toBeVisible();
  await expect(page.locator('canvas')).toHaveCount(2);
  await page.screenshot({ path: `${FOLDER}/evidence.png` });
});

test('files', async ({ page, context, baseURL }) => {
  await page.goto('/sample/kennel');
  await page.getByLabel('Name', { exact: true }).fill('Quillon');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Name changed.')).toBeVisible();
  // The same kennel from another device, where the dog has another name and breed.
  await page.goto('/sample/files');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything to one file' }).click(),
  ]);
  const there = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    exchange: { id: string };
    tables: { dogs: { name: string; breed: string; changed: { at: number; by: string; seen: object } }[] };
  };
  const [dog] = there.tables.dogs;
  if (!dog) throw new Error('the sample has dogs');
  Object.assign(dog, { name: 'Quill', breed: 'Sheltie' });
  dog.changed = { at: dog.changed.at - 600_000, by: 'phone', seen: { sample: 1, phone: 1 } };
  there.exchange.id = 'from-the-phone';
  await page.getByLabel('Kennel file').setInputFiles({
    name: 'phone.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(there)),
  });
  await page.getByRole('button', { name: 'Add what is new in it' }).click();
  const apart = page.getByRole('region', { name: 'Changed on two devices' });
  await expect(apart).toBeVisible();
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await apart.evaluate((one) => one.scrollIntoView());
  const table = await page.screenshot();
  await page.goto('/sample/files/own-sheet');
  const rows = [
    'Date,Dog,Exercise,Distance,Result',
    '1.3.26,Quill,Recall,20 m,ok',
    ',,,25 m,x',
    ',,Send out,30 m,3/4',
  ];
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'my training.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(rows.join('\n')),
  });
  await page.getByRole('button', { name: /^Take/ }).waitFor();
  await page.getByRole('region', { name: 'Its names and words' }).evaluate((one) => one.scrollIntoView());
  const own = await page.screenshot();
  await page.setViewportSize(phone);
  await page.goto('/sample/field/class');
  for (const name of ['Quillon', 'Juniper', 'Otto']) await page.getByRole('checkbox', { name }).check();
  await page.getByRole('button', { name: /^Juniper: a clean go/ }).click();
  await expect(page.getByRole('button', { name: /So far 1 of 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put this line away' }).click();
  const hand = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'files', [table, own, hand], 600);
});

test('start, settings, and help in the hand', async ({ page, context, baseURL }) => {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
  await page.getByLabel('Distance to you now').fill('1 m');
  await page.getByLabel('Distance to you wanted').fill('15 m');
  await page.evaluate(() => scrollTo(0, 0));
  const start = await page.screenshot();
  await page.goto('/sample/settings');
  await expect(page.getByRole('heading', { name: 'Keys of the pad' })).toBeVisible();
  const settings = await page.screenshot();
  await page.setViewportSize(phone);
  await page.goto('/sample/tour');
  await expect(page.getByRole('button', { name: 'Begin this session' })).toBeVisible();
  const round = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'start', [start, settings, round], 600);
});

test('writing a rule book: the table, a pasted sheet, a price in the hand', async ({
  page,
  context,
  baseURL,
}) => {
  await page.goto('/sample/rule-books/write');
  await page.getByRole('button', { name: 'Copy Vellmoor Obedience, Class Two, Sample edition 1' }).click();
  await page.getByLabel('Points in all, at least, To pass 1, the class').fill('90');
  await expect(page.getByRole('region', { name: 'Check' })).toContainText('above the maximum of 80 points');
  await page.getByRole('button', { name: /^Faults of Send-away/ }).click();
  await page.evaluate(() => scrollTo(0, 0));
  const table = await page.screenshot();
  await page.setViewportSize(phone);
  await page.getByLabel('Cost of Leaves the line, Send-away to the square').scrollIntoViewIfNeeded();
  const hand = await page.screenshot();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/sample/rule-books/paste');
  await page.getByLabel('The sheet as you copied it').fill(PASTED);
  await page.getByRole('button', { name: 'Read it line by line' }).click();
  await expect(page.getByText('2 lines want a look first.')).toBeVisible();
  const pasted = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'rule-book-editor', [table, pasted, hand], 600);
});

const PASTED = [
  'Millbrook Novice Obedience',
  '1. Heel on leash, 40 points',
  '- Crooked sit 0.5–2',
  '- 2 steps wide 1',
  '- Extra command 2 each, at most 6',
  '2. Recall, 30 points',
  '- Slow to come 1 per second over 4',
  '- Front: over 10° 0.5, over 30° 1.5',
  'Total 80 points',
  'To pass: at least 49 points',
].join('\n');

async function withOtto(page: Page): Promise<void> {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Otto' });
}

test('review', async ({ page }) => {
  await page.goto('/sample/review');
  await page.getByRole('button', { name: 'A month' }).click();
  await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(page.getByText(/^Rose: /)).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/review.png` });
});

test('the kennel', async ({ page }) => {
  await withOtto(page);
  await page.getByRole('link', { name: 'Kennel' }).click();
  await expect(page.getByText('8 months old')).toBeVisible();
  await page.screenshot({ path: `${FOLDER}/kennel.png` });
});

test('a season, and a day of it in the hand', async ({ page, context, baseURL }) => {
  await page.setViewportSize(phone);
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page.goto('/sample/season/day');
  const press = (group: string, name: string) =>
    page.getByRole('group', { name: group }).getByRole('button', { name, exact: true }).click();
  const log = async (what: string, end: string, yards: number): Promise<void> => {
    await page.getByLabel('How far').fill(`${yards}`);
    await press('What it was', what);
    await press('How it ended', end);
    await expect(page.getByText(`${what}, ${yards}`).first()).toBeVisible();
    // The same control takes no second press within half a second.
    await page.waitForTimeout(520);
  };
  for (const [yards, end] of [
    [20, 'right'],
    [35, 'right'],
    [28, 'right'],
    [42, 'right'],
    [50, 'right'],
    [74, 'lost'],
    [66, 'lost'],
    [71, 'fault'],
    [80, 'lost'],
    [63, 'lost'],
  ] as const)
    await log('Blind', end, yards);
  for (const [yards, end] of [
    [30, 'right'],
    [45, 'fault'],
    [38, 'right'],
    [52, 'fault'],
    [33, 'right'],
  ] as const)
    await log('Mark', end, yards);
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  const hand = await page.screenshot();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/sample/season');
  await expect(page.getByText(/^Blinds past/)).toBeVisible();
  const table = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'season', [table, hand]);
});

/** The drawn clip, twice as large. */
function larger(one: Scene): Scene {
  const twice = ([x, y]: readonly [number, number]): readonly [number, number] => [2 * x, 2 * y];
  const { sound: _, ...silent } = one;
  return {
    ...silent,
    width: 2 * one.width,
    height: 2 * one.height,
    dog: one.dog.map(twice),
    poles: one.poles.map(twice),
  };
}

test('a clip, at the table and in the hand', async ({ page, context, baseURL }) => {
  await page.goto('/sample/clips');
  await expect(page.getByRole('heading', { name: 'Clips of Quill' })).toBeVisible();
  const buffer = await makeClip(page, larger(scene()));
  await page
    .getByLabel('Clip to open')
    .setInputFiles({ name: 'down at eight metres.webm', mimeType: 'video/webm', buffer });
  const to = async (time: number): Promise<void> => {
    await page.getByRole('slider', { name: 'The whole clip' }).fill(String(frameOf(time)));
    await page.waitForTimeout(300);
  };
  const tap = async (place: { readonly x: number; readonly y: number }): Promise<void> => {
    const [x, y] = onPicture(place);
    const picture = page.getByRole('button', { name: /^Set / });
    const box = await picture.boundingBox();
    if (!box) throw new Error('no picture');
    await picture.click({
      position: { x: (x / CAMERA.width) * box.width, y: (y / CAMERA.height) * box.height },
    });
  };
  await page.getByRole('button', { name: 'Rectangle of poles' }).click();
  await page.getByLabel('From left to right').fill('4');
  await page.getByLabel('From near to far').fill('8');
  for (const pole of POLES) await tap(pole);
  await page.getByRole('button', { name: 'Measure by it' }).click();
  for (const { cue, latency } of GOES) {
    await to(cue);
    await page.getByRole('button', { name: /^Cue/ }).click();
    await to(cue + latency);
    await page.getByRole('button', { name: /^Response/ }).click();
    await page.getByRole('button', { name: 'Dog here' }).click();
    for (const at of [cue, cue + 0.7, cue + latency]) {
      await to(at);
      await tap(dogAt(at));
    }
    await page.getByRole('button', { name: 'Dog here' }).click();
  }
  await page.getByRole('button', { name: 'Goal' }).click();
  await tap({ x: 0, y: 7 });
  await page.getByRole('button', { name: 'Dog here' }).click();
  await page.getByRole('button', { name: 'Put this line away' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  const table = await page.screenshot();
  await page.setViewportSize(phone);
  await page.evaluate(() => scrollTo(0, 0));
  const hand = await page.screenshot();
  await beside(await context.newPage(), baseURL, 'clips', [table, hand]);
});

/** Pictures of one height beside each other in one file. */
async function beside(
  sheet: Page,
  baseURL: string | undefined,
  name: string,
  shots: readonly Buffer[],
  high = 800,
): Promise<void> {
  await sheet.goto(baseURL ?? '/');
  // Pictures of the table are eight high where they are 12.8 wide, those of the hand 844 and 390; the last one is.
  const width = (shots.length - 1) * (1.6 * high + 15) + (390 / 844) * high;
  await sheet.setViewportSize({ width: Math.round(width), height: high });
  const shown = shots.map(
    (shot) => `<img style="height:${high}px" src="data:image/png;base64,${shot.toString('base64')}">`,
  );
  await sheet.setContent(
    `<body style="margin:0;display:flex;gap:15px;background:#fff">${shown.join('')}</body>`,
  );
  await sheet.screenshot({ path: `${FOLDER}/${name}.png` });
}
