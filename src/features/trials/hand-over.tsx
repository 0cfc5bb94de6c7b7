import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useState } from 'react';
import type { PersonId } from '@/core/shared';
import { foldSheet } from '@/core/trials';
import { runText } from '@/data/files';
import { useKennel } from '@/data/live';
import { listPeople } from '@/data/read';
import { Button, Sheet, saveText } from '@/ui';
import type { RunState } from './run-state';
import { tell } from './words';

// The packages that draw and read codes come only where somebody wants one.
const Codes = lazy(async () => ({ default: (await import('./codes')).Codes }));
const TakeIn = lazy(async () => ({ default: (await import('./take-in')).TakeIn }));

type Props = { readonly state: RunState; readonly judge: PersonId | null };

/**
 * Two judges on two devices: the run goes out to the other one, closed sheets come back. A sheet that is
 * open goes nowhere, so nobody sees what another gave before giving their own.
 */
export function HandOver({ state, judge }: Props) {
  const { kennel } = useKennel();
  const { run, book, marks, judges } = state;
  const people = useLiveQuery(() => listPeople(kennel), [kennel]);
  const [codes, setCodes] = useState(false);
  const [takes, setTakes] = useState(false);
  const mine = foldSheet(marks, judge);
  const closed = mine.is !== 'open';
  const text = runText({
    run,
    people: (people ?? []).filter((one) => run.judges.includes(one.id)),
    book: closed ? null : book,
    marks: closed ? marks.filter((mark) => mark.judge === judge) : [],
    script: null,
    calling: null,
  });
  const others = judges.filter(({ id }) => id !== judge).map(({ name }) => name ?? tell('run-page.a-judge'));
  return (
    <Sheet title={tell('hand-over.two-devices')} className="print:hidden">
      <p className="leading-snug">
        {closed
          ? tell('hand-over.closed-goes', { names: { list: others, between: ', ' } })
          : tell('hand-over.run-goes', { names: { list: others, between: ', ' } })}
      </p>
      <p className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => saveText(`run-${run.name}-${run.day}.json`, text, 'application/json')}>
          {tell('hand-over.as-a-file')}
        </Button>
        <Button aria-pressed={codes} onClick={() => setCodes(!codes)}>
          {tell('hand-over.as-codes')}
        </Button>
        <Button aria-pressed={takes} onClick={() => setTakes(!takes)}>
          {tell('hand-over.take-in')}
        </Button>
      </p>
      <Suspense fallback={null}>
        {codes && (
          <div className="mt-3">
            <Codes text={text} />
          </div>
        )}
        {takes && (
          <div className="mt-3">
            <TakeIn />
          </div>
        )}
      </Suspense>
    </Sheet>
  );
}
