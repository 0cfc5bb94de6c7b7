import { fitElement } from '@/core/evidence';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import type { EvidenceRep } from '@/core/log';
import { type ClassEvidence, classModel, DEFAULT_ASSUMPTIONS, simulateTrials } from '@/core/readiness';
import { runsTaught } from '@/core/readiness/run-days';
import { readRuleBook } from '@/core/rulebooks';
import { each, exercise, missed, part, smallBook } from '@/core/rulebooks/small-book.test-helper';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  daysBetween,
  type ElementId,
  type EntryId,
  type ExerciseKey,
  mixSeed,
  must,
  type PartKey,
  type Random,
  seeded,
} from '@/core/shared';
import { finish } from '@/core/shared/steps';

/** Eight pieces of ten points; six of them pass. */
const PIECES = Array.from({ length: 8 }, (_, i) => `piece-${i}`);
const BOOK = (() => {
  const read = readRuleBook(
    JSON.stringify(
      smallBook(
        PIECES.map((id) => exercise(id, [part(id)])),
        {
          family: 'points-off',
          smallestPoint: 1,
          exercises: PIECES.map((id) => ({
            exercise: id,
            maximum: 10,
            faults: [missed('not-done', id, each(10))],
          })),
          pass: [{ kind: 'total', atLeast: 60 }],
          awards: [{ title: 'Passed', atLeast: 60 }],
        },
      ),
    ),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
})();
const PASSES = 6;

/** What computation.md states of dogs and trial days, written down again. */
const FIRST = '2026-01-01' as Day;
const HOME = {
  sessions: 16,
  reps: 8,
  swing: 0.5,
  drift: 0.005,
  cold: [-0.3, 0.4],
  unpaid: [-0.3, 0.5],
} as const;
const PLACE = [-0.5, 0.5] as const;
/** Nerves with a mean square of .4². */
const nervesOf = (random: Random): number => 0.4 * Math.exp(0.6 * random.normal() - 0.36);

export type Season = {
  /** Truth, and what was thought of it after so many runs. */
  readonly place: number;
  readonly nerves: number;
  readonly thought: readonly {
    readonly after: number;
    readonly place: number;
    readonly placeSd: number;
    readonly nerves: number;
  }[];
  /** For each run from the second on: the chance with what the runs before taught, without it, and whether it passed. */
  readonly said: readonly {
    readonly run: number;
    readonly taught: number;
    readonly assumed: number;
    readonly passed: boolean;
  }[];
};

const rep = (
  name: string,
  bout: string,
  day: Day,
  at: number,
  clean: boolean,
  run: boolean,
  unpaid: boolean,
): EvidenceRep => ({
  id: asId<EntryId>(`${bout}-${name}-${at}`),
  bout: asId<BoutId>(`${bout}-${name}`),
  day,
  at,
  away: run,
  outcome: clean ? 'clean' : 'miss',
  faults: [],
  cause: 'dog',
  aided: false,
  criteria: {},
  pay: unpaid ? 'none' : 'small',
});

/**
 * One dog through a season: eight pieces trained at home, then a run a week with a session of each before it.
 * `ask` says after how many runs what is thought is asked, and before which ones a chance is given.
 */
export function season(
  seed: number,
  runs: number,
  ask: readonly number[],
  {
    forecasts = false,
    unpaidAtHome = 0,
  }: { readonly forecasts?: boolean; readonly unpaidAtHome?: number } = {},
): Season {
  const random = seeded(mixSeed(seed, 0x5ea));
  const place = PLACE[0] + PLACE[1] * random.normal();
  const nerves = nervesOf(random);
  const cold = HOME.cold[0] + HOME.cold[1] * random.normal();
  const unpaid = HOME.unpaid[0] + HOME.unpaid[1] * random.normal();
  const levels = PIECES.map(() => 1.6 + 0.8 * random.normal());
  const gains = PIECES.map(() => 0.05 + 0.08 * random.normal());
  const tiring = PIECES.map(() => Math.abs(0.1 * random.normal()));
  const loss = PIECES.map(() => Math.abs(0.8 * random.normal()));
  const lasting = PIECES.map(() => 30 * Math.exp(0.8 * random.normal()));
  const last: Day[] = PIECES.map(() => FIRST);
  /** What so many days since its last session take off a piece. */
  const forgotten = (i: number): number =>
    (loss[i] as number) * (1 - Math.exp(-daysBetween(last[i] as Day, day) / (lasting[i] as number)));
  const reps = PIECES.map((): EvidenceRep[] => []);
  const ofRun: BoutId[][] = [];
  let day = FIRST;
  const train = (i: number, name: string): void => {
    const isUnpaid = random.uniform() < unpaidAtHome;
    const eta = (levels[i] as number) - forgotten(i) + HOME.swing * random.normal() + (isUnpaid ? unpaid : 0);
    last[i] = day;
    levels[i] = (levels[i] as number) + (gains[i] as number);
    for (let r = 0; r < HOME.reps; r++) {
      const clean =
        random.uniform() < 1 / (1 + Math.exp(-(eta - r * (tiring[i] as number) + (r === 0 ? cold : 0))));
      (reps[i] as EvidenceRep[]).push(rep(PIECES[i] as string, name, day, r, clean, false, isUnpaid));
    }
  };
  const pass = (days: number): void => {
    day = addDays(day, days);
    for (let i = 0; i < levels.length; i++)
      levels[i] = (levels[i] as number) + Math.sqrt(HOME.drift * days) * random.normal();
  };
  for (let s = 0; s < HOME.sessions; s++) {
    for (const i of PIECES.keys()) train(i, `home-${String(s).padStart(2, '0')}`);
    pass(3);
  }
  const evidence = (): ClassEvidence => ({
    book: BOOK,
    exercises: PIECES.map((id) => ({
      exercise: asId<ExerciseKey>(id),
      parts: [{ part: asId<PartKey>(id), element: asId<ElementId>(id), demands: {} }],
    })),
    elements: PIECES.map((id, i) => ({
      id: asId<ElementId>(id),
      axes: [],
      bouts: boutsOf(reps[i] as EvidenceRep[]),
    })),
    today: day,
    trialDay: null,
    closes: null,
    runs: ofRun,
    minutes: [],
  });
  const assumptions = { ...DEFAULT_ASSUMPTIONS, handlerRate: 0 };
  const chance = (input: ClassEvidence): number => {
    const model = must(finish(classModel(input, assumptions, 200)));
    const found = simulateTrials(model, assumptions, mixSeed(seed, 7), { groups: 200, runs: 20 });
    return found.passesByGroup.reduce((sum, one) => sum + one, 0) / 4000;
  };
  const thought: Season['thought'][number][] = [];
  const said: Season['said'][number][] = [];
  for (let run = 0; run < runs; run++) {
    for (const i of PIECES.keys()) train(i, `week-${run}`);
    pass(3);
    const input = forecasts && run > 0 ? evidence() : null;
    const chances = input && { taught: chance(input), assumed: chance({ ...input, runs: [] }) };
    const shared = Math.sqrt(0.5) * HOME.swing * random.normal() + nerves * random.normal();
    let done = 0;
    PIECES.forEach((name, i) => {
      const own = Math.sqrt(0.5) * HOME.swing * random.normal();
      const eta = (levels[i] as number) - forgotten(i) + place + cold + unpaid + shared + own;
      const clean = random.uniform() < 1 / (1 + Math.exp(-eta));
      if (clean) done += 1;
      (reps[i] as EvidenceRep[]).push(rep(name, `run-${run}`, day, 0, clean, true, true));
    });
    ofRun.push(PIECES.map((name) => asId<BoutId>(`run-${run}-${name}`)));
    if (chances) said.push({ run, ...chances, passed: done >= PASSES });
    if (ask.includes(run + 1)) {
      const beliefs = { away: assumptions.place, cold: assumptions.cold };
      const { all } = must(finish(runsTaught(evidence(), assumptions, beliefs, fitElement)));
      thought.push({ after: run + 1, place: all.place.mean, placeSd: all.place.sd, nerves: all.nerves });
    }
    pass(4);
  }
  return { place, nerves, thought, said };
}

/** Root mean squares of how far what was assumed, and what was thought after so many runs, is from the truth. */
export function distances(seasons: readonly Season[], after: number) {
  const of = (distance: (one: Season, thought: Season['thought'][number]) => number): number => {
    const all = seasons.flatMap((one) =>
      one.thought.filter((thought) => thought.after === after).map((thought) => distance(one, thought)),
    );
    return all.reduce((sum, one) => sum + one, 0) / all.length;
  };
  const root = (distance: (one: Season, thought: Season['thought'][number]) => number): number =>
    Math.sqrt(of((one, thought) => distance(one, thought) ** 2));
  return {
    place: root((one, { place }) => place - one.place),
    placeAssumed: root((one) => PLACE[0] - one.place),
    nerves: root((one, { nerves }) => nerves - one.nerves),
    nervesAssumed: root((one) => 0.4 - one.nerves),
    covered: of((one, { place, placeSd }) => (Math.abs(place - one.place) <= 1.2816 * placeSd ? 1 : 0)),
  };
}
