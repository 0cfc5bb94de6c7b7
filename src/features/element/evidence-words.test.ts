import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { studyElement } from '@/core/evidence';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import type { EvidenceRep } from '@/core/log';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DogId,
  type ElementId,
  type EntryId,
  must,
} from '@/core/shared';
import { CHANGED } from '@/data/kennel.test-helper';
import { type ElementRecord, PLAIN_ELEMENT } from '@/data/read';
import { NO_BREAK } from '@/words';
import { elementSentence, findings } from './evidence-words';

const TODAY = '2026-06-30' as Day;
const distance = testAxis();
const stay = testAxis({
  key: 'stay',
  title: 'Time down',
  quantity: 'duration',
  unit: 's',
  start: 2,
  demand: 30,
  step: 0.6,
  limit: 1,
});
const elementOf = (...axes: ElementRecord['axes']): ElementRecord => ({
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: asId<DogId>('d'),
  title: 'Stop at a distance',
  changed: CHANGED,
  axes,
});

/**
 * `sessions` sessions every other day up to `last` days ago, each with so many clean reps and
 * misses at a distance.
 */
type History = {
  readonly sessions: number;
  readonly last?: number;
  readonly each: (s: number) => readonly [clean: number, misses: number, at: number, stay?: number][];
};
function repsOf({ sessions, last = 1, each }: History): EvidenceRep[] {
  let at = 0;
  return Array.from({ length: sessions }, (_, s) =>
    each(s).flatMap(([clean, misses, metres, seconds = 2]) =>
      Array.from({ length: clean + misses }, (__, i): EvidenceRep => {
        at += 1;
        return {
          id: asId<EntryId>(`r${at}`),
          bout: asId<BoutId>(`s${String(s).padStart(2, '0')}`),
          day: addDays(TODAY, -last - 2 * (sessions - 1 - s)),
          at,
          away: false,
          outcome:
            i % Math.ceil((clean + misses) / Math.max(1, misses)) === 0 && misses > 0 ? 'miss' : 'clean',
          faults: [],
          cause: 'dog',
          aided: false,
          criteria: { [distance.key]: metres, [stay.key]: seconds },
        };
      }),
    ),
  ).flat();
}

const studied = (element: ElementRecord, reps: readonly EvidenceRep[], rung = 0) => {
  const at = { [distance.key]: 20, [stay.key]: 30 };
  const { rungs } = buildLadder(element);
  const stands = rungs[Math.min(rung, rungs.length - 1)]?.criteria ?? {};
  const here = { [distance.key]: 5, [stay.key]: 2, ...stands };
  const study = must(
    studyElement(
      { id: element.id, axes: element.axes, bouts: boutsOf(reps), at, here, conditions: [], bands: [5, 15] },
      TODAY,
    ),
  );
  return { study, words: elementSentence(element, study, stands, TODAY).replaceAll(NO_BREAK, ' ') };
};

describe('the sentence at the top, of twelve histories', () => {
  const one = elementOf(distance);
  const two = elementOf(distance, stay);
  const cases: [string, ElementRecord, History, number, RegExp][] = [
    [
      'nothing yet',
      one,
      { sessions: 0, each: () => [] },
      0,
      /^Stop at a distance: no rep yet, so nothing is known\. Begin on step 1 of \d: /,
    ],
    [
      'one rep',
      one,
      { sessions: 1, each: () => [[1, 0, 5]] },
      0,
      /: 1 rep in 1 session, too few to say how far it reaches\. Stay on step 1/,
    ],
    ['nine reps', one, { sessions: 3, each: () => [[2, 1, 5]] }, 1, /: 9 reps in 3 sessions, too few/],
    [
      'a beginner',
      one,
      {
        sessions: 4,
        each: () => [
          [9, 1, 5],
          [1, 3, 10],
        ],
      },
      0,
      /distance holds it; clean 8 times in 10 up to about [\d.]+ m \(.* to [\d.]+ m\), from 56 reps in 4 sessions\. Next: step 2 of/,
    ],
    [
      'a climber',
      one,
      { sessions: 8, each: (s) => [[10, 1, 5 + s]] },
      3,
      /it may reach the demand, and that is not sure yet\. .* from 88 reps in 8 sessions\. Next: step 5 of/,
    ],
    [
      'at the demand',
      one,
      { sessions: 10, each: () => [[12, 0, 20]] },
      3,
      /it reaches the demand\. Distance: clean 8 times in 10 (up to about|at|past what is asked)/,
    ],
    [
      'at the top rung',
      one,
      { sessions: 10, each: () => [[12, 0, 20]] },
      99,
      /It stands on the top step: keep it, in other places\.$/,
    ],
    [
      'a wall',
      one,
      {
        sessions: 16,
        each: () => [
          [8, 0, 8],
          [1, 4, 14],
        ],
      },
      2,
      /: a wall\. Distance has not risen for 6 sessions; .* from 208 reps in 16 sessions\. Go back two steps/,
    ],
    [
      'only misses',
      one,
      { sessions: 5, each: () => [[0, 6, 5]] },
      0,
      /not clean 8 times in 10 even at its start \(5 m\), from 30 reps/,
    ],
    [
      'the other axis',
      two,
      {
        sessions: 6,
        each: () => [
          [8, 0, 20, 2],
          [1, 4, 5, 15],
        ],
      },
      2,
      /time down holds it; clean 8 times in 10 up to about [\d.]+ s/,
    ],
    [
      'long ago',
      one,
      { sessions: 4, last: 45, each: () => [[9, 2, 8]] },
      1,
      /Not trained for 45 days: begin below where it stood\./,
    ],
    [
      'nothing to climb',
      elementOf(testAxis({ start: 20, demand: 20 })),
      { sessions: 3, each: () => [[8, 1, 20]] },
      0,
      /nothing is climbed here, all criteria are held\. 27 reps in 3 sessions/,
    ],
  ];
  it.each(cases)('%s', (_, element, history, rung, words) =>
    expect(studied(element, repsOf(history), rung).words).toMatch(words));

  it('moves with the reps: more clean ones further out reach further', () => {
    const near = studied(one, repsOf({ sessions: 6, each: () => [[8, 2, 6]] })).study.estimate.reach[0];
    const far = studied(one, repsOf({ sessions: 6, each: () => [[8, 2, 16]] })).study.estimate.reach[0];
    expect(far?.mid ?? 0).toBeGreaterThan((near?.mid ?? 9) + 0.2);
  });
});

describe('findings', () => {
  const one = elementOf(distance);
  it('name only what was logged', () => {
    const reps = repsOf({ sessions: 6, each: () => [[8, 2, 8]] });
    expect(findings(studied(one, reps).study, TODAY, one).map((finding) => finding.title)).toEqual([
      'At the trial',
      'From day to day',
      'Keeping it',
    ]);
    const told = reps.map(
      (rep, i): EvidenceRep => ({
        ...rep,
        latency: rep.outcome === 'clean' ? 1.2 : null,
        measured: -9,
        held: 4,
        cues: { needed: i % 5 === 0 ? 1 : 0, slip: 0 },
        landed: i % 2 ? 'ahead' : 'spot',
        timing: i % 10 === 0 ? 'before-word' : 'unprompted',
        cause: i % 20 === 7 ? 'handler' : 'dog',
        did: i % 3 === 0 ? 'came-back' : 'stood',
      }),
    );
    const found = new Map(
      findings(studied(one, told).study, TODAY, one).map((finding) => [finding.title, finding.words]),
    );
    expect([...found.keys()]).toEqual([
      'At the trial',
      'From day to day',
      'Quickness',
      'Straightness',
      'Too early',
      'Extra cues',
      'The handler’s',
      'Where the reward landed',
      'By what you did',
      'Keeping it',
    ]);
    expect(found.get('Straightness')).toContain('Its middle is 9° left');
    expect(found.get('Straightness')).toContain('Straighten its middle first');
    expect(found.get('Quickness')).toContain('over 99');
    expect(found.get('Quickness')).toContain('no criterion asks for one');
    expect(found.get('Too early')).toMatch(/^6 of 60 came before the word, so /);
  });
});
