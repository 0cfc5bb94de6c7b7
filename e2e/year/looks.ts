import { expect } from '@playwright/test';
import { exactForecast } from '../fixtures';
import { allDone } from '../own-dog';
import { type KnownDog, PIECES } from './known-dog';
import type { Year } from './year';

/** What the breakdown says of each piece at the demand, held against the dog. */
export async function piecesSaid(year: Year, dog: KnownDog): Promise<void> {
  const { page } = year;
  await page.goto('/own/breakdown');
  await expect(page.getByText('Weighing the reps …')).toHaveCount(0);
  let [held, said] = [0, 0];
  for (const piece of Object.keys(PIECES)) {
    const item = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: piece }) });
    const text = (await item.first().innerText()).replaceAll(/\s+/g, ' ');
    const found = /between ([\d.]+) and ([\d.]+) in 10/.exec(text);
    if (!found) continue;
    said += 1;
    const truth = 10 * dog.clean(piece, year.day);
    if (truth >= Number(found[1]) - 0.25 && truth <= Number(found[2]) + 0.25) held += 1;
  }
  year.wrote(
    'What each piece would do at the demand',
    said === 0
      ? 'of no piece is enough known for a figure'
      : `${said} pieces have a figure; the truth lies within ${held}`,
    said === 0 ? null : held / said >= 0.6,
  );
}

/** A day of a trial: what the forecast says, how often the dog would truly pass, and how it went: 1 for a pass. */
export async function trialDay(year: Year, dog: KnownDog, name: string, late = false): Promise<number> {
  const { page } = year;
  await page.goto('/own/readiness');
  const truth = dog.passes(year.day);
  const none = page.getByRole('region', { name: /^No figure yet/ });
  await expect(page.getByTestId('headline').or(none).first()).toBeVisible({ timeout: 180_000 });
  let words = 'no figure yet';
  let isTrue: boolean | null = null;
  if (await page.getByTestId('headline').count()) {
    await exactForecast(page);
    words = (await page.getByTestId('headline').innerText()).replaceAll(/\s+/g, ' ');
    const [low, high] = rangeOf(words);
    isTrue = low === null ? null : truth * 100 >= low - 1 && truth * 100 <= (high ?? low) + 1;
  }
  const run = dog.trial(year.day);
  // Who comes home late says it on the next day, where Today asks.
  if (late) {
    await year.on(year.day + 1);
    await year.tap(year.link(new RegExp(`^Say how ${name} went on`)));
  }
  const sheet = page.getByRole('region', { name: 'Said and happened' });
  if (!late) await year.tap(sheet.getByText('Enter a result'));
  await year.choose(sheet.getByLabel('Passed'), run.passes ? 'yes' : 'no');
  await year.type(sheet.getByLabel('Points, if there were any'), String(run.points));
  await year.tap(sheet.getByRole('button', { name: 'Keep the result' }));
  const kept = sheet.getByRole('list', { name: 'Results' }).getByRole('listitem').first();
  await expect(kept).toContainText(`trial: ${run.passes ? 'passed' : 'did not pass'}, ${run.points} points`);
  await expect(kept).not.toContainText('mock');
  year.wrote(
    name,
    `Said: ${words.replace(/\.$/, '')}. In truth ${Math.round(100 * truth)} in 100. It ${run.passes ? 'passed' : 'did not pass'} with ${run.points} points`,
    isTrue,
  );
  return run.passes ? 1 : 0;
}

/** The ends of a range of chances that words name: "between 30 and 70 %", "3 to 6 times in 10". */
function rangeOf(words: string): readonly [number | null, number | null] {
  const tenths = /([\d.]+) (?:to|and) ([\d.]+) (?:times )?in 10\b/.exec(words);
  if (tenths) return [10 * Number(tenths[1]), 10 * Number(tenths[2])];
  const percent = /([\d.]+)\s?(?:%)?\s?(?:to|–|and)\s?([\d.]+)\s?%/.exec(words);
  return percent ? [Number(percent[1]), Number(percent[2])] : [null, null];
}

/** A mock trial on the judge’s sheet: each fault of the dog is tapped, and the sheet does the sum. */
export async function mockTrial(year: Year, dog: KnownDog): Promise<void> {
  const { page } = year;
  await page.goto('/own/trials');
  await year.tap(year.button('Open the sheet'));
  await year.tap(year.button('All exercises on one page'));
  await expect(year.button('Slow on the way out: Add')).toBeVisible();
  const run = dog.trial(year.day);
  for (const fault of run.faults) await year.tap(year.button(new RegExp(`^${fault}: `)));
  await allDone(page);
  await year.tap(year.button('Close it'));
  const score = page.getByRole('region', { name: 'Score' }).first();
  await expect(score).toContainText('points');
  const words = (await score.innerText()).replaceAll(/\s+/g, ' ').slice(0, 90);
  const points = Number(/([\d.]+) points/.exec(words)?.[1]);
  year.wrote(
    'A mock trial judged',
    `${words.replace(/ Deductions.*/, '')}; ${run.faults.length} faults in truth, ${run.points} points`,
    points === run.points && /Passes/.test(words) === run.passes,
  );
}

/** What Today says after weeks without work. */
export async function afterGap(year: Year, weeks: number): Promise<void> {
  const { page } = year;
  const next = page.getByRole('region', { name: /^(Next session|Planned for today)/ }).first();
  await expect(page.getByText('Weighing the reps …')).toHaveCount(0);
  const words = (await next.innerText()).replaceAll(/\s+/g, ' ');
  const [said = words.slice(0, 160)] = /[^.]*(?:days? ago|weeks? ago|without|gap)[^.]*\./.exec(words) ?? [];
  year.wrote(`Back after ${weeks} weeks`, said);
}
