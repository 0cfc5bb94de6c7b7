import { useLiveQuery } from 'dexie-react-hooks';
import { nameOf, sentFor } from '@/core/breakdown';
import type { SetOutId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { setOutOf } from '@/data/read';
import { wordsOf } from '@/words';
import { tell } from './laid-words';
import type { PadView } from './pad-view';
import { TapButton } from './tap-button';
import type { PadActions } from './use-pad-actions';

type Props = { readonly setOut: SetOutId; readonly view: PadView; readonly actions: PadActions };

/** What of the set-out lies there, each looked at and said: what nobody confirmed the dog is not sent for. */
export function LyingThings({ setOut: id, view, actions }: Props) {
  const { kennel } = useKennelWithDog();
  const setOut = useLiveQuery(() => setOutOf(kennel, id), [kennel, id]);
  if (!setOut) return null;
  return (
    <ul aria-label={tell('lying.title')} className="flex flex-wrap gap-2">
      {sentFor(setOut.things).map((one) => {
        const name = wordsOf(nameOf(one, setOut.things));
        const lies = view.lyingThings.includes(one.key);
        return (
          <li key={one.key} className="flex-1">
            {lies ? (
              <p className="grid min-h-14 content-center border-2 border-ink bg-sheet px-3 text-lg font-semibold leading-tight">
                <span className="first-letter:uppercase">{tell('lying.there', { name })}</span>
              </p>
            ) : (
              <TapButton
                size="big"
                look={(view.lying ?? 0) <= 0 ? 'ink' : 'plain'}
                className="w-full"
                actions={actions}
                says={{ tap: 'laid', thing: one.key }}
              >
                <span className="inline-block first-letter:uppercase">{tell('lying.say', { name })}</span>
              </TapButton>
            )}
          </li>
        );
      })}
    </ul>
  );
}
