import type { Page } from '@playwright/test';
import { frameShown, makeClip } from './clip-maker';
import { CAMERA, dogAt, frameOf, GOES, onPicture, POLES, scene, TIMES } from './clip-scene';
import { expect, test } from './fixtures';

/** A dog of one's own that lies down at a distance, in an empty kennel. */
async function dogThatLiesDown(page: Page): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Wren');
  await page.getByRole('radio', { name: 'Memory retrieve' }).click();
  await page.getByLabel('Distance to the dummy now').click();
  await page.keyboard.type('10 m');
  await page.getByLabel('Distance to the dummy wanted').click();
  await page.keyboard.type('40 m');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
}

/** Goes to a frame as somebody does: roughly by the bar, then frame by frame by key; the picture itself says which it is. */
async function toFrame(page: Page, frame: number): Promise<void> {
  await page.getByRole('slider', { name: 'The whole clip' }).fill(String(Math.max(0, frame - 2)));
  await page.getByRole('slider', { name: 'The whole clip' }).blur();
  for (let i = Math.max(0, frame - 2); i < frame; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(() => frameShown(page)).toBe(frame);
}

/** Taps the picture at one of its pixels. */
async function tapAt(page: Page, [x, y]: readonly [number, number]): Promise<void> {
  const picture = page.getByRole('button', { name: /^Set / });
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  await picture.click({
    position: { x: (x / CAMERA.width) * box.width, y: (y / CAMERA.height) * box.height },
  });
}

const goesOf = (page: Page) => page.getByRole('region', { name: 'Goes' });
const goLines = (page: Page) => goesOf(page).locator('ol > li');

async function openClip(page: Page, buffer: Buffer, name = 'down.webm'): Promise<void> {
  await page.getByLabel('Clip to open').setInputFiles({ name, mimeType: 'video/webm', buffer });
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await expect(page.getByRole('slider', { name: 'The whole clip' })).toBeVisible();
}

/** Cue and response of every go, by key; gives the latencies that the frames come to. */
async function markTimes(page: Page): Promise<number[]> {
  const found: number[] = [];
  for (const [i, { cue, latency }] of GOES.entries()) {
    const [from, to] = [frameOf(cue), frameOf(cue + latency)];
    await toFrame(page, from);
    await page.keyboard.press('1');
    await expect(goLines(page)).toHaveCount(i + 1);
    await toFrame(page, to);
    await page.keyboard.press('3');
    await expect(goLines(page).nth(i)).toContainText('answered after');
    found.push((TIMES[to] as number) - (TIMES[from] as number));
  }
  return found;
}

/** The number that a go says of a measure, and its error. */
async function measured(page: Page, go: number, name: string): Promise<{ value: number; error: number }> {
  const line = await goLines(page)
    .nth(go)
    .getByText(new RegExp(`^${name} \\d`))
    .innerText();
  const [value, error] = line
    .replace(name, '')
    .split('±')
    .map((part) => Number.parseFloat(part.replaceAll(/\s/g, '')));
  return { value: value as number, error: error as number };
}

test('a clip is opened, marked to the frame, its ground told by four poles, and measured', async ({
  page,
}) => {
  await dogThatLiesDown(page);
  const clip = await makeClip(page, scene());
  await page.goto('/own/clips');
  await expect(page.getByText('No clip yet')).toBeVisible();
  await openClip(page, clip);
  await expect(page.getByText(/30\.0 frames a second/)).toBeVisible();
  const latencies = await markTimes(page);
  for (const [i, latency] of latencies.entries()) {
    const { value, error } = await measured(page, i, 'answered after');
    // What the frames come to, and within one frame of the truth.
    expect(Math.abs(value - latency)).toBeLessThan(0.006);
    expect(Math.abs(value - (GOES[i]?.latency ?? 0))).toBeLessThan(0.034);
    expect(error).toBeGreaterThan(0.02);
  }
  // Without a ground no place can be tapped.
  await expect(page.getByRole('button', { name: 'Dog here' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Rectangle of poles' }).click();
  await page.getByLabel('From left to right').click();
  await page.keyboard.type('4');
  await page.getByLabel('From near to far').click();
  await page.keyboard.type('8');
  for (const pole of POLES) await tapAt(page, onPicture(pole));
  await expect(page.getByText('These points make a ground.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Measure by it' }).click();
  await expect(page.getByText('The ground is kept.')).toBeVisible();
  // The way of the first go: where it starts, half way, where it lies down, where it is released.
  const { cue, latency, crept } = GOES[0];
  await toFrame(page, frameOf(cue));
  await page.getByRole('button', { name: 'Handler' }).click();
  await tapAt(page, onPicture({ x: 0, y: 0 }));
  await expect(goesOf(page).getByText(/handler/)).toBeVisible();
  await page.getByRole('button', { name: 'Dog here' }).click();
  for (const time of [cue, cue + 0.8, cue + latency, cue + latency + 1.96]) {
    const frame = frameOf(time);
    await toFrame(page, frame);
    await tapAt(page, onPicture(dogAt(TIMES[frame] as number)));
  }
  await page.keyboard.press('6');
  const ran = 3 * (latency - 0.4);
  const near = async (name: string, truth: number, within: number): Promise<void> => {
    await expect(goLines(page).first()).toContainText(name);
    const { value, error } = await measured(page, 0, name);
    expect(Math.abs(value - truth), name).toBeLessThanOrEqual(within);
    expect(Math.abs(value - truth), name).toBeLessThanOrEqual(error + 0.05);
  };
  await near('way', ran, 0.02 * 8);
  await near('from the handler', 1 + ran, 0.02 * 8);
  await near('crept', crept, 0.02 * 8);
  await near('held', 1.96, 0.04);
  await near('off straight at most', 0, 2);
  await page.screenshot({ path: '/tmp/clip1.png', fullPage: true });
});
