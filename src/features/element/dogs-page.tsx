import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import {
  type Axis,
  buildLadder,
  type Criteria,
  describePlace,
  parseValue,
  standingOn,
  stepSize,
  writeValue,
} from '@/core/breakdown';
import { rodOf } from '@/core/evidence';
import { useKennelWithDog } from '@/data/live';
import { type Dog, type ElementRecord, sameWorkOf } from '@/data/read';
import { copyForDog } from '@/data/write';
import { Button, Notice, Rod, Sheet, TextField } from '@/ui';
import { NO_BREAK, numberCustom, wordsOf } from '@/words';
import { type Opened, useOpened } from './element-room';
import { tell } from './words';

/**
 * The same element with other dogs: who stands where, and copying the ladder to one that has none.
 */
export function DogsPage() {
  return <Page {...useOpened()} />;
}

type Trained = { readonly dog: Dog; readonly element: ElementRecord; readonly stands: Criteria };

function Page({ element, stands }: Opened) {
  const { kennel, dog } = useKennelWithDog();
  const all = useLiveQuery(() => sameWorkOf(kennel, element), [kennel, element]);
  const others = all?.filter((other) => other.dog.id !== dog.id);
  if (!others) return <p className="text-lg">{tell('dogs-page.reading-the-log')}</p>;
  if (others.length === 0) return <Notice>{tell('dogs-page.there-is-no-other-dog-in-this')}</Notice>;
  const trained: Trained[] = [
    { dog, element, stands },
    ...others.flatMap((other) =>
      other.element
        ? [
            {
              dog: other.dog,
              element: other.element,
              stands: standingOn(buildLadder(other.element), other.stands).criteria,
            },
          ]
        : [],
    ),
  ];
  return (
    <div className="grid gap-6">
      <Sheet
        title={tell('dogs-page.on-one-ladder')}
        aside={tell('dogs-page.all-on-one-scale-each-dogs-bands')}
      >
        <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
          {element.axes.map((axis) => (
            <SharedAxis key={axis.key} axis={axis} trained={trained} />
          ))}
        </div>
        <ul className="mt-3 grid gap-1 border-t border-rule pt-3">
          {trained.map((one) => {
            const ladder = buildLadder(one.element);
            return (
              <li key={one.dog.id} className="leading-snug">
                <span className="font-semibold">{one.dog.name}</span>{' '}
                {tell('dogs-page.stands-on-rung', { describePlace: describePlace(ladder, one.stands) })}
              </li>
            );
          })}
          {trained.length === 1 && (
            <li className="leading-snug">{tell('dogs-page.no-other-dog-trains-it-yet')}</li>
          )}
        </ul>
      </Sheet>
      {others
        .filter((other) => other.element === null)
        .map((other) => (
          <CopyForm key={other.dog.id} dog={other.dog} element={element} />
        ))}
    </div>
  );
}

/** One axis for all dogs on one scale: from the easiest start among them to the hardest demand. */
function SharedAxis({ axis, trained }: { readonly axis: Axis; readonly trained: readonly Trained[] }) {
  const mine = trained.flatMap(
    (one) =>
      one.element.axes.find((other) => other.key === axis.key && other.quantity === axis.quantity) ?? [],
  );
  const start = mine.reduce(
    (easiest, one) => (stepSize(axis, easiest, one.start) < 0 ? one.start : easiest),
    axis.start,
  );
  const demand = mine.reduce(
    (hardest, one) => (stepSize(axis, hardest, one.demand) > 0 ? one.demand : hardest),
    axis.demand,
  );
  const shared = { ...axis, start, demand };
  return (
    <section>
      <h3 className="mb-2 font-bold">{axis.title}</h3>
      <div className="grid gap-4">
        {trained.map(({ dog, element, stands }) => {
          const rod = element.axes.some((other) => other.key === axis.key)
            ? rodOf({ ...shared, title: dog.name }, buildLadder(element), stands, null)
            : null;
          return rod ? (
            <Rod key={dog.id} data={rod} compact />
          ) : (
            <p key={dog.id}>{tell('dogs-page.does-not-train-this-criterion', { name: dog.name })}</p>
          );
        })}
      </div>
    </section>
  );
}

function CopyForm({ dog, element }: { readonly dog: Dog; readonly element: ElementRecord }) {
  const { kennel, done } = useKennelWithDog();
  const [starts, setStarts] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      element.axes.map((axis) => [axis.key, wordsOf(writeValue(axis, axis.start)).replaceAll(NO_BREAK, ' ')]),
    ),
  );
  const [problem, setProblem] = useState<string>();
  const copy = async (): Promise<void> => {
    const read = readStarts(element.axes, starts);
    if (typeof read === 'string') return setProblem(read);
    const copied = await done(
      tell('dogs-page.has-this-ladder-now', { name: dog.name }),
      copyForDog(kennel, element, dog.id, read),
    );
    setProblem(copied.ok ? undefined : wordsOf(copied.message));
  };
  return (
    <Sheet title={tell('dogs-page.copy-it-to', { name: dog.name })}>
      <p className="mb-3 leading-snug">
        {tell('dogs-page.the-demand-the-steps-and-the-rule', { name: dog.name })}
      </p>
      <div className="grid max-w-2xl gap-3 sm:grid-cols-2">
        {element.axes.map((axis) => (
          <TextField
            key={axis.key}
            label={tell('dogs-page.start-for', { name: dog.name, title: axis.title.toLowerCase() })}
            value={starts[axis.key] ?? ''}
            onChange={(event) => setStarts({ ...starts, [axis.key]: event.target.value })}
          />
        ))}
      </div>
      {problem && (
        <div className="mt-3">
          <Notice tone="alert" role="alert">
            {tell('dogs-page.nothing-is-copied', { problem })}
          </Notice>
        </div>
      )}
      <p className="mt-3">
        <Button look="ink" onClick={() => void copy()}>
          {tell('dogs-page.copy-to', { name: dog.name })}
        </Button>
      </p>
    </Sheet>
  );
}

/** Starts in base units, or the words of the first that does not read. */
function readStarts(axes: readonly Axis[], texts: Readonly<Record<string, string>>): Criteria | string {
  const starts: Record<string, number> = {};
  for (const axis of axes) {
    const value = parseValue(
      axis.harder === 'both' ? { ...axis, harder: 'more' } : axis,
      texts[axis.key] ?? '',
      numberCustom(),
    );
    if (!value.ok) return value.message;
    starts[axis.key] = value.value;
  }
  return starts as Criteria;
}
