import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { useDogs, useKennel } from '@/data/live';
import { type ClassDog, classDogs, classTiles } from '@/data/read';
import { Notice, PageHead, Sheet } from '@/ui';
import { tell } from '../later-words';
import { classOf, useClass } from './class-store';
import { Tile } from './tile';

/** So many dogs fit on a telephone and in one pair of eyes. */
const MOST = 8;

/** A class: a tile for each dog, tapped for a clean go, held for anything else. */
export function ClassPage() {
  const { kennel, today } = useKennel();
  const dogs = useDogs();
  const { dogs: chosen, elements } = useClass((state) => classOf(state, kennel.name));
  const say = useClass((state) => state.say);
  const inClass = (dogs ?? []).filter((dog) => chosen.includes(dog.id));
  const [members, setMembers] = useState<readonly ClassDog[]>([]);
  useEffect(() => {
    let current = true;
    void classDogs(kennel, chosen, today).then((found) => current && setMembers(found));
    return () => {
      current = false;
    };
  }, [kennel, chosen, today]);
  const tiles = useLiveQuery(
    () => classTiles(kennel, members, elements, today),
    [kennel, today, members, elements],
  );
  if (!dogs) return null;
  return (
    <>
      <PageHead title={tell('class.title')}>{tell('class.what')}</PageHead>
      <Sheet title={tell('class.who')} className="mb-5">
        <div className="flex flex-wrap gap-x-5">
          {dogs.map((dog) => (
            <label key={dog.id} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={chosen.includes(dog.id)}
                disabled={!chosen.includes(dog.id) && inClass.length >= MOST}
                onChange={(event) =>
                  say(kennel.name, {
                    dogs: event.target.checked ? [...chosen, dog.id] : chosen.filter((one) => one !== dog.id),
                  })
                }
              />
              {dog.name}
            </label>
          ))}
        </div>
        {inClass.length >= MOST && <p className="mt-1 text-sm">{tell('class.at-most', { most: MOST })}</p>}
      </Sheet>
      {inClass.length === 0 ? (
        <Notice>{tell('class.nobody')}</Notice>
      ) : (
        <ul className="grid grid-cols-2 gap-3 lg:grid-cols-4">
          {(tiles ?? []).map((tile) => (
            <Tile
              key={tile.dog.id}
              tile={tile}
              onElement={(element) => say(kennel.name, { elements: { ...elements, [tile.dog.id]: element } })}
            />
          ))}
        </ul>
      )}
    </>
  );
}
