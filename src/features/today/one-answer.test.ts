import { describe, expect, it } from 'vitest';
import { asId, type ElementId } from '@/core/shared';
import { sampleState } from '@/demo/sample-state.test-helper';
import { type Asked, oneAnswer, type Usual, usualOf } from './one-answer';
import type { SuggestedSession } from './suggestions';

const session = (title: string, change: Partial<SuggestedSession> = {}): SuggestedSession =>
  ({
    element: asId<ElementId>(title),
    title,
    reason: '',
    workedToday: false,
    isNew: false,
    ...change,
  }) as never;
const USUAL: Readonly<Record<string, Usual>> = {
  stop: { minutes: 8, home: 40, away: 12 },
  jump: { minutes: 5, home: 30, away: 0 },
  heel: { minutes: 12, home: 50, away: 0 },
  new: { minutes: null, home: 0, away: 0 },
};
const usual = (id: ElementId): Usual => USUAL[id] ?? { minutes: null, home: 0, away: 0 };
const all = [session('new'), session('stop'), session('jump'), session('heel')];
const answer = (asked: Partial<Asked>, sessions = all) => {
  const found = oneAnswer(sessions, { minutes: null, place: 'usual', ...asked }, usual);
  return found && [found.first.title, found.then.map((one) => one.title).join(' '), found.because ?? ''];
};

describe('the one answer to minutes, place and dog', () => {
  it('is the best session where nothing more was said', () => {
    expect(answer({})).toEqual(['new', '', '']);
  });

  it('fills the minutes with what usually fits, and puts nothing after an unknown length', () => {
    expect(answer({ minutes: 20 }, all.slice(1))).toEqual(['stop', 'jump', '']);
    expect(answer({ minutes: 40 }, all.slice(1))).toEqual(['stop', 'jump heel', '']);
    expect(answer({ minutes: 20 })).toEqual([
      'new',
      '',
      'How long it takes is not known yet: do one set, and look at the clock at 20 minutes.',
    ]);
  });

  it('says what to do where the minutes are too few for it', () => {
    expect(answer({ minutes: 5 }, all.slice(1))).toEqual([
      'stop',
      '',
      'It usually takes 8 minutes and you have 5: do one set, and end on a good one.',
    ]);
  });

  it('in a strange place: what is known at home and was never away; what is new stays at home', () => {
    expect(answer({ place: 'strange' })?.[0]).toBe('jump');
    expect(answer({ place: 'strange' })?.[2]).toContain('jump is known at home, and was never done away');
    expect(answer({ place: 'strange' }, [session('stop')])?.[2]).toContain('go on with it away');
    expect(answer({ place: 'strange' }, [session('new')])?.[2]).toContain('keep it for home');
  });

  it('is none where all was worked today: no stand-in', () => {
    expect(answer({}, [session('stop', { workedToday: true })])).toBeNull();
    expect(answer({}, [session('stop', { workedToday: true }), session('jump')])?.[0]).toBe('jump');
    expect(answer({}, [])).toBeNull();
  });

  it('knows the usual length and place of an element from its bouts', () => {
    const [, bouts] = [...sampleState().evidence].find(([, list]) => list.length > 10) ?? [];
    const found = usualOf(bouts ?? []);
    expect(found.minutes).toBeGreaterThan(1);
    expect(found.home).toBeGreaterThan(found.away);
    expect(usualOf([])).toEqual({ minutes: null, home: 0, away: 0 });
  });
});
