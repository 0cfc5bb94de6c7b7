import { describe, expect, it } from 'vitest';
import { run, type ShortSheet } from './sample-books.test-helper';
import { works } from './worked.test-helper';

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
