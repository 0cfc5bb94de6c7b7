import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Axis, buildLadder, type Criteria, describeRung, parseValue, stepSize, writeValue } from '@/core/breakdown';
import { rodOf } from '@/core/evidence';
import { NO_BREAK } from '@/core/shared';
import { copyToDog, type Dog, type ElementRecord, putBack, twinsOf, useKennelWithDog } from '@/data/repositories';
import { Button, Notice, Rod, Sheet, TextField } from '@/ui';
import { ElementFrame, type Opened } from './element-frame';

/** The same element with other dogs: who stands where, and copying the ladder to one that has none. */
export function DogsPage() {
  return <ElementFrame>{(opened) => <Page {...opened} />}</ElementFrame>;
}

type Trained = { readonly dog: Dog; readonly element: ElementRecord; readonly rung: number };

function Page({ element, rung }: Opened) {
  const { kennel, dog } = useKennelWithDog();
  const all = useLiveQuery(() => twinsOf(kennel, element), [kennel, element]);
  const twins = all?.filter((twin) => twin.dog.id !== dog.id);
  if (!twins) return <p className="text-lg">Reading the log …</p>;
  if (twins.length === 0) return <Notice>There is no other dog in this kennel yet. Add one from Today.</Notice>;
  const trained: Trained[] = [
    { dog, element, rung },
    ...twins.flatMap((twin) => (twin.element ? [{ dog: twin.dog, element: twin.element, rung: twin.rung }] : [])),
  ];
  return (
    <div className="grid gap-6">
      <Sheet title="On one ladder" aside="all on one scale; each dog’s bands are its own rungs">
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
                <span className="font-semibold">{one.dog.name}</span> stands on rung{' '}
                {describeRung(ladder, Math.min(one.rung, ladder.rungs.length - 1))}.
              </li>
            );
          })}
          {trained.length === 1 && <li className="leading-snug">No other dog trains it yet.</li>}
        </ul>
      </Sheet>
      {twins
        .filter((twin) => twin.element === null)
        .map((twin) => (
          <CopyForm key={twin.dog.id} dog={twin.dog} element={element} />
        ))}
    </div>
  );
}

/** One axis for all dogs on one scale: from the easiest start among them to the hardest demand. */
function SharedAxis({ axis, trained }: { readonly axis: Axis; readonly trained: readonly Trained[] }) {
  const mine = trained.flatMap((one) => one.element.axes.find((other) => other.key === axis.key && other.quantity === axis.quantity) ?? []);
  const start = mine.reduce((easiest, one) => (stepSize(axis, easiest, one.start) < 0 ? one.start : easiest), axis.start);
  const demand = mine.reduce((hardest, one) => (stepSize(axis, hardest, one.demand) > 0 ? one.demand : hardest), axis.demand);
  const shared = { ...axis, start, demand };
  return (
    <section>
      <h3 className="mb-2 font-bold">{axis.title}</h3>
      <div className="grid gap-4">
        {trained.map(({ dog, element, rung }) => {
          const rod = element.axes.some((other) => other.key === axis.key)
            ? rodOf({ ...shared, title: dog.name }, buildLadder(element), rung, null)
            : null;
          return rod ? <Rod key={dog.id} data={rod} compact /> : <p key={dog.id}>{dog.name} does not train this criterion.</p>;
        })}
      </div>
    </section>
  );
}

function CopyForm({ dog, element }: { readonly dog: Dog; readonly element: ElementRecord }) {
  const { kennel } = useKennelWithDog();
  const [starts, setStarts] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(element.axes.map((axis) => [axis.key, writeValue(axis, axis.start).replaceAll(NO_BREAK, ' ')])),
  );
  const [problem, setProblem] = useState<string>();
  const copy = async (): Promise<void> => {
    const read = readStarts(element.axes, starts);
    const made = typeof read === 'string' ? null : await copyToDog(kennel, element, dog.id, read);
    setProblem(typeof read === 'string' ? read : made && !made.ok ? made.message : undefined);
    if (!made?.ok) return;
    const undo = { elements: [], breakdowns: [], made: { elements: [made.value.id], breakdowns: [] } };
    toast(`${dog.name} has this ladder now.`, { action: { label: 'Undo', onClick: () => void putBack(kennel, undo) } });
  };
  return (
    <Sheet title={`Copy it to ${dog.name}`}>
      <p className="mb-3 leading-snug">
        The demand, the steps and the rule go along; the start is {dog.name}’s own. History and prerequisites stay here.
      </p>
      <div className="grid max-w-2xl gap-3 sm:grid-cols-2">
        {element.axes.map((axis) => (
          <TextField
            key={axis.key}
            label={`Start for ${dog.name}: ${axis.title.toLowerCase()}`}
            value={starts[axis.key] ?? ''}
            onChange={(event) => setStarts({ ...starts, [axis.key]: event.target.value })}
          />
        ))}
      </div>
      {problem && (
        <div className="mt-3">
          <Notice tone="alert" role="alert">
            {problem} Nothing is copied.
          </Notice>
        </div>
      )}
      <p className="mt-3">
        <Button look="ink" onClick={() => void copy()}>
          Copy to {dog.name}
        </Button>
      </p>
    </Sheet>
  );
}

/** Starts in base units, or the words of the first that does not read. */
function readStarts(axes: readonly Axis[], texts: Readonly<Record<string, string>>): Criteria | string {
  const starts: Record<string, number> = {};
  for (const axis of axes) {
    const value = parseValue(axis.harder === 'both' ? { ...axis, harder: 'more' } : axis, texts[axis.key] ?? '');
    if (!value.ok) return value.message;
    starts[axis.key] = value.value;
  }
  return starts as Criteria;
}
