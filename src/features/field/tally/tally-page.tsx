import { useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, describePlace, standingOn } from '@/core/breakdown';
import { daysBetween, type ElementId } from '@/core/shared';
import { useKennelWithDog, useLastBouts } from '@/data/live';
import { activeElements, type ElementRecord } from '@/data/read';
import { Button, buttonClass, PageHead, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from '../later-words';
import { useTallies } from './tally-store';

/** Elements worked within so many days are on the sheet unless somebody takes them off. */
const LATELY = 21;
/** Boxes on a line, and lines that fit on a page. */
const BOXES = 20;
const LINES = 12;

/** A tally sheet for a field without a phone: a line for each element, a box for each go. */
export function TallyPage() {
  const { kennel, dog, today, now } = useKennelWithDog();
  const found = useLastBouts();
  const [changed, setChanged] = useState<ReadonlyMap<ElementId, boolean>>(new Map());
  const { sheets, print } = useTallies();
  if (!found) return <p className="text-lg">{tell('field-room.reading-the-log')}</p>;
  const all = activeElements(found.work);
  const lately = all.filter((one) => {
    const last = found.last.get(one.id);
    return last !== undefined && daysBetween(last.day, today) <= LATELY;
  });
  const usual = new Set((lately.length > 0 ? lately : all).slice(0, LINES).map((one) => one.id));
  const chosen = all.filter((one) => changed.get(one.id) ?? usual.has(one.id));
  const lines = chosen.map((element) => {
    const ladder = buildLadder(element);
    return { element, criteria: standingOn(ladder, found.last.get(element.id)?.stands ?? null).criteria };
  });
  const number = (sheets[0]?.number ?? 0) + 1;
  const printIt = (): void => {
    // Printed with the number that it is kept under: the browser's print takes the page as it stands.
    globalThis.print();
    print({
      kennel: kennel.name,
      dog: dog.id,
      printedAt: now(),
      lines: lines.map(({ element, criteria }) => ({ element: element.id, criteria })),
    });
  };
  return (
    <>
      <div className="print:hidden">
        <PageHead title={tell('tally.title', { name: dog.name })}>{tell('tally.what-it-is')}</PageHead>
        <Sheet title={tell('tally.which')} className="mb-6">
          <div className="grid gap-1 sm:grid-cols-2 lg:grid-cols-3">
            {all.map((element) => (
              <label key={element.id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-ink"
                  checked={chosen.includes(element)}
                  onChange={(event) => setChanged(new Map(changed).set(element.id, event.target.checked))}
                />
                {element.title}
              </label>
            ))}
          </div>
          <p className="mt-3 flex flex-wrap gap-3">
            <Button
              look="ink"
              aria-disabled={lines.length === 0}
              onClick={() => lines.length > 0 && printIt()}
            >
              {tell('tally.print')}
            </Button>
            <Link className={buttonClass()} to="type">
              {tell('tally.type-one-in')}
            </Link>
          </p>
          {lines.length > LINES && <p className="mt-2">{tell('tally.more-than-a-page', { lines: LINES })}</p>}
        </Sheet>
      </div>
      <section
        aria-label={tell('tally.sheet', { number })}
        className="border-2 border-ink bg-sheet p-4 print:border-0 print:p-0"
      >
        <div className="flex flex-wrap justify-between gap-4 text-lg">
          <h2 className="font-bold">{tell('tally.head', { number, name: dog.name })}</h2>
          <p>{tell('tally.day-and-place')}</p>
        </div>
        <p className="mb-2">{tell('tally.how-to-mark')}</p>
        <ol className="divide-y divide-ink border-ink border-y">
          {lines.map(({ element, criteria }, i) => (
            <Line
              key={element.id}
              n={i + 1}
              element={element}
              asked={wordsOf(describePlace(buildLadder(element), criteria))}
            />
          ))}
        </ol>
        <p className="mt-2">{tell('tally.typed-in-later', { number })}</p>
      </section>
    </>
  );
}

function Line({
  n,
  element,
  asked,
}: {
  readonly n: number;
  readonly element: ElementRecord;
  readonly asked: string;
}) {
  return (
    <li className="break-inside-avoid py-2">
      <p className="leading-snug">
        <span className="font-bold">{tell('tally.line', { n, title: element.title })}</span> {asked}
      </p>
      <p aria-hidden="true" className="mt-1 flex flex-wrap gap-1">
        {Array.from({ length: BOXES }, (_, i) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: boxes are alike
            key={i}
            className={`inline-block size-7 border border-ink print:size-10 ${i % 5 === 4 ? 'mr-2' : ''}`}
          />
        ))}
      </p>
    </li>
  );
}
