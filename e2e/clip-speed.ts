import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeClip } from './clip-maker';
import { expect, test } from './fixtures';

/** A clip of this many minutes, 30 frames a second, with sound. */
const MINUTES = Number(process.env.CLIP_MINUTES ?? 10);
const RATE = 48_000;

/** Prints what a long clip takes: to open, to seek, to listen to, and how far the page and its worker grow. */
test('the memory of a long clip', async ({ page, browser }) => {
  test.setTimeout(3_600_000);
  await page.goto('/sample/clips');
  const frames = MINUTES * 60 * 30;
  const samples = new Float32Array(60 * RATE);
  for (let i = 0; i < samples.length; i++) samples[i] = 0.01 * Math.sin(i * 0.9) * Math.sin(i * 0.013);
  const clip = await makeClip(page, {
    width: 640,
    height: 360,
    times: Array.from({ length: frames }, (_, i) => i / 30),
    dog: Array.from({ length: frames }, (_, i) => [100 + (i % 400), 250] as const),
    poles: [],
    sound: { rate: RATE, samples, times: MINUTES },
  });
  const file = join(mkdtempSync(join(tmpdir(), 'clip-')), 'long.webm');
  writeFileSync(file, clip);
  const session = await browser.newBrowserCDPSession();
  const memory = async (): Promise<number> => {
    const { processInfo } = await session.send('SystemInfo.getProcessInfo');
    const sizes = processInfo
      .filter(({ type }) => type === 'renderer')
      .map(({ id }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0));
    return Math.max(...sizes) / 1000;
  };
  const timed = async (words: string, act: () => Promise<void>): Promise<void> => {
    const began = Date.now();
    let most = 0;
    const watch = setInterval(() => {
      void memory().then((now) => {
        most = Math.max(most, now);
      });
    }, 100);
    await act();
    clearInterval(watch);
    process.stdout.write(
      `${words}: ${((Date.now() - began) / 1000).toFixed(1)} s, ${most.toFixed(0)} MB at most\n`,
    );
  };
  process.stdout.write(
    `${MINUTES} minutes, ${(clip.length / 1e6).toFixed(0)} MB; before: ${(await memory()).toFixed(0)} MB\n`,
  );
  const bar = page.getByRole('slider', { name: 'The whole clip' });
  await timed('opened', async () => {
    await page.getByLabel('Clip to open').setInputFiles(file);
    await expect(bar).toBeVisible();
  });
  await timed('sought in its middle', async () => {
    await bar.fill(String(Math.floor(frames / 2)));
    await expect.poll(() => page.evaluate(() => document.querySelector('video')?.seeking)).toBe(false);
  });
  await timed('listened to', async () => {
    await page.getByRole('button', { name: 'Listen to it' }).click();
    await expect(page.getByText(/Tap one to see it/)).toBeVisible({ timeout: 600_000 });
  });
});
