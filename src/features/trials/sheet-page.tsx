import { useLiveQuery } from 'dexie-react-hooks';
import Papa from 'papaparse';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type RuleBook, sizeOf } from '@/core/rulebooks';
import { asId, type SizeKey } from '@/core/shared';
import { foldSheet, type JudgeSheet } from '@/core/trials';
import { useKennel } from '@/data/live';
import { listRuleBooks, type RunWithMarks, triesOf } from '@/data/read';
import { emptyTry, takeMarkBack, tryId, writeTry } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SelectField, saveText } from '@/ui';
import { wordsOf } from '@/words';
import { type Pen, useTrouble } from './pen';
import { SheetExerciseCard } from './sheet-exercise';
import { NOTHING, runsView, sheetRows, sheetView } from './sheet-view';
import { Standing } from './standing';
import { tell } from './words';

/**
 * What does it cost? A sheet to try on: tap what happened and see the score, its reasons, and what can
 * still come. It is kept as any other sheet is.
 */
export function SheetPage() {
  const { kennel } = useKennel();
  const { book: id } = useParams();
  const records = useLiveQuery(() => listRuleBooks(kennel), [kennel]);
  const book = records?.find((record) => record.id === id)?.book;
  const tries = useLiveQuery(async () => (book ? triesOf(kennel, book.id) : []), [kennel, book?.id]);
  if (!records || !tries) return <p className="text-lg">{tell('sheet-page.opening-the-rule-book')}</p>;
  if (!book)
    return (
      <>
        <PageHead title={tell('sheet-page.there-is-no-such-rule-book-in-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
          {tell('sheet-page.to-the-rule-books')}
        </Link>
      </>
    );
  return <OpenSheet key={book.id} book={book} tries={tries} />;
}

type OpenProps = { readonly book: RuleBook; readonly tries: readonly RunWithMarks[] };

function OpenSheet({ book, tries }: OpenProps) {
  const { kennel, dog, today, done } = useKennel();
  const [turn, setTurn] = useState(0);
  const own = sizeOf(book, dog?.height ?? null);
  const [chosen, chooseSize] = useState<SizeKey | null | undefined>();
  const [trouble, settle] = useTrouble();
  const sheets = Array.from({ length: book.runs?.count ?? 1 }, (_, i) => sheetOf(tries, i));
  const sheet = sheets[turn];
  const size = chosen === undefined ? own : chosen;
  const run = {
    id: tryId(kennel, book.id, turn),
    meeting: null,
    starter: null,
    trial: null,
    dogId: null,
    name: book.title,
    number: null,
    book: book.id,
    kind: 'try' as const,
    turn,
    size,
    day: today,
    judges: [],
  };
  const pen: Pen = {
    write: (said, more) => settle(writeTry(kennel, run, said, more)),
    undo: () => void settle(takeMarkBack(kennel, run, null)),
    trouble,
  };
  const view = sheetView(book, sheet ?? NOTHING, size);
  const save = (rows: string[][]): void =>
    saveText(`score-${book.id}-${today}.csv`, Papa.unparse(rows, { escapeFormulae: true }), 'text/csv');
  return (
    <>
      <PageHead title={tell('sheet-page.score-sheet', { title: book.title })}>
        {tell('sheet-page.tap-what-happened-or-type-what-was', { note: book.note })}
      </PageHead>
      <p className="mb-5 flex flex-wrap gap-3 print:hidden">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/rule-books/${book.id}`}>
          {tell('sheet-page.back-to-the-rules')}
        </Link>
        <Button disabled={!sheet?.last} onClick={pen.undo}>
          {tell('sheet-page.undo')}
        </Button>
        <Button
          disabled={!sheet}
          onClick={() => void done(tell('sheet-page.emptied'), emptyTry(kennel, run.id))}
        >
          {tell('sheet-page.empty-sheet')}
        </Button>
        <Button onClick={() => window.print()}>{tell('sheet-page.print')}</Button>
        {view.ok && (
          <Button onClick={() => save(sheetRows(view.value))}>{tell('sheet-page.save-as-csv')}</Button>
        )}
        <Link className={buttonClass('quiet')} to={`/${kennel.name}/trials`}>
          {tell('sheet-page.to-judge-a-run')}
        </Link>
      </p>
      {book.sizes && (
        <SelectField
          className="mb-4 max-w-xs print:hidden"
          label={tell('sheet-page.size')}
          value={size ?? ''}
          options={[
            { value: '', words: tell('sheet-page.no-size') },
            ...book.sizes.map(({ id, title }) => ({ value: id as string, words: title })),
          ]}
          onChange={(value) => chooseSize(value === '' ? null : asId<SizeKey>(value))}
        />
      )}
      <Runs book={book} sheets={sheets} size={size} turn={turn} onTurn={setTurn} />
      {trouble && (
        <div className="mb-4">
          <Notice tone="alert" role="alert">
            {trouble}
          </Notice>
        </div>
      )}
      {!view.ok && (
        <div className="mb-4">
          <Notice tone="alert" role="alert">
            {tell('sheet-page.undo-takes-it-off-the-sheet', { message: wordsOf(view.message) })}
          </Notice>
        </div>
      )}
      {view.ok && (
        <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_21rem] print:block">
          <div className="grid content-start gap-5 print:block">
            {view.value.exercises.map((exercise) => (
              <SheetExerciseCard key={`${turn} ${exercise.key}`} exercise={exercise} pen={pen} />
            ))}
          </div>
          <div className="order-first lg:order-none">
            <Standing view={view.value} />
          </div>
        </div>
      )}
    </>
  );
}

const sheetOf = (tries: readonly RunWithMarks[], turn: number): JudgeSheet | null => {
  const found = tries.find(({ run }) => run.turn === turn);
  return found ? foldSheet(found.marks, null) : null;
};

type RunsProps = {
  readonly book: RuleBook;
  readonly sheets: readonly (JudgeSheet | null)[];
  readonly size: SizeKey | null;
  readonly turn: number;
  readonly onTurn: (turn: number) => void;
};

/** A class that is run several times has a sheet for each run. */
function Runs({ book, sheets, size, turn, onTurn }: RunsProps) {
  const view = runsView(
    book,
    sheets.map((sheet) => sheet ?? NOTHING),
    size,
  );
  if (!view) return null;
  return (
    <fieldset className="mb-4">
      <legend className="text-sm font-semibold">{tell('sheet-page.runs')}</legend>
      <div className="mt-1 flex flex-wrap gap-2 print:hidden">
        {view.runs.map(({ run, said }) => (
          <Button
            key={run}
            look={run === turn ? 'ink' : 'plain'}
            aria-pressed={run === turn}
            onClick={() => onTurn(run)}
          >
            {said === null
              ? tell('sheet-page.run', { run: run + 1 })
              : tell('sheet-page.run-said', { run: run + 1, said })}
          </Button>
        ))}
      </div>
      {view.counts && (
        <p className="mt-2" role="status">
          {view.counts}
        </p>
      )}
    </fieldset>
  );
}
