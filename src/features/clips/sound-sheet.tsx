import { useState } from 'react';
import type { Sound, SoundKind } from '@/core/review';
import type { Failure } from '@/core/shared';
import type { Clip } from '@/data/read';
import { Button, LongList, Notice, SelectField, Sheet } from '@/ui';
import { wordsOf, writeNumber, writeShare } from '@/words';
import { clipDesk } from '@/workers/client';
import { type Opened, useClips } from './clip-store';
import { clockOf } from './clip-view';
import { tell } from './words';

type Props = {
  readonly clip: Clip;
  readonly opened: Opened;
  readonly onShow: (at: number) => void;
  readonly onTake: (at: number, as: 'cue' | 'marker') => void;
};

/** Clicks, whistles and words that were heard in the clip: offered, each to be looked at and taken or left. */
export function SoundSheet({ clip, opened, onShow, onTake }: Props) {
  const { heard, hear } = useClips();
  const [share, setShare] = useState<number | null>(null);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [only, setOnly] = useState<SoundKind | 'all'>('all');
  const sounds = heard[clip.id];
  const listen = async (): Promise<void> => {
    setShare(0);
    setFailure(null);
    const found = await clipDesk.ask(
      { kind: 'listen', file: opened.file },
      { onSaid: (said) => setShare(said.share) },
    );
    setShare(null);
    if (found.ok) hear(clip.id, found.value.sounds);
    else setFailure(found);
  };
  const shown = sounds?.filter((one) => only === 'all' || one.kind === only) ?? [];
  return (
    <Sheet title={tell('sound.title')}>
      {!sounds && (
        <>
          <p className="leading-snug">{tell('sound.about')}</p>
          <p className="mt-2">
            <Button
              size="big"
              aria-disabled={share !== null || undefined}
              onClick={() => share === null && void listen()}
            >
              {tell('sound.listen')}
            </Button>
          </p>
        </>
      )}
      <div role="status">
        {share !== null && <Notice>{tell('sound.listening', { share: writeShare(share) })}</Notice>}
      </div>
      {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
      {sounds && (
        <>
          <p className="leading-snug" role="status">
            {tell('sound.found', {
              clicks: countOf(sounds, 'click'),
              whistles: countOf(sounds, 'whistle'),
              words: countOf(sounds, 'word'),
            })}
          </p>
          {sounds.length > 0 && (
            <SelectField
              className="my-2"
              label={tell('sound.show')}
              beside
              value={only}
              options={(['all', 'click', 'whistle', 'word'] as const).map((value) => ({
                value,
                words: tell('sound.kinds', { kind: value }),
              }))}
              onChange={setOnly}
            />
          )}
          <LongList
            label={tell('sound.title')}
            items={shown}
            keyOf={(one) => `${one.kind} ${one.at}`}
            height={52}
          >
            {(one) => (
              <div className="flex flex-wrap items-center gap-x-2 border-b border-hair">
                <Button look="quiet" className="px-1!" onClick={() => onShow(one.at)}>
                  {tell('sound.one', {
                    kind: one.kind,
                    at: clockOf(one.at),
                    over: writeNumber(Math.round(one.over)),
                  })}
                </Button>
                <Button onClick={() => onTake(one.at, 'cue')}>{tell('sound.as-cue')}</Button>
                <Button onClick={() => onTake(one.at, 'marker')}>{tell('sound.as-marker')}</Button>
              </div>
            )}
          </LongList>
        </>
      )}
    </Sheet>
  );
}

const countOf = (sounds: readonly Sound[], kind: SoundKind): number =>
  sounds.filter((one) => one.kind === kind).length;
