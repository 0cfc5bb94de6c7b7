import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { familyOf, type RuleBook, readRuleBook } from '@/core/rulebooks';
import type { Failure } from '@/core/shared';
import { useKennel } from '@/data/live';
import { inUse, listRuleBooks, type RuleBookRecord, trialsOf } from '@/data/read';
import { putRuleBook, putRuleBookAway, renameRuleBook } from '@/data/write';
import { Button, buttonClass, FileButton, Notice, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { ClassSheet } from './class-sheet';
import { tell } from './words';

export function RuleBooksRoom() {
  const { kennel, dog } = useKennel();
  const { book: chosen } = useParams();
  const found = useLiveQuery(
    async () => ({ records: await listRuleBooks(kennel), trials: dog ? await trialsOf(kennel, dog.id) : [] }),
    [kennel, dog],
  );
  const [problems, setProblems] = useState<readonly Failure[]>([]);
  // The class that the dog in hand is meant for comes first; it is also the one that is open until
  // another is chosen.
  const aims = found?.trials.map((trial) => trial.ruleBookId) ?? [];
  const books = inUse(found?.records ?? [])
    .map((record) => record.book)
    .sort(
      (a, b) => Number(aims.includes(b.id)) - Number(aims.includes(a.id)) || a.title.localeCompare(b.title),
    );
  const open = books.find((book) => book.id === chosen) ?? books[0];
  return (
    <>
      <div className="print:hidden">
        <PageHead title={tell('rule-books-room.rule-books')}>
          {tell('rule-books-room.what-each-exercise-asks-what-each')}
        </PageHead>
      </div>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <ReadFile onProblems={setProblems} />
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/rule-books/write`}>
          {tell('rule-books-room.write-one')}
        </Link>
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/rule-books/paste`}>
          {tell('rule-books-room.paste-a-sheet')}
        </Link>
        {open && (
          <>
            <Link className={buttonClass('ink', 'big')} to={`/${kennel.name}/rule-books/${open.id}/sheet`}>
              {tell('rule-books-room.what-does-it-cost')}
            </Link>
            <Link
              className={buttonClass('plain', 'big')}
              to={`/${kennel.name}/rule-books/${open.id}/compare`}
            >
              {tell('rule-books-room.compare-editions')}
            </Link>
            {dog && (
              <Link
                className={buttonClass('plain', 'big')}
                to={`/${kennel.name}/breakdown/class?book=${encodeURIComponent(open.id)}`}
              >
                {tell('rule-books-room.break-it-all-down-for', { name: dog.name })}
              </Link>
            )}
            <Link
              className={buttonClass('plain', 'big')}
              to={`/${kennel.name}/rule-books/write?correct=${encodeURIComponent(open.id)}`}
            >
              {tell('rule-books-room.correct-it')}
            </Link>
          </>
        )}
      </div>
      {problems.length > 0 && <Problems problems={problems} />}
      {found?.records.length === 0 && (
        <Sheet title={tell('rule-books-room.no-rule-book-yet')} className="mt-6 max-w-3xl">
          <p className="leading-snug">{tell('rule-books-room.you-can-train-without-one-your-own')}</p>
        </Sheet>
      )}
      {open && (
        <div className="mt-6 grid grid-cols-1 gap-6 lg:grid-cols-[15rem_1fr] print:mt-0 print:block">
          {books.length > 1 ? <BookList books={books} open={open} /> : <div className="hidden lg:block" />}
          <div className="grid content-start gap-6">
            <ClassSheet book={open} />
            <Keeping key={open.id} book={open} />
          </div>
        </div>
      )}
      <PutAway records={found?.records ?? []} />
    </>
  );
}

/** A rule book copied, printed, under another name, or put away. */
function Keeping({ book }: { readonly book: RuleBook }) {
  const { kennel, done } = useKennel();
  const [title, setTitle] = useState(book.title);
  const [problem, setProblem] = useState<string>();
  const rename = async (): Promise<void> => {
    if (title.trim() === book.title) return setProblem(undefined);
    const kept = await done(tell('rule-books-room.name-changed'), renameRuleBook(kennel, book.id, title));
    setProblem(kept.ok ? undefined : wordsOf(kept.message));
  };
  return (
    <Sheet title={tell('rule-books-room.change-it')} className="print:hidden">
      <div className="flex flex-wrap items-end gap-3">
        <Link
          className={buttonClass('plain')}
          to={`/${kennel.name}/rule-books/write?copy=${encodeURIComponent(book.id)}`}
        >
          {tell('rule-books-room.copy-it')}
        </Link>
        <Button onClick={() => window.print()}>{tell('rule-books-room.print-this-digest')}</Button>
        <TextField
          label={tell('rule-books-room.name-of-the-rule-book')}
          className="w-full max-w-md"
          value={title}
          maxLength={120}
          problem={problem}
          onChange={(event) => setTitle(event.target.value)}
          onBlur={() => void rename()}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <Button
          onClick={() =>
            void done(
              tell('rule-books-room.is-put-away', { title: book.title }),
              putRuleBookAway(kennel, book.id, true),
            )
          }
        >
          {tell('rule-books-room.put-it-away')}
        </Button>
      </div>
      <p className="mt-2 text-ink-soft text-sm">{tell('rule-books-room.what-correcting-is')}</p>
    </Sheet>
  );
}

function PutAway({ records }: { readonly records: readonly RuleBookRecord[] }) {
  const { kennel, done } = useKennel();
  const away = records.filter((one) => one.putAway);
  if (away.length === 0) return null;
  return (
    <Sheet title={tell('rule-books-room.put-away')} className="mt-6 print:hidden">
      <ul className="grid gap-2">
        {away.map(({ id, book }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-3">
            <span>{tell('rule-books-room.of-edition', { title: book.title, edition: book.edition })}</span>
            <Button
              onClick={() =>
                void done(
                  tell('rule-books-room.is-back', { title: book.title }),
                  putRuleBookAway(kennel, id, false),
                )
              }
            >
              {tell('rule-books-room.bring-it-back')}
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function BookList({ books, open }: { readonly books: readonly RuleBook[]; readonly open: RuleBook }) {
  const { kennel } = useKennel();
  const navigate = useNavigate();
  return (
    <nav aria-label={tell('rule-books-room.rule-books-here')} className="print:hidden">
      <SelectField
        className="mb-4 lg:hidden"
        label={tell('rule-books-room.which-book')}
        value={open.id as string}
        options={books.map((book) => ({ value: book.id as string, words: `${book.title}, ${book.edition}` }))}
        onChange={(id) => void navigate(`/${kennel.name}/rule-books/${id}`)}
      />
      <ul className="hidden gap-2 lg:grid">
        {books.map((book) => (
          <li key={book.id}>
            <Link
              to={`/${kennel.name}/rule-books/${book.id}`}
              aria-current={book.id === open.id ? 'page' : undefined}
              className={`block min-h-14 border-2 px-3 py-1.5 leading-snug ${book.id === open.id ? 'border-ink bg-ink text-paper' : 'border-rule bg-sheet hover:border-ink'}`}
            >
              <span className="block font-semibold">{book.title}</span>
              <span className="block text-sm">
                {tell('rule-books-room.exercises', {
                  edition: book.edition,
                  title: familyOf(book.rules).title,
                  exercisesCount: book.exercises.length,
                })}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}

function ReadFile({ onProblems }: { readonly onProblems: (problems: readonly Failure[]) => void }) {
  const { kennel, now, done } = useKennel();
  const take = async (file: File): Promise<void> => {
    const read = readRuleBook(await file.text());
    onProblems(read.ok ? [] : read.problems);
    if (!read.ok) return;
    await done(
      ({ replaced }) =>
        tell('rule-books-room.is-replaced', { title: read.value.title, replaced: Boolean(replaced) }),
      putRuleBook(kennel, read.value, now()),
    );
  };
  return (
    <FileButton
      label={tell('rule-books-room.read-a-rule-book-file')}
      inputLabel={tell('rule-books-room.rule-book-file')}
      onFile={take}
    />
  );
}

function Problems({ problems }: { readonly problems: readonly Failure[] }) {
  return (
    <div className="mt-4 max-w-3xl">
      <Notice tone="alert" role="alert">
        <p className="font-semibold">
          {tell('rule-books-room.the-file-was-not-taken-nothing-has', {
            problemsCount:
              problems.length === 1
                ? tell('rule-books-room.this-is-wrong-in-it')
                : tell('rule-books-room.things-are-wrong-in-it', { problemsCount: problems.length }),
          })}
        </p>
        <ul className="mt-1 grid gap-1">
          {problems.map((problem) => (
            <li key={`${problem.path}${problem.message.say}`}>
              <code className="font-semibold">{problem.path || 'file'}</code> {wordsOf(problem.message)}
            </li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}
