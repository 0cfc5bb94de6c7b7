import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { addDays, asId, type Day, type DogId, type ElementId } from '@/core/shared';
import { useDogs, useKennelWithDog } from '@/data/live';
import {
  activeElements,
  type DiaryBout,
  diaryDays,
  diaryOf,
  faultLabel,
  namedFaults,
  workOf,
} from '@/data/read';
import {
  Button,
  buttonClass,
  keptMarks,
  Notice,
  PageHead,
  RepMarkKey,
  RepMarks,
  SelectField,
  Sheet,
  SIGN_WORDS,
  TextField,
} from '@/ui';
import { wordsOf, writeDay, writeWeekday } from '@/words';
import {
  type Asked,
  byDay,
  found,
  groundOf,
  NOTHING_ASKED,
  periodLines,
  type Span,
  spanAround,
} from './diary-view';
import { ReviewTabs } from './review-tabs';
import { tell } from './words';

/** The diary: a week or a month of all dogs on a page, what it came to, and each bout to be looked at. */
export function ReviewRoom() {
  const { kennel, today } = useKennelWithDog();
  const [span, setSpan] = useState<Span>('week');
  const [chosen, setDay] = useState<Day | null>(null);
  const [asked, setAsked] = useState(NOTHING_ASKED);
  const everywhere = asked.text.trim() !== '';
  const days = useLiveQuery(() => diaryDays(kennel), [kennel]);
  // It opens where something was done last: on a Monday the week that counts is the one before.
  const { from, to } = spanAround(chosen ?? days?.find((one) => one <= today) ?? today, span);
  const first = days?.at(-1) ?? today;
  // Who looks for a word looks for it in all that was ever written.
  const bouts = useLiveQuery(
    () => diaryOf(kennel, everywhere ? first : from, everywhere ? today : to),
    [kennel, everywhere, first, from, to, today],
  );
  const elements = useTrained();
  if (!bouts || !days || !elements) return <p className="text-lg">{tell('review-room.reading-the-log')}</p>;
  const shown = found(bouts, asked);
  const mine = elements.filter((one) => asked.dog === null || one.dogId === asked.dog);
  const { lines } = periodLines(
    shown,
    asked.element ? mine.filter((one) => one.id === asked.element) : mine,
    !everywhere && from <= today && today <= to,
  );
  const name =
    span === 'week'
      ? tell('review-room.week', { from: writeWeekday(from), to: writeDay(to) })
      : tell('review-room.month', { from: writeDay(from), to: writeDay(to) });
  return (
    <>
      <PageHead title={everywhere ? tell('review-room.found', { count: shown.length }) : name}>
        {days.length === 0 ? tell('review-room.nothing-yet') : null}
      </PageHead>
      <div className="print:hidden">
        <ReviewTabs />
        <p className="mb-3 flex flex-wrap gap-2">
          {(['week', 'month'] as const).map((one) => (
            <Button
              key={one}
              look={span === one ? 'ink' : 'plain'}
              aria-pressed={span === one}
              onClick={() => setSpan(one)}
            >
              {tell('review-room.span', { span: one })}
            </Button>
          ))}
          <Button onClick={() => setDay(addDays(from, -1))}>{tell('review-room.before')}</Button>
          {to < today && <Button onClick={() => setDay(addDays(to, 1))}>{tell('review-room.after')}</Button>}
          <Button onClick={() => window.print()}>{tell('review-room.print')}</Button>
        </p>
        <Filters asked={asked} bouts={bouts} onAsk={setAsked} />
      </div>
      <Sheet title={tell('review-room.what-it-came-to')} className="mb-5">
        {shown.length === 0 ? (
          <p className="leading-snug">
            {everywhere || asked !== NOTHING_ASKED
              ? tell('review-room.none-found')
              : tell('review-room.no-bout')}
          </p>
        ) : (
          <ul className="grid gap-1 leading-snug">
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
      </Sheet>
      <div className="grid gap-4">
        {byDay(shown).map((one) => (
          <section
            key={one.day}
            aria-label={writeDay(one.day)}
            className="break-inside-avoid border-2 border-ink bg-sheet"
          >
            <h2 className="border-b border-rule px-4 py-1.5 text-lg font-bold">{writeDay(one.day)}</h2>
            <ul className="divide-y divide-hair px-4">
              {one.bouts.map((bout) => (
                <DiaryRow key={bout.bout.id} one={bout} />
              ))}
            </ul>
          </section>
        ))}
      </div>
      {shown.length > 0 && (
        <div className="mt-4">
          <RepMarkKey />
        </div>
      )}
    </>
  );
}

/** Elements that are trained, of all dogs. */
function useTrained() {
  const { kennel } = useKennelWithDog();
  const dogs = useDogs();
  return useLiveQuery(
    async () =>
      dogs
        ? (await Promise.all(dogs.map(async (dog) => activeElements(await workOf(kennel, dog.id))))).flat()
        : undefined,
    [kennel, dogs],
  );
}

type FilterProps = {
  readonly asked: Asked;
  readonly bouts: readonly DiaryBout[];
  readonly onAsk: (asked: Asked) => void;
};

function Filters({ asked, bouts, onAsk }: FilterProps) {
  const dogs = new Map(bouts.map((one) => [one.dog.id as string, one.dog.name]));
  const elements = new Map(
    bouts
      .filter((one) => asked.dog === null || one.dog.id === asked.dog)
      .map((one) => [one.address as string, one.title]),
  );
  const grounds = [...new Set(bouts.map((one) => groundOf(one.bout)))].sort();
  const all = { value: '', words: tell('review-room.all') };
  const options = (map: ReadonlyMap<string, string>) => [
    all,
    ...[...map].sort(([, a], [, b]) => a.localeCompare(b)).map(([value, words]) => ({ value, words })),
  ];
  return (
    <div className="mb-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      <TextField
        label={tell('review-room.find')}
        hint={tell('review-room.find-hint')}
        type="search"
        value={asked.text}
        onChange={(event) => onAsk({ ...asked, text: event.target.value })}
      />
      <SelectField
        label={tell('review-room.dog')}
        value={asked.dog ?? ''}
        options={options(dogs)}
        onChange={(id) => onAsk({ ...asked, dog: id === '' ? null : asId<DogId>(id), element: null })}
      />
      <SelectField
        label={tell('review-room.piece')}
        value={asked.element ?? ''}
        options={options(elements)}
        onChange={(id) => onAsk({ ...asked, element: id === '' ? null : asId<ElementId>(id) })}
      />
      <SelectField
        label={tell('review-room.place')}
        value={asked.ground}
        options={[all, ...grounds.map((one) => ({ value: one, words: one }))]}
        onChange={(ground) => onAsk({ ...asked, ground })}
      />
    </div>
  );
}

function DiaryRow({ one }: { readonly one: DiaryBout }) {
  const { kennel } = useKennelWithDog();
  const { bout, dog, title, element, kept, log, address } = one;
  const faults = element ? namedFaults(element, NO_BOOKS) : [];
  const clean = kept.cells.reduce((sum, cell) => sum + cell.clean, 0);
  return (
    <li className="py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-3 leading-snug">
        <span>
          <span className="font-bold">{`${dog.name}: ${title}`}</span>
          <span className="text-ink-soft">
            {tell('review-room.row', {
              reps: kept.reps,
              counted: kept.counted,
              clean,
              minutes: kept.minutes === null ? '' : Math.max(1, Math.round(kept.minutes)),
              place: groundOf(bout),
            })}
          </span>
        </span>
        <Link
          className={`${buttonClass('quiet')} print:hidden`}
          to={`/${kennel.name}/field/${address}/log/${bout.id}`}
          aria-label={tell('review-room.look-at', { title, name: dog.name, day: writeDay(one.outing.day) })}
        >
          {tell('review-room.look')}
        </Link>
      </p>
      {log && log.marks.length > 0 && (
        <RepMarks
          label={tell('review-room.reps-of', { title })}
          marks={keptMarks(log.marks, (fault) => wordsOf(faultLabel(faults, fault)))}
        />
      )}
      {kept.signs.length > 0 && (
        <Notice tone="alert">
          {tell('review-room.seen', {
            signs: kept.signs.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', '),
          })}
        </Notice>
      )}
      {[...kept.notes, bout.debrief?.what ?? ''].filter(Boolean).map((line) => (
        <p key={line} className="leading-snug">
          {line}
        </p>
      ))}
      {bout.debrief?.next && (
        <p className="leading-snug">
          <span className="font-semibold">{tell('review-room.next-time')} </span>
          {bout.debrief.next}
        </p>
      )}
    </li>
  );
}

const NO_BOOKS = { elements: [], breakdowns: [], ruleBooks: [] };
