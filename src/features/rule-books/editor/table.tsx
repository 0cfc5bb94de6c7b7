import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { Button } from '@/ui';
import type { Checked } from './check';
import { type Draft, listAt, textAt } from './draft';
import { useEditor } from './editor-store';
import { ExerciseRow } from './exercise-row';
import { MAIN_NUMBER } from './row-specs';
import { addExercise, moveExercise } from './starts';
import { moveByArrow } from './table-keys';
import { familyIn } from './typed-values';
import { VOCABULARY } from './vocabulary';
import { tell } from './words';

/** The table: an exercise a row, in running order. */
export function Table({ draft, checked }: { readonly draft: Draft; readonly checked: Checked }) {
  const { change, goTo } = useEditor();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = listAt(draft, ['exercises']).map((exercise) => textAt(exercise, ['id']));
  const drop = ({ active, over }: DragEndEvent): void => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) change((now) => moveExercise(now, from, to));
  };
  return (
    <section aria-label={tell('book-table.exercises')} onKeyDown={moveByArrow}>
      <p className="mb-1 text-sm text-ink-soft">{tell('book-table.keys')}</p>
      <div
        aria-hidden="true"
        className="hidden border-y-2 border-ink px-2 py-1 font-semibold text-sm md:grid md:grid-cols-[2.75rem_minmax(0,1fr)_7rem_12rem_5rem] md:gap-x-2"
      >
        <span />
        <span>{tell('book-row.exercise')}</span>
        <span>{MAIN_NUMBER[familyIn(draft)]?.label ?? ''}</span>
        <span>{tell('book-table.faults')}</span>
        <span />
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        accessibility={{ announcements: announcements(draft, ids) }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol>
            {ids.map((id, index) => (
              <ExerciseRow
                key={id}
                draft={draft}
                index={index}
                count={ids.length}
                problems={checked.problems}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Button
        size="big"
        className="mt-4"
        onClick={() => {
          change((now) => addExercise(now, ids.length));
          goTo(['exercises', ids.length, 'title']);
        }}
      >
        {tell('book-table.add-an-exercise')}
      </Button>
      <datalist id="fault-vocabulary">
        {VOCABULARY.map((word) => (
          <option key={word} value={word} />
        ))}
      </datalist>
    </section>
  );
}

/** Said to a screen reader while an exercise is moved, in the class's own words rather than by ids. */
function announcements(draft: Draft, ids: readonly string[]): Announcements {
  const name = (id: UniqueIdentifier): string =>
    textAt(draft, ['exercises', ids.indexOf(String(id)), 'title']) ||
    tell('book-place.exercise', { n: ids.indexOf(String(id)) + 1 });
  const place = (id: UniqueIdentifier): string =>
    tell('book-table.place-of', { indexOf: ids.indexOf(String(id)) + 1, idsCount: ids.length });
  return {
    onDragStart: ({ active }) =>
      tell('book-table.is-picked-up-from', { name: name(active.id), place: place(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? tell('book-table.is-over', { name: name(active.id), place: place(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over
        ? tell('book-table.is-laid-down-at', { name: name(active.id), place: place(over.id) })
        : tell('book-table.stays-where-it-was', { name: name(active.id) }),
    onDragCancel: ({ active }) => tell('book-table.stays-where-it-was', { name: name(active.id) }),
  };
}
