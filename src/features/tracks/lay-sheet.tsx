import type { State } from '@/core/geometry';
import type { SetOut, Track } from '@/data/read';
import { Button, Notice, SelectField, Sheet } from '@/ui';
import { wordsOf, writeDigits } from '@/words';
import { isFarOff, type Lies, layable, layStart, layTwo, type Pair } from './laying';
import { clockOf, thingName } from './track-view';
import { tell } from './words';

type Props = {
  readonly track: Track;
  readonly states: readonly State[];
  readonly setOut: SetOut;
  readonly pairs: readonly [Pair, Pair];
  readonly onPairs: (pairs: readonly [Pair, Pair]) => void;
  readonly onLay: (lies: Lies) => void;
};

/** Lays a track on its set-out: by where it began, or by two times at which it is known where it was. */
export function LaySheet({ track, states, setOut, pairs, onPairs, onLay }: Props) {
  const things = layable(setOut.things);
  const start = layStart(states, setOut, pairs[0]);
  const two = layTwo(states, setOut.things, pairs);
  const long = Math.hypot(
    (things[1]?.x ?? 0) - (things[0]?.x ?? 0),
    (things[1]?.y ?? 0) - (things[0]?.y ?? 0),
  );
  const change = (i: 0 | 1, part: Partial<Pair>): void =>
    onPairs(i === 0 ? [{ ...pairs[0], ...part }, pairs[1]] : [pairs[0], { ...pairs[1], ...part }]);
  const [first, last] = [states[0]?.t ?? 0, states.at(-1)?.t ?? 0];
  return (
    <Sheet title={tell('tracks.lay.title')} aside={tell('tracks.lay.by', { by: track.lies?.by ?? 'none' })}>
      <p className="leading-snug">{tell('tracks.lay.how')}</p>
      {([0, 1] as const).map((i) => (
        <div key={i} className="mt-2">
          <SelectField
            label={tell('tracks.lay.at', { first: i === 0 })}
            beside
            value={pairs[i].key}
            options={things.map(({ key }) => ({ value: key, words: thingName(key, setOut.things) }))}
            onChange={(key) => change(i, { key })}
          />
          <label className="flex items-center gap-2">
            <span className="w-28 tabular-nums">{tell('tracks.lay.time', { at: clockOf(pairs[i].t) })}</span>
            <input
              type="range"
              aria-label={tell('tracks.lay.time-of', { first: i === 0 })}
              aria-valuetext={clockOf(pairs[i].t)}
              className="h-11 flex-1 accent-(--ink)"
              min={Math.floor(first)}
              max={Math.ceil(last)}
              value={Math.round(pairs[i].t)}
              onChange={(event) => change(i, { t: Number(event.target.value) })}
            />
          </label>
        </div>
      ))}
      <div role="status">
        {!two.ok && <Notice tone="alert">{wordsOf(two.message)}</Notice>}
        {two.ok && two.value.off !== null && (
          <Notice tone={isFarOff(two.value.off, long) ? 'alert' : 'plain'}>
            {tell('tracks.lay.off', {
              off: writeDigits(two.value.off, 1),
              far: isFarOff(two.value.off, long),
            })}
          </Notice>
        )}
      </div>
      <p className="mt-2 flex flex-wrap gap-2">
        <Button
          look={track.lies ? 'plain' : 'signal'}
          size="big"
          disabled={!two.ok}
          onClick={() => two.ok && onLay(two.value)}
        >
          {tell('tracks.lay.two')}
        </Button>
        <Button size="big" disabled={!start.ok} onClick={() => start.ok && onLay(start.value)}>
          {tell('tracks.lay.start')}
        </Button>
      </p>
    </Sheet>
  );
}
