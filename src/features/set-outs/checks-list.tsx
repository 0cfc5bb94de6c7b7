import type { LaidOutView } from '@/data/read';
import { Notice, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

/** What is said against a set-out: what stops it at the head of the page, the rest beside the drawing. */
export function ChecksList({
  view,
  only,
}: {
  readonly view: LaidOutView;
  readonly only: 'refused' | 'rest' | 'all';
}) {
  const refused = view.checks.filter(({ level }) => level === 'refused');
  if (only === 'refused')
    return refused.length === 0 ? null : (
      <div className="mb-4 grid gap-2">
        {refused.map((one) => (
          <Notice key={wordsOf(one.say)} tone="alert" role="alert">
            <strong>{tell('checks.not-so')}</strong> {wordsOf(one.say)}
          </Notice>
        ))}
      </div>
    );
  // While a thing is held, what would stop it is said here: the head of the page waits until it is let go.
  const rest = view.checks.filter(({ level }) => only === 'all' || level !== 'refused');
  return (
    <Sheet title={tell('checks.title')}>
      {rest.length === 0 ? (
        <p className="leading-snug">
          {refused.length > 0 ? tell('checks.move-first') : tell('checks.nothing')}
        </p>
      ) : (
        <ul className="grid gap-2">
          {rest.map((one) => (
            <li
              key={wordsOf(one.say)}
              className={`border-l-[6px] pl-2.5 leading-snug ${one.level === 'note' ? 'border-rule' : 'border-signal'}`}
            >
              {one.level === 'refused' && <strong>{tell('checks.not-so')} </strong>}
              {wordsOf(one.say)}
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
