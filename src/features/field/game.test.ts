import { describe, expect, it } from 'vitest';
import { endOf } from './end-view';
import { counted, countOf, type GameTally, gameReps, NO_GAME } from './game';
import { fromMethod, Play } from './play.test-helper';

const release = () => fromMethod('toy-game', 'release', { time: ['3 s', '1 s'] });
const fault = (one: Play, label: string) => {
  const found = [...one.view.flaws, ...one.view.misses].find((each) => each.label === label);
  if (!found) throw new Error(label);
  return found.ref;
};
/** The taps of the tally: `done` times, and the faults by their names. */
function tallied(one: Play, done: number, faults: Readonly<Record<string, number>>): GameTally {
  let tally = NO_GAME;
  for (let i = 0; i < done; i++) tally = counted(tally, 'times', 1);
  for (const [label, times] of Object.entries(faults))
    for (let i = 0; i < times; i++) tally = counted(tally, fault(one, label), 1);
  return tally;
}
const logged = (one: Play, tally: GameTally): Play => {
  const items = gameReps(tally, one.view);
  if ('ok' in items) throw new Error(items.code);
  return one.set(items);
};

describe('a game with a toy, tallied in the rest', () => {
  it('is the pad of work with a toy, and of nothing else', () => {
    expect(new Play(release()).view.by.kind).toBe('game');
    expect(new Play(fromMethod('formal-hold', 'still', { time: ['1 s', '9 s'] })).view.by.kind).toBe(
      'outcome',
    );
  });

  it('five releases, one slow, one taken again, two slow returns of yours', () => {
    const one = new Play(release());
    logged(one, tallied(one, 5, { Slow: 1, 'Took it again': 1, 'You were slow to go on': 2 }));
    expect(one.view.tally).toBe('5 reps, 3 clean');
    expect(one.counts).toEqual({ counted: 5, clean: 3 });
    const end = endOf(one.view);
    expect(end.dogs.map(({ label, count }) => `${label} ${count}`).sort()).toEqual([
      'Slow 1',
      'Took it again 1',
    ]);
    expect(end.handlers).toEqual([{ label: 'You were slow to go on', count: 2 }]);
  });

  it('a slow return of yours does not spoil the dog’s release', () => {
    const one = new Play(release());
    logged(one, tallied(one, 3, { 'You were slow to go on': 3 }));
    expect(one.counts).toEqual({ counted: 3, clean: 3 });
  });

  it('what did not let go at all is missed', () => {
    const one = new Play(release());
    logged(one, tallied(one, 2, { 'Did not let go': 1 }));
    expect(one.view.reps.map((rep) => rep.judged.outcome)).toEqual(['miss', 'clean']);
  });

  it('what went wrong was done: the number goes up with it, and never below none', () => {
    const one = new Play(release());
    const tally = tallied(one, 0, { Slow: 2 });
    expect([tally.times, countOf(tally, fault(one, 'Slow'))]).toEqual([2, 2]);
    expect(counted(NO_GAME, 'times', -1)).toEqual(NO_GAME);
    expect(countOf(counted(NO_GAME, fault(one, 'Slow'), -1), fault(one, 'Slow'))).toBe(0);
  });

  it('more wrong than was done is said, and nothing is logged', () => {
    const one = new Play(release());
    const less = counted(tallied(one, 2, { Slow: 2 }), 'times', -1);
    expect(gameReps(less, one.view)).toMatchObject({ ok: false, code: 'more' });
    expect(gameReps(NO_GAME, one.view)).toEqual([]);
  });
});
