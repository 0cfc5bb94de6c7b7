import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { tenths } from '@/core/evidence';
import type { Result } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog } from '@/data/live';
import { exerciseTitle, putAwayOf, repsOn } from '@/data/read';
import { putElementAway, putExerciseAway, type Undo } from '@/data/write';
import { Button, buttonClass, Chain, Notice, newestOf, PageHead, Rod, Sheet, useHash } from '@/ui';
import { wordsOf } from '@/words';
import {
  type ElementView,
  type ExerciseView,
  exerciseViews,
  ownElements,
  retiredElements,
} from './breakdown-view';
import { ExerciseTools, LinkTools } from './exercise-tools';
import { useWeighed } from './use-weighed';
import { tell } from './words';

export function BreakdownRoom() {
  const { kennel, dog } = useKennelWithDog();
  const state = useDog();
  useHash(state !== null);
  const latest = useWeighed(state);
  if (!state) return <p className="text-lg">{tell('breakdown-room.reading-the-log')}</p>;
  const weighed = newestOf(latest);
  const own = ownElements(state, weighed);
  return (
    <>
      <PageHead title={tell('breakdown-room.what-is-asked-piece-by-piece', { name: dog.name })}>
        {tell('breakdown-room.each-link-of-the-chain-is-an')}
      </PageHead>
      <p className="mb-5 flex flex-wrap gap-3">
        <Link className={buttonClass('ink')} to="new">
          {tell('breakdown-room.break-an-exercise-down')}
        </Link>
        <Link className={buttonClass('plain')} to="methods">
          {tell('breakdown-room.methods')}
        </Link>
        <Link className={buttonClass('plain')} to={`/${kennel.name}/start?dog=${dog.id}`}>
          {tell('breakdown-room.one-piece-only')}
        </Link>
        <Link className={buttonClass('plain')} to="prerequisites">
          {tell('breakdown-room.what-needs-what')}
        </Link>
      </p>
      {latest.state === 'failed' && <Notice tone="alert">{wordsOf(latest.failure.message)}</Notice>}
      <div className="grid gap-7">
        {exerciseViews(state, weighed).map((exercise) => (
          <ExerciseSheet key={exercise.key} exercise={exercise} state={state} />
        ))}
        {own.length > 0 && (
          <Sheet
            title={tell('breakdown-room.own-goals')}
            aside={tell('breakdown-room.pieces-that-stand-in-no-exercise')}
          >
            <ul className="divide-y divide-hair">
              {own.map((element) => (
                <ElementRow key={element.id} element={element} />
              ))}
            </ul>
          </Sheet>
        )}
      </div>
      <Retired state={state} />
      <PutAwaySheet state={state} />
      <RodKey />
    </>
  );
}

function ExerciseSheet({ exercise, state }: { readonly exercise: ExerciseView; readonly state: DogState }) {
  const links = exercise.links.map((link) => ({
    key: `${link.part}${link.id}`,
    title: link.title,
    weight: link.weight,
    strength: link.strength,
    note: [
      link.stake === null ? '' : tell('breakdown-room.up-to-points', { stake: link.stake }),
      link.strength === null || link.thin
        ? ''
        : tell('breakdown-room.in-100-clean', { tenths: tenths(link.strength) }),
    ]
      .filter(Boolean)
      .join('; '),
  }));
  return (
    <Sheet title={<span id={exercise.key}>{exercise.title}</span>} aside={exercise.aside}>
      <Chain label={tell('breakdown-room.chain-of', { title: exercise.title })} links={links} />
      <ul className="mt-3 divide-y divide-hair border-t border-rule">
        {exercise.links.map((link, i) => (
          <ElementRow
            key={`${link.part}${link.id}`}
            element={link}
            place={i + 1}
            tools={exercise.own && <LinkTools exercise={exercise.own} at={i} title={link.title} />}
          />
        ))}
      </ul>
      <ExerciseTools exercise={exercise.breakdown} state={state} />
    </Sheet>
  );
}

function ElementRow({
  element,
  place,
  tools,
}: {
  readonly element: ElementView;
  readonly place?: number;
  readonly tools?: ReactNode;
}) {
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[17rem_1fr]">
      <div>
        <h3 className="text-lg font-bold leading-snug">
          {place !== undefined && <span className="text-ink-soft">{place}. </span>}
          {element.title}
        </h3>
        <p className="text-sm leading-snug">
          {tell('breakdown-room.rung', { rungInWords: element.rungInWords })}
        </p>
        <p className="text-sm leading-snug text-ink-soft">
          {element.chance ?? tell('breakdown-room.weighing-the-reps')}
        </p>
        {element.waits.length > 0 && (
          <p className="text-sm font-semibold leading-snug text-signal-ink">
            {tell('breakdown-room.waits', { waits: element.waits.join('; ') })}
          </p>
        )}
        {element.problems > 0 && (
          <p className="text-sm font-semibold text-signal-ink">
            {tell('breakdown-room.to-look-at-in-the-ladder', { problems: element.problems })}
          </p>
        )}
        <p className="mt-1.5 flex flex-wrap gap-2">
          <Link
            className={buttonClass('plain')}
            to={element.id}
            aria-label={tell('breakdown-room.ladder-of', { title: element.title })}
          >
            {tell('breakdown-room.ladder')}
          </Link>
          <Link
            className={buttonClass('quiet')}
            to={`../field/${element.id}`}
            relative="path"
            aria-label={tell('breakdown-room.train', { title: element.title })}
          >
            {tell('breakdown-room.train-2')}
          </Link>
          {tools}
        </p>
      </div>
      <div className="grid min-w-0 content-start gap-x-8 gap-y-4 md:grid-cols-2">
        {element.rods.map((rod) => (
          <Rod key={rod.axis} data={rod} compact />
        ))}
      </div>
    </li>
  );
}

/** Elements that were split or joined, for their reps. */
function Retired({ state }: { readonly state: DogState }) {
  const retired = retiredElements(state);
  if (retired.length === 0) return null;
  return (
    <Sheet
      title={tell('breakdown-room.split-or-joined')}
      aside={tell('breakdown-room.their-reps-are-kept')}
      className="mt-7"
    >
      <ul className="grid gap-2">
        {retired.map((element) => (
          <li key={element.id} className="flex flex-wrap items-center justify-between gap-3">
            <span>
              {tell('breakdown-room.reps-sessions-assigned', {
                title: element.title,
                repsOn: repsOn(state.evidence, element.id),
                assignedCount: element.assigned.length,
              })}
            </span>
            <Link className={buttonClass('plain')} to={`${element.id}/about`}>
              {tell('breakdown-room.say-what-they-count-for')}
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Elements and exercises that were put away, and the way back. */
function PutAwaySheet({ state }: { readonly state: DogState }) {
  const { kennel, dog, done } = useKennelWithDog();
  const away = useLiveQuery(() => putAwayOf(kennel, dog.id), [kennel, dog.id]);
  if (!away || away.elements.length + away.breakdowns.length === 0) return null;
  const row = (id: string, title: string, shown: string, back: () => Promise<Result<Undo>>) => (
    <li key={id} className="flex flex-wrap items-center justify-between gap-3">
      <span>{shown}</span>
      <Button
        aria-label={`${tell('breakdown-room.bring-back')}: ${title}`}
        onClick={() => void done(tell('breakdown-room.is-back', { title }), back())}
      >
        {tell('breakdown-room.bring-back')}
      </Button>
    </li>
  );
  return (
    <Sheet
      title={tell('breakdown-room.put-away')}
      aside={tell('breakdown-room.everything-of-it-is-kept')}
      className="mt-7"
    >
      <ul className="grid gap-2">
        {away.breakdowns.map((one) => {
          const title = exerciseTitle(one, state.work);
          return row(one.id, title, tell('breakdown-room.exercise', { title }), () =>
            putExerciseAway(kennel, one.id, false),
          );
        })}
        {away.elements.map((one) =>
          row(one.id, one.title, one.title, () => putElementAway(kennel, one.id, false)),
        )}
      </ul>
    </Sheet>
  );
}

function RodKey() {
  return (
    <p className="mt-4 max-w-4xl text-sm leading-snug text-ink-soft">
      {tell('breakdown-room.on-a-rod-each-band-is-one-step-of')}
    </p>
  );
}
