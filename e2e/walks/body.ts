import { expect } from '@playwright/test';
import type { Walker } from './walker';

/** Three tubs owned, the next size missing; two dogs, one of them not smaller yet; strain ends it. */
export async function tubs(w: Walker): Promise<void> {
  await w.begin('Mica', 'Body awareness in shrinking tubs', {
    'Start, Size of the tub': '90 L',
    'Demand, Size of the tub': '25 L',
    'Sizes you own, Size of the tub': '90 L, 65 L, 40 L',
    'Start, Size of the upturned tub': '65 L',
    'Demand, Size of the upturned tub': '25 L',
    'Start, Height': '20 cm',
    'Step, Height': '10 cm',
    'Demand, Height': '40 cm',
  });
  await w.card('All four paws in');
  await w.beginCard();
  await w.tap('left hind');
  await w.reps('Clean', 'Clean', 'Clean', 'Clean', 'Clean');
  await w.concludes(/Advance\. 5 clean in a row here/, w.advice);
  await w.tap('Go to step 2');
  await w.flaw('A paw outside');
  await w.reps('Miss');
  await w.enough();
  // Not smaller yet for this one.
  await w.tap(/^Same again/);
  await w.concludes(/Next time 2 of 16: paws in 2 → 3/);
  await w.alsoBegin('Sorrel', /^Body awareness in shrinking tubs, as Mica does/);
  await w.tap(/^All four paws in/);
  await w.beginCard();
  await w.reps('Clean', 'Clean');
  await w.saw('Tremor');
  await w.concludes(/Stop now\. You saw tremor/, w.advice);
  await w.enough();
  await w.tap('Breakdown');
  await w.tap(/^Ladder of All four paws in/);
  await w.concludes(
    /25 L is what you want in the end, and is not among the sizes you own\. Get it before the last step/,
  );
  await w.later(1);
  await w.concludes(/You saw tremor\. That can be pain: stop now, and see a veterinary surgeon if it stays/);
}

/** Both sides, one hand muddled: the handler’s own; pieces at speed by the clock. */
export async function aroundAndSpin(w: Walker): Promise<void> {
  await w.begin('Tansy', 'Around an object, spin, into position', {
    'Demand, Distance to the object': '5 m',
    'Start, Time for all': '6 s',
    'Demand, Time for all': '4 s',
  });
  await w.card('Around the object');
  await w.beginCard();
  await w.tap('left hand');
  await w.tap('left');
  await w.reps('Clean', 'Clean', 'Clean');
  await w.tap('right');
  await w.flaw('Went wide');
  await w.flaw('Turned too soon');
  await w.flaw('Went wide');
  await w.tap('right hand');
  await w.flaw('Before the word');
  await w.also('Handler');
  await w.enough();
  await w.concludes(/Side: left 3 of 3 clean, right 0 of 3 clean; so begin with right next time/);
  await w.concludes(/You: before the word 1×/);
  await w.card('Into position at speed');
  await w.beginCard();
  await w.tap('Cue');
  await w.wait(8);
  await w.tap(/^Response/);
  await w.reps('Clean');
  await w.concludes(/\d+\.\d s, asked at most 6 s: slow/);
}

/** A puppy and a hand: no answer, an early click, the other hand; no word yet. */
export async function noseToHand(w: Walker): Promise<void> {
  await w.begin('Puck', 'Nose to hand', {
    'Start, Distance to the hand': '0.5 m',
    'Demand, Distance to the hand': '5 m',
  });
  await w.card('Deliberate touch');
  await w.beginCard();
  await w.tap('left hand');
  await w.tap('facing');
  await w.reps('Clean', 'Miss');
  await w.concludes(/Withdraw, 5 seconds of nothing, then present again/, w.advice);
  await w.tap('right hand');
  await w.flaw(/You marked early/);
  await w.concludes(
    /does not count: it was the handler’s doing/,
    w.page.getByRole('region', { name: 'Last rep' }),
  );
  await w.tap('Help, place and more for the next rep');
  await w.tap('somebody else');
  await w.reps('Clean', 'Clean');
  await w.enough();
  await w.concludes(/You: you marked early 1×/);
}

/** Muzzle, by the hand: calm at three moments in one tap, paid in it; the next dog by the other route. */
export async function muzzle(w: Walker): Promise<void> {
  await w.begin('Nix', 'Muzzle or other kit that is worn', {
    'Demand, Time inside': '10 s',
    'Demand, Time worn': '2 min',
  });
  // One route was taken: what follows waits for that one alone.
  await expect(w.page.getByText('Into it by itself')).toHaveCount(0);
  await w.card('Into your hand');
  await w.beginCard();
  await w.reps('Clean', 'Clean');
  await w.tap('bears it');
  await expect(w.control('bears it')).toHaveAttribute('aria-pressed', 'true');
  await w.flaw('Backed out');
  await w.saw('Froze');
  await w.concludes(/It froze: that is never calm/, w.advice);
  await w.enough();
  await w.card('Closed and calm');
  await w.concludes(/must let the dog pant and drink/);
  await w.concludes(/first “Into your hand”: the kit alone/);
}

/** An object it backs away from; a platform, two feet are not four; the toy on it in the same lesson. */
export async function approachAndPlatform(w: Walker): Promise<void> {
  await w.begin('Fern', 'Approach an object, platform', {
    'Demand, Time on it': '10 s',
    'Start, Distance to the platform': '1 m',
    'Demand, Distance to the platform': '10 m',
  });
  await w.card('Approach, contact, take');
  await w.beginCard();
  await w.tap('toy');
  await w.reps(/^Looks/, /^Sniffs/, /^Backs away/, /^Backs away/);
  await w.concludes(/2 of the last 4 were as far as asked, or further/, w.advice);
  await w.reps(/^Touches/, /^Touches/);
  await w.tap('Add to the lesson');
  await w.tap('All four feet on');
  await w.beginCard();
  await w.flaw('Fewer feet than asked');
  await w.concludes(/1 rep, 0 clean/);
  await w.reps('Clean');
  await w.enough();
  await w.tap('End the lesson');
  await w.concludes(/Fern: backs away 2×/);
}

/** Beg: bounces out, trembles; days between; nothing tomorrow until somebody says why not. */
export async function beg(w: Walker): Promise<void> {
  await w.begin('Lark', 'Upright beg and other strength tricks', {
    'Demand, Time up': '5 s',
    'Demand, Distance to you': '3 m',
  });
  await w.card('Holds itself up');
  await w.beginCard();
  await w.tap(/^Hold begins/);
  await w.wait(1.6);
  await w.reps('Clean');
  await w.tap(/^Hold begins/);
  await w.wait(0.5);
  await w.flaw('Bounced');
  await w.concludes(/Broken once: no longer holds today/, w.advice);
  await w.saw('Tremor');
  await w.concludes(/Stop now\. You saw tremor/, w.advice);
  await w.enough();
  await w.concludes(/Seen: tremor/);
  await w.later(1);
  await w.concludes(/You saw tremor\. That can be pain/);
  await w.tap('It no longer holds');
  await w.tap('The vet has seen it');
  await expect(w.page.getByText('You saw tremor')).toHaveCount(0);
  await w.card('Holds itself up');
  await w.concludes(/Muscle grows on rest days: not on days that follow each other/);
}

/** An old dog and a hoop: nobody steadied it, hard ground, it strikes it twice. */
export async function hoop(w: Walker): Promise<void> {
  await w.begin('Gran', 'Hoop and other props, by shaping', {
    'Demand, Run-up': '5 m',
    'Start, Lower edge': '10 cm',
    'Step, Lower edge': '5 cm',
    'Demand, Lower edge': '40 cm',
  });
  await w.tap('More');
  await w.tap('Kennel');
  await w.type(/^Born/, '2016-05-01');
  await w.card('Right use');
  await w.beginCard();
  await w.tap('not steadied');
  await w.reps(/^Half way/);
  await w.also('Handler');
  await w.tap('steadied');
  await w.reps(/^Comes near/, /^Right use/);
  await w.concludes(/3 reps; 2 count, 2 clean/);
  await w.enough();
  await w.card('With a run-up');
  await w.saysNot(/may still be growing/);
  await w.tap('concrete');
  await w.concludes(/No jumps on hard ground: mats, another place, or the piece on the flat/);
  await w.tap('grass');
  await w.beginCard();
  await w.reps('Clean', 'Clean');
  await w.flaw('Touched it');
  await w.saw('Struck the kit');
  await w.concludes(/Look it over; if nothing is sore, go on lower\. A second time ends it/, w.advice);
  // Another go lies between: the same sign twice within half a second is one press.
  await w.reps('Clean');
  await w.saw('Struck the kit');
  await w.concludes(/End here\. You saw that it struck the kit, the second time today/, w.advice);
  await w.concludes(/4 jumps today, over all it did/);
}
