import { describe, expect, it } from 'vitest';
import { buildLadder, placeOn } from '@/core/breakdown';
import { assessElement } from '@/core/evidence';
import { addDays } from '@/core/shared';
import type { DogState } from '@/data/live';
import { elementQuestions } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import type { Weighed } from '@/workers/client';
import { inDays, suggestedSessions, trialInWords } from './suggestions';

const state = sampleState();
const [dog] = makeSampleKennel(TODAY, 2).dogs;
if (!dog) throw new Error('the sample has a dog');
const weigh = (evidence: DogState['evidence']): Weighed[] =>
  elementQuestions(state.work, evidence, state.stands).map((question) => ({
    id: question.id,
    found: assessElement(question, TODAY),
  }));
const weighed = weigh(state.evidence);

describe('what Today suggests', () => {
  const sessions = suggestedSessions(dog, state, weighed, TODAY);

  it('covers every element once, the dearest weakness first, with rung, rods and cautions', () => {
    expect(new Set(sessions.map((session) => session.element)).size).toBe(11);
    expect(sessions[0]).toMatchObject({
      element: 'sample-stop-down',
      rungInWords: expect.stringMatching(/^\d+ of 16: /),
    });
    expect(wordsOf(sessions[0]?.reason)).toContain('one fault can cost up to 22 points');
    expect(sessions[0]?.rods).toHaveLength(2);
    expect(
      wordsOf(
        sessions
          .find((session) => session.element === 'sample-jump-out')
          ?.cautions.find((one) => one.id === 'jumps')?.text,
      ),
    ).toContain('Your vet said: up to 40 cm');
  });

  it('starts the next day as many rungs below as the pace says', () => {
    const careful = state.work.elements.map((element) => ({
      ...element,
      policy: { ...element.policy, pace: { ...element.policy.pace, startBelow: 2 } },
    }));
    const lower = suggestedSessions(
      dog,
      { ...state, work: { ...state.work, elements: careful } },
      weighed,
      TODAY,
    );
    const rungs = (list: typeof sessions): number[] =>
      list.map(({ element: id, start }) => {
        const element = state.work.elements.find((one) => one.id === id);
        return placeOn(buildLadder(element ?? { axes: [] }), start).rung;
      });
    expect(rungs(lower)).toEqual(rungs(sessions).map((rung) => Math.max(0, rung - 2)));
  });

  it('puts an element without a rep before all others', () => {
    const evidence = new Map([...state.evidence].filter(([id]) => id !== 'sample-give'));
    expect(suggestedSessions(dog, { ...state, evidence }, weigh(evidence), TODAY)[0]).toMatchObject({
      element: 'sample-give',
      reason: 'No rep of it is logged yet, so begin with it.',
    });
  });
});

describe('days in words', () => {
  it.each([
    [0, 'today'],
    [1, 'tomorrow'],
    [26, 'in 26 days'],
    [-1, 'yesterday'],
    [-5, '5 days ago'],
  ])('%d is %s', (days, words) => expect(inDays(days)).toBe(words));

  it('tells when entries close', () => {
    const trial = state.trials[0];
    if (!trial) throw new Error('the sample has a trial');
    expect(trialInWords(trial, TODAY)).toEqual({ days: 'in 26 days', closes: 'Entries close in 12 days.' });
    expect(trialInWords(trial, addDays(TODAY, 20)).closes).toBe('Entries are closed.');
    expect(trialInWords({ ...trial, entryCloses: null }, TODAY).closes).toBeNull();
  });
});
