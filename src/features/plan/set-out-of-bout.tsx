import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { buildLadder, lengthsBy } from '@/core/breakdown';
import { useFitting, useKennelWithDog } from '@/data/live';
import { laidOutView, listPeople, type Planning, unitOfSetOut } from '@/data/read';
import { SetOutDrawing, useLengthChoice } from '@/ui';

import type { Block } from './plan-view';
import { tell } from './words';

type Props = { readonly block: Block; readonly planning: Planning };

/** The set-out of a planned bout, with the drawing and where to stand; nothing where none is drawn for its step. */
export function SetOutOfBout({ block: { bout }, planning }: Props) {
  const { kennel } = useKennelWithDog();
  const element = planning.works.get(bout.dog)?.elements.find((one) => one.id === bout.piece) ?? null;
  const found = useFitting(element, element ? (buildLadder(element).rungs[bout.rung]?.criteria ?? {}) : {});
  const { unit, whose } = useLengthChoice();
  const people = useLiveQuery(() => listPeople(kennel), [kennel]) ?? [];
  const laid = found?.laid;
  if (!laid) return null;
  const view = laidOutView(laid, lengthsBy({ unit, whose }, people, unitOfSetOut(laid)));
  const page = `/${kennel.name}/set-outs/${laid.setOut.id}`;
  return (
    <div className="mt-1 grid gap-1 break-inside-avoid">
      <p>
        {tell('set-out-of-bout.laid-as')}{' '}
        <Link className="underline underline-offset-4" to={page}>
          {laid.setOut.title}
        </Link>
        {view.refused && ` ${tell('set-out-of-bout.to-be-moved')}`}
      </p>
      {!view.refused && (
        <>
          {view.stand && <p>{tell('set-out-of-bout.stand', { stand: view.stand })}</p>}
          <SetOutDrawing
            picture={view.picture}
            title={tell('set-out-of-bout.drawing', { title: laid.setOut.title })}
            highest={260}
          />
        </>
      )}
    </div>
  );
}
