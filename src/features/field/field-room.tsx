import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { buildLadder, describePlace, standingOn } from '@/core/breakdown';
import type { ElementId } from '@/core/shared';
import { useKennelWithDog, useLastBouts } from '@/data/live';
import {
  activeElements,
  type DogWork,
  type ElementRecord,
  isOffWork,
  type KeptEvidence,
  openBouts,
} from '@/data/read';
import { Notice, PageHead } from '@/ui';
import { tell } from './words';

type Group = { readonly title: string; readonly elements: readonly ElementRecord[] };

/** Which element to train: one tap each, in the order of the exercises. */
export function FieldRoom() {
  const { kennel, dog, today } = useKennelWithDog();
  const found = useLastBouts();
  const open = useLiveQuery(() => openBouts(kennel, today), [kennel, today]);
  const running = new Set<string>((open ?? []).map((one) => one.element.id));
  if (!found) return <p className="text-lg">{tell('field-room.reading-the-log')}</p>;
  return (
    <>
      <PageHead title={tell('field-room.what-will-train', { name: dog.name })}>
        {tell('field-room.one-element-at-a-time-its-rung-its')}
      </PageHead>
      {isOffWork(dog, today) && (
        <Notice tone="alert">
          {tell('field-room.is-off-work-nothing-is-begun-with', { name: dog.name })}
        </Notice>
      )}
      <div className="grid gap-6">
        {groups(found.work).map((group) => (
          <section key={group.title}>
            <h2 className="mb-2 text-lg font-bold">{group.title}</h2>
            <ul className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
              {group.elements.map((element) => (
                <li key={element.id}>
                  <ElementButton element={element} last={found.last.get(element.id)} running={running} />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

type ButtonProps = {
  readonly element: ElementRecord;
  readonly last: KeptEvidence | undefined;
  /** Elements of which a bout is open. */
  readonly running: ReadonlySet<string>;
};

function ElementButton({ element, last, running }: ButtonProps) {
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
    </Link>
  );
}

function groups(work: DogWork): Group[] {
  const byId = new Map<ElementId, ElementRecord>(
    activeElements(work).map((element) => [element.id, element]),
  );
  const fromBooks = work.breakdowns.map((breakdown): Group => {
    const book = work.ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
    const title =
      breakdown.own?.title ??
      book?.exercises.find((exercise) => exercise.id === breakdown.exercise)?.title ??
      breakdown.exercise;
    return {
      title,
      elements: [...new Set(breakdown.links.map((link) => link.element))].flatMap((id) => byId.get(id) ?? []),
    };
  });
  const linked = new Set(work.breakdowns.flatMap((breakdown) => breakdown.links.map((link) => link.element)));
  const own = activeElements(work).filter((element) => !linked.has(element.id));
  return own.length > 0 ? [...fromBooks, { title: tell('field-room.own-goals'), elements: own }] : fromBooks;
}
