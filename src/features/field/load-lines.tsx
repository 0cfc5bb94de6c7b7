import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { cautionsFor, type Load, type LoadToday } from '@/core/planning';
import { fromBase, must } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  type DogWork,
  type ElementRecord,
  keptSince,
  loadsIn,
  loadsOf,
  otherWorkOf,
  stillWork,
} from '@/data/read';
import { wordsOf, writeNumber } from '@/words';
import { tell } from './later-words';

type Props = { readonly element: ElementRecord; readonly work: DogWork };

/** So many elements are offered in place of what has been enough. */
const OFFERED = 3;

/**
 * What adds up in a body, counted over all elements and runs; at the person's own number it says so and
 * offers still work.
 */
export function LoadLines({ element, work }: Props) {
  const { kennel, dog, today } = useKennelWithDog();
  const loads = loadsIn(element, work.elements);
  const done = useLiveQuery(
    async () =>
      loads.length === 0
        ? null
        : { kept: await keptSince(kennel, work.elements, today), other: await otherWorkOf(kennel, dog.id) },
    [kennel, work, dog.id, today, loads.length],
  );
  if (!done || loads.length === 0) return null;
  const found = loadsOf(element, dog, done.kept, work.elements, today, done.other);
  // Whose ladder is in yards reads yards.
  const yards = element.axes.some((axis) => axis.unit === 'yd' || axis.unit === 'ft');
  const full = found.filter((one) => one.left === 0);
  return (
    <div role="status" aria-label={tell('load-lines.counted-today')} className="grid gap-1">
      {found
        .filter((one) => one.done > 0 || one.limit !== null)
        .map((one) => (
          <p
            key={`${one.of} ${one.per}`}
            className={`leading-snug ${one.left === 0 ? 'text-lg font-bold' : ''}`}
          >
            {loadInWords(one, yards)}
          </p>
        ))}
      {full.length > 0 && (
        <StillWork
          elements={stillWork(
            work,
            full.map((one) => one.of),
          )}
        />
      )}
    </div>
  );
}

/** So many minutes of pulling are a session: the practice's own figure. */
const MINUTES_OF_PULLING = 3;

/** Work against a line is short: said once its minutes are over. */
export function ShortWork({ element, startedAt }: Pick<Props, 'element'> & { readonly startedAt: number }) {
  const { now } = useKennelWithDog();
  const [at, setAt] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setAt(now()), 5_000);
    return () => clearInterval(timer);
  }, [now]);
  const minutes = Math.floor((at - startedAt) / 60_000);
  if (!element.work.includes('pull') || minutes < MINUTES_OF_PULLING) return null;
  return (
    <p role="status" className="text-lg font-bold leading-snug">
      {tell('load-lines.minutes-of-pulling', { minutes, most: MINUTES_OF_PULLING })}
    </p>
  );
}

/** What ends this work on the spot, in a line each. */
export function EndsLines({ element }: { readonly element: ElementRecord }) {
  const { dog, today } = useKennelWithDog();
  const { work, axes } = element;
  const unknown = { jumpsToday: null, lastStrengthDay: null, surface: null, temperature: null };
  const ends = cautionsFor({ dog, today, work, axes, ...unknown }).flatMap((one) => one.ends ?? []);
  if (ends.length === 0) return null;
  return <p className="text-sm leading-snug text-ink-soft">{ends.map(wordsOf).join(' ')}</p>;
}

function StillWork({ elements }: { readonly elements: readonly ElementRecord[] }) {
  if (elements.length === 0)
    return <p className="leading-snug">{tell('load-lines.so-it-is-enough-for-today')}</p>;
  return (
    <p className="flex flex-wrap items-center gap-2 leading-snug">
      <span>{tell('load-lines.so-still-work-now')}</span>
      {elements.slice(0, OFFERED).map((one) => (
        <Link
          key={one.id}
          to={`../${one.id}`}
          relative="path"
          className="inline-flex min-h-14 items-center border-2 border-ink bg-sheet px-3"
        >
          {one.title}
        </Link>
      ))}
    </p>
  );
}

/** "24 of at most 30 jumps today (the vet)": counted, with whose number it is. */
export function loadInWords({ of, per, done, limit, left }: LoadToday, yards = false): string {
  const inYards = yards && of === 'run-metres';
  const written = (value: number): string =>
    writeNumber(Math.round(inYards ? must(fromBase('distance', value, 'yd')) : value));
  const amount = { of: inYards ? 'yards' : LOAD_KEYS[of], done: written(done) };
  if (limit === null) return tell('load-lines.so-many-today', amount);
  const said = { ...amount, per, most: written(limit.most), source: limit.source };
  return left === 0 ? tell('load-lines.that-is-your-number', said) : tell('load-lines.so-many-of', said);
}

const LOAD_KEYS: Readonly<Record<Load, string>> = {
  jumps: 'jumps',
  'sharp-turns': 'turns',
  'upright-holds': 'upright',
  'run-metres': 'metres',
};
