import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { Link } from 'react-router';
import {
  buildLadder,
  type Criteria,
  dogOf,
  lengthsBy,
  listThings,
  placeOn,
  redrawn,
  sentFor,
  standHere,
} from '@/core/breakdown';
import { distance, pacesIn } from '@/core/geometry';
import { useFitting, useKennelWithDog } from '@/data/live';
import {
  type ElementRecord,
  type LaidOut,
  laidOutView,
  listPeople,
  type SetOut,
  unitOfSetOut,
} from '@/data/read';
import { changeSetOut } from '@/data/write';
import { Button, buttonClass, Notice, SetOutDrawing, useLengthChoice } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './laid-words';

/** The set-out that is laid for the bout that begins; null where none is. */
export type LaidHere = Pick<SetOut, 'id' | 'ground'> | null;

type Props = {
  readonly element: ElementRecord;
  readonly criteria: Criteria;
  readonly onFit: (laid: LaidHere) => void;
};

/** Where things lie for what is asked today, large: where to stand, how far, and what may not be. */
export function LaidOutCard({ element, criteria, onFit }: Props) {
  const { kennel } = useKennelWithDog();
  const found = useFitting(element, criteria);
  const { unit, whose } = useLengthChoice();
  const people = useLiveQuery(() => listPeople(kennel), [kennel]);
  const laid = found?.laid ?? null;
  const lengths = lengthsBy({ unit, whose }, people ?? [], laid && unitOfSetOut(laid));
  const view = laid && laidOutView(laid, lengths);
  // Whatever the drawing is written in, in the field it is paced.
  const paces = { unit: 'paces', pace: lengths.pace } as const;
  const dog = view && dogOf(view.things);
  const stand = view && dog ? standHere(dog, view.plan, view.north, paces) : null;
  const usable = view && !view.refused ? laid : null;
  const [id, ground] = [usable?.setOut.id ?? null, usable?.setOut.ground ?? null];
  useEffect(() => onFit(id && { id, ground }), [id, ground, onFit]);
  if (!found || !people) return null;
  const place = placeOn(buildLadder(element), criteria);
  const draw = `/${kennel.name}/set-outs/new?element=${element.id}${place.kind === 'on' ? `&step=${place.rung + 1}` : ''}`;
  if (!laid || !view)
    return (
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {found.other && <MoveHere setOut={found.other} element={element} criteria={criteria} />}
        <Link className="min-h-11 content-center underline underline-offset-4" to={draw}>
          {tell('laid.draw-step')}
        </Link>
      </div>
    );
  const page = `/${kennel.name}/set-outs/${laid.setOut.id}`;
  if (view.refused)
    return (
      <Notice tone="alert" role="alert">
        <strong>{tell('laid.refused')}</strong>{' '}
        {view.checks
          .filter(({ level }) => level === 'refused')
          .map((one) => wordsOf(one.say))
          .join(' ')}{' '}
        <Link className="underline underline-offset-4" to={page}>
          {tell('laid.move-it')}
        </Link>
      </Notice>
    );
  return (
    <section aria-label={tell('laid.drawn')} className="grid gap-2">
      {stand && <p className="text-xl font-semibold leading-snug">{tell('laid.stand', { stand })}</p>}
      <First laid={laid} lengths={lengths} view={view} />
      <SetOutDrawing
        picture={view.picture}
        title={tell('laid.drawing', { title: laid.setOut.title })}
        highest={440}
      />
      {view.checks
        .filter(({ level }) => level === 'care')
        .map((one) => (
          <Notice key={wordsOf(one.say)} tone="alert">
            {wordsOf(one.say)}
          </Notice>
        ))}
      <p className="flex flex-wrap gap-3">
        <Link className={buttonClass('plain', 'big')} to={`${page}/lay`}>
          {tell('laid.list')}
        </Link>
        <Link className={buttonClass('quiet', 'big')} to={page}>
          {tell('laid.change')}
        </Link>
      </p>
    </section>
  );
}

/** The drawing of another step, moved to this one: the direction stays, and what it was used for stays drawn. */
function MoveHere({
  setOut,
  element,
  criteria,
}: {
  readonly setOut: SetOut;
  readonly element: ElementRecord;
  readonly criteria: Criteria;
}) {
  const { kennel, done } = useKennelWithDog();
  const move = (): void =>
    void done(
      tell('laid.moved', { title: setOut.title }),
      changeSetOut(kennel, setOut.id, ({ things, asks }) => ({
        things: redrawn(things, asks?.reads ?? {}, criteria),
        asks: asks && { ...asks, element: element.id, criteria },
      })),
    );
  return (
    <Button size="big" onClick={move}>
      {tell('laid.move-here', { title: setOut.title })}
    </Button>
  );
}

/** What the dog is sent for first, and where that is. */
function First({
  laid,
  lengths,
  view,
}: {
  readonly laid: LaidOut;
  readonly lengths: Parameters<typeof laidOutView>[1];
  readonly view: ReturnType<typeof laidOutView>;
}) {
  const [first] = sentFor(laid.setOut.things);
  const dog = dogOf(laid.setOut.things);
  const paced = dog && first && lengths.unit !== 'paces' ? pacesIn(distance(dog, first), lengths.pace) : null;
  const line = listThings(view.things, view.north, lengths).find((one) => one.key === first?.key);
  return line ? (
    <p className="text-lg leading-snug">
      {tell('laid.to-first', { name: line.name, where: line.where, paces: paced ?? 0 })}
    </p>
  ) : null;
}
