import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { sameCriteria } from '@/core/breakdown';
import type { CoachFacts, Entry } from '@/core/log';
import { useKennelWithDog } from '@/data/live';
import type { DatedBout, DogWork, LessonBout } from '@/data/read';
import { debriefBout, record } from '@/data/write';
import { Button, buttonClass, Notice, RepMarks, Sheet, SIGN_WORDS, TextField } from '@/ui';
import { type Choice, choicesOf, endOf, type FaultSeen } from './end-view';
import { tell } from './later-words';
import { padView } from './pad-view';
import { splitRows } from './split-times';

/** A bout as its card shows it. */
export type Ended = LessonBout & {
  readonly work: DogWork;
  readonly entries: readonly Entry[];
  readonly facts: CoachFacts;
};

/** What one bout comes to, where it begins next time, and the line that leads it. */
export function EndCard({ ended }: { readonly ended: Ended }) {
  const { kennel } = useKennelWithDog();
  const { element, work, bout, entries, facts, dog } = ended;
  const view = padView(element, work, bout, entries, facts);
  const { tally, dogs, handlers, sides, halt } = endOf(view);
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
        {sides.map((one) => (
          <p key={one.title} className="leading-snug">
            <span className="font-semibold">{tell('end-page.sides', { title: one.title })} </span>
            {one.options
              .map(({ words, clean, of }) => tell('end-page.clean-of', { words, clean, of }))
              .join(', ')}
            {one.weaker === null ? '.' : tell('end-page.so-give-it-the-next-goes', { weaker: one.weaker })}
          </p>
        ))}
        {view.signs.length > 0 && (
          <p className="leading-snug">
            {tell('pad.seen', {
              signs: view.signs.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', '),
            })}
          </p>
        )}
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
