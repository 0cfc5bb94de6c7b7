import { expect } from '@playwright/test';
import { frameShown, makeClip } from '../clip-maker';
import { frameOf, GOES, scene } from '../clip-scene';
import { takeInHand } from './beginnings';
import type { Year } from './year';

/** A clip of a go is marked to the frame, and its latency is held against the truth of the scene. */
export async function clipMarked(year: Year): Promise<void> {
  const { page } = year;
  const buffer = await makeClip(page, scene());
  await page.goto('/own/clips');
  await page.getByLabel('Clip to open').setInputFiles({ name: 'go.webm', mimeType: 'video/webm', buffer });
  const bar = page.getByRole('slider', { name: 'The whole clip' });
  await expect(bar).toBeVisible();
  const toFrame = async (frame: number): Promise<void> => {
    await bar.fill(String(frame - 2));
    await bar.blur();
    for (let i = frame - 2; i < frame; i++) await page.keyboard.press('ArrowRight');
    await expect.poll(() => frameShown(page)).toBe(frame);
  };
  const [{ cue, latency }] = GOES;
  await toFrame(frameOf(cue));
  await page.keyboard.press('1');
  const go = page.getByRole('region', { name: 'Goes' }).locator('ol > li').first();
  await expect(go).toBeVisible();
  await toFrame(frameOf(cue + latency));
  await page.keyboard.press('3');
  const said = go.getByText(/^answered after [\d.]/);
  await expect(said).toBeVisible();
  const words = (await said.innerText()).replaceAll(/\s+/g, ' ');
  const seconds = Number(/after ([\d.]+)/.exec(words)?.[1]);
  year.wrote('A clip marked', `${words}; in truth ${latency} s`, Math.abs(seconds - latency) < 0.04);
}

/** The second dog’s step drawn to scale, run by a simulated collar, and laid on its line. */
export async function trackLaid(year: Year): Promise<void> {
  const { page } = year;
  await takeInHand(year, 'Tarn');
  await page.goto('/own/field');
  await year.tap(year.link(/^Memory retrieve/));
  await year.tap(year.link('Draw this step to scale'));
  await year.tap(year.button('Draw it'));
  await expect(page.getByRole('region', { name: 'Which step it is' })).toContainText('Step 1 of');
  await page.goto('/own/tracks');
  const run = page.getByLabel('Set-out to run');
  await expect(run).toBeVisible();
  if ((await run.inputValue()) === '') await run.selectOption({ index: 1 });
  await year.tap(year.button('Let it run'));
  const goes = page.getByRole('region', { name: /\bgo(es)?$/i });
  const both = year.button('Lay it by both');
  const byStart = year.button('By its start');
  await expect(both.or(byStart).first()).toBeVisible();
  await year.tap((await both.isVisible()) ? both : byStart);
  await expect(goes.locator('ol > li').first()).toBeVisible();
  const line = goes.getByText(/^Its line: /).first();
  year.wrote('A track laid on its line', await line.innerText());
  await takeInHand(year, 'Wren');
}

/** A live day of the second dog: right up to 40 yd, lost beyond. The hole is where it was put. */
export async function holesFound(year: Year): Promise<void> {
  const { page } = year;
  await takeInHand(year, 'Tarn');
  await page.goto('/own/season/day');
  const group = (name: string) => page.getByRole('group', { name });
  await year.tap(group('What it was').getByRole('button', { name: 'Mark', exact: true }));
  for (const [i, yards] of [20, 25, 30, 35, 28, 33, 62, 70, 66, 75, 64].entries()) {
    await year.type(page.getByLabel('How far'), String(yards));
    const end = group('How it ended').getByRole('button', { name: i < 6 ? 'right' : 'lost', exact: true });
    await year.tap(end);
    await expect(page.getByText(`Mark, ${yards}`).first()).toBeVisible();
  }
  await year.tap(year.link('The season so far'));
  const hole = page.getByText(/^Marks past /).first();
  await expect(hole).toBeVisible();
  const words = (await hole.innerText()).replaceAll(/\s+/g, ' ');
  year.wrote('A live day and its hole', words, words === 'Marks past 40 yd: 0 of 5 right');
  await takeInHand(year, 'Wren');
}

/** What passes of the class earn, and what the page says of the legs, held against how the trials went. */
export async function titleSaid(year: Year, passed: number): Promise<void> {
  const { page } = year;
  await page.goto('/own/trials/titles');
  const earns = page.getByRole('region', { name: 'What passes of a class earn' });
  await year.type(earns.getByLabel('Name of the title'), 'Steady in Two');
  await year.type(earns.getByLabel('Passes it takes'), '2');
  await year.type(earns.getByLabel('Under how many judges'), '1');
  await year.tap(earns.getByRole('button', { name: 'Keep it' }));
  const title = page.getByRole('region', { name: 'Steady in Two' });
  const legs = title.getByText(/No leg yet|^Leg \d|passes are there|Complete since/).first();
  await expect(legs).toBeVisible();
  if (passed >= 2) {
    // Two passes are no title before somebody says under whom they were.
    await expect(legs).toContainText('Say below under whom the 2 passes without a judge were run');
    await year.type(title.getByLabel(/^Under whom was the pass/).first(), 'A. Judge');
    await year.tap(title.getByRole('button', { name: 'Say it' }).first());
    await expect(legs).toContainText('Complete since');
  }
  const words = (await legs.innerText()).replaceAll(/\s+/g, ' ');
  const right = passed >= 2 ? /Complete/ : passed === 1 ? /^Leg 1 of 2/ : /No leg yet/;
  year.wrote('The title', `${words} (${passed} of 3 trials passed)`, right.test(words));
}
