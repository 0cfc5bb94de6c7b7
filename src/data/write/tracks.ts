import { type Result, say, type TrackId } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { Track, TrackPoints } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/** A track as it was read or recorded. */
export type TrackSaid = Pick<Track, 'dogId' | 'name' | 'source' | 'startedAt' | 'boutId' | 'setOut'> &
  Pick<TrackPoints, 't' | 'lat' | 'lon' | 'marks'>;

const TABLES = ['tracks', 'trackPoints'] as const;

/** Takes tracks in, all or none; one that is here already, by its beginning and its fixes, is not taken twice. */
export function addTracks(kennel: Kennel, list: readonly TrackSaid[]): Promise<Result<Undo<Track[]>>> {
  return transact(kennel, TABLES, async (write) => {
    const known = await write.all('tracks');
    const made: Track[] = [];
    for (const { t, lat, lon, marks, ...said } of list) {
      const same = known.find(
        (one) => one.startedAt === said.startedAt && one.count === t.length && one.name === said.name,
      );
      if (same) {
        made.push(same);
        continue;
      }
      const id = newId<TrackId>();
      made.push(await write.put('tracks', { ...said, id, count: t.length, lies: null, goes: [] }));
      await write.put('trackPoints', { id, t, lat, lon, marks });
    }
    return made;
  });
}

export type TrackChange = Partial<Pick<Track, 'dogId' | 'name' | 'boutId' | 'setOut' | 'lies' | 'goes'>>;

/** Says of a track whose it is, where it lies, its goes. Another set-out is another place: it is laid anew. Fails with `gone`. */
export function changeTrack(kennel: Kennel, id: TrackId, change: TrackChange): Promise<Result<Undo<Track>>> {
  return transact(kennel, ['tracks'], async (write) => {
    const stored = await write.get('tracks', id);
    if (!stored) return refuse('gone', id, say('data.tracks.gone'));
    const elsewhere = change.setOut !== undefined && change.setOut !== stored.setOut;
    return write.put('tracks', { ...stored, ...(elsewhere ? { lies: null, goes: [] } : {}), ...change });
  });
}

export function removeTrack(kennel: Kennel, id: TrackId): Promise<Result<Undo>> {
  return transact(kennel, TABLES, async (write) => {
    await write.remove('trackPoints', id);
    await write.remove('tracks', id);
  });
}
