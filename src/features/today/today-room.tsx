import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { asId } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog } from '@/data/live';
import {
  activeElements,
  elementQuestions,
  isOffWork,
  linesOf,
  standingSigns,
  trainableIn,
} from '@/data/read';
import { record } from '@/data/write';
import { buttonClass, Notice, newestOf, PageHead, Sheet, SignNote, useLatest } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ask } from '@/workers/client';
import { Ask } from './ask';
import { Ahead, OpenSessions } from './at-hand';
import { Next } from './next-session';
import { NothingYet } from './nothing-yet';
import { HowItWent, Recent } from './recent';
import { suggestedSessions, trialInWords, unweighed } from './suggestions';
import { tell } from './words';

export function TodayRoom() {
  const { dog, today } = useKennelWithDog();
  const state = useDog();
  const job = useMemo(() => {
    if (!state) return null;
    const questions = elementQuestions(state.work, state.evidence, state.stands);
    return (signal: AbortSignal) => ask({ kind: 'assess-elements', questions, today }, { signal });
  }, [state, today]);
  const assessed = useLatest(job);
  const found = newestOf(assessed);
  const trial = state?.trials.find((candidate) => candidate.day >= today);
  if (!state) return <p className="text-lg">{tell('today-room.reading-the-log')}</p>;
  const sessions = found ? suggestedSessions(dog, state, found, today) : null;
  return (
    <>
      <PageHead
        title={
          trial
            ? `${dog.name}: ${trial.title} ${trialInWords(trial, today).days}`
            : tell('today-room.what-to-do-today', { name: dog.name })
        }
      >
        {trial ? trialInWords(trial, today).closes : null}
      </PageHead>
      {assessed.state === 'failed' && <Notice tone="alert">{wordsOf(assessed.failure.message)}</Notice>}
      {found &&
        unweighed(state, found).map(({ element, title, why }) => (
          <Notice key={element} tone="alert">
            <span className="font-semibold">{tell('today-room.is-left-out', { title })} </span>
            {why}{' '}
            <Link className="underline" to={`../breakdown/${element}`} relative="path">
              {tell('today-room.mend-it')}
            </Link>
          </Notice>
        ))}
      <div className="grid gap-6 lg:grid-cols-[3fr_2fr]">
        <div className="grid content-start gap-6">
          <Written state={state} />
          <Standing state={state} />
          {isOffWork(dog, today) && dog.offWork && (
            <Notice tone="alert">
              {tell('today-room.is-off-work-nothing-is-suggested', {
                name: dog.name,
                until: dog.offWork.until
                  ? tell('today-room.until', { writeDay: writeDay(dog.offWork.until) })
                  : '',
                why: dog.offWork.why === '' ? '' : `: ${dog.offWork.why}`,
              })}{' '}
              <Link className="underline" to="../kennel" relative="path">
                {tell('today-room.put-it-back-to-work')}
              </Link>
            </Notice>
          )}
          <OpenSessions />
          <Ahead state={state} />
          {sessions?.length === 0 &&
            standingSigns(state.bouts, today).some((sign) => sign.kind === 'stop') && (
              <p className="text-lg leading-snug">
                {tell('today-room.nothing-is-suggested-for-while', { name: dog.name })}
              </p>
            )}
          <Ask trains={activeElements(state.work).length > 0} />
          {activeElements(state.work).length === 0 ? (
            <NothingYet dog={dog} />
          ) : sessions ? (
            <Next sessions={sessions} state={state} />
          ) : (
            <p className="text-lg">{tell('today-room.weighing-the-reps')}</p>
          )}
        </div>
        <div className="grid content-start gap-6">
          <Recent state={state} />
          {trial && (
            <Sheet title={tell('today-room.the-trial')}>
              <p className="mb-3 leading-snug">{tell('today-room.would-it-pass-where-do-points-leak')}</p>
              <Link className={buttonClass('plain')} to="../readiness" relative="path">
                {tell('today-room.see-the-forecast')}
              </Link>
              <Link className={buttonClass('quiet')} to="../readiness#trials" relative="path">
                {tell('today-room.change-or-withdraw-it')}
              </Link>
            </Sheet>
          )}
          <HowItWent />
          <p>
            <Link className={buttonClass('quiet')} to="../plan" relative="path">
              {tell('today-room.plan-the-weeks')}
            </Link>
            <Link className={buttonClass('quiet')} to="../start" relative="path">
              {tell('today-room.add-another-dog')}
            </Link>
            <Link className={buttonClass('quiet')} to="../words" relative="path">
              {tell('today-room.words-that-are-used-here')}
            </Link>
          </p>
        </div>
      </div>
    </>
  );
}

/** What was written after the sessions of the last day comes before all that is worked out. */
function Written({ state }: { readonly state: DogState }) {
  const { kennel } = useKennelWithDog();
  const day = state.bouts.at(-1)?.day;
  const last = state.bouts.flatMap((bout) => (bout.day === day ? [bout.id] : []));
  const lines = useLiveQuery(() => linesOf(kennel, last), [kennel, last.join(' ')]);
  if (!lines || lines.length === 0) return null;
  return (
    <section aria-label={tell('today-room.written-last-time')} className="grid gap-1">
      {lines.map(({ bout, on, line }) => (
        <p key={bout} className="border-l-[6px] border-signal bg-sheet px-3 py-1.5 text-lg leading-snug">
          <span className="font-semibold">
            {tell('today-room.you-wrote-of', {
              title: trainableIn(state.work, on)?.title ?? tell('today-room.a-session-2'),
            })}{' '}
          </span>
          {line}
        </p>
      ))}
    </section>
  );
}

/** Signs of the body that ended or stopped the work, and that nobody has dismissed: said before all else. */
function Standing({ state }: { readonly state: DogState }) {
  const { kennel, today, done } = useKennelWithDog();
  return standingSigns(state.bouts, today).map(({ id, day, reason, bout }) => (
    <SignNote
      key={id}
      words={`${state.work.elements.find((one) => one.id === bout.element)?.title ?? tell('today-room.a-session')}, ${writeDay(day)}: ${wordsOf(reason)}`}
      onDismiss={(why) =>
        void done(
          tell('today-room.it-no-longer-holds'),
          record(kennel, bout, { kind: 'sign-over', of: asId(id), why }),
        )
      }
    />
  ));
}
