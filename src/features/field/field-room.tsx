import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { buildLadder, describePlace, standingOn } from '@/core/breakdown';
import type { ElementId, Sentence } from '@/core/shared';
import { useKennelWithDog, useLastBouts } from '@/data/live';
import {
  activeElements,
  type DogWork,
  type ElementRecord,
  exerciseTitle,
  isOffWork,
  type KeptEvidence,
  openBouts,
  waitingOf,
  wholeId,
} from '@/data/read';
import { buttonClass, Notice, PageHead } from '@/ui';
import { wordsOf } from '@/words';
import { SwitchBar } from './switch-bar';
import { tell } from './words';

// Who plans has it a moment later; the pad is there before.
const PlannedToday = lazy(async () => ({ default: (await import('./planned-today')).PlannedToday }));

type Group = {
  readonly key: string;
  readonly title: string;
  readonly elements: readonly ElementRecord[];
  /** The address at which it is run whole; null for what is no exercise. */
  readonly whole: string | null;
};

/** What each element waits for, in words. */
type Waits = ReadonlyMap<ElementId, readonly Sentence[]>;

/** Which element to train: one tap each, in the order of the exercises. */
export function FieldRoom() {
  const { kennel, dog, today } = useKennelWithDog();
  const found = useLastBouts();
  const open = useLiveQuery(() => openBouts(kennel, today), [kennel, today]);
  const waits = useLiveQuery(
    () => (found ? waitingOf(kennel, found.work, activeElements(found.work)) : undefined),
    [kennel, found],
  );
  const running = new Set<string>((open ?? []).map((one) => one.element.id as string));
  if (!found) return <p className="text-lg">{tell('field-room.reading-the-log')}</p>;
  return (
    <>
      <SwitchBar current="" bout={null} />
      <PageHead title={tell('field-room.what-will-train', { name: dog.name })}>
        {tell('field-room.one-element-at-a-time-its-rung-its')}
      </PageHead>
      {isOffWork(dog, today) && (
        <Notice tone="alert">
          {tell('field-room.is-off-work-nothing-is-begun-with', { name: dog.name })}
        </Notice>
      )}
      {activeElements(found.work).length === 0 && (
        <p className="grid justify-items-start gap-3 text-lg">
          {tell('field-room.has-nothing-to-train-yet', { name: dog.name })}
          <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/start?dog=${dog.id}`}>
            {tell('field-room.choose-a-method')}
          </Link>
        </p>
      )}
      <Suspense>
        <PlannedToday />
      </Suspense>
      <div className="grid gap-6">
        {groups(found.work, waits).map((group) => (
          <section key={group.key}>
            <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
              <h2 className="text-lg font-bold">{group.title}</h2>
              {group.whole && (
                <Link
                  className={buttonClass('quiet')}
                  to={group.whole}
                  aria-label={`${tell('field-room.run-the-whole', { running: running.has(group.whole) })}: ${group.title}`}
                >
                  {tell('field-room.run-the-whole', { running: running.has(group.whole) })}
                </Link>
              )}
            </div>
            <ul className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
              {group.elements.map((element) => (
                <li key={element.id}>
                  <ElementButton
                    element={element}
                    last={found.last.get(element.id)}
                    running={running}
                    waits={waits?.get(element.id) ?? []}
                  />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-5">
        <Link
          className="inline-block min-h-11 content-center underline underline-offset-4"
          to={`/${kennel.name}/season/day`}
        >
          {tell('field-room.a-day-out')}
        </Link>
        {activeElements(found.work).length > 0 && (
          <Link
            className="ml-5 inline-block min-h-11 content-center underline underline-offset-4"
            to={`/${kennel.name}/field/tally`}
          >
            {tell('field-room.without-a-phone')}
          </Link>
        )}
      </p>
    </>
  );
}

type ButtonProps = {
  readonly element: ElementRecord;
  readonly last: KeptEvidence | undefined;
  /** Elements of which a bout is open. */
  readonly running: ReadonlySet<string>;
  /** What has to stand first, and does not yet. */
  readonly waits: readonly Sentence[];
};

function ElementButton({ element, last, running, waits }: ButtonProps) {
  const ladder = buildLadder(element);
  const { criteria } = standingOn(ladder, last?.stands ?? null);
  const open = running.has(element.id);
  return (
    <Link
      to={element.id}
      className="flex min-h-20 flex-col justify-center border-2 border-ink bg-sheet px-4 py-2 hover:bg-paper"
    >
      <span className="text-xl font-bold leading-tight">{element.title}</span>
      <span className="leading-snug text-ink-soft">
        {tell('field-room.not-ended-yet-go-on', {
          open: Boolean(open),
          describePlace: describePlace(ladder, criteria),
        })}
      </span>
      {waits.map((wait) => (
        <span key={wordsOf(wait)} className="text-sm leading-snug">
          {tell('field-room.waits', { wait })}
        </span>
      ))}
    </Link>
  );
}

function groups(work: DogWork, waits: Waits | undefined): Group[] {
  const byId = new Map<ElementId, ElementRecord>(
    activeElements(work).map((element) => [element.id, element]),
  );
  const fromBooks = work.breakdowns.map((breakdown): Group => {
    return {
      key: breakdown.id,
      title: exerciseTitle(breakdown, work),
      whole: wholeId(breakdown.id),
      elements: [...new Set(breakdown.links.map((link) => link.element))].flatMap((id) => byId.get(id) ?? []),
    };
  });
  const linked = new Set(work.breakdowns.flatMap((breakdown) => breakdown.links.map((link) => link.element)));
  const own = activeElements(work).filter((element) => !linked.has(element.id));
  // What others wait for stands before them, and under its own name.
  const waited = new Set(
    activeElements(work)
      .filter((element) => (waits?.get(element.id) ?? []).length > 0)
      .flatMap((element) => element.needs.map((need) => need.element)),
  );
  const first = own.filter((element) => waited.has(element.id));
  const rest = own.filter((element) => !first.includes(element));
  const group = (key: string, title: string, elements: readonly ElementRecord[]): Group[] =>
    elements.length > 0 ? [{ key, title, elements, whole: null }] : [];
  return [
    ...group('first', tell('field-room.begin-with-these'), first),
    ...fromBooks,
    ...group('own', tell('field-room.own-goals'), rest),
  ];
}
