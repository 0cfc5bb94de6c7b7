import { useLiveQuery } from 'dexie-react-hooks';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { lengthsBy } from '@/core/breakdown';
import { laidPoint, laidTrack, placeAround } from '@/core/geometry';
import type { EntryId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  laidOut,
  laidOutView,
  listPeople,
  type ReadTrack,
  repsOfGoes,
  trackGoes,
  trackOf,
  unitOfSetOut,
} from '@/data/read';
import { amendReps, changeTrack, removeTrack, type TrackChange } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SetOutDrawing, Sheet, useLengthChoice } from '@/ui';
import { writeInstant } from '@/words';
import { GoLine } from './go-line';
import { LaySheet } from './lay-sheet';
import { goesOf, type Lies, layTwo, noGoInWords, type Pair, usualPairs } from './laying';
import { SaveTrack } from './save-track';
import { boxOf } from './track-box';
import { trackCorrection } from './track-correction';
import { TrackFacts } from './track-facts';
import { useTrackLog } from './use-track-log';
import { tell } from './words';

/** A track on its set-out: laid there, measured go by go, joined with the reps of its bout. */
export function TrackPage() {
  const { track: id = '' } = useParams();
  const { kennel, today } = useKennelWithDog();
  const read = useLiveQuery(() => trackOf(kennel, id), [kennel, id]);
  const setOut = read?.track.setOut ?? null;
  const laid = useLiveQuery(
    async () => ({
      of: setOut,
      laid: await laidOut(kennel, setOut, today),
      people: await listPeople(kennel),
    }),
    [kennel, setOut, today],
  );
  if (read === undefined || laid === undefined || (read !== null && laid.of !== setOut))
    return <p className="text-lg">{tell('tracks.room.opening')}</p>;
  if (read === null)
    return (
      <>
        <PageHead title={tell('tracks.track.gone')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/tracks`}>
          {tell('tracks.track.to-the-tracks')}
        </Link>
      </>
    );
  return <OneTrack key={read.track.id} read={read} laid={laid.laid} people={laid.people} />;
}

/** More places than this no eye tells apart. */
const DRAWN = 2_000;
const thinned = <T,>(places: readonly T[]): readonly T[] => {
  const every = Math.ceil(places.length / DRAWN);
  return every <= 1 ? places : places.filter((_, i) => i % every === 0);
};

type Props = {
  readonly read: ReadTrack;
  readonly laid: Awaited<ReturnType<typeof laidOut>>;
  readonly people: Awaited<ReturnType<typeof listPeople>>;
};

function OneTrack({ read, laid, people }: Props) {
  const { track, states } = read;
  const { kennel, done } = useKennelWithDog();
  const navigate = useNavigate();
  const { unit, whose } = useLengthChoice();
  const lengths = lengthsBy({ unit, whose }, people, laid ? unitOfSetOut(laid) : null);
  const log = useTrackLog(track) ?? null;
  const [chosen, setChosen] = useState(0);
  const [said, setPairs] = useState<readonly [Pair, Pair] | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const things = laid?.setOut.things ?? [];
  const pairs = said ?? usualPairs(states, things);
  const goes = trackGoes(read, laid?.setOut ?? null);
  const change = (words: string, by: TrackChange): void =>
    void done(words, changeTrack(kennel, track.id, by));
  const lay = (to: Lies): void => {
    setPairs(null);
    change(tell('tracks.lay.laid'), { lies: to, goes: goesOf(states, to, things, track.goes) });
  };
  // While it is being laid it is seen where it would lie.
  const tried = said || !track.lies ? layTwo(states, things, pairs) : null;
  const lies = tried?.ok ? tried.value : track.lies;
  const all = lies ? laidTrack(states, lies) : [];
  const view = laid && laidOutView(laid, lengths);
  const here = lies
    ? pairs.flatMap(({ t }) => {
        const place = placeAround(states, t);
        return place ? [laidPoint(place, lies)] : [];
      })
    : [];
  const sayGo = (i: number, words: string, by: Partial<(typeof track.goes)[number]>): void =>
    change(words, { goes: track.goes.map((one, j) => (i === j ? { ...one, ...by } : one)) });
  const corrections = goes.map(({ go }, i) => {
    const rep = log?.reps.find(({ id }) => id === go.rep);
    const measured = goes[i];
    return log && rep && measured ? trackCorrection(measured, rep, log.judging, log.axis) : null;
  });
  const join = (): void => {
    if (!log) return;
    const reps = repsOfGoes(track, log.reps);
    change(tell('tracks.join.joined', { count: reps.filter((one) => one !== null).length }), {
      goes: track.goes.map((one, i) => ({ ...one, rep: reps[i] ?? null })),
    });
  };
  const open = corrections.flatMap((one, i) =>
    one?.isNew ? [{ one, rep: goes[i]?.go.rep as EntryId }] : [],
  );
  // What has to be said first stands first, also in the hand.
  const what = (
    <TrackFacts
      read={read}
      onChange={(by) => {
        setPairs(null);
        change(tell('tracks.track.kept'), by);
      }}
    />
  );
  const whereItLies = laid && (
    <LaySheet
      track={track}
      states={states}
      setOut={laid.setOut}
      pairs={pairs}
      onPairs={setPairs}
      onLay={lay}
    />
  );
  return (
    <>
      <PageHead title={track.name}>
        {tell('tracks.track.about', {
          at: writeInstant(track.startedAt),
          count: track.count,
          source: track.source,
          spikes: read.spikes,
          gaps: read.gaps,
        })}
      </PageHead>
      <div className="grid items-start gap-5 lg:grid-cols-[3fr_2fr]">
        <div className="grid min-w-0 gap-4">
          {track.setOut === null && what}
          {view && laid ? (
            <SetOutDrawing
              svg={svg}
              picture={{ ...view.picture, box: boxOf(view.picture.box, all) }}
              title={tell('tracks.track.drawing', { title: laid.setOut.title })}
              tracks={[
                { key: 'all', places: thinned(all), chosen: false },
                ...goes.flatMap(({ states: own }, i) =>
                  i === chosen && !said ? [{ key: `go ${i}`, places: own, chosen: true }] : [],
                ),
              ]}
              here={here}
            />
          ) : (
            <Notice>{tell('tracks.track.no-set-out')}</Notice>
          )}
          {!track.lies && whereItLies}
          <Sheet title={tell('tracks.goes.title', { count: goes.length })}>
            {goes.length === 0 && <p className="leading-snug">{noGoInWords(track.lies, things, lengths)}</p>}
            <ol className="divide-y divide-hair">
              {goes.map((one, i) => (
                <GoLine
                  key={one.go.from}
                  place={i + 1}
                  one={one}
                  things={things}
                  lengths={lengths}
                  log={log}
                  correction={corrections[i] ?? null}
                  chosen={i === chosen}
                  onChoose={() => setChosen(i)}
                  onSay={(words, by) => sayGo(i, words, by)}
                />
              ))}
            </ol>
          </Sheet>
        </div>
        <div className="grid gap-4">
          {track.setOut !== null && what}
          {track.lies && whereItLies}
          {log && goes.length > 0 && (
            <Sheet title={tell('tracks.join.title')}>
              <p className="flex flex-wrap items-center gap-2">
                <Button look="ink" size="big" onClick={join}>
                  {tell('tracks.join.by-time')}
                </Button>
                {open.length > 0 && (
                  <Button
                    look="signal"
                    size="big"
                    onClick={() =>
                      void done(
                        tell('tracks.join.taken-over', { count: open.length }),
                        amendReps(
                          kennel,
                          log.bout,
                          open.map(({ one, rep }) => ({ of: rep, change: one.change })),
                        ),
                      )
                    }
                  >
                    {tell('tracks.join.take-over', { count: open.length })}
                  </Button>
                )}
              </p>
            </Sheet>
          )}
          <SaveTrack read={read} svg={svg} />
          <p className="flex flex-wrap gap-2">
            <Link className={buttonClass('plain')} to={`/${kennel.name}/tracks`}>
              {tell('tracks.track.to-the-tracks')}
            </Link>
            <Button
              look="quiet"
              onClick={() => {
                void done(tell('tracks.track.removed'), removeTrack(kennel, track.id));
                void navigate(`/${kennel.name}/tracks`);
              }}
            >
              {tell('tracks.track.remove')}
            </Button>
          </p>
        </div>
      </div>
    </>
  );
}
