import type { Entry } from '@/core/log';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import {
  addDays,
  asId,
  type BoutId,
  type BreakdownId,
  type Day,
  type DogId,
  type ElementId,
  mixSeed,
  seeded,
  type TrialId,
} from '@/core/shared';
import { type Bout, type Breakdown, type ElementRecord, PLAIN_TRIAL, type Trial } from '@/data/records';
import { workFromBook } from './from-book';
import { TEMPERAMENT } from './other-dogs';
import type { ElementSpec } from './quill';
import { SAMPLE_RULE_BOOKS } from './rule-books';
import { CHANGED, dateOf, trainOnce } from './training';

const DOG = asId<DogId>('sample-dog-2');
const DAYS = 60;
const idOf = (part: string): ElementId => asId<ElementId>(`sample-dog-2-test-${part}`);
/** Elements that Juniper has from its methods, and what they do at the test. */
const [MEMORY, BLIND, CAST] = [
  'memory-retrieve-memory',
  'memory-retrieve-blind',
  'directional-casts-cast',
].map((name) => asId<ElementId>(`sample-dog-2-${name}`)) as [ElementId, ElementId, ElementId];

/** What the test asks and the methods do not: hunting an area, and giving at once. */
const SPECS: readonly ElementSpec[] = [
  {
    exercise: 'short-mark',
    part: 'find',
    axes: [{ start: 10, step: 0.35, limit: 0.6 }],
    skill: { level: 2.4, slopes: [1.3] },
    flaws: { 'leaves-area': 3 },
    latency: 2,
  },
  {
    exercise: 'short-mark',
    part: 'give',
    axes: [{ start: 4, step: 0.3, limit: 0.5 }],
    skill: { level: 2.5, slopes: [1.1] },
    flaws: { drops: 1, 'slow-give': 3 },
    latency: 1.2,
  },
];

/**
 * Juniper's working test: eight exercises of an invented rule book, broken down onto six elements,
 * and a trial in two months.
 */
export function makeWorkingTest(
  today: Day,
  seed: number,
): {
  readonly breakdowns: Breakdown[];
  readonly elements: ElementRecord[];
  readonly bouts: Bout[];
  readonly entries: Entry[];
  readonly trial: Trial;
} {
  const book = SAMPLE_RULE_BOOKS.find((one) => one.rules.family === 'retrieves');
  if (!book) throw new Error('the sample has a book of retrieves');
  const random = seeded(mixSeed(seed, 77));
  const works = SPECS.map((spec) =>
    workFromBook(spec, book, { dogId: DOG, id: idOf, temperament: TEMPERAMENT, kit: () => ['dummies'] }),
  );
  const [bouts, entries]: [Bout[], Entry[]] = [[], []];
  for (let day = 0; day < DAYS; day += 3) {
    for (const [i, work] of works.entries()) {
      const id = asId<BoutId>(`sample-dog-2-test-s${day}-${i}`);
      const trained = trainOnce(
        work,
        { id, day, date: dateOf(today, DAYS, day), hour: 18 + i, mood: random.normal() * TEMPERAMENT.daySd },
        random,
      );
      bouts.push(trained.bout);
      entries.push(...trained.entries);
    }
  }
  const element = (exercise: string, part: string): ElementId => {
    if (part === 'handle') return CAST;
    if (part !== 'go') return idOf(part);
    return /blind|diversion/.test(exercise) ? BLIND : MEMORY;
  };
  return {
    breakdowns: book.exercises.map((exercise) => ({
      id: asId<BreakdownId>(`sample-test-${exercise.id}`),
      dogId: DOG,
      ruleBookId: book.id,
      exercise: exercise.id,
      own: null,
      links: exercise.parts.map((part) => ({ part: part.id, element: element(exercise.id, part.id) })),
      putAway: false,
      changed: CHANGED,
    })),
    elements: works.map((work) => work.element),
    bouts,
    entries,
    trial: {
      id: asId<TrialId>('sample-trial-2'),
      dogId: DOG,
      ruleBookId: book.id,
      title: 'Brackwater open test',
      day: addDays(today, 61),
      entryCloses: addDays(today, 40),
      seed,
      assumptions: DEFAULT_ASSUMPTIONS,
      ...PLAIN_TRIAL,
      changed: CHANGED,
    },
  };
}
