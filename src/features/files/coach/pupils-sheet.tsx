import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useDogs, useKennel } from '@/data/live';
import { buttonClass, Sheet } from '@/ui';
import { writeDay, writeInstant } from '@/words';
import { type FileAnswers, fileDesk } from '@/workers/client';
import { tell } from '../words';
import { usePupils } from './pupils-store';

/** Whose packets are open in this browser, side by side. */
export function PupilsSheet() {
  const { kennel, now, today } = useKennel();
  const dogs = useDogs();
  const pupils = usePupils((state) => state.pupils);
  const [facts, setFacts] = useState<FileAnswers['pupil-lines']>([]);
  useEffect(() => {
    let current = true;
    const kennels = pupils.map((one) => one.kennel);
    if (kennels.length > 0)
      void fileDesk.ask({ kind: 'pupil-lines', kennels, today, now: now() }).then((found) => {
        if (current && found.ok) setFacts(found.value);
      });
    return () => {
      current = false;
    };
  }, [pupils, today, now]);
  return (
    <Sheet title={tell('coach.pupils')} className="mt-6">
      {dogs && dogs.length > 0 && (
        <p className="mb-3 leading-snug">
          {tell('coach.a-class-what')}{' '}
          <Link className="underline underline-offset-4" to={`/${kennel.name}/field/class`}>
            {tell('coach.a-class')}
          </Link>
        </p>
      )}
      {pupils.length === 0 ? (
        <p className="grid justify-items-start gap-3 leading-snug">
          {tell('coach.no-pupils')}
          <Link className={buttonClass()} to={`/${kennel.name}/files`}>
            {tell('coach.to-files')}
          </Link>
        </p>
      ) : (
        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
          {pupils.map(({ kennel: name, by, dogs: theirs, openedAt }) => {
            const own = facts.find((one) => one.kennel === name);
            return (
              <li key={name} className="border-2 border-ink p-3 leading-snug">
                <Link className="block min-h-11 font-bold underline underline-offset-4" to={`/${name}/today`}>
                  {tell('coach.pupil-dogs', { by: by || tell('coach.somebody'), dogs: theirs.join(', ') })}
                </Link>
                {own && (
                  <p>
                    {own.lastDay === null
                      ? tell('coach.no-session')
                      : tell('coach.last-session', { day: writeDay(own.lastDay), n: own.sessions })}
                  </p>
                )}
                <p className="text-ink-soft text-sm">
                  {tell('coach.opened', { at: writeInstant(openedAt) })}
                </p>
                <Link
                  className="inline-block min-h-11 content-center underline underline-offset-4"
                  to={`/${name}/files/coach`}
                >
                  {tell('coach.answer-it')}
                </Link>
              </li>
            );
          })}
        </ul>
      )}
    </Sheet>
  );
}
