import { describe, expect, it } from 'vitest';
import type { Criteria } from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import { standingSigns } from '@/data/read';
import { wordsOf } from '@/words';
import { endOf } from './end-view';
import { loadInWords } from './load-lines';
import { fromMethod, Play } from './play.test-helper';

const approach = () => new Play(fromMethod('platform', 'approach'));

describe('a response that is graded', () => {
  it('backing away lies below the lowest grade that is asked, and the advice does not count it as shown', () => {
    const one = approach().graded('looks').graded('sniffs').graded(null).graded(null);
    expect(one.says).toContain('2 of the last 4 were as far as asked');
  });
  it('is named at the end, by how often', () => {
    const one = approach().graded('looks').graded(null).graded(null);
    expect(endOf(one.view).dogs).toEqual([{ label: 'Backs away', count: 2 }]);
  });
});

describe('whose fault it was', () => {
  const around = () => new Play(fromMethod('around', 'round', { distance: ['1 m', '5 m'] }));
  it('what the handler is said to have done is the handler’s at the end, under whatever name', () => {
    const one = around().fault('Before the word').tap({ tap: 'cause', cause: 'handler' }).fault('Went wide');
    const { dogs, handlers } = endOf(one.view);
    expect([dogs, handlers]).toEqual([
      [{ label: 'Went wide', count: 1 }],
      [{ label: 'Before the word', count: 1 }],
    ]);
  });
  it('the weaker side is named from two goes a side on, and not where both went alike', () => {
    const one = around().chip('Side', 'left').clean(2).chip('Side', 'right').clean();
    expect(endOf(one.view).sides).toEqual([]);
    one.fault('Went wide');
    // One of two against two of two may well be luck.
    expect(endOf(one.view).sides[0]?.weaker).toBeNull();
    one.fault('Went wide');
    expect(endOf(one.view).sides).toEqual([
      {
        title: 'Side',
        options: [
          { words: 'left', clean: 2, of: 2 },
          { words: 'right', clean: 1, of: 3 },
        ],
        weaker: 'right',
      },
    ]);
    const even = around().chip('Side', 'left').clean(2).chip('Side', 'right').clean(2);
    expect(endOf(even.view).sides[0]?.weaker).toBeNull();
  });
});

describe('what is not counted here', () => {
  it('running in is written down where the send is taught: clean, and the ladder goes by the drive', () => {
    const one = new Play(fromMethod('memory-retrieve', 'memory', { distance: ['5 yd', '40 yd'] }));
    one.fault('Ran in');
    expect([one.view.last?.judged.outcome, one.view.tally]).toEqual(['clean', '1 rep, 1 clean']);
    expect(one.view.lastInWords).toContain('noted: Ran in');
  });
});

describe('a scene in the field', () => {
  const mark = () => new Play(fromMethod('field-season', 'mark'));
  it('is judged three ways at once', () => {
    const one = mark();
    const { by } = one.view;
    expect(by.kind === 'scene' && by.held.map(({ words }) => words)).toEqual([
      'Steady',
      'Under control',
      'Listened',
    ]);
    one.clean();
    expect(one.view.tally).toBe('1 rep, 1 clean');
    const lost = by.kind === 'scene' ? by.held.slice(0, 2).map(({ fault }) => fault) : [];
    one.loses(...lost).clean();
    expect(one.view.tally).toBe('2 reps, 1 clean');
    expect(endOf(one.view).dogs.map(({ label }) => label)).toEqual(['Ran in', 'Out of hand']);
  });
  it('a stop that was not taken is a miss, and the coach says to stop and name it', () => {
    const one = new Play(fromMethod('field-season', 'blind')).tap({ tap: 'laid' });
    const { by } = one.view;
    const stop = by.kind === 'scene' ? by.held.find(({ miss }) => miss) : undefined;
    expect(stop?.words).toBe('Stopped');
    one.loses(...(stop ? [stop.fault] : [])).clean();
    expect([one.view.last?.judged.outcome, one.says.includes('Stop and name it')]).toEqual(['miss', true]);
  });
});

describe('why nothing counts', () => {
  it('the tally says it in the commonest reason', () => {
    const one = approach().graded('looks').tap({ tap: 'cause', cause: 'handler' });
    expect(one.view.tally).toBe('1 rep; none counts, since it was the handler’s doing');
    expect(wordsOf(one.view.tally)).toContain('none counts');
  });
});

describe('what you do, where it is what the step asks', () => {
  const actionOf = (criteria: Criteria = {}): unknown => criteria[asId<AxisKey>('action')];
  const stays = () => new Play(fromMethod('stays', 'actions', { time: ['2 s', '10 s'] }));
  it('a break at a harder action says nothing of this step, and is evidence at the harder one', () => {
    const one = stays().chip('action', 'hand in the pocket').fault('Broke').fault('Broke');
    expect(one.says).toMatch(/^hold: 0 clean in a row/);
    expect(actionOf(one.view.criteria)).not.toBe(actionOf(one.view.last?.asked.criteria));
    expect(endOf(one.view).dogs).toEqual([{ label: 'Broke', count: 2 }]);
  });
  it('follows the step that is gone to: the ladder climbs without a tap of the chip', () => {
    const one = stays().clean(5).take();
    const action = () => one.view.chips.find(({ key }) => key === 'action')?.value;
    expect(action()).toBe('walk round it');
    one.clean(5);
    expect(one.says).toContain('advance');
    // What was done otherwise on purpose stays for the next go, and not for the next step.
    one.chip('action', 'toy shown').fault('Broke');
    expect(action()).toBe('toy shown');
    one.tap({ tap: 'move', to: one.view.harder ?? {}, because: 'hand' });
    expect(action()).not.toBe('toy shown');
    one.undo();
    expect(action()).toBe('toy shown');
  });
  it('a clean one at an easier action does not climb a harder step', () => {
    const one = stays();
    one.tap({ tap: 'move', to: one.view.harder ?? {}, because: 'hand' });
    const asked = actionOf(one.view.criteria);
    one.chip('action', 'one step').clean(5);
    if (actionOf(one.view.last?.asked.criteria) !== asked) expect(one.says).not.toContain('advance');
    one.chip('action', 'toy shown').clean(5);
    expect(one.says).toContain('advance');
  });
  it('who handles it is one row, by which the evidence knows another handler', () => {
    const one = stays();
    expect(one.view.chips.filter(({ title }) => title === 'Who handles it')).toHaveLength(1);
    one.chip('handler', 'another').clean();
    expect(one.view.last?.asked.chips.handler).toBe('another');
  });
  it('what it did instead is asked of sides and words, not of the ground or the handler', () => {
    const one = new Play(fromMethod('around', 'round', { distance: ['1 m', '5 m'] }));
    one.chip('Side', 'left').fault('Went wide');
    expect(one.view.last?.asked.chips.Side).toBe('left');
  });
});

describe('signs after a night', () => {
  const recall = () => new Play(fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] }));
  const seen = (...signs: readonly ('panting' | 'circling' | 'tremor' | 'growled')[]): Play => {
    const one = recall().clean();
    for (const sign of signs) one.tap({ tap: 'sign', sign });
    return one;
  };
  it.each([
    [['panting', 'circling'], 'end', null],
    [['tremor'], 'stop', 'stop'],
    [['growled'], 'end', 'end'],
  ] as const)('%j: %s today, %s tomorrow', (signs, today, tomorrow) => {
    const one = seen(...signs);
    expect(standingSigns(one.kept, one.today)[0]?.kind).toBe(today);
    one.after(1);
    expect(standingSigns(one.kept, one.today)[0]?.kind ?? null).toBe(tomorrow);
  });
});

describe('a wait and a recall, gone back to', () => {
  it('a return is no recall: it counts nothing there', () => {
    const one = new Play(fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] }));
    one.calls('return-or-call');
    for (let i = 0; i < 12; i++) one.clean();
    expect(one.counts.counted).toBeLessThan(12);
  });
  it('where the wait itself is trained every one of them counts', () => {
    const one = new Play(fromMethod('wait-come-finish', 'wait', { delay: ['1 s', '10 s'] }));
    one.calls('return-or-call');
    for (let i = 0; i < 12; i++) one.clean();
    expect(one.counts.counted).toBe(12);
  });
});

describe('the rest', () => {
  it('is looked at from two goes before it and two after it on', () => {
    const one = new Play(fromMethod('reward-behind', 'out', { out: ['1 m', '5 m'] }));
    one.clean().fault('Carried it on to you').tap({ tap: 'rested' }).clean();
    expect(endOf(one.view).sides).toEqual([]);
    one.clean();
    expect(endOf(one.view).sides).toEqual([
      {
        title: 'The rest',
        options: [
          { words: 'before it', clean: 1, of: 2 },
          { words: 'after it', clean: 2, of: 2 },
        ],
        weaker: null,
      },
    ]);
  });
});

describe('loads', () => {
  const metres = { of: 'run-metres', per: 'day', done: 9.144, limit: null, left: null } as const;
  it('are read in yards where the ladder is in yards', () => {
    expect(loadInWords(metres)).toBe('9 metres run, by the distance asked today, over all it did.');
    expect(loadInWords(metres, true)).toBe('10 yards run, by the distance asked today, over all it did.');
  });
});

describe('what of a set-out lies there', () => {
  it('a blind is sent for once it was looked at; what was laid first is picked up first', () => {
    const one = new Play(fromMethod('field-season', 'blind'));
    expect([one.view.lying, one.view.lyingThings]).toEqual([0, []]);
    one.tap({ tap: 'laid', thing: 'blind-1' }).tap({ tap: 'laid', thing: 'blind-2' });
    expect([one.view.lying, one.view.lyingThings]).toEqual([2, ['blind-1', 'blind-2']]);
    one.clean();
    expect([one.view.lying, one.view.lyingThings]).toEqual([1, ['blind-2']]);
    const { by } = one.view;
    const stop = by.kind === 'scene' ? by.held.find(({ miss }) => miss) : undefined;
    one.loses(...(stop ? [stop.fault] : [])).clean();
    // A miss leaves it lying where it was.
    expect(one.view.lyingThings).toEqual(['blind-2']);
    one.clean();
    expect([one.view.lying, one.view.lyingThings]).toEqual([0, []]);
  });
});
