import { difficulties, type Ladder } from '@/core/breakdown';
import { type CoachState, coach, startCoaching } from '@/core/coaching';
import { performRep, restFor, type Skill, type Temperament } from '@/core/learner';
import { ACTION_CHIP, type Entry, type Judged, type Paid, type RepSaid, type Seen } from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DeviceId,
  type DogId,
  dayNumber,
  type EntryId,
  mixSeed,
  must,
  type OutingId,
  type Random,
  seeded,
  seedFromText,
} from '@/core/shared';
import type { Bout, Changed, ElementRecord, Outing } from '@/data/records';

/** One element of a simulated dog in training: how it goes wrong, and where it stands. */
export type Work = {
  readonly element: ElementRecord;
  readonly ladder: Ladder;
  readonly temperament: Temperament;
  /** The fault of a rep that was missed altogether; null where none is named. */
  readonly miss: FaultRef | null;
  /** Which faults spoil a rep, and their weights. */
  readonly flaws: readonly (readonly [FaultRef, number])[];
  /** Share of reps that the handler spoils, and how. */
  readonly slip: { readonly fault: FaultRef; readonly share: number } | null;
  /** Seconds from cue to response, in the middle. */
  readonly latency: number;
  skill: Skill;
  rung: number;
  last: number | null;
};

/** `day` counts from the first of the diary, which is `back` days before today. */
export type Occasion = {
  readonly id: BoutId;
  readonly day: number;
  readonly date: Day;
  readonly hour: number;
  readonly mood: number;
};

export const instant = (day: Day, hour: number): number => dayNumber(day) * 86_400_000 + hour * 3_600_000;
export const dateOf = (today: Day, back: number, day: number): Day => addDays(today, day - back);

/** Two or three elements a day, those longest untouched first, with some whim. */
export function chooseWork(works: readonly Work[], day: number, random: Random): Work[] {
  const count = 2 + random.integer(2);
  return [...works]
    .map((work) => ({ work, key: day - (work.last ?? -6) + 3 * random.uniform() }))
    .sort((a, b) => b.key - a.key)
    .slice(0, count)
    .map(({ work }) => work);
}

/** The sample's records have all seen one change, by no device that anybody has. */
const SAMPLE = asId<DeviceId>('sample');
export const CHANGED: Changed = { at: 0, by: SAMPLE, seen: { [SAMPLE]: 1 } };

/** One bout as the simulated dog makes it, with the advice to go up or back taken. */
export function trainOnce(
  work: Work,
  occasion: Occasion,
  random: Random,
): { readonly bout: Bout; readonly entries: readonly Entry[] } {
  work.skill = restFor(work.skill, work.temperament, work.last === null ? 0 : occasion.day - work.last);
  work.last = occasion.day;
  const away = occasion.day > 30 && random.uniform() < 0.14;
  const { id } = occasion;
  const { dogId, policy } = work.element;
  const startedAt = instant(occasion.date, occasion.hour);
  const bout: Bout = {
    id,
    outingId: outingId(dogId, occasion.date),
    dogId,
    on: { kind: 'element', element: work.element.id },
    startedAt,
    endedAt: startedAt + 900_000,
    start: criteriaOn(work),
    away,
    conditions: {},
    handler: null,
    runsFixed: null,
    setOut: null,
    slot: null,
    debrief: null,
    changed: CHANGED,
  };
  const log: Entry[] = [];
  const place = () => ({
    id: asId<EntryId>(`${id}-${log.length}`),
    boutId: id,
    dogId,
    seq: log.length,
    by: SAMPLE,
    at: startedAt + 40_000 * (log.length + 1),
    timed: true,
  });
  let state: CoachState = startCoaching(policy, { rung: work.rung, top: work.ladder.rungs.length - 1 });
  const reps = 8 + random.integer(5);
  for (let rep = 0; rep < reps; rep++) {
    const said = doRep(work, occasion, away, rep, random);
    const entry: Entry = { kind: 'rep', ...place(), ...said };
    log.push(entry);
    const { outcome, cause, aids } = said.judged;
    const step = coach(policy, state, {
      kind: 'rep',
      id: entry.id,
      outcome: outcome === 'none' ? 'flawed' : outcome,
      counts: cause === 'dog' && aids.length === 0,
    });
    state = step.state;
    const move = step.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
    if (move && 'to' in move) {
      work.rung = move.to;
      const moved: Entry = { kind: 'move', ...place(), to: criteriaOn(work), because: 'advice' };
      log.push(moved);
      state = coach(policy, state, { kind: 'moved', id: moved.id, rung: move.to }).state;
    }
  }
  return { bout, entries: log };
}

const criteriaOn = (work: Work) => work.ladder.rungs[work.rung]?.criteria ?? {};
const outingId = (dog: DogId, day: Day): OutingId => asId<OutingId>(`o-${dog}-${day}`);

/** One outing for each day on which a dog worked. */
export function outingsOf(bouts: readonly Bout[], today: Day): Outing[] {
  const byId = new Map<OutingId, Bout[]>();
  for (const bout of bouts) byId.set(bout.outingId, [...(byId.get(bout.outingId) ?? []), bout]);
  return [...byId].map(([id, list]) => {
    const startedAt = Math.min(...list.map((bout) => bout.startedAt));
    return {
      id,
      kind: 'training',
      day: addDays(today, Math.floor(startedAt / 86_400_000) - dayNumber(today)),
      startedAt,
      endedAt: Math.max(...list.map((bout) => bout.endedAt ?? bout.startedAt)),
      ground: null,
      weather: null,
      helpers: '',
      dogs: [...new Set(list.map((bout) => bout.dogId))],
      meeting: null,
      note: '',
      changed: CHANGED,
    };
  });
}

function doRep(work: Work, occasion: Occasion, away: boolean, rep: number, random: Random): RepSaid {
  const criteria = work.ladder.rungs[work.rung]?.criteria ?? {};
  const x = must(difficulties(work.element.axes, criteria));
  const conditions = {
    away,
    cold: rep === 0,
    day: occasion.mood,
    repOfSession: rep + 1,
    missesInRow: 0,
    side: 0,
  } as const;
  const done = performRep(work.skill, work.temperament, x, conditions, random);
  work.skill = done.skill;
  const latency = Number((work.latency * Math.exp(0.3 * random.normal())).toFixed(2));
  const judged = judge(work, done, random);
  const more = tappedOf(work, occasion, judged, rep);
  return {
    purpose: occasion.day % 9 === 8 ? 'rehearsal' : 'training',
    asked: { criteria, chips: more.chips, noted: [], call: null },
    seen: {
      measured: {
        ...(done.missed ? {} : { latency: { value: latency, how: 'tap' as const } }),
        ...more.seen.measured,
      },
      ...(more.seen.eye ? { eye: more.seen.eye } : {}),
      timing: null,
      endedBy: null,
      run: null,
    },
    judged,
    paid: more.paid,
    from: null,
  };
}

function judge(
  work: Work,
  done: { readonly clean: boolean; readonly missed: boolean },
  random: Random,
): Judged {
  const { slip } = work;
  const judged = (
    outcome: Judged['outcome'],
    fault: FaultRef | null,
    change: Partial<Judged> = {},
  ): Judged => ({
    outcome,
    faults: fault ? [fault] : [],
    cause: 'dog',
    aids: [],
    void: false,
    proposed: null,
    ...change,
  });
  if (slip && random.uniform() < slip.share) return judged('flawed', slip.fault, { cause: 'handler' });
  const aids: Judged['aids'] = random.uniform() < 0.03 ? ['hand'] : [];
  if (done.clean) return judged('clean', null, { aids });
  if (done.missed)
    return judged('miss', work.miss, { aids, cause: random.uniform() < 0.05 ? 'environment' : 'dog' });
  return judged('flawed', weighted(work.flaws, random), { aids });
}

function weighted(weights: Work['flaws'], random: Random): FaultRef | null {
  let left = random.uniform() * weights.reduce((sum, [, weight]) => sum + weight, 0);
  for (const [fault, weight] of weights) {
    left -= weight;
    if (left < 0) return fault;
  }
  return null;
}

type Tapped = {
  readonly chips: RepSaid['asked']['chips'];
  readonly seen: Pick<Seen, 'measured' | 'eye'>;
  readonly paid: Paid;
};

/**
 * What the owner also tapped: how it was paid and where that landed, holds, and how straight it was,
 * every other time measured. From numbers of its own, so that the reps stay what they are.
 */
function tappedOf(work: Work, occasion: Occasion, judged: Judged, rep: number): Tapped {
  const random = seeded(mixSeed(seedFromText(occasion.id), rep));
  const hold = work.element.axes.find(
    (axis) => axis.quantity === 'duration' && axis.harder === 'more' && axis.role === 'criterion',
  );
  const asked = hold ? (criteriaOn(work)[hold.key] ?? hold.start) : 0;
  const held = judged.outcome === 'clean' ? asked : asked * (0.2 + 0.7 * random.uniform());
  const where = (['spot', 'ahead', 'behind'] as const)[random.integer(3)] ?? 'spot';
  const did = hold ? ((['stood', 'walked-off', 'came-back'] as const)[random.integer(3)] ?? 'stood') : null;
  const straight = work.element.axes.some((axis) => axis.quantity === 'angle')
    ? straightness(judged, rep, random)
    : { measured: {} };
  return {
    chips: did ? { [ACTION_CHIP]: did } : {},
    seen: {
      ...straight,
      measured: {
        ...(hold ? { held: { value: Number(held.toFixed(1)), how: 'tap' as const } } : {}),
        ...straight.measured,
      },
    },
    paid: { size: rep % 5 === 4 ? 'none' : 'small', where },
  };
}

/** A crooked front leans to the left, as this dog's does. */
function straightness(judged: Judged, rep: number, random: Random): Pick<Seen, 'measured' | 'eye'> {
  const off = judged.outcome === 'clean' ? -3 + 4 * random.normal() : -14 + 6 * random.normal();
  if (rep % 2 === 0) return { measured: { angle: { value: Math.round(off) + 0, how: 'typed' } } };
  const side = off < 0 ? 'left' : 'right';
  const eye = Math.abs(off) <= 5 ? 'straight' : Math.abs(off) <= 15 ? `slightly-${side}` : `badly-${side}`;
  return { measured: {}, eye: eye as NonNullable<Seen['eye']> };
}
