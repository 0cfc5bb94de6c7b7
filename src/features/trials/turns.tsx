import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useNavigate } from 'react-router';
import { foldSheet } from '@/core/trials';
import { useKennel } from '@/data/live';
import { listPeople, runWithMarks } from '@/data/read';
import { startRun } from '@/data/write';
import { Button, buttonClass, Sheet } from '@/ui';
import type { RunState } from './run-state';
import { NOTHING, runsView } from './sheet-view';
import { tell } from './words';

/** A class that is run several times: the runs of this dog, which of them counts, and the next one. */
export function Turns({ state: { run, book, beside } }: { readonly state: RunState }) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const mine = beside.filter(
    (one) => one.starter === run.starter && one.dogId === run.dogId && one.name === run.name,
  );
  const ids = mine.map(({ id }) => id).join(' ');
  const sheets = useLiveQuery(
    () => Promise.all(mine.map(async ({ id }) => (await runWithMarks(kennel, id))?.marks ?? [])),
    [kennel, ids],
  );
  if (!book.runs || !sheets) return null;
  const ofTurn = (turn: number) => mine.findIndex((one) => one.turn === turn);
  const view = runsView(
    book,
    Array.from({ length: book.runs.count }, (_, turn) => {
      const at = ofTurn(turn);
      return at < 0 ? NOTHING : foldSheet(sheets[at] ?? [], run.judges[0] ?? null);
    }),
    run.size,
  );
  const next = Array.from({ length: book.runs.count }, (_, turn) => turn).find((turn) => ofTurn(turn) < 0);
  const begin = async (turn: number): Promise<void> => {
    const people = await listPeople(kennel);
    const names = run.judges.map((id) => people.find((one) => one.id === id)?.name ?? '');
    const started = await done(null, startRun(kennel, { ...run, turn }, names));
    if (started.ok) await navigate(`/${kennel.name}/trials/runs/${started.value.made.id}`);
  };
  return (
    <Sheet title={tell('sheet-page.runs')}>
      <p className="flex flex-wrap gap-2">
        {view?.runs.map(({ run: turn, said }) => {
          const other = mine[ofTurn(turn)];
          const words =
            said === null
              ? tell('sheet-page.run', { run: turn + 1 })
              : tell('sheet-page.run-said', { run: turn + 1, said });
          return other ? (
            <Link
              key={turn}
              className={buttonClass(other.id === run.id ? 'ink' : 'plain')}
              to={`/${kennel.name}/trials/runs/${other.id}`}
            >
              {words}
            </Link>
          ) : null;
        })}
        {next !== undefined && (
          <Button onClick={() => void begin(next)}>{tell('turns.begin', { run: next + 1 })}</Button>
        )}
      </p>
      {view?.counts && (
        <p className="mt-2" role="status">
          {view.counts}
        </p>
      )}
    </Sheet>
  );
}
