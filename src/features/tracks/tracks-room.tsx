import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useNavigate } from 'react-router';
import { useDogs, useKennelWithDog } from '@/data/live';
import { ENOUGH_RUNS, listSetOuts, listTracks, runsOfDog, type Track } from '@/data/read';
import { buttonClass, FileButton, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf, writeInstant } from '@/words';
import { linesInWords } from './lines-in-words';
import { Simulated } from './simulated';
import { useOpenTrack } from './use-open-track';
import { tell } from './words';

/** Tracks of collars, watches and phones, and what a dog's lines came to over the weeks. */
export function TracksRoom() {
  const { kennel, dog } = useKennelWithDog();
  const navigate = useNavigate();
  const dogs = useDogs();
  const found = useLiveQuery(
    async () => ({
      tracks: await listTracks(kennel),
      setOuts: (await listSetOuts(kennel)).filter((one) => !one.putAway),
      runs: await runsOfDog(kennel, dog.id),
    }),
    [kennel, dog.id],
  );
  const { busy, failure, open } = useOpenTrack();
  if (!found || !dogs) return <p className="text-lg">{tell('tracks.room.opening')}</p>;
  const { tracks, setOuts, runs } = found;
  const choose = async (file: File): Promise<void> => {
    const made = await open(file, dogs, dog.id);
    if (made.length === 1) void navigate(`/${kennel.name}/tracks/${made[0]?.id}`);
  };
  const own = tracks.filter((one) => one.dogId === dog.id || one.dogId === null);
  return (
    <>
      <PageHead title={tell('tracks.room.title', { name: dog.name })}>{tell('tracks.room.what')}</PageHead>
      <div className="mb-4 grid gap-2">
        <p className="flex flex-wrap gap-3">
          <FileButton
            look="signal"
            label={tell('tracks.room.open')}
            inputLabel={tell('tracks.room.file')}
            accept=".gpx,application/gpx+xml"
            onFile={choose}
          />
          <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/tracks/walk`}>
            {tell('tracks.room.walk')}
          </Link>
          <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/set-outs`}>
            {tell('tracks.room.set-outs')}
          </Link>
        </p>
        <div role="status">{busy && <Notice>{tell('tracks.room.reading')}</Notice>}</div>
        {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet title={tell('tracks.room.tracks', { count: own.length })}>
          {own.length === 0 ? (
            <p className="leading-snug">{tell('tracks.room.none')}</p>
          ) : (
            <ul className="divide-y divide-hair">
              {own.map((one) => (
                <Row
                  key={one.id}
                  track={one}
                  setOut={setOuts.find(({ id }) => id === one.setOut)?.title ?? ''}
                />
              ))}
            </ul>
          )}
        </Sheet>
        <div className="grid gap-5">
          <Sheet title={tell('tracks.history.title', { name: dog.name })}>
            {linesInWords(runs, ENOUGH_RUNS).map((line) => (
              <p key={line} className="leading-snug">
                {line}
              </p>
            ))}
          </Sheet>
          <Simulated setOuts={setOuts} />
        </div>
      </div>
    </>
  );
}

function Row({ track, setOut }: { readonly track: Track; readonly setOut: string }) {
  const { kennel } = useKennelWithDog();
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 py-2">
      <span className="leading-snug">
        <span className="font-bold">{track.name}</span>
        <span className="block text-ink-soft">
          {tell('tracks.room.row', {
            at: writeInstant(track.startedAt),
            source: track.source,
            setOut: setOut || tell('tracks.room.not-laid'),
            goes: track.goes.length,
            whose: track.dogId !== null,
          })}
        </span>
      </span>
      <Link
        className={buttonClass('plain')}
        to={`/${kennel.name}/tracks/${track.id}`}
        aria-label={tell('tracks.room.look-at', { name: track.name })}
      >
        {tell('tracks.room.look')}
      </Link>
    </li>
  );
}
