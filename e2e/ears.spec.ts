import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { add, type Clicker, clickOf, noise, over, wind } from '../src/core/review/sound/sounds.test-helper';
import { seeded } from '../src/core/shared';
import { CLICKER } from './clip-scene';
import { expect, guard, storedCount, test } from './fixtures';

const RATE = 48_000;
const FOREIGN: Clicker = [
  { hertz: 1_700, decay: 0.0022, share: 1 },
  { hertz: 7_400, decay: 0.0008, share: 0.6 },
];

/** A file that plays in a ring where the microphone would be: sixteen bits, one channel. */
function wav(samples: Float32Array): Buffer {
  const data = Buffer.alloc(44 + 2 * samples.length);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + 2 * samples.length, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(RATE, 24);
  data.writeUInt32LE(2 * RATE, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(2 * samples.length, 40);
  for (const [i, one] of samples.entries())
    data.writeInt16LE(Math.round(32_767 * Math.max(-1, Math.min(1, one))), 44 + 2 * i);
  return data;
}

/** Twelve clicks in a quiet room, pressed and let go, one a second. */
function lesson(): Float32Array {
  const random = seeded(31);
  const sound = noise(13, RATE, 0.002, random);
  for (let i = 0; i < 12; i++) {
    add(sound, clickOf(CLICKER, RATE, random), 0.5 + i, RATE, 0.1);
    add(sound, clickOf(CLICKER, RATE, random), 0.62 + i, RATE, 0.07);
  }
  return sound;
}

const OWN = [2, 5, 8, 11, 14, 17];
/** Outside, in the wind: six clicks of one's own and six of somebody else's, in turn. */
function field(): Float32Array {
  const random = seeded(32);
  const sound = wind(20, RATE, 0.008, random);
  const size = Math.sqrt(sound.reduce((sum, one) => sum + one * one, 0) / sound.length);
  for (const at of OWN) {
    add(sound, clickOf(CLICKER, RATE, random), at, RATE, over(14, size));
    add(sound, clickOf(FOREIGN, RATE, random), at + 1.5, RATE, over(14, size));
  }
  return sound;
}

test('ten clicks are learned; in the wind one’s own logs the go and a foreign one does not; each can be taken back', async ({
  baseURL,
}, info) => {
  const room = info.outputPath('profile');
  const page = async (sound: Float32Array, again: boolean) => {
    const file = join(info.outputDir, `${sound.length}.wav`);
    writeFileSync(file, wav(sound));
    const context = await chromium.launchPersistentContext(room, {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      baseURL: baseURL ?? '',
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
      permissions: ['microphone'],
      args: [
        '--disable-dev-shm-usage',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        `--use-file-for-fake-audio-capture=${file}${again ? '' : '%noloop'}`,
      ],
    });
    const [page = await context.newPage()] = context.pages();
    const trouble = await guard(page, baseURL);
    return { page, context, trouble };
  };

  const first = await page(lesson(), true);
  await first.page.goto('/own/start');
  await first.page.getByRole('textbox', { name: 'Name' }).click();
  await first.page.keyboard.type('Wren');
  await first.page.getByRole('radio', { name: 'Something of my own' }).click();
  await first.page.getByLabel('What it is').click();
  await first.page.keyboard.type('Touches the hand');
  await first.page
    .getByLabel('What makes it harder', { exact: true })
    .selectOption({ label: 'Time to answer' });
  await first.page.getByLabel('Time to answer now').click();
  await first.page.keyboard.type('3 s');
  await first.page.getByLabel('Time to answer wanted').click();
  await first.page.keyboard.type('1 s');
  await first.page.getByRole('button', { name: 'Make the ladder' }).click();
  await first.page.getByRole('button', { name: 'Begin', exact: true }).click();
  const settings = async (of: typeof first.page) => {
    await of.getByRole('button', { name: /^Keys/ }).filter({ visible: true }).click();
  };
  await settings(first.page);
  const tick = first.page.getByLabel(/^My click logs the go/);
  // Nothing listens before somebody says so.
  await expect(tick).not.toBeChecked();
  await tick.check();
  await first.page.getByRole('button', { name: 'Learn my click: ten clicks' }).click();
  await expect(first.page.getByText(/^[3-9] of 10: click once a second/)).toBeVisible();
  await expect(first.page.getByRole('button', { name: 'Learn my click again' })).toBeVisible();
  await first.page.keyboard.press('Escape');
  await expect(first.page.getByText('Listening: your click logs a clean go.')).toBeVisible();
  expect(first.trouble).toEqual([]);
  await first.context.close();

  const second = await page(field(), false);
  await second.page.goto('/own/today');
  await second.page
    .getByRole('link', { name: /Go on|Touches the hand/ })
    .first()
    .click();
  await expect(second.page.getByText('Listening: your click logs a clean go.')).toBeVisible();
  const taken = second.page.getByRole('button', { name: /^Take back the click of/ });
  // The last three are shown to be taken back.
  await expect(taken).toHaveCount(3);
  await second.page.waitForTimeout(OWN.length * 3_000);
  const logged = (): Promise<number> => storedCount(second.page, 'regulon-own', 'entries');
  // A busy machine loses samples on the way, which is a click too; were the foreign ones logged there would be twelve.
  const all = await logged();
  expect(all).toBeGreaterThanOrEqual(OWN.length - 3);
  expect(all).toBeLessThanOrEqual(OWN.length + 2);
  await expect(second.page.getByText(new RegExp(`^${all} reps, `)).filter({ visible: true })).toBeVisible();
  // The middle one is taken back, by its own button; the others stay.
  await taken.nth(1).click();
  await expect(taken).toHaveCount(2);
  await expect(
    second.page.getByText(new RegExp(`^${all - 1} reps, `)).filter({ visible: true }),
  ).toBeVisible();
  expect(second.trouble).toEqual([]);
  await second.context.close();
});
