import { useLiveQuery } from 'dexie-react-hooks';
import Papa from 'papaparse';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { type RuleBook, sizeOf } from '@/core/rulebooks';
import { asId, type SizeKey } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listRuleBooks } from '@/data/read';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet, saveText } from '@/ui';
import { SheetExerciseCard } from './sheet-exercise';
import { useSheet } from './sheet-store';
import { runsView, type SheetView, sheetRows, sheetView } from './sheet-view';
import { tell } from './words';

/**
 * What does it cost? A score sheet: tap what happened and see the score, its reasons, and what can
 * still come.
 */
export function SheetPage() {
  const { kennel } = useKennel();
  const { book: id } = useParams();
  const records = useLiveQuery(() => listRuleBooks(kennel), [kennel]);
  if (!records) return <p className="text-lg">{tell('sheet-page.opening-the-rule-book')}</p>;
  const book = records.find((record) => record.id === id)?.book;
  if (!book)
    return (
      <>
        <PageHead title={tell('sheet-page.there-is-no-such-rule-book-in-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
          {tell('sheet-page.to-the-rule-books')}
        </Link>
      </>
    );
  return <OpenSheet book={book} />;
}

function OpenSheet({ book }: { readonly book: RuleBook }) {
  const { kennel, dog, today } = useKennel();
  const { lines, at, before, openBook, undo, clear, book: open, size, chooseSize } = useSheet();
  const own = sizeOf(book, dog?.height ?? null);
  useEffect(() => openBook(book.id), [book.id, openBook]);
  useEffect(() => chooseSize(own), [own, chooseSize]);
  const view = sheetView(book, open === book.id ? lines : {}, size);
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
        <Button disabled={before.length === 0} onClick={undo}>
          {tell('sheet-page.undo')}
        </Button>
        <Button onClick={clear}>{tell('sheet-page.empty-sheet')}</Button>
        <Button onClick={() => window.print()}>{tell('sheet-page.print')}</Button>
        {view.ok && (
          <Button onClick={() => save(sheetRows(view.value))}>{tell('sheet-page.save-as-csv')}</Button>
        )}
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
      <Runs book={book} />
      {!view.ok && (
        <div className="mb-4">
          <Notice tone="alert" role="alert">
            {tell('sheet-page.undo-takes-it-off-the-sheet', { message: view.message })}
          </Notice>
        </div>
      )}
      {view.ok && (
        <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_21rem] print:block">
          <div className="grid content-start gap-5 print:block">
            {view.value.exercises.map((exercise) => (
              <SheetExerciseCard key={`${at} ${exercise.key}`} exercise={exercise} book={book} />
            ))}
          </div>
          <Standing view={view.value} />
        </div>
      )}
    </>
  );
}

/** A class that is run several times has a sheet for each run. */
function Runs({ book }: { readonly book: RuleBook }) {
  const { at, lines, others, size, turnTo } = useSheet();
  const view = runsView(
    book,
    Array.from({ length: book.runs?.count ?? 1 }, (_, run) => (run === at ? lines : (others[run] ?? {}))),
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
            look={run === at ? 'ink' : 'plain'}
            aria-pressed={run === at}
            onClick={() => turnTo(run)}
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

function Standing({ view }: { readonly view: SheetView }) {
  return (
    <div className="order-first lg:order-none">
      <Sheet title={tell('sheet-page.score')} className="lg:sticky lg:top-4" label={tell('sheet-page.score')}>
        <div aria-live="polite">
          <p className="text-3xl font-extrabold leading-tight">{view.said}</p>
          <p
            className={`mt-1 inline-block border-2 border-ink px-2 text-lg font-bold ${view.score.passed ? '' : 'bg-signal text-on-signal'}`}
          >
            {view.verdict}
          </p>
          <ul className="mt-2 leading-snug">
            {view.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
            {view.open !== null && (
              <li>
                {view.toCome === null
                  ? tell('sheet-page.sure-so-far-still-to-come', { sure: view.sure, open: view.open })
                  : tell('sheet-page.exercises-to-come', { count: view.toCome })}
              </li>
            )}
            {view.score.margin !== null && view.score.passed && view.open === null && (
              <li>
                {tell('sheet-page.to-spare-over-the-pass-line', {
                  margin: Number((view.score.margin * view.rules.pointsPerUnit).toFixed(4)),
                })}
              </li>
            )}
          </ul>
        </div>
        {view.deductions.length > 0 && (
          <table className="mt-3 w-full text-sm leading-snug">
            <caption className="sr-only">{tell('sheet-page.deductions')}</caption>
            <tbody>
              {view.deductions.map((deduction) => (
                <tr key={deduction.key} className="border-t border-hair align-top">
                  <td className="py-1 pr-2">
                    <span className="font-semibold">{deduction.title}</span>
                    <span className="block text-ink-soft">
                      {deduction.exercise}: {deduction.rule}
                    </span>
                  </td>
                  <td className="py-1 text-right font-semibold">{deduction.units}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Sheet>
    </div>
  );
}
