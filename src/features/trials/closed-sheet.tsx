import Papa from 'papaparse';
import { useState } from 'react';
import { Link } from 'react-router';
import { familyOf } from '@/core/rulebooks';
import { type Joined, joinSheets } from '@/core/trials';
import { useKennel } from '@/data/live';
import { Button, buttonClass, Notice, PageHead, Sheet, saveText, TextField } from '@/ui';
import { wordsOf, writeDay, writeNumber } from '@/words';
import { AfterRun } from './after-run';
import { BesideBar } from './beside-bar';
import { HandOver } from './hand-over';
import { KeepResult } from './keep-result';
import type { JudgingProps } from './one-exercise';
import { type RunState, sheetsOf } from './run-state';
import { sheetRows, viewOf } from './sheet-view';
import { Standing } from './standing';
import { Trace } from './trace';
import { Turns } from './turns';
import { tell } from './words';

/** A sheet that is closed: what it comes to with those of the other judges, signing, and reopening. */
export function ClosedSheet({ state, judge, sheet, pen, view }: JudgingProps) {
  const { kennel } = useKennel();
  const { run, book, judges } = state;
  const { sheets, allClosed } = sheetsOf(state);
  const waiting = judges.filter((_, i) => sheets[i]?.is === 'open');
  const joined = allClosed ? joinSheets(book, run.size, sheets) : null;
  const shown = joined?.ok ? viewOf(book, joined.value.rules, joined.value.score, sheet) : view;
  const save = (): void =>
    saveText(
      `sheet-${run.name}-${run.day}.csv`,
      Papa.unparse(sheetRows(shown), { escapeFormulae: true }),
      'text/csv',
    );
  return (
    <>
      <PageHead title={tell('run-page.title', { name: run.name })}>
        {tell('closed-sheet.of', {
          title: book.title,
          day: writeDay(run.day),
          is: sheet.is,
          by: sheet.signedBy,
        })}
      </PageHead>
      <BesideBar state={state} judge={judge.id} exercise={null} />
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_21rem] print:block">
        <div className="grid content-start gap-5">
          {waiting.length > 0 && (
            <Notice role="status">
              {tell('closed-sheet.waits', {
                names: {
                  list: waiting.map(({ name }) => name ?? tell('run-page.a-judge')),
                  between: ', ',
                },
              })}
            </Notice>
          )}
          {joined && !joined.ok && (
            <Notice tone="alert" role="alert">
              {wordsOf(joined.message)}
            </Notice>
          )}
          {joined?.ok && <KeepResult run={run} joined={joined.value} />}
          {joined?.ok && <AfterRun state={state} joined={joined.value} />}
          {joined?.ok && judges.length === 1 && joined.value.asked > 1 && (
            <Notice>{tell('by-judge.fewer', { judges: 1, asked: joined.value.asked })}</Notice>
          )}
          {joined?.ok && judges.length > 1 && <ByJudge state={state} joined={joined.value} />}
          <Turns state={state} />
          {judges.length > 1 && <HandOver state={state} judge={judge.id} />}
          <Ends sheet={sheet} judge={judge} pen={pen} />
          <p className="flex flex-wrap gap-3 print:hidden">
            <Button onClick={save}>{tell('sheet-page.save-as-csv')}</Button>
            <Button onClick={() => window.print()}>{tell('sheet-page.print')}</Button>
            <Link
              className={buttonClass('plain')}
              to={`/${kennel.name}/trials${run.meeting ? `/meetings/${run.meeting}` : ''}`}
            >
              {run.meeting ? tell('closed-sheet.to-the-meeting') : tell('run-page.to-the-trials')}
            </Link>
          </p>
          <Trace state={state} sheet={sheet} pen={null} />
        </div>
        <div className="order-first lg:order-none">
          <Standing
            view={shown}
            title={joined?.ok && judges.length > 1 ? tell('closed-sheet.all-judges') : undefined}
          />
        </div>
      </div>
    </>
  );
}

/** What each judge gave, how they are joined, and where they differ. */
function ByJudge({ state, joined }: { readonly state: RunState; readonly joined: Joined }) {
  const { book, judges } = state;
  const title = (key: string): string => book.exercises.find((one) => one.id === key)?.title ?? key;
  return (
    <Sheet title={tell('by-judge.judges')} aside={tell('by-judge.how', { by: joined.by })}>
      {judges.length < joined.asked && (
        <p className="mb-2 leading-snug">
          {tell('by-judge.fewer', { judges: judges.length, asked: joined.asked })}
        </p>
      )}
      <table className="w-full text-left leading-snug">
        <thead>
          <tr className="border-b border-ink">
            <th className="py-1 pr-2">{tell('by-judge.where-they-differ')}</th>
            {judges.map(({ id, name }) => (
              <th key={id} className="py-1 text-right">
                {name ?? tell('run-page.a-judge')}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {joined.differences.map(({ exercise, points }) => (
            <tr key={exercise} className="border-b border-hair">
              <td className="py-1 pr-2">{title(exercise)}</td>
              {points.map((one, i) => (
                <td key={judges[i]?.id} className="py-1 text-right tabular-nums">
                  {writeNumber(one)}
                </td>
              ))}
            </tr>
          ))}
          <tr className="font-bold">
            <td className="py-1 pr-2">
              {joined.differences.length === 0 ? tell('by-judge.nowhere') : tell('by-judge.in-all')}
            </td>
            {joined.each.map(({ judge, one }) => (
              <td key={judge} className="py-1 text-right tabular-nums">
                {wordsOf(familyOf(book.rules).say(one.rules, one.score.units))}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </Sheet>
  );
}

/** Signing and reopening: both stay on the sheet. */
function Ends({ sheet, judge, pen }: Pick<JudgingProps, 'sheet' | 'judge' | 'pen'>) {
  const [name, setName] = useState(judge.name ?? '');
  const [reason, setReason] = useState('');
  return (
    <Sheet title={tell('ends.sign-or-reopen')} className="print:hidden">
      <div className="grid gap-3 sm:grid-cols-2">
        {sheet.is === 'closed' && (
          <form
            className="flex items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              if (name.trim() !== '') void pen.write({ kind: 'sign', name: name.trim() });
            }}
          >
            <TextField
              className="flex-1"
              label={tell('ends.signed-by')}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
            <Button type="submit" look="ink">
              {tell('ends.sign')}
            </Button>
          </form>
        )}
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void pen.write({ kind: 'reopen' }, { reason });
          }}
        >
          <TextField
            className="flex-1"
            label={tell('ends.why-reopened')}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
          <Button type="submit">{tell('ends.reopen')}</Button>
        </form>
      </div>
    </Sheet>
  );
}
