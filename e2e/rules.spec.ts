import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures';

test('what does it cost: tap faults and measures, see the score move, take it back, save it', async ({
  page,
}, info) => {
  await page.goto('/sample/rule-books');
  await page.getByRole('link', { name: 'What does it cost?' }).click();
  const score = page.getByRole('region', { name: 'Score' });
  await expect(score).toContainText('80 points');
  await expect(score).toContainText('Sure so far 0; still to come 80.');
  await page.getByRole('button', { name: 'Slow on the way out: Add' }).click();
  await expect(score).toContainText('78.5 points');
  await page.getByLabel('Leaves the line, measured').fill('9 m');
  await page.getByLabel('Leaves the line, measured').press('Enter');
  await expect(score).toContainText('72.5 points');
  await expect(score).toContainText('1 point per started metre over 1.5 m, at most 6');
  await page.getByLabel('Leaves the line, measured').fill('9 kg');
  await page.getByLabel('Leaves the line, measured').press('Enter');
  await expect(page.getByRole('alert')).toContainText('“kg” is not a unit of distance');
  await expect(score).toContainText('72.5 points');
  await page.getByRole('button', { name: 'Does not stop in the square: Add' }).click();
  await expect(score).toContainText('Does not pass');
  await expect(score).toContainText('under 50 % in send-away to the square');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Retrieve over the hurdle: run without a fault' }).click();
  await expect(score).toContainText('Passes: Passed well');
  await expect(score).toContainText('12.5 to spare over the pass line.');

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const path = info.outputPath('sheet.csv');
  await download.saveAs(path);
  const rows = readFileSync(path, 'utf8').split('\r\n');
  expect(rows[0]).toBe('exercise,fault,rule,point,kept,maximum');
  expect(rows).toContain('Send-away to the square,,,,32.5,40');
});

test('every family has its sheet, in its own words', async ({ page }) => {
  const said: [string, string, RegExp][] = [
    ['harrowmere-ring-grade-b', 'Gap or crowding: usual', /^246 points/],
    ['saltfen-field-assessment', 'Creeps or whines: usual', /^138.5 marks in all/],
    ['brackwater-working-test', 'Noise on the peg: Add', /^148 points/],
    ['thistlemere-trick-title', 'Guided by hand: Add', /^11 items/],
    ['ravenholt-course', 'Refusal: Add', /^5 faults/],
  ];
  for (const [book, button, score] of said) {
    await page.goto(`/sample/rule-books/${book}/sheet`);
    await page.getByRole('button', { name: button }).first().click();
    await expect(page.getByRole('region', { name: 'Score' }).locator('p').first()).toHaveText(score);
  }
  await page.goto('/sample/rule-books/brackwater-working-test/sheet');
  await page.getByRole('textbox', { name: 'Or its points or letter, Short seen mark' }).fill('C');
  await page.getByRole('textbox', { name: 'Or its points or letter, Short seen mark' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Score' })).toContainText('152 points');
});

test('the digest of a class prints on one page, A4 and Letter; the sheet prints without its buttons', async ({
  page,
}) => {
  const longest = ['vellmoor-obedience-three', 'brackwater-working-test', 'thistlemere-trick-title'];
  for (const [book, format] of longest.flatMap(
    (name) =>
      [
        [name, 'A4'],
        [name, 'Letter'],
      ] as const,
  )) {
    await page.goto(`/sample/rule-books/${book}`);
    await expect(page.getByText('Where the stakes are')).toBeVisible();
    const digest = await page.pdf({ format });
    expect((digest.toString('latin1').match(/\/Type\s*\/Page\b/g) ?? []).length).toBe(1);
  }
  await page.goto('/sample/rule-books/vellmoor-obedience-two/sheet');
  await expect(page.getByRole('region', { name: 'Score' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByText('Does not leave the handler')).toBeVisible();
});

test('compare two editions, move the dog to the new one, and take it back', async ({ page }) => {
  await page.goto('/sample/rule-books');
  await page.getByRole('link', { name: 'Compare editions' }).click();
  await expect(page.getByRole('heading', { name: '13 changes' })).toBeVisible();
  await expect(page.getByText('distance to the square 25 m → 30 m')).toBeVisible();
  await expect(page.getByText('Ladder of “Stop and lie down in the square”: another demand')).toBeVisible();
  await page.getByRole('button', { name: 'Move Quill to Sample edition 2' }).click();
  await expect(page.getByText('Quill now trains by Sample edition 2.')).toBeVisible();
  await expect(page.getByText('Quill does not train by Sample edition 1 of this class.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Move Quill to Sample edition 2' })).toBeVisible();
});

test('write a small rule book by hand and score a run with it', async ({ page }) => {
  await page.goto('/own/rule-books');
  await page.getByRole('link', { name: 'Write one' }).click();
  await page.getByRole('button', { name: /^Points off/ }).click();
  const check = page.getByRole('region', { name: 'Check' });
  await expect(check).toContainText('to mend');
  await page.getByLabel('Name of the class, the class').fill('Barn class');
  await page.getByRole('textbox', { name: 'Exercise 1', exact: true }).fill('Wait at the gate');
  await page.getByLabel('Points of Wait at the gate', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Faults of Wait at the gate: 0' }).click();
  await page.keyboard.type('Creeps');
  await page.keyboard.press('Tab');
  await page.keyboard.type('2 per metre over 1');
  await page.getByLabel('Points in all, at least, To pass 1, the class').fill('30');
  await expect(check).toContainText('scores 38 points (a faultless one 40 points) and passes');

  const cost = page.getByLabel('Cost of Creeps, Wait at the gate', { exact: true });
  await cost.fill('42 per metre over 1');
  await expect(check).toContainText(
    '“Creeps” takes 42 points off “Wait at the gate”, which has 40: nobody can lose more than there is.',
  );
  await cost.fill('2 per metre over 1');
  await expect(check).not.toContainText('nobody can lose more');

  await page.getByLabel('Points in all, at least, To pass 1, the class').fill('50');
  await expect(check).toContainText('1 to mend');
  await page.getByRole('button', { name: 'Save to this kennel' }).click();
  // It is not saved: the cursor goes to what is wrong.
  await expect(page.getByLabel('Points in all, at least, To pass 1, the class')).toBeFocused();
  await expect(check).toContainText('The pass line 50 is above the maximum of 40 points.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(check).toContainText('Sound');

  await page.getByRole('button', { name: 'Add an exercise' }).click();
  const second = page.getByRole('textbox', { name: 'Exercise 2', exact: true });
  await expect(second).toBeFocused();
  await page.keyboard.type('Come in');
  await page.getByLabel('Points of Come in', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Move Come in', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Come in is over place 2 of 2.')).toBeAttached();
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Come in is over place 1 of 2.')).toBeAttached({ timeout: 1000 });
  }).toPass();
  await page.keyboard.press('Space');
  const first = page.getByRole('textbox', { name: 'Exercise 1', exact: true });
  await expect(first).toHaveValue('Come in');
  await first.focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(first).toHaveValue('Wait at the gate');
  await page.reload();
  await expect(page.getByLabel('Name of the class, the class')).toHaveValue('Barn class');

  await page.getByRole('button', { name: 'Save to this kennel' }).click();
  await expect(page.getByRole('heading', { name: 'Barn class' })).toBeVisible();
  await page.getByRole('link', { name: 'What does it cost?' }).click();
  await page.getByLabel('Creeps, measured').fill('3.2 m');
  await page.getByLabel('Creeps, measured').press('Enter');
  await expect(page.getByRole('region', { name: 'Score' })).toContainText('74 points');
});

test('an unsound file is opened to be mended, and a foreign one is refused', async ({ page }) => {
  await page.goto('/own/rule-books/write');
  const file = (body: string) => ({
    name: 'mend.json',
    mimeType: 'application/json',
    buffer: Buffer.from(body),
  });
  await page.getByLabel('Rule-book file to change').setInputFiles(file('{"rows": 1}'));
  await expect(page.getByRole('alert')).toContainText('mend.json is no rule-book file');
  const text = readFileSync('src/demo/rule-books/vellmoor-obedience-two.json', 'utf8').replace(
    '"atLeast": 60',
    '"atLeast": 100',
  );
  await page.getByLabel('Rule-book file to change').setInputFiles(file(text));
  const check = page.getByRole('region', { name: 'Check' });
  await expect(check).toContainText('The pass line 100 is above the maximum of 80 points.');
  await page.getByLabel('Points in all, at least, To pass 1, the class').fill('56');
  await expect(check).toContainText('Sound');
  await page.getByText('A file, or later').click();
  await page.getByRole('button', { name: 'Put the draft away' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Points in all, at least, To pass 1, the class')).toHaveValue('56');
});
