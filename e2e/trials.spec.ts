import { readFileSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import { expect, fakeWaits, guard, storedCount, test } from './fixtures';
import { allDone, ownDogWith } from './own-dog';

/** A second device: a storage of its own, phone size. */
async function phone(browser: Browser, baseURL: string | undefined): Promise<Page> {
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    viewport: { width: 390, height: 844 },
    locale: 'en-GB',
    timezoneId: 'Europe/Vienna',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await guard(page, baseURL);
  return page;
}

const score = (page: Page) => page.getByRole('button', { name: /, hide the score$/ });

test.describe('in the hand', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a sheet on the phone: no Enter, no scrolling to the score, a stamp named afterwards, closed, reopened', async ({
    page,
  }) => {
    await ownDogWith(page, 'Wren', 'vellmoor-obedience-two');
    await page.goto('/own/trials');
    await page.getByRole('button', { name: 'Open the sheet' }).click();
    await expect(score(page)).toHaveText('80 points');
    await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
    await expect(score(page)).toHaveText('78.5 points');
    // A measure typed key by key counts when nobody types any more; typed on, it is the same one still.
    await page.getByLabel('Leaves the line, measured').click();
    await page.keyboard.type('2');
    await expect(score(page)).toHaveText('77.5 points');
    await page.keyboard.type('.6');
    await expect(score(page)).toHaveText('76.5 points');
    await page.getByRole('button', { name: 'Something happened' }).click();
    await expect(page.getByRole('button', { name: 'Something happened (1)' })).toBeVisible();
    // What is pressed lies within the thumb's screen, and so does the score.
    for (const target of [score(page), page.getByRole('button', { name: 'Done', exact: true })])
      await expect(target).toBeInViewport({ ratio: 1 });
    await page.reload();
    await expect(score(page)).toHaveText('76.5 points');
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    // The exercise is over: only now what was stamped asks for its name.
    await page.getByLabel(/^Number 1, after/).selectOption({ label: 'Restless, rolls or sniffs' });
    await expect(score(page)).toHaveText('74.5 points');
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByText('Retrieve over the hurdle', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: /, hide the score$/ }).click();
    await expect(page.getByRole('button', { name: 'Show the score' })).toHaveText('Score hidden');
    await page.getByRole('button', { name: 'Show the score' }).click();
    // The stop-watch proposes; it is a fault when somebody takes it.
    await page.getByRole('button', { name: 'Start the watch' }).click();
    await page.waitForTimeout(3300);
    await page.getByRole('button', { name: 'Stop the watch' }).click();
    await expect(score(page)).toHaveText('74.5 points');
    // A point a second begun past two, at most four: whatever a busy machine made of the three seconds.
    await expect(page.getByRole('button', { name: 'Take it: Slow to pick up' })).toBeVisible();
    const seconds = Number.parseFloat(await page.getByLabel('Stop-watch').innerText());
    const left = `${74.5 - Math.min(4, Math.ceil(seconds - 2))} points`;
    await page.getByRole('button', { name: 'Take it: Slow to pick up' }).click();
    await expect(score(page)).toHaveText(left);
    await page.getByRole('button', { name: 'The next exercise' }).click();
    await expect(page.getByText('One exercise has not been said to be over:')).toBeVisible();
    await page.getByRole('button', { name: 'Retrieve over the hurdle: done' }).click();
    await page.getByRole('button', { name: 'Close it' }).click();
    await expect(page.getByRole('region', { name: 'Score' })).toContainText(left);
    await page.getByLabel('Signed by').fill('Ada Fenn');
    await page.getByRole('button', { name: 'Sign', exact: true }).click();
    await expect(page.getByText('Signed by Ada Fenn.', { exact: false }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Reopen' }).click();
    await expect(page.getByRole('alert')).toContainText('Say why it is reopened');
    await page.getByLabel('Reopen it because').fill('the second watch showed less');
    await page.getByRole('button', { name: 'Reopen' }).click();
    await page.getByRole('button', { name: 'All exercises on one page' }).click();
    await expect(page.getByText('because the second watch showed less')).toBeVisible();
  });

  test('a mock trial alone: nothing is drawn before it starts, nobody taps while handling, faults are named later', async ({
    page,
  }) => {
    const skip = await fakeWaits(page);
    await page.addInitScript(() => {
      const heard: string[] = [];
      Object.assign(globalThis, { heard });
      speechSynthesis.speak = (words) => void heard.push(words.text);
      speechSynthesis.getVoices = () => [{ name: 'a voice' } as SpeechSynthesisVoice];
    });
    const heard = () => page.evaluate(() => (globalThis as unknown as { heard: string[] }).heard);
    await ownDogWith(page, 'Wren', 'vellmoor-obedience-two');
    await page.goto('/own/trials');
    await page.getByRole('button', { name: 'With a steward' }).click();
    await expect(page.getByRole('heading', { name: 'Steward: Wren' })).toBeVisible();
    // A shot is left out until somebody has said that the dog is calm at one.
    await page.getByText('Retrieve over the hurdle', { exact: true }).click();
    await page.getByRole('button', { name: 'A further step' }).last().click();
    await expect(page.getByLabel('What is said').last()).toHaveValue('A new step');
    await page.getByLabel('Kind').last().selectOption({ label: 'A shot, far off' });
    await expect(page.getByText('one step is left out')).toBeVisible();
    expect(await storedCount(page, 'regulon-own', 'callings')).toBe(0);
    await page.getByRole('button', { name: 'Start alone' }).click();
    expect(await heard()).toEqual([]);
    await page.getByRole('button', { name: 'Ready: call Send-away to the square' }).click();
    for (let step = 1; step <= 6; step++) {
      await skip(7000);
      await expect.poll(async () => (await heard()).length).toBe(step);
      // Nothing to press but the signs and the stop.
      const buttons = await page.getByRole('main').getByRole('button').allInnerTexts();
      if (step < 6)
        expect(buttons.filter((words) => words !== '')).toEqual(expect.arrayContaining(['Stop the run']));
      if (step < 6) await expect(page.getByRole('button', { name: /Ready|As trained/ })).toHaveCount(0);
    }
    expect((await heard())[0]).toBe('Send-away to the square');
    await page.getByRole('button', { name: 'Faults, named later' }).click();
    await page.getByRole('button', { name: 'Ready: call Retrieve over the hurdle' }).click();
    await skip(7000);
    // A tremor stops everything until somebody says why it may go on.
    await page.getByText('A sign of the dog’s body').click();
    await page.getByRole('button', { name: 'Tremor' }).click();
    await expect(page.getByText(/Look at the dog first/)).toBeVisible();
    const before = (await heard()).length;
    await skip(20_000);
    expect((await heard()).length).toBe(before);
    await page.getByRole('button', { name: 'End the run' }).click();
    await expect(page.getByRole('heading', { name: 'What was called' })).toBeVisible();
    await expect(page.getByText('not called').first()).toBeVisible();
    // The shot was never called: nobody had said that the dog is calm at one.
    await expect(page.getByText('A new step')).toHaveCount(0);
    await page.getByRole('link', { name: 'To the judge’s sheet' }).click();
    await expect(page.getByText(/^2 of 2/)).toBeVisible();
    await page.getByRole('button', { name: 'The exercise before' }).click();
    await page.getByLabel(/^Number 1, after/).selectOption({ label: 'Slow on the way out' });
    await expect(score(page)).toHaveText('38.5 points');
    await page.getByRole('button', { name: 'The next exercise' }).click();
    await expect(page.getByText(/0 of 40/)).toBeVisible();
  });
});

test('two judges: the run goes over by codes read from a screen, each is blind to the other, one result', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await ownDogWith(page, 'Wren', 'harrowmere-ring-grade-b');
  await page.goto('/own/trials');
  await page.getByLabel('Judges, if not you').click();
  await page.keyboard.type('Ada Fenn, Ben Marl');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await expect(page.getByText('Who writes on this device?')).toBeVisible();
  // The codes are photographed one by one, as another phone would.
  await page.getByRole('button', { name: 'As codes on the screen' }).click();
  const code = page.getByRole('img', { name: /^Code \d+ of \d+$/ });
  await expect(code).toBeVisible();
  await page.getByRole('button', { name: 'Hold this one' }).click();
  const count = Number(/of (\d+)/.exec((await code.getAttribute('aria-label')) ?? '')?.[1]);
  const pictures: { name: string; mimeType: string; buffer: Buffer }[] = [];
  const seen = new Set<string>();
  for (let i = 0; i < count; i++) {
    const label = (await code.getAttribute('aria-label')) ?? '';
    seen.add(label);
    pictures.push({ name: `${i}.png`, mimeType: 'image/png', buffer: await code.screenshot() });
    await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  expect(seen.size).toBe(count);

  const other = await phone(browser, baseURL);
  await other.goto('/own/trials');
  await other.getByRole('button', { name: 'Take one in' }).click();
  await other.getByLabel('Run file or pictures of codes').setInputFiles(pictures.slice(0, -1));
  await expect(other.getByText(`${count - 1} of ${count} codes are read.`)).toBeVisible();
  await other.getByLabel('Run file or pictures of codes').setInputFiles(pictures.slice(-1));
  await other.getByRole('button', { name: 'Ben Marl' }).click();
  await other.getByRole('button', { name: 'The next exercise' }).click();
  await other.getByRole('button', { name: 'Gap or crowding: usual' }).click();
  await expect(score(other)).toHaveText('246 points');
  await other.getByRole('button', { name: 'All exercises on one page' }).click();
  await allDone(other);
  await other.getByRole('button', { name: 'Close it' }).click();
  await expect(other.getByText(/Waits for Ada Fenn/)).toBeVisible();
  const [handed] = await Promise.all([
    other.waitForEvent('download'),
    other.getByRole('button', { name: 'As a file' }).click(),
  ]);
  const sheet = info.outputPath('sheet.json');
  await handed.saveAs(sheet);
  expect(readFileSync(sheet, 'utf8')).not.toContain('"exercises"');

  // Ada sees nothing of it before her own sheet is closed.
  await page.getByRole('button', { name: 'Ada Fenn' }).click();
  await page.getByRole('textbox', { name: 'Or its mark, Heel free' }).click();
  await page.keyboard.type('8');
  await expect(page.getByRole('region', { name: 'Score' })).toContainText('242 points');
  await page.goto('/own/trials');
  await page.getByRole('button', { name: 'Take one in' }).click();
  await page.getByLabel('Run file or pictures of codes').setInputFiles(sheet);
  await expect(page.getByRole('region', { name: 'Score' })).toContainText('242 points');
  await expect(page.getByText('Where they differ')).toHaveCount(0);
  await allDone(page);
  await page.getByRole('button', { name: 'Close it' }).click();
  // (8 + 9) / 2 at coefficient 4: 6 points less than all 250.
  await expect(page.getByRole('region', { name: 'Score of all judges' })).toContainText('244 points');
  await expect(page.getByRole('row').filter({ hasText: 'In all' })).toContainText('242 points');
  await other.context().close();
});

test('a meeting: dogs entered, an order drawn, one withdrawn, a sheet from paper with a number each, printed', async ({
  page,
}, info) => {
  await ownDogWith(page, 'Wren', 'vellmoor-obedience-two');
  await page.goto('/own/trials');
  await page.getByRole('link', { name: 'A new meeting' }).click();
  await page.getByRole('button', { name: 'Save the meeting' }).click();
  await expect(page.getByText('Give the meeting a name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Club evening');
  await page.getByLabel('Minutes a dog').fill('7.5');
  await page.getByRole('button', { name: 'Save the meeting' }).click();
  await expect(page.getByRole('heading', { name: 'Club evening' })).toBeVisible();
  const enter = page.getByRole('form', { name: /^Enter a dog/ });
  const add = async (name: string, handler: string): Promise<void> => {
    await enter.getByLabel('Its name').fill(name);
    await enter.getByLabel('Handler').fill(handler);
    await enter.getByRole('button', { name: 'Enter the dog' }).click();
    await expect(page.getByText(new RegExp(`\\d ${name}`)).first()).toBeVisible();
  };
  await enter.getByLabel('Dog', { exact: true }).selectOption({ label: 'Wren' });
  await enter.getByRole('button', { name: 'Enter the dog' }).click();
  await expect(page.getByText('1 Wren')).toBeVisible();
  await add('Tansy', 'Kim');
  await add('Bracken', 'Kim');
  await add('Moss', 'Lee');
  await add('Rye', 'Pat');
  await page.getByRole('button', { name: 'Draw the order' }).click();
  await expect(page.getByText(/dogs? between two of one handler/)).toBeVisible();
  await page.getByLabel('More of Moss').click();
  await page.getByRole('button', { name: 'In season' }).click();
  await page.getByRole('button', { name: 'Draw it again' }).click();
  await expect(page.getByRole('main').getByRole('listitem').nth(4)).toContainText('Moss');
  await page.getByLabel('More of Rye').click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Rye' })
    .getByRole('button', { name: 'Withdrawn' })
    .click();
  await expect(page.getByRole('main').getByRole('listitem').nth(4)).toContainText('Rye');

  // From paper: one number an exercise.
  await page.getByRole('button', { name: 'Sheet of Wren' }).click();
  await page.getByRole('textbox', { name: 'Or its points, Send-away to the square' }).click();
  await page.keyboard.type('33,5');
  await page.getByRole('textbox', { name: 'Or its points, Retrieve over the hurdle' }).click();
  await page.keyboard.type('30');
  await expect(page.getByRole('region', { name: 'Score' })).toContainText('63.5 points');
  await allDone(page);
  await page.getByRole('button', { name: 'Close it' }).click();
  await page.getByRole('link', { name: 'To the meeting' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '1 Wren' })).toContainText('63.5 points, Passed');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const path = info.outputPath('run-sheet.csv');
  await file.saveAs(path);
  const rows = readFileSync(path, 'utf8').split('\r\n');
  expect(rows[0]).toBe('class,place,number,dog,handler,time,in season,withdrawn,points,passed,award');
  expect(rows.filter((row) => row.includes(',Moss,'))[0]).toMatch(
    /^"Vellmoor Obedience, Class Two",4,4,Moss,Lee,\d\d:\d\d,1,0,,,$/,
  );
  expect(rows.filter((row) => row.includes(',Wren,'))[0]).toMatch(/,63.5,1,Passed$/);
  await page.getByRole('link', { name: 'To print' }).click();
  await expect(page.getByRole('heading', { name: 'Run sheet: Vellmoor Obedience, Class Two' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '4 Moss: Vellmoor Obedience, Class Two' })).toBeVisible();
  await expect(page.getByText('Signature: ______', { exact: false }).first()).toBeVisible();
});

test('a helper calls from a file: the draw is made there, and comes back with what was called', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await ownDogWith(page, 'Wren', 'fennside-throws');
  await page.goto('/own/trials');
  await page.getByRole('button', { name: 'With a steward' }).click();
  await page.getByRole('region', { name: 'How it is called' }).locator('summary').first().click();
  await page.getByRole('button', { name: 'Draw sides' }).first().click();
  await expect(page.getByText('Drawn when the run begins')).toBeVisible();
  const save = async (from: Page, button: string, name: string): Promise<string> => {
    const [file] = await Promise.all([
      from.waitForEvent('download'),
      from.getByRole('button', { name: button }).click(),
    ]);
    const path = info.outputPath(name);
    await file.saveAs(path);
    return path;
  };
  const sealed = await save(page, 'Save the steward’s file', 'steward.json');
  const given = JSON.parse(readFileSync(sealed, 'utf8')) as {
    calling: unknown;
    script: { draws: unknown[] };
  };
  expect([given.calling, given.script.draws.length]).toEqual([null, 1]);
  expect(await storedCount(page, 'regulon-own', 'callings')).toBe(0);

  const helper = await phone(browser, baseURL);
  const skip = await fakeWaits(helper);
  await helper.goto('/own/trials');
  await helper.getByRole('button', { name: 'Take one in' }).click();
  await helper.getByLabel('Run file or pictures of codes').setInputFiles(sealed);
  await helper.getByRole('button', { name: 'This device is the helper’s: begin calling' }).click();
  await expect(helper.getByText(/sides: (left|right)/)).toBeVisible();
  while ((await helper.getByRole('button', { name: 'Done, on to the next step' }).count()) > 0) {
    await helper.getByRole('button', { name: 'Done, on to the next step' }).click();
    await expect(helper.getByText('Wait …')).toBeVisible();
    await skip(7000);
    await expect(helper.getByText('Wait …')).toHaveCount(0);
  }
  await helper.getByRole('button', { name: 'The run is over' }).click();
  const back = await save(helper, 'Save it for the handler', 'called.json');
  // The handler’s device has known nothing of it so far.
  expect(await storedCount(page, 'regulon-own', 'callings')).toBe(0);
  await page.goto('/own/trials');
  await page.getByRole('button', { name: 'Take one in' }).click();
  await page.getByLabel('Run file or pictures of codes').setInputFiles(back);
  await expect(page).toHaveURL(/runs/);
  await page.goto(`${page.url().replace(/\/steward.*|\?.*/g, '')}/steward`);
  await expect(page.getByRole('heading', { name: 'What was called' })).toBeVisible();
  await expect(page.getByText(/sides: (left|right)/)).toBeVisible();
  await helper.context().close();
});
