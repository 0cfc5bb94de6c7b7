import { expect, storedCount, test } from './fixtures';

/** A made-up trainer's sheet: a title above, days left out where they stay, words of their own, a sum below. */
const MESSY = [
  'Wren + Merle: training 2026;;;;;;',
  ';;;;;;',
  'Datum;Hund;Übung;Distanz;Anzahl;sauber;Bemerkung',
  '5.3.26;Wren;Abruf;20 m;5;4;Wind',
  ';;Apport;;4;2;',
  ';Merle;Abruf;10 m;3;3;',
  '6.3.26;Wren;Abruf;25 m;5;5;',
  '7.3.26;Wren;Spaziergang;;1;1;',
  '9.3.26;Wren;Abruf;weit;5;5;',
  '12.3.26;Wren;Abruf;22,5 m;6;3;müde',
  'Summe;;;;29;23;',
].join('\n');
const file = (text: string, name = 'training.csv') => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text, 'latin1'),
});

test('a trainer’s own messy sheet is read, put right where it is not clear, taken in, and read again longer', async ({
  page,
}) => {
  let actions = 0;
  const act = async (deed: () => Promise<unknown>): Promise<void> => {
    actions += 1;
    await deed();
  };
  await page.goto('/own/files');
  await act(() => page.getByRole('link', { name: 'Read a spreadsheet of my own' }).click());
  await act(() => page.getByLabel('Spreadsheet file').setInputFiles(file(MESSY)));
  const preview = page.getByRole('region', { name: 'What comes of it' });
  await expect(preview.getByRole('status')).toHaveText(
    '6 rows with 24 goes can be taken in; 2 rows are not understood.',
  );
  await expect(preview).toContainText('Line 9: “weit”: “weit” is not a distance.');
  await expect(preview).toContainText('Line 11: “Summe” is no day in the order that is chosen.');
  await expect(page.getByLabel('Übung')).toHaveValue('element');
  // A walk is no exercise; what one calls "Abruf" has a name of its own here.
  await act(() =>
    page
      .getByRole('group', { name: 'Its exercises' })
      .getByLabel('Spaziergang')
      .selectOption({ label: 'leave those rows out' }),
  );
  await act(() => page.getByLabel('Goes that were not clean were').selectOption({ label: 'flawed' }));
  await expect(preview.getByRole('status')).toHaveText(
    '5 rows with 23 goes can be taken in; 1 row is left out; 2 rows are not understood.',
  );
  await act(() => page.getByRole('button', { name: 'Take 23 goes in' }).click());
  await expect(page.getByText('23 goes came in, in 5 sessions.')).toBeVisible();
  await expect(page.getByText('New: Wren, Merle.')).toBeVisible();
  expect(actions).toBeLessThanOrEqual(25);
  expect(actions).toBe(5);

  await act(() => page.getByRole('button', { name: 'Undo' }).click());
  await expect(page.getByText('23 goes came in')).toHaveCount(0);
  expect(await storedCount(page, 'regulon-own', 'entries')).toBe(0);
  // Read again it is understood as before, without a hand laid on.
  await page.getByLabel('Spreadsheet file').setInputFiles(file(MESSY));
  await expect(page.getByText('Read as a sheet with these columns was last time.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 23 goes in' }).click();
  await expect(page.getByText('23 goes came in, in 5 sessions.')).toBeVisible();
  await page
    .getByLabel('Spreadsheet file')
    .setInputFiles(file(MESSY.replace('Summe', '14.3.26;Wren;Abruf;25 m;4;4;\nSumme')));
  await page.getByRole('button', { name: 'Take 27 goes in' }).click();
  await expect(page.getByText('4 goes came in, in 1 session.')).toBeVisible();
  await expect(page.getByText('5 rows were here already and were not doubled.')).toBeVisible();
  // The ladder climbs from the least to the most that was asked, and the evidence knows the goes.
  await page.getByRole('link', { name: 'To the ladders' }).click();
  await page.getByRole('link', { name: 'Abruf' }).first().click();
  await expect(page.getByText('20 m').first()).toBeVisible();
  await page.getByRole('link', { name: 'Evidence' }).first().click();
  await expect(page.getByText(/^20 reps/).first()).toBeVisible();
});

test('what is no table is refused with what to do; nothing is written', async ({ page }) => {
  await page.goto('/own/files/own-sheet');
  const choose = page.getByLabel('Spreadsheet file');
  await choose.setInputFiles({
    name: 'log.xlsx',
    mimeType: 'text/csv',
    buffer: Buffer.from('PK\u0003\u0004rest'),
  });
  await expect(page.getByRole('alert')).toContainText('log.xlsx: This is a whole workbook.');
  await choose.setInputFiles(file('Date,Dog\n'));
  await expect(page.getByRole('alert')).toContainText('There is no row in this sheet.');
  await choose.setInputFiles(file('Date,Dog,Exercise,Reps\n1.3.26,Wren,Sit,5\n'));
  const take = page.getByRole('button', { name: /^Take 0 goes in/ });
  await expect(
    page.getByText('Line 2: Only how many goes there were is said, not how they went.'),
  ).toBeVisible();
  await take.click({ force: true });
  expect(await storedCount(page, 'regulon-own', 'entries')).toBe(0);
});

test('a name typed key by key, faster than the sheet is read, loses neither the sheet nor a letter', async ({
  page,
}) => {
  await page.goto('/own/files/own-sheet');
  const rows = Array.from(
    { length: 4000 },
    (_, i) => `${1 + (i % 28)}.3.2026,Sit ${i % 9},${i % 3 ? 'ok' : 'miss'}`,
  );
  await page.getByLabel('Spreadsheet file').setInputFiles(file(['Date,Exercise,Result', ...rows].join('\n')));
  await expect(page.getByText(/4,?000 rows are not understood/)).toBeVisible();
  await page.getByLabel('Whose sheet it is').click();
  await page.keyboard.type('Kestrel');
  await expect(page.getByLabel('Whose sheet it is')).toHaveValue('Kestrel');
  await expect(page.getByRole('button', { name: /^Take 4,?000 goes in/ })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Kestrel', exact: true }).first()).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});
