import { describe, expect, it } from 'vitest';
import type { ElementRecord } from '@/data/read';
import { FIRST_DAY, fromMethod, Play } from './play.test-helper';

const stays = () => fromMethod('stays', 'actions', { time: ['2 s', '10 s'] });
const recall = () => fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] });
const chain = () => fromMethod('around', 'chain', { time: ['6 s', '3 s'] });
const front = () => fromMethod('recall-lane', 'front', { angle: ['20°', '5°'] });
const stop = () =>
  fromMethod('positions-at-a-distance', 'drop', { run: ['5 m', '20 m'], overrun: ['100 cm', '20 cm'] });
const heel = () => fromMethod('heeling', 'heel', { time: ['11.5 s', '60 s'] });

describe('what was measured judges a rep', () => {
  it('8.0 s at "at most 6 s" is slow, and one tap says otherwise; both are kept', () => {
    const play = new Play(chain()).answers(8).clean();
    expect(play.view.last?.judged).toMatchObject({ outcome: 'flawed', proposed: { outcome: 'flawed' } });
    expect(play.view.lastInWords).toBe('flawed: Slow, 8.0 s');
    expect(play.view.proposal?.words.replaceAll('\u00a0', ' ')).toBe('8.0 s, asked at most 6 s: slow.');
    play.tap({ tap: 'otherwise', as: 'clean' });
    expect(play.view.last?.judged).toMatchObject({
      outcome: 'clean',
      faults: [],
      proposed: { outcome: 'flawed' },
    });
    expect(play.counts).toEqual({ counted: 1, clean: 1 });
  });
  it('6.1 s on a thumb’s watch is within its error, 6.2 s is not', () => {
    expect(new Play(chain()).answers(6.1).clean().view.last?.judged.outcome).toBe('clean');
    expect(new Play(chain()).answers(6.2).clean().view.last?.judged.outcome).toBe('flawed');
  });
  it('only noted where the person pays the slow ones too', () => {
    const play = new Play({ ...chain(), measured: 'noted' }).answers(8).clean();
    expect(play.view.lastInWords).toBe('clean, noted: Slow, 8.0 s');
    expect(play.counts).toEqual({ counted: 1, clean: 1 });
    expect(play.tap({ tap: 'otherwise', as: 'flawed' }).counts).toEqual({ counted: 1, clean: 0 });
  });
  it('0.6 s held of 2 s is early, and neither where you ended it', () => {
    const play = new Play(stays()).holds(0.6).clean();
    expect(play.view.lastInWords).toBe('flawed: Broke, held 0.6 s');
    expect(play.view.proposal?.otherwise.map((one) => one.words)).toEqual([
      'Clean all the same',
      'I ended it',
    ]);
    play.tap({ tap: 'otherwise', as: 'ended-by-you' });
    expect(play.view.lastInWords).toBe('ended by you, held 0.6 s, does not count: you ended it');
    expect(play.counts).toEqual({ counted: 0, clean: 0 });
    expect(play.kept[0]?.holds).toEqual([{ seconds: 0.6, endedBy: 'handler' }]);
  });
  it('2.4 s held of 2 s is clean', () =>
    expect(new Play(stays()).holds(2.4).clean().counts).toEqual({ counted: 1, clean: 1 }));
  it('heeling that you stopped at 1.2 s of 11.5 s is neither; where the dog left it is not clean', () => {
    const run = { kind: 'legs', seconds: 1.2, stamps: [] } as const;
    const mine = new Play(heel()).tap({ tap: 'ran', run, endedBy: 'handler' });
    expect(mine.view.last?.judged.outcome).toBe('none');
    expect(mine.counts.counted).toBe(0);
    const its = new Play(heel()).tap({ tap: 'ran', run, endedBy: 'dog' });
    expect(its.view.lastInWords).toBe('flawed: Ended too early, held 1.2 s');
    expect(its.counts).toEqual({ counted: 1, clean: 0 });
  });
  it('degrees typed afterwards: 24° at 20° is crooked, 18° is not, and the last one typed stands', () => {
    const play = new Play(front()).clean().tap({ tap: 'measured', measure: 'angle', value: -24 });
    expect(play.view.lastInWords).toContain('flawed: Crooked, 24°');
    play.tap({ tap: 'measured', measure: 'angle', value: 18 });
    expect(play.view.last?.judged).toMatchObject({ outcome: 'clean', faults: [], proposed: null });
    expect(play.counts).toEqual({ counted: 1, clean: 1 });
  });
  it('metres from the place typed: 1.3 m past a line of 1 m is past it', () => {
    const play = new Play(stop()).clean().tap({ tap: 'measured', measure: 'offset', value: 1.3 });
    expect(play.view.last?.judged.outcome).toBe('flawed');
    expect(play.view.proposal?.words.replaceAll('\u00a0', ' ')).toContain('1.3 m, asked at most 1 m');
  });
  it('two feet are not four: the paws counted, and the last number stands', () => {
    const on = fromMethod('platform', 'on', { time: ['1 s', '5 s'] });
    const four = { ...on, axes: on.axes.map((axis) => (axis.key === 'feet' ? { ...axis, start: 4 } : axis)) };
    const play = new Play(four).clean().tap({ tap: 'measured', measure: 'count', value: 2 });
    expect([play.view.last?.judged.outcome, play.counts.clean]).toEqual(['flawed', 0]);
    expect(play.view.proposal?.words).toContain('2, asked');
    expect(play.tap({ tap: 'measured', measure: 'count', value: 4 }).counts.clean).toBe(1);
  });
  it('a run out has its time and, with a distance, its speed', () => {
    const play = new Play(recall()).clean().tap({ tap: 'measured', measure: 'out', value: 2.5 });
    expect(play.view.lastInWords?.replaceAll('\u00a0', ' ')).toBe('clean, out in 2.5 s (2.0 m/s)');
  });
  it('a fault that is only noted on this rung spoils nothing, measured or tapped', () => {
    const element = chain();
    const slow = { exercise: null, key: 'slow', step: null } as never;
    const later = { ...element, countsFrom: [{ fault: slow, from: { pieces: 4, time: 3 } as never }] };
    const play = new Play(later).answers(8).clean().fault('Slow');
    expect(play.view.reps.map((rep) => [rep.judged.outcome, rep.judged.faults.length])).toEqual([
      ['clean', 1],
      ['clean', 1],
    ]);
  });
  it('several faults in one rep, one taken off again', () => {
    const play = new Play(chain()).fault('Crooked in position').also('Slow');
    expect(play.view.lastInWords).toBe('flawed: Crooked in position and slow');
    expect(play.also('Crooked in position').view.lastInWords).toBe('flawed: Slow');
    expect(play.kept[0]?.faults.map((one) => [one.fault?.key, one.count])).toEqual([['slow', 1]]);
    expect(play.also('Slow').view.last?.judged.outcome).toBe('clean');
  });
  it('a fault of the handler’s that is left alone in a rep is the handler’s, and no longer where the dog’s joins it', () => {
    const play = new Play(stays()).fault('Crept').also('You said a word too many');
    expect([play.view.last?.judged.cause, play.counts]).toEqual(['dog', { counted: 1, clean: 0 }]);
    expect(play.also('Crept').counts.counted).toBe(0);
    expect(play.view.last?.judged.cause).toBe('handler');
    expect(play.also('Crept').counts).toEqual({ counted: 1, clean: 0 });
  });
  it('a clean rep is one tap, a fault two, and undo one: a wrong tap costs nothing', () => {
    const play = new Play(chain()).clean();
    expect(play.taps).toBe(1);
    play.fault('Slow').undo();
    expect([play.taps, play.view.tally]).toEqual([4, '1 rep, 1 clean']);
  });
});

describe('cues by why', () => {
  const one = (): ElementRecord => ({ ...recall(), cues: 'one' });
  const twice = (why: 'needed' | 'slip' | 'meant', element = one()) =>
    Array.from({ length: 5 }).reduce<Play>(
      (play) => play.clean().tap({ tap: 'cues', why, count: 1 }),
      new Play(element),
    );
  it('slipped from you on every rep: no evidence, and the ladder does not move', () => {
    const play = twice('slip');
    expect(play.counts.counted).toBe(0);
    expect(play.view.tally).toBe('5 reps; none counts, since a cue slipped from you');
    expect(play.says).toContain('0 clean in a row');
    expect(play.studied.habits.cues.slip).toEqual({ of: 5, count: 5 });
  });
  it('needed on every rep: none clean under the one-cue rule', () => {
    const play = twice('needed');
    expect(play.counts).toEqual({ counted: 5, clean: 0 });
    expect(play.view.proposal?.words).toContain('2 cues, 1 allowed');
  });
  it('needed, where cues are repeated calmly: counted, never held against it', () => {
    const play = twice('needed', { ...recall(), cues: 'repeat' });
    expect(play.counts).toEqual({ counted: 5, clean: 5 });
    expect(play.studied.habits.cues.needed.count).toBe(5);
  });
  it('meant as an answer: not clean where one is allowed, clean where the rung allows two', () => {
    expect(twice('meant').counts).toEqual({ counted: 5, clean: 0 });
    const element = recall();
    const cues = {
      ...element.axes[0],
      key: 'cues',
      title: 'Cues',
      quantity: 'count',
      unit: '',
      harder: 'less',
      role: 'help',
      start: 2,
      demand: 1,
      step: 1,
      limit: 1,
      zeroScale: null,
    };
    const allowed = { ...element, axes: [...element.axes, cues] as typeof element.axes };
    expect(twice('meant', { ...allowed, cues: 'one' }).counts).toEqual({ counted: 5, clean: 5 });
  });
  it('two further ones are never clean under it, and one tap back is', () => {
    const play = new Play(one()).clean().tap({ tap: 'cues', why: 'needed', count: 2 });
    expect(play.view.last?.judged.outcome).toBe('flawed');
    expect(play.tap({ tap: 'cues', why: 'needed', count: 0 }).view.last?.judged.outcome).toBe('clean');
  });
});

describe('help by kind', () => {
  it('a break with a hand on the collar is a break; a success with it proves nothing', () => {
    const play = new Play(stays()).help('hand').fault('Broke').clean(2);
    expect(play.view.reps.map((rep) => rep.judged.aids)).toEqual([['hand'], ['hand'], ['hand']]);
    expect(play.counts).toEqual({ counted: 1, clean: 0 });
    expect(play.view.tally).toBe('3 reps; 1 counts, 0 clean');
  });
  it('8 reps of which 7 were helped are not "8 clean"', () => {
    const play = new Play(recall()).help('lead').clean(7).help().clean();
    expect(play.view.tally).toBe('8 reps; 1 counts, 1 clean');
  });
  it('said afterwards, by kind, and taken away again', () => {
    const play = new Play(recall())
      .clean()
      .tap({ tap: 'aid', aid: 'unsaid' })
      .tap({ tap: 'aid', aid: 'voice' });
    expect(play.view.lastInWords).toBe('clean, helped (voice), does not count: it was helped');
    expect(play.tap({ tap: 'aid', aid: 'voice' }).counts).toEqual({ counted: 1, clean: 1 });
  });
});

describe('calls', () => {
  it('ten calls of which seven go back: three are evidence for the recall, the others for its wait', () => {
    const wait = { ...fromMethod('wait-come-finish', 'wait', { delay: ['1 s', '10 s'] }) };
    const element = { ...recall(), wait: wait.id };
    const work = { elements: [element, wait], breakdowns: [], ruleBooks: [] };
    const play = new Play(element, { work }).calls('return-or-call');
    const kinds = Array.from({ length: 10 }, () => {
      const kind = play.call?.kind;
      play.clean();
      return kind;
    });
    const back = kinds.filter((kind) => kind === 'return').length;
    expect(back).toBeGreaterThan(5);
    expect(play.counts).toEqual({ counted: 10 - back, clean: 10 - back });
    expect(play.evidence.get(wait.id)?.[0]).toMatchObject({ counted: back });
    expect(play.says).not.toContain('mastered long ago');
  });
  it('without a wait that is named, a return is evidence for nothing', () => {
    const play = new Play(recall()).calls('return-or-call').clean(10);
    expect(play.evidence.size).toBe(1);
    expect(play.view.tally).toMatch(/^10 reps; [1-4] counts?, [1-4] clean$/);
  });
  it('a delay lies within what the rung asks, and is stored and judged as drawn', () => {
    const element = fromMethod('wait-come-finish', 'wait', { delay: ['4 s', '10 s'] });
    const play = new Play(element).calls('delay');
    for (let i = 0; i < 20; i++) {
      const { delay } = play.call ?? { delay: null };
      expect(delay).toBeGreaterThan(0);
      expect(delay).toBeLessThanOrEqual(4);
      play.holds(delay ?? 0).clean();
    }
    expect(play.counts).toEqual({ counted: 20, clean: 20 });
    expect(new Set(play.view.reps.map((rep) => rep.asked.call?.delay)).size).toBeGreaterThan(3);
    expect(
      play.view.reps.every((rep) => Object.values(rep.asked.criteria).includes(rep.asked.call?.delay ?? -1)),
    ).toBe(true);
  });
  it('a side that is called fills the chip, and shows in evidence by value', () => {
    const play = new Play(fromMethod('around', 'spin')).calls('left-right');
    for (let i = 0; i < 10; i++) play.call?.word === 'right' ? play.fault('The other way') : play.clean();
    const [, , side] = play.studied.cover;
    expect(side?.cells).toMatchObject([
      { option: 'left', reps: 5, clean: 5 },
      { option: 'right', reps: 5, clean: 0 },
    ]);
  });
  it('a word taken for another is drawn more often, and the pair is told', () => {
    const play = new Play(recall(), { words: ['sit', 'down', 'stand'] }).calls('cues');
    const before = Array.from({ length: 20 }, () => {
      const word = play.call?.word;
      play.clean();
      return word;
    });
    play.after(1).calls('cues');
    for (let i = 0; i < 6; i++)
      play.tap({ tap: 'miss' }).tap({ tap: 'say', change: { seen: { instead: 'down' } } });
    const after = Array.from({ length: 20 }, () => {
      const word = play.call?.word;
      play.clean();
      return word;
    });
    const downs = (list: (string | undefined)[]) => list.filter((word) => word === 'down').length;
    expect(downs(after)).toBeGreaterThan(downs(before));
    expect(play.studied.habits.instead[0]).toMatchObject({ did: 'down' });
  });
  it('a reward that is called is written as paid', () =>
    expect(new Play(recall()).calls('reward').clean().view.last?.paid).toMatchObject({ by: 'schedule' }));
  it('where it begins', () => expect(new Play(recall()).today).toBe(FIRST_DAY));
});

describe('“too slow” is said of answers only', () => {
  it.each([
    ['a height', fromMethod('props', 'height', { height: ['10 cm', '40 cm'] })],
    ['a pull', fromMethod('harness', 'lean', { time: ['1 s', '10 s'] })],
    ['seconds upright', fromMethod('upright', 'up', { time: ['1 s', '10 s'] })],
  ])('never of %s, however long it took or was held', (_, element) => {
    for (const seconds of [0.2, 1, 5, 60]) {
      const one = new Play(element).answers(9).holds(seconds).clean();
      const said = [one.view.lastInWords, one.view.proposal?.words, one.says].join(' ');
      expect(said).not.toMatch(/too slow/i);
    }
  });

  it('and is said of a release that came late', () => {
    const one = new Play(fromMethod('toy-game', 'release', { time: ['3 s', '1 s'] })).answers(6).clean();
    expect(`${one.view.lastInWords} ${one.view.proposal?.words}`).toMatch(/slow/i);
  });
});

describe('what is drawn, and what is seen', () => {
  const spot = (one: Play) => one.view.chips.find((row) => row.key === 'Spot');

  it('search: the next spot is proposed, never the last one, which is said; a tap lays it elsewhere', () => {
    const one = new Play(fromMethod('search', 'food'));
    const seen: string[] = [];
    for (let i = 0; i < 6; i++) {
      expect(spot(one)?.before).toBe(seen.at(-1));
      const next = spot(one)?.value ?? '';
      expect(next).not.toBe(seen.at(-1) ?? null);
      one.clean();
      seen.push(one.view.last?.asked.chips.Spot ?? '');
      expect(seen.at(-1)).toBe(next);
    }
    one.chip('Spot', '5').clean();
    expect(one.view.last?.asked.chips.Spot).toBe('5');
    expect(spot(one)?.value).not.toBe('5');
  });

  it('tubs: the last paw in is one tap, and nothing is kept for the next go', () => {
    const one = new Play(fromMethod('tubs', 'in', { size: ['90 L', '25 L'] }));
    const paw = () => one.view.chips.find((row) => row.key === 'Last paw in')?.value;
    one.chip('Gets in from', 'left').chip('Last paw in', 'left hind').clean();
    expect(one.view.last?.asked.chips).toMatchObject({ 'Last paw in': 'left hind', 'Gets in from': 'left' });
    expect([paw(), one.view.chips.find((row) => row.key === 'Gets in from')?.value]).toEqual([null, 'left']);
    one.clean();
    expect(one.view.last?.asked.chips).not.toHaveProperty('Last paw in');
  });
});
