import { expect } from '@playwright/test';
import type { Walker } from './walker';

/** The right article of this run, by what the pad says to lay. */
async function rightPlace(w: Walker): Promise<RegExp> {
  const text = await w.page.getByRole('region', { name: 'Articles' }).innerText();
  return new RegExp(`article ${/number (\w+)/.exec(text)?.[1]}$`);
}
const articles = (w: Walker) => w.page.getByRole('region', { name: 'Articles' });
const right = (w: Walker) => w.go(async () => w.tap(await rightPlace(w), articles(w)));

/** A wrong one first, then help, then the right one. */
async function coachedAfterAWrongOne(w: Walker): Promise<void> {
  const target = await rightPlace(w);
  const places = await articles(w)
    .getByRole('button', { name: /^Place/ })
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
  await w.go(async () => {
    await w.tap(places.find((one) => !target.test(one)) ?? '', articles(w));
    await w.tap('I helped it');
    await w.tap(target, articles(w));
  });
}

/** A run that the helper alone knows: shown to lay, covered, then the place by what the dog takes. */
async function hidden(w: Walker, taken: 'right' | 'wrong'): Promise<void> {
  await w.tap('Helper: show it');
  const target = await rightPlace(w);
  const labels = await articles(w)
    .getByRole('button', { name: /^Place/ })
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
  await w.tap('Cover it');
  const [place] = labels.filter((one) => target.test(one)).map((one) => one.split(',')[0] ?? '');
  const [other] = labels.filter((one) => !target.test(one)).map((one) => one.split(',')[0] ?? '');
  await w.go(async () => {
    if (taken === 'right') return w.tap(place ?? '', articles(w));
    await w.tap(other ?? '', articles(w));
    await w.tap(other ?? '', articles(w));
  });
}

/** Four wooden articles, alone: hold first, one scented, two choices, a coached wrong one, hidden runs. */
export async function scentDiscrimination(w: Walker): Promise<void> {
  await w.begin('Bracken', 'Scent discrimination', {
    'Start, Distance to the article': '1 m',
    'Demand, Distance to the article': '10 m',
    'Start, Gap to the next article': '60 cm',
    'Demand, Gap to the next article': '10 cm',
  });
  await w.tap('Field');
  await w.concludes(/Begin with these: others wait for them/);
  await w.tap(/^Holds what it is given/);
  await w.beginCard();
  await w.reps('Clean', 'Clean', 'Clean', 'Clean', 'Clean');
  await w.concludes(/Advance\. 5 clean in a row here/, w.advice);
  await w.enough();

  await w.card('Choose among several');
  await w.type('How many numbered articles have you?', '4');
  await w.tap(/Its word, who helps/);
  await w.type('Its word', 'Search');
  await w.beginCard();
  await expect(w.control(/^Cue “Search”/)).toBeVisible();
  for (let i = 0; i < 5; i++) await right(w);
  await w.concludes(/5 reps; none counts, since you knew the layout/);
  // The help fades before there are more to choose from.
  await w.tap('Go to step 2');
  await expect(w.page.getByText('a little of it').first()).toBeVisible();
  await w.tap('A step harder');
  await w.tap('A step harder');
  // A step further another run is laid: what is tapped before it lies there is of the one before.
  await expect(w.page.getByText(/\b4 of \d+:/).first()).toBeVisible();
  await coachedAfterAWrongOne(w);
  await w.concludes(/Last rep miss: Picked another/, w.page.getByRole('region', { name: 'Last rep' }));
  await w.tap('A helper lays them');
  // The layout of the run that lies was seen by its coach: it stays known.
  await w.go(async () => {
    await w.tap(/^Place 1/, articles(w));
    if (await w.page.getByText('Now tap what it brings.').isVisible()) await w.tap(/^Place 1/, articles(w));
  });
  for (const taken of ['right', 'right', 'wrong', 'right', 'right'] as const) {
    // Too few are clean after a wrong one: they are washed, and none is laid that a dog has mouthed.
    const wash = w.control('All are washed and aired');
    await expect(wash.or(w.page.getByLabel('The dog watches'))).toBeVisible();
    if (await wash.isVisible()) await w.tap('All are washed and aired');
    await w.tap('The dog watches');
    await hidden(w, taken);
  }
  await w.concludes(
    /4 of 5 hidden runs right.*not settled yet\. It may be luck/,
    w.page.getByRole('status', { name: 'Better than luck' }),
  );
  await w.enough();
  await w.later(1);
  // What is worked although it waits is still what the person is at.
  await w.concludes(/Choose among several/);
}

/** Food, seen and at spots that change, with a helper who holds; help, memory, warmth. */
export async function foodSearch(w: Walker): Promise<void> {
  await w.begin('Pip', 'Search: food, then odour', { 'Demand, Boxes or places': '8' });
  await w.card('Finds food');
  await w.tap(/Its word, who helps/);
  await w.type('Temperature', '31 °C');
  await w.concludes(/Shade and water in warmth; stop at hard panting/);
  await w.tap('held by a helper');
  await w.beginCard();
  await w.reps('Clean');
  const spot = w.page.getByRole('group', { name: 'Spot' });
  await expect(spot).toContainText(/last: \d/);
  await w.flaw(/The old spot: memory, not nose/);
  await w.flaw(/You pointed/);
  await w.concludes(
    /does not count: it was the handler’s doing/,
    w.page.getByRole('region', { name: 'Last rep' }),
  );
  await w.reps('Clean', 'Clean');
  await w.concludes(/Rest\. 5 reps since the last rest; your set is 5/, w.advice);
  await w.enough();
  await w.concludes(/Pip: the old spot: memory, not nose 1×/);
  await w.concludes(/You: you pointed 1×/);
}
