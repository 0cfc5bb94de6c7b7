import { useLiveQuery } from 'dexie-react-hooks';
import { useKennel } from '@/data/live';
import {
  addressOf,
  type ElementRecord,
  type JudgedBout,
  judgedBout,
  reachAxis,
  type Track,
} from '@/data/read';

export type TrackLog = JudgedBout & {
  /** How far it is sent, where the element goes by that. */
  readonly axis: ElementRecord['axes'][number] | null;
};

/** The bout that a track belongs to; null where it has none, undefined while it is read. */
export function useTrackLog({ boutId, dogId }: Pick<Track, 'boutId' | 'dogId'>): TrackLog | null | undefined {
  const { kennel } = useKennel();
  return useLiveQuery(async (): Promise<TrackLog | null> => {
    const judged = await judgedBout(kennel, boutId, dogId);
    return judged && { ...judged, axis: reachAxis(judged.element) };
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
