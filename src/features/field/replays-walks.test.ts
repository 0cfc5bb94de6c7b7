import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { endOf } from './end-view';
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
    expect(endOf(one.view).sides).toEqual([
      {
        title: 'Side',
        options: [
          { words: 'left', clean: 2, of: 2 },
          { words: 'right', clean: 1, of: 2 },
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
    one.tap({ tap: 'scene', lost: [] });
    expect(one.view.tally).toBe('1 rep, 1 clean');
    const lost = by.kind === 'scene' ? by.held.slice(0, 2).map(({ fault }) => fault) : [];
    one.tap({ tap: 'scene', lost });
    expect(one.view.tally).toBe('2 reps, 1 clean');
    expect(endOf(one.view).dogs.map(({ label }) => label)).toEqual(['Ran in', 'Out of hand']);
  });
  it('a stop that was not taken is a miss, and the coach says to stop and name it', () => {
    const one = new Play(fromMethod('field-season', 'blind'));
    const { by } = one.view;
    const stop = by.kind === 'scene' ? by.held.find(({ miss }) => miss) : undefined;
    expect(stop?.words).toBe('Stopped');
    one.tap({ tap: 'scene', lost: stop ? [stop.fault] : [] });
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
