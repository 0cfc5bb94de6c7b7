import { useLiveQuery } from 'dexie-react-hooks';
import Papa from 'papaparse';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { RuleBook } from '@/core/rulebooks';
import { asId, type MeetingId } from '@/core/shared';
import { useKennel } from '@/data/live';
import {
  listPeople,
  listRuleBooks,
  type Meeting,
  meetingOf,
  type RunWithMarks,
  runsOfMeeting,
} from '@/data/read';
import { removeMeeting } from '@/data/write';
import { Button, buttonClass, PageHead, saveText } from '@/ui';
import { writeDay } from '@/words';
import { ClassSheet } from './class-sheet';
import { MeetingForm } from './meeting-form';
import { classView, runSheetRows } from './meeting-view';
import { SaveResults } from './results-list';
import { resultRows, resultsView } from './results-view';
import { tell } from './words';

/** A meeting: its classes, who runs when, and each dog’s sheet. */
export function MeetingPage() {
  const { kennel } = useKennel();
  const { meeting: id } = useParams();
  const found = useLiveQuery(
    async () => ({
      books: (await listRuleBooks(kennel)).filter((record) => !record.putAway).map(({ book }) => book),
      people: await listPeople(kennel),
      meeting: id ? await meetingOf(kennel, asId<MeetingId>(id)) : null,
      runs: id ? await runsOfMeeting(kennel, asId<MeetingId>(id)) : [],
    }),
    [kennel, id],
  );
  if (!found) return <p className="text-lg">{tell('run-page.opening')}</p>;
  const { books, people, meeting, runs } = found;
  const nameOf = (judge: string): string => people.find((one) => one.id === judge)?.name ?? '';
  const judgeNames = (book: string): string =>
    (meeting?.classes.find((one) => one.book === book)?.judges ?? []).map(nameOf).join(', ');
  if (id && !meeting)
    return (
      <>
        <PageHead title={tell('meeting-page.no-such-meeting')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/trials`}>
          {tell('run-page.to-the-trials')}
        </Link>
      </>
    );
  if (!meeting)
    return (
      <>
        <PageHead title={tell('trials-room.a-new-meeting')}>{tell('meeting-page.new-how')}</PageHead>
        <MeetingForm books={books} meeting={null} judgeNames={judgeNames} />
      </>
    );
  return (
    <Opened
      key={meeting.id}
      meeting={meeting}
      books={books}
      runs={runs}
      judgeNames={judgeNames}
      nameOf={nameOf}
    />
  );
}

type OpenedProps = {
  readonly meeting: Meeting;
  readonly books: readonly RuleBook[];
  readonly runs: readonly RunWithMarks[];
  readonly judgeNames: (book: string) => string;
  readonly nameOf: (judge: string) => string;
};

function Opened({ meeting, books, runs, judgeNames, nameOf }: OpenedProps) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const [edits, setEdits] = useState(false);
  const classes = meeting.classes.flatMap(({ book: id }) => {
    const book = books.find((one) => one.id === id);
    return book ? [classView(meeting, book, runs, nameOf)] : [];
  });
  const save = (): void => {
    const [head = [], ...rows] = classes.flatMap((one, i) => runSheetRows(one).slice(i === 0 ? 0 : 1));
    saveText(
      `run-sheet-${meeting.day}.csv`,
      Papa.unparse([head, ...rows], { escapeFormulae: true }),
      'text/csv',
    );
  };
  const results = classes.flatMap((one) => {
    const found = resultsView(one, runs);
    return found ? [{ book: one.book, found }] : [];
  });
  const saveResults = (): void => {
    const rows = results.flatMap(({ book, found }, i) =>
      resultRows(book.title, found).slice(i === 0 ? 0 : 1),
    );
    saveText(`results-${meeting.day}.csv`, Papa.unparse(rows, { escapeFormulae: true }), 'text/csv');
  };
  return (
    <>
      <PageHead title={meeting.title}>
        {tell('meeting-page.when', {
          day: writeDay(meeting.day),
          place: meeting.place || null,
          kind: meeting.kind,
          closes: meeting.closes === null ? null : writeDay(meeting.closes),
        })}
      </PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        <Button aria-pressed={edits} onClick={() => setEdits(!edits)}>
          {tell('meeting-page.change')}
        </Button>
        <Button onClick={save}>{tell('sheet-page.save-as-csv')}</Button>
        {results.length > 0 && <SaveResults onSave={saveResults} />}
        <Link className={buttonClass('plain')} to="print">
          {tell('meeting-page.to-print')}
        </Link>
        <Link className={buttonClass('plain')} to={`/${kennel.name}/trials`}>
          {tell('run-page.to-the-trials')}
        </Link>
        {runs.length === 0 && (
          <Button
            look="quiet"
            onClick={async () => {
              const removed = await done(tell('meeting-page.removed'), removeMeeting(kennel, meeting.id));
              if (removed.ok) await navigate(`/${kennel.name}/trials`);
            }}
          >
            {tell('meeting-page.remove')}
          </Button>
        )}
      </p>
      {edits && (
        <div className="mb-5">
          <MeetingForm
            books={books}
            meeting={meeting}
            judgeNames={judgeNames}
            onSaved={() => setEdits(false)}
          />
        </div>
      )}
      <div className="grid gap-5">
        {classes.map((one) => (
          <ClassSheet
            key={one.book.id}
            meeting={meeting}
            view={one}
            results={results.find(({ book }) => book.id === one.book.id)?.found ?? null}
          />
        ))}
      </div>
    </>
  );
}
