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
import type { RuleBook, Rules } from '@/core/rulebooks';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listRuleBooks } from '@/data/read';
import { putRuleBook } from '@/data/write';
import { Button, buttonClass, FileButton, Notice, PageHead, Sheet, saveText, useUndo } from '@/ui';
import { wordsOf } from '@/words';
import { doubtsInWords } from '../class-view';
import { tell } from '../words';
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
  ['points-off', tell('editor-page.points-off'), tell('editor-page.each-exercise-has-points-faults')],
  [
    'weighted-marks',
    tell('editor-page.weighted-marks'),
    tell('editor-page.marks-of-0-10-times-a-coefficient'),
  ],
  ['abilities', tell('editor-page.abilities'), tell('editor-page.a-mark-for-each-ability-in-each')],
  ['retrieves', tell('editor-page.retrieves'), tell('editor-page.each-retrieve-marked-from-its')],
  ['checklist', tell('editor-page.checklist'), tell('editor-page.items-done-or-not-levels-by-how')],
  [
    'time-and-faults',
    tell('editor-page.time-and-faults'),
    tell('editor-page.faults-at-obstacles-and-on-the'),
  ],
  ['measured', tell('editor-page.measured'), tell('editor-page.metres-zones-or-seconds')],
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
      <PageHead title={tell('editor-page.write-a-rule-book')}>
        {tell('editor-page.begin-with-how-the-class-is-scored')}
      </PageHead>
      <div className="grid gap-6 lg:grid-cols-2">
        <Sheet title={tell('editor-page.from-nothing')}>
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
        <Sheet title={tell('editor-page.from-a-copy-or-a-file')}>
          {records?.length === 0 && (
            <p className="leading-snug">{tell('editor-page.no-rule-book-is-here-to-copy-one')}</p>
          )}
          <div className="mb-3">
            <FileButton
              label={tell('editor-page.open-a-file-to-mend-or-change')}
              inputLabel={tell('editor-page.rule-book-file-to-change')}
              onFile={async (file) => {
                const read = draftFrom(await file.text());
                setRefused(
                  read ? null : tell('editor-page.is-no-rule-book-file-it-is-not', { name: file.name }),
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
      <PageHead
        title={tell('editor-page.writing', {
          textAt: textAt(draft, ['title']) || tell('editor-page.a-rule-book'),
        })}
      >
        {tell('editor-page.what-you-type-is-checked-at-once')}
      </PageHead>
      <FaultVocabulary />
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_20rem]">
        <div className="grid content-start gap-6">
          <Sheet title={tell('editor-page.the-class')}>
            <div className="flex flex-wrap gap-3">
              {(['title', 'edition', 'id', 'note'] as const).map((key) => (
                <DraftField
                  key={key}
                  draft={draft}
                  base={[]}
                  field={{
                    path: [key],
                    label:
                      key === 'id'
                        ? tell('editor-page.short-id')
                        : key.charAt(0).toUpperCase() + key.slice(1),
                    kind: 'text',
                  }}
                  context={tell('editor-page.the-class-2')}
                  className={key === 'note' ? 'w-full' : 'min-w-40 flex-1'}
                />
              ))}
              {RULE_FIELDS[family].map((field) => (
                <DraftField
                  key={field.label}
                  draft={draft}
                  base={['rules']}
                  field={field}
                  context={tell('editor-page.the-class-2')}
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
                      aria-label={tell('editor-page.remove', { label: list.label, i: i + 1 })}
                      onClick={() => change((now) => remove(now, ['rules', ...list.path], i))}
                    >
                      {tell('editor-page.remove-2')}
                    </Button>
                  </div>
                ))}
                <Button
                  className="mt-2"
                  aria-label={tell('editor-page.add-to', { label: list.label })}
                  onClick={() => change((now) => append(now, ['rules', ...list.path], list.item))}
                >
                  {tell('editor-page.add')}
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
  const place = (id: UniqueIdentifier): string =>
    tell('editor-page.place-of', { indexOf: ids.indexOf(String(id)) + 1, idsCount: ids.length });
  const announcements: Announcements = {
    onDragStart: ({ active }) =>
      tell('editor-page.is-picked-up-from', { name: name(active.id), place: place(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? tell('editor-page.is-over', { name: name(active.id), place: place(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over
        ? tell('editor-page.is-laid-down-at', { name: name(active.id), place: place(over.id) })
        : tell('editor-page.stays-where-it-was', { name: name(active.id) }),
    onDragCancel: ({ active }) => tell('editor-page.stays-where-it-was', { name: name(active.id) }),
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) change((now) => moveExercise(now, from, to));
  };
  return (
    <section aria-label={tell('editor-page.exercises-in-running-order')}>
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
        {tell('editor-page.add-an-exercise')}
      </Button>
    </section>
  );
}

/** A sound book can still say what nobody means. */
function Doubts({ book }: { readonly book: RuleBook }) {
  const doubts = doubtsInWords(book);
  if (doubts.length === 0) return null;
  return (
    <div className="mt-2">
      <p className="font-semibold">{tell('editor-page.do-you-mean-this')}</p>
      <ul className="mt-1 grid list-inside list-disc gap-1 leading-snug">
        {doubts.map((doubt) => (
          <li key={doubt}>{doubt}</li>
        ))}
      </ul>
    </div>
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
      ({ replaced }) => tell('editor-page.is-replaced', { title: book.title, replaced: Boolean(replaced) }),
      putRuleBook(kennel, book, now()),
    );
    if (!saved.ok) return;
    close();
    await navigate(`/${kennel.name}/rule-books/${book.id}`);
  };
  const settled = useUndo((state) => state.done);
  const putAway = (): void => {
    close();
    settled(tell('editor-page.the-draft-is-put-away'), async () => {
      useEditor.getState().start(draft);
      return ok(null);
    });
  };
  const general = checked.problems.filter((problem) => !/exercises\[\d+\]/.test(problem.path));
  return (
    <div className="order-first lg:order-none">
      <Sheet
        title={
          checked.book
            ? tell('editor-page.sound')
            : tell('editor-page.to-mend', { problemsCount: checked.problems.length })
        }
        label={tell('editor-page.check')}
        className="lg:sticky lg:top-4"
      >
        <div aria-live="polite" className="grid gap-2">
          {checked.worked && <p className="text-lg leading-snug">{checked.worked}</p>}
          {checked.book && <Doubts book={checked.book} />}
          {general.map((problem) => (
            <Notice key={`${problem.path}${problem.message.say}`} tone="alert">
              <code className="font-semibold">{problem.path}</code> {wordsOf(problem.message)}
            </Notice>
          ))}
          {checked.problems.length > general.length && (
            <p className="leading-snug">{tell('editor-page.what-is-wrong-in-an-exercise')}</p>
          )}
        </div>
        <div className="mt-4 grid gap-2">
          <Button look="signal" size="big" disabled={!checked.book} onClick={() => void save()}>
            {tell('editor-page.save-to-this-kennel')}
          </Button>
          <Button disabled={!canUndo} onClick={undo}>
            {tell('editor-page.undo')}
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
            {tell('editor-page.save-as-a-file')}
          </Button>
          <Link className={buttonClass('plain')} to={`/${kennel.name}/rule-books`}>
            {tell('editor-page.back-keep-the-draft')}
          </Link>
          <Button look="quiet" onClick={putAway}>
            {tell('editor-page.put-the-draft-away')}
          </Button>
        </div>
      </Sheet>
    </div>
  );
}
