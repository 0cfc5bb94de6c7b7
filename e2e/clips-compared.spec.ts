import { AxeBuilder } from '@axe-core/playwright';
import { frameShown, makeClip } from './clip-maker';
import {
  dogThatLiesDown,
  goesOf,
  goLines,
  markTimes,
  measured,
  openClip,
  tapAt,
  toFrame,
  typeInto,
} from './clip-page';
import { onPicture, POLES, scene } from './clip-scene';
import { expect, test } from './fixtures';

test('two clips lie side by side from their cues, and what has changed is told', async ({ page }) => {
  await dogThatLiesDown(page);
  await page.goto('/own/clips');
  await openClip(page, await makeClip(page, scene()));
  await markTimes(page);
  await page.getByRole('link', { name: 'All clips' }).click();
  await openClip(page, await makeClip(page, scene('mp4')), 'later.mp4');
  await markTimes(page);
  await page.getByRole('link', { name: 'Two side by side' }).click();
  const side = (name: string) => page.getByRole('region', { name, exact: true });
  await expect(side('Before').getByLabel('Clip', { exact: true })).toHaveValue(/./);
  await side('After').getByLabel('Clip', { exact: true }).selectOption({ label: 'down.webm' });
  await side('After').getByLabel('Go', { exact: true }).selectOption({ index: 2 });
  // The third go answers 0.76 s later than the first.
  const row = page.getByRole('row', { name: /answered after/ });
  await expect(row).toContainText(/\+0\.7\d/);
  await expect(row).not.toContainText('within what can be measured');
  await side('After').getByLabel('Go', { exact: true }).selectOption({ index: 0 });
  await expect(row).toContainText('within what can be measured');
  // Both stand at their cue, and go on together.
  const shown = () =>
    page.evaluate(() => [...document.querySelectorAll('video')].map((one) => one.currentTime));
  await expect.poll(async () => (await shown()).every((at) => Math.abs(at - 1.02) < 0.04)).toBe(true);
  for (let i = 0; i < 10; i++) await page.getByRole('button', { name: 'One frame on' }).click();
  await expect(page.getByText('0.40 s after the cue')).toBeVisible();
  await expect.poll(async () => (await shown()).every((at) => Math.abs(at - 1.42) < 0.04)).toBe(true);
});

test('on a phone: opened, marked under the thumb, nothing beside the page, sound in every state', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await dogThatLiesDown(page);
  await page.goto('/own/clips');
  const sound = async (): Promise<void> => {
    for (const dark of [false, true]) {
      await page.evaluate(
        (theme) => {
          document.documentElement.dataset.theme = theme;
        },
        dark ? 'dusk' : 'light',
      );
      const found = await new AxeBuilder({ page }).disableRules(['video-caption']).analyze();
      expect(found.violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  };
  await expect(page.getByRole('heading', { name: 'Clips of Wren' })).toBeVisible();
  await sound();
  await openClip(page, await makeClip(page, scene()));
  const wheel = page.getByRole('slider', { name: 'Frame by frame' });
  const box = await wheel.boundingBox();
  if (!box) throw new Error('no wheel');
  const turn = async (by: number): Promise<void> => {
    await page.mouse.move(box.x + 200, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 200 - by, box.y + 20, { steps: 8 });
    await page.mouse.up();
  };
  await turn(9 * 15);
  await expect(wheel).toHaveAttribute('aria-valuenow', '16');
  await turn(9 * 17);
  await turn(-9 * 2);
  await expect(wheel).toHaveAttribute('aria-valuenow', '31');
  await expect.poll(() => frameShown(page)).toBe(30);
  await page.getByRole('button', { name: /^Cue/ }).click();
  await turn(9 * 19);
  await turn(9 * 19);
  await page.getByRole('button', { name: /^Response/ }).click();
  await expect(goLines(page).first()).toContainText(/answered after 1\.2\d/);
  await page.getByRole('button', { name: 'Body line' }).click();
  for (const x of [200, 260, 320]) await tapAt(page, [x, x === 260 ? 170 : 180]);
  await expect(goLines(page).first()).toContainText('body line in the picture');
  await sound();
  await page.getByRole('button', { name: 'Tape or two poles' }).click();
  await expect(page.getByText('Tap mark 1 where it touches the ground.')).toBeVisible();
  await sound();
});

test('a tape measures along its line; of six points the one that was typed wrong is named', async ({
  page,
}) => {
  await dogThatLiesDown(page);
  await page.goto('/own/clips');
  await openClip(page, await makeClip(page, scene()));
  await toFrame(page, 30);
  await page.keyboard.press('1');
  await expect(goLines(page)).toHaveCount(1);
  // Three marks of a tape on the dog's own line.
  await page.getByRole('button', { name: 'Tape or two poles' }).click();
  await page.getByRole('button', { name: 'One more' }).click();
  for (const y of [0, 4, 8]) await tapAt(page, onPicture({ x: 0, y }));
  for (const [i, along] of ['0', '4', '8'].entries())
    await typeInto(page, `How far along, mark ${i + 1}`, along);
  await page.getByRole('button', { name: 'Measure by it' }).click();
  await page.getByRole('button', { name: 'Dog here' }).click();
  await tapAt(page, onPicture({ x: 0, y: 1 }));
  await expect(goesOf(page).getByText(/^dog/)).toHaveCount(1);
  await toFrame(page, 66);
  await tapAt(page, onPicture({ x: 0, y: 6 }));
  await expect(goLines(page).first().getByText(/^way/)).toBeVisible();
  expect(Math.abs((await measured(page, 0, 'way')).value - 5)).toBeLessThan(0.12);
  // Only lengths along the line: no front, no straightness.
  await expect(page.getByRole('button', { name: 'Front' })).toHaveCount(0);
  await expect(
    goLines(page)
      .first()
      .getByText(/^off straight/),
  ).toHaveCount(0);
  // Six points, one of them typed wrong: it is named, mended, and fits.
  await page.getByRole('button', { name: 'Points I measured' }).click();
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'One more' }).click();
  const points = [...POLES, { x: 0, y: 3 }, { x: 1, y: 6 }];
  for (const one of points) await tapAt(page, onPicture(one));
  for (const [i, { x, y }] of points.entries()) {
    await typeInto(page, `To the right, point ${i + 1}`, String(i === 4 ? x + 1 : x));
    await typeInto(page, `Away, point ${i + 1}`, String(y));
  }
  await expect(page.getByText('Point 5 fits least', { exact: false })).toBeVisible();
  await typeInto(page, 'To the right, point 5', '0');
  await expect(page.getByText(/each is found from the others within 0\.\d\d m\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Measure by it' }).click();
  // Fourteen metres away a pixel is a quarter of a metre deep.
  await expect(goLines(page).first().getByText(/^way/)).toBeVisible();
  expect(Math.abs((await measured(page, 0, 'way')).value - 5)).toBeLessThan(0.2);
});

test('a go of a graded element is graded from the clip, and its rep is judged by that grade', async ({
  page,
}) => {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Fern');
  await page.getByLabel('Or by another method').selectOption({ label: 'Approach an object, platform' });
  await page.getByRole('button', { name: /^All \d+ pieces$/ }).click();
  for (const [label, text] of [
    ['Demand, Time on it', '10 s'],
    ['Start, Distance to the platform', '1 m'],
    ['Demand, Distance to the platform', '10 m'],
  ] as const) {
    await page.getByRole('textbox', { name: label, exact: true }).click();
    await page.keyboard.type(text);
  }
  await page.getByRole('button', { name: 'Break it down' }).click();
  await expect(page.getByText('Broken down.')).toBeVisible();
  await page.goto('/own/field');
  await page
    .getByRole('link', { name: /Approach, contact, take/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('button', { name: /^Sniffs/ }).click();
  await expect(page.getByText(/^1 rep, /).first()).toBeAttached();
  await page.getByRole('button', { name: 'Enough for now' }).filter({ visible: true }).click();
  await expect(page).toHaveURL(/field\/end/);
  await page.goto('/own/clips');
  await openClip(page, await makeClip(page, scene()));
  await toFrame(page, 30);
  await page.keyboard.press('1');
  await expect(goLines(page)).toHaveCount(1);
  const beside = page.getByRole('region', { name: 'Beside the log' });
  await beside.getByLabel('Which bout it shows').selectOption({ index: 1 });
  await beside.getByLabel('Go 1 is').selectOption({ index: 1 });
  await expect(goLines(page).first()).toContainText('rep 1 of the log');
  // From the clip it did less than it seemed live: the lowest grade, which the ladder goes by.
  await page.getByLabel('Grade of go 1').selectOption({ index: 1 });
  await expect(goLines(page).first()).toContainText('graded');
  await beside.getByRole('button', { name: /^Judge the rep of go 1/ }).click();
  await expect(page.getByText('The rep of go 1 is judged as the clip shows it.')).toBeVisible();
  await expect(beside.getByRole('button', { name: /^Judge the rep of go 1/ })).toHaveCount(0);
  await page.getByLabel('Grade of go 1').selectOption({ index: 3 });
  await expect(beside.getByRole('button', { name: /^Judge the rep of go 1/ })).toBeVisible();
});
