import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { type DogState, useKennelWithDog } from '@/data/live';
import { openBouts } from '@/data/read';
import { buttonClass, Notice, Sheet } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './words';

/** What nobody has ended yet, of every dog: a tap goes on with it. */
export function OpenSessions() {
  const { kennel, dog, today } = useKennelWithDog();
  const open = useLiveQuery(() => openBouts(kennel, today), [kennel, today]);
  if (!open || open.length === 0) return null;
  return (
    <Sheet title={tell('at-hand.not-ended-yet')}>
      <ul className="grid gap-2">
        {open.map((one) => (
          <li key={one.bout.id} className="flex flex-wrap items-center justify-between gap-3">
            <span className="text-lg">
              {one.dog.id === dog.id ? '' : `${one.dog.name}: `}
              {one.element.title}
            </span>
            <Link
              className={buttonClass('ink', 'big')}
              to={`../field/${one.element.id}`}
              relative="path"
              aria-label={tell('at-hand.go-on-with-it', { name: one.dog.name, title: one.element.title })}
            >
              {tell('at-hand.go-on-with-it-2')}
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Sessions dated after today: shown, left out of every figure, and put right in their log. */
export function Ahead({ state }: { readonly state: DogState }) {
  if (state.ahead.length === 0) return null;
  const elements = new Map(
    state.ahead.flatMap((bout) => (bout.element ? [[bout.element, bout] as const] : [])),
  );
  return (
    <Notice tone="alert">
      <span className="font-semibold">
        {tell('at-hand.dated-after-today-and-left-out', {
          aheadCount:
            state.ahead.length === 1
              ? tell('at-hand.one-session-is')
              : tell('at-hand.sessions-are', { aheadCount: state.ahead.length }),
        })}{' '}
      </span>
      {tell('at-hand.a-clock-was-wrong-or-you-have-come')}{' '}
      {[...elements].map(([id, bout], i) => (
        <span key={id}>
          {i > 0 && ', '}
          <Link className="underline" to={`../field/${id}/log`} relative="path">
            {tell('at-hand.of', {
              title:
                state.work.elements.find((one) => one.id === id)?.title ?? tell('today-room.a-session-2'),
              writeDay: writeDay(bout.day),
            })}
          </Link>
        </span>
      ))}
      .
    </Notice>
  );
}
