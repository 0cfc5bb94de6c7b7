import { axisFrom, buildLadder, METHODS, parseValue } from '@/core/breakdown';
import type { Skill, Temperament } from '@/core/learner';
import type { Entry } from '@/core/log';
import { ownFault } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DogId,
  type ElementId,
  mixSeed,
  must,
  seeded,
} from '@/core/shared';
import { criteriaAtShare, elementFromMethod } from '@/data/make-element';
import { type Bout, type Dog, type ElementRecord, UNKNOWN_DOG } from '@/data/records';
import { CHANGED, chooseWork, dateOf, trainOnce, type Work } from './training';

/**
 * One element of a method, with what its owner answered for each axis ("start, demand, step" as
 * typed; '' takes the method's).
 */
type Spec = {
  readonly method: string;
  readonly element: string;
  readonly answers: readonly (readonly [start: string, demand: string, step: string])[];
  readonly skill: Skill;
  /** The sizes that its owner has, base units, by axis. */
  readonly sizes?: Readonly<Record<string, readonly number[]>>;
  /** Set up, and waiting for another piece: not trained yet. */
  readonly waits?: true;
};
type Mate = {
  readonly dog: Dog;
  readonly days: number;
  readonly temperament: Temperament;
  readonly specs: readonly Spec[];
};

export const TEMPERAMENT: Temperament = {
  daySd: 0.4,
  away: -0.6,
  cold: -0.3,
  learning: 0.03,
  forgetting: 0.01,
  fatigue: 0.08,
  dismay: 0,
  rightward: 0,
};
const skill = (level: number, ...slopes: number[]): Skill => ({ level, slopes });

/**
 * The other two dogs of the sample, both invented: one before a working test, one young, so that
 * cautions have something to say.
 */
const MATES = (today: Day): readonly Mate[] => [
  {
    dog: {
      ...UNKNOWN_DOG,
      changed: CHANGED,
      id: asId<DogId>('sample-dog-2'),
      name: 'Juniper',
      breed: 'Large Münsterländer',
      born: addDays(today, -792),
      size: 'large',
      height: 0.61,
      shortNosed: false,
      betterSide: 'right',
      rewards: ['dummy thrown', 'liver'],
      vet: [{ about: 'growth', said: 'grown; may jump and pull since last winter' }],
    },
    days: 60,
    temperament: TEMPERAMENT,
    specs: [
      {
        method: 'memory-retrieve',
        element: 'memory',
        answers: [
          ['10 yd', '90 yd', '10 yd'],
          ['half way along it', '', ''],
        ],
        skill: skill(2.3, 2.2, 0.4),
      },
      {
        method: 'memory-retrieve',
        element: 'steady',
        answers: [
          ['', '20 s', ''],
          ['', '', ''],
        ],
        skill: skill(2.1, 1.4, 1.2),
      },
      {
        method: 'memory-retrieve',
        element: 'blind',
        answers: [
          ['', '100 yd', ''],
          ['', '', ''],
        ],
        skill: skill(1.6, 2.4, 0.8),
      },
      {
        method: 'directional-casts',
        element: 'chain',
        answers: [
          ['', '', ''],
          ['', '', ''],
        ],
        skill: skill(2.2, 0.8, 1.2),
      },
      {
        method: 'directional-casts',
        element: 'cast',
        answers: [
          ['8 m', '50 m', ''],
          ['', '', ''],
          ['', '', ''],
        ],
        skill: skill(1.8, 1.6, 1, 0.6),
      },
    ],
  },
  {
    dog: {
      ...UNKNOWN_DOG,
      changed: CHANGED,
      id: asId<DogId>('sample-dog-3'),
      name: 'Otto',
      breed: 'Lagotto Romagnolo',
      born: addDays(today, -249),
      size: 'medium',
      shortNosed: false,
      betterSide: null,
      rewards: ['cheese', 'rabbit-fur toy'],
      vet: [],
    },
    days: 35,
    temperament: { ...TEMPERAMENT, learning: 0.045 },
    specs: [
      { method: 'nose-to-hand', element: 'touch', answers: [['', '', '']], skill: skill(2.2, 1.6) },
      { method: 'nose-to-hand', element: 'named', answers: [['', '', '']], skill: skill(1.5, 1.8) },
      {
        method: 'nose-to-hand',
        element: 'away',
        answers: [
          ['1 m', '8 m', ''],
          ['', '', ''],
        ],
        skill: skill(1, 1.5, 1),
        waits: true,
      },
      {
        method: 'tubs',
        element: 'in',
        answers: [
          ['', '', ''],
          ['', '', ''],
          ['90 L', '25 L', ''],
          ['', '', ''],
        ],
        sizes: { size: [90, 65, 45, 32, 25] },
        skill: skill(2.1, 0.6, 0.6, 1.2, 0.8),
      },
      {
        method: 'tubs',
        element: 'on-top',
        answers: [['65 L', '25 L', '']],
        sizes: { top: [90, 65, 45, 32, 25] },
        skill: skill(1, 1.5),
      },
      {
        method: 'tubs',
        element: 'stool',
        answers: [['10 cm', '40 cm', '10 cm']],
        skill: skill(1, 1.5),
        waits: true,
      },
      { method: 'search', element: 'food', answers: [['', '', '']], skill: skill(2.4, 1.3) },
      { method: 'props', element: 'run-up', answers: [['', '4 m', '']], skill: skill(1.4, 1.4) },
    ],
  },
];

type OtherDogs = {
  readonly dogs: Dog[];
  readonly elements: ElementRecord[];
  readonly bouts: Bout[];
  readonly entries: Entry[];
};

/** Both dogs with their diaries up to yesterday, from a seed of their own. */
export function makeOtherDogs(today: Day, seed: number): OtherDogs {
  const tables: OtherDogs = { dogs: [], elements: [], bouts: [], entries: [] };
  for (const [m, mate] of MATES(today).entries()) {
    const works = mate.specs.map((spec) => startWork(spec, mate));
    const elements = withNeeds(works.map((work) => work.element));
    const random = seeded(mixSeed(seed, m + 1));
    for (let day = 0; day < mate.days; day++) {
      if (random.uniform() < 0.35) continue;
      const mood = random.normal() * mate.temperament.daySd;
      // A piece that waits for another is begun late, as its owner would.
      const open = works.filter(
        (_, i) => !mate.specs[i]?.waits && ((elements[i]?.needs.length ?? 0) === 0 || day > mate.days * 0.7),
      );
      for (const [i, work] of chooseWork(open, day, random).entries()) {
        const id = asId<BoutId>(`${mate.dog.id}-s${day}-${i}`);
        const trained = trainOnce(
          work,
          { id, day, date: dateOf(today, mate.days, day), hour: 16 + i, mood },
          random,
        );
        tables.bouts.push(trained.bout);
        tables.entries.push(...trained.entries);
      }
    }
    tables.dogs.push({ ...mate.dog, order: m + 1 });
    tables.elements.push(...elements);
  }
  return tables;
}

function startWork(spec: Spec, mate: Mate): Work {
  const method = METHODS.find((one) => one.id === spec.method);
  const part = method?.elements.find((one) => one.key === spec.element);
  if (!method || !part) throw new Error(`no method ${spec.method}/${spec.element}`);
  const axes = part.axes.map((axis, i) => {
    const [start = '', demand = '', step = ''] = spec.answers[i] ?? [];
    const read = (text: string): number | null => (text === '' ? null : must(parseValue(axis.axis, text)));
    const whole = must(axisFrom(axis, { start: read(start), demand: read(demand), step: read(step) }));
    const sizes = spec.sizes?.[whole.key];
    return sizes ? { ...whole, sizes: [...sizes] } : whole;
  });
  const id = asId<ElementId>(`${mate.dog.id}-${spec.method}-${spec.element}`);
  const element = { ...elementFromMethod(id, mate.dog.id, method, part, axes), changed: CHANGED };
  const dogs = part.faults.filter((fault) => fault.by === 'dog');
  const missed = dogs.find((fault) => fault.miss);
  return {
    element,
    ladder: buildLadder(element),
    temperament: mate.temperament,
    miss: missed ? ownFault(missed.key) : null,
    flaws: dogs
      .filter((fault) => !fault.miss)
      .map((fault, i) => [ownFault(fault.key), 4 - Math.min(i, 3)] as const),
    slip: null,
    latency: 1.3,
    skill: spec.skill,
    rung: 0,
    last: null,
  };
}

/** The method's prerequisites, among the elements that this dog has. */
function withNeeds(elements: readonly ElementRecord[]): ElementRecord[] {
  return elements.map((element) => {
    const part = METHODS.find((one) => one.id === element.method?.id)?.elements.find(
      (one) => one.key === element.method?.element,
    );
    const needs = (part?.needs ?? []).flatMap((need) => {
      const other = elements.find(
        (one) => one.method?.id === element.method?.id && one.method?.element === need.element,
      );
      return other ? [{ element: other.id, at: criteriaAtShare(other.axes, need.share) }] : [];
    });
    return { ...element, needs };
  });
}
