import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useParams } from 'react-router';
import { describeCost, type RuleBook } from '@/core/rulebooks';
import { asId, type MeetingId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listPeople, listRuleBooks, type Meeting, meetingOf, runsOfMeeting } from '@/data/read';
import { Button, buttonClass, PageHead } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { type ClassView, classView } from './meeting-view';
import { ResultsList } from './results-list';
import { resultsView } from './results-view';
import { NOTHING, sheetView } from './sheet-view';
import { tell } from './words';

/** For the clipboard: the run sheet of each class, and a blank judge’s sheet for each dog. */
export function PrintMeeting() {
  const { kennel } = useKennel();
  const { meeting: id = '' } = useParams();
  const found = useLiveQuery(
    async () => ({
      books: (await listRuleBooks(kennel)).map(({ book }) => book),
      people: await listPeople(kennel),
      meeting: await meetingOf(kennel, asId<MeetingId>(id)),
      runs: await runsOfMeeting(kennel, asId<MeetingId>(id)),
    }),
    [kennel, id],
  );
  if (!found) return <p className="text-lg">{tell('run-page.opening')}</p>;
  const { books, people, meeting, runs } = found;
  if (!meeting) return <PageHead title={tell('meeting-page.no-such-meeting')} />;
  const nameOf = (judge: string): string => people.find((one) => one.id === judge)?.name ?? '';
  const classes = meeting.classes.flatMap(({ book: of }) => {
    const book = books.find((one) => one.id === of);
    return book ? [classView(meeting, book, runs, nameOf)] : [];
  });
  return (
    <>
      <PageHead title={meeting.title}>{writeDay(meeting.day)}</PageHead>
      <p className="mb-5 flex flex-wrap gap-3 print:hidden">
        <Button look="signal" size="big" onClick={() => window.print()}>
          {tell('sheet-page.print')}
        </Button>
        <Link className={buttonClass('plain', 'big')} to={`/${kennel.name}/trials/meetings/${meeting.id}`}>
          {tell('closed-sheet.to-the-meeting')}
        </Link>
      </p>
      {classes.map((view) => (
        <RunSheet key={view.book.id} view={view} />
      ))}
      {classes.map((view) => {
        const results = resultsView(view, runs);
        return (
          results && (
            <div key={view.book.id} className="break-after-page">
              <h2 className="text-xl font-bold">{view.book.title}</h2>
              <ResultsList view={results} />
            </div>
          )
        );
      })}
      {classes.flatMap((view) => {
        const judges = view.judges.length > 0 ? view.judges : [''];
        return view.lines
          .filter(({ starter }) => !starter.withdrawn)
          .flatMap(({ starter }) =>
            judges.map((judge) => (
              <BlankSheet
                key={`${starter.id} ${judge}`}
                meeting={meeting}
                book={view.book}
                dog={tell('one-exercise.dog', { number: starter.number, name: starter.name })}
                handler={starter.handler}
                judge={judge}
              />
            )),
          );
      })}
    </>
  );
}

function RunSheet({ view: { book, judges, lines } }: { readonly view: ClassView }) {
  return (
    <section className="mb-6 break-after-page">
      <h2 className="text-xl font-bold">{tell('print-meeting.run-sheet', { title: book.title })}</h2>
      <p>{tell('meeting-page.judged-by', { judges: { list: judges, between: ', ' }, n: judges.length })}</p>
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {(['place', 'time', 'number', 'dog', 'handler', 'result'] as const).map((column) => (
              <th key={column} className="py-1 pr-2">
                {tell('print-meeting.column', { column })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ starter, place, at, said }) => (
            <tr key={starter.id} className="border-b border-hair">
              <td className="py-1.5 pr-2">{place ?? '–'}</td>
              <td className="pr-2">{at}</td>
              <td className="pr-2">{starter.number}</td>
              <td className="pr-2">{starter.name}</td>
              <td className="pr-2">{starter.handler}</td>
              <td>{said}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

type BlankProps = {
  readonly meeting: Meeting;
  readonly book: RuleBook;
  readonly dog: string;
  readonly handler: string;
  readonly judge: string;
};

/** A judge’s sheet to be written on by hand: a box for each fault, and one for the number. */
function BlankSheet({ meeting, book, dog, handler, judge }: BlankProps) {
  const view = sheetView(book, NOTHING);
  if (!view.ok) return null;
  const { rules, exercises } = view.value;
  return (
    <section className="mb-6 break-after-page text-sm">
      <h2 className="text-lg font-bold">{tell('print-meeting.sheet-of', { dog, title: book.title })}</h2>
      <p className="flex flex-wrap gap-x-6">
        <span>{tell('print-meeting.meeting', { title: meeting.title, day: writeDay(meeting.day) })}</span>
        <span>{tell('print-meeting.handler', { handler })}</span>
        <span>{tell('print-meeting.judge', { judge })}</span>
        <span>{tell('print-meeting.signature')}</span>
      </p>
      {exercises.map((exercise) => (
        <div key={exercise.key} className="mt-2 break-inside-avoid border border-ink p-1.5">
          <h3 className="flex justify-between font-bold">
            {exercise.title}
            <span>{tell('print-meeting.of-maximum', { maximum: exercise.maximum })}</span>
          </h3>
          <ul className="columns-2 gap-6">
            {exercise.groups.flatMap((group) =>
              group.faults.map(({ fault, label }) => (
                <li key={fault.id} className="flex break-inside-avoid items-baseline gap-1.5">
                  <span aria-hidden="true" className="inline-block size-3.5 shrink-0 border border-ink" />
                  <span>
                    {label}, {wordsOf(describeCost(fault.cost, rules.word))}
                  </span>
                </li>
              )),
            )}
          </ul>
        </div>
      ))}
    </section>
  );
}
