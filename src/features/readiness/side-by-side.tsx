import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { DEFAULT_ASSUMPTIONS, FULL_SIZE, floorOf, type Readiness } from '@/core/readiness';
import { ok, type Result } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type ClassOfDog, classesOfDogs } from '@/data/read';
import { newestOf, Sheet, useLatest } from '@/ui';
import { writeShare } from '@/words';
import { ask } from '@/workers/client';
import { saferClasses } from './readiness-view';
import { tell } from './words';

/** Of a class that no trial is meant for; one that is has its own. */
const SEED = 1;

type Row = { readonly one: ClassOfDog; readonly readiness: Readiness };

/**
 * Every dog in every class that is broken down for it, by the simulation of its own page: a class with a
 * trial shows here the figure that it shows there. Hidden where there is nothing to compare.
 */
export function SideBySide() {
  const { kennel, today } = useKennel();
  const classes = useLiveQuery(() => classesOfDogs(kennel, today), [kennel, today]);
  const job = useMemo(() => {
    if (!classes || classes.length < 2) return null;
    return async (signal: AbortSignal, onProgress: (share: number) => void): Promise<Result<Row[]>> => {
      const rows: Row[] = [];
      for (const [i, one] of classes.entries()) {
        if (floorOf(one.input)) continue;
        const task = {
          kind: 'assess-class',
          input: one.input,
          assumptions: one.trial?.assumptions ?? DEFAULT_ASSUMPTIONS,
          seed: one.trial?.seed ?? SEED,
          size: FULL_SIZE,
          first: false,
          want: 'forecast',
        } as const;
        const found = await ask(task, { signal });
        if (!found.ok) return found;
        rows.push({ one, readiness: found.value });
        onProgress((i + 1) / classes.length);
      }
      return ok(rows);
    };
  }, [classes]);
  const rows = newestOf(useLatest(job));
  if (!rows || rows.length < 2) return null;
  const best = Math.max(...rows.map((row) => row.readiness.forecast.pass.mid));
  return (
    <Sheet
      title={tell('side-by-side.side-by-side')}
      aside={tell('side-by-side.every-class-that-is-broken-down')}
    >
      <table className="w-full text-left leading-snug">
        <thead>
          <tr className="border-b border-ink">
            <th scope="col" className="py-1">
              {tell('side-by-side.dog-and-class')}
            </th>
            <th scope="col">{tell('side-by-side.to-pass')}</th>
            <th scope="col">{tell('side-by-side.costs-most')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ one, readiness }) => {
            const { low, mid, high } = readiness.forecast.pass;
            const [loss] = readiness.forecast.losses.toSorted((a, b) => b.units - a.units);
            return (
              <tr key={`${one.dog.id} ${one.book.id}`} className="border-b border-hair align-top">
                <th scope="row" className="py-1.5 pr-3 font-normal">
                  <span className="font-semibold">{one.dog.name}</span>, {one.book.title}, {one.book.edition}
                </th>
                <td className={mid === best ? 'font-bold' : ''}>
                  {writeShare(mid)}
                  <span className="block text-sm font-normal text-ink-soft">
                    {tell('side-by-side.to', { writeShare: writeShare(low), writeShare2: writeShare(high) })}
                  </span>
                </td>
                <td>{one.titles.get(loss?.element ?? '') ?? ''}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {saferClasses(
        rows.map(({ one, readiness }) => ({
          dog: one.dog.name,
          title: `${one.book.title}, ${one.book.edition}`,
          pass: readiness.forecast.pass,
        })),
      ).map((line) => (
        <p key={line} className="mt-2 leading-snug">
          {line}
        </p>
      ))}
    </Sheet>
  );
}
