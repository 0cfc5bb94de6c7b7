import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import {
  addDays,
  asId,
  type BreakdownId,
  type Day,
  type DogId,
  type ElementId,
  type Id,
  type KitId,
  type SessionId,
  seeded,
  type TrialId,
} from '@/core/shared';
import type { Dog, Entry, Session, Tables } from '@/data/records';
import { type Owner, workFromBook } from './from-book';
import { makeMates } from './mates';
import { QUILL, TEMPERAMENT } from './quill';
import { SAMPLE_RULE_BOOKS } from './rule-books';
import { chooseWork, dateOf, instant, trainOnce } from './training';
import { makeWorkingTest } from './working-test';

const DOG = asId<DogId>('sample-dog-1');
const DAYS = 84;
const OWNER: Owner = {
  dogId: DOG,
  id: (part) => elementId(asId(part)),
  temperament: TEMPERAMENT,
  kit: (spec) => (spec.exercise === 'square' && spec.part !== 'set-up' ? ['tape for a square'] : []),
};
/** A fortnight without work, as everyone has one: it shows in what is forgotten and in the width of the figures. */
const GAP = { from: 41, to: 54 };

/**
 * The sample kennel, made by the simulated dog: about three months up to yesterday, from a seed. The same seed and day give the same
 * records, ids included.
 */
export function makeSampleKennel(today: Day, seed: number): Tables {
  const [book] = SAMPLE_RULE_BOOKS;
  const random = seeded(seed);
  const works = QUILL.map((spec) => workFromBook(spec, book, OWNER));
  const sessions: Session[] = [];
  const entries: Entry[] = [];
  for (let day = 0; day < DAYS; day++) {
    if ((day >= GAP.from && day <= GAP.to) || random.uniform() < 0.3) continue;
    const mood = random.normal() * TEMPERAMENT.daySd;
    for (const work of chooseWork(works, day, random)) {
      const id = asId<SessionId>(`sample-s${sessions.length}`);
      const trained = trainOnce(work, { id, day, date: dateOf(today, DAYS, day), hour: 15 + (sessions.length % 3), mood }, random);
      sessions.push(trained.session);
      entries.push(...trained.entries);
    }
  }
  const mates = makeMates(today, seed);
  const test = makeWorkingTest(today, seed);
  return {
    dogs: [quill(today), ...mates.dogs],
    ruleBooks: SAMPLE_RULE_BOOKS.map((one) => ({ id: one.id, book: one, addedAt: instant(addDays(today, -DAYS), 0) })),
    breakdowns: [
      ...book.exercises.map((exercise) => ({
        id: asId<BreakdownId>(`sample-${exercise.id}`),
        dogId: DOG,
        ruleBookId: book.id,
        exercise: exercise.id,
        own: null,
        links: exercise.elements.map((element) => ({ part: element.id, element: elementId(element.id) })),
      })),
      ...test.breakdowns,
    ],
    elements: [...works.map((work) => work.element), ...mates.elements, ...test.elements],
    sessions: [...sessions, ...mates.sessions, ...test.sessions],
    entries: [...entries, ...mates.entries, ...test.entries],
    trials: [
      {
        id: asId<TrialId>('sample-trial'),
        dogId: DOG,
        ruleBookId: book.id,
        title: 'Vellmoor club trial',
        day: addDays(today, 26),
        entryCloses: addDays(today, 12),
        seed,
        assumptions: DEFAULT_ASSUMPTIONS,
      },
      test.trial,
    ],
    forecasts: [],
    results: [],
    kit: ['dummies', 'whistle', 'platform', 'tape for a square', 'hurdle', 'dumbbell', 'boxes'].map((title, i) => ({
      id: asId<KitId>(`sample-kit-${i}`),
      title,
    })),
  };
}

function quill(today: Day): Dog {
  return {
    id: DOG,
    name: 'Quill',
    breed: 'Shetland Sheepdog',
    born: addDays(today, -4 * 365 - 40),
    size: 'small',
    shortNosed: false,
    betterSide: 'left',
    rewards: ['chicken', 'tug toy', 'praise'],
    cues: [
      { word: 'Square', means: 'run out to the square' },
      { word: 'Down', means: 'lie down at once' },
    ],
    vet: [
      { about: 'growth', said: 'long grown, may jump' },
      { about: 'jumps', said: 'up to 40 cm, at most ten a day, two days between' },
    ],
  };
}

const elementId = (part: Id<'element-key'>): ElementId => asId<ElementId>(`sample-${part}`);
