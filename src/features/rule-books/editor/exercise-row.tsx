import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ChevronDown, ChevronRight, GripVertical } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { Button } from '@/ui';
import { Cell } from './cell';
import { isWithin, type Problem } from './check';
import { at, type Draft, listAt, put, textAt, typed } from './draft';
import { useEditor } from './editor-store';
import { MoreButton } from './fault-row';
import { isEmptyFault, written } from './made';
import { PartRows } from './part-rows';
import { isMiss, MAIN_NUMBER, OUTLINE_FIELDS, SCORED_FIELDS } from './row-specs';
import { SpecFields } from './spec-fields';
import { addExercise, addFault, moveExercise, removeExercise } from './starts';
import { familyIn, shownNumber } from './typed-values';
import { tell } from './words';

type Props = {
  readonly draft: Draft;
  readonly index: number;
  readonly count: number;
  readonly problems: readonly Problem[];
};

/** One exercise of the table: its name, its points, and its faults, which unfold below it. */
export function ExerciseRow({ draft, index, count, problems }: Props) {
  const { change, goTo, unfolded: open, fold } = useEditor();
  const id = textAt(draft, ['exercises', index, 'id']);
  const title = textAt(draft, ['exercises', index, 'title']);
  const name = title || tell('book-place.exercise', { n: index + 1 });
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  const isOpen = open.has(id);
  const mine = problems.filter(
    ({ at: path }) => isWithin(path, ['exercises', index]) || isWithin(path, ['rules', 'exercises', index]),
  );
  const spec = MAIN_NUMBER[familyIn(draft)];
  const scored = ['rules', 'exercises', index];
  const onKey = (event: KeyboardEvent): void => {
    if (event.nativeEvent.isComposing) return;
    const arrow = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (event.altKey && arrow !== 0 && index + arrow >= 0 && index + arrow < count) {
      event.preventDefault();
      change((now) => moveExercise(now, index, index + arrow));
      goTo(['exercises', index + arrow, 'title']);
    } else if (
      event.key === 'Enter' &&
      event.target instanceof HTMLInputElement &&
      event.target.type !== 'checkbox'
    ) {
      event.preventDefault();
      change((now) => addExercise(now, index + 1));
      goTo(['exercises', index + 1, 'title']);
    }
  };
  const unfold = (): void => {
    fold(id, !isOpen);
    if (isOpen) return;
    const faults = listAt(draft, [...scored, 'faults']);
    const first = faults.findIndex((fault) => !isMiss(fault));
    if (first < 0) change((now) => addFault(now, index, textAt(now, ['exercises', index, 'parts', 0, 'id'])));
    goTo([...scored, 'faults', first < 0 ? faults.length : first, 'title']);
  };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? undefined }}
      className="border-b-2 border-ink bg-sheet px-2 py-1.5"
    >
      {/* biome-ignore lint/a11y/useSemanticElements: a row of cells is no set of a form */}
      <div
        role="group"
        aria-label={tell('book-row.row-of', { name })}
        data-row="exercise"
        onKeyDown={onKey}
        className="grid grid-cols-[auto_1fr_auto] items-center gap-x-2 gap-y-1 md:grid-cols-[auto_minmax(0,1fr)_7rem_12rem_auto]"
      >
        <button
          type="button"
          aria-label={tell('book-row.move', { name })}
          className="grid size-11 cursor-grab touch-none place-items-center border border-rule"
          {...attributes}
          {...listeners}
        >
          <GripVertical aria-hidden="true" className="size-5" />
        </button>
        <div data-col="title">
          <Cell
            path={['exercises', index, 'title']}
            label={tell('book-row.exercise-n', { n: index + 1 })}
            value={title}
            placeholder={tell('book-row.exercise')}
            className="w-full text-lg font-bold"
            wrong={mine.length > 0}
            onText={(text) => change((now) => put(now, ['exercises', index, 'title'], text), `title ${id}`)}
          />
        </div>
        <div data-col="points" className="w-20 md:w-full">
          {spec && (
            <Cell
              path={[...scored, ...spec.path]}
              label={tell('book-row.number-of', { label: spec.label, name })}
              value={shownNumber(draft, [...scored, ...spec.path])}
              placeholder={spec.label}
              decimal
              className="w-full text-right"
              onText={(text) =>
                change(
                  (now) => put(now, [...scored, ...spec.path], typed(text)),
                  written([...scored, ...spec.path]),
                )
              }
            />
          )}
        </div>
        <div data-col="faults" className="col-span-2 md:col-span-1">
          <Button
            className="w-full justify-start! gap-2 text-left"
            aria-expanded={isOpen}
            aria-label={tell('book-row.faults-of', {
              name,
              n: countFaults(draft, index),
              problems: mine.length,
            })}
            onClick={unfold}
          >
            {isOpen ? (
              <ChevronDown aria-hidden="true" className="size-5" />
            ) : (
              <ChevronRight aria-hidden="true" className="size-5" />
            )}
            {tell('book-row.faults-short', { n: countFaults(draft, index), problems: mine.length })}
          </Button>
        </div>
        <div data-col="more">
          <MoreButton id={`${id}-more`} name={tell('book-row.more-of-exercise', { name })} />
        </div>
      </div>
      {open.has(`${id}-more`) && (
        <div className="my-2 grid gap-3 border-l-4 border-rule pl-3">
          <SpecFields draft={draft} base={['exercises', index]} specs={OUTLINE_FIELDS} context={name} />
          <SpecFields draft={draft} base={scored} specs={SCORED_FIELDS[familyIn(draft)]} context={name} />
          <div className="flex flex-wrap gap-2">
            <Button
              look="quiet"
              aria-disabled={index === 0}
              onClick={() => index > 0 && change((now) => moveExercise(now, index, index - 1))}
            >
              {tell('book-row.earlier', { name })}
            </Button>
            <Button
              look="quiet"
              aria-disabled={index === count - 1}
              onClick={() => index < count - 1 && change((now) => moveExercise(now, index, index + 1))}
            >
              {tell('book-row.later', { name })}
            </Button>
            <Button
              look="quiet"
              aria-disabled={count === 1}
              onClick={() => count > 1 && change((now) => removeExercise(now, index))}
            >
              {tell('book-row.take-out', { name })}
            </Button>
          </div>
        </div>
      )}
      {isOpen && <PartRows draft={draft} exercise={index} />}
    </li>
  );
}

const countFaults = (draft: Draft, index: number): number =>
  listAt(draft, ['rules', 'exercises', index, 'faults']).filter(
    (fault) => at(fault, ['miss']) !== true && !isEmptyFault(fault),
  ).length;
