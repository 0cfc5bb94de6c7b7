import { type Axis, buildLadder } from '@/core/breakdown';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { prepareRules, type RuleBook, type RuleElement } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type BreakdownId,
  type Day,
  type DogId,
  type ElementId,
  type Id,
  type KitId,
  must,
  type SessionId,
  seeded,
  type TrialId,
  toBase,
} from '@/core/shared';
import { type Dog, type ElementRecord, type Entry, PLAIN_ELEMENT, type Session, type Tables } from '@/data/records';
import { makeMates } from './mates';
import { type ElementSpec, QUILL, TEMPERAMENT } from './quill';
import { SAMPLE_RULE_BOOKS } from './rule-books';
import { chooseWork, dateOf, instant, trainOnce, type Work } from './training';

const DOG = asId<DogId>('sample-dog-1');
const DAYS = 84;
/** A fortnight without work, as everyone has one: it shows in what is forgotten and in the width of the figures. */
const GAP = { from: 41, to: 54 };

/**
 * The sample kennel, made by the simulated dog: about three months up to yesterday, from a seed. The same seed and day give the same
 * records, ids included.
 */
export function makeSampleKennel(today: Day, seed: number): Tables {
  const [book] = SAMPLE_RULE_BOOKS;
  const random = seeded(seed);
  const works = QUILL.map((spec) => startWork(spec, book));
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
  return {
    dogs: [quill(today), ...mates.dogs],
    ruleBooks: SAMPLE_RULE_BOOKS.map((one) => ({ id: one.id, book: one, addedAt: instant(addDays(today, -DAYS), 0) })),
    breakdowns: book.exercises.map((exercise) => ({
      id: asId<BreakdownId>(`sample-${exercise.id}`),
      dogId: DOG,
      ruleBookId: book.id,
      exercise: exercise.id,
      own: null,
      links: exercise.elements.map((element) => ({ part: element.id, element: elementId(element.id) })),
    })),
    elements: [...works.map((work) => work.element), ...mates.elements],
    sessions: [...sessions, ...mates.sessions],
    entries: [...entries, ...mates.entries],
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

function startWork(spec: ElementSpec, book: RuleBook): Work {
  const exercise = book.exercises.find((candidate) => candidate.id === spec.exercise);
  const rule = exercise?.elements.find((candidate) => candidate.id === spec.part);
  const miss = prepareRules(book.rules, book.exercises)
    .exercises.find((candidate) => candidate.exercise === spec.exercise)
    ?.faults.find(({ fault }) => fault.miss && fault.element === spec.part);
  if (!rule || !miss) throw new Error(`the sample rule book has no element ${spec.exercise}/${spec.part}`);
  const axes = rule.demands.map((demand, i) => axisOf(demand, spec.axes[i]));
  const jumps = axes.some((axis) => axis.quantity === 'height');
  const element: ElementRecord = {
    ...PLAIN_ELEMENT,
    id: elementId(rule.id),
    dogId: DOG,
    title: rule.title,
    axes,
    work: jumps ? ['jump'] : [],
    kit: jumps ? ['hurdle'] : spec.exercise === 'square' && spec.part !== 'set-up' ? ['tape for a square'] : [],
  };
  const { flaws, slip, latency, skill } = spec;
  return {
    element,
    ladder: buildLadder(element),
    temperament: TEMPERAMENT,
    miss: miss.fault.id,
    flaws,
    slip: slip ?? null,
    latency,
    skill,
    rung: 0,
    last: null,
  };
}

function axisOf(demand: RuleElement['demands'][number], plan: ElementSpec['axes'][number] | undefined): Axis {
  if (!plan) throw new Error(`no plan for the axis ${demand.axis}`);
  const base = (value: number): number => must(toBase(demand.quantity, value, demand.unit));
  // Even axes count their steps in base units, ratio axes in ratios, which have none.
  const amount = (step: number): number => (demand.quantity === 'height' ? base(step) : step);
  return {
    key: demand.axis,
    title: demand.title,
    quantity: demand.quantity,
    unit: demand.unit,
    harder: demand.harder,
    role: 'criterion',
    levels: null,
    start: base(plan.start),
    demand: base(demand.value),
    step: amount(plan.step),
    limit: amount(plan.limit),
    zeroScale: plan.zeroScale ?? null,
    margin: 0.2,
    eases: (plan.eases ?? []).map((key) => asId(key)),
    safety: null,
  };
}

const elementId = (part: Id<'element-key'>): ElementId => asId<ElementId>(`sample-${part}`);
