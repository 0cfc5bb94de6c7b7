import { writeFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { expect, guard, test } from './fixtures';

/** Pixels of one square of a code in the film. */
const SCALE = 6;
/** How often each code is filmed: at 10 frames a second long enough to be seen. */
const FRAMES = 8;

/** The dark squares of the code that is shown, as the page drew them. */
async function squares(page: Page): Promise<{ size: number; dark: [number, number][] }> {
  const code = page.getByRole('img', { name: /^Code \d+ of \d+$/ });
  const [path, box] = await Promise.all([
    code.locator('path').getAttribute('d'),
    code.getAttribute('viewBox'),
  ]);
  const dark = [...(path ?? '').matchAll(/M(\d+) (\d+)h/g)].map(([, x, y]): [number, number] => [
    Number(x),
    Number(y),
  ]);
  return { size: Number((box ?? '').split(' ')[2]), dark };
}

/** One frame of a raw film (YUV4MPEG2, 4:2:0): the code in its middle, grey around it. */
function frame(side: number, { size, dark }: { size: number; dark: [number, number][] }): Buffer {
  const light = Buffer.alloc(side * side, 235);
  const from = Math.floor((side - size * SCALE) / 2);
  for (const [x, y] of dark)
    for (let row = 0; row < SCALE; row++)
      light.fill(
        16,
        (from + y * SCALE + row) * side + from + x * SCALE,
        (from + y * SCALE + row) * side + from + (x + 1) * SCALE,
      );
  return Buffer.concat([Buffer.from('FRAME\n'), light, Buffer.alloc((side * side) / 2, 128)]);
}

test('a run goes over by a camera that sees the codes of another screen, one after another', async ({
  page,
  baseURL,
}, info) => {
  await page.goto('/sample/trials');
  await page.getByLabel('Judges, if not you').fill('Ada, Ben');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page.getByRole('button', { name: 'As codes on the screen' }).click();
  await page.getByRole('button', { name: 'Hold this one' }).click();
  const label = page.getByRole('img', { name: /^Code \d+ of \d+$/ });
  const count = Number(/of (\d+)/.exec((await label.getAttribute('aria-label')) ?? '')?.[1]);
  const codes: { size: number; dark: [number, number][] }[] = [];
  for (let i = 0; i < count; i++) {
    codes.push(await squares(page));
    await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  const side = 2 * Math.ceil((Math.max(...codes.map(({ size }) => size)) * SCALE + 40) / 2);
  const film = info.outputPath('codes.y4m');
  writeFileSync(
    film,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${side} H${side} F10:1 Ip A1:1 C420jpeg\n`),
      ...codes.flatMap((code) => Array.from({ length: FRAMES }, () => frame(side, code))),
    ]),
  );
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      '--disable-dev-shm-usage',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  const other = await browser.newPage({ ...(baseURL ? { baseURL } : {}), locale: 'en-GB' });
  const trouble = await guard(other, baseURL);
  await other.goto('/own/trials');
  await other.getByRole('button', { name: 'Take one in' }).click();
  await other.getByRole('button', { name: 'Read codes by the camera' }).click();
  await expect(other.getByText('Who writes on this device?')).toBeVisible({ timeout: 120_000 });
  await expect(other.getByRole('button', { name: 'Ben' })).toBeVisible();
  expect(trouble).toEqual([]);
  await browser.close();
});
