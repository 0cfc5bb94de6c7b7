import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { asId, dayNumber, type ElementId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  type ElementRecord,
  evidenceByElement,
  type KeptEvidence,
  keptOfDog,
  listDogs,
  workOf,
} from '@/data/read';
import { PageHead, Plot, SelectField, Sheet } from '@/ui';
import { writeDay } from '@/words';
import { coverLines, inItsUnit, rangeOf, reachedOn, survived, valueInWords } from './months-view';
import { ReviewTabs } from './review-tabs';
import { tell } from './words';

type Piece = {
  readonly name: string;
  readonly element: ElementRecord;
  readonly bouts: readonly KeptEvidence[];
};

/** One piece through the months, and another beside it: of another dog, or by another method. */
export function MonthsPage() {
  const { kennel, dog, today } = useKennelWithDog();
  const [chosen, setChosen] = useState<ElementId | null>(null);
  const [beside, setBeside] = useState<ElementId | null>(null);
  const pieces = useLiveQuery(async (): Promise<Piece[]> => {
    const dogs = await listDogs(kennel);
    const found = await Promise.all(
      dogs.map(async (one) => {
        const work = await workOf(kennel, one.id);
        const kept = (await keptOfDog(kennel, one.id)).filter((bout) => bout.day <= today);
        const evidence = evidenceByElement(kept, work.elements);
        return activeElements(work).flatMap((element): Piece[] => {
          const bouts = evidence.get(element.id) ?? [];
          return bouts.length === 0 ? [] : [{ name: one.name, element, bouts }];
        });
      }),
    );
    return found.flat();
  }, [kennel, today]);
  if (!pieces) return <p className="text-lg">{tell('review-room.reading-the-log')}</p>;
  const piece =
    pieces.find((one) => one.element.id === chosen) ??
    pieces.find((one) => one.element.dogId === dog.id) ??
    pieces[0];
  if (!piece)
    return (
      <>
        <PageHead title={tell('months-page.nothing-yet')} />
        <ReviewTabs />
      </>
    );
  const other = pieces.find((one) => one.element.id === beside && one !== piece) ?? null;
  const options = pieces.map((one) => ({
    value: one.element.id as string,
    words: one.element.title,
    group: one.name,
  }));
  return (
    <>
      <PageHead title={tell('months-page.title', { title: piece.element.title, name: piece.name })}>
        {tell('months-page.what-is-drawn')}
      </PageHead>
      <ReviewTabs />
      <div className="mb-4 grid gap-3 sm:grid-cols-2">
        <SelectField
          label={tell('months-page.piece')}
          value={piece.element.id as string}
          options={options}
          onChange={(id) => setChosen(asId<ElementId>(id))}
        />
        <SelectField
          label={tell('months-page.beside')}
          value={other?.element.id ?? ''}
          options={[{ value: '', words: tell('months-page.nothing-beside') }, ...options]}
          onChange={(id) => setBeside(id === '' ? null : asId<ElementId>(id))}
        />
      </div>
      <div className={`grid items-start gap-5 ${other ? 'lg:grid-cols-2' : ''}`}>
        <OneThroughMonths piece={piece} />
        {other && <OneThroughMonths piece={other} />}
      </div>
    </>
  );
}

function OneThroughMonths({ piece: { name, element, bouts } }: { readonly piece: Piece }) {
  const [axis] = element.axes.filter((one) => one.levels === null);
  const reached = axis ? reachedOn(axis, bouts) : [];
  const [first, last] = [reached[0], reached.at(-1)];
  const gaps = survived(bouts);
  const cover = coverLines(element, bouts);
  return (
    <div className="grid min-w-0 gap-5">
      {axis && first && last && (
        <Sheet title={tell('months-page.axis-of', { name, title: element.title, axis: axis.title })}>
          <Plot
            name={tell('months-page.axis-of', { name, title: element.title, axis: axis.title })}
            sentence={tell('months-page.from-to', {
              from: valueInWords(axis, first.value),
              since: writeDay(first.day),
              to: valueInWords(axis, last.value),
              now: writeDay(last.day),
              clean: last.clean,
              reps: last.reps,
            })}
            xLabel={tell('months-page.day')}
            yLabel={`${axis.title}, ${axis.unit}`}
            series={[
              {
                label: tell('months-page.hardest'),
                kind: 'points',
                points: reached.map((one) => ({ x: dayNumber(one.day), y: inItsUnit(axis, one.value) })),
              },
            ]}
            marks={[{ axis: 'y', at: inItsUnit(axis, axis.demand), label: tell('months-page.demand') }]}
            yRange={rangeOf(
              [...reached.map((one) => one.value), axis.demand].map((one) => inItsUnit(axis, one)),
            )}
            xTicks={[first, reached[Math.floor(reached.length / 2)] ?? first, last].map((one) => ({
              at: dayNumber(one.day),
              words: writeDay(one.day),
            }))}
            table={{
              head: [
                tell('months-page.day'),
                axis.title,
                tell('months-page.clean'),
                tell('months-page.reps'),
              ],
              rows: reached.map((one) => [
                writeDay(one.day),
                valueInWords(axis, one.value),
                String(one.clean),
                String(one.reps),
              ]),
            }}
          />
        </Sheet>
      )}
      <Sheet title={tell('months-page.survived')}>
        {gaps.length === 0 ? (
          <p className="leading-snug">{tell('months-page.no-gap')}</p>
        ) : (
          <ul className="grid gap-1 leading-snug">
            {gaps.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
      </Sheet>
      <Sheet title={tell('months-page.under-what')}>
        {cover.length === 0 ? (
          <p className="leading-snug">{tell('months-page.always-alike')}</p>
        ) : (
          <ul className="grid gap-1 leading-snug">
            {cover.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
      </Sheet>
    </div>
  );
}
