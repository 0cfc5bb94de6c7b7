import { type Axis, buildLadder, difficulties, type Ladder } from '@/core/breakdown';
import { type CoachState, coachRun, startCoaching } from '@/core/coaching';
import { performRep, restFor, type Skill } from '@/core/learner';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { prepareRules, type RuleBook, type RuleElement } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type BreakdownId,
  type Day,
  type DogId,
  dayNumber,
  type ElementId,
  type EntryId,
  type Id,
  must,
  type Random,
  type SessionId,
  seeded,
  type TrialId,
  toBase,
} from '@/core/shared';
import { DEFAULT_POLICY, type ElementRecord, type Entry, type Judgement, type RepEntry, type Session, type Tables } from '@/data/records';
import { type ElementSpec, QUILL, TEMPERAMENT } from './quill';
import { SAMPLE_RULE_BOOKS } from './rule-books';

const DOG = asId<DogId>('sample-quill');
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
      const trained = trainOnce(work, { day, date: addDays(today, day - DAYS), mood, index: sessions.length }, random);
      sessions.push(trained.session);
      entries.push(...trained.entries);
    }
  }
  return {
    dogs: [{ id: DOG, name: 'Quill', breed: 'Shetland Sheepdog', born: addDays(today, -4 * 365 - 40) }],
    ruleBooks: SAMPLE_RULE_BOOKS.map((one) => ({ id: one.id, book: one, addedAt: instant(addDays(today, -DAYS), 0) })),
    breakdowns: book.exercises.map((exercise) => ({
      id: asId<BreakdownId>(`sample-${exercise.id}`),
      dogId: DOG,
      ruleBookId: book.id,
      exercise: exercise.id,
      links: exercise.elements.map((element) => ({ part: element.id, element: elementId(element.id) })),
    })),
    elements: works.map((work) => work.element),
    sessions,
    entries,
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
  };
}

type Work = {
  readonly spec: ElementSpec;
  readonly element: ElementRecord;
  readonly ladder: Ladder;
  readonly miss: string;
  skill: Skill;
  rung: number;
  last: number | null;
};

function startWork(spec: ElementSpec, book: RuleBook): Work {
  const exercise = book.exercises.find((candidate) => candidate.id === spec.exercise);
  const rule = exercise?.elements.find((candidate) => candidate.id === spec.part);
  const miss = prepareRules(book.rules, book.exercises)
    .exercises.find((candidate) => candidate.exercise === spec.exercise)
    ?.faults.find(({ fault }) => fault.miss && fault.element === spec.part);
  if (!rule || !miss) throw new Error(`the sample rule book has no element ${spec.exercise}/${spec.part}`);
  const axes = rule.demands.map((demand, i) => axisOf(demand, spec.axes[i]));
  const element: ElementRecord = { id: elementId(rule.id), dogId: DOG, title: rule.title, axes, edits: [], policy: DEFAULT_POLICY, methodId: null };
  return { spec, element, ladder: buildLadder(axes), miss: miss.fault.id, skill: spec.skill, rung: 0, last: null };
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
    start: base(plan.start),
    demand: base(demand.value),
    step: amount(plan.step),
    limit: amount(plan.limit),
    zeroScale: plan.zeroScale ?? null,
    margin: 0.2,
    eases: (plan.eases ?? []).map((key) => asId(key)),
  };
}

/** Two or three elements a day, those longest untouched first, with some whim. */
function chooseWork(works: readonly Work[], day: number, random: Random): Work[] {
  const count = 2 + random.integer(2);
  return [...works]
    .map((work) => ({ work, key: day - (work.last ?? -6) + 3 * random.uniform() }))
    .sort((a, b) => b.key - a.key)
    .slice(0, count)
    .map(({ work }) => work);
}

type Occasion = { readonly day: number; readonly date: Day; readonly mood: number; readonly index: number };

function trainOnce(work: Work, occasion: Occasion, random: Random): { readonly session: Session; readonly entries: readonly Entry[] } {
  work.skill = restFor(work.skill, TEMPERAMENT, work.last === null ? 0 : occasion.day - work.last);
  work.last = occasion.day;
  const away = occasion.day > 30 && random.uniform() < 0.14;
  const id = asId<SessionId>(`sample-s${occasion.index}`);
  const startedAt = instant(occasion.date, 15 + (occasion.index % 3));
  const session: Session = {
    id,
    dogId: DOG,
    elementId: work.element.id,
    startedAt,
    day: occasion.date,
    away,
    startRung: work.rung,
    endedAt: startedAt + 900_000,
  };
  const log: Entry[] = [];
  const place = () => ({
    id: asId<EntryId>(`${id}-${log.length}`),
    sessionId: id,
    elementId: work.element.id,
    dogId: DOG,
    seq: log.length,
    at: startedAt + 40_000 * (log.length + 1),
  });
  let coach: CoachState = startCoaching(work.rung, work.ladder.rungs.length - 1);
  const reps = 8 + random.integer(5);
  for (let rep = 0; rep < reps; rep++) {
    const entry: RepEntry = { kind: 'rep', ...place(), ...doRep(work, { ...occasion, away, rep }, random) };
    log.push(entry);
    const step = coachRun(work.element.policy, coach, {
      kind: 'rep',
      id: entry.id,
      outcome: entry.outcome,
      counts: entry.cause === 'dog' && !entry.aided,
    });
    coach = step.state;
    const move = step.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
    if (move && 'to' in move) {
      const moved: Entry = { kind: 'move', ...place(), from: work.rung, to: move.to, by: 'advice' };
      log.push(moved);
      coach = coachRun(work.element.policy, coach, { kind: 'moved', id: moved.id, rung: move.to }).state;
      work.rung = move.to;
    }
  }
  return { session, entries: log };
}

function doRep(
  work: Work,
  occasion: Occasion & { readonly away: boolean; readonly rep: number },
  random: Random,
): Pick<RepEntry, keyof Judgement | 'rung' | 'criteria' | 'latency'> {
  const criteria = work.ladder.rungs[work.rung]?.criteria ?? {};
  const x = must(difficulties(work.element.axes, criteria));
  const conditions = { away: occasion.away, cold: occasion.rep === 0, day: occasion.mood, repOfSession: occasion.rep + 1 };
  const done = performRep(work.skill, TEMPERAMENT, x, conditions, random);
  work.skill = done.skill;
  const latency = Number((work.spec.latency * Math.exp(0.3 * random.normal())).toFixed(2));
  return { ...judge(work, done, random), rung: work.rung, criteria, latency: done.missed ? null : latency };
}

function judge(work: Work, done: { readonly clean: boolean; readonly missed: boolean }, random: Random): Judgement {
  const { slip } = work.spec;
  if (slip && random.uniform() < slip.share) return { outcome: 'flawed', option: slip.option, cause: 'handler', aided: false };
  const aided = random.uniform() < 0.03;
  if (done.clean) return { outcome: 'clean', option: null, cause: 'dog', aided };
  if (done.missed) return { outcome: 'miss', option: work.miss, cause: random.uniform() < 0.05 ? 'environment' : 'dog', aided };
  return { outcome: 'flawed', option: weighted(work.spec.flaws, random), cause: 'dog', aided };
}

function weighted(weights: Readonly<Record<string, number>>, random: Random): string | null {
  const all = Object.entries(weights);
  let left = random.uniform() * all.reduce((sum, [, weight]) => sum + weight, 0);
  for (const [key, weight] of all) {
    left -= weight;
    if (left < 0) return key;
  }
  return null;
}

const elementId = (part: Id<'element-key'>): ElementId => asId<ElementId>(`sample-${part}`);
const instant = (day: Day, hour: number): number => dayNumber(day) * 86_400_000 + hour * 3_600_000;
