import { useLiveQuery } from 'dexie-react-hooks';
import type { Judging, StandingRep } from '@/core/log';
import { useKennel } from '@/data/live';
import {
  addressOf,
  boutsOn,
  type DatedBout,
  type ElementRecord,
  judgingOf,
  logged,
  namedFaults,
  reachAxis,
  type Track,
  trainableIn,
  workOf,
} from '@/data/read';

export type TrackLog = {
  readonly bout: DatedBout;
  readonly element: ElementRecord;
  readonly reps: readonly StandingRep[];
  readonly judging: Judging;
  /** How far it is sent, where the element goes by that. */
  readonly axis: ElementRecord['axes'][number] | null;
};

/** The bout that a track belongs to; null where it has none, undefined while it is read. */
export function useTrackLog({ boutId, dogId }: Pick<Track, 'boutId' | 'dogId'>): TrackLog | null | undefined {
  const { kennel } = useKennel();
  return useLiveQuery(async (): Promise<TrackLog | null> => {
    const stored = boutId === null ? undefined : await kennel.database.of('bouts').get(boutId);
    if (!stored || dogId === null) return null;
    const work = await workOf(kennel, dogId);
    const element = trainableIn(work, addressOf(stored));
    const bout = element && (await boutsOn(kennel, element.id)).find((one) => one.id === boutId);
    if (!element || !bout) return null;
    const { folded } = await logged(kennel, bout);
    const judging = judgingOf(element, namedFaults(element, work));
    return { bout, element, reps: folded.reps, judging, axis: reachAxis(element) };
  }, [kennel, boutId, dogId]);
}

export type TrackBout = { readonly id: string; readonly title: string; readonly startedAt: number };

/** Milliseconds about a track within which a bout is offered. */
const ABOUT = 36 * 3_600_000;

/** The bouts of the dog about the time of a track, the nearest first. */
export function useTrackBouts({
  dogId,
  startedAt,
}: Pick<Track, 'dogId' | 'startedAt'>): readonly TrackBout[] | undefined {
  const { kennel } = useKennel();
  return useLiveQuery(async () => {
    if (dogId === null) return [];
    const { database } = kennel;
    const away = (one: { readonly startedAt: number }): number => Math.abs(one.startedAt - startedAt);
    const bouts = (await database.of('bouts').where('dogId').equals(dogId).toArray())
      .filter((one) => away(one) <= ABOUT)
      .sort((a, b) => away(a) - away(b));
    const elements = await database.of('elements').bulkGet(bouts.map(addressOf));
    return bouts.flatMap((bout, i): TrackBout[] => {
      const element = elements[i];
      return element ? [{ id: bout.id, title: element.title, startedAt: bout.startedAt }] : [];
    });
  }, [kennel, dogId, startedAt]);
}
