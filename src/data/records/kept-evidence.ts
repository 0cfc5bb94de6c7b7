import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent, SeenSign } from '@/core/coaching';
import { type BoutEvidence, type DrawnBout, drawBout, MEANING, weighBout } from '@/core/evidence';
import {
  asEvidence,
  countsAsEvidence,
  type Entry,
  type EvidenceRep,
  foldLog,
  linkReps,
  type StandingRep,
} from '@/core/log';
import { type AxisKey, asId, type BoutId, type DogId, type ElementId } from '@/core/shared';
import { type Bout, elementOf } from './bout';
import type { Outing } from './outing';

/**
 * What a bout's log comes to, kept beside it: pages read this and no entries. Derived, never exported,
 * and written in the same transaction as what it is derived from.
 */
export type KeptEvidence = BoutEvidence & {
  readonly id: BoutId;
  readonly dogId: DogId;
  readonly element: ElementId | null;
  readonly startedAt: number;
  readonly open: boolean;
  /** When something was last said in it; when it began where nothing was. */
  readonly last: number;
  /** The link of a whole run that this says something of: the bout's own row is another one. */
  readonly link: boolean;
  /** All that was done, whatever came of it, by what was asked: how often, and seconds held. Loads are counted from it. */
  readonly effort: readonly Effort[];
  readonly away: boolean;
  readonly start: Criteria;
  /** Where the dog stands after it. */
  readonly stands: Criteria;
  /** Signs of the body that nobody has dismissed, in their order. */
  readonly signs: readonly SeenSign[];
  /** What was noted, in its order. */
  readonly notes: readonly string[];
  /**
   * What the reps say of its wait, in which the dog was gone back to: `delay` among the criteria is the
   * seconds that were waited. Null where it never was.
   */
  readonly returns: BoutEvidence | null;
  /** How many entries of each device are in it. */
  readonly upTo: Readonly<Record<string, number>>;
  /** By which meaning of a rep it was folded. Not there in the row of a link, which goes with its bout's. */
  readonly meaning?: number;
};

export type Effort = { readonly criteria: Criteria; readonly reps: number; readonly held: number };

/** What is kept of a bout's log rep by rep, apart from the counts: few pages need it, and of few bouts. */
export type KeptLog = DrawnBout & {
  readonly id: BoutId;
  readonly element: ElementId | null;
  readonly startedAt: number;
  readonly articles: readonly ArticleEvent[];
  /** Its counted reps (clean or not) and moves, in their order. */
  readonly walked: readonly (boolean | Criteria)[];
};

type Kept = { readonly evidence: KeptEvidence; readonly log: KeptLog };

/**
 * Folds the log of a bout, in its order, into what is kept of it: the bout's own row first, then one for
 * each link of an exercise that was run whole in it.
 */
export function keptOf(
  bout: Bout,
  { day }: Pick<Outing, 'day'>,
  entries: readonly Entry[],
): [Kept, ...Kept[]] {
  const folded = foldLog(bout.start, entries);
  const reps = asEvidence({ ...bout, day }, folded.reps);
  const counted = new Map(
    reps.filter(countsAsEvidence).map((rep) => [rep.id as string, rep.outcome === 'clean'] as const),
  );
  const upTo: Record<string, number> = {};
  for (const { by } of entries) upTo[by] = (upTo[by] ?? 0) + 1;
  const unlogged = entries.reduce(
    (sum, entry) => sum + (entry.kind === 'unlogged' && !folded.undone.has(entry.id) ? entry.count : 0),
    0,
  );
  const { id, startedAt } = bout;
  const element = elementOf(bout);
  const own: Kept = {
    evidence: {
      ...weighBout({ id, day }, reps),
      id,
      dogId: bout.dogId,
      element,
      startedAt,
      open: bout.endedAt === null,
      last: entries.reduce((last, entry) => Math.max(last, entry.at), startedAt),
      link: false,
      effort: effortOf(reps, unlogged === 0 ? null : { criteria: folded.stands, reps: unlogged, held: 0 }),
      away: bout.away,
      start: bout.start,
      stands: folded.stands,
      signs: folded.signs.flatMap(({ id: seen, sign, over }) => (over === null ? [{ id: seen, sign }] : [])),
      notes: folded.notes.map(({ text }) => text),
      returns: returnsOf({ id, day }, reps),
      upTo,
      meaning: MEANING,
    },
    log: {
      ...drawBout(reps),
      id,
      element,
      startedAt,
      articles: folded.articles,
      walked: entries.flatMap((entry): (boolean | Criteria)[] => {
        if (entry.kind === 'move') return folded.undone.has(entry.id) ? [] : [entry.to];
        const clean = counted.get(entry.id);
        return clean === undefined ? [] : [clean];
      }),
    },
  };
  return bout.on.kind === 'exercise' ? [own, ...linksKept(own, bout, day, folded.reps)] : [own];
}

/** What a whole run says of each link that it reached, as if the link had been done alone, at its own values. */
function linksKept({ evidence }: Kept, bout: Bout, day: Outing['day'], reps: readonly StandingRep[]): Kept[] {
  const byLink = linkReps(reps);
  return [...byLink].map(([element, found]) => {
    const id = asId<BoutId>(`${bout.id}/${element}`);
    const said = asEvidence({ ...bout, id, day }, found);
    const counted = said.filter(countsAsEvidence);
    const { meaning: _of, ...row } = evidence;
    return {
      evidence: {
        ...row,
        ...weighBout({ id, day }, said),
        id,
        element,
        link: true,
        effort: effortOf(said, null),
        signs: [],
        notes: [],
        returns: null,
      },
      log: {
        ...drawBout(said),
        id,
        element,
        startedAt: bout.startedAt,
        articles: [],
        walked: counted.map((rep) => rep.outcome === 'clean'),
      },
    };
  });
}

function effortOf(reps: readonly EvidenceRep[], more: Effort | null): Effort[] {
  const found = new Map<string, Effort>();
  const add = (one: Effort): void => {
    const key = JSON.stringify(Object.entries(one.criteria).sort(([a], [b]) => (a < b ? -1 : 1)));
    const { reps: n, held } = found.get(key) ?? { reps: 0, held: 0 };
    found.set(key, { criteria: one.criteria, reps: n + one.reps, held: held + one.held });
  };
  for (const { criteria, held = 0 } of reps) add({ criteria, reps: 1, held });
  if (more) add(more);
  return [...found].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, one]) => one);
}

/** The key under which the seconds of a wait are kept until it is known which element it is. */
export const DELAY_KEY = asId<AxisKey>('delay');

/** A dog that was gone back to waited well, or broke: the same rep, as evidence of its wait. */
function returnsOf(bout: Pick<BoutEvidence, 'day'> & { readonly id: BoutId }, reps: readonly EvidenceRep[]) {
  const found = reps.flatMap(({ returned, ...rep }) =>
    returned ? [{ ...rep, criteria: returned.delay === null ? {} : { [DELAY_KEY]: returned.delay } }] : [],
  );
  return found.length === 0 ? null : weighBout(bout, found);
}
