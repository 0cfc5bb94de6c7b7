import type { KeyboardEvent } from 'react';
import { Button } from '@/ui';
import { Cell, ReadCell } from './cell';
import { at, type Draft, type Json, listAt, type Path, put, remove, textAt } from './draft';
import { useEditor } from './editor-store';
import { FaultMore } from './fault-more';
import { isEmptyFault, written } from './made';
import { priceInWords } from './price-words';
import { addExercise, addFault } from './starts';
import { familyIn, putCost, shownCost } from './typed-values';
import { tell } from './words';

type Props = {
  readonly draft: Draft;
  readonly exercise: number;
  readonly fault: number;
  /** Its place among those of its part, for its label. */
  readonly place: number;
};

const listOf = (exercise: number): Path => ['rules', 'exercises', exercise, 'faults'];

/** One fault: what the judge writes, what it costs, and how that is understood. */
export function FaultRow({ draft, exercise, fault, place }: Props) {
  const { change, goTo, unfolded: open, fold } = useEditor();
  const path = [...listOf(exercise), fault];
  const node = at(draft, path) ?? null;
  const id = textAt(node, ['id']);
  const name = textAt(node, ['title']) || tell('book-row.fault-n', { n: place + 1 });
  const of =
    textAt(draft, ['exercises', exercise, 'title']) || tell('book-place.exercise', { n: exercise + 1 });
  const onKey = (event: KeyboardEvent): void => {
    if (event.nativeEvent.isComposing || !(event.target instanceof HTMLInputElement)) return;
    const empty = isEmptyFault(node);
    if (event.key === 'Enter' && event.target.type !== 'checkbox') {
      event.preventDefault();
      if (empty) leaveEmpty(draft, exercise, fault, change, goTo);
      else {
        change((now) => addFault(now, exercise, partOf(node), fault + 1));
        goTo([...listOf(exercise), fault + 1, 'title']);
      }
    } else if (event.key === 'Backspace' && empty) {
      event.preventDefault();
      change((now) => remove(now, listOf(exercise), fault));
      goTo(before(draft, exercise, fault));
    }
  };
  return (
    <li data-row="fault" onKeyDown={onKey} className="border-b border-hair py-1">
      <div className="grid grid-cols-[1fr_auto] items-start gap-x-2 gap-y-1 md:grid-cols-[minmax(0,5fr)_minmax(0,4fr)_auto]">
        <div data-col="title" className="col-span-2 md:col-span-1">
          <Cell
            path={[...path, 'title']}
            label={tell('book-row.fault-of', { n: place + 1, of })}
            value={textAt(node, ['title'])}
            list="fault-vocabulary"
            placeholder={tell('book-row.what-the-judge-writes')}
            className="w-full"
            onText={(text) =>
              change((now) => put(now, [...path, 'title'], text), written([...path, 'title']))
            }
          />
        </div>
        <PriceCell draft={draft} path={path} label={tell('book-row.cost-of', { name, of })} />
        <div data-col="more">
          <MoreButton id={id} name={tell('book-row.more-of', { name, of })} />
        </div>
      </div>
      {open.has(id) && (
        <div className="mt-2 border-l-4 border-rule pl-3">
          <FaultMore draft={draft} exercise={exercise} path={path} context={`${name}, ${of}`} />
          <Button
            look="quiet"
            className="mt-1"
            onClick={() => {
              fold(id, false);
              change((now) => remove(now, listOf(exercise), fault));
            }}
          >
            {tell('book-row.take-out', { name })}
          </Button>
        </div>
      )}
    </li>
  );
}

const partOf = (fault: Json): string | null => {
  const part = at(fault, ['part']);
  return typeof part === 'string' ? part : null;
};

/** Enter in an empty row: it goes, and the next exercise begins. */
function leaveEmpty(
  draft: Draft,
  exercise: number,
  fault: number,
  change: (next: (draft: Draft) => Draft) => void,
  goTo: (path: Path) => void,
): void {
  const last = listAt(draft, ['exercises']).length === exercise + 1;
  change((now) => {
    const without = remove(now, listOf(exercise), fault);
    return last ? addExercise(without, exercise + 1) : without;
  });
  goTo(['exercises', exercise + 1, 'title']);
}

/** The row before: a fault of the same part, else the part. */
function before(draft: Draft, exercise: number, fault: number): Path {
  const faults = listAt(draft, listOf(exercise));
  const part = partOf(faults[fault] ?? null);
  const earlier = faults
    .slice(0, fault)
    .findLastIndex((one) => at(one, ['miss']) !== true && partOf(one) === part);
  if (earlier >= 0) return [...listOf(exercise), earlier, 'title'];
  const place = listAt(draft, ['exercises', exercise, 'parts']).findIndex(
    (one) => textAt(one, ['id']) === part,
  );
  return ['exercises', exercise, 'parts', Math.max(0, place), 'title'];
}

/** What a fault costs, typed as one says it. */
export function PriceCell({
  draft,
  path,
  label,
}: {
  readonly draft: Draft;
  readonly path: Path;
  readonly label: string;
}) {
  const change = useEditor((state) => state.change);
  const node = at(draft, path) ?? null;
  return (
    <div data-col="cost" className="min-w-0">
      <ReadCell
        path={[...path, 'cost']}
        label={label}
        value={shownCost(node)}
        placeholder={
          familyIn(draft) === 'checklist'
            ? tell('book-row.cost-examples-checklist')
            : tell('book-row.cost-examples')
        }
        understood={priceInWords(draft, node)}
        className="w-full"
        onText={(text) => change((now) => putCost(now, path, text), written([...path, 'cost']))}
      />
    </div>
  );
}

export function MoreButton({ id, name }: { readonly id: string; readonly name: string }) {
  const { unfolded: open, fold } = useEditor();
  return (
    <Button
      look="quiet"
      aria-label={name}
      aria-expanded={open.has(id)}
      onClick={() => fold(id, !open.has(id))}
    >
      {tell('book-row.more')}
    </Button>
  );
}
