import { useLiveQuery } from 'dexie-react-hooks';
import Papa from 'papaparse';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { RuleBook } from '@/core/rulebooks';
import { asId, type MeetingId, type RuleBookId, type RunId } from '@/core/shared';
import { useKennel } from '@/data/live';
import {
  listPeople,
  listRuleBooks,
  type Meeting,
  meetingOf,
  type RunWithMarks,
  runsOfMeeting,
  type Starter,
} from '@/data/read';
import { drawClass, removeMeeting, startRun } from '@/data/write';
import { Button, buttonClass, PageHead, Sheet, saveText } from '@/ui';
import { writeDay } from '@/words';
import { MeetingForm } from './meeting-form';
import { type ClassView, classView, runSheetRows, type StartLine } from './meeting-view';
import { ResultsList, SaveResults } from './results-list';
import { type ResultsView, resultRows, resultsView } from './results-view';
import { AddStarter, StarterTools } from './starters';
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

type ClassProps = {
  readonly meeting: Meeting;
  readonly view: ClassView;
  readonly results: ResultsView | null;
};

function ClassSheet({ meeting, view, results }: ClassProps) {
  const { kennel, done } = useKennel();
  const { book, lines, judges } = view;
  const draw = (): void => {
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    void done(tell('meeting-page.drawn'), drawClass(kennel, meeting.id, book.id, seed));
  };
  const navigate = useNavigate();
  /** For exercises that dogs do together: all sheets are there, one tap apart. */
  const openAll = async (): Promise<void> => {
    let first: RunId | null = null;
    for (const { starter, place } of lines) {
      if (place === null) continue;
      const started = await done(null, startRun(kennel, runOf(meeting, starter, book.id), judges));
      if (!started.ok) return;
      first ??= started.value.made.id;
    }
    if (first) await navigate(`/${kennel.name}/trials/runs/${first}`);
  };
  const ran = lines.some(({ run }) => run !== null);
  const running = lines.filter(({ place }) => place !== null).length;
  return (
    <Sheet
      title={book.title}
      aside={tell('meeting-page.judged-by', { judges: { list: judges, between: ', ' }, n: judges.length })}
    >
      {lines.length > 0 && (
        <ul>
          {lines.map((line) => (
            <StarterLine key={line.starter.id} meeting={meeting} view={view} line={line} />
          ))}
        </ul>
      )}
      <p className="mt-3 flex flex-wrap items-center gap-3">
        {running > 1 && !ran && (
          <Button look={view.drawn ? 'plain' : 'ink'} onClick={draw}>
            {view.drawn ? tell('meeting-page.draw-again') : tell('meeting-page.draw')}
          </Button>
        )}
        {running > 1 && <Button onClick={() => void openAll()}>{tell('meeting-page.open-all')}</Button>}
        {view.about && <span className="text-sm text-ink-soft">{view.about}</span>}
      </p>
      {results && <ResultsList view={results} />}
      <AddStarter meeting={meeting} book={book} />
    </Sheet>
  );
}

/** The run of a dog that starts in a class of a meeting. */
const runOf = (meeting: Meeting, starter: Starter, book: RuleBookId): Parameters<typeof startRun>[1] => ({
  meeting: meeting.id,
  starter: starter.id,
  trial: null,
  dogId: starter.dogId,
  name: starter.name,
  number: starter.number,
  book,
  kind: meeting.kind,
  turn: 0,
  size: starter.size,
  day: meeting.day,
});

type LineProps = { readonly meeting: Meeting; readonly view: ClassView; readonly line: StartLine };

function StarterLine({ meeting, view, line }: LineProps) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const { starter, place, at, real, run, said } = line;
  const { book, judges } = view;
  const open = async (then: '' | '/steward'): Promise<void> => {
    const started = await done(null, startRun(kennel, runOf(meeting, starter, book.id), judges));
    if (started.ok) await navigate(`/${kennel.name}/trials/runs/${started.value.made.id}${then}`);
  };
  return (
    <li className="grid grid-cols-[3.5rem_1fr] items-center gap-x-3 border-b border-hair py-1.5 sm:grid-cols-[3.5rem_3.5rem_1fr_auto]">
      <span className="text-lg font-bold tabular-nums max-sm:row-span-2">{place ?? '–'}</span>
      <span className={`tabular-nums ${real ? 'font-bold' : 'text-ink-soft'} max-sm:hidden`}>{at}</span>
      <span className={`leading-snug ${starter.withdrawn ? 'line-through' : ''}`}>
        {tell('one-exercise.dog', { number: starter.number, name: starter.name })}
        <span className="block text-sm text-ink-soft">
          <span className="sm:hidden">{at} </span>
          {tell('meeting-page.starter', {
            handler: starter.handler || null,
            inSeason: starter.inSeason,
            said: said || null,
          })}
        </span>
      </span>
      <span className="flex flex-wrap justify-end gap-2 max-sm:col-start-2 max-sm:justify-start">
        {!starter.withdrawn && (
          <>
            <Button
              look={run ? 'plain' : 'ink'}
              aria-label={tell('meeting-page.sheet-of', { name: starter.name })}
              onClick={() => void open('')}
            >
              {tell('meeting-page.sheet')}
            </Button>
            {meeting.kind === 'mock' && (
              <Button
                aria-label={tell('meeting-page.steward-of', { name: starter.name })}
                onClick={() => void open('/steward')}
              >
                {tell('meeting-page.steward')}
              </Button>
            )}
          </>
        )}
        <StarterTools meeting={meeting} starter={starter} removable={run === null} drawn={view.drawn} />
      </span>
    </li>
  );
}
