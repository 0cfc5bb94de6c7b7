import { Link } from 'react-router';
import type { Dog } from '@/data/read';
import { buttonClass, Sheet } from '@/ui';
import { tell } from './words';

/** A dog of which only the name is known: where it can begin. */
export function NothingYet({ dog: { id, name } }: { readonly dog: Dog }) {
  return (
    <Sheet title={tell('today-room.has-nothing-to-train-yet', { name })}>
      <p className="mb-3 leading-snug">{tell('today-room.three-ways-to-begin')}</p>
      <p className="flex flex-wrap gap-3">
        <Link className={buttonClass('signal', 'big')} to={`../start?dog=${id}`} relative="path">
          {tell('today-room.by-a-method')}
        </Link>
        <Link className={buttonClass('plain', 'big')} to="../rule-books" relative="path">
          {tell('today-room.by-a-rule-book')}
        </Link>
        <Link className={buttonClass('plain', 'big')} to="../breakdown/new" relative="path">
          {tell('today-room.something-of-my-own')}
        </Link>
      </p>
    </Sheet>
  );
}
