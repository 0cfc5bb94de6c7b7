import { describe, expect, it } from 'vitest';
import { run, type ShortSheet } from './sample-books.test-helper';

/**
 * Runs worked by hand: what is on the sheet, the sum in words, the score as the family says it, and
 * why it does not pass.
 */
type Worked = readonly [work: string, sheet: ShortSheet, said: string, why: readonly string[]];

function works(book: string, table: readonly Worked[]): void {
  it.each(table)('%s', (_, sheet, said, why) => {
    const found = run(book, sheet);
    expect([found.said, found.why, found.passed]).toEqual([said, why, why.length === 0]);
  });
}

// Two exercises of 40; the line is 60 and half of each.
describe('points off', () => {
  works('vellmoor-obedience-two', [
    ['faultless', {}, '80 points', []],
    ['40 − 1.5', { square: ['slow-out'] }, '78.5 points', []],
    [
      '10° is inside, 10.5° costs 1, 31° costs 3 on either side: 80 − 4',
      {
        hurdle: [
          ['crooked-front', 10],
          ['crooked-front', 10.5],
          ['crooked-front', -31],
        ],
      },
      '76 points',
      [],
    ],
    [
      '3.2 s over a limit of 2 s is two started seconds: 80 − 2',
      { square: [['slow-down', 3.2]] },
      '78 points',
      [],
    ],
    ['exactly 2 s is in time', { square: [['slow-down', 2]] }, '80 points', []],
    [
      'float noise starts no third second: 80 − 2',
      { square: [['slow-down', 4.0000000001]] },
      '78 points',
      [],
    ],
    ['8 started metres off the line, capped at 6', { square: [['off-line', 9]] }, '74 points', []],
    ['three extra cues at 3, capped at 6', { square: [['extra-cue', 3]] }, '74 points', []],
    [
      'the cap holds over two marks: 3 + 3, then nothing',
      { square: ['extra-cue', ['extra-cue', 2]] },
      '74 points',
      [],
    ],
    ['80 − 22; 18 of 40 in the first', { square: ['no-stop'] }, '58 points', ['total', 'share']],
    ['the square zeroed', { square: ['does-not-leave'] }, '40 points', ['total', 'share']],
    [
      'ended: nothing before it in the exercise, nothing after',
      { square: ['leaves-ring'], hurdle: ['touch-out'] },
      '0 points',
      ['ended', 'total', 'share', 'share'],
    ],
    [
      '80 − 9 − 2 − 12 − 2; 15 of 40 in the second',
      { hurdle: ['round-out', 'touch-out', 'round-back', 'touch-back'] },
      '55 points',
      ['total', 'share'],
    ],
    [
      '80 − 8 − 12 = 60 passes with nothing to spare',
      { square: [['creeps', 4]], hurdle: ['round-back'] },
      '60 points',
      [],
    ],
    [
      'the floor: 22 + 10 + 14 is more than 40',
      { square: ['no-stop', 'breaks', 'no-return'] },
      '40 points',
      ['total', 'share'],
    ],
  ]);

  works('vellmoor-obedience-three', [
    ['eight exercises: 30+30+40+40+40+30+30+30', {}, '270 points', []],
    [
      'a judge’s low, usual and high: 0.5 + 1 + 3',
      {
        heelwork: [
          ['wide', 0],
          ['wide', 1],
          ['wide', 2],
        ],
      },
      '265.5 points',
      [],
    ],
    [
      'three zeroed at 40 each: 150',
      { square: ['stays'], hurdle: ['no-go'], scent: ['wrong-pick'] },
      '150 points',
      ['total', 'share', 'share', 'share'],
    ],
  ]);

  it.each<[ShortSheet, string | null, number]>([
    [{}, 'Passed with honours', 40],
    [{ square: ['no-return'] }, 'Passed', 12],
    [{ square: ['slow-return', ['slow-down', 5]] }, 'Passed with honours', 31],
    [{ square: ['no-stop'] }, null, -4],
  ])('award and margin of %j', (sheet, award, margin) => {
    const { score } = run('vellmoor-obedience-two', sheet);
    expect([score.award, score.margin]).toEqual([award, margin]);
  });
});

// Two judges, coefficients 2 4 3 4 4 3 3 2 = 25, so 250 points at most; 70 % and no mark under 5.
describe('weighted marks', () => {
  works('harrowmere-ring-grade-b', [
    ['faultless: 25 × 10', {}, '250 points', []],
    ['a gap at 1 mark × 4', { heel: [['gap', 1]] }, '246 points', []],
    ['the judge’s low, 0.5 × 4', { heel: [['gap', 0]] }, '248 points', []],
    ['crooked 25°: 1 mark × 4', { 'recall-lane': [['crooked', 25]] }, '246 points', []],
    [
      'crooked 12° and second word: (0.5 + 1) × 4',
      { 'recall-lane': [['crooked', 12], 'second-word'] },
      '244 points',
      [],
    ],
    ['second words are capped at 4 marks: 4 × 3', { dumbbell: [['second-word', 9]] }, '238 points', []],
    [
      'zeroed: 250 − 30, a mark under 5, and a 0 by both',
      { 'down-walk': ['no-drop'] },
      '220 points',
      ['mark', 'zero'],
    ],
    ['five marks off leave a 5: 250 − 20', { heel: ['leaves'] }, '230 points', []],
    ['five and a half leave 4.5', { heel: ['leaves', ['gap', 0]] }, '228 points', ['mark']],
    ['judges 8 and 8.5: a mean of 8.25 × 4', { heel: { given: [8, 8.5] } }, '243 points', []],
    ['judges 5 and 4.5: a mean of 4.75', { heel: { given: [5, 4.5] } }, '229 points', ['mark']],
    [
      'three zeroed of 4, 4 and 3: 250 − 110 = 56 %',
      {
        'recall-lane': ['outside', 'no-front', ['trot', 2]],
        'send-platform': ['no-send'],
        dumbbell: ['no-fetch'],
        jump: ['no-jump'],
      },
      '110 points',
      ['total', 'mark', 'mark', 'mark', 'mark', 'zero'],
    ],
    [
      'exactly 70 %: 250 − 75',
      {
        'group-sit': { given: [5, 5] },
        heel: { given: [7, 7] },
        'down-walk': { given: [7, 7] },
        'recall-lane': { given: [7, 7] },
        'send-platform': { given: [7, 7] },
        dumbbell: { given: [7, 7] },
        jump: { given: [7, 7] },
        'nose-hand': { given: [9, 9] },
      },
      '175 points',
      [],
    ],
  ]);
});

// Fourteen marks of 10 in six series; a mean of 5 in each ability, 6.5 over all (91 of 140).
describe('abilities', () => {
  works('saltfen-field-assessment', [
    ['faultless: 14 × 10', {}, '140 marks in all', []],
    [
      'runs in: put out at once',
      { 'single-mark': ['runs-in'] },
      '0 marks in all',
      ['ended', 'total', 'ability', 'ability', 'ability', 'ability', 'ability'],
    ],
    [
      'leaves the retrieve: the same',
      { 'single-mark': ['leaves-it'] },
      '0 marks in all',
      ['ended', 'total', 'ability', 'ability', 'ability', 'ability', 'ability'],
    ],
    [
      'never enters the water: three series kept, 30 + 30 + 20',
      { water: ['no-water'] },
      '80 marks in all',
      ['ended', 'total', 'ability'],
    ],
    ['one that was not found: marking 10 − 7', { 'single-mark': ['never-there'] }, '133 marks in all', []],
    [
      'the second one puts it out in its series',
      { 'single-mark': ['never-there'], 'double-mark': ['forgot'] },
      '23 marks in all',
      ['ended', 'total', 'ability', 'ability', 'ability', 'ability'],
    ],
    [
      'breaks to the other’s dummy in the last: 120 kept, and out',
      { 'walk-up': ['breaks'] },
      '120 marks in all',
      ['ended'],
    ],
    [
      'gives tongue three times, severely: steadiness 10 and 0, a mean of exactly 5',
      {
        'walk-up': [
          ['noise', 2],
          ['noise', 2],
        ],
      },
      '130 marks in all',
      [],
    ],
    ['regrips are capped at 6: 10 − 6', { 'single-mark': [['regrips', 9]] }, '134 marks in all', []],
    [
      'the cell ends at 0, the others keep theirs: −10',
      { water: ['left-there', 'shakes', 'shakes'] },
      '130 marks in all',
      [],
    ],
    ['off the line by 22°: control 10 − 1.5', { blind: [['veers', 22]] }, '138.5 marks in all', []],
    [
      'a hard mouth is an automatic fail: all series after it are not run',
      { 'single-mark': ['hard-mouth'] },
      '0 marks in all',
      ['ended', 'total', 'ability', 'ability', 'ability', 'ability', 'ability'],
    ],
    [
      'chasing game in the fifth: 100 kept before it; control 10, 0, 0 is a mean of 3.3',
      { hunt: ['chases'] },
      '100 marks in all',
      ['ended', 'ability'],
    ],
    [
      'marks given outright for control and perseverance',
      { blind: { given: [4, 6] } },
      '130 marks in all',
      [],
    ],
  ]);

  it('lets a mean of exactly 6.5 pass and one half mark less fail', () => {
    const seven = { given: [7, 7, 7] };
    const all = (last: readonly number[]): ShortSheet => ({
      'single-mark': { given: [6.5, 6.5, 6.5] },
      'double-mark': { given: [6.5, 6.5, 6.5] },
      blind: { given: [6.5, 6.5] },
      water: { given: [6.5, 6.5] },
      hunt: { given: [6.5, 6.5] },
      'walk-up': { given: last },
    });
    expect(run('saltfen-field-assessment', all([6.5, 6.5])).why).toEqual([]);
    expect(run('saltfen-field-assessment', all([6.5, 6])).why).toEqual(['total']);
    expect(run('saltfen-field-assessment', { ...all([6.5, 6]), 'single-mark': seven }).passed).toBe(true);
  });
});

// Eight retrieves of 20; the line is 104, one major fault at most.
describe('retrieves', () => {
  works('brackwater-working-test', [
    ['faultless: 8 × 20', {}, '160 points', []],
    ['a poor line, usual: −2', { memory: [['bad-line', 1]] }, '158 points', []],
    ['noise leaves at most 8', { memory: ['noisy'] }, '148 points', []],
    [
      'noise and a severe line: 20 − 4 = 16, but 8 is left',
      { memory: ['noisy', ['bad-line', 2]] },
      '148 points',
      [],
    ],
    [
      'noise and 15 points of faults: 20 − 15 = 5 is less than 8',
      { memory: ['noisy', ['leaves-area', 3], ['drops', 2]] },
      '145 points',
      [],
    ],
    [
      'two majors are one too many',
      { memory: ['noisy'], 'open-blind': ['no-stop'] },
      '136 points',
      ['majors'],
    ],
    ['not found: zeroed', { 'short-mark': ['not-found'] }, '140 points', []],
    ['sent twice, capped at 8', { 'long-mark': [['second-send', 3]] }, '152 points', []],
    ['refuses the third: 40 kept of the first two', { memory: ['refuses'] }, '40 points', ['ended', 'total']],
    ['refuses the last: 140 kept, and out all the same', { diversion: ['refuses'] }, '140 points', ['ended']],
    [
      'two not found: out at the second, with what came before it',
      { 'short-mark': ['not-found'], memory: ['not-found'] },
      '20 points',
      ['ended', 'total'],
    ],
    ['never enters the water: 120 kept before it', { 'water-mark': ['no-water'] }, '120 points', ['ended']],
    [
      'exactly on the line: 160 − 56',
      {
        'short-mark': ['not-found'],
        'long-mark': [
          ['bad-line', 2],
          ['drops', 2],
          ['leaves-area', 3],
        ],
        memory: [
          ['bad-line', 2],
          ['drops', 2],
          ['leaves-area', 2],
        ],
        'over-fence': ['slow-give'],
      },
      '105 points',
      [],
    ],
    [
      'one point short',
      {
        'short-mark': ['not-found'],
        'long-mark': [
          ['bad-line', 2],
          ['drops', 2],
          ['leaves-area', 3],
        ],
        memory: [
          ['bad-line', 2],
          ['drops', 2],
          ['leaves-area', 2],
        ],
        'over-fence': [['bad-line', 1]],
      },
      '103 points',
      ['total'],
    ],
    ['marked outright', { 'short-mark': { given: [12] } }, '152 points', []],
  ]);
});

// Turns 3, body 4, head 5; the first title needs 2, 2 and 3.
describe('checklist', () => {
  works('thistlemere-trick-title', [
    ['all done', {}, '12 items', []],
    ['one try of two failed: still done', { 'spin-left': ['failed'] }, '12 items', []],
    ['both tries failed', { 'spin-left': [['failed', 2]] }, '11 items', []],
    ['a failed and a half try use up two', { 'spin-left': ['failed', 'half'] }, '11 items', []],
    ['three tries are allowed for weaving', { 'weave-legs': [['failed', 2]] }, '12 items', []],
    ['no extra cue is allowed for a spin', { 'spin-left': ['cue-again'] }, '11 items', []],
    ['one extra cue is allowed for weaving', { 'weave-legs': ['cue-again'] }, '12 items', []],
    ['two are not', { 'weave-legs': [['cue-again', 2]] }, '11 items', []],
    ['a try and a cue count apart', { 'weave-legs': ['cue-again', ['failed', 2]] }, '12 items', []],
    ['guided by hand', { beg: ['touched'] }, '11 items', []],
    [
      'two turns lost: one is left',
      { 'spin-left': ['touched'], 'spin-right': ['touched'] },
      '10 items',
      ['group'],
    ],
    [
      'three of five head items lost',
      { 'bring-named': ['touched'], tidy: ['touched'], hoop: ['fright'] },
      '9 items',
      ['group'],
    ],
    [
      'one of each group lost',
      { 'spin-left': ['touched'], beg: ['touched'], hoop: ['fright'] },
      '9 items',
      [],
    ],
  ]);

  it.each<[ShortSheet, string | null]>([
    [{}, 'Master title'],
    [{ beg: ['touched'] }, 'Second title'],
    [{ 'spin-left': ['touched'] }, 'First title'],
    [{ 'spin-left': ['touched'], 'spin-right': ['touched'] }, null],
  ])('level of %j', (sheet, level) => expect(run('thistlemere-trick-title', sheet).score.award).toBe(level));
});

// At most 15 faults; the clock counts 1 a started second over 60 s.
describe('time and faults', () => {
  works('ravenholt-course', [
    ['clear and in time', {}, '0 faults', []],
    ['exactly 60 s', { clock: [['over-time', 60]] }, '0 faults', []],
    ['60.2 s starts one second', { clock: [['over-time', 60.2]] }, '1 fault', []],
    ['75 s: 15, and no more', { clock: [['over-time', 75]] }, '15 faults', []],
    ['75.1 s: 16', { clock: [['over-time', 75.1]] }, '16 faults', ['total']],
    ['two refusals: 10', { lane: [['refusal', 2]] }, '10 faults', []],
    [
      'the third refusal ends it, wherever it is: 5 + 5, and all from the hoop on',
      { lane: ['refusal'], hurdles: ['refusal'], hoop: ['refusal'] },
      '130 faults',
      ['ended', 'total'],
    ],
    ['four bars knocked: 20', { hurdles: [['fault', 4]] }, '20 faults', ['total']],
    [
      'two faults and 2.3 s: 10 + 3',
      { hurdles: [['fault', 2]], clock: [['over-time', 62.3]] },
      '13 faults',
      [],
    ],
    [
      'hoop left out: every obstacle from there on counts in full',
      { hoop: ['left-out'] },
      '120 faults',
      ['ended', 'total'],
    ],
    ['90 s is 30 faults, and not over the limit', { clock: [['over-time', 90]] }, '30 faults', ['total']],
    ['over 90 s the bell ends it', { clock: [['over-time', 90.1]] }, '30 faults', ['ended', 'total']],
    [
      'touched once, waits twice broken',
      { posts: ['hand'], 'start-wait': ['breaks', 'breaks'] },
      '15 faults',
      [],
    ],
  ]);

  it.each<[ShortSheet, string | null]>([
    [{}, 'Clear'],
    [{ lane: ['fault'] }, 'Good'],
    [{ lane: ['fault', 'fault', 'fault'] }, 'Passed'],
  ])('award of %j', (sheet, award) => expect(run('ravenholt-course', sheet).score.award).toBe(award));
});

// Five throws of at most 5; the line is 14, and each round is run twice.
describe('measured scores', () => {
  works('fennside-throws', [
    ['all in the far zone', {}, '25 points', []],
    ['5 + 4 + 0 + 5 + 2', { round: { given: [5, 4, 0, 5, 2] } }, '16 points', []],
    ['5 + 4 + 0 + 2 + 2', { round: { given: [5, 4, 0, 2, 2] } }, '13 points', ['total']],
    ['two dropped, one a zone nearer: 25 − 10 − 1', { round: [['dropped', 2], 'shorter'] }, '14 points', []],
    [
      'six in the air are 2.5 at most: 25 − 5 + 2.5',
      { round: ['dropped', ['in-the-air', 6]] },
      '22.5 points',
      [],
    ],
  ]);
});
