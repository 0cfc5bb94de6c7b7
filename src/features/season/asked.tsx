import { ownFault, sameFault } from '@/core/rulebooks';
import { useKennelWithDog } from '@/data/live';
import type { SeasonEvent } from '@/data/read';
import { changeEvent } from '@/data/write';
import { Button } from '@/ui';
import { tell } from './words';

/** What is asked of every scene afterwards: each held until a tap says otherwise. */
const ASKED = [
  ['ran-in', 'steady'],
  ['out-of-hand', 'control'],
  ['no-listen', 'listened'],
] as const;

/** Steady, under control, listened: one that was not makes of a right one a faulty one. */
export function Asked({ event }: { readonly event: SeasonEvent }) {
  const { kennel, done } = useKennelWithDog();
  if (event.what === 'other') return null;
  const toggle = (key: string, held: boolean): void => {
    const fault = ownFault(key);
    const faults = held ? [...event.faults, fault] : event.faults.filter((one) => !sameFault(one, fault));
    void done(tell('day.judged'), changeEvent(kennel, event.id, { faults }));
  };
  return (
    <fieldset className="flex flex-wrap gap-1.5" aria-label={tell('day.asked')}>
      {ASKED.map(([key, what]) => {
        const held = !event.faults.some((one) => sameFault(one, ownFault(key)));
        return (
          <Button
            key={key}
            look={held ? 'ink' : 'plain'}
            aria-pressed={held}
            onClick={() => toggle(key, held)}
          >
            {tell('day.held', { what, held })}
          </Button>
        );
      })}
    </fieldset>
  );
}
