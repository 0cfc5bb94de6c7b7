import { ACTION_CHIP, type EvidenceRep, HANDLED, type Handled, LANDINGS, type Landed } from '@/core/log';
import { type AxisKey, asId } from '@/core/shared';
import { inKeyOrder } from './bout-cells';

/** So many of so many. */
export type Clean = { readonly reps: number; readonly clean: number };
/** The same at one set of criteria: what is compared is compared at like ones. */
type Alike = Clean & { readonly at: string };
/** So many of those of which it was said. */
type Said = { readonly of: number; readonly count: number };

/** What one bout says of small things that tell more than the clean rate: plain counts. */
export type HabitCounts = {
  /** Reps whose timing was kept, answers before the word, reps of which cues were said. */
  readonly timed: number;
  readonly early: number;
  readonly cued: number;
  /** Reps with a further cue: one that the dog needed, one that slipped, one that was meant. */
  readonly cues: { readonly needed: number; readonly slip: number; readonly meant: number };
  readonly handlers: number;
  readonly landings: readonly (Alike & { readonly landed: Landed; readonly times: readonly number[] })[];
  /** By what the handler did meanwhile, in the words of the chip. */
  readonly breaks: readonly (Alike & { readonly did: string })[];
  /** The rep after one that went wrong, by what the handler did about that. */
  readonly handled: readonly (Alike & { readonly handled: Handled })[];
  /** What it did instead of the word that was asked (empty where none was said). */
  readonly instead: readonly { readonly word: string; readonly did: string; readonly count: number }[];
  /** Full drive, of those whose drive was said; and calm all through, of those where that was said. */
  readonly drive: Said;
  readonly calm: readonly (Said & { readonly moment: 'on' | 'worn' | 'off' })[];
  /** Rewards by kind, and how many were a jackpot, and how many were paid though nobody had asked. */
  readonly pay: readonly (Alike & { readonly what: string })[];
  readonly jackpots: number;
  readonly unasked: number;
};

/** How many of these reps were clean. */
export const cleanOf = (reps: readonly EvidenceRep[]): Clean => ({
  reps: reps.length,
  clean: reps.filter((rep) => rep.outcome === 'clean').length,
});

const isEarly = (rep: EvidenceRep): boolean =>
  rep.timing === 'before-word' || rep.faults.some(({ key }) => /anticipat|before-cue|too-early/.test(key));

/** Counts the habits of one bout: of all its reps in their order, and of those that count. */
export function habitCounts(sorted: readonly EvidenceRep[], counted: readonly EvidenceRep[]): HabitCounts {
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
    landings: LANDINGS.flatMap((landed) =>
      byCriteria(after((rep) => rep.landed === landed)).map(({ at, found }) => ({
        landed,
        at,
        ...cleanOf(found),
        times: found.flatMap((rep) => rep.latency ?? []),
      })),
    ),
    breaks: grouped(counted, (rep) => rep.did).flatMap(([did, reps]) =>
      byCriteria(reps.map(withoutAction)).map(({ at, found }) => ({ did, at, ...cleanOf(found) })),
    ),
    handled: HANDLED.flatMap((handled) =>
      byCriteria(after((rep) => rep.handled === handled)).map(({ at, found }) => ({
        handled,
        at,
        ...cleanOf(found),
      })),
    ),
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
    pay: grouped(sorted, (rep) => rep.what).flatMap(([what, reps]) =>
      byCriteria(reps).map(({ at, found }) => ({ what, at, ...cleanOf(found) })),
    ),
    jackpots: sorted.filter((rep) => rep.pay === 'jackpot').length,
    unasked: sorted.filter((rep) => rep.unasked === true).length,
  };
}

/** Where what the handler does is itself a criterion, it is what is compared; the rest has to be alike. */
function withoutAction(rep: EvidenceRep): EvidenceRep {
  const { [asId<AxisKey>(ACTION_CHIP)]: _did, ...criteria } = rep.criteria;
  return { ...rep, criteria };
}

const byCriteria = (
  reps: readonly EvidenceRep[],
): { readonly at: string; readonly found: readonly EvidenceRep[] }[] =>
  grouped(reps, (rep) => JSON.stringify(inKeyOrder(rep.criteria))).map(([at, found]) => ({ at, found }));

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
