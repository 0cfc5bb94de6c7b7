import { readFileSync } from 'node:fs';
import readers from 'webvtt-parser';
import { frameShown, makeClip } from './clip-maker';
import {
  dogThatLiesDown,
  goesOf,
  goLines,
  logLive,
  markTimes,
  measured,
  openClip,
  readFile,
  tapAt,
  toFrame,
} from './clip-page';
import { dogAt, frameOf, GOES, onPicture, POLES, scene, TIMES } from './clip-scene';
import { expect, test } from './fixtures';

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
