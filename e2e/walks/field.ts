import { expect } from '@playwright/test';
import type { Walker } from './walker';

/** Memory to blind, in yards: running in noted, a refusal asked once, cut; never for nothing; three dogs. */
export async function memoryToBlind(w: Walker): Promise<void> {
  await w.type('Name', 'Teal');
  await w.tap(/^Memory retrieve/);
  // What was typed here goes along to the page of all pieces.
  await w.type('Distance to the dummy now', '5 yd');
  await w.type('Distance to the dummy wanted', '40 yd');
  await w.tap(/^All \d+ pieces$/);
  for (const [label, text] of [
    ['Demand, Distance to the blind', '60 yd'],
    ['Demand, Wait before the send', '10 s'],
  ] as const)
    await w.type(label, text);
  await w.tap('Break it down');
  await expect(w.page.getByText('Broken down.')).toBeVisible();
  await w.card('Memory retrieve');
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.reps(/^Full drive/);
  await w.concludes(/Full drive at 5 yd: a little longer/, w.advice);
  await w.tap('Go to step 2');
  await w.concludes(/10 yd/);
  await w.go(async () => {
    await w.tap(/^It went, with a fault/);
    await w.tap(/^.*Ran in \(only noted here\)/);
  });
  await w.concludes(/clean, noted: Ran in/, w.page.getByRole('region', { name: 'Last rep' }));
  await w.go(async () => {
    await w.tap(/^It went, with a fault/);
    await w.tap(/Hesitated/, w.page.locator('fieldset').filter({ hasText: 'Which fault?' }));
  });
  await w.reps(/^Refused/);
  await w.concludes(/Why\? It was refused\. Too far is only one reason/, w.advice);
  await w.tap('Too far');
  await w.concludes(/Too far at 10 yd: cut to 5 yd/, w.advice);
  // The advice stays until it is taken.
  await w.reps(/^Went/);
  await w.concludes(/Go to step 1/, w.advice);
  await w.tap('Go to step 1');
  await w.concludes(/yards run, by the distance asked/);
  await w.enough();
  await w.card('Blind retrieve');
  await w.beginCard();
  await w.tap('unseen');
  await w.tap(/^Went/);
  await w.concludes(/Nothing lies there\. Lay one, look that it is there, and confirm it; then send/);
  await w.tap(/I have laid one/);
  await w.reps(/^Went/);
  await w.enough();
  for (const dog of ['Rook', 'Wren']) await w.alsoBegin(dog, /^Memory retrieve.*, as Teal does/);
  await w.tap('Breakdown');
  await w.tap(/^Ladder of Memory retrieve/);
  await w.tap(/^Other dogs|^All dogs|^Dogs/);
  await w.concludes(/Teal[\s\S]*Rook[\s\S]*Wren/);
}

/** Casts by the platform: the method as it is, a link that breaks, a dummy against food. */
export async function directionalCasts(w: Walker): Promise<void> {
  await w.begin('Bren', 'Directional casts', {
    'Start, Distance to the platform': '2 m',
    'Demand, Distance to the platform': '20 m',
  });
  await w.card('To the platform and wait');
  for (const piece of ['Sit on the word', 'Down on the word', 'Stay', 'Comes when called'])
    await w.concludes(new RegExp(`first “${piece}”`));
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.tap('food');
  await w.reps('Clean', 'Clean', 'Clean');
  await w.tap('dummy');
  await w.flaw('Left a link out');
  await w.flaw('Got off');
  await w.flaw('Left a link out');
  await w.enough();
  await w.concludes(/What lies there: food 3 of 3 clean, dummy 0 of 3 clean; so begin with dummy next time/);
  await w.concludes(/Bren: left a link out 2×, got off 1×/);
}

/** First season: a mark judged three ways, the miss asked which, a blind that is laid first. */
export async function firstSeason(w: Walker): Promise<void> {
  await w.begin('Rush', 'First season in the field');
  await w.card('Mark');
  await w.tap('It has that already: wait for nothing');
  await w.tap('one');
  await w.beginCard();
  await w.reps('All held');
  await w.go(async () => {
    await w.tap('Listened');
    await w.tap('Log it so');
  });
  await w.concludes(/Help\. Stop and name it\. This is the lowest step: help it through once/, w.advice);
  await w.flaw(/Did not find it/, 'Miss');
  await w.enough();
  await w.concludes(/Rush: did not listen 1×, did not find it 1×/);
  await w.card('Blind in the field');
  await w.beginCard();
  await w.tap('All held');
  await w.concludes(/Nothing lies there\. Lay one/);
  await w.tap(/I have laid one/);
  await w.go(async () => {
    await w.tap('Stopped');
    await w.tap('Log it so');
  });
  await w.concludes(/miss: Did not stop/, w.page.getByRole('region', { name: 'Last rep' }));
  await w.tap(/I have laid one/);
  await w.reps('All held');
  await w.concludes(/1 clean in a row; your rule is 3/, w.advice);
}

/** A pull in harness: hand-held, the tether worries it, a step back; minutes; feet stay feet. */
export async function harness(w: Walker): Promise<void> {
  await w.begin('Bruin', 'Pull into the harness', {
    'Demand, Steady pull': '20 s',
    'Demand, Length of line': '10 ft',
  });
  await w.card('Leans in');
  await w.concludes(/A harness that fits, never a collar, on a tether or line/);
  await w.beginCard();
  await w.concludes(/No screen while it is tied to you: enter it afterwards/);
  await w.reps('Clean', 'Clean');
  await w.tap('A step harder');
  await w.flaw(/Worried/, 'Miss');
  await w.concludes(/Drop back\. 1 miss/, w.advice);
  await w.tap('Go to step 1');
  await w.tap('Set afterwards');
  const set = w.page.getByRole('dialog');
  for (let i = 0; i < 3; i++) await w.tap('Clean', set);
  await w.tallied(3, () => w.tap('Write them', set));
  await w.concludes(/6 reps, 5 clean/);
  await w.enough();
  await w.card('With you behind');
  await w.concludes(/Length of line 3 ft/);
}

/** Disc with the reward behind: landing in a tap, drops unasked, tired, a rest and what came after it. */
export async function rewardBehind(w: Walker): Promise<void> {
  await w.begin('Zip', 'Retrieve or disc with the reward behind the dog', {
    'Start, Time to drop': '3 s',
    'Demand, Time to drop': '1 s',
    'Start, How far from you it drops': '1 m',
    'Demand, How far from you it drops': '5 m',
    'Start, Distance of the throw': '5 m',
    'Demand, Distance of the throw': '20 m',
  });
  await w.card('Drops further out');
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.tap('thrown behind it');
  await w.reps('Clean');
  await w.flaw(/Dropped it unasked/);
  await w.reps('Miss');
  await w.saw('Slowing');
  await w.concludes(/Rest\. You saw slowing: tired\. Shade and water, and a rest/, w.advice);
  await w.tap(/^Rested/);
  await w.reps('Clean', 'Clean');
  await w.enough();
  await w.concludes(/The rest: before it 1 of 3 clean, after it 2 of 2 clean/);
  await w.concludes(/Zip: dropped it unasked 1×, did not drop 1×/);
}
