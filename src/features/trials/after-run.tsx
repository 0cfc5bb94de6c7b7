import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { asId, type MarkId } from '@/core/shared';
import type { Joined } from '@/core/trials';
import { useKennel } from '@/data/live';
import { type LessonSaid, runForecastOf, runTeaching, usualLesson } from '@/data/read';
import { confirmRun } from '@/data/write';
import { Button, buttonClass, Notice, SelectField, Sheet } from '@/ui';
import { AfterGoes } from './after-goes';
import { AfterLoss } from './after-loss';
import { afterView } from './after-view';
import { tell } from './after-words';
import type { RunState } from './run-state';

/** After a run: what was expected beside what came, and each judged part as a rep, after one confirmation. */
export function AfterRun({ state, joined }: { readonly state: RunState; readonly joined: Joined }) {
  const { kennel } = useKennel();
  const { run } = state;
  const found = useLiveQuery(
    async () => ({ forecast: await runForecastOf(kennel, run.id) }),
    [kennel, run.id],
  );
  const ours = run.dogId !== null && (run.kind === 'mock' || run.kind === 'trial');
  if (!ours || !found) return null;
  return (
    <>
      <AfterLoss state={state} joined={joined} forecast={found.forecast} />
      <Teaches key={run.id} state={state} />
    </>
  );
}

function Teaches({ state }: { readonly state: RunState }) {
  const { kennel, done } = useKennel();
  const { run, marks, book } = state;
  const [draft, setDraft] = useState<LessonSaid | null>(null);
  const teaching = useLiveQuery(
    async () => runTeaching(kennel, run, marks, book, draft),
    [kennel, run, marks, book, draft],
  );
  const view = useMemo(() => (teaching ? afterView(teaching) : null), [teaching]);
  if (!teaching || !view) return null;
  const said: LessonSaid = draft ?? teaching.lesson ?? usualLesson(run);
  const change = (to: Partial<LessonSaid>): void => {
    const { away, another, paid, of, said: outcomes } = said;
    setDraft({ away, another, paid, of, said: outcomes, ...to });
  };
  const write = async (): Promise<void> => {
    const { away, another, paid, of, said: outcomes } = said;
    const noon = (day: string): number => new Date(`${day}T12:00:00`).getTime();
    const made = await confirmRun(kennel, run, { away, another, paid, of, said: outcomes }, noon);
    const { written = 0, amended = 0, takenBack = 0 } = made.ok ? made.value.made : {};
    await done(tell('trials-after.done', { written, amended, taken: takenBack }), Promise.resolve(made));
    if (made.ok) setDraft(null);
  };
  if (view.all)
    return (
      <Sheet title={tell('trials-after.title')}>
        <p className="leading-snug">{tell('trials-after.untrained-all', { name: run.name })}</p>
        <p className="mt-3">
          <Link className={buttonClass('ink', 'big')} to={`/${kennel.name}/breakdown/class?book=${run.book}`}>
            {tell('trials-after.break-down')}
          </Link>
        </p>
      </Sheet>
    );
  const first = view.standing === 0;
  return (
    <Sheet
      title={tell('trials-after.title')}
      aside={tell('trials-after.aside')}
      label={tell('trials-after.title')}
    >
      {!first && (
        <p role="status" className="mb-2 font-semibold leading-snug">
          {tell('trials-after.written', { n: view.standing, name: run.name })}{' '}
          <Link className="underline underline-offset-4" to={`/${kennel.name}/review`}>
            {tell('trials-after.to-the-log')}
          </Link>
        </p>
      )}
      <div className="grid gap-3 sm:grid-cols-3">
        <SelectField
          label={tell('trials-after.place')}
          value={said.away ? 'away' : 'home'}
          options={[
            { value: 'home', words: tell('trials-after.place-home') },
            { value: 'away', words: tell('trials-after.place-away') },
          ]}
          onChange={(value) => change({ away: value === 'away' })}
        />
        <SelectField
          label={tell('trials-after.handler')}
          value={said.another ? 'another' : 'usual'}
          options={[
            { value: 'usual', words: tell('trials-after.handler-usual') },
            { value: 'another', words: tell('trials-after.handler-another') },
          ]}
          onChange={(value) => change({ another: value === 'another' })}
        />
        <SelectField
          label={tell('trials-after.paid')}
          value={said.paid ? 'yes' : 'no'}
          options={[
            { value: 'no', words: tell('trials-after.paid-no') },
            { value: 'yes', words: tell('trials-after.paid-yes') },
          ]}
          onChange={(value) => change({ paid: value === 'yes' })}
        />
      </div>
      <AfterGoes
        view={view}
        onOf={(mark, part) =>
          change({
            of: [
              ...said.of.filter((one) => one.mark !== mark),
              ...(part === null ? [] : [{ mark: asId<MarkId>(mark), part }]),
            ],
          })
        }
        onSaid={({ exercise, part, time }, outcome) =>
          change({
            said: [
              ...said.said.filter(
                (one) => one.exercise !== exercise || one.part !== part || one.time !== time,
              ),
              { exercise, part, time, outcome },
            ],
          })
        }
      />
      {view.untrained.length > 0 && (
        <Notice>{tell('trials-after.untrained', { titles: { list: view.untrained, between: '; ' } })}</Notice>
      )}
      {view.changes.length > 0 && !first && (
        <div className="mt-3 leading-snug">
          <p className="font-semibold">{tell('trials-after.differs')}</p>
          <ul className="list-disc pl-5">
            {view.changes.map((one) => (
              <li key={one.key}>{one.words}</li>
            ))}
          </ul>
        </div>
      )}
      {view.changes.length > 0 && (
        <p className="mt-3 flex flex-wrap items-center gap-3">
          <Button look="signal" size="big" onClick={() => void write()}>
            {first
              ? tell('trials-after.write', { n: view.changes.length })
              : tell('trials-after.put-right', { n: view.changes.length })}
          </Button>
          <span className="flex-1 text-sm text-ink-soft">{tell('trials-after.cold')}</span>
        </p>
      )}
      {view.changes.length === 0 && first && (
        <p className="mt-3 leading-snug">{tell('trials-after.nothing-to-write')}</p>
      )}
    </Sheet>
  );
}
