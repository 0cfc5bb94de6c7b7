import { expect, guard, savedFile, test } from './fixtures';

test('a packet goes to a coach, opens beside their own kennel, and comes back as comments and proposals', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await page.goto('/sample/files');
  await page.getByRole('link', { name: 'To coaching' }).click();
  await page.getByRole('checkbox', { name: 'Otto' }).uncheck();
  await page.getByRole('checkbox', { name: 'Juniper' }).uncheck();
  await page.getByLabel('Your name').click();
  await page.keyboard.type('Ines');
  const packet = await savedFile(page, 'Make the packet', info, 'packet.json');
  await expect(page.getByRole('status').filter({ hasText: 'The packet is made' })).toBeVisible();

  const coach = await (
    await browser.newContext({ baseURL: baseURL ?? '', timezoneId: 'Europe/Vienna', acceptDownloads: true })
  ).newPage();
  const trouble = await guard(coach, baseURL);
  await coach.goto('/own/files');
  await coach.getByLabel('Kennel file').setInputFiles(packet);
  const dialog = coach.getByRole('dialog');
  await expect(dialog.getByRole('button', { name: 'Replace it' })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Open the packet of Ines beside my kennel' }).click();
  await expect(coach).toHaveURL(/\/pupil-[\w-]+\/today$/);
  await expect(coach.getByText('a pupil’s')).toBeVisible();
  const pupil = /\/(pupil-[\w-]+)\//.exec(coach.url())?.[1] ?? '';
  // A ladder is changed in its own room.
  await coach.goto(`/${pupil}/breakdown/sample-wait`);
  const demand = coach.getByLabel('Demand, Time down');
  await demand.fill('90 s');
  await demand.press('Enter');
  // The field has the new value before it is stored; the line with its undo comes after.
  await expect(coach.getByRole('button', { name: 'Undo' })).toBeVisible();
  await coach.goto(`/${pupil}/files/coach`);
  await coach.getByRole('button', { name: 'Keep the comment' }).click();
  await expect(coach.getByText('Write something first.')).toBeVisible();
  await coach.getByLabel('What you say').click();
  await coach.keyboard.type('The hand moves before the word.');
  await coach.keyboard.press('Enter');
  await expect(coach.getByText('The hand moves before the word.')).toBeVisible();
  await coach.getByLabel('Your name').click();
  await coach.keyboard.type('Made-up coach');
  const answer = await savedFile(coach, 'Make the answer', info, 'answer.json');
  await expect(coach.getByRole('status').filter({ hasText: '1 comment, 1 other change' })).toBeVisible();
  await coach.goto('/own/files/coach');
  await expect(coach.getByRole('link', { name: 'Ines: Quill' })).toBeVisible();
  await expect(coach.getByText(/Last trained .* in two weeks/)).toBeVisible();
  await coach.goto('/own/files');
  await expect(coach.getByText('0 dogs')).toBeVisible();
  expect(trouble).toEqual([]);

  await page.goto('/sample/files');
  await page.getByLabel('Kennel file').setInputFiles(answer);
  await page
    .getByRole('button', { name: 'Take the answer of Made-up coach as comments and proposals' })
    .click();
  await expect(page.getByText('Made-up coach: 1 comment, 1 proposal.')).toBeVisible();
  const proposed = page.getByRole('region', { name: 'Proposed by a coach' });
  await expect(proposed.getByRole('radio', { name: /As it stands here/ }).first()).toBeChecked();
  for (const one of await proposed.getByRole('radio', { name: /Proposed by Made-up coach/ }).all())
    await one.check();
  await proposed.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(proposed).toHaveCount(0);
  await page.goto('/sample/breakdown/sample-wait');
  await expect(page.getByLabel('Demand, Time down')).toHaveValue(/^(90 s|1 min 30 s|1[.,]5 min)$/);
  await page.goto('/sample/files/coach');
  await expect(page.getByText('The hand moves before the word.')).toBeVisible();
});

test('for somebody without the program there is one picture; on paper and phone the page fits', async ({
  page,
}, info) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/sample/files/coach');
  const file = await savedFile(page, 'Save the picture', info, 'quill.png');
  const size = await page.evaluate(
    async (bytes) => {
      const image = await createImageBitmap(new Blob([new Uint8Array(bytes)], { type: 'image/png' }));
      return [image.width, image.height];
    },
    [...(await import('node:fs')).readFileSync(file)],
  );
  expect(size[0]).toBe(1080);
  expect(size[1]).toBeGreaterThan(700);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a second of a clip is commented on without the clip, and a time that is none is said', async ({
  page,
}, info) => {
  await page.goto('/own/files');
  await page.getByLabel('Kennel file').setInputFiles('src/data/fixtures/kennel-v17.json');
  await page.getByRole('button', { name: 'Replace it' }).click();
  await expect(page.getByText(/^1 dog: /)).toBeVisible();
  await page.goto('/own/files/coach');
  await page.getByLabel('Sessions of').selectOption({ label: 'all time' });
  const packet = await savedFile(page, 'Make the packet', info, 'packet.json');
  await page.goto('/own/files');
  await page.getByLabel('Kennel file').setInputFiles(packet);
  await page.getByRole('button', { name: /^Open the packet of/ }).click();
  await expect(page).toHaveURL(/\/pupil-[\w-]+\/today$/);
  await page.goto(page.url().replace('/today', '/files/coach'));
  const clip = page.getByLabel('About').getByRole('option', { name: /^Clip / });
  await page.getByLabel('About').selectOption({ label: (await clip.first().textContent()) ?? '' });
  await page.getByLabel('What you say').click();
  await page.keyboard.type('The hand moves first.');
  await page.getByLabel('At which second of the clip').click();
  await page.keyboard.type('soon');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/“soon” is not a/)).toBeVisible();
  await page.getByLabel('At which second of the clip').click();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('12.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The hand moves first.')).toBeVisible();
  await expect(page.getByRole('link', { name: /at 12\.4 s$/ }).last()).toBeVisible();
});
