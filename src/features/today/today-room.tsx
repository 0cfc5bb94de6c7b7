import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { asId, daysBetween } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog, useKeptLogs } from '@/data/live';
import {
  activeElements,
  elementQuestions,
  faultLabel,
  isOffWork,
  linesOf,
  namedFaults,
  openBouts,
  standingSigns,
  trainableIn,
} from '@/data/read';
import { record } from '@/data/write';
import {
  buttonClass,
  keptMarks,
  Notice,
  newestOf,
  PageHead,
  RepMarkKey,
  RepMarks,
  Sheet,
  SIGN_WORDS,
  SignNote,
  useLatest,
} from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ask } from '@/workers/client';
import { Ask } from './ask';
import { Next } from './next-session';
import { NothingYet } from './nothing-yet';
import { inDays, suggestedSessions, trialInWords, unweighed } from './suggestions';
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

/** What nobody has ended yet, of every dog: a tap goes on with it. */
function OpenSessions() {
  const { kennel, dog, today } = useKennelWithDog();
  const open = useLiveQuery(() => openBouts(kennel, today), [kennel, today]);
  if (!open || open.length === 0) return null;
  return (
    <Sheet title={tell('today-room.not-ended-yet')}>
      <ul className="grid gap-2">
        {open.map((one) => (
          <li key={one.bout.id} className="flex flex-wrap items-center justify-between gap-3">
            <span className="text-lg">
              {one.dog.id === dog.id ? '' : `${one.dog.name}: `}
              {one.element.title}
            </span>
            <Link
              className={buttonClass('ink', 'big')}
              to={`../field/${one.element.id}`}
              relative="path"
              aria-label={tell('today-room.go-on-with-it', { name: one.dog.name, title: one.element.title })}
            >
              {tell('today-room.go-on-with-it-2')}
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Sessions dated after today: shown, left out of every figure, and put right in their log. */
function Ahead({ state }: { readonly state: DogState }) {
  if (state.ahead.length === 0) return null;
  const elements = new Map(
    state.ahead.flatMap((bout) => (bout.element ? [[bout.element, bout] as const] : [])),
  );
  return (
    <Notice tone="alert">
      <span className="font-semibold">
        {tell('today-room.dated-after-today-and-left-out', {
          aheadCount:
            state.ahead.length === 1
              ? tell('today-room.one-session-is')
              : tell('today-room.sessions-are', { aheadCount: state.ahead.length }),
        })}{' '}
      </span>
      {tell('today-room.a-clock-was-wrong-or-you-have-come')}{' '}
      {[...elements].map(([id, bout], i) => (
        <span key={id}>
          {i > 0 && ', '}
          <Link className="underline" to={`../field/${id}/log`} relative="path">
            {tell('today-room.of', {
              title:
                state.work.elements.find((one) => one.id === id)?.title ?? tell('today-room.a-session-2'),
              writeDay: writeDay(bout.day),
            })}
          </Link>
        </span>
      ))}
      .
    </Notice>
  );
}

/** So many of the last sessions are shown. */
const RECENT = 5;

function Recent({ state }: { readonly state: DogState }) {
  const { today } = useKennelWithDog();
  const recent = state.bouts.slice(-RECENT).reverse();
  const logs = useKeptLogs(recent.map((bout) => bout.id));
  if (recent.length === 0 || !logs) return null;
  return (
    <Sheet title={tell('today-room.last-sessions')}>
      <ul className="mb-3 grid gap-3">
        {recent.map((bout) => {
          const element = state.work.elements.find((candidate) => candidate.id === bout.element);
          const faults = element ? namedFaults(element, state.work) : [];
          return (
            <li key={bout.id}>
              <p className="leading-snug">
                <span className="font-semibold">{element?.title}</span>
                <span className="text-ink-soft">
                  {tell('today-room.away', {
                    inDays: inDays(daysBetween(today, bout.day)),
                    away: Boolean(bout.away),
                  })}
                </span>
              </p>
              {bout.signs.length > 0 && (
                <p className="text-sm leading-snug">
                  {tell('today-room.seen', {
                    signs: bout.signs.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', '),
                  })}
                </p>
              )}
              <RepMarks
                label={tell('today-room.reps-of', {
                  title: element?.title ?? tell('today-room.a-session-2'),
                })}
                marks={keptMarks(logs?.get(bout.id)?.marks ?? [], (fault) =>
                  wordsOf(faultLabel(faults, fault)),
                )}
              />
            </li>
          );
        })}
      </ul>
      <RepMarkKey />
    </Sheet>
  );
}
