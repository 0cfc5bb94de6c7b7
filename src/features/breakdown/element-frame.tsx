import type { ReactNode } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { buildLadder, type Criteria, type Ladder, type Place, standingOn } from '@/core/breakdown';
import type { Assessed } from '@/core/evidence';
import { type DogState, useDog } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { buttonClass, Notice, newestOf, PageHead } from '@/ui';
import { chanceInWords } from './breakdown-view';
import { useAssessed } from './use-assessed';

/** What every page of an element is given. */
export type Opened = {
  readonly element: ElementRecord;
  readonly state: DogState;
  readonly ladder: Ladder;
  /** Where the dog's own values meet today's ladder. */
  readonly place: Place;
  readonly stands: Criteria;
  readonly found: Assessed | null;
};

const PAGES = [
  { to: '', title: 'Ladder' },
  { to: '/evidence', title: 'Evidence' },
  { to: '/rule', title: 'Rule' },
  { to: '/parts', title: 'Parts and needs' },
  { to: '/dogs', title: 'Other dogs' },
] as const;

/** One element: its title, what is known of it, and the way between its pages. */
export function ElementFrame({ children }: { readonly children: (opened: Opened) => ReactNode }) {
  const { element: id, kennel } = useParams();
  const state = useDog();
  const latest = useAssessed(state);
  const element = state?.work.elements.find((candidate) => candidate.id === id);
  if (!state) return <p className="text-lg">Reading the log …</p>;
  if (!element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  const found = newestOf(latest)?.find((candidate) => candidate.id === element.id) ?? null;
  const ladder = buildLadder(element);
  const standing = standingOn(ladder, state.stands.get(element.id) ?? null);
  const base = `/${kennel}/breakdown/${element.id}`;
  return (
    <>
      <PageHead title={element.title}>
        {element.retired
          ? RETIRED[element.retired.how]
          : found
            ? chanceInWords(found)
            : 'Weighing the reps …'}
      </PageHead>
      <div className="mb-5 flex flex-wrap items-center gap-3">
        <Link className={buttonClass('quiet')} to={`/${kennel}/breakdown`}>
          Back to the chain
        </Link>
        <nav aria-label="Pages of this element" className="flex flex-wrap">
          {PAGES.map((page) => (
            <NavLink
              key={page.to}
              end
              to={`${base}${page.to}`}
              className={({ isActive }) =>
                `-ml-0.5 flex min-h-11 items-center border-2 border-ink px-4 ${isActive ? 'bg-ink font-bold text-paper' : 'bg-sheet hover:bg-paper'}`
              }
            >
              {page.title}
            </NavLink>
          ))}
        </nav>
        {!element.retired && (
          <Link className={buttonClass('signal')} to={`/${kennel}/field/${element.id}`}>
            Train it
          </Link>
        )}
      </div>
      {children({ element, state, ladder, place: standing.place, stands: standing.criteria, found })}
    </>
  );
}

const RETIRED = {
  split: 'It was split: its reps stay here, and count for its parts where you say so.',
  merged: 'It was joined with another: its reps stay here, and count for the whole where you say so.',
} as const;
