import { expect } from '@playwright/test';
import type { Walker } from './walker';

/** A word takes over from a hand: five prompted, silence of 20 s fails, back, an answer in the gap, alone. */
export async function cueTransfer(w: Walker): Promise<void> {
  await w.type('Name', 'Jay');
  await w.choose('Or by another method', 'A new cue for an old behaviour');
  await w.tap('Make the ladder');
  await w.beginCard();
  const prompted = 'After the prompt';
  await w.reps(prompted, prompted, prompted, prompted, prompted);
  await w.concludes(/Silent test\. Answered the prompt/, w.advice);
  await w.concludes(/5 reps, 0 clean/);
  await w.tap('Cue');
  await w.wait(20.5);
  await w.concludes(/20 s of silence are over: prompt once, and do not pay it/, w.advice);
  await w.reps('No answer');
  await w.concludes(
    /The silent test failed: the prompted answer is not paid, back to the first stage/,
    w.advice,
  );
  await w.reps(prompted, prompted, prompted, prompted, 'In the gap');
  await w.concludes(/Answered in the gap, before the prompt: always paid/, w.advice);
  await w.concludes(/Stage B: new cue, 2 s, old prompt; the coin says (do not )?pay/, w.advice);
  await w.tap('Easy one');
  await w.reps('Before the word');
  await w.reps('To the new cue alone', 'To the new cue alone', 'To the new cue alone');
  await w.concludes(/End here\.|Done\./, w.advice);
  await w.enough();
  await w.concludes(/15 reps; 14 count, 4 clean/);
  await w.later(1);
  await w.card('Old signal to new word');
  await w.beginCard();
  await w.concludes(/A, always paid/);
}

/** Toy on a pole: a start word, rest in seconds, tallied in the rest, slow return the handler’s own. */
export async function toyGame(w: Walker): Promise<void> {
  await w.begin('Otis', 'Toy game: take, release, rest', {
    'Start, Time to release': '3 s',
    'Demand, Time to release': '1 s',
    'Demand, Rest': '20 s',
  });
  await w.card('Releases on the word');
  // Nobody wrote how old it is: a puppy is not swung round.
  await w.concludes(/Sharp turns load joints that may still be growing/);
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.tap('Start word');
  await w.wait(12);
  await w.tap(/^Rest/);
  for (let i = 0; i < 4; i++) await w.tap('Times done: one more');
  await w.tap('Took it again: one more');
  await w.tap('You: You were slow to go on: one more');
  await w.tallied(4, () => w.tap('Log this game'));
  await w.concludes(/4 reps, 3 clean/);
  await w.saw('Sticky');
  await w.concludes(/You saw sticky: tired/, w.advice);
  await w.enough();
  await w.concludes(/You: you were slow to go on 1×/);
}

/** A stay against a toy: the owner, then the coach; broken twice at the pocket; a hand on the collar. */
export async function stayAgainstAToy(w: Walker): Promise<void> {
  await w.begin('Moss', 'Stays against temptation', {
    'Start, Time': '6 s',
    'Demand, Time': '20 s',
    'Start, Distance to you': '2 m',
    'Demand, Distance to you': '20 m',
    'Start, Distance to what distracts': '5 m',
    'Demand, Distance to what distracts': '1 m',
  });
  await w.card('You move');
  await w.beginCard();
  await w.tap('you');
  for (const outcome of ['Clean', 'Clean']) {
    await w.tap(/^Hold begins/);
    await w.wait(6.5);
    await w.reps(outcome);
  }
  await w.tap('somebody else');
  await w.tap('hand in the pocket');
  await w.reps('Miss');
  // A hand on the collar makes nothing of it but a break.
  await w.also('Aided');
  await w.concludes(/Last rep miss: Broke/, w.page.getByRole('region', { name: 'Last rep' }));
  await w.reps('Miss');
  // It broke at the pocket, and that says nothing of one step.
  await w.concludes(/2 clean in a row here/, w.advice);
  await w.tap('one step');
  await w.tap(/^Hold begins/);
  await w.wait(1);
  await w.reps('Clean');
  await w.concludes(/asked 6 s/, w.page.getByRole('region', { name: 'Last rep' }));
  await w.enough();
  await w.concludes(
    /You: one step \d of \d clean, hand in the pocket 0 of 2 clean; so begin with hand in the pocket/,
  );
  await w.concludes(/Moss: broke 3×/);
}

/** The hold with five dogs in a row: several faults in a go, a yawn, a set from memory, a line each. */
export async function fiveDogsOnTheHold(w: Walker): Promise<void> {
  await w.type('Name', 'Ada');
  await w.tap(/^Hold, still and light/);
  await w.tap(/^All \d+ pieces$/);
  await w.type('Start, Time held', '2 s');
  await w.type('Demand, Time held', '20 s');
  await w.tap('Break it down');
  await expect(w.page.getByText('Broken down.')).toBeVisible();
  for (const dog of ['Bo', 'Cy', 'Di', 'Ed']) await w.alsoBegin(dog, /^Formal hold, as Ada does/);
  await w.tap(/^Hold, still and light/);
  await w.beginCard();
  await w.reps('Clean');
  await w.flaw(/Tongued it/);
  await w.also('Head dropped');
  await w.also('Held it loosely at the lips');
  await w.saw('Yawning');
  await w.concludes(/You saw yawning: stress\. Give something easy and pay it/, w.advice);
  for (const dog of ['Ada', 'Bo', 'Cy', 'Di']) {
    await w.tap('Add to the lesson');
    await w.tap(dog, w.page.getByRole('group', { name: 'The same, with' }));
    await w.beginCard();
    await w.tap('Set afterwards');
    const set = w.page.getByRole('dialog');
    for (const outcome of ['Clean', 'Clean', dog === 'Ada' ? 'Miss' : 'Clean']) await w.tap(outcome, set);
    await w.tallied(3, () => w.tap('Write them', set));
  }
  await w.enough();
  await w.tap('End the lesson');
  await w.concludes(/Ed: tongued it 1×, head dropped 1×, held it loosely at the lips 1×/);
  await w.concludes(/Seen: yawning/);
  await w.type('One line for next time', 'metal next');
  await expect(w.page.getByText('Kept: it is the first thing on the next card.')).toBeVisible();
  await w.later(1);
  await w.concludes(/You wrote of Hold, still and light: metal next/);
}

/** Positions at a distance: words of their own, anticipation twice, tired, and nine months without. */
export async function positionsAtADistance(w: Walker): Promise<void> {
  await w.type('Name', 'Flint');
  await w.tap(/^Position at a distance/);
  await w.tap(/^All \d+ pieces$/);
  for (const [label, text] of [
    ['Start, Distance to you', '1 m'],
    ['Demand, Distance to you', '15 m'],
    ['Start, Run before the cue', '3 m'],
    ['Demand, Run before the cue', '15 m'],
    ['Start, Steps after the cue', '2 m'],
    ['Demand, Steps after the cue', '0.5 m'],
  ] as const)
    await w.answer(label, text);
  await w.tap('Break it down');
  await w.card('Position at a distance');
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.tap('down');
  await w.reps('Clean', 'Clean', 'Clean', 'Clean', 'Clean');
  await w.tap('Go to step 2');
  await w.tap('sit');
  await w.flaw('Before the cue');
  await w.flaw('Before the cue');
  await w.saw('Panting');
  await w.saw('Circling');
  await w.concludes(/End here\. You saw circling, the second sign of tiredness today/, w.advice);
  await w.reps('Clean');
  await w.concludes(/End here\. You saw circling/, w.advice);
  await w.enough();
  await w.concludes(/Flint: before the cue 2×; so look at that first next time/);
  await w.later(270);
  await w.card('Position at a distance');
  await w.concludes(
    /Not worked for 270 days: nobody knows what is left\. Look first, cold, before you teach/,
  );
  await w.tap(/^See what is left/);
  await w.reps('Clean', 'Clean', 'Clean', 'Miss', 'Clean');
  await w.concludes(/4 of 5 clean after the gap: what is left reaches to step \d/, w.advice);
}

/** A recall through poles: stay first, fast, round the poles by name, told twice is the handler’s. */
export async function recallThroughPoles(w: Walker): Promise<void> {
  await w.begin('Swift', 'Recall through a lane', {
    'Start, Distance': '5 m',
    'Demand, Distance': '30 m',
    'Start, Time over the whole way': '8 s',
    'Demand, Time over the whole way': '5 s',
    'Start, Width of the lane': '3 m',
    'Demand, Width of the lane': '1 m',
    'Start, How crooked': '30°',
    'Demand, How crooked': '5°',
  });
  await w.card('Stay, then come fast');
  await w.concludes(/first “Stay”: three steps away/);
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.reps('Clean');
  await w.flaw(/Round the outside/, 'Miss');
  await w.flaw(/You called twice/);
  await w.reps('Clean');
  await w.flaw(/Broke before the cue/, 'Miss');
  await w.enough();
  await w.concludes(/Swift: broke before the cue 1×, round the outside 1×/);
  await w.concludes(/You: you called twice 1×/);
  await w.card('Faster');
  await w.beginCard();
  await w.tap('Cue');
  await w.wait(5);
  await w.tap(/^Response/);
  await w.reps('Clean');
  await w.concludes(/clean, \d\.\d s/, w.page.getByRole('region', { name: 'Last rep' }));
}

/** Wait, come, present, finish: mostly gone back to, a steward’s delay nobody knows, gets up once. */
export async function waitComePresent(w: Walker): Promise<void> {
  await w.begin('Sid', 'Wait, come, present, finish', {
    'Demand, Delay of the steward': '10 s',
    'Start, Distance': '2 m',
    'Demand, Distance': '15 m',
    'Start, How crooked': '30°',
    'Demand, How crooked': '5°',
  });
  await w.card('Wait at the left');
  await w.tap('It has that already: wait for nothing');
  await w.beginCard();
  await w.choose('Call for me', 'go back or call');
  await w.concludes(/go back to it|call it/, w.page.getByRole('status', { name: 'Called' }));
  await w.reps('Clean', 'Clean');
  // Gone back to or called: it is the wait that is judged here.
  await w.concludes(/2 reps, 2 clean/);
  await w.tap('step forward');
  await w.reps('Miss');
  await w.tap('step right');
  await w.reps('Clean', 'Clean', 'Clean');
  await w.concludes(/Advance\. 5 clean in a row here/, w.advice);
  // The next step asks for what you do next, and no chip has to be tapped for it.
  await w.tap('Go to step 2');
  await expect(w.control('step forward')).toHaveAttribute('aria-pressed', 'true');
  await w.reps('Clean', 'Clean');
  await w.concludes(/2 clean in a row here/, w.advice);
  await w.enough();
  await w.concludes(/Sid: broke 1×/);
  await w.card('Come');
  await w.concludes(/first “Wait at the left”/);
}
