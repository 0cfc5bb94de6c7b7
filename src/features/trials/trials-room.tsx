import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { foldSheet } from '@/core/trials';
import { useKennel } from '@/data/live';
import {
  listMeetings,
  listRuleBooks,
  listRuns,
  type Run,
  runLessonOf,
  runWithMarks,
  trialsOf,
} from '@/data/read';
import { putRunAway } from '@/data/write';
import { Button, buttonClass, PageHead, Sheet } from '@/ui';
import { writeDay } from '@/words';
import { NewRun } from './new-run';
import { tell } from './words';

const TakeIn = lazy(async () => ({ default: (await import('./take-in')).TakeIn }));

/** Trials: a run to judge now or from paper, meetings of several dogs, and the runs there were. */
export function TrialsRoom() {
  const { kennel, dog } = useKennel();
  const found = useLiveQuery(
    async () => ({
      usual: dog ? ((await trialsOf(kennel, dog.id))[0]?.ruleBookId ?? null) : null,
      books: (await listRuleBooks(kennel)).filter((record) => !record.putAway).map(({ book }) => book),
      runs: await listRuns(kennel),
      meetings: await listMeetings(kennel),
    }),
    [kennel, dog],
  );
  const [takes, setTakes] = useState(false);
  if (!found) return <p className="text-lg">{tell('run-page.opening')}</p>;
  const { books, runs, meetings, usual } = found;
  const unfinished = runs.filter((run) => run.meeting === null);
  return (
    <>
      <PageHead title={tell('trials-room.trials')}>{tell('trials-room.what-for')}</PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        {dog && (
          <Link className={buttonClass('plain')} to={`/${kennel.name}/trials/titles`}>
            {tell('trials-room.titles', { name: dog.name })}
          </Link>
        )}
        <Link className={buttonClass('plain')} to={`/${kennel.name}/trials/practice`}>
          {tell('trials-room.practice')}
        </Link>
      </p>
      {books.length === 0 ? (
        <Sheet title={tell('trials-room.no-book')}>
          <p className="leading-snug">{tell('trials-room.no-book-why')}</p>
          <p className="mt-3 flex flex-wrap gap-3">
            <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
              {tell('sheet-page.to-the-rule-books')}
            </Link>
          </p>
        </Sheet>
      ) : (
        <div className="grid gap-5 lg:grid-cols-2">
          <NewRun key={dog?.id} books={books} usual={usual} />
          <Sheet title={tell('trials-room.meetings')} aside={tell('trials-room.several-dogs')}>
            {meetings.length === 0 && <p className="mb-3 leading-snug">{tell('trials-room.no-meeting')}</p>}
            {meetings.length > 0 && (
              <ul className="mb-3">
                {meetings.map((meeting) => (
                  <li key={meeting.id} className="border-b border-hair">
                    <Link
                      className="flex min-h-11 items-center justify-between gap-3 underline underline-offset-4"
                      to={`/${kennel.name}/trials/meetings/${meeting.id}`}
                    >
                      {meeting.title}
                      <span className="text-sm text-ink-soft">
                        {tell('trials-room.day-and-dogs', {
                          day: writeDay(meeting.day),
                          dogs: meeting.starters.length,
                        })}
                      </span>
                    </Link>
                  </li>
                ))}
              </ul>
            )}
            <Link className={buttonClass('ink', 'big')} to={`/${kennel.name}/trials/meetings/new`}>
              {tell('trials-room.a-new-meeting')}
            </Link>
          </Sheet>
        </div>
      )}
      <div className="mt-5 grid gap-5">
        {unfinished.length > 0 && (
          <Sheet
            title={tell('trials-room.runs')}
            aside={tell('trials-room.runs-count', { n: unfinished.length })}
          >
            <ul>
              {unfinished.map((run) => (
                <RunLine key={run.id} run={run} />
              ))}
            </ul>
          </Sheet>
        )}
        <Sheet title={tell('trials-room.from-another-device')}>
          <p className="leading-snug">{tell('trials-room.from-another-how')}</p>
          <p className="mt-2">
            <Button aria-pressed={takes} onClick={() => setTakes(!takes)}>
              {tell('hand-over.take-in')}
            </Button>
          </p>
          <Suspense fallback={null}>
            {takes && (
              <div className="mt-3">
                <TakeIn />
              </div>
            )}
          </Suspense>
        </Sheet>
      </div>
    </>
  );
}

function RunLine({ run }: { readonly run: Run }) {
  const { kennel, done } = useKennel();
  const state = useLiveQuery(async () => {
    const found = await runWithMarks(kennel, run.id);
    const sheets = (run.judges.length > 0 ? run.judges : [null]).map((judge) =>
      foldSheet(found?.marks ?? [], judge),
    );
    return {
      closed: sheets.filter(({ is }) => is !== 'open').length,
      of: sheets.length,
      marks: found?.marks.length ?? 0,
      unlearned:
        run.dogId !== null && sheets.every(({ is }) => is !== 'open') && !(await runLessonOf(kennel, run.id)),
    };
  }, [kennel, run]);
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-hair">
      <Link
        className="min-h-11 flex-1 content-center leading-snug underline underline-offset-4"
        to={`/${kennel.name}/trials/runs/${run.id}`}
      >
        {tell('trials-room.run', { name: run.name, kind: run.kind, day: writeDay(run.day) })}
      </Link>
      <span className="text-sm text-ink-soft">
        {state && tell('trials-room.run-state', state)}
        {state?.unlearned && ` ${tell('trials-room.not-in-the-log')}`}
      </span>
      <Button
        look="quiet"
        aria-label={tell('trials-room.put-away-whose', { name: run.name, day: writeDay(run.day) })}
        onClick={() => void done(tell('trials-room.put-away-done'), putRunAway(kennel, run.id, true))}
      >
        {tell('trials-room.put-away')}
      </Button>
    </li>
  );
}
