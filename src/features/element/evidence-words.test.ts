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
import { elementSentence } from './element-sentence';
import { findings } from './evidence-words';

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
      /^Stop at a distance: 56 reps, not enough .* Distance holds it: clean 8 times in 10 up to about [\d.]+ m \(.* to [\d.]+ m\)\. Next: step 2 of/,
    ],
    [
      'a climber',
      one,
      { sessions: 8, each: (s) => [[10, 1, 5 + s]] },
      3,
      /^Stop at a distance: Would do it [\d.]+ times in 10 .*from 88 reps\)\. It may reach the demand, and that is not sure yet\. .* Next: step 5 of/,
    ],
    [
      'at the demand',
      one,
      { sessions: 10, each: () => [[12, 0, 20]] },
      3,
      /It reaches the demand\. Distance: clean 8 times in 10 (up to about|at|past what is asked)/,
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
        sessions: 20,
        each: () => [[6, 6, 12]],
      },
      2,
      /from 240 reps.* A wall: in 20 sessions it hardly rises \(9 in 10 that it does not\); Distance holds it, .*\. Go back two steps/,
    ],
    [
      'only misses',
      one,
      { sessions: 5, each: () => [[0, 6, 5]] },
      0,
      /not clean 8 times in 10 even at its start \(5 m\)\. Make the start easier before the next\.$/,
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
      /Time down holds it: clean 8 times in 10 up to about [\d.]+ s/,
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
      /from 27 reps\)\. Nothing is climbed here, all criteria are held\.$/,
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
      'From session to session',
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
      'From session to session',
      'Keeping it',
      'Quickness',
      'Straightness',
      'Too early',
      'Extra cues',
      'The handler’s',
      'Where the reward landed',
      'By what you did',
    ]);
    expect(found.get('Straightness')).toContain('Its middle is 9° left');
    expect(found.get('Straightness')).toContain('Straighten its middle first');
    expect(found.get('Quickness')).toContain('over 99');
    expect(found.get('Quickness')).toContain('no criterion asks for one');
    expect(found.get('Too early')).toMatch(/^6 of 60 came before the word, so /);
  });
});

describe('each finding is said where the reps tell it, and not where they do not', () => {
  const one = elementOf(distance);
  const even = (change: (i: number) => Partial<EvidenceRep>, sessions = 6): EvidenceRep[] =>
    repsOf({ sessions, each: () => [[8, 2, 8]] }).map((rep, i) => ({ ...rep, ...change(i) }));
  const said = (reps: readonly EvidenceRep[], element: ElementRecord = one): ReadonlyMap<string, string> =>
    new Map(
      findings(studied(element, reps, 3).study, TODAY, element).map((finding) => [
        finding.title,
        finding.words.replaceAll(NO_BREAK, ' '),
      ]),
    );
  /** Sessions with so many misses among ten, whose level swings. */
  const swinging = (misses: readonly number[]): EvidenceRep[] =>
    repsOf({ sessions: misses.length, each: (s) => [[10 - (misses[s] ?? 0), misses[s] ?? 0, 8]] });
  const late = (i: number): Partial<EvidenceRep> => ({ outcome: i % 20 > 9 && i % 2 ? 'miss' : 'clean' });
  const long = (change: (i: number) => Partial<EvidenceRep>): EvidenceRep[] =>
    repsOf({ sessions: 14, each: () => [[20, 0, 8]] }).map((rep, i) => ({ ...rep, ...change(i) }));

  const TABLE: [string, string, readonly EvidenceRep[], RegExp | null][] = [
    ['ten reps', 'At the trial', even(() => ({})), /^Cold, in a strange place and without pay/],
    ['nine reps', 'At the trial', even(() => ({}), 6).slice(0, 9), null],
    ['few sessions', 'From day to day', even(() => ({}), 2), /^Not told by these reps yet/],
    ['even sessions', 'From day to day', swinging([5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5]), /^What is clean/],
    ['wide swings', 'From day to day', swinging([0, 9, 1, 8, 0, 9, 1, 9, 0, 8, 1, 9]), /^What is clean/],
    ['few sessions', 'From session to session', even(() => ({}), 2), /^Not told by these reps yet/],
    [
      'climbing',
      'From session to session',
      swinging([10, 9, 9, 8, 8, 7, 6, 6, 5, 4, 3, 3, 2, 2, 1, 1, 1, 0]),
      /^One session makes of 80 % clean/,
    ],
    [
      'falling',
      'From session to session',
      swinging([0, 0, 1, 1, 2, 2, 3, 3, 4, 5, 5, 6, 7, 7, 8, 8, 9, 9]),
      /^It loses from session to session/,
    ],
    [
      'a late half that misses',
      'Within a session',
      long(late),
      /^After 10 goes it is clean [\d.]+ in 10 less/,
    ],
    ['even goes', 'Within a session', long((i) => ({ outcome: i % 7 === 3 ? 'miss' : 'clean' })), null],
    [
      'rests after which it is no better',
      'Within a session',
      long((i) => ({ ...late(i), rested: i % 20 === 10 })),
      /A rest gives little of it back/,
    ],
    [
      'rests after which it begins anew',
      'Within a session',
      long((i) => ({ outcome: i % 10 > 4 && i % 2 ? 'miss' : 'clean', rested: i % 20 === 10 })),
      /A rest gives (most|about half) of it back/,
    ],
    ['no gap', 'Keeping it', even(() => ({})), /What a gap takes is only assumed/],
    ['nine reps', 'Keeping it', even(() => ({}), 6).slice(0, 9), null],
    ['nothing timed', 'Quickness', even(() => ({})), null],
    ['timed', 'Quickness', even((i) => ({ latency: 1 + (i % 5) / 4 })), /^The middle answer comes at/],
    ['no angle', 'Straightness', even(() => ({})), null],
    ['left of it', 'Straightness', even((i) => ({ measured: -9 + (i % 3) })), /Straighten its middle first/],
    [
      'straight',
      'Straightness',
      even((i) => ({ measured: (i % 3) - 1 })),
      /^(?!.*Straighten).*Its middle is/,
    ],
    ['after the word', 'Too early', even(() => ({ timing: 'unprompted' })), null],
    ['before it', 'Too early', even((i) => ({ timing: i % 5 ? 'unprompted' : 'before-word' })), /^12 of 60/],
    ['no cue said', 'Extra cues', even(() => ({})), null],
    ['needed', 'Extra cues', even((i) => ({ cues: { needed: i % 3 ? 0 : 1, slip: 0 } })), /^20 of 60 reps/],
    ['the dog’s all', 'The handler’s', even(() => ({})), null],
    ['three of yours', 'The handler’s', even((i) => (i % 20 === 1 ? { cause: 'handler' } : {})), /^3 of 60/],
    ['one reward', 'By reward', even(() => ({ what: 'ball' })), null],
    [
      'two on the same step',
      'By reward',
      even((i) => ({ what: i % 2 ? 'ball' : 'food' })),
      /^On the same steps clean: ball \d+ of 30, food/,
    ],
    [
      'each on its own step',
      'By reward',
      even((i) => ({
        what: i < 30 ? 'ball' : 'food',
        criteria: { [distance.key]: i < 30 ? 5 : 15 },
      })),
      /^Never on the same step, so only how often: ball 30, food 30\./,
    ],
    [
      'two landings on the same step',
      'Where the reward landed',
      even((i) => ({ landed: i % 2 ? 'ahead' : 'spot' })),
      /next clean \d+ of \d+.* Counted where several were done on the same step\.$/,
    ],
    [
      'each on its own step',
      'Where the reward landed',
      even((i) => ({
        landed: i < 30 ? 'ahead' : 'spot',
        criteria: { [distance.key]: i < 31 ? 5 : 15 },
      })),
      /^(?!.*next clean).*so they are not compared\.$/,
    ],
    ['one landing', 'Where the reward landed', even(() => ({ landed: 'spot' })), null],
    [
      'breaks at one thing alone',
      'By what you did',
      even((i) => ({ did: i % 2 ? 'a' : 'b', outcome: i % 2 ? 'clean' : 'flawed' })),
      /make that smaller/,
    ],
    [
      'the same on other steps',
      'By what you did',
      even((i) => ({
        did: i < 30 ? 'a' : 'b',
        outcome: i < 30 ? 'clean' : 'flawed',
        criteria: { [distance.key]: i < 30 ? 5 : 15 },
      })),
      /^(?!.*make that smaller).*not to be compared/,
    ],
    ['nothing held', 'Holding', even(() => ({})), null],
    ['no probe', 'After a gap', even(() => ({})), null],
    ['probes', 'After a gap', even((i) => (i % 10 === 0 ? { purpose: 'probe' } : {})), /^\d of 6/],
    ['asked only', 'Paid though unasked', even(() => ({})), null],
    ['unasked twice', 'Paid though unasked', even((i) => (i < 2 ? { unasked: true } : {})), /^Twice/],
    ['drive', 'Drive', even((i) => ({ drive: i % 2 ? 5 : 3 })), /^Full drive in 30 of 60/],
    ['no drive', 'Drive', even(() => ({})), null],
  ];
  it.each(TABLE)('%s: “%s”', (_, title, reps, words) => {
    const found = said(reps).get(title);
    if (words === null) expect(found).toBeUndefined();
    else expect(found).toMatch(words);
  });

  it('holding, on an axis that is held', () => {
    const held = elementOf(stay);
    const reps = even((i) => ({
      held: 5 + (i % 9),
      endedBy: i % 4 === 0 ? 'dog' : 'handler',
      criteria: { [stay.key]: 5 },
    }));
    expect(said(reps, held).get('Holding')).toMatch(/^\d+ of 60 holds were broken by the dog/);
  });
});
