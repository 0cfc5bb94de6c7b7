import { useMemo } from 'react';
import { Link, NavLink, Outlet, useOutletContext, useParams } from 'react-router';
import { buildLadder, type Criteria, type Ladder, type Place, standingOn } from '@/core/breakdown';
import { type Assessed, chanceInWords } from '@/core/evidence';
import { type DogState, type KennelContext, useDog, useKennel } from '@/data/live';
import { type ElementRecord, elementQuestion } from '@/data/read';
import { buttonClass, type Latest, newestOf, PageHead, useLatest } from '@/ui';
import { wordsOf } from '@/words';
import { ask, type Weighed } from '@/workers/client';
import { tell } from './words';

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
  { to: '', title: tell('element-room.ladder') },
  { to: '/evidence', title: tell('element-room.evidence') },
  { to: '/rule', title: tell('element-room.rule') },
  { to: '/about', title: tell('element-room.about') },
  { to: '/dogs', title: tell('element-room.other-dogs') },
] as const;

type ElementContext = KennelContext & { readonly opened: Opened };

/** What a page of an element is given by its room. */
export const useOpened = (): Opened => useOutletContext<ElementContext>().opened;

/** What the reps say of this element; asked once, whatever page of it is looked at. */
function useWeighed(state: DogState | null, element: ElementRecord | undefined): Latest<readonly Weighed[]> {
  const { today } = useKennel();
  const question = useMemo(
    () => (state && element ? elementQuestion(element, state.evidence, state.stands) : null),
    [state, element],
  );
  const job = useMemo(
    () =>
      question &&
      ((signal: AbortSignal) => ask({ kind: 'assess-elements', questions: [question], today }, { signal })),
    [question, today],
  );
  return useLatest(job);
}

/**
 * One element: its title, what is known of it, and the way between its pages, which open inside it, so
 * that a change of page reads and fits nothing again.
 */
export function ElementRoom() {
  const { element: id, kennel } = useParams();
  const context = useOutletContext<KennelContext>();
  const state = useDog();
  const element = state?.work.elements.find((candidate) => candidate.id === id);
  const latest = useWeighed(state, element);
  if (!state) return <p className="text-lg">{tell('element-room.reading-the-log')}</p>;
  if (!element)
    return (
      <>
        <PageHead title={tell('element-room.there-is-no-such-element-for-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel}/breakdown`}>
          {tell('element-room.to-the-breakdown')}
        </Link>
      </>
    );
  const weighed = newestOf(latest)?.[0];
  const found = weighed?.id === element.id && weighed.found.ok ? weighed.found.value : null;
  const ladder = buildLadder(element);
  const standing = standingOn(ladder, state.stands.get(element.id) ?? null);
  const base = `/${kennel}/breakdown/${element.id}`;
  const opened: Opened = {
    element,
    state,
    ladder,
    place: standing.place,
    stands: standing.criteria,
    found,
  };
  return (
    <>
      <PageHead title={element.title}>{subtitle(element, latest, weighed)}</PageHead>
      <div className="mb-5 flex flex-wrap items-center gap-3">
        <Link className={buttonClass('quiet')} to={`/${kennel}/breakdown`}>
          {tell('element-room.back-to-the-chain')}
        </Link>
        <nav aria-label={tell('element-room.pages-of-this-element')} className="flex flex-wrap">
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
            {tell('element-room.train-it')}
          </Link>
        )}
      </div>
      <Outlet context={{ ...context, opened } satisfies ElementContext} />
    </>
  );
}

function subtitle(element: ElementRecord, latest: Latest<unknown>, weighed: Weighed | undefined): string {
  if (element.retired) return RETIRED[element.retired.how];
  if (weighed)
    return weighed.found.ok ? wordsOf(chanceInWords(weighed.found.value)) : wordsOf(weighed.found.message);
  return latest.state === 'failed' ? wordsOf(latest.failure.message) : tell('element-room.weighing-the-reps');
}

const RETIRED = {
  split: tell('element-room.it-was-split-its-reps-stay-here'),
  merged: tell('element-room.it-was-joined-with-another-its'),
} as const;
