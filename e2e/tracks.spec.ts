import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { distance, type Timed, toEarth } from '../src/core/geometry';
import { receiverFixes, simulatedRun } from '../src/core/learner/collar';
import { seeded } from '../src/core/shared';
import { writeTrackGpx } from '../src/data/files/gpx-file';
import { expect, test } from './fixtures';

/** The drawing of the sample with two marks, and where on the earth it lies: turned by 25°. */
const DOG = { x: 60, y: 10 };
const MARKS = [
  { x: 45.92655514243538, y: 48.666471960098555 },
  { x: 78.76459314341949, y: 61.555295946798076 },
] as const;
const EARTH = { lat: 48.2, lon: 14.3 };
/** A bout of the sample whose reps were entered every forty seconds. */
const BOUT = 1_781_456_400_000;

/** Three sends, each back a little before its rep was entered, as a collar saw them. */
function collarOf(): { readonly gpx: string; readonly nearer: number } {
  const random = seeded(12);
  const fixes: Timed[] = [];
  for (const [i, goal] of [MARKS[0], MARKS[1], MARKS[0]].entries()) {
    const run = simulatedRun(DOG, goal, {
      line: [3, -4, 0][i] as number,
      speed: 6,
      hesitates: i === 1 ? [{ after: 0.5, seconds: 5 }] : [],
      casts: [],
    });
    const end = run.truth.at(-1)?.t ?? 0;
    const begin = 40 * (i + 1) - 1 - end;
    fixes.push(...run.truth.map((one) => ({ ...one, t: Math.round((one.t + begin) * 10) / 10 })));
  }
  const seen = receiverFixes(fixes, random, { slow: 0.5 });
  return {
    gpx: writeTrackGpx([
      {
        name: 'collar 7',
        fixes: seen.map((one) => ({ ...toEarth(EARTH, 25, one), at: BOUT + one.t * 1000 })),
      },
    ]),
    nearer: distance(DOG, MARKS[0]),
  };
}

async function withJuniper(page: Page): Promise<void> {
  await page.goto('/sample/today');
  await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
  await page.goto('/sample/set-outs');
  await page.getByRole('link', { name: 'Tracks', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tracks of Juniper' })).toBeVisible();
}

test('a track is laid by two places, measured, joined to three reps, and its distance is in their evidence', async ({
  page,
}) => {
  const { gpx, nearer } = collarOf();
  await withJuniper(page);
  await page
    .getByLabel('Track to open')
    .setInputFiles({ name: 'collar.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
  await expect(page.getByRole('heading', { name: 'collar 7', level: 1 })).toBeVisible();
  await page.getByLabel('Set-out', { exact: true }).selectOption({ label: 'Two marks, forty degrees apart' });
  const lay = page.getByRole('region', { name: 'Where it lies' });
  await expect(lay.getByText(/The two fit within/)).toBeVisible();
  // By north it would lie wrong here: the drawing is turned on the earth. By two places it is right.
  await lay.getByRole('button', { name: 'Lay it by both' }).click();
  const goes = page.getByRole('region', { name: /goes/ });
  await expect(goes.locator('ol > li')).toHaveCount(3);
  await expect(goes.getByRole('heading', { name: /^Go 1 at .*mark 1/ })).toBeVisible();
  await expect(goes.getByRole('heading', { name: /^Go 2 at .*mark 2/ })).toBeVisible();
  await expect(goes.getByText(/^(Hesitated|Stopped) for [3-7] s/)).toBeVisible();
  await expect(goes.getByText(/^Its line: \d+° to the right\.$/).first()).toBeVisible();
  await expect(goes.getByText(/^Its line: \d+° to the left\.$/)).toBeVisible();
  // With the log.
  await page.getByLabel('Bout', { exact: true }).selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Join by time' }).click();
  await expect(page.getByText('3 goes are joined.')).toBeVisible();
  for (const go of [1, 2, 3]) await expect(page.getByLabel(`Rep of go ${go}`)).not.toHaveValue('');
  await page.getByRole('button', { name: 'Take over what 3 goes measured' }).click();
  await expect(page.getByText('3 reps have what the track measured.')).toBeVisible();
  await page.getByRole('button', { name: 'Count go 1 at what it was' }).click();
  await expect(page.getByText('The rep of go 1 counts at what it was.')).toBeVisible();
  // Its rep is in the evidence at the distance that the track tells.
  await page.goto('/sample/field/sample-dog-2-memory-retrieve-memory/log/sample-dog-2-s59-1');
  const yards = Math.round(nearer / 0.9144);
  const near = new RegExp(`\\b(${[-2, -1, 0, 1, 2].map((by) => yards + by).join('|')})(\\.\\d)?\\syd`);
  await expect(page.getByText(near).first()).toBeVisible();
  await page.goto('/sample/breakdown/sample-dog-2-memory-retrieve-memory/evidence');
  await expect(page.getByText(near).first()).toBeAttached();
  // The same file twice is one track.
  await page.goto('/sample/tracks');
  await page
    .getByLabel('Track to open')
    .setInputFiles({ name: 'collar.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
  await expect(page.getByRole('heading', { name: 'collar 7', level: 1 })).toBeVisible();
  await expect(goes.locator('ol > li')).toHaveCount(3);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Track (GPX)' }).click();
  expect(readFileSync(await (await waiting).path(), 'utf8')).toContain('<trkpt');
  for (const name of ['Picture (SVG)', 'Picture (PNG)']) {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    expect((await saved).suggestedFilename()).toMatch(/^collar-7\.(svg|png)$/);
  }
});

test('a broken file is refused with its line, and nothing is taken in', async ({ page }) => {
  await withJuniper(page);
  const choose = (text: string): Promise<void> =>
    page
      .getByLabel('Track to open')
      .setInputFiles({ name: 'a.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(text) });
  await choose('<gpx>\n<trk>\n<trkpt lat="1" lon="2">\n</trk></gpx>');
  await expect(page.getByText(/^Line 4 is broken/)).toBeVisible();
  await choose('<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa">]><gpx><trk><name>&a;</name></trk></gpx>');
  await expect(page.getByText(/^Line 1 is broken/)).toBeVisible();
  await choose('<gpx><trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk></gpx>');
  await expect(page.getByText('Record with the times switched on.', { exact: false })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'No track yet' })).toBeVisible();
  // Two dogs in one file: each collar is its own dog's.
  const fixes = Array.from({ length: 20 }, (_, i) => ({ lat: 48 + i * 1e-4, lon: 14, at: BOUT + i * 1000 }));
  await choose(
    writeTrackGpx([
      { name: 'collar JUNIPER', fixes },
      { name: 'Quill 2', fixes },
      { name: 'someone', fixes },
    ]),
  );
  await expect(page.getByText('3 tracks are taken in.')).toBeVisible();
  await expect(page.getByRole('heading', { name: '2 tracks' })).toBeVisible();
  await expect(page.getByText('Nobody has said whose it is.', { exact: false })).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'No track yet' })).toBeVisible();
});

test('a simulated collar runs a set-out until the dog’s line is known, and set-outs reckon with it', async ({
  page,
}) => {
  await withJuniper(page);
  for (let i = 1; i <= 3; i++) {
    await page.getByLabel('Set-out to run').selectOption({ label: 'Two marks, forty degrees apart' });
    await page.getByRole('button', { name: 'Let it run' }).click();
    await page.getByRole('button', { name: 'Lay it by both' }).click();
    await expect(page.getByRole('region', { name: /goes/ }).locator('ol > li')).toHaveCount(2);
    if (i === 1) {
      // Its north is that of the drawing: by its start alone it lies nearly so too.
      await page.getByRole('button', { name: 'By its start' }).click();
      await expect(page.getByText('by its start', { exact: true })).toBeVisible();
      await expect(page.getByRole('region', { name: /goes/ }).locator('ol > li')).toHaveCount(2);
      await page.getByText('Casts given').first().click();
      await page.getByRole('button', { name: 'Add it' }).click();
      await expect(page.getByText(/^Cast at .*left over; it took/)).toBeVisible();
    }
    await page.getByRole('link', { name: 'All tracks' }).click();
    if (i < 3) await expect(page.getByText(/too few for a figure/)).toBeVisible();
  }
  await expect(page.getByText(/^By 6 runs its line ends [\d.]+ yd/)).toBeVisible();
  await page.goto('/sample/set-outs/sample-set-out-2');
  await expect(
    page.getByText('The line is measured: 6 runs of this dog on its tracks.', { exact: false }),
  ).toBeVisible();
});

test('the phone is the collar’s stand-in: a line is walked, a fall marked, a set-out drawn of it', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await context.grantPermissions(['geolocation']);
  await withJuniper(page);
  await page.getByRole('link', { name: 'Walk with this phone' }).click();
  await context.setGeolocation({ latitude: 48.2, longitude: 14.3, accuracy: 4 });
  await page.getByRole('button', { name: 'Begin to walk' }).click();
  await expect(page.getByText('One fix, right within 4 m.')).toBeVisible();
  for (let i = 1; i <= 10; i++) {
    // Three metres to the north at a time.
    await context.setGeolocation({
      latitude: 48.2 + (i * 3) / 111_195,
      longitude: 14.3,
      accuracy: i === 10 ? 12 : 4,
    });
    await expect(page.getByText(`${i + 1} fixes,`, { exact: false })).toBeVisible();
  }
  await expect(page.getByText('Right within 12 m only: wait in the open until it is better.')).toBeVisible();
  await page.getByLabel('What lies here').click();
  await page.keyboard.type('at the oak');
  await page.getByRole('button', { name: 'Mark where I stand' }).click();
  await expect(page.getByText('at the oak, right within 12 m')).toBeVisible();
  // Somebody calls meanwhile: the walk is there still.
  await page.reload();
  await expect(page.getByText('at the oak, right within 12 m')).toBeVisible();
  await page.getByRole('button', { name: 'Draw a set-out of it' }).click();
  await expect(page.getByText('Drawn: the dog stands where you began. Right within 12 m.')).toBeVisible();
  await expect(page.getByText(/at the oak/).first()).toBeVisible();
  await expect(page.getByText(/\b(30|33|32\.8)\s(m|yd)/).first()).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
