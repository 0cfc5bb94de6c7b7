import { useLiveQuery } from 'dexie-react-hooks';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useDogs, useKennelWithDog } from '@/data/live';
import { type Dog, dogsPutAway } from '@/data/read';
import { changeDog, orderDogs } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { tell } from './words';

/** The dogs in the person's order, which every list of dogs has; one that is put away keeps its log. */
export function DogsSheet() {
  const { kennel, dog, choose, done } = useKennelWithDog();
  const dogs = useDogs() ?? [];
  const away = useLiveQuery(() => dogsPutAway(kennel), [kennel]) ?? [];
  const move = (one: Dog, by: -1 | 1): void => {
    const order = dogs.map(({ id }) => id);
    const at = order.indexOf(one.id);
    order.splice(at, 1);
    order.splice(at + by, 0, one.id);
    void done(tell('dogs-sheet.the-order-is-kept'), orderDogs(kennel, order));
  };
  const put = (one: Dog, putAway: boolean): void =>
    void done(
      putAway
        ? tell('dogs-sheet.is-put-away', { name: one.name })
        : tell('dogs-sheet.is-back', { name: one.name }),
      changeDog(kennel, one.id, { putAway }),
    );
  return (
    <Sheet title={tell('dogs-sheet.dogs')} aside={tell('dogs-sheet.in-your-order')}>
      <ul className="divide-y divide-hair">
        {dogs.map((one, i) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-2">
            <Button
              look={one.id === dog.id ? 'ink' : 'quiet'}
              className="mr-auto !px-3"
              aria-pressed={one.id === dog.id}
              onClick={() => choose(one.id)}
            >
              {one.name}
            </Button>
            <Button
              look="quiet"
              className="!px-2.5"
              disabled={i === 0}
              aria-label={tell('dogs-sheet.up', { name: one.name })}
              onClick={() => move(one, -1)}
            >
              <ArrowUp aria-hidden="true" className="size-5" />
            </Button>
            <Button
              look="quiet"
              className="!px-2.5"
              disabled={i === dogs.length - 1}
              aria-label={tell('dogs-sheet.down', { name: one.name })}
              onClick={() => move(one, 1)}
            >
              <ArrowDown aria-hidden="true" className="size-5" />
            </Button>
            <Button
              look="quiet"
              className="!px-2"
              aria-label={tell('dogs-sheet.put-name-away', { name: one.name })}
              onClick={() => put(one, true)}
            >
              {tell('dogs-sheet.put-away')}
            </Button>
          </li>
        ))}
      </ul>
      {away.length > 0 && (
        <ul className="mt-2 grid gap-1 border-t border-rule pt-2">
          {away.map((one) => (
            <li key={one.id} className="flex flex-wrap items-center justify-between gap-2">
              <span>{tell('dogs-sheet.is-away', { name: one.name })}</span>
              <Button onClick={() => put(one, false)}>
                {tell('dogs-sheet.bring-back', { name: one.name })}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
