import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { RuleBook } from '@/core/rulebooks';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { correctRuleBook, putRuleBook } from '@/data/write';
import { Button, buttonClass, Notice, Sheet, saveText, useUndo } from '@/ui';
import { wordsOf } from '@/words';
import { doubtsInWords } from '../class-view';
import type { Checked } from './check';
import { type Draft, put, textAt } from './draft';
import { useEditor } from './editor-store';
import { made } from './made';
import { tell } from './words';

type Props = { readonly draft: Draft; readonly checked: Checked; readonly books: readonly string[] };

/** What is wrong, each with a way to its cell; what a usual run scores; saving, undo, and the file. */
export function CheckPanel({ draft, checked, books }: Props) {
  const { undo, past, close, origin, goTo } = useEditor();
  const settle = useUndo((state) => state.done);
  const putAway = (): void => {
    const { origin: was } = useEditor.getState();
    close();
    settle(tell('book-page.the-draft-is-put-away'), async () => {
      useEditor.getState().start(draft, was);
      return ok(null);
    });
  };
  const file = made(draft, books).file;
  const saving = useSaving(checked);
  return (
    <>
      <PhoneBar checked={checked} saving={saving} />
      <Sheet
        title={
          checked.book ? tell('book-page.sound') : tell('book-page.to-mend', { n: checked.problems.length })
        }
        label={tell('book-page.check')}
        className="max-lg:hidden self-start lg:sticky lg:top-4"
      >
        <div aria-live="polite" className="grid gap-1">
          {checked.worked && <p className="text-lg leading-snug">{checked.worked}</p>}
          {checked.book && <Doubts book={checked.book} />}
          <ul className="grid max-h-[40vh] gap-1 overflow-auto">
            {checked.problems.map((problem) => (
              <li key={`${problem.where}${problem.words}`}>
                <button
                  type="button"
                  className="min-h-11 w-full border-l-4 border-signal-ink bg-paper px-2 py-1 text-left leading-snug"
                  onClick={() => goTo(problem.at)}
                >
                  <span className="font-semibold underline decoration-rule underline-offset-4">
                    {problem.where}
                  </span>{' '}
                  {problem.words}
                </button>
              </li>
            ))}
          </ul>
        </div>
        <div className="mt-4 grid gap-2">
          <Button look="signal" size="big" onClick={() => void saving.save()}>
            {saving.words}
          </Button>
          {saving.refused && (
            <Notice tone="alert" role="alert">
              {saving.refused}
            </Notice>
          )}
          {origin !== null && <OtherEdition draft={draft} />}
          <Button aria-disabled={past.length === 0} onClick={undo}>
            {tell('book-page.undo')}
          </Button>
          <details>
            <summary className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4">
              {tell('book-page.otherwise')}
            </summary>
            <div className="grid gap-2">
              <Button
                onClick={() =>
                  saveText(
                    `${textAt(file, ['id'])}.json`,
                    `${JSON.stringify(file, null, 2)}\n`,
                    'application/json',
                  )
                }
              >
                {tell('book-page.save-as-a-file')}
              </Button>
              <BackLink />
              <Button look="quiet" onClick={putAway}>
                {origin === null
                  ? tell('book-page.put-the-draft-away')
                  : tell('book-page.leave-it-as-it-was')}
              </Button>
            </div>
          </details>
        </div>
      </Sheet>
    </>
  );
}

function BackLink() {
  const { kennel } = useKennel();
  return (
    <Link className={buttonClass('plain')} to={`/${kennel.name}/rule-books`}>
      {tell('book-page.back-keep-the-draft')}
    </Link>
  );
}

/** On a phone the first thing to mend, undo and saving stay under the thumb. */
function PhoneBar({ checked, saving }: Pick<Props, 'checked'> & { readonly saving: Saving }) {
  const { undo, past, goTo } = useEditor();
  const [first] = checked.problems;
  return (
    <div className="sticky bottom-[4.25rem] z-10 grid grid-cols-[1fr_auto] gap-2 border-2 border-ink bg-paper p-1.5 lg:hidden">
      <button
        type="button"
        className="col-span-2 min-h-11 px-2 text-left leading-snug"
        aria-disabled={!first}
        onClick={() => first && goTo(first.at)}
      >
        {first ? (
          <>
            <span className="font-semibold underline decoration-rule underline-offset-4">{first.where}</span>{' '}
            {first.words}
          </>
        ) : (
          checked.worked
        )}
      </button>
      <Button look="signal" size="big" onClick={() => void saving.save()}>
        {saving.words}
      </Button>
      <Button size="big" aria-disabled={past.length === 0} onClick={undo}>
        {tell('book-page.undo')}
      </Button>
    </div>
  );
}

type Saving = {
  readonly save: () => Promise<void>;
  readonly words: string;
  readonly refused: string | null;
};

/** Saving: a new book, or a correction of a saved one. What is still wrong is gone to first. */
function useSaving(checked: Checked): Saving {
  const { kennel, now, done } = useKennel();
  const { close, origin, goTo } = useEditor();
  const navigate = useNavigate();
  const [refused, setRefused] = useState<string | null>(null);
  const stored = async (book: RuleBook) => {
    if (origin === null)
      return done(tell('book-page.is-saved', { title: book.title }), putRuleBook(kennel, book, now()));
    const writing = correctRuleBook(kennel, book);
    return done(
      ({ ladders, open }) =>
        tell('book-page.is-corrected', { title: book.title, ladders, open: open.join(', '), n: open.length }),
      writing,
    );
  };
  const save = async (): Promise<void> => {
    const [first] = checked.problems;
    if (first) goTo(first.at);
    if (!checked.book) return;
    const saved = await stored(checked.book);
    if (!saved.ok) return setRefused(wordsOf(saved.message));
    close();
    await navigate(`/${kennel.name}/rule-books/${checked.book.id}`);
  };
  useSaveKey(save);
  return {
    save,
    refused,
    words: origin === null ? tell('book-page.save') : tell('book-page.save-correction'),
  };
}

/** A correction that is none: the rules have changed, and the old ones stay beside them. */
function OtherEdition({ draft }: { readonly draft: Draft }) {
  const { start, goTo } = useEditor();
  const another = (): void => {
    const edition = tell('book-starts.changed', { edition: textAt(draft, ['edition']) });
    start(put(put(draft, ['id'], '~0'), ['edition'], edition), null);
    goTo(['edition']);
  };
  return <Button onClick={another}>{tell('book-page.make-it-another-edition')}</Button>;
}

/** Control and S save, wherever the cursor is. */
function useSaveKey(save: () => Promise<void>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() !== 's' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      void save();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [save]);
}

/** A sound book can still say what nobody means. */
function Doubts({ book }: { readonly book: RuleBook }) {
  const doubts = doubtsInWords(book);
  if (doubts.length === 0) return null;
  return (
    <div className="mt-2">
      <p className="font-semibold">{tell('book-page.do-you-mean-this')}</p>
      <ul className="mt-1 grid list-inside list-disc gap-1 leading-snug">
        {doubts.map((doubt) => (
          <li key={doubt}>{doubt}</li>
        ))}
      </ul>
    </div>
  );
}
