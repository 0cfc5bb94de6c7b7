import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent } from '@/core/coaching';
import { type BoutEvidence, type DrawnBout, drawBout, MEANING, weighBout } from '@/core/evidence';
import { asEvidence, countsAsEvidence, type Entry, foldLog } from '@/core/log';
import type { BoutId, DogId, ElementId } from '@/core/shared';
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
