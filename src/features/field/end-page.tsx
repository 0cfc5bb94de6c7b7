import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import type { CoachFacts, Entry } from '@/core/log';
import { useKennelWithDog } from '@/data/live';
import {
  boutLog,
  coachFacts,
  type DatedBout,
  type DogWork,
  type ElementRecord,
  lastBout,
  workOf,
} from '@/data/read';
import { debriefBout, record } from '@/data/write';
import { Button, buttonClass, Notice, RepMarks, Sheet, TextField } from '@/ui';
import { endOf, type FaultSeen } from './end-view';
import { padView } from './pad-view';
import { tell } from './words';

/** After the last rep: what the session comes to, and the one line that leads the next one. */
export function EndPage() {
  const { element: id } = useParams();
  const { kennel, dog } = useKennelWithDog();
  const found = useLiveQuery(async () => {
    const work = await workOf(kennel, dog.id);
    const element = work.elements.find((one) => one.id === id);
    const bout = element && (await lastBout(kennel, element.id));
    if (!element || !bout) return { gone: true } as const;
    const entries = await boutLog(kennel, bout.id);
    return { work, element, bout, entries, facts: await coachFacts(kennel, element, bout) };
  }, [kennel, dog.id, id]);
  if (!found) return <p className="text-lg">{tell('end-page.reading-the-log')}</p>;
  if ('gone' in found)
    return <Notice tone="alert">{tell('end-page.nothing-of-this-element-has-been')}</Notice>;
  // The end was taken back: the pad goes on.
  if (found.bout.endedAt === null) return <Navigate to=".." relative="path" replace />;
  return <EndCard key={found.bout.id} {...found} />;
}

type Props = {
  readonly element: ElementRecord;
  readonly work: DogWork;
  readonly bout: DatedBout;
  readonly entries: readonly Entry[];
  readonly facts: CoachFacts;
};

function EndCard({ element, work, bout, entries, facts }: Props) {
  const { kennel, dog, done } = useKennelWithDog();
  const view = padView(element, work, bout, entries, facts);
  const { tally, dogs, handlers, stands, step, halt } = endOf(view);
  const card = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (document.activeElement === document.body) card.current?.focus({ preventScroll: true });
  }, []);
  return (
    <div ref={card} tabIndex={-1} className="outline-none">
      <h1 className="sr-only">{tell('end-page.what-the-session-comes-to')}</h1>
      <Sheet
        title={`${dog.name}: ${element.title}`}
        className="mx-auto max-w-2xl"
        label={tell('end-page.what-the-session-comes-to')}
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
          {halt !== null && <Notice tone="alert">{halt}</Notice>}
          <div>
            <p className="text-lg leading-snug">
              <span className="font-semibold">{tell('end-page.next-time')} </span>
              {step
                ? tell('end-page.if-you-take-it', { place: step.place, why: step.why })
                : tell('end-page.go-on-at', { stands })}
            </p>
            {step && (
              <Button
                size="big"
                className="mt-2"
                onClick={() =>
                  void done(
                    tell('end-page.it-begins-there-next-time'),
                    record(kennel, bout, { kind: 'move', to: step.to, because: 'advice' }),
                  )
                }
              >
                {tell('end-page.begin-there-next-time')}
              </Button>
            )}
          </div>
          <NextLine bout={bout} />
          <Link className={buttonClass('signal', 'huge')} to="../../../today" relative="path">
            {tell('end-page.on-to-the-next')}
          </Link>
          <Link className={buttonClass('quiet', 'big')} to="../log" relative="path">
            {tell('end-page.every-rep-so-far')}
          </Link>
        </div>
      </Sheet>
    </div>
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
