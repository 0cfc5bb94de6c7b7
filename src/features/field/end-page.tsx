import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { Link, Navigate, useSearchParams } from 'react-router';
import { sameCriteria } from '@/core/breakdown';
import type { CoachFacts, Entry } from '@/core/log';
import { useKennelWithDog } from '@/data/live';
import {
  addressOf,
  boutLog,
  coachFacts,
  type DatedBout,
  type DogWork,
  type Kennel,
  type LessonBout,
  lastLesson,
  workOf,
} from '@/data/read';
import { debriefBout, endOuting, record } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, RepMarks, Sheet, TextField } from '@/ui';
import { type Choice, choicesOf, clocksOf, endOf, type FaultSeen } from './end-view';
import { tell } from './later-words';
import { useLesson } from './lesson-store';
import { padView } from './pad-view';
import { splitRows } from './split-times';
import { clocksInWords } from './switch-bar';

/** A bout as its card shows it. */
type Ended = LessonBout & {
  readonly work: DogWork;
  readonly entries: readonly Entry[];
  readonly facts: CoachFacts;
};

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

function EndCard({ ended }: { readonly ended: Ended }) {
  const { kennel } = useKennelWithDog();
  const { element, work, bout, entries, facts, dog } = ended;
  const view = padView(element, work, bout, entries, facts);
  const { tally, dogs, handlers, halt } = endOf(view);
  return (
    <Sheet
      title={`${dog.name}: ${element.title}`}
      label={tell('end-page.what-it-comes-to', { name: dog.name, title: element.title })}
    >
      <div className="grid gap-4">
        <div>
          <p className="mb-1 text-xl font-bold">{tally}</p>
          {view.marks.length > 0 && (
            <RepMarks marks={view.marks} label={tell('end-page.reps-of-this-session')} big />
          )}
        </div>
        <Faults title={`${dog.name}:`} faults={dogs} first />
        <Faults title={tell('end-page.you')} faults={handlers} first={dogs.length === 0} />
        <Splits view={view} />
        {halt !== null && <Notice tone="alert">{halt}</Notice>}
        {view.by.kind !== 'whole' && entries.length > 0 && <NextTime view={view} bout={bout} />}
        <NextLine bout={bout} />
        <Link className={buttonClass('quiet', 'big')} to={`/${kennel.name}/field/${element.id}/log`}>
          {tell('end-page.every-rep-so-far')}
        </Link>
      </div>
    </Sheet>
  );
}

type View = ReturnType<typeof padView>;

/** Where it begins next time: as advised, the same again for this one, or a step easier; one tap. */
function NextTime({ view, bout }: { readonly view: View; readonly bout: DatedBout }) {
  const { kennel, done } = useKennelWithDog();
  // As it was at the end: what is chosen does not take the other choices away.
  const [choices] = useState(() => choicesOf(view));
  const { stands } = endOf(view);
  const [advised] = choices;
  const on = (one: Choice): boolean => sameCriteria(view.ladder.axes, one.to, view.criteria);
  return (
    <div>
      <p className="text-lg leading-snug">
        <span className="font-semibold">{tell('end-page.next-time')} </span>
        {stands}.{advised?.why && ` ${tell('end-page.advised', { place: advised.place, why: advised.why })}`}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {choices.map((one) => (
          <Button
            key={one.kind}
            size="big"
            look={on(one) ? 'ink' : 'plain'}
            aria-pressed={on(one)}
            className="text-base"
            onClick={() =>
              void done(
                tell('end-page.it-begins-there-next-time', { place: one.place }),
                record(kennel, bout, {
                  kind: 'move',
                  to: one.to,
                  because: one.kind === 'advised' ? 'advice' : 'hand',
                }),
              )
            }
          >
            {tell('end-page.choice', { kind: one.kind, step: one.step, steps: view.ladder.rungs.length })}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** The time of each link of whole runs, in the middle of its runs; by side where sides were said. */
function Splits({ view }: { readonly view: View }) {
  const { sides, rows } = splitRows(view);
  if (rows.length === 0) return null;
  return (
    <table className="w-full text-left">
      <caption className="text-left font-semibold">{tell('end-page.seconds-a-link')}</caption>
      <thead>
        <tr>
          <th scope="col">{tell('end-page.link')}</th>
          {sides.map((side) => (
            <th key={side} scope="col" className="text-right">
              {side === '' ? tell('end-page.all') : side}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key} className="border-t border-hair">
            <th scope="row" className="font-normal">
              {row.title}
            </th>
            {row.times.map((time, i) => (
              <td key={sides[i]} className="text-right tabular-nums">
                {time}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What went wrong, counted; what went wrong most is what is looked at first next time. */
function Faults({
  title,
  faults,
  first,
}: {
  readonly title: string;
  readonly faults: readonly FaultSeen[];
  readonly first: boolean;
}) {
  const [most] = faults;
  if (!most) return null;
  return (
    <p className="leading-snug">
      <span className="font-semibold">{title} </span>
      {faults.map(({ label, count }) => `${label.toLowerCase()} ${count}×`).join(', ')}
      {first
        ? tell('end-page.so-look-at-first-next-time', {
            only: faults.length === 1,
            fault: most.label.toLowerCase(),
          })
        : '.'}
    </p>
  );
}

/** Milliseconds after the last letter: a line that is half typed outlives a reload. */
const SAVE_AFTER = 400;

/** One line for next time, kept as it is typed. */
function NextLine({ bout }: { readonly bout: DatedBout }) {
  const { kennel, done } = useKennelWithDog();
  const kept = bout.debrief?.next ?? '';
  const [line, setLine] = useState(kept);
  const save = useRef<() => void>(() => undefined);
  useEffect(() => {
    save.current = () => {
      const next = line.trim();
      const what = bout.debrief?.what ?? '';
      if (next !== kept)
        void done(null, debriefBout(kennel, bout.id, next === '' && what === '' ? null : { what, next }));
    };
    const timer = setTimeout(save.current, SAVE_AFTER);
    return () => clearTimeout(timer);
  });
  useEffect(() => () => save.current(), []);
  return (
    <TextField
      label={tell('end-page.one-line-for-next-time')}
      hint={
        kept !== '' && kept === line.trim() ? tell('end-page.kept-it-is-the-first-thing-on-the') : undefined
      }
      value={line}
      maxLength={200}
      onChange={(event) => setLine(event.target.value)}
    />
  );
}
