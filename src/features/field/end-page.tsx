import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef } from 'react';
import { Link, Navigate, useSearchParams } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import {
  addressOf,
  boutLog,
  coachFacts,
  type DatedBout,
  type Kennel,
  type LessonBout,
  lastLesson,
  workOf,
} from '@/data/read';
import { endOuting, record } from '@/data/write';
import { Button, buttonClass, PageHead, PageTitle, Sheet } from '@/ui';
import { EndCard, type Ended } from './end-card';
import { clocksOf } from './end-view';
import { tell } from './later-words';
import { useLesson } from './lesson-store';
import { clocksInWords } from './switch-bar';

/**
 * After the last rep: what the lesson comes to, dog by dog and element by element, and for each the one line
 * that leads the next one.
 */
export function EndPage() {
  const { kennel, today } = useKennelWithDog();
  const [search] = useSearchParams();
  const of = search.get('of');
  const found = useLiveQuery(() => lessonEnded(kennel, today), [kennel, today]);
  const card = useRef<HTMLDivElement>(null);
  const there = found !== undefined;
  useEffect(() => {
    if (there && document.activeElement === document.body) card.current?.focus({ preventScroll: true });
  }, [there]);
  if (found === undefined) return <p className="text-lg">{tell('end-page.reading-the-log')}</p>;
  if (found === null)
    return (
      <>
        <PageHead title={tell('end-page.no-lesson-today')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/field`}>
          {tell('end-page.choose-what-to-train')}
        </Link>
      </>
    );
  const just = found.bouts.find((one) => one.bout.id === of);
  // The end was taken back: the pad goes on.
  if (just?.running) return <Navigate to={`/${kennel.name}/field/${addressOf(just.bout)}`} replace />;
  const open = found.bouts.filter((one) => one.running);
  const ended = found.bouts.filter((one) => !one.running);
  const order = [...ended].sort(
    (a, b) => Number(b === just) - Number(a === just) || (b.bout.endedAt ?? 0) - (a.bout.endedAt ?? 0),
  );
  return (
    <div ref={card} tabIndex={-1} className="mx-auto grid max-w-2xl gap-5 outline-none">
      <PageTitle>{tell('end-page.what-the-lesson-comes-to')}</PageTitle>
      <h1 className="sr-only">{tell('end-page.what-the-lesson-comes-to')}</h1>
      {open.length > 0 && <StillOpen open={open} outing={found.outing.id} />}
      {order.map((one) => (
        <EndCard key={one.bout.id} ended={one} />
      ))}
      <LessonLine lesson={found.outing} ended={found.bouts} />
      <Link
        className={buttonClass(open.length > 0 ? 'plain' : 'signal', 'huge')}
        to={`/${kennel.name}/today`}
      >
        {tell('end-page.on-to-the-next')}
      </Link>
    </div>
  );
}

async function lessonEnded(kennel: Kennel, today: DatedBout['day']) {
  const lesson = await lastLesson(kennel, today);
  if (!lesson) return null;
  const bouts = await Promise.all(
    lesson.bouts.map(
      async (one): Promise<Ended> => ({
        ...one,
        work: await workOf(kennel, one.dog.id),
        entries: await boutLog(kennel, one.bout.id),
        facts: await coachFacts(kennel, one.element, one.bout),
      }),
    ),
  );
  return { outing: lesson.outing, bouts };
}

/** What of the lesson goes on: back to it in one tap, or all of it ended together. */
function StillOpen({
  open,
  outing,
}: {
  readonly open: readonly LessonBout[];
  readonly outing: DatedBout['outingId'];
}) {
  const { kennel, done } = useKennelWithDog();
  const end = async (): Promise<void> => {
    for (const { bout } of open)
      for (const counted of useLesson.getState().stop(bout.id, Date.now()))
        await done(null, record(kennel, bout, counted));
    await done((count) => tell('end-page.the-lesson-is-ended', { count }), endOuting(kennel, outing));
  };
  return (
    <Sheet title={tell('end-page.still-open')} label={tell('end-page.still-open')}>
      <div className="grid gap-2">
        {open.map((one, i) => (
          <Link
            key={one.bout.id}
            className={buttonClass(i === 0 ? 'signal' : 'plain', 'big')}
            to={`/${kennel.name}/field/${addressOf(one.bout)}`}
          >
            {tell('end-page.go-on-with', { name: one.dog.name, title: one.element.title })}
          </Link>
        ))}
        <Button size="big" look="ink" onClick={() => void end()}>
          {tell('end-page.end-the-lesson')}
        </Button>
      </div>
    </Sheet>
  );
}

/** The lesson in one line: how long, how much of it was warm-up, work and rest. */
function LessonLine({
  lesson,
  ended,
}: {
  readonly lesson: { readonly startedAt: number; readonly endedAt: number | null };
  readonly ended: readonly Ended[];
}) {
  const { now } = useKennelWithDog();
  const minutes = Math.round(((lesson.endedAt ?? now()) - lesson.startedAt) / 60_000);
  const { sums, easy } = clocksOf(ended.flatMap((one) => one.entries));
  const clocks = clocksInWords(sums);
  return (
    <p className="text-lg leading-snug">
      {tell('end-page.lesson-of-minutes', { minutes, clocks: clocks === '' ? '' : `; ${clocks}`, easy })}
      {sums['warm-up'] >= LONG_WARM_UP && ` ${tell('end-page.a-long-warm-up')}`}
    </p>
  );
}

/** Seconds: the trade calls ten minutes a mistake, since the dog tires before the work. */
const LONG_WARM_UP = 600;
