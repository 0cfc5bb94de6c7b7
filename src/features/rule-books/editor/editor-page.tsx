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
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Rules } from '@/core/rulebooks';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listRuleBooks } from '@/data/read';
import { putRuleBook } from '@/data/write';
import { Button, buttonClass, FileButton, Notice, PageHead, Sheet, saveText, useUndo } from '@/ui';
import {
  addExercise,
  append,
  blankDraft,
  type Checked,
  checkDraft,
  copyDraft,
  type Draft,
  listAt,
  moveExercise,
  remove,
  textAt,
} from './draft';
import { DraftField } from './draft-field';
import { useEditor } from './editor-store';
import { ExerciseEditor, FaultVocabulary } from './exercise-editor';
import { RULE_FIELDS, RULE_LISTS } from './fields';
import { PassEditor } from './pass-editor';

/** Write a rule book: from nothing or from a copy, checked while typing. */
export function EditorPage() {
  const { kennel } = useKennel();
  const { draft, open } = useEditor();
  useEffect(() => open(kennel.name), [open, kennel.name]);
  return draft ? <Editor draft={draft} /> : <Beginnings />;
}

const FAMILIES: readonly (readonly [Rules['family'], string, string])[] = [
  ['points-off', 'Points off', 'each exercise has points, faults take them away'],
  ['weighted-marks', 'Weighted marks', 'marks of 0–10 times a coefficient, one or more judges'],
  ['abilities', 'Abilities', 'a mark for each ability in each series, with means to reach'],
  ['retrieves', 'Retrieves', 'each retrieve marked from its maximum, eliminating faults'],
  ['checklist', 'Checklist', 'items done or not, levels by how many'],
  ['time-and-faults', 'Time and faults', 'faults at obstacles and on the clock'],
];

/**
 * A file as a draft, sound or not: what is wrong in it is mended here. Null for one that is no rule
 * book at all.
 */
function draftFrom(text: string): Draft | null {
  try {
    const parsed: unknown = JSON.parse(text);
    const family = textAt(parsed as Draft, ['rules', 'family']);
    return FAMILIES.some(([known]) => known === family) ? (parsed as Draft) : null;
  } catch {
    return null;
  }
}

function Beginnings() {
  const { kennel } = useKennel();
  const start = useEditor((state) => state.start);
  const records = useLiveQuery(() => listRuleBooks(kennel), [kennel]);
  const [refused, setRefused] = useState<string | null>(null);
  return (
    <>
      <PageHead title="Write a rule book">
        Begin with how the class is scored, or with a copy of one that is near.
      </PageHead>
      <div className="grid gap-6 lg:grid-cols-2">
        <Sheet title="From nothing">
          <ul className="grid gap-2">
            {FAMILIES.map(([family, title, words]) => (
              <li key={family}>
                <Button
                  className="w-full flex-col items-start! py-2 text-left"
                  onClick={() => start(blankDraft(family))}
                >
                  <span className="font-bold">{title}</span>
                  <span className="text-sm">{words}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Sheet>
        <Sheet title="From a copy or a file">
          {records?.length === 0 && (
            <p className="leading-snug">
              No rule book is here to copy. One can be read from a file under Rule books.
            </p>
          )}
          <div className="mb-3">
            <FileButton
              label="Open a file to mend or change"
              inputLabel="Rule-book file to change"
              onFile={async (file) => {
                const read = draftFrom(await file.text());
                setRefused(
                  read
                    ? null
                    : `${file.name} is no rule-book file: it is not JSON, or names no family of scoring.`,
                );
                if (read) start(read);
              }}
            />
            {refused && (
              <div className="mt-2">
                <Notice tone="alert" role="alert">
                  {refused}
                </Notice>
              </div>
            )}
          </div>
          <ul className="grid gap-2">
            {records?.map(({ id, book }) => (
              <li key={id}>
                <Button className="w-full justify-start! text-left" onClick={() => start(copyDraft(book))}>
                  {book.title}, {book.edition}
                </Button>
              </li>
            ))}
          </ul>
        </Sheet>
      </div>
    </>
  );
}

function Editor({ draft }: { readonly draft: Draft }) {
  const { change, undo, close, past } = useEditor();
  const checked = useMemo(() => checkDraft(draft), [draft]);
  const family = textAt(draft, ['rules', 'family']) as Rules['family'];
  return (
    <>
      <PageHead title={`Writing: ${textAt(draft, ['title']) || 'a rule book'}`}>
        What you type is checked at once and kept through a reload.
      </PageHead>
      <FaultVocabulary />
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_20rem]">
        <div className="grid content-start gap-6">
          <Sheet title="The class">
            <div className="flex flex-wrap gap-3">
              {(['title', 'edition', 'id', 'note'] as const).map((key) => (
                <DraftField
                  key={key}
                  draft={draft}
                  base={[]}
                  field={{
                    path: [key],
                    label: key === 'id' ? 'Short id' : key.charAt(0).toUpperCase() + key.slice(1),
                    kind: 'text',
                  }}
                  context="the class"
                  className={key === 'note' ? 'w-full' : 'min-w-40 flex-1'}
                />
              ))}
              {RULE_FIELDS[family].map((field) => (
                <DraftField
                  key={field.label}
                  draft={draft}
                  base={['rules']}
                  field={field}
                  context="the class"
                  className="w-44"
                />
              ))}
            </div>
            <PassEditor draft={draft} family={family} />
            {RULE_LISTS[family].map((list) => (
              <div key={list.label} className="mt-4">
                <h3 className="border-b border-ink font-bold">{list.label}</h3>
                {listAt(draft, ['rules', ...list.path]).map((_, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place in the list
                  <div key={i} className="flex flex-wrap items-end gap-2 pt-2">
                    {list.fields.map((field) => (
                      <DraftField
                        key={field.label}
                        draft={draft}
                        base={['rules', ...list.path, i]}
                        field={field}
                        context={`${list.label} ${i + 1}`}
                      />
                    ))}
                    <Button
                      look="quiet"
                      aria-label={`Remove ${list.label} ${i + 1}`}
                      onClick={() => change((now) => remove(now, ['rules', ...list.path], i))}
                    >
                      Remove
                    </Button>
                  </div>
                ))}
                <Button
                  className="mt-2"
                  aria-label={`Add to ${list.label}`}
                  onClick={() => change((now) => append(now, ['rules', ...list.path], list.item))}
                >
                  Add
                </Button>
              </div>
            ))}
          </Sheet>
          <Exercises draft={draft} checked={checked} />
        </div>
        <Side draft={draft} checked={checked} canUndo={past.length > 0} undo={undo} close={close} />
      </div>
    </>
  );
}

function Exercises({ draft, checked }: { readonly draft: Draft; readonly checked: Checked }) {
  const change = useEditor((state) => state.change);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = listAt(draft, ['exercises']).map((exercise) => textAt(exercise, ['id']));
  // Said to a screen reader while an exercise is moved, in the class's own words rather than by
  // ids.
  const name = (id: UniqueIdentifier): string =>
    textAt(draft, ['exercises', ids.indexOf(String(id)), 'title']);
  const place = (id: UniqueIdentifier): string => `place ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${name(active.id)} is picked up from ${place(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is over ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) =>
      over
        ? `${name(active.id)} is laid down at ${place(over.id)}.`
        : `${name(active.id)} stays where it was.`,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) change((now) => moveExercise(now, from, to));
  };
  return (
    <section aria-label="Exercises in running order">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        accessibility={{ announcements }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="grid gap-4">
            {ids.map((id, index) => (
              <ExerciseEditor
                key={id}
                draft={draft}
                index={index}
                count={ids.length}
                problems={checked.problems.filter((problem) => problem.path.includes(`exercises[${index}]`))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Button size="big" className="mt-4" onClick={() => change(addExercise)}>
        Add an exercise
      </Button>
    </section>
  );
}

type SideProps = {
  readonly draft: Draft;
  readonly checked: Checked;
  readonly canUndo: boolean;
  readonly undo: () => void;
  readonly close: () => void;
};

function Side({ draft, checked, canUndo, undo, close }: SideProps) {
  const { kennel, now, done } = useKennel();
  const navigate = useNavigate();
  const save = async (): Promise<void> => {
    if (!checked.book) return;
    const { book } = checked;
    const saved = await done(
      ({ replaced }) => `${book.title} is ${replaced ? 'replaced' : 'saved'}.`,
      putRuleBook(kennel, book, now()),
    );
    if (!saved.ok) return;
    close();
    await navigate(`/${kennel.name}/rule-books/${book.id}`);
  };
  const say = useUndo((state) => state.say);
  const putAway = (): void => {
    close();
    say('The draft is put away.', async () => {
      useEditor.getState().start(draft);
      return ok(null);
    });
  };
  const general = checked.problems.filter((problem) => !/exercises\[\d+\]/.test(problem.path));
  return (
    <div className="order-first lg:order-none">
      <Sheet
        title={checked.book ? 'Sound' : `${checked.problems.length} to mend`}
        label="Check"
        className="lg:sticky lg:top-4"
      >
        <div aria-live="polite" className="grid gap-2">
          {checked.worked && <p className="text-lg leading-snug">{checked.worked}</p>}
          {general.map((problem) => (
            <Notice key={`${problem.path}${problem.message}`} tone="alert">
              <code className="font-semibold">{problem.path}</code> {problem.message}
            </Notice>
          ))}
          {checked.problems.length > general.length && (
            <p className="leading-snug">What is wrong in an exercise stands in its box.</p>
          )}
        </div>
        <div className="mt-4 grid gap-2">
          <Button look="signal" size="big" disabled={!checked.book} onClick={() => void save()}>
            Save to this kennel
          </Button>
          <Button disabled={!canUndo} onClick={undo}>
            Undo
          </Button>
          <Button
            onClick={() =>
              saveText(
                `${textAt(draft, ['id']) || 'rule-book'}.json`,
                `${JSON.stringify(draft, null, 2)}\n`,
                'application/json',
              )
            }
          >
            Save as a file
          </Button>
          <Link className={buttonClass('plain')} to={`/${kennel.name}/rule-books`}>
            Back, keep the draft
          </Link>
          <Button look="quiet" onClick={putAway}>
            Put the draft away
          </Button>
        </div>
      </Sheet>
    </div>
  );
}
