import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import {
  type Ground,
  laidOut,
  laidOutView,
  listGrounds,
  listSetOuts,
  type SetOut,
  workOf,
} from '@/data/read';
import { changeGround, putSetOutAway } from '@/data/write';
import { Button, buttonClass, PageHead, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { PaceSheet } from './pace-sheet';
import { useLengths } from './use-laid-out';
import { tell } from './words';

/** What is laid out, on which grounds, and how long a pace is. */
export function SetOutsRoom() {
  const { kennel, dog } = useKennelWithDog();
  const found = useLiveQuery(
    async () => ({
      setOuts: await listSetOuts(kennel),
      grounds: await listGrounds(kennel),
      own: new Set<string>((await workOf(kennel, dog.id)).elements.map((one) => one.id)),
    }),
    [kennel, dog.id],
  );
  if (!found) return <p className="text-lg">{tell('room.opening')}</p>;
  const { setOuts, grounds, own } = found;
  const standing = setOuts.filter((one) => !one.putAway);
  const forDog = standing.filter((one) => one.asks && own.has(one.asks.element));
  const free = standing.filter((one) => one.asks === null);
  const away = setOuts.filter((one) => one.putAway);
  const others = standing.length - forDog.length - free.length;
  return (
    <>
      <PageHead title={tell('room.title')}>{tell('room.what-for')}</PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/set-outs/new`}>
          {tell('room.draw-one')}
        </Link>
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/set-outs/grounds/new`}>
          {tell('room.draw-a-ground')}
        </Link>
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/tracks`}>
          {tell('room.tracks')}
        </Link>
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet title={tell('room.for-dog', { name: dog.name })}>
          {forDog.length + free.length === 0 && <p className="leading-snug">{tell('room.none-yet')}</p>}
          <ul className="divide-y divide-hair">
            {[...forDog, ...free].map((one) => (
              <SetOutLine key={one.id} setOut={one} grounds={grounds} />
            ))}
          </ul>
          {others > 0 && <p className="mt-2 text-ink-soft">{tell('room.of-other-dogs', { n: others })}</p>}
        </Sheet>
        <div className="grid gap-5">
          <Sheet title={tell('room.grounds')}>
            {grounds.length === 0 && <p className="leading-snug">{tell('room.no-ground')}</p>}
            <ul className="divide-y divide-hair">
              {grounds.map((one) => (
                <GroundLine key={one.id} ground={one} />
              ))}
            </ul>
          </Sheet>
          <PaceSheet />
        </div>
      </div>
      {away.length > 0 && (
        <details className="mt-5">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {tell('room.put-away', { n: away.length })}
          </summary>
          <ul className="divide-y divide-hair">
            {away.map((one) => (
              <AwayLine key={one.id} setOut={one} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function SetOutLine({ setOut, grounds }: { readonly setOut: SetOut; readonly grounds: readonly Ground[] }) {
  const { kennel, today } = useKennelWithDog();
  const { lengths } = useLengths(null);
  const found = useLiveQuery(() => laidOut(kennel, setOut.id, today), [kennel, setOut, today]);
  const view = found && laidOutView(found, lengths);
  const ground = grounds.find((one) => one.id === setOut.ground);
  const about = [
    found?.element?.title ?? '',
    view?.step ? tell('room.step', { step: view.step.words }) : '',
    ground?.name ?? '',
  ].filter((one) => one !== '');
  return (
    <li>
      <Link className="block min-h-11 py-2" to={`/${kennel.name}/set-outs/${setOut.id}`}>
        <span className="text-lg font-semibold underline underline-offset-4">{setOut.title}</span>
        {view?.refused && (
          <span className="ml-2 border-2 border-ink bg-signal px-1.5 font-bold text-on-signal">
            {tell('room.to-be-moved')}
          </span>
        )}
        {about.length > 0 && <span className="block leading-snug text-ink-soft">{about.join(' · ')}</span>}
      </Link>
    </li>
  );
}

function GroundLine({ ground }: { readonly ground: Ground }) {
  const { kennel, done } = useKennelWithDog();
  const { lengths } = useLengths(null);
  return (
    <li className="flex items-center justify-between gap-3">
      <Link className="block min-h-11 py-2" to={`/${kennel.name}/set-outs/grounds/${ground.id}`}>
        <span className="text-lg font-semibold underline underline-offset-4">{ground.name}</span>
        <span className="block text-ink-soft">
          {ground.plan
            ? tell('room.ground-size', {
                wide: wordsOf({
                  quantity: 'distance',
                  base: ground.plan.wide,
                  unit: lengths.unit === 'yd' ? 'yd' : 'm',
                }),
                deep: wordsOf({
                  quantity: 'distance',
                  base: ground.plan.deep,
                  unit: lengths.unit === 'yd' ? 'yd' : 'm',
                }),
                n: ground.plan.features.length,
              })
            : tell('room.no-plan')}
        </span>
      </Link>
      <Button
        look="quiet"
        aria-label={tell('room.put-ground-away', { name: ground.name })}
        onClick={() =>
          void done(
            tell('room.is-put-away', { title: ground.name }),
            changeGround(kennel, ground.id, () => ({ putAway: true })),
          )
        }
      >
        {tell('set-out.put-away')}
      </Button>
    </li>
  );
}

function AwayLine({ setOut }: { readonly setOut: SetOut }) {
  const { kennel, done } = useKennelWithDog();
  return (
    <li className="flex items-center justify-between gap-3 py-1">
      {setOut.title}
      <Button
        aria-label={tell('room.bring-back-which', { title: setOut.title })}
        onClick={() =>
          void done(tell('room.is-back', { title: setOut.title }), putSetOutAway(kennel, setOut.id, false))
        }
      >
        {tell('room.bring-back')}
      </Button>
    </li>
  );
}
