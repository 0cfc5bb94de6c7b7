import { difficulties, type Ladder } from '@/core/breakdown';
import { type CoachState, coach, startCoaching } from '@/core/coaching';
import { performRep, restFor, type Skill, type Temperament } from '@/core/learner';
import { addDays, asId, type Day, dayNumber, type EntryId, mixSeed, must, type Random, type SessionId, seeded, seedFromText } from '@/core/shared';
import type { Details, ElementRecord, Entry, Judgement, RepEntry, Session } from '@/data/records';

/** One element of a simulated dog in training: how it goes wrong, and where it stands. */
export type Work = {
  readonly element: ElementRecord;
  readonly ladder: Ladder;
  readonly temperament: Temperament;
  /** The option of a rep that was missed altogether; null where none is named. */
  readonly miss: string | null;
  /** Which faults spoil a rep, by option key and weight. */
  readonly flaws: Readonly<Record<string, number>>;
  /** Share of reps that the handler spoils, and how. */
  readonly slip: { readonly option: string; readonly share: number } | null;
  /** Seconds from cue to response, in the middle. */
  readonly latency: number;
  skill: Skill;
  rung: number;
  last: number | null;
};

/** `day` counts from the first of the diary, which is `back` days before today. */
export type Occasion = { readonly id: SessionId; readonly day: number; readonly date: Day; readonly hour: number; readonly mood: number };

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

/** One session as the simulated dog makes it, with the advice to go up or back taken. */
export function trainOnce(work: Work, occasion: Occasion, random: Random): { readonly session: Session; readonly entries: readonly Entry[] } {
  work.skill = restFor(work.skill, work.temperament, work.last === null ? 0 : occasion.day - work.last);
  work.last = occasion.day;
  const away = occasion.day > 30 && random.uniform() < 0.14;
  const { id } = occasion;
  const { dogId, policy } = work.element;
  const startedAt = instant(occasion.date, occasion.hour);
  const session: Session = {
    id,
    dogId,
    elementId: work.element.id,
    startedAt,
    day: occasion.date,
    away,
    startRung: work.rung,
    endedAt: startedAt + 900_000,
    conditions: {},
    helper: '',
    temperature: null,
    runsFixed: null,
    debrief: null,
  };
  const log: Entry[] = [];
  const place = () => ({
    id: asId<EntryId>(`${id}-${log.length}`),
    sessionId: id,
    elementId: work.element.id,
    dogId,
    seq: log.length,
    at: startedAt + 40_000 * (log.length + 1),
  });
  let state: CoachState = startCoaching(policy, { rung: work.rung, top: work.ladder.rungs.length - 1 });
  const reps = 8 + random.integer(5);
  for (let rep = 0; rep < reps; rep++) {
    const entry: RepEntry = { kind: 'rep', ...place(), ...doRep(work, occasion, away, rep, random) };
    log.push(entry);
    const step = coach(policy, state, { kind: 'rep', id: entry.id, outcome: entry.outcome, counts: entry.cause === 'dog' && !entry.aided });
    state = step.state;
    const move = step.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
    if (move && 'to' in move) {
      const moved: Entry = { kind: 'move', ...place(), from: work.rung, to: move.to, by: 'advice' };
      log.push(moved);
      state = coach(policy, state, { kind: 'moved', id: moved.id, rung: move.to }).state;
      work.rung = move.to;
    }
  }
  return { session, entries: log };
}

type RepFacts = Pick<RepEntry, keyof Judgement | 'rung' | 'criteria' | 'latency' | 'marker' | 'timing' | 'details'>;

function doRep(work: Work, occasion: Occasion, away: boolean, rep: number, random: Random): RepFacts {
  const criteria = work.ladder.rungs[work.rung]?.criteria ?? {};
  const x = must(difficulties(work.element.axes, criteria));
  const conditions = { away, cold: rep === 0, day: occasion.mood, repOfSession: rep + 1, missesInRow: 0, side: 0 } as const;
  const done = performRep(work.skill, work.temperament, x, conditions, random);
  work.skill = done.skill;
  const latency = Number((work.latency * Math.exp(0.3 * random.normal())).toFixed(2));
  const judged = judge(work, done, random);
  return {
    ...judged,
    rung: work.rung,
    criteria,
    latency: done.missed ? null : latency,
    marker: null,
    timing: null,
    details: detailsOf(work, occasion, judged, rep),
  };
}

function judge(work: Work, done: { readonly clean: boolean; readonly missed: boolean }, random: Random): Judgement {
  const { slip } = work;
  if (slip && random.uniform() < slip.share) return { outcome: 'flawed', option: slip.option, cause: 'handler', aided: false };
  const aided = random.uniform() < 0.03;
  if (done.clean) return { outcome: 'clean', option: null, cause: 'dog', aided };
  if (done.missed) return { outcome: 'miss', option: work.miss, cause: random.uniform() < 0.05 ? 'environment' : 'dog', aided };
  return { outcome: 'flawed', option: weighted(work.flaws, random), cause: 'dog', aided };
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

/** What the owner also tapped: how it was paid and where that landed, holds, and how straight it was, every other time measured. From numbers of its own, so that the reps stay what they are. */
function detailsOf(work: Work, occasion: Occasion, judged: Judgement, rep: number): Details {
  const random = seeded(mixSeed(seedFromText(occasion.id), rep));
  const hold = work.element.axes.find((axis) => axis.quantity === 'duration' && axis.harder === 'more' && axis.role === 'criterion');
  const asked = hold ? (work.ladder.rungs[work.rung]?.criteria[hold.key] ?? hold.start) : 0;
  const held = judged.outcome === 'clean' ? asked : asked * (0.2 + 0.7 * random.uniform());
  return {
    pay: rep % 5 === 4 ? 'none' : 'small',
    landed: (['spot', 'ahead', 'behind'] as const)[random.integer(3)] ?? 'spot',
    ...(hold ? { held: Number(held.toFixed(1)), did: (['stood', 'walked-off', 'came-back'] as const)[random.integer(3)] ?? 'stood' } : {}),
    ...(work.element.axes.some((axis) => axis.quantity === 'angle') ? straightness(judged, rep, random) : {}),
    ...(occasion.day % 9 === 8 ? { purpose: 'rehearsal' as const } : {}),
  };
}

/** A crooked front leans to the left, as this dog's does. */
function straightness(judged: Judgement, rep: number, random: Random): Details {
  const off = judged.outcome === 'clean' ? -3 + 4 * random.normal() : -14 + 6 * random.normal();
  if (rep % 2 === 0) return { measured: Math.round(off) + 0 };
  const side = off < 0 ? 'left' : 'right';
  return { crooked: Math.abs(off) <= 5 ? 'straight' : Math.abs(off) <= 15 ? `slightly-${side}` : `badly-${side}` };
}
