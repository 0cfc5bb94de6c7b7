import { readFileSync } from 'node:fs';
import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import readers from 'webvtt-parser';
import { frameShown, makeClip } from './clip-maker';
import { CAMERA, dogAt, frameOf, GOES, onPicture, POLES, scene, TIMES } from './clip-scene';
import { expect, test } from './fixtures';

/** A dog of one's own that answers within two and a half seconds, at most 1.8 in the end, in an empty kennel. */
async function dogThatLiesDown(page: Page): Promise<void> {
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

const readFile = (page: Page, name: string, buffer: Buffer): Promise<void> =>
  page.getByLabel('File of marks to read').setInputFiles({ name, mimeType: 'text/vtt', buffer });

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
    .getByText(new RegExp(`^${name} [−\\d]`))
    .innerText();
  const [value, error] = line
    .replace(new RegExp(`^${name}`), '')
    .split('±')
    .map((part) => Number.parseFloat(part.replaceAll(/\s/g, '').replace('−', '-')));
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
  // The goal by keys alone: from the middle of the picture, two steps to the right.
  await page.getByRole('button', { name: 'Goal' }).click();
  await page.getByRole('button', { name: /^Set the goal/ }).focus();
  for (const key of ['ArrowRight', 'ArrowRight', 'Enter']) await page.keyboard.press(key);
  await expect(page.getByText(/^Goal at/)).toBeVisible();
  await expect.poll(() => frameShown(page)).toBe(frameOf(cue));
  await page.getByRole('button', { name: 'Dog here' }).click();
  for (const time of [cue, cue + 0.8, cue + latency, cue + latency + 1.96]) {
    const frame = frameOf(time);
    await toFrame(page, frame);
    await tapAt(page, onPicture(dogAt(TIMES[frame] as number)));
  }
  await page.keyboard.press('6');
  const ran = 3 * (latency - 0.4);
  const near = async (name: string, truth: number, within: number): Promise<void> => {
    await expect(
      goLines(page)
        .first()
        .getByText(new RegExp(`^${name} [−\\d]`)),
    ).toBeVisible();
    const { value, error } = await measured(page, 0, name);
    expect(Math.abs(value - truth), name).toBeLessThanOrEqual(within);
    expect(Math.abs(value - truth), name).toBeLessThanOrEqual(error + 0.05);
  };
  // Within 2 % of the distance, and a rounded centimetre.
  await near('way', ran, 0.02 * ran + 0.01);
  await near('from the handler', 1 + ran, 0.02 * (1 + ran) + 0.01);
  // A small one within 2 % of how far it is from the handler.
  await near('crept', (crept * 1.96) / 2, 0.02 * (1 + ran) + 0.01);
  await near('held', 1.96, 0.04);
  await near('off straight at most', 0, 2);
  // How crooked it would sit, on the ground; and a body line in the picture.
  await page.getByRole('button', { name: 'Front' }).click();
  for (const [x, y] of [
    [0, 2],
    [0.8, 0.6],
    [0, 0],
  ] as const)
    await tapAt(page, onPicture({ x, y }));
  await near('crooked', -29.7, 2);
  await page.getByRole('button', { name: 'Body line' }).click();
  for (const [x, y] of [
    [180, 300],
    [260, 270],
    [340, 300],
  ] as const)
    await tapAt(page, [x, y]);
  await near('body line in the picture \\(180° is straight\\)', 180 - 2 * 20.556, 2);
});

/** Logs the three goes live, at the times of the scene; the third one's answer is tapped far too early. */
async function logLive(page: Page): Promise<void> {
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

test('a clip is laid beside the log: three reps are corrected, judged again, and it should have ended here', async ({
  page,
}) => {
  await dogThatLiesDown(page);
  await logLive(page);
  const clip = await makeClip(page, scene());
  await page.goto('/own/review');
  await page.getByRole('link', { name: 'Clips' }).click();
  await openClip(page, clip);
  await markTimes(page);
  const beside = page.getByRole('region', { name: 'Beside the log' });
  await beside.getByLabel('Which bout it shows').selectOption({ index: 1 });
  await expect(beside.getByText('0 of 3 goes joined with the 3 reps of the bout.')).toBeVisible();
  await beside.getByRole('button', { name: 'Lay it beside the log' }).click();
  // Three cues, and of the answers the third was tapped wrong.
  // A busy machine presses a key late now and then.
  await expect(page.getByText(/^[345] of 6 stamps match\.$/)).toBeVisible();
  await expect(beside.getByText('3 of 3 goes joined', { exact: false })).toBeVisible();
  await expect(goLines(page).nth(2)).toContainText('rep 3 of the log');
  await expect(beside.getByText('It becomes flawed.')).toHaveCount(1);
  await beside.getByRole('button', { name: 'Correct 3 reps by the clip' }).click();
  await expect(page.getByText('3 reps are corrected.')).toBeVisible();
  await expect(beside.getByRole('button', { name: /^Correct / })).toHaveCount(0);
  await expect(beside.getByLabel('Go 3 is')).toHaveValue(/./);
  await expect(beside.getByRole('option', { name: 'rep 3, flawed' })).toHaveCount(3);
  // Taken back whole, and done again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(beside.getByRole('button', { name: 'Correct 3 reps by the clip' })).toBeVisible();
  await beside.getByRole('button', { name: 'Correct 3 reps by the clip' }).click();
  await expect(beside.getByRole('button', { name: /^Correct / })).toHaveCount(0);
  // Judged late beside judged live.
  for (const [go, outcome] of [
    [1, 'clean'],
    [2, 'miss'],
    [3, 'flawed'],
  ] as const)
    await page.getByLabel(`Judged now, go ${go}`).selectOption({ label: outcome });
  await expect(
    beside.getByText('Judged live and now: 2 of 3 the same. Once clean live, a miss now.'),
  ).toBeVisible();
  await beside.getByRole('button', { name: 'Judge the rep of go 2 a miss' }).click();
  await expect(beside.getByText('Judged live and now: 3 of 3 the same.')).toBeVisible();
  // It should have ended after the second.
  await toFrame(page, frameOf(GOES[1].cue + 3));
  await beside.getByRole('button', { name: 'It should have ended here, after rep 2' }).click();
  await expect(page.getByText('Kept: it should have ended after rep 2.')).toBeVisible();
  // A go that the log lacks is added, once it is judged: here the third, taken off its rep.
  await beside.getByLabel('Go 3 is').selectOption({ label: 'no rep of the log' });
  await beside.getByRole('button', { name: 'Add go 3 to the log: flawed' }).click();
  await expect(page.getByText('Go 3 is in the log, at its own time and last in order.')).toBeVisible();
  await expect(beside.getByRole('option', { name: 'rep 4, flawed' })).toHaveCount(3);
  await expect(goLines(page).nth(2)).toContainText('rep 4 of the log');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(beside.getByRole('option', { name: 'rep 4, flawed' })).toHaveCount(0);
  await beside.getByRole('link', { name: /in its log/ }).click();
  await expect(page.getByText('after rep 2', { exact: false }).first()).toBeAttached();
  await expect(page.getByLabel(/Rep 3 of .*outcome/)).toHaveValue('flawed');
  await expect(page.getByLabel(/Rep 2 of .*outcome/)).toHaveValue('miss');
});

test('stills, marks and a table are saved; the marks return with the renamed file, and from their own file', async ({
  page,
}) => {
  await dogThatLiesDown(page);
  const clip = await makeClip(page, scene());
  await page.goto('/own/clips');
  await openClip(page, clip);
  const latencies = await markTimes(page);
  const saved = async (name: string): Promise<{ file: string; bytes: Buffer }> => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    const download = await waiting;
    return { file: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const still = await saved('This picture with its measures');
  expect(still.file).toBe('down.png');
  // Width and height stand in the head of a PNG; lines of words lie under the picture.
  expect([still.bytes.readUInt32BE(16), still.bytes.readUInt32BE(20)]).toEqual([640, 403]);
  const marks = await saved('Marks (WebVTT)');
  const { cues, errors } = new readers.WebVTTParser().parse(marks.bytes.toString('utf8'), 'metadata');
  expect(errors).toEqual([]);
  expect(cues.map(({ text }) => text)).toEqual(['cue', 'response', 'cue', 'response', 'cue', 'response']);
  const table = (await saved('Table (CSV)')).bytes.toString('utf8').trim().split(/\r?\n/);
  expect(table).toHaveLength(4);
  expect(table[0]).toContain('latency (s),latency (s) ±');
  expect(table[1]).toContain(String(Number((latencies[0] ?? 0).toFixed(4))));
  // The page is left: the file has to be opened again, whatever it is called by now.
  await page.reload();
  await expect(page.getByText('The file is not kept, only its marks', { exact: false })).toBeVisible();
  await expect(goLines(page)).toHaveCount(3);
  await page
    .getByLabel('Clip to open')
    .setInputFiles({ name: 'renamed.webm', mimeType: 'video/webm', buffer: clip });
  await expect(page.getByRole('heading', { name: 'renamed.webm', level: 1 })).toBeVisible();
  await expect(goLines(page)).toHaveCount(3);
  // Out of the kennel, opened anew, and the marks read from their own file.
  await page.getByRole('button', { name: 'Take this clip and its marks out' }).click();
  await expect(page.getByText('No clip yet')).toBeVisible();
  await openClip(page, clip);
  await expect(goLines(page)).toHaveCount(0);
  const foreign = `${marks.bytes.toString('utf8')}\n00:01.000 --> 00:02.000\nlooks at the sheep\n`;
  await readFile(page, 'down.vtt', Buffer.from(foreign));
  await expect(page.getByText('6 of 6 marks taken in.')).toBeVisible();
  await expect(page.getByText('looks at the sheep', { exact: false })).toBeVisible();
  for (const [i, latency] of latencies.entries())
    expect(Math.abs((await measured(page, i, 'answered after')).value - latency)).toBeLessThan(0.006);
  // Read once more, it adds nothing.
  await readFile(page, 'down.vtt', marks.bytes);
  await expect(page.getByText('0 of 6 marks taken in: the others are here already.')).toBeVisible();
  await readFile(page, 'list.txt', Buffer.from('cue 1.0'));
  await expect(page.getByText('This is no WebVTT file', { exact: false })).toBeVisible();
  await expect(goLines(page)).toHaveCount(3);
});

test('sound is listened to in pieces: every click is offered, and one is taken as the marker', async ({
  page,
}) => {
  await dogThatLiesDown(page);
  const clip = await makeClip(page, scene());
  await page.goto('/own/clips');
  await openClip(page, clip);
  await markTimes(page);
  const sound = page.getByRole('region', { name: 'Sound' });
  await sound.getByRole('button', { name: 'Listen to it' }).click();
  await expect(sound.getByText('3 clicks, no whistle, no word.', { exact: false })).toBeVisible();
  const [first] = GOES;
  const click = sound.getByRole('button', { name: /^Click/ }).first();
  const said = await click.innerText();
  const heard = Number.parseFloat(said.replace('Click', '').trim());
  expect(Math.abs(heard - (first.cue + first.latency + 0.2))).toBeLessThan(0.011);
  await click.click();
  await expect.poll(() => frameShown(page)).toBe(frameOf(first.cue + first.latency + 0.2) - 1);
  await sound.getByRole('button', { name: 'Marker' }).first().click();
  await expect(goLines(page).first()).toContainText('marked after the answer');
  const { value } = await measured(page, 0, 'marked after the answer');
  expect(Math.abs(value - 0.2)).toBeLessThan(0.05);
});

test('what cannot be shown is said with what to do, and loses nothing', async ({ page }) => {
  await dogThatLiesDown(page);
  await page.goto('/own/clips');
  const choose = (name: string, buffer: Buffer): Promise<void> =>
    page.getByLabel('Clip to open').setInputFiles({ name, mimeType: 'video/mp4', buffer });
  await choose('notes.mp4', Buffer.from('this is no clip at all'));
  await expect(
    page.getByText('This browser cannot show the picture of this file.', { exact: false }),
  ).toBeVisible();
  await choose('empty.mp4', Buffer.alloc(0));
  await expect(page.getByText('This file is empty.', { exact: false })).toBeVisible();
  await expect(page.getByText('No clip yet')).toBeVisible();
  const half = await makeClip(page, scene('mp4'));
  await choose('whole.mp4', half);
  await expect(page.getByRole('heading', { name: 'whole.mp4' })).toBeVisible();
  await toFrame(page, 40);
  await toFrame(page, 501);
});

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

/** A line of the ground that is being written: tapped in the picture, its length typed. */
async function typeInto(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}

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
