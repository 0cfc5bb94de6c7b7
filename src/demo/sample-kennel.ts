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
  type Id,
  type KitId,
  seeded,
  type TrialId,
  type UsualId,
} from '@/core/shared';
import {
  type Bout,
  type Dog,
  PLAIN_KIT,
  PLAIN_TRIAL,
  type Signal,
  type Tables,
  UNKNOWN_DOG,
} from '@/data/records';
import { type Owner, workFromBook } from './from-book';
import { makeOtherDogs } from './other-dogs';
import { QUILL, TEMPERAMENT } from './quill';
import { SAMPLE_RULE_BOOKS } from './rule-books';
import { sampleSetOuts } from './sample-set-outs';
import { sampleTrials } from './sample-trials';
import { CHANGED, chooseWork, dateOf, instant, outingsOf, trainOnce } from './training';
import { makeWorkingTest } from './working-test';

const DOG = asId<DogId>('sample-dog-1');
const DAYS = 84;
const OWNER: Owner = {
  dogId: DOG,
  id: (part) => elementId(asId(part)),
  temperament: TEMPERAMENT,
  kit: (spec) => (spec.exercise === 'square' && spec.part !== 'set-up' ? ['tape for a square'] : []),
};
/**
 * A fortnight without work, as everyone has one: it shows in what is forgotten and in the width of
 * the figures.
 */
const GAP = { from: 41, to: 54 };

/**
 * The sample kennel, made by the simulated dog: about three months up to yesterday, from a seed.
 * The same seed and day give the same records, ids included.
 */
export function makeSampleKennel(today: Day, seed: number): Tables {
  const [book] = SAMPLE_RULE_BOOKS;
  const random = seeded(seed);
  const works = QUILL.map((spec) => workFromBook(spec, book, OWNER));
  const bouts: Bout[] = [];
  const entries: Entry[] = [];
  for (let day = 0; day < DAYS; day++) {
    if ((day >= GAP.from && day <= GAP.to) || random.uniform() < 0.3) continue;
    const mood = random.normal() * TEMPERAMENT.daySd;
    for (const work of chooseWork(works, day, random)) {
      const id = asId<BoutId>(`sample-s${bouts.length}`);
      const trained = trainOnce(
        work,
        { id, day, date: dateOf(today, DAYS, day), hour: 15 + (bouts.length % 3), mood },
        random,
      );
      bouts.push(trained.bout);
      entries.push(...trained.entries);
    }
  }
  const others = makeOtherDogs(today, seed);
  const test = makeWorkingTest(today, seed);
  const all = [...bouts, ...others.bouts, ...test.bouts];
  return {
    dogs: [quill(today), ...others.dogs],
    ruleBooks: SAMPLE_RULE_BOOKS.map((one) => ({
      id: one.id,
      book: one,
      addedAt: instant(addDays(today, -DAYS), 0),
      putAway: false,
      changed: CHANGED,
    })),
    breakdowns: [
      ...book.exercises.map((exercise) => ({
        id: asId<BreakdownId>(`sample-${exercise.id}`),
        dogId: DOG,
        ruleBookId: book.id,
        exercise: exercise.id,
        own: null,
        links: exercise.parts.map((part) => ({ part: part.id, element: elementId(part.id) })),
        putAway: false,
        changed: CHANGED,
      })),
      ...test.breakdowns,
    ],
    elements: [...works.map((work) => work.element), ...others.elements, ...test.elements],
    usuals: sampleWeek(),
    dogPlans: [],
    slots: [],
    otherWork: [],
    stops: [],
    ...sampleTrials(today, DOG, 'Quill', book, CHANGED),
    scripts: [],
    bearings: [],
    callings: [],
    events: [],
    seasons: [],
    clips: [],
    clipMarks: [],
    tracks: [],
    trackPoints: [],
    runForecasts: [],
    runLessons: [],
    practices: [],
    legs: [],
    held: [],
    titleAims: [],
    comments: [],
    people: [],
    ...sampleSetOuts(others.elements, all, [...others.entries], CHANGED),
    outings: outingsOf(all, today),
    bouts: all,
    entries: [...entries, ...others.entries, ...test.entries],
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
        ...PLAIN_TRIAL,
        changed: CHANGED,
      },
      test.trial,
    ],
    forecasts: [],
    results: [],
    gone: [],
    apart: [],
    signals: sampleSignals(),
    kit: ['dummies', 'whistle', 'platform', 'tape for a square', 'hurdle', 'dumbbell', 'boxes'].map(
      (title, i) => ({
        id: asId<KitId>(`sample-kit-${i}`),
        title,
        ...PLAIN_KIT,
        changed: CHANGED,
      }),
    ),
  };
}

function quill(today: Day): Dog {
  return {
    ...UNKNOWN_DOG,
    changed: CHANGED,
    id: DOG,
    name: 'Quill',
    breed: 'Shetland Sheepdog',
    born: addDays(today, -4 * 365 - 40),
    size: 'small',
    height: 0.37,
    shortNosed: false,
    betterSide: 'left',
    rewards: ['chicken', 'tug toy', 'praise'],
    vet: [
      { about: 'growth', said: 'long grown, may jump' },
      { about: 'jumps', said: 'up to 40 cm, at most ten a day, two days between' },
    ],
  };
}

const elementId = (part: Id<'part-key'>): ElementId => asId<ElementId>(`sample-${part}`);

const SIGNALS = [
  ['sample-dog-2', 'cue', 'Back', 'straight out', false],
  [DOG, 'cue', 'Square', 'run out to the square', false],
  [DOG, 'cue', 'Down', 'lie down at once', true],
  [null, 'marker', 'Yes', 'right, come for your reward', null],
  [null, 'keep-going', 'Good', 'go on', null],
  [null, 'release', 'Free', 'you may go', null],
  [null, 'end', 'Enough', 'the game is over', null],
] as const;

/** The words that these people say, made up like all the rest. */
const sampleSignals = (): Signal[] =>
  SIGNALS.map(([dogId, kind, word, means, stays], i) => ({
    id: asId(`sample-signal-${i + 1}`),
    dogId: dogId === null ? null : asId<DogId>(dogId),
    kind,
    word,
    means,
    stays,
    elements: [],
    changed: CHANGED,
  }));

/** The week of somebody who works: evenings, and the club’s ground on Saturdays with a helper. */
const WEEK: readonly (readonly [weekday: number, minutes: number])[] = [
  [1, 20],
  [2, 30],
  [4, 30],
  [6, 60],
  [7, 40],
];
const sampleWeek = (): Tables['usuals'] =>
  WEEK.map(([weekday, minutes]) => ({
    id: asId<UsualId>(`weekday-${weekday}`),
    on: { kind: 'weekday', weekday },
    minutes,
    strange: weekday === 6,
    where: weekday === 6 ? 'the club’s ground' : '',
    helper: weekday === 6,
    hot: false,
    changed: CHANGED,
  }));
