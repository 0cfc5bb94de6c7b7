import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { familyOf, type RuleBook, readRuleBook } from '@/core/rulebooks';
import type { Failure } from '@/core/shared';
import { useKennel } from '@/data/live';
import { inUse, listRuleBooks, type RuleBookRecord, trialsOf } from '@/data/read';
import { putRuleBook, putRuleBookAway, renameRuleBook } from '@/data/write';
import {
  Button,
  buttonClass,
  Chain,
  FileButton,
  Notice,
  PageHead,
  SelectField,
  Sheet,
  TextField,
} from '@/ui';
import { wordsOf } from '@/words';
import {
  besidesInWords,
  classView,
  doubtsInWords,
  type ExerciseView,
  type FaultLine,
  forDog,
  passInWords,
  stakeLines,
} from './class-view';
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
            <Button size="big" onClick={() => window.print()}>
              {tell('rule-books-room.print-this-digest')}
            </Button>
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

/** A rule book under another name, or put away. */
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
    <details className="print:hidden">
      <summary className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4">
        {tell('rule-books-room.call-it-otherwise-or-put-it-away')}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
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
    </details>
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

function ClassSheet({ book }: { readonly book: RuleBook }) {
  const besides = besidesInWords(book);
  // More than two columns of faults go on one page only as three.
  const crowded = book.rules.exercises.reduce((sum, exercise) => sum + exercise.faults.length, 0) > 70;
  return (
    <article
      aria-label={book.title}
      className={`digest grid grid-cols-1 content-start gap-5 print:block print:gap-3 ${crowded ? 'print:columns-3' : 'print:columns-2'}`}
    >
      <Sheet
        title={book.title}
        aside={`${book.edition}${book.sample ? tell('rule-books-room.invented') : ''}`}
      >
        <div className="grid gap-4 md:grid-cols-[2fr_1fr]">
          <div>
            <p className="font-semibold">{tell('rule-books-room.to-pass')}</p>
            <ul className="list-inside list-disc text-lg leading-snug">
              {passInWords(book).map((condition) => (
                <li key={condition}>{condition}</li>
              ))}
            </ul>
            {besides.length > 0 && (
              <>
                <p className="mt-2 font-semibold">{tell('rule-books-room.besides')}</p>
                <ul className="list-inside list-disc leading-snug">
                  {besides.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </>
            )}
            <SizeLine book={book} />
            <p className="mt-2 text-ink-soft">
              {tell('rule-books-room.scored-by', {
                title: wordsOf(familyOf(book.rules).title).toLowerCase(),
                note: book.note,
              })}
            </p>
          </div>
          <div>
            <p className="font-semibold">{tell('rule-books-room.awards')}</p>
            <ul className="leading-snug">
              {familyOf(book.rules)
                .awards(book.rules)
                .map((award) => (
                  <li key={award.title} className="flex justify-between border-b border-hair py-0.5">
                    <span>{award.title}</span>
                    <span>{wordsOf(award.asks)}</span>
                  </li>
                ))}
            </ul>
          </div>
        </div>
      </Sheet>
      <Doubts book={book} />
      <Stakes book={book} />
      {classView(book).map((view) => (
        <ExerciseSheet key={view.exercise.id} view={view} />
      ))}
    </article>
  );
}

/** Which values of a book with sizes go for the dog in hand, or what is missing to tell. */
function SizeLine({ book }: { readonly book: RuleBook }) {
  const { kennel, dog } = useKennel();
  if (!dog || !book.sizes) return null;
  const { size } = forDog(book, dog.height);
  if (size !== null)
    return <p className="mt-2">{tell('rule-books-room.for-the-size', { name: dog.name, size })}</p>;
  return (
    <p className="mt-2 print:hidden">
      {tell('rule-books-room.height-unknown', { name: dog.name })}{' '}
      <Link className="underline decoration-rule underline-offset-4" to={`/${kennel.name}/kennel`}>
        {tell('rule-books-room.to-the-dog', { name: dog.name })}
      </Link>
    </p>
  );
}

function Doubts({ book }: { readonly book: RuleBook }) {
  const doubts = doubtsInWords(book);
  if (doubts.length === 0) return null;
  return (
    <div className="print:hidden">
      <Notice tone="plain">
        <p className="font-semibold">{tell('rule-books-room.to-look-at')}</p>
        <ul className="mt-1 grid gap-1">
          {doubts.map((doubt) => (
            <li key={doubt}>{doubt}</li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

function Stakes({ book }: { readonly book: RuleBook }) {
  const lines = stakeLines(book);
  return (
    <Sheet
      title={tell('rule-books-room.where-the-stakes-are')}
      className="print:hidden"
      aside={tell('rule-books-room.the-most-that-one-mark-at-each')}
    >
      <ul className="gap-x-8 md:columns-2">
        {lines.map((line) => (
          <li
            key={line.key}
            className="grid break-inside-avoid grid-cols-[1fr_5rem_10.5rem] items-center gap-3 border-b border-hair py-1 leading-snug"
          >
            <span>{line.title}</span>
            <span aria-hidden="true" className="h-3 border-l-2 border-ink">
              <span
                className="hatch block h-full border-y border-r border-ink"
                style={{ width: `${line.bar * 100}%` }}
              />
            </span>
            <span className="text-right font-semibold">{line.words}</span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function ExerciseSheet({ view }: { readonly view: ExerciseView }) {
  const links = view.parts.map((part) => ({
    key: part.key,
    title: part.title,
    weight: part.weight,
    strength: null,
    note: tell('rule-books-room.up-to', { stake: part.stake }),
  }));
  return (
    <Sheet title={view.exercise.title} aside={view.maximum}>
      <p className="mb-3 max-w-3xl leading-snug print:hidden">{view.exercise.text}</p>
      {view.besides.length > 0 && (
        <ul className="mb-3 list-inside list-disc leading-snug print:mb-0.5">
          {view.besides.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <div className="print:hidden">
        <Chain
          label={tell('rule-books-room.parts-of-by-what-one-mark-can-cost', { title: view.exercise.title })}
          links={links}
          withStrength={false}
        />
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2 print:mt-0.5 print:block">
        {view.parts.map((part, i) => (
          <section key={part.key} className="print:break-inside-avoid">
            <h3 className="border-b border-ink font-bold">
              {i + 1}.{' '}
              {part.times
                ? tell('rule-books-room.part-times', { title: part.title, times: part.times })
                : part.title}
            </h3>
            <p className="py-1 text-sm text-ink-soft print:py-0">
              {tell('rule-books-room.asked', { demands: part.demands })}
            </p>
            <Faults faults={part.faults} />
          </section>
        ))}
        {view.anywhere.length > 0 && (
          <section>
            <h3 className="border-b border-ink font-bold">
              {tell('rule-books-room.anywhere-in-the-exercise')}
            </h3>
            <p className="py-1 text-sm text-ink-soft print:hidden">
              {tell('rule-books-room.the-handlers-slips-cost-too')}
            </p>
            <Faults faults={view.anywhere} />
          </section>
        )}
      </div>
    </Sheet>
  );
}

function Faults({ faults }: { readonly faults: readonly FaultLine[] }) {
  return (
    <ul className="leading-snug">
      {faults.map((fault) => (
        <li key={fault.key} className="flex items-baseline justify-between gap-4 border-b border-hair py-1">
          <span>
            {fault.title}
            {fault.handler && <span className="text-ink-soft"> {tell('rule-books-room.handler')}</span>}
            {fault.more !== '' && <span className="block text-sm text-ink-soft">{fault.more}</span>}
          </span>
          <span className="max-w-[62%] text-right font-semibold">{fault.cost}</span>
        </li>
      ))}
    </ul>
  );
}
