import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useNavigate } from 'react-router';
import { type DogState, useFitting, useKennelWithDog, usePlannedToday } from '@/data/live';
import {
  daysUsed,
  type ElementRecord,
  fittingSetOut,
  gapOf,
  isRunning,
  lastBout,
  lastLines,
  pieceOf,
  setOutsFor,
  trainableIn,
} from '@/data/read';
import { startBout } from '@/data/write';
import { Button, CautionNote, Notice, Rod, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { useAsked } from './asked-store';
import { type OneAnswer, oneAnswer, usualOf } from './one-answer';
import { openSlots, plannedAnswer, plannedRuns } from './planned';
import type { SuggestedSession } from './suggestions';
import { tell } from './words';

type NextProps = { readonly sessions: readonly SuggestedSession[]; readonly state: DogState };

/** One answer to what somebody has today, and what else would serve. */
export function Next({ sessions, state }: NextProps) {
  const { kennel, dog, today, now, done } = useKennelWithDog();
  const navigate = useNavigate();
  const { minutes, place } = useAsked(today);
  const plan = usePlannedToday();
  const open = plan ? openSlots(plan, dog.id) : [];
  const begin = async (one: SuggestedSession): Promise<void> => {
    const id = one.element;
    const element = state.work.elements.find((candidate) => candidate.id === id);
    const last = await lastBout(kennel, id);
    // After a long gap, and before the very first, the card comes first: with what to be careful of.
    const gap = gapOf(state.evidence.get(id) ?? [], dog, today, daysUsed(state.other, id));
    const slot = open.find((each) => pieceOf(each) === id);
    // What has to be laid out is looked at first, with where to stand.
    const start = slot?.at ?? one.start;
    const drawn = element && fittingSetOut(await setOutsFor(kennel, element), element, start);
    if (element && !drawn && !gap.long && !one.isNew && !(last && isRunning(last, today, now()))) {
      const begun = await done(
        null,
        startBout(kennel, element, {
          day: today,
          away: place === 'strange' || (slot !== undefined && plan?.strange === true),
          start,
        }),
      );
      if (!begun.ok) return;
    }
    await navigate(`../field/${id}`, { relative: 'path' });
  };
  const lines = useLiveQuery(
    () =>
      lastLines(
        kennel,
        sessions.map((one) => one.element),
      ),
    [kennel, sessions],
  );
  const planned = plannedAnswer(open, sessions, state.work);
  const answer =
    planned ?? oneAnswer(sessions, { minutes, place }, (id) => usualOf(state.evidence.get(id) ?? []));
  const answered = new Set(answer ? [answer.first, ...answer.then].map((one) => one.element) : []);
  const others = sessions.filter((one) => !answered.has(one.element));
  return (
    <>
      {answer ? (
        <Answer
          answer={answer}
          planned={planned !== null}
          elements={state.work.elements}
          line={lines?.get(answer.first.element)}
          onBegin={(one) => void begin(one)}
        />
      ) : (
        sessions.length > 0 && (
          <Notice>
            {tell('today-room.all-of-it-was-worked-today', { name: dog.name })}{' '}
            <Link className="underline" to={`../start?dog=${dog.id}`} relative="path">
              {tell('today-room.one-piece-more')}
            </Link>
          </Notice>
        )
      )}
      {plannedRuns(open).map((id) => (
        <Notice key={id}>
          {tell('planned.whole', { title: trainableIn(state.work, id)?.title ?? '' })}{' '}
          <Link className="underline" to={`../field/${id}`} relative="path">
            {tell('planned.run-it')}
          </Link>
        </Notice>
      ))}
      {others.length > 0 && (
        <Sheet
          title={tell('today-room.or-one-of-these')}
          aside={
            state.work.breakdowns.some((one) => one.ruleBookId !== null)
              ? tell('today-room.in-the-order-of-what-they-could')
              : undefined
          }
        >
          <ul className="divide-y divide-hair">
            {others.slice(0, 4).map((session) => (
              <li key={session.element} className="flex items-center justify-between gap-4 py-2.5">
                <div>
                  <p className="text-lg font-semibold leading-snug">{session.title}</p>
                  <LastLine line={lines?.get(session.element)} />
                  <p className="leading-snug text-ink-soft">{wordsOf(session.reason)}</p>
                </div>
                <Button
                  aria-label={tell('today-room.begin', { title: session.title })}
                  onClick={() => void begin(session)}
                >
                  {tell('today-room.begin-2')}
                </Button>
              </li>
            ))}
          </ul>
        </Sheet>
      )}
    </>
  );
}

function Answer({
  answer: { first, then, because },
  planned,
  elements,
  line,
  onBegin,
}: {
  readonly answer: OneAnswer;
  readonly elements: readonly ElementRecord[];
  /** It is what the plan has for today. */
  readonly planned: boolean;
  readonly line: string | undefined;
  readonly onBegin: (one: SuggestedSession) => void;
}) {
  const element = elements.find((one) => one.id === first.element) ?? null;
  const laid = useFitting(element, first.start)?.laid ?? null;
  return (
    <section aria-label={tell('today-room.next-session')} className="border-2 border-ink bg-sheet">
      <div className="border-b-2 border-ink bg-signal px-4 py-1.5 font-bold text-on-signal">
        {planned ? tell('planned.for-today') : tell('today-room.next-session')}
      </div>
      <div className="grid gap-3 px-4 py-4">
        <h2 className="text-2xl font-extrabold leading-tight">{first.title}</h2>
        <LastLine line={line} />
        {because && <p className="text-lg font-semibold leading-snug">{because}</p>}
        <p className="text-lg leading-snug">{wordsOf(first.reason)}</p>
        <p className="leading-snug">
          <span className="font-semibold">{tell('today-room.rung')} </span>
          {first.rungInWords}
        </p>
        {then.length > 0 && (
          <p className="leading-snug">
            <span className="font-semibold">
              {planned ? tell('planned.then') : tell('today-room.then-if-time-is-left')}{' '}
            </span>
            {then.map((one) => one.title).join(', ')}.
          </p>
        )}
        {first.bring && (
          <p className="leading-snug">
            <span className="font-semibold">{tell('today-room.bring')} </span>
            {first.bring}
          </p>
        )}
        {laid && (
          <p className="leading-snug">
            <span className="font-semibold">{tell('today-room.laid-out')} </span>
            {laid.setOut.title}
          </p>
        )}
        {first.cautions.map((caution) => (
          <CautionNote key={caution.id} caution={caution} />
        ))}
        <Button
          look="signal"
          size="huge"
          data-main
          className="max-md:sticky max-md:bottom-[4.25rem] max-md:z-10"
          onClick={() => onBegin(first)}
        >
          {first.isNew || laid ? tell('today-room.to-its-card') : tell('today-room.begin-this-session')}
        </Button>
        <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2">
          {first.rods.map((rod) => (
            <Rod key={rod.axis} data={rod} compact />
          ))}
        </div>
      </div>
    </section>
  );
}

/** What was written after the last session of it comes before what is worked out. */
function LastLine({ line }: { readonly line: string | undefined }) {
  if (line === undefined) return null;
  return (
    <p className="border-l-[6px] border-signal bg-paper px-3 py-1.5 text-lg leading-snug">
      <span className="font-semibold">{tell('today-room.you-wrote')} </span>
      {line}
    </p>
  );
}
