import { useRef, useState } from 'react';
import { isOwnClick, SAME_CLICK } from '@/core/review';
import type { EntryId } from '@/core/shared';
import { Button, Notice } from '@/ui';
import { wordsOf, writeTime } from '@/words';
import { tell } from './ear-words';
import { useOwnClick } from './own-click-store';
import { useEar } from './use-ear';
import type { PadActions } from './use-pad-actions';

/** So many are shown to be taken back. */
const SHOWN = 3;

type Logged = { readonly id: EntryId; readonly at: number };

/** One's own click logs the go, the phone in the pocket: what was heard is shown, each to be taken back. */
export function Ears({ actions }: { readonly actions: PadActions }) {
  const { own, learning } = useOwnClick();
  const [logged, setLogged] = useState<readonly Logged[]>([]);
  const last = useRef(Number.NEGATIVE_INFINITY);
  const { rate, failure } = useEar(own !== null, (sound) => {
    if (!own || learning || !isOwnClick(own, sound)) return;
    // Pressed and let go is one click.
    const again = sound.at - last.current < SAME_CLICK;
    last.current = sound.at;
    if (again) return;
    const at = Date.now();
    void actions.heard().then((id) => id && setLogged((before) => [{ id, at }, ...before].slice(0, SHOWN)));
  });
  const takeBack = (one: Logged): void => {
    void actions.takeBack(one.id).then((done) => {
      if (done) setLogged((before) => before.filter(({ id }) => id !== one.id));
    });
  };
  if (!own) return <Notice tone="alert">{tell('ears.not-learned')}</Notice>;
  if (failure) return <Notice tone="alert">{wordsOf(failure.message)}</Notice>;
  if (rate !== null && rate !== own.rate)
    return <Notice tone="alert">{tell('ears.learned-elsewhere')}</Notice>;
  return (
    <div aria-live="polite">
      <Notice>{tell('ears.listening', { open: rate !== null })}</Notice>
      {logged.length > 0 && (
        <ul className="mt-1 grid gap-1">
          {logged.map((one) => (
            <li key={one.id} className="flex items-center justify-between gap-2 text-lg">
              <span>{tell('ears.logged', { at: writeTime(one.at) })}</span>
              <Button
                size="big"
                onClick={() => takeBack(one)}
                aria-label={tell('ears.take-back-one', { at: writeTime(one.at) })}
              >
                {tell('ears.take-back')}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
