import { useState } from 'react';
import { type Lengths, lengthOf, sentFor, type Thing } from '@/core/breakdown';
import { asId, type EntryId } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { MeasuredTrackGo, Track } from '@/data/read';
import { amendReps } from '@/data/write';
import { Button, SelectField } from '@/ui';
import { wordsOf } from '@/words';
import { atItsDistance, type TrackCorrection } from './track-correction';
import { CASTS, castInWords, clockOf, goInWords, thingName } from './track-view';
import type { TrackLog } from './use-track-log';
import { tell } from './words';

type Props = {
  readonly place: number;
  readonly one: MeasuredTrackGo;
  readonly things: readonly Thing[];
  readonly lengths: Lengths;
  readonly log: TrackLog | null;
  readonly correction: TrackCorrection | null;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onSay: (words: string, by: Partial<Track['goes'][number]>) => void;
};

/** One go of a track: what it came to, to what it was sent, its casts, and which rep it is. */
export function GoLine({ place, one, things, lengths, log, correction, chosen, onChoose, onSay }: Props) {
  const { kennel, done } = useKennel();
  const { go } = one;
  const rep = log?.reps.find(({ id }) => id === go.rep) ?? null;
  const axis = log?.axis ?? null;
  return (
    <li className="py-2">
      <h3>
        <button
          type="button"
          aria-pressed={chosen}
          className="min-h-11 text-left font-bold underline underline-offset-4 aria-pressed:no-underline"
          onClick={onChoose}
        >
          {tell('tracks.go.title', { place, at: clockOf(go.from), goal: thingName(go.goal, things) })}
        </button>
      </h3>
      <ul className="leading-snug">
        {goInWords(one, lengths).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        <SelectField
          label={tell('tracks.go.goal-of', { place })}
          shown={tell('tracks.go.goal')}
          beside
          value={go.goal ?? ''}
          options={[
            { value: '', words: tell('tracks.track.none') },
            ...sentFor(things).map(({ key }) => ({ value: key, words: thingName(key, things) })),
          ]}
          onChange={(goal) => onSay(tell('tracks.track.kept'), { goal: goal === '' ? null : goal })}
        />
        {log && (
          <SelectField
            label={tell('tracks.go.rep-of', { place })}
            shown={tell('tracks.go.rep')}
            beside
            value={go.rep ?? ''}
            options={[
              { value: '', words: tell('tracks.go.no-rep') },
              ...log.reps.map((each, i) => ({
                value: each.id as string,
                words: tell('tracks.go.one-rep', { rep: i + 1, outcome: each.judged.outcome }),
              })),
            ]}
            onChange={(id) => onSay(tell('tracks.track.kept'), { rep: id === '' ? null : asId<EntryId>(id) })}
          />
        )}
      </div>
      <Casts place={place} one={one} onSay={onSay} />
      {rep && log && axis && correction?.distance && (
        <p className="mt-1 flex flex-wrap items-center gap-2 leading-snug">
          <span>
            {tell('tracks.go.distance', {
              asked: wordsOf(lengthOf(lengths, correction.distance.asked)),
              was: wordsOf(lengthOf(lengths, correction.distance.was)),
            })}
          </span>
          <Button
            onClick={() =>
              void done(
                tell('tracks.go.distance-kept', { place }),
                amendReps(kennel, log.bout, [{ of: rep.id, change: atItsDistance(correction, rep, axis) }]),
              )
            }
          >
            {tell('tracks.go.count-it-so', { place })}
          </Button>
        </p>
      )}
    </li>
  );
}

/** Casts that were given in a go: when, and which way; what the dog took of it stands in its lines. */
function Casts({ place, one, onSay }: Pick<Props, 'place' | 'one' | 'onSay'>) {
  const { go, states } = one;
  const [from, to] = [states[0]?.t ?? go.from, states.at(-1)?.t ?? go.to];
  const [at, setAt] = useState(Math.round((from + to) / 2));
  const [turn, setTurn] = useState<string>(String(CASTS[0]));
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer content-center underline decoration-rule underline-offset-4">
        {tell('tracks.cast.of', { count: go.casts.length })}
      </summary>
      <div className="grid gap-2">
        <label className="flex items-center gap-2">
          <span className="w-20 tabular-nums">{clockOf(at)}</span>
          <input
            type="range"
            aria-label={tell('tracks.cast.when', { place })}
            aria-valuetext={clockOf(at)}
            className="h-11 flex-1 accent-(--ink)"
            min={Math.floor(from)}
            max={Math.ceil(to)}
            value={at}
            onChange={(event) => setAt(Number(event.target.value))}
          />
        </label>
        <p className="flex flex-wrap items-end gap-2">
          <SelectField
            label={tell('tracks.cast.which', { place })}
            value={turn}
            options={CASTS.map((one) => ({ value: String(one), words: castInWords(one) }))}
            onChange={setTurn}
          />
          <Button
            onClick={() =>
              onSay(tell('tracks.cast.kept'), {
                casts: [...go.casts, { at, turn: Number(turn) }].sort((a, b) => a.at - b.at),
              })
            }
          >
            {tell('tracks.cast.add')}
          </Button>
          {go.casts.length > 0 && (
            <Button
              look="quiet"
              onClick={() => onSay(tell('tracks.cast.off'), { casts: go.casts.slice(0, -1) })}
            >
              {tell('tracks.cast.take-off')}
            </Button>
          )}
        </p>
      </div>
    </details>
  );
}
