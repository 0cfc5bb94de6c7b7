import { useLiveQuery } from 'dexie-react-hooks';
import { asId, type BoutId, type DogId, type SetOutId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { isReal, listSetOuts, type ReadTrack } from '@/data/read';
import type { TrackChange } from '@/data/write';
import { Notice, SelectField, Sheet } from '@/ui';
import { writeInstant } from '@/words';
import { clockOf } from './track-view';
import { useTrackBouts } from './use-track-log';
import { tell } from './words';

type Props = { readonly read: ReadTrack; readonly onChange: (change: TrackChange) => void };

/** Whose track it is, on which set-out it was run, and to which bout it belongs. */
export function TrackFacts({ read, onChange }: Props) {
  const { track } = read;
  const { kennel } = useKennel();
  const dogs = useDogs() ?? [];
  const setOuts = useLiveQuery(() => listSetOuts(kennel), [kennel]) ?? [];
  const real = isReal(kennel, track);
  const bouts = useTrackBouts(track) ?? [];
  return (
    <Sheet title={tell('tracks.track.what')}>
      <div className="grid gap-2">
        <SelectField
          label={tell('tracks.track.dog')}
          value={track.dogId ?? ''}
          options={[
            { value: '', words: tell('tracks.track.nobody') },
            ...dogs.map(({ id, name }) => ({ value: id as string, words: name })),
          ]}
          onChange={(id) =>
            onChange({
              dogId: id === '' ? null : asId<DogId>(id),
              boutId: null,
            })
          }
        />
        <SelectField
          label={tell('tracks.track.set-out')}
          value={track.setOut ?? ''}
          options={[
            { value: '', words: tell('tracks.track.none') },
            ...setOuts
              .filter((one) => !one.putAway || one.id === track.setOut)
              .map(({ id, title }) => ({ value: id as string, words: title })),
          ]}
          onChange={(id) => {
            onChange({ setOut: id === '' ? null : asId<SetOutId>(id) });
          }}
        />
        {real ? (
          <SelectField
            label={tell('tracks.track.bout')}
            value={track.boutId ?? ''}
            options={[
              { value: '', words: tell('tracks.track.none') },
              ...bouts.map((one) => ({
                value: one.id,
                words: tell('tracks.track.one-bout', {
                  at: writeInstant(one.startedAt),
                  title: one.title,
                }),
              })),
            ]}
            onChange={(id) => onChange({ boutId: id === '' ? null : asId<BoutId>(id) })}
          />
        ) : (
          <Notice>{tell('tracks.track.simulated')}</Notice>
        )}
        {read.points.marks.length > 0 && (
          <p className="leading-snug">
            {tell('tracks.track.marks', {
              marks: read.points.marks.map((one) => `${one.name} ${clockOf(one.t)}`).join(', '),
            })}
          </p>
        )}
      </div>
    </Sheet>
  );
}
