import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent, SeenSign } from '@/core/coaching';
import { type BoutEvidence, type DrawnBout, drawBout, MEANING, weighBout } from '@/core/evidence';
import { asEvidence, countsAsEvidence, type Entry, type EvidenceRep, foldLog } from '@/core/log';
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
  /** How many entries of each device are in it, and by which meaning of a rep. */
  readonly upTo: Readonly<Record<string, number>>;
  readonly meaning: number;
};

/** What is kept of a bout's log rep by rep, apart from the counts: few pages need it, and of few bouts. */
export type KeptLog = DrawnBout & {
  readonly id: BoutId;
  readonly element: ElementId | null;
  readonly startedAt: number;
  readonly articles: readonly ArticleEvent[];
  /** Its counted reps (clean or not) and moves, in their order. */
  readonly walked: readonly (boolean | Criteria)[];
};

/** Folds the log of a bout, in its order, into what is kept of it. */
export function keptOf(
  bout: Bout,
  { day }: Pick<Outing, 'day'>,
  entries: readonly Entry[],
): { readonly evidence: KeptEvidence; readonly log: KeptLog } {
  const folded = foldLog(bout.start, entries);
  const reps = asEvidence({ ...bout, day }, folded.reps);
  const counted = new Map(
    reps.filter(countsAsEvidence).map((rep) => [rep.id as string, rep.outcome === 'clean'] as const),
  );
  const upTo: Record<string, number> = {};
  for (const { by } of entries) upTo[by] = (upTo[by] ?? 0) + 1;
  const { id, startedAt } = bout;
  const element = elementOf(bout);
  return {
    evidence: {
      ...weighBout({ id, day }, reps),
      id,
      dogId: bout.dogId,
      element,
      startedAt,
      open: bout.endedAt === null,
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
