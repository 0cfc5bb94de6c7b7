import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { diskHeld, expect, storedCount, test } from './fixtures';

/** A dog of one's own that stays at a distance, from an empty kennel; its field card is open. */
async function dogThatStays(page: Page): Promise<void> {
  await page.goto('/own/start');
  await page.getByRole('textbox', { name: 'Name' }).click();
  await page.keyboard.type('Wren');
  await page.getByLabel('Distance to you now').click();
  await page.keyboard.type('4 m');
  await page.getByLabel('Distance to you wanted').click();
  await page.keyboard.type('30 m');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
}

/** Types into a field as a person does: over what stands there, key by key, and Enter. */
async function type(page: Page, field: Locator, text: string): Promise<void> {
  await field.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** Words as they are read, with whatever space stands between a number and its unit. */
const said = (words: string): RegExp =>
  new RegExp(words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replaceAll(' ', '\\s'));

const step = (page: Page) => page.getByRole('region', { name: 'Which step it is' });
const on = (page: Page, name: RegExp) => page.getByRole('group').getByRole('button', { name });

/** The whole ground in sight, at its own scale. */
async function wholeGround(page: Page): Promise<void> {
  const button = page.getByRole('button', { name: 'Whole ground' });
  await button.click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await button.scrollIntoViewIfNeeded();
  await page.evaluate(() => scrollTo(0, 0));
}

/** Where a thing of the drawing is on the screen. */
async function middleOf(thing: Locator): Promise<{ x: number; y: number }> {
  const box = await thing.boundingBox();
  if (!box) throw new Error('it is not on the page');
  // The ring that takes the pointer is the largest of it and stands about its middle; names stick out to a side.
  const ring = await thing.locator('circle').first().boundingBox();
  const { x, y, width, height } = ring ?? box;
  return { x: x + width / 2, y: y + height / 2 };
}

async function drag(page: Page, thing: Locator, to: { x: number; y: number }): Promise<void> {
  const from = await middleOf(thing);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
}

test('a step draws itself and a drawing says its step, by keys alone; the card shows the one that fits', async ({
  page,
}) => {
  await dogThatStays(page);
  await page.getByRole('link', { name: 'Draw this step to scale' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Draw it', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(step(page)).toContainText('Step 1 of');
  await expect(step(page)).toContainText('What the dog stands on today');
  const you = on(page, /^you:/);
  await you.focus();
  await expect(you).toHaveAttribute('aria-label', said('4 m from the dog, bearing 0°'));
  await page.keyboard.press('ArrowUp');
  await expect(you).toHaveAttribute('aria-label', said('5 m from the dog'));
  await expect(step(page)).toContainText(said('Harder than where the dog stands: distance to you 4 → 5 m'));
  // A metre to the side is written as what it is, and the thing keeps the keys.
  await page.keyboard.press('ArrowRight');
  await expect(you).toHaveAttribute('aria-label', said('5.1 m from the dog, bearing 11°'));
  await expect(you).toBeFocused();
  // Too far at once is said, with what would be the most.
  await page.keyboard.press('Shift+ArrowUp');
  await expect(
    page.getByText(said('Larger than a step of its ladder: distance to you from 4 m to 15 m. At most')),
  ).toBeVisible();
  // The same drawing for the second step; the direction stays.
  await step(page).getByLabel('Draw it for step').selectOption({ index: 2 });
  await expect(step(page)).toContainText('Step 2 of');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(step(page)).not.toContainText('Step 2 of');
  // Typed key by key, faster than a slow disk takes the one before.
  await diskHeld(page, 'regulon-own', 'setOuts');
  await type(page, page.getByRole('textbox', { name: 'From the dog' }), '4.0 m');
  await type(page, page.getByRole('textbox', { name: 'Bearing' }), '90');
  await expect(you).toHaveAttribute('aria-label', said('4 m from the dog, bearing 90°'));
  await expect(step(page)).toContainText('Step 1 of');
  await type(page, page.getByRole('textbox', { name: 'From the dog' }), 'far');
  await expect(page.getByText(/“far” is not/)).toBeVisible();
  await type(page, page.getByRole('textbox', { name: 'From the dog' }), '4 m');
  await page.getByRole('link', { name: 'To the field with it' }).click();
  await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
  // Another step is not that drawing: it is moved there in one tap, and taken back.
  await page.getByRole('button', { name: 'One harder' }).click();
  await page.getByRole('button', { name: 'Move “Dog stays, you at a distance” to this step' }).click();
  await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Move “Dog stays/ })).toBeVisible();
  await page.getByRole('button', { name: 'One easier' }).click();
  await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: /Clean/ })).toBeVisible();
  // What was worked on keeps its drawing: moved afterwards it is another one.
  await page.goto('/own/set-outs');
  await page.getByRole('link', { name: /Dog stays, you at a distance/ }).click();
  await on(page, /^you:/).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('you moved.')).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => storedCount(page, 'regulon-own', 'setOuts')).toBe(2);
  await page.goto('/own/set-outs');
  await expect(page.getByText('One set-out put away, or used and changed since')).toBeVisible();
});

test('a ground by paces, a line drawn with the pointer, a road that moves it', async ({ page }) => {
  await dogThatStays(page);
  await page.goto('/own/set-outs');
  // Nobody's pace is known: it is walked and counted, and a slip is said.
  await type(page, page.getByRole('textbox', { name: 'Known way' }), '40 m');
  await type(page, page.getByRole('textbox', { name: 'Paces counted' }), '5');
  await expect(page.getByText(said('8.00 m a pace, which no leg walks'))).toBeVisible();
  await type(page, page.getByRole('textbox', { name: 'Paces counted' }), '50');
  await expect(page.getByRole('listitem').filter({ hasText: said('You: 0.80 m a pace') })).toBeVisible();
  await page.getByRole('link', { name: 'Draw a ground' }).click();
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByLabel('Name of the ground').click();
  await page.keyboard.type('Home field');
  await page.getByLabel('Begin with').selectOption({ label: 'field with a hedge and a road' });
  await page.getByLabel('Width').click();
  await page.keyboard.type('100');
  await page.getByLabel('Depth').click();
  await page.keyboard.type('75 paces');
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Home field' })).toBeVisible();
  // 75 paces of 0.8 m are 60 m deep, and the road lies 4 m from the end.
  await page.getByRole('button', { name: 'the road', exact: true }).click();
  await page.getByLabel('Lengths in').selectOption({ label: 'metres' });
  await expect(page.getByLabel('Corner 1, from below')).toHaveValue(said('56 m'));

  await page.goto('/own/set-outs/new');
  await page.getByLabel('Laid as').selectOption({ label: 'one on a line' });
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  await expect(page.getByText(/Write for example|write a distance/i)).toBeVisible();
  await page.getByLabel('From the dog to what it is sent for').click();
  await page.keyboard.type('30');
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  const mark = on(page, /^mark:/);
  await expect(mark).toHaveAttribute('aria-label', said('30 m from the dog, bearing 0°'));
  await expect(page.getByText(/get onto the road about/)).toBeVisible();
  await wholeGround(page);
  const { x, y } = await middleOf(mark);
  const dog = await middleOf(on(page, /^dog:/));
  const perMetre = (dog.y - y) / 30;
  await drag(page, mark, { x, y: y - 18 * perMetre });
  await expect(page.getByRole('alert')).toContainText(
    'The line to the mark goes over the road. It is not sent so',
  );
  await page.getByRole('link', { name: 'Laying list, print, save' }).click();
  await expect(page.getByRole('button', { name: 'Print' })).toBeDisabled();
  await expect(
    page.getByText('It is printed and saved once nothing of it is refused any more.'),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Back to the drawing' }).click();
  await wholeGround(page);
  // Off the plan it is in sight still: the scale is another one.
  const [start, away] = [await middleOf(on(page, /^dog:/)), await middleOf(mark)];
  const far = Number(/([\d.]+)\sm/.exec((await mark.getAttribute('aria-label')) ?? '')?.[1]);
  const metre = (start.y - away.y) / far;
  await drag(page, mark, { x: start.x + 5 * metre, y: start.y - 25 * metre });
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(mark).toHaveAttribute('aria-label', /25\.\d\sm from the dog, bearing 11°/);
  // Taken back it is refused again, and a reload knows.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('alert')).toContainText('goes over the road');
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('goes over the road');
  // A pond more, and all of it turned about the dog: the line goes elsewhere.
  await type(page, page.getByRole('textbox', { name: 'Turn' }), '90');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Turn' })).toHaveValue('0°');
  await expect(mark).toHaveAttribute('aria-label', /bearing 90°/);
  // Taken off by a key, put down again, taken back.
  await mark.focus();
  await page.keyboard.press('Delete');
  await expect(page.getByText('There is nothing to run to.', { exact: false })).toBeVisible();
  await page.getByLabel('One more').selectOption({ label: 'blind' });
  await page.getByRole('button', { name: 'Put it down' }).click();
  await expect(on(page, /^blind:/)).toBeVisible();
  await expect(page.getByText(/Nothing hides the blind/)).toBeVisible();
});

test('the laying list in paces, the picture saved, a receiver’s file that another program reads, print', async ({
  page,
}) => {
  await page.goto('/sample/set-outs/sample-set-out-1/lay');
  await expect(
    page.getByText(said('Stand with the dog here: 10 m along the hedge from its south end')),
  ).toBeVisible();
  await page.getByLabel('Lengths in').selectOption({ label: 'paces' });
  await expect(page.getByText(said('Stand with the dog here: 13 paces along the hedge'))).toBeVisible();
  const saved = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ]);
    return readFileSync(await download.path());
  };
  const svg = (await saved('SVG')).toString();
  const drawing = new DOMParser().parseFromString(svg, 'image/svg+xml');
  expect(drawing.documentElement?.nodeName).toBe('svg');
  expect(svg).toContain('mark 1');
  expect(svg).toContain('--ink:#1b2320');
  expect(svg).not.toContain('tabindex');
  const png = await saved('PNG');
  expect(png.subarray(0, 8)).toEqual(Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]));
  // Twice as fine as on the page, and not one colour alone.
  const width = Number(drawing.documentElement?.getAttribute('width'));
  expect(png.readUInt32BE(16)).toBe(2 * width);
  expect(png.length).toBeGreaterThan(10_000);
  const receiver = page.getByRole('button', { name: 'GPX, for a receiver' });
  await expect(receiver).toBeDisabled();
  await type(page, page.getByRole('textbox', { name: 'Latitude' }), '95');
  await expect(page.getByText('A number from −85 to 85.')).toBeVisible();
  await type(page, page.getByRole('textbox', { name: 'Latitude' }), '52.5');
  await type(page, page.getByRole('textbox', { name: 'Longitude' }), '-1.25');
  const file = (await saved('GPX, for a receiver')).toString();
  const found = gpx(new DOMParser().parseFromString(file, 'text/xml') as never) as unknown as {
    features: { geometry: { type: string; coordinates: number[] }; properties: { name: string } }[];
  };
  const dog = found.features.find((one) => one.properties.name === 'dog');
  expect(dog?.geometry.coordinates).toEqual([-1.25, 52.5]);
  expect(found.features.filter((one) => one.geometry.type === 'LineString')).toHaveLength(2);
  // The ground knows from now on where it is.
  await expect(page.getByText('The lower field knows where it is now.')).toBeVisible();
  await expect(page.getByText(/This ground knows where on the earth it is/)).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
  await expect(page.getByRole('list').filter({ hasText: said('mark 1: falls 55 paces') })).toBeVisible();
});

test.describe('in the hand', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a blind is drawn, looked at, sent for; what nobody confirmed is not', async ({ page }) => {
    await page.goto('/sample/today');
    await page.getByLabel('Dog', { exact: true }).selectOption({ label: 'Juniper' });
    await page.goto('/sample/field/sample-dog-2-memory-retrieve-blind');
    await page.getByRole('link', { name: 'Draw this step to scale' }).click();
    await page.getByLabel('From the dog to the memory').click();
    await page.keyboard.type('1 yd');
    await page.getByRole('button', { name: 'Draw it', exact: true }).click();
    await page.getByRole('link', { name: 'To the field with it' }).click();
    await expect(page.getByText(/^Stand with the dog here: .* along the hedge/)).toBeVisible();
    await expect(page.getByRole('img', { name: /drawn to scale/ })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
    await page.getByRole('checkbox').first().check();
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    const looked = page.getByRole('button', { name: /^blind is laid$/i });
    await expect(looked).toBeVisible();
    // The advice is in sight beside all that lies over the lower edge.
    await expect(page.getByRole('status').first()).toBeInViewport();
    await looked.click();
    const lies = page.getByRole('list', { name: 'What lies there' }).getByText('blind lies there');
    await expect(lies).toBeVisible();
    await page.getByRole('button', { name: 'Full drive' }).click();
    await expect(looked).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(lies).toBeVisible();
  });
});

test('a ground’s corners by pointer, keys and typing; water is for care, a gun in the way is refused', async ({
  page,
}) => {
  await page.goto('/sample/set-outs/grounds/sample-ground');
  await page.getByRole('button', { name: 'the hedge', exact: true }).click();
  const corner = on(page, /^Corner 1:/);
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await expect(corner).toHaveAttribute('aria-label', said('Corner 1: 10.6 m from the left'));
  await type(page, page.getByRole('textbox', { name: 'Corner 1, from the left' }), '9.6 m');
  await expect(corner).toHaveAttribute('aria-label', said('Corner 1: 9.6 m from the left'));
  const at = await middleOf(corner);
  await drag(page, corner, { x: at.x + 60, y: at.y });
  await expect(corner).not.toHaveAttribute('aria-label', said('9.6 m from the left'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(corner).toHaveAttribute('aria-label', said('Corner 1: 9.6 m from the left'));
  // A line keeps two corners; a third can be taken off again.
  await page.getByRole('button', { name: 'A corner more' }).click();
  await expect(on(page, /^Corner 3:/)).toBeVisible();
  await on(page, /^Corner 3:/).focus();
  await page.keyboard.press('Delete');
  await expect(on(page, /^Corner 3:/)).toHaveCount(0);
  await page.getByLabel('One more').selectOption({ label: 'the water' });
  await page.getByRole('button', { name: 'Draw it', exact: true }).click();
  await expect(page.getByText(/^Look at the depth, the current, the cold/)).toBeVisible();

  // Quill is in hand; the drawing is Juniper's, and leads to Juniper.
  await page.goto('/sample/set-outs/sample-set-out-2');
  await type(page, page.getByRole('textbox', { name: 'Turn' }), '50');
  await on(page, /^mark:/).focus();
  await type(page, page.getByRole('textbox', { name: 'From the dog' }), '80 m');
  await expect(page.getByText(/^The line to the mark goes over the water\. Look at the depth/)).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('One more').selectOption({ label: 'gun' });
  await page.getByRole('button', { name: 'Put it down' }).click();
  const bearing = await on(page, /^mark:/).getAttribute('aria-label');
  await type(
    page,
    page.getByRole('textbox', { name: 'Bearing' }),
    /bearing (\d+)/.exec(bearing ?? '')?.[1] ?? '',
  );
  await type(page, page.getByRole('textbox', { name: 'From the dog' }), '20 m');
  await expect(page.getByRole('alert')).toContainText('The line to the mark goes past the gun');
  await page.getByRole('button', { name: 'Take the gun off' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('link', { name: 'To the field with it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Juniper');
});
