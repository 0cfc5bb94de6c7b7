import { afterEach, describe, expect, it, vi } from 'vitest';

/** What the browser keeps for a page. */
const kept = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
});
const { useLesson } = await import('./lesson-store');
const { clocksOf } = await import('./end-view');
const store = () => useLesson.getState();

afterEach(() => useLesson.setState({ warmUp: null, games: {} }));

describe('clocks of a lesson that run', () => {
  it('are counted and gone when their bout ends, and those of another run on', () => {
    store().warm({ bout: 'a', since: 1_000 });
    store().play('a', { kind: 'rest', since: 11_000 });
    store().play('b', { kind: 'work', since: 21_000 });
    expect(store().stop('a', 31_400)).toEqual([
      { kind: 'clock', what: 'warm-up', seconds: 30 },
      { kind: 'clock', what: 'rest', seconds: 20 },
    ]);
    expect(store().stop('a', 40_000)).toEqual([]);
    expect(store().games).toEqual({ b: { kind: 'work', since: 21_000 } });
  });

  it('never count backwards where a clock was put back, and a game of another day is forgotten', () => {
    store().warm({ bout: 'a', since: 50_000 });
    expect(store().stop('a', 10_000)).toEqual([{ kind: 'clock', what: 'warm-up', seconds: 0 }]);
    store().play('old', { kind: 'work', since: 0 });
    store().play('new', { kind: 'work', since: 25 * 3_600_000 });
    expect(Object.keys(store().games)).toEqual(['new']);
  });

  it('outlive a reload', () => {
    store().warm({ bout: 'a', since: 1_000 });
    expect(JSON.parse(kept.get('regulon-lesson') ?? '{}')).toMatchObject({
      state: { warmUp: { bout: 'a' } },
    });
  });

  it('add up with easy ones, and what was taken back is not among them', () => {
    const entry = (id: string, said: object) => ({ id, ...said }) as never;
    const log = [
      entry('1', { kind: 'clock', what: 'work', seconds: 40 }),
      entry('2', { kind: 'clock', what: 'rest', seconds: 60 }),
      entry('3', { kind: 'clock', what: 'work', seconds: 20 }),
      entry('4', { kind: 'easy', what: 'a sit' }),
      entry('5', { kind: 'easy', what: 'a touch' }),
      entry('6', { kind: 'undo', of: '5' }),
    ];
    expect(clocksOf(log)).toEqual({ sums: { 'warm-up': 0, work: 60, rest: 60 }, easy: 1 });
  });
});
