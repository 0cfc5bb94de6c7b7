import { describe, expect, it } from 'vitest';
import { run, type ShortSheet } from './sample-books.test-helper';
import { works } from './worked.test-helper';

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
