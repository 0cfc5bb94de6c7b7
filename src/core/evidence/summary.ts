import type { Criteria } from '@/core/breakdown';
import type { Outcome } from '@/core/coaching';
import { type Day, type EntryId, fail, ok, type Result, type SessionId } from '@/core/shared';

/** One rep as evidence sees it. `option` is the fault that was named (a FaultOption key, or a method's fault). */
export type EvidenceRep = {
  readonly id: EntryId;
  readonly session: SessionId;
  readonly day: Day;
  /** Order within the day, for telling the cold rep; any increasing number, e.g. milliseconds. */
  readonly at: number;
  readonly away: boolean;
  readonly outcome: Outcome;
  readonly option: string | null;
  readonly cause: 'dog' | 'handler' | 'apparatus' | 'environment';
  readonly aided: boolean;
  /** What the rep was for; training where nothing else was said. */
  readonly purpose?: Purpose | undefined;
  /** Nothing lay there, or it was touched: shown, never counted. */
  readonly isVoid?: boolean | undefined;
  readonly criteria: Criteria;
};

export const PURPOSES = ['training', 'warm-up', 'filler', 'probe', 'rehearsal'] as const;
export type Purpose = (typeof PURPOSES)[number];
/** Warm-up and filler are made easy, and a probe looks for failure on purpose: averaged with training they would mean nothing. */
const COUNTED: ReadonlySet<Purpose> = new Set(['training', 'rehearsal'] as const);

/** Counts of reps that share session, criteria and conditions. Never keyed by rung: editing a ladder must not rewrite history. */
export type Cell = {
  readonly session: SessionId;
  readonly day: Day;
  readonly criteria: Criteria;
  readonly away: boolean;
  readonly cold: boolean;
  readonly clean: number;
  readonly notClean: number;
};

export type Summary = {
  readonly cells: readonly Cell[];
  /** Counted reps that were not clean, by the option that was named; unnamed ones are left out. */
  readonly faults: Readonly<Record<string, number>>;
  /** Reps spoiled by the handler, by named option ('' where none was named), out of all reps. */
  readonly handlerFaults: Readonly<Record<string, number>>;
  readonly counted: number;
  readonly notCounted: number;
  readonly sessions: number;
  readonly awayReps: number;
  readonly coldReps: number;
  readonly lastDay: Day | null;
};

/** Whether a rep says anything about the dog: aided and void ones, other purposes and other causes than the dog are shown, not counted. */
export function countsAsEvidence(rep: Pick<EvidenceRep, 'aided' | 'cause' | 'purpose' | 'isVoid'>): boolean {
  return !rep.aided && rep.cause === 'dog' && rep.isVoid !== true && COUNTED.has(rep.purpose ?? 'training');
}

/**
 * Integer counts of one element's reps. Pure and independent of the order of the list: cells are sorted by their key.
 * The cold rep is the day's first counted one. Fails with `future` when a rep is dated after `today`.
 */
export function summarise(reps: readonly EvidenceRep[], today: Day): Result<Summary> {
  const ahead = reps.find((rep) => rep.day > today);
  if (ahead) return fail('future', ahead.id, `A rep is dated ${ahead.day}, after today (${today}). Correct its date or the device's clock.`);
  const counted = reps.filter(countsAsEvidence);
  const first = firstOfDay(counted);
  const cells = new Map<string, Cell>();
  for (const rep of counted) {
    const cold = first.get(rep.day) === rep;
    const key = cellKey(rep, cold);
    const cell = cells.get(key) ?? { session: rep.session, day: rep.day, criteria: rep.criteria, away: rep.away, cold, clean: 0, notClean: 0 };
    const clean = rep.outcome === 'clean';
    cells.set(key, { ...cell, clean: cell.clean + (clean ? 1 : 0), notClean: cell.notClean + (clean ? 0 : 1) });
  }
  const days = counted.map((rep) => rep.day).sort();
  return ok({
    cells: [...cells].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, cell]) => cell),
    faults: tallyOptions(counted.filter((rep) => rep.outcome !== 'clean' && rep.option !== null)),
    handlerFaults: tallyOptions(reps.filter((rep) => rep.cause === 'handler' && rep.outcome !== 'clean')),
    counted: counted.length,
    notCounted: reps.length - counted.length,
    sessions: new Set(counted.map((rep) => rep.session)).size,
    awayReps: counted.filter((rep) => rep.away).length,
    coldReps: first.size,
    lastDay: days.at(-1) ?? null,
  });
}

function firstOfDay(reps: readonly EvidenceRep[]): Map<Day, EvidenceRep> {
  const first = new Map<Day, EvidenceRep>();
  for (const rep of reps) {
    const known = first.get(rep.day);
    if (!known || rep.at < known.at || (rep.at === known.at && rep.id < known.id)) first.set(rep.day, rep);
  }
  return first;
}

function cellKey(rep: EvidenceRep, cold: boolean): string {
  const criteria = Object.entries(rep.criteria).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([rep.day, rep.session, criteria, rep.away, cold]);
}

function tallyOptions(reps: readonly EvidenceRep[]): Record<string, number> {
  const counts = new Map<string, number>();
  for (const rep of reps) counts.set(rep.option ?? '', (counts.get(rep.option ?? '') ?? 0) + 1);
  return Object.fromEntries([...counts].sort(([a], [b]) => (a < b ? -1 : 1)));
}
