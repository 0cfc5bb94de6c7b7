import { useNavigate } from 'react-router';
import type { RuleBookId, RunId } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Meeting, Starter } from '@/data/read';
import { drawClass, startRun } from '@/data/write';
import { Button, Sheet } from '@/ui';
import type { ClassView, StartLine } from './meeting-view';
import { ResultsList } from './results-list';
import type { ResultsView } from './results-view';
import { AddStarter, StarterTools } from './starters';
import { tell } from './words';

type ClassProps = {
  readonly meeting: Meeting;
  readonly view: ClassView;
  readonly results: ResultsView | null;
};

export function ClassSheet({ meeting, view, results }: ClassProps) {
  const { kennel, done } = useKennel();
  const { book, lines, judges } = view;
  const draw = (): void => {
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    void done(tell('class-sheet.drawn'), drawClass(kennel, meeting.id, book.id, seed));
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
            {view.drawn ? tell('class-sheet.draw-again') : tell('class-sheet.draw')}
          </Button>
        )}
        {running > 1 && <Button onClick={() => void openAll()}>{tell('class-sheet.open-all')}</Button>}
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
          {tell('class-sheet.starter', {
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
              aria-label={tell('class-sheet.sheet-of', { name: starter.name })}
              onClick={() => void open('')}
            >
              {tell('class-sheet.sheet')}
            </Button>
            {meeting.kind === 'mock' && (
              <Button
                aria-label={tell('class-sheet.steward-of', { name: starter.name })}
                onClick={() => void open('/steward')}
              >
                {tell('class-sheet.steward')}
              </Button>
            )}
          </>
        )}
        <StarterTools meeting={meeting} starter={starter} removable={run === null} drawn={view.drawn} />
      </span>
    </li>
  );
}
