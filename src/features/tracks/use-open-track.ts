import { useState } from 'react';
import type { DogId, Failure, SetOutId } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Dog, Track } from '@/data/read';
import { addTracks, type TrackSaid } from '@/data/write';
import { fileDesk } from '@/workers/client';
import { tell } from './words';

/** Takes the tracks of a GPX file in; a track that carries a dog's name is that dog's. */
export function useOpenTrack() {
  const { kennel, done } = useKennel();
  const [state, setState] = useState<{ readonly busy: boolean; readonly failure: Failure | null }>({
    busy: false,
    failure: null,
  });
  const open = async (
    file: File,
    dogs: readonly Dog[],
    dog: DogId,
    more: Partial<Pick<TrackSaid, 'source'>> & { readonly setOut?: SetOutId } = {},
  ): Promise<readonly Track[]> => {
    setState({ busy: true, failure: null });
    const read = await fileDesk.ask({ kind: 'read-track', file });
    if (!read.ok) {
      setState({ busy: false, failure: read });
      return [];
    }
    const { tracks, places, untimed } = read.value;
    const said = tracks.map(({ name, fixes }): TrackSaid => {
      const first = fixes[0]?.at ?? 0;
      const named = dogs.find((one) => name !== '' && name.toLowerCase().includes(one.name.toLowerCase()));
      return {
        // One track is the dog's in hand; of several each says whose it is, or nobody knows yet.
        dogId: named?.id ?? (tracks.length === 1 ? dog : null),
        name: name || file.name,
        source: more.source ?? 'file',
        startedAt: first,
        boutId: null,
        setOut: more.setOut ?? null,
        t: fixes.map(({ at }) => (at - first) / 1000),
        lat: fixes.map(({ lat }) => lat),
        lon: fixes.map(({ lon }) => lon),
        // What somebody marked on the way, where it says when.
        marks: places.flatMap(({ at, name: place }) =>
          at !== null && at >= first && at <= (fixes.at(-1)?.at ?? 0)
            ? [{ t: (at - first) / 1000, name: place }]
            : [],
        ),
      };
    });
    const added = await done(
      tell('tracks.room.taken-in', { count: said.length, untimed }),
      addTracks(kennel, said),
    );
    setState({ busy: false, failure: null });
    return added.ok ? added.value.made : [];
  };
  return { ...state, open };
}
