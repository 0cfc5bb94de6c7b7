import type { Page } from '@playwright/test';
import { frameShown } from './clip-maker';
import { CAMERA, frameOf, GOES, TIMES } from './clip-scene';
import { expect } from './fixtures';

/** A dog of one's own that answers within two and a half seconds, at most 1.8 in the end, in an empty kennel. */
export async function dogThatLiesDown(page: Page): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Wren');
  await page.getByRole('radio', { name: 'Something of my own' }).click();
  await page.getByLabel('What it is').click();
  await page.keyboard.type('Down at once');
  await page.getByLabel('What makes it harder', { exact: true }).selectOption({ label: 'Time to answer' });
  await page.getByLabel('Time to answer now').click();
  await page.keyboard.type('1.8 s');
  await page.getByLabel('Time to answer wanted').click();
  await page.keyboard.type('1 s');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
}

/** Goes to a frame as somebody does: roughly by the bar, then frame by frame by key; the picture itself says which it is. */
export async function toFrame(page: Page, frame: number): Promise<void> {
  await page.getByRole('slider', { name: 'The whole clip' }).fill(String(Math.max(0, frame - 2)));
  await page.getByRole('slider', { name: 'The whole clip' }).blur();
  for (let i = Math.max(0, frame - 2); i < frame; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(() => frameShown(page)).toBe(frame);
}

/** Taps the picture at one of its pixels. */
export async function tapAt(page: Page, [x, y]: readonly [number, number]): Promise<void> {
  const picture = page.getByRole('button', { name: /^Set / });
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  await picture.click({
    position: { x: (x / CAMERA.width) * box.width, y: (y / CAMERA.height) * box.height },
  });
}

export const goesOf = (page: Page) => page.getByRole('region', { name: 'Goes' });
export const goLines = (page: Page) => goesOf(page).locator('ol > li');

export async function openClip(page: Page, buffer: Buffer, name = 'down.webm'): Promise<void> {
  await page.getByLabel('Clip to open').setInputFiles({ name, mimeType: 'video/webm', buffer });
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await expect(page.getByRole('slider', { name: 'The whole clip' })).toBeVisible();
}

export const readFile = (page: Page, name: string, buffer: Buffer): Promise<void> =>
  page.getByLabel('File of marks to read').setInputFiles({ name, mimeType: 'text/vtt', buffer });

/** Cue and response of every go, by key; gives the latencies that the frames come to. */
export async function markTimes(page: Page): Promise<number[]> {
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
export async function measured(
  page: Page,
  go: number,
  name: string,
): Promise<{ value: number; error: number }> {
  const line = await goLines(page)
    .nth(go)
    .getByText(new RegExp(`^${name} [−\\d]`))
    .innerText();
  const [value, error] = line
    .replace(new RegExp(`^${name}`), '')
    .split('±')
    .map((part) => Number.parseFloat(part.replaceAll(/\s/g, '').replace('−', '-')));
  return { value: value as number, error: error as number };
}

/** Logs the three goes live, at the times of the scene; the third one's answer is tapped far too early. */
export async function logLive(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Cue', exact: true })).toBeVisible();
  const began = Date.now();
  const at = (seconds: number): Promise<void> =>
    new Promise((done) => setTimeout(done, Math.max(0, began + seconds * 1000 - Date.now())));
  for (const [i, { cue, latency }] of GOES.entries()) {
    await at(cue);
    await page.keyboard.press(' ');
    await at(cue + (i === 2 ? 1.1 : latency));
    await page.keyboard.press(' ');
    await at(cue + latency + 0.9);
    await page.keyboard.press('c');
    await expect(page.getByText(new RegExp(`^${i + 1} reps?, `)).first()).toBeVisible();
  }
  await page.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page).toHaveURL(/field\/end/);
}

/** A line of the ground that is being written: tapped in the picture, its length typed. */
export async function typeInto(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}
