import { type Axis, type Criteria, sameCriteria } from '@/core/breakdown';
import type { Timing } from '@/core/coaching';
import {
  type Cause,
  countsAsEvidence,
  type EvidenceRep,
  HANDLED,
  type Handled,
  LANDINGS,
  type Landed,
} from '@/core/log';
import type { FaultRef } from '@/core/rulebooks';
import { type BoutId, type Day, printOf } from '@/core/shared';
import { byEye, type Deviation } from './precision';
import { type FaultCount, faultCounts, type Priced, pricedOf } from './priced';

/**
 * Raised whenever the meaning of a rep changes, so that what was kept under an older one is made anew
 * from the log.
 */
export const MEANING = 5;

/** Counts of reps of one bout that share criteria, place and conditions. Never keyed by rung. */
export type BoutCell = {
  readonly criteria: Criteria;
  readonly away: boolean;
  readonly conditions: Readonly<Record<string, string>>;
  readonly clean: number;
  readonly notClean: number;
};

/** So many of so many. */
type Clean = { readonly reps: number; readonly clean: number };
/** So many of those of which it was said. */
type Said = { readonly of: number; readonly count: number };

/** One rep as a history draws it; `on` is a place in `asked`. */
export type KeptMark = {
  readonly id: string;
  readonly outcome: EvidenceRep['outcome'];
  readonly cause: Cause;
  readonly aided: boolean;
  readonly fault: FaultRef | null;
  readonly on: number;
};

/**
 * All that one bout says as evidence, exactly: nothing that is asked of an element needs its reps
 * again. Bouts of any number add up (`summarise`, `habitsOf` …), each in its own order.
 */
export type BoutEvidence = {
  /** A print of all the rest: bouts are told apart by it wherever much is asked of many. */
  readonly print: string;
  readonly bout: BoutId;
  readonly day: Day;
  /** When its first rep was, for the order within a day; 0 without one. */
  readonly begun: number;
  /** All that stand, and those of them that count. */
  readonly reps: number;
  readonly counted: number;
  readonly cells: readonly BoutCell[];
  /** Its first counted rep, and in which cell that is counted. */
  readonly first: {
    readonly id: string;
    readonly at: number;
    readonly cell: number;
    readonly clean: boolean;
  } | null;
  /** Faults of counted reps that were not clean; one that names several counts once for each. */
  readonly faults: readonly FaultCount[];
  /** Reps spoiled by the handler, by the fault named first, out of all reps. */
  readonly handlerFaults: readonly FaultCount[];
  /** Counted reps that were said to be paid, and said not to be. */
  readonly paid: Clean;
  readonly unpaid: Clean;
  readonly rehearsed: number;
  /** Seconds to the answer of counted reps, and how many were waited for in vain. */
  readonly times: readonly number[];
  readonly waited: number;
  readonly holds: readonly { readonly seconds: number; readonly endedBy: 'dog' | 'handler' }[];
  readonly turns: readonly Deviation[];
  /** Metres off the place or line of counted reps, where measured. */
  readonly offsets: readonly number[];
  readonly priced: Priced;
  /** Silent tests after a gap, and other probes: shown apart, never averaged with training. */
  readonly probes: Clean;
  /** Answers by when they came, where a new cue takes over from an old prompt. */
  readonly timings: Readonly<Partial<Record<Timing, number>>>;
  readonly habits: {
    /** Reps whose timing was kept, answers before the word, reps of which cues were said. */
    readonly timed: number;
    readonly early: number;
    readonly cued: number;
    /** Reps with a further cue: one that the dog needed, one that slipped, one that was meant. */
    readonly cues: { readonly needed: number; readonly slip: number; readonly meant: number };
    readonly handlers: number;
    readonly landings: readonly (Clean & { readonly landed: Landed; readonly times: readonly number[] })[];
    /** By what the handler did meanwhile, in the words of the chip. */
    readonly breaks: readonly (Clean & { readonly did: string })[];
    /** The rep after one that went wrong, by what the handler did about that. */
    readonly handled: readonly (Clean & { readonly handled: Handled })[];
    /** What it did instead of the word that was asked (empty where none was said). */
    readonly instead: readonly { readonly word: string; readonly did: string; readonly count: number }[];
    /** Full drive, of those whose drive was said; and calm all through, of those where that was said. */
    readonly drive: Said;
    readonly calm: readonly (Said & { readonly moment: 'on' | 'worn' | 'off' })[];
    /** Rewards by kind, and how many were a jackpot, and how many were paid though nobody had asked. */
    readonly pay: readonly (Clean & { readonly what: string })[];
    readonly jackpots: number;
    readonly unasked: number;
  };
  /** Its length, from its first rep to its last and one rep's time more; null where nothing tells. */
  readonly minutes: number | null;
};

/** The reps of a bout as a history draws them, with the different criteria that were asked, in order. */
export type DrawnBout = { readonly asked: readonly Criteria[]; readonly marks: readonly KeptMark[] };

/**
 * What the standing reps of one bout say, in the order in which they were done; pure counting. One
 * clean rep of 2 s → `{ reps: 1, counted: 1, cells: [{ clean: 1, notClean: 0, … }], times: [2], … }`.
 */
export function weighBout(
  { id, day }: { readonly id: BoutId; readonly day: Day },
  reps: readonly EvidenceRep[],
): BoutEvidence {
  const sorted = inTime(reps);
  const counted = sorted.filter(countsAsEvidence);
  const said = {
    bout: id,
    day,
    begun: sorted[0]?.at ?? 0,
    reps: sorted.length,
    counted: counted.length,
    ...cellsOf(counted),
    faults: faultCounts(counted.flatMap((rep) => (rep.outcome === 'clean' ? [] : rep.faults))),
    handlerFaults: faultCounts(
      sorted.flatMap((rep) =>
        rep.cause === 'handler' && rep.outcome !== 'clean' ? [rep.faults[0] ?? null] : [],
      ),
    ),
    paid: cleanOf(counted.filter((rep) => rep.pay !== undefined && rep.pay !== 'none')),
    unpaid: cleanOf(counted.filter((rep) => rep.pay === 'none')),
    rehearsed: counted.filter((rep) => rep.purpose === 'rehearsal').length,
    times: counted.flatMap((rep) => (typeof rep.latency === 'number' ? [rep.latency] : [])),
    // A plain miss is no late answer: refusals belong to the chance of a clean rep, and counted here too
    // they would be counted twice.
    waited: counted.filter((rep) => rep.timing === 'none' && typeof rep.latency !== 'number').length,
    // One that the handler ended early is neither clean nor not, and lasted so long at least.
    holds: sorted.flatMap((rep) => {
      if (rep.held === undefined) return [];
      if (rep.endedBy === 'handler' && rep.isVoid)
        return [{ seconds: rep.held, endedBy: 'handler' as const }];
      if (!countsAsEvidence(rep)) return [];
      const ended = rep.outcome === 'clean' || rep.endedBy === 'handler' ? 'handler' : 'dog';
      return [{ seconds: rep.held, endedBy: ended as 'handler' | 'dog' }];
    }),
    turns: counted.flatMap(deviationOf),
    offsets: counted.flatMap((rep) => (rep.offset === undefined ? [] : [Math.abs(rep.offset)])),
    priced: pricedOf(sorted),
    probes: cleanOf(sorted.filter((rep) => rep.purpose === 'probe' && rep.isVoid !== true)),
    timings: timingsOf(sorted),
    habits: habitCounts(sorted, counted),
    minutes: minutesOf(sorted),
  };
  return { print: printOf(said), ...said };
}

/** Standing reps as a history draws them. One clean rep → `{ asked: [its criteria], marks: [{ on: 0, … }] }`. */
export function drawBout(reps: readonly EvidenceRep[]): DrawnBout {
  const asked = new Map<string, { readonly place: number; readonly criteria: Criteria }>();
  const marks = inTime(reps).map(({ id, outcome, cause, aided, faults, criteria }): KeptMark => {
    const key = JSON.stringify(inKeyOrder(criteria));
    const on = asked.get(key)?.place ?? asked.size;
    asked.set(key, { place: on, criteria });
    return { id, outcome, cause, aided, fault: faults[0] ?? null, on };
  });
  return { asked: [...asked.values()].map((one) => one.criteria), marks };
}

const inTime = (reps: readonly EvidenceRep[]): EvidenceRep[] =>
  [...reps].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));

/**
 * Counted reps at one set of criteria, over all bouts and conditions; axes that were not asked then
 * count at their start. Two clean and one flawed rep at 5 m → `{ reps: 3, clean: 2 }`.
 */
export function tallyAt(
  bouts: readonly Pick<BoutEvidence, 'cells'>[],
  axes: readonly Axis[],
  criteria: Criteria,
): Clean {
  const cells = bouts
    .flatMap((one) => one.cells)
    .filter((cell) => sameCriteria(axes, cell.criteria, criteria));
  const clean = cells.reduce((sum, cell) => sum + cell.clean, 0);
  return { reps: clean + cells.reduce((sum, cell) => sum + cell.notClean, 0), clean };
}

const cleanOf = (reps: readonly EvidenceRep[]): Clean => ({
  reps: reps.length,
  clean: reps.filter((rep) => rep.outcome === 'clean').length,
});

/** How far a rep deviated, degrees: as measured, else by eye, else nothing (an empty list). */
function deviationOf(rep: EvidenceRep): Deviation[] {
  if (rep.measured !== undefined) return [{ from: rep.measured, to: rep.measured }];
  return rep.crooked === undefined ? [] : [byEye(rep.crooked)];
}

const inKeyOrder = (record: Readonly<Record<string, unknown>>): [string, unknown][] =>
  Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1));

/** Alike for reps that are counted together. */
export const cellText = (cell: Pick<BoutCell, 'criteria' | 'away' | 'conditions'>): string =>
  JSON.stringify([inKeyOrder(cell.criteria), cell.away, inKeyOrder(cell.conditions)]);

function cellsOf(counted: readonly EvidenceRep[]): Pick<BoutEvidence, 'cells' | 'first'> {
  const found = new Map<string, BoutCell>();
  for (const { criteria, away, conditions = {}, outcome } of counted) {
    const key = cellText({ criteria, away, conditions });
    const { clean, notClean } = found.get(key) ?? { clean: 0, notClean: 0 };
    const isClean = outcome === 'clean';
    found.set(key, {
      criteria,
      away,
      conditions,
      clean: clean + (isClean ? 1 : 0),
      notClean: notClean + (isClean ? 0 : 1),
    });
  }
  const keys = [...found.keys()].sort();
  const [one] = counted;
  const key = one && cellText({ ...one, conditions: one.conditions ?? {} });
  return {
    cells: keys.map((name) => found.get(name) as BoutCell),
    first: one
      ? { id: one.id, at: one.at, cell: keys.indexOf(key as string), clean: one.outcome === 'clean' }
      : null,
  };
}

const isEarly = (rep: EvidenceRep): boolean =>
  rep.timing === 'before-word' || rep.faults.some(({ key }) => /anticipat|before-cue|too-early/.test(key));

function timingsOf(sorted: readonly EvidenceRep[]): BoutEvidence['timings'] {
  const found: Partial<Record<Timing, number>> = {};
  for (const { timing } of sorted) if (timing) found[timing] = (found[timing] ?? 0) + 1;
  return found;
}

function habitCounts(
  sorted: readonly EvidenceRep[],
  counted: readonly EvidenceRep[],
): BoutEvidence['habits'] {
  const said = sorted.filter((rep) => rep.cues !== undefined);
  const withCue = (kind: 'needed' | 'slip' | 'meant'): number =>
    said.filter((rep) => (rep.cues?.[kind] ?? 0) > 0).length;
  const after = (wanted: (rep: EvidenceRep) => boolean): EvidenceRep[] =>
    sorted.filter((_, i) => {
      const before = sorted[i - 1];
      return before !== undefined && wanted(before);
    });
  const driven = sorted.filter((rep) => rep.drive !== undefined);
  return {
    timed: sorted.filter((rep) => rep.timing !== null && rep.timing !== undefined).length,
    early: sorted.filter(isEarly).length,
    cued: said.length,
    cues: { needed: withCue('needed'), slip: withCue('slip'), meant: withCue('meant') },
    handlers: sorted.filter((rep) => rep.cause === 'handler').length,
    landings: LANDINGS.flatMap((landed) => {
      const next = after((rep) => rep.landed === landed);
      const times = next.flatMap((rep) => rep.latency ?? []);
      return next.length === 0 ? [] : [{ landed, ...cleanOf(next), times }];
    }),
    breaks: grouped(counted, (rep) => rep.did).map(([did, found]) => ({ did, ...cleanOf(found) })),
    handled: HANDLED.flatMap((handled) => {
      const next = after((rep) => rep.handled === handled);
      return next.length === 0 ? [] : [{ handled, ...cleanOf(next) }];
    }),
    instead: grouped(sorted, (rep) =>
      rep.instead === undefined ? undefined : JSON.stringify([rep.word ?? '', rep.instead]),
    ).map(([key, found]) => {
      const [word, did] = JSON.parse(key) as [string, string];
      return { word, did, count: found.length };
    }),
    drive: { of: driven.length, count: driven.filter((rep) => rep.drive === FULL_DRIVE).length },
    calm: (['on', 'worn', 'off'] as const).flatMap((moment) => {
      const found = sorted.flatMap((rep) => rep.calm?.[moment] ?? []);
      const calm = found.filter((one) => one >= CALM).length;
      return found.length === 0 ? [] : [{ moment, of: found.length, count: calm }];
    }),
    pay: grouped(sorted, (rep) => rep.what).map(([what, found]) => ({ what, ...cleanOf(found) })),
    jackpots: sorted.filter((rep) => rep.pay === 'jackpot').length,
    unasked: sorted.filter((rep) => rep.unasked === true).length,
  };
}

/** Full drive, and calm, on their scales of 0 to 5. */
const FULL_DRIVE = 5;
const CALM = 5;

/** Reps by what is said of them, in the order of the words; those of which nothing is said are left out. */
function grouped(
  reps: readonly EvidenceRep[],
  of: (rep: EvidenceRep) => string | undefined,
): (readonly [string, EvidenceRep[]])[] {
  const found = new Map<string, EvidenceRep[]>();
  for (const rep of reps) {
    const key = of(rep);
    if (key === undefined) continue;
    const list = found.get(key);
    if (list) list.push(rep);
    else found.set(key, [rep]);
  }
  return [...found].sort(([a], [b]) => (a < b ? -1 : 1));
}

/** Reps typed from paper keep an order, not an hour: a bout that has one tells no minutes. */
function minutesOf(sorted: readonly EvidenceRep[]): number | null {
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last || sorted.some((rep) => rep.timed === false)) return null;
  const span = (last.at - first.at) / 60_000;
  return sorted.length > 1 && span > 0 ? (span * sorted.length) / (sorted.length - 1) : null;
}
