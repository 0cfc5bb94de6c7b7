import { holesOf, type LiveKind, sceneHere } from '@/core/review';
import { parseOne } from '@/core/shared';
import { asLive, type LiveDay } from '@/data/read';
import { Button, Sheet } from '@/ui';
import { numberCustom, wordsOf } from '@/words';
import { useDay } from './day-store';
import { tell } from './words';

type Props = {
  readonly trained: Readonly<Partial<Record<LiveKind, number>>>;
  readonly year: readonly LiveDay[];
  readonly unit: 'm' | 'yd';
};

/** Standing at a piece of cover: what of it fits this dog, by what was trained and where its holes are. */
export function SceneSheet({ trained, year, unit }: Props) {
  const { distance, cover, set } = useDay();
  const read = distance.trim() === '' ? null : parseOne(distance, 'distance', unit, numberCustom());
  const here = { distance: read?.ok ? read.value : null, cover };
  const holes = holesOf(
    year.flatMap((one) => one.events.map(asLive)),
    trained,
  );
  return (
    <Sheet title={tell('day.scene-here')} aside={tell('day.scene-from')}>
      <ul className="divide-y divide-hair">
        {sceneHere(here, trained, holes, unit).map(({ what, fits, why }) => (
          <li key={what} className="flex items-center justify-between gap-3 py-2">
            <div>
              <p className="font-semibold">{tell('day.scene', { what })}</p>
              <p className="leading-snug">{wordsOf(why)}</p>
            </div>
            {fits && <Button onClick={() => set({ what })}>{tell('day.take-it')}</Button>}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
