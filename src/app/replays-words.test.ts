import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { assessElement } from '@/core/evidence';
import { elementQuestions } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { stateOf, TODAY } from '@/demo/sample-state.test-helper';
import { elementSentence } from '@/features/element/element-sentence';
import { findings } from '@/features/element/evidence-words';
import { fromMethod, Play } from '@/features/field/play.test-helper';
import { suggestedSessions } from '@/features/today/suggestions';

const told = (play: Play): Map<string, string> =>
  new Map(
    findings(play.studied, play.today, play.element).map(({ title, words }) => [
      title,
      words.replaceAll('\u00a0', ' '),
    ]),
  );
const recall = () => fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] });

describe('what an element’s page says of a lesson that was played', () => {
  it('a cue transfer of 20 chances with 7 alone: 7 of 20, prompted and silent tests apart', () => {
    const play = new Play(fromMethod('cue-transfer', 'transfer'));
    for (let i = 0; i < 7; i++) play.timed('unprompted');
    for (let i = 0; i < 10; i++) play.timed('prompted');
    for (let i = 0; i < 3; i++) play.timed('none');
    expect(told(play).get('To the new cue alone')).toBe(
      '7 of 20 chances; 10 after the prompt, 3 not at all.',
    );
  });
  it('a stay broken at the pocket alone: that thing is named, and what to do about it', () => {
    const play = new Play(fromMethod('stays', 'actions', { time: ['2 s', '10 s'] }));
    play.chip('action', 'a jig').clean(5).chip('action', 'hand in the pocket');
    for (let i = 0; i < 4; i++) play.fault('Broke');
    expect(told(play).get('By what you did')).toBe(
      'Not clean: at “hand in the pocket” 4 of 4, at “a jig” 0 of 5. It is “hand in the pocket” alone: make that smaller, not rarer. Few of them: no rate yet.',
    );
  });
  it('cues that slipped cost at a trial and say nothing of the dog', () => {
    const play = new Play(recall()).clean().tap({ tap: 'cues', why: 'slip', count: 1 }).clean();
    expect(told(play).get('Extra cues')).toContain('1 slipped from you, which costs at a trial');
  });
  it('calm in the kit, in one tap where it is the same throughout', () => {
    const play = new Play(fromMethod('worn-kit', 'closed', { time: ['1 s', '30 s'] }));
    play.clean().tap({ tap: 'say', change: { seen: { calm: { on: 5, worn: 5, off: 5 } } } });
    play.clean().tap({ tap: 'say', change: { seen: { calm: { on: 1 } } } });
    expect(told(play).get('Calm in the kit')).toBe(
      'As it was put on 1 of 2, while it was worn 1 of 1, after it came off 1 of 1.',
    );
  });
  it('each word of a mix keeps its own reach, and is called at it', () => {
    const element = fromMethod('positions-at-a-distance', 'position', { distance: ['2 m', '8 m'] });
    const words = ['drop', 'sit'];
    const far = buildLadder(element).rungs.at(-1)?.criteria ?? {};
    const play = new Play(element, { words, start: far }).calls('cues');
    for (let i = 0; i < 10; i++) play.call?.word === 'drop' ? play.clean() : play.tap({ tap: 'miss' });
    play.calls(null).tap({ tap: 'move', to: buildLadder(element).rungs[0]?.criteria ?? {}, because: 'hand' });
    for (let i = 0; i < 3; i++) play.chip('word', 'sit').clean();
    expect(told(play).get('By word')).toMatch(
      /^“drop” 8 m \((\d) of \1 clean\), “sit” 2 m \(3 of 3 clean\)\. The caller asks each at its own\.$/,
    );
    play.tap({ tap: 'move', to: far, because: 'hand' }).calls('cues');
    for (let i = 0; i < 6; i++) {
      const word = play.call?.word;
      play.clean();
      const asked = Object.values(play.view.last?.asked.criteria ?? {});
      expect([word, asked[0]]).toEqual([word, word === 'sit' ? 2 : 8]);
    }
  });
  it('what was paid with which reward, and a jackpot in one tap', () => {
    const play = new Play(recall());
    for (const what of ['cheese', 'toy'])
      play.clean().tap({ tap: 'say', change: { paid: { what, size: 'jackpot' } } });
    expect(told(play).get('By reward')).toBe(
      'On the same steps clean: cheese 1 of 1, toy 1 of 1. 2 jackpots.',
    );
  });
  it('one rep on the top rung is not yet a thing to keep', () => {
    const element = recall();
    const { rungs } = buildLadder(element);
    const play = new Play(element, { start: rungs.at(-2)?.criteria ?? {} })
      .clean(12)
      .after(2)
      .clean(5)
      .take()
      .clean();
    const words = (): string => elementSentence(element, play.studied, play.view.criteria, play.today);
    expect(words()).toContain('1 of 1 rep clean there: 9 more before that says anything');
    expect(play.clean(9).studied.here).toEqual({ reps: 10, clean: 10 });
    expect(words()).toContain('keep it, in other places');
  });
  it('pieces are pay: they change nothing of what was asked', () => {
    const play = new Play(recall()).clean();
    const before = play.counts;
    expect(play.tap({ tap: 'say', change: { paid: { pieces: 10 } } }).counts).toEqual(before);
    expect(play.kept[0]?.cells).toHaveLength(1);
  });
});

describe('what Today suggests', () => {
  const all = makeSampleKennel(TODAY, 2);
  const [dog] = all.dogs;
  if (!dog) throw new Error('the sample has a dog');
  const state = stateOf(all, dog.id);
  const weighed = elementQuestions(state.work, state.evidence, state.stands).map((question) => ({
    id: question.id,
    found: assessElement(question, TODAY),
  }));
  const today = (change: Partial<typeof dog>, signs: (typeof state.bouts)[number]['signs'] = []) =>
    suggestedSessions(
      { ...dog, ...change },
      { ...state, bouts: state.bouts.map((bout, i) => (i === 0 ? { ...bout, signs } : bout)) },
      weighed,
      TODAY,
    ).length;
  it('nothing for a dog off work, nor while pain stands; something once it is over', () => {
    const offWork = { since: TODAY, until: null, why: 'operated', vet: '' };
    expect(today({})).toBeGreaterThan(3);
    expect(today({ offWork })).toBe(0);
    expect(today({ offWork: { ...offWork, since: '2026-06-01' as never, until: TODAY } })).toBeGreaterThan(3);
    expect(today({}, [{ id: 'x', sign: 'tremor' }])).toBe(0);
    expect(today({}, [{ id: 'x', sign: 'yawning' }])).toBeGreaterThan(3);
    // A growl holds the element in which it was heard, and no other.
    expect(today({}, [{ id: 'x', sign: 'growled' }])).toBe(today({}) - 1);
  });
});
